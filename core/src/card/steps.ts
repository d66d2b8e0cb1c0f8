import type { DrawnKeys, Run } from '../procedure/index';

/** What the steps of a set call themselves; those of another format are fetched anew. */
export const STEPS_FORMAT = 'umbrex/steps@1';

/** One step, as it is worked through in the hand. */
export interface CardStep {
  /** Its number on the sheet, from 1. */
  readonly n: number;
  /** Which of the blocks it belongs to. */
  readonly block: number;
  readonly says: string;
  readonly keys: readonly DrawnKeys[];
  readonly runs: readonly Run[];
  /** What the set shows after it, line by line. */
  readonly shows: readonly string[];
  /** So long the set waits for the next key after it, in seconds; `null` where it waits, or long enough. */
  readonly windowS: number | null;
}

/** The steps that belong together: those of one place, or of one part of the work. */
export interface CardBlock {
  readonly title: string;
  /** What must be at hand before it is begun, since the set does not wait; empty where it does. */
  readonly ready: string;
  /** What must not be done here; empty where nothing is to be warned of. */
  readonly warns: string;
}

/** The steps of one set of one's own for a published state, as they were proven. */
export interface CardSteps {
  readonly format: typeof STEPS_FORMAT;
  readonly made: string;
  readonly setId: string;
  readonly nickname: string;
  readonly planId: string;
  readonly planName: string;
  readonly revision: number;
  /** The steps by their content: work that was begun on another sheet does not go on here. */
  readonly sheet: string;
  readonly minutes: number;
  /** Whether they can be begun anew at any time: each value is set whatever stood there. Else they count from what the set held before. */
  readonly fromAnywhere: boolean;
  readonly hazards: readonly string[];
  readonly before: readonly string[];
  /** What the set shows before the first step; empty where the steps begin anywhere. */
  readonly begins: readonly string[];
  readonly blocks: readonly CardBlock[];
  readonly steps: readonly CardStep[];
  /** What to do whatever the set shows; `null` where nobody knows a way. */
  readonly way: readonly Pick<CardStep, 'says' | 'keys'>[] | null;
  /** What the proof began from, for a virtual set on the phone. */
  readonly device: {
    readonly description: unknown;
    readonly slots: readonly (readonly [number, Readonly<Record<string, string | number>> | null])[];
    readonly settings: Readonly<Record<string, number>>;
    /** The tone picked by hand that the first steps clear; 0 where there is none. */
    readonly picked: number;
  };
}
