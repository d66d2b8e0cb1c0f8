import type { Finding } from '../findings/index';
import type { Channel } from '../model/index';

/** What a coordinator does next about a finding: mend it, ask somebody, look at it, or just know it. */
export type NextMove = 'fix' | 'ask' | 'look' | 'know';

/** A change that mends a finding without anybody having to decide anything. */
export interface Repair {
  readonly code: 'swap' | 'listen-only' | 'narrow' | 'receive-tone-off' | 'tones-off' | 'as-said';
  readonly channel: Channel;
}

/** A finding about a plan: which channel it stands at, what to do next, and a safe repair where there is one. */
export interface PlanFinding {
  readonly finding: Finding;
  readonly channelId: string | null;
  readonly next: NextMove;
  readonly repair?: Repair;
}
