import { TeamDeskView } from './TeamDeskView';
import { type TeamProps, useTeamDesk } from './useTeamDesk';

export function TeamDesk(props: TeamProps) {
  return <TeamDeskView {...useTeamDesk(props)} />;
}
