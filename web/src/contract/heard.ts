import type { LineKnown, LoggedCall, Written } from '@umbrex/core/heard';
import { type Heard, HeardSchema } from '@umbrex/core/model';
import { z } from 'zod';
import type { AirView } from './air';
import type { Versioned } from './things';

/** So many calls are sent at once. */
export const MOST_CALLS = 100;
/** What was heard, as whoever keeps the log sends it: each counts once, by its id, however often it is sent. */
export const HeardSentSchema = z.strictObject({ calls: z.array(HeardSchema).min(1).max(MOST_CALLS) });

/** So many calls of the log are shown, the newest; an export has all of them. */
export const SHOWN_CALLS = 1000;

/** The log of a plan, and all that its page needs to hold it against what the sets are known to hold. */
export interface HeardView {
  /** The moment it was made, in UTC: a page that was kept is older. */
  readonly made: string;
  readonly planId: string;
  readonly planName: string;
  /** The newest calls of the log itself. */
  readonly calls: readonly Versioned<Heard>[];
  /** Those that stand in the lists of nets. */
  readonly ofNets: readonly LoggedCall[];
  /** What a line may name. */
  readonly known: Omit<LineKnown, 'channelId' | 'now'>;
  /** The sets of the channel that is looked at, as they are known to be. */
  readonly air: AirView;
  /** When somebody last wrote into a set, as `lastWritten` says it. */
  readonly writtenOn: Readonly<Record<string, Written | null>>;
  /** Whose the log is written as, by their id and by their name. */
  readonly who: string;
  readonly by: string;
}
