import type { AirNote, Between, SetOnAir } from '@umbrex/core/air';
import type { AirState, Reach } from '@umbrex/core/onAir';

/** One set on the channel that is looked at. */
export interface AirSet {
  readonly unitId: string;
  readonly nickname: string;
  /** What kind of set it is. */
  readonly kind: string;
  readonly holder: string;
  readonly personId: string | null;
  /** The team that carries it; empty where none does. */
  readonly team: string;
  /** Its place for the channel as it shows it; empty where it has none, or nobody knows which. */
  readonly place: string;
  readonly set: SetOnAir;
  /** Why whoever has it may not send there, or why it has no place; empty where nothing is said. */
  readonly why: string;
}

/** A repeater between the sets, and by whose word. */
export interface AirRepeater {
  readonly name: string;
  readonly by: 'station' | 'own-set' | 'plan';
  readonly between: Between;
}

/** A change from one published state to the one that is shown, set by set. */
export interface AirChange {
  readonly from: number;
  /** Names of the sets that change, in an order in which nobody goes deaf; those of one group at one go. */
  readonly order: readonly (readonly string[])[];
  /** How many pairs hear before and after, and not while one of them waits. */
  readonly deaf: number;
  readonly examples: readonly string[];
}

/** Everything that the view of one channel shows. */
export interface AirView {
  readonly planId: string;
  readonly channel: { readonly id: string; readonly name: string };
  readonly as: AirState;
  readonly sets: readonly AirSet[];
  readonly repeaters: readonly AirRepeater[];
  readonly notes: readonly AirNote[];
  readonly change: AirChange | null;
  /** Whether the signal got from one set to another by the log, by their ids with a blank between; of the others nothing is known. */
  readonly reachHeard: Readonly<Record<string, 'heard' | 'not-heard'>>;
  /** What people said of reaching the repeaters: by the holder’s id, for each repeater of the list. */
  readonly reached: Readonly<Record<string, readonly Reach[]>>;
}
