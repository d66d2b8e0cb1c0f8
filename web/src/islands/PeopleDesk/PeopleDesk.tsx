import { guarded } from '../../ui/guarded';
import { PeopleDeskView } from './PeopleDeskView';
import { type PeopleProps, usePeopleDesk } from './usePeopleDesk';

function PeopleDeskIsland(props: PeopleProps) {
  return <PeopleDeskView {...usePeopleDesk(props)} />;
}

export const PeopleDesk = guarded('PeopleDesk', PeopleDeskIsland);
