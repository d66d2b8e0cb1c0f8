import { ListingDeskView } from './ListingDeskView';
import { type ListingProps, useListingDesk } from './useListingDesk';

export function ListingDesk(props: ListingProps) {
  return <ListingDeskView {...useListingDesk(props)} />;
}
