import { guarded } from '../../ui/guarded';
import { KeysView } from './KeysView';
import { useKeys } from './useKeys';

function KeysIsland({ views }: { views: Readonly<Record<string, string>> }) {
  return <KeysView {...useKeys(views)} />;
}

export const Keys = guarded('Keys', KeysIsland);
