/** What is said of a plan by itself, and of tones that are weighed. */
export type PlanFinding =
  // the plan by itself
  | { readonly code: 'input-output-swapped' }
  | { readonly code: 'direct-tone-never-sent'; readonly tone: string }
  | { readonly code: 'direct-tones-differ'; readonly transmitTone: string; readonly receiveTone: string }
  | { readonly code: 'repeater-without-tone' }
  | { readonly code: 'tones-forbidden' }
  | { readonly code: 'tone-is-no-privacy' }
  | { readonly code: 'too-wide'; readonly limitHz: number }
  | { readonly code: 'wide-beside-narrow' }
  | { readonly code: 'licence-ends-soon'; readonly expires: string }
  | { readonly code: 'never-for-tests' }
  | { readonly code: 'permission-needed' }
  | {
      readonly code: 'state-differs';
      readonly state: 'on-air' | 'planned' | 'withdrawn';
      readonly said: 'on-air' | 'planned' | 'withdrawn';
    }
  | { readonly code: 'service-not-chosen'; readonly service: string }
  | { readonly code: 'input-used-direct'; readonly channel: string }
  | { readonly code: 'same-name'; readonly other: string }
  | { readonly code: 'same-channel'; readonly other: string }
  | {
      readonly code: 'tones-are-partners';
      readonly other: string;
      readonly tone: string;
      readonly otherTone: string;
    }
  | {
      readonly code: 'tones-look-alike';
      readonly other: string;
      readonly tone: string;
      readonly otherTone: string;
    }
  | { readonly code: 'scan-stop-ambiguous'; readonly other: string }
  // the tone advisor
  | { readonly code: 'device-lacks-tone'; readonly device: string }
  | { readonly code: 'tone-used-here'; readonly other: string }
  | {
      readonly code: 'tone-used-nearby';
      readonly other: string;
      readonly distanceM: number;
      readonly changed: string;
    }
  | { readonly code: 'tone-in-use-now' }
  | { readonly code: 'tone-near-used'; readonly otherTone: string; readonly other: string }
  | { readonly code: 'tone-near-mains'; readonly mainsHz: number }
  | { readonly code: 'tone-polarity-slip'; readonly otherTone: string; readonly other: string }
  | { readonly code: 'tone-needs-polarity' }
  | { readonly code: 'tone-is-stock' }
  | { readonly code: 'policy-nothing-sent' }
  | { readonly code: 'policy-traveller' }
  | { readonly code: 'policy-shared'; readonly channels: number }
  | { readonly code: 'policy-home' };
