import { guarded } from '../../ui/guarded';
import { ListingDeskView } from './ListingDeskView';
import { type ListingProps, useListingDesk } from './useListingDesk';

function ListingDeskIsland(props: ListingProps) {
  return <ListingDeskView {...useListingDesk(props)} />;
}

export const ListingDesk = guarded('ListingDesk', ListingDeskIsland);
