import type { LoadedBy } from '@umbrex/core/model';
import type { Standing } from '@umbrex/core/standing';

/** One set of the rollout. */
export interface RolloutRow {
  readonly unitId: string;
  readonly version: number;
  readonly nickname: string;
  readonly kind: string;
  readonly personId: string | null;
  /** Who holds it, or where it is. */
  readonly holder: string;
  readonly teamIds: readonly string[];
  /** `null` where its sheet could not be made. */
  readonly standing: Standing | null;
  readonly way: LoadedBy;
  /** What it takes to bring it there; 0 where nothing is to do. */
  readonly presses: number;
  readonly minutes: number;
  /** On whose word and since when it holds what it holds. */
  readonly word: string;
  readonly lentTo: string;
}

/** On how many sets a channel can be used that should have it, and how many hold it so now. */
export interface Coverage {
  readonly channelId: string;
  readonly name: string;
  readonly of: number;
  readonly usable: number;
  readonly held: number;
}
