import { KeysView } from './KeysView';
import { useKeys } from './useKeys';

export function Keys({ views }: { views: Readonly<Record<string, string>> }) {
  return <KeysView {...useKeys(views)} />;
}
