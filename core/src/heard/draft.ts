import type { Question } from '../findings/index';
import type { Heard } from '../model/index';

/** A call as a line says it; `time` is `null` where it says none, which is now. */
export type HeardDraft = Pick<
  Heard,
  | 'channelId'
  | 'way'
  | 'from'
  | 'fromId'
  | 'to'
  | 'toId'
  | 'heard'
  | 'readability'
  | 'strength'
  | 'fromWhere'
  | 'toWhere'
  | 'note'
> & { readonly time: { readonly day: string; readonly minute: number } | null };

/** What a line says: one call, or two where they heard each other, once no blocking question is open. */
export interface HeardReading {
  readonly ok: boolean;
  readonly calls: readonly HeardDraft[];
  readonly questions: readonly Question[];
}
