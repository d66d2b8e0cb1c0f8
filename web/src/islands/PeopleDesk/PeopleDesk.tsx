import { PeopleDeskView } from './PeopleDeskView';
import { type PeopleProps, usePeopleDesk } from './usePeopleDesk';

export function PeopleDesk(props: PeopleProps) {
  return <PeopleDeskView {...usePeopleDesk(props)} />;
}
