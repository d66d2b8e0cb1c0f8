/** What is said of steps: recorded, written, proven. */
export type SheetFinding =
  // steps that somebody recorded
  | { readonly code: 'record-has-keys' }
  | { readonly code: 'record-keys'; readonly keys: string }
  | { readonly code: 'record-value'; readonly value: string }
  | { readonly code: 'record-not-spelled'; readonly goal: string }
  | { readonly code: 'record-ambiguous'; readonly goal: string }
  | { readonly code: 'record-shows'; readonly wanted: string; readonly found: string }
  | { readonly code: 'record-first-missing'; readonly what: string }
  | { readonly code: 'record-not-kept'; readonly wanted: string; readonly found: string }
  // sheet and proof
  | { readonly code: 'steps-not-known' }
  | { readonly code: 'no-recipe'; readonly field: string }
  /** Nobody knows how a value stands, and the steps can only turn it from where it stands. */
  | { readonly code: 'start-unknown'; readonly field: string }
  /** A step turns until the display shows something, and it never did. */
  | { readonly code: 'proof-never-shown'; readonly step: number; readonly wanted: string }
  /** Reset first: a holder agreed that all it holds goes, though numbers are kept. */
  | { readonly code: 'reset-loses-kept'; readonly numbers: readonly number[] }
  | {
      readonly code: 'proof-differs';
      readonly number: number;
      readonly field: string;
      readonly wanted: string;
      readonly found: string;
    }
  /** What was read of a set that its description has no place (`field` empty) or no value for; no number: the whole set. */
  | {
      readonly code: 'held-not-understood';
      readonly number: number | null;
      readonly field: string;
      readonly value: string;
    }
  | {
      readonly code: 'proof-setting-differs';
      readonly setting: string;
      readonly wanted: string;
      readonly found: string;
    }
  | {
      readonly code: 'proof-screen-differs';
      readonly step: number;
      readonly wanted: string;
      readonly found: string;
    }
  | {
      readonly code: 'proof-still-shown';
      readonly step: number;
      readonly gone: string;
      readonly found: string;
    }
  | {
      readonly code: 'step-slip';
      /** Where in the description. */
      readonly path: string;
      readonly slip:
        | 'promises-nothing'
        | 'promises-what-was-there'
        | 'names-another-key'
        | 'says-other-figures'
        | 'says-other-hold'
        | 'start-not-said';
      readonly says: string;
      readonly seen: string;
    }
  | { readonly code: 'proof-still-picked' }
  | { readonly code: 'proof-too-slow'; readonly step: number }
  | { readonly code: 'may-radiate'; readonly step: number };
