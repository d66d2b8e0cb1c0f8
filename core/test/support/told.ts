import type { AreaContent, ChannelContent, IdContent, SlotContent } from '../../src/model/index';

/** All that any place could say. */
type Told = Partial<
  Omit<ChannelContent, 'kind'> &
    Omit<AreaContent, 'kind'> &
    Omit<IdContent, 'kind'> & { kind: SlotContent['kind'] }
>;

/** What a place says of itself, whatever it is for; a network never sends. */
export function told(content: SlotContent | null | undefined): Told {
  if (!content) return {};
  return content.kind === 'network' ? { ...content, transmitHz: null } : content;
}
