import { guarded } from '../../ui/guarded';
import { TeamDeskView } from './TeamDeskView';
import { type TeamProps, useTeamDesk } from './useTeamDesk';

function TeamDeskIsland(props: TeamProps) {
  return <TeamDeskView {...useTeamDesk(props)} />;
}

export const TeamDesk = guarded('TeamDesk', TeamDeskIsland);
