/** Where a call may end. Each set is asked whether it is on and on its place when the call comes to it. */
export const HEAR_GATES = [
  'off',
  'place',
  'may-transmit',
  'transmit-frequency',
  'mode',
  'width',
  'station',
  'input-frequency',
  'input-tone',
  'talk-limit',
  'output-frequency',
  'receive-tone',
  'mute',
  'scan',
] as const;
export type HearGate = (typeof HEAR_GATES)[number];

/** Whose gate it is: of who talks, of what stands between, of who listens. */
export type Side = 'from' | 'repeater' | 'to';

/** A gate with what it needs and what came; both are empty where there is nothing to compare. */
interface AtGate {
  readonly gate: HearGate;
  readonly at: Side;
  readonly needs: string;
  readonly comes: string;
}

/** What is most likely not as it is written, where the log and the computed answer differ; `open` where the log does not tell one from the other. */
export type LikelyDatum =
  | 'from-set'
  | 'to-set'
  | 'station'
  | 'right'
  | 'condition'
  | 'reach'
  | 'moment'
  | 'open';

/** What is said of a call between two sets. */
export type AirFinding =
  | ({ readonly code: 'call-stops' } & AtGate)
  | ({ readonly code: 'call-not-known' } & AtGate)
  /** The set goes round no places; or nobody has said how it does. */
  | { readonly code: 'scans-not' }
  | { readonly code: 'scan-not-known' }
  /** The log says something else of a call than what its sets are known to hold. */
  | {
      readonly code: 'heard-otherwise';
      readonly from: string;
      readonly to: string;
      readonly says: 'heard' | 'not-heard' | 'sometimes';
      /** How many calls say so. */
      readonly calls: number;
      readonly likely: LikelyDatum;
      readonly gate: HearGate | null;
      readonly at: Side | null;
      readonly needs: string;
      readonly comes: string;
    }
  /** A set failed with everybody, and what it is known to hold explains all of it. */
  | ({
      readonly code: 'not-broken';
      readonly set: string;
      /** Whether it talked or listened. */
      readonly side: 'from' | 'to';
      readonly calls: number;
      readonly others: number;
    } & AtGate)
  /** It is heard, by a receiver of another width. */
  | { readonly code: 'call-sounds'; readonly sounds: 'harsh' | 'weak' };
