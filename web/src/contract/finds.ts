import type { Find } from '@umbrex/core/model';
import type { Versioned } from './things';

/** What is known of one find. */
export interface FindKnown {
  /** What it may be, most likely first. */
  readonly may: readonly string[];
  /** The line by which it becomes a channel that is listened to. */
  readonly line: string;
  /** Where it stands in the plan and is not scanned. */
  readonly leftOut: readonly string[];
  readonly isInPlan: boolean;
}

/** What searches stopped at, and what that may be. */
export interface FindsView {
  readonly planId: string;
  readonly finds: readonly Versioned<Find>[];
  readonly known: Readonly<Record<string, FindKnown>>;
  readonly sets: readonly { readonly id: string; readonly name: string }[];
  readonly by: string;
}

/** So many finds are shown, the newest. */
export const SHOWN_FINDS = 200;
