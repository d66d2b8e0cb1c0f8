/** How much a finding weighs: `error` stops, `warning` wants a look, `note` is for information. */
export type Severity = 'error' | 'warning' | 'note';

interface Common {
  readonly severity: Severity;
  /** Where in the document or input it stands, as a JSON pointer; absent when it is about the whole. */
  readonly path?: string;
  /** The published source that decided it; absent for common practice. */
  readonly source?: string;
}

/** What the core has to say, by code and numbers only; the words live with the interface. */
export type Finding = Common &
  (
    | { readonly code: 'document-not-json'; readonly detail: string }
    | { readonly code: 'file-unreadable'; readonly detail: string }
    | { readonly code: 'document-shape'; readonly detail: string }
    | { readonly code: 'document-format'; readonly wanted: string; readonly found: string }
    | { readonly code: 'duplicate-id'; readonly id: string }
    | { readonly code: 'dangling-reference'; readonly what: string; readonly id: string }
    /** A group that is to go still has channels. */
    | { readonly code: 'group-has-channels'; readonly groupId: string }
    // fit: alert radios
    | { readonly code: 'alert-reach-not-here'; readonly reach: string }
    | { readonly code: 'alert-transmitter-unknown' }
    | { readonly code: 'alert-everywhere' }
    /** Events that the set sounds for whatever it is told. */
    | { readonly code: 'alert-always-on'; readonly events: readonly string[] }
    /** Events that the set has no switch for. */
    | { readonly code: 'alert-no-switch'; readonly events: readonly string[] }
    /** Warnings, and the weekly test, among the events that are to be silent. */
    | { readonly code: 'alert-warning-silent'; readonly events: readonly string[] }
    | { readonly code: 'alert-test-silent' }
    | { readonly code: 'alert-areas-ignored'; readonly areas: readonly string[] }
    | { readonly code: 'alert-areas-left-out'; readonly areas: readonly string[] }
    /** Areas of the holder's own, for which the set sounds as well. */
    | { readonly code: 'alert-areas-kept'; readonly areas: readonly string[] }
    /** Places for areas that nobody has looked at: what stands there, the set sounds for as well. */
    | { readonly code: 'alert-areas-unseen'; readonly places: number }
    // fit: fleet signalling
    | { readonly code: 'fleet-id-missing' }
    | { readonly code: 'fleet-id-unfit'; readonly fleetId: string; readonly digits: number }
    | { readonly code: 'fleet-id-twice'; readonly fleetId: string; readonly other: string }
    | { readonly code: 'calls-left-out'; readonly names: readonly string[] }
    | { readonly code: 'statuses-left-out'; readonly texts: readonly string[] }
    // fit: hearing and sending
    | { readonly code: 'cannot-receive'; readonly receiveHz: number }
    | { readonly code: 'cannot-enter-frequency'; readonly hz: number; readonly stepHz: number }
    | { readonly code: 'receive-unknown' }
    | { readonly code: 'mode-not-here'; readonly mode: string }
    | { readonly code: 'trunk-not-here'; readonly network: string }
    | { readonly code: 'only-networks' }
    /** The set is told of it by the control channel. */
    | { readonly code: 'trunk-calls'; readonly network: string }
    | { readonly code: 'tower-not-local'; readonly network: string }
    | { readonly code: 'tower-unknown'; readonly network: string }
    | { readonly code: 'pair-unknown' }
    | { readonly code: 'not-its-pair' }
    | { readonly code: 'listen-only-by-plan' }
    | { readonly code: 'no-repeater-input'; readonly inputHz: number; readonly outputHz: number }
    | { readonly code: 'talk-goes-out-on-output'; readonly transmitHz: number }
    | { readonly code: 'fixed-receive-only' }
    | { readonly code: 'only-hidden-tone' }
    | { readonly code: 'cannot-transmit-here'; readonly transmitHz: number }
    | { readonly code: 'transmit-unknown' }
    | { readonly code: 'not-certified'; readonly service: string }
    | { readonly code: 'certification-unknown'; readonly service: string }
    | { readonly code: 'service-needs-licence' }
    | { readonly code: 'licence-needed'; readonly service: string }
    | { readonly code: 'no-licence'; readonly service: string }
    | { readonly code: 'licence-does-not-cover'; readonly holds: string }
    | { readonly code: 'licence-expired'; readonly expires: string }
    | { readonly code: 'licence-expiry-unknown' }
    | { readonly code: 'nobody-transmits-here' }
    | { readonly code: 'reserved-channel'; readonly use: string }
    | { readonly code: 'hand-held-only' }
    | { readonly code: 'country-not-covered' }
    | { readonly code: 'not-a-service-channel'; readonly service: string }
    | { readonly code: 'power-too-high'; readonly limitW: number; readonly lowestW: number }
    | { readonly code: 'power-lowered'; readonly limitW: number; readonly usedW: number }
    | { readonly code: 'power-unknown'; readonly limitW: number }
    // fit: tones
    | { readonly code: 'transmit-tone-missing'; readonly tone: string }
    | { readonly code: 'receive-tone-left-off'; readonly tone: string }
    | { readonly code: 'tone-by-partner'; readonly tone: string; readonly as: string }
    | { readonly code: 'tone-by-number'; readonly tone: string; readonly number: string }
    | { readonly code: 'tone-both-ways'; readonly tone: string }
    | { readonly code: 'tones-differ-paired'; readonly transmitTone: string; readonly receiveTone: string }
    | { readonly code: 'paired-stays-deaf'; readonly inputTone: string; readonly outputTone: string }
    | { readonly code: 'tone-list-unknown' }
    | { readonly code: 'channel-tone-unknown'; readonly direction: 'transmit' | 'receive' }
    // fit: slots and names
    | { readonly code: 'no-free-slot' }
    /** Others of its group have a place, for there were not enough; `left` of them are out. */
    | { readonly code: 'group-split'; readonly left: number }
    | { readonly code: 'slot-taken'; readonly by: string; readonly number: number }
    | { readonly code: 'slot-shared'; readonly with: string; readonly number: number }
    | { readonly code: 'locked-from-keypad'; readonly number: number; readonly label: string }
    | { readonly code: 'name-shortened'; readonly from: string; readonly to: string }
    | { readonly code: 'no-names' }
    | { readonly code: 'names-unknown' }
    /** The mark of its place cannot be changed, or the set has none: a scan comes by, or not, against the plan. */
    | { readonly code: 'scan-differs'; readonly wanted: 'in' | 'out' }
    | { readonly code: 'priority-not-here'; readonly most: number | 'unknown'; readonly perBank: number }
    | { readonly code: 'resume-delay-differs'; readonly wanted: 'on' | 'off' }
    | { readonly code: 'bandwidth-differs'; readonly wanted: string; readonly has: string }
    | { readonly code: 'bandwidth-unknown' }
    /** The rule wants it narrow, whatever the plan says. */
    | { readonly code: 'bandwidth-by-rule'; readonly limitHz: number }
    /** The set sends wider than the rule allows, and cannot be set narrower. */
    | { readonly code: 'set-too-wide'; readonly limitHz: number }
    /** Another place of the set has the same name. */
    | { readonly code: 'name-twice'; readonly name: string }
    | { readonly code: 'firmware-unverified'; readonly firmware: string }
    | { readonly code: 'firmware-unknown' }
    | {
        readonly code: 'override-left-on';
        readonly tone: string;
        readonly reach: 'transmit' | 'both';
        readonly sticky: boolean;
        /** How many channels of the plan it keeps shut, and on how many it leaves its holder deaf. */
        readonly shut: number;
        readonly deaf: number;
      }
    | { readonly code: 'override-unknown'; readonly reach: 'transmit' | 'both'; readonly sticky: boolean }
    // steps that somebody recorded
    | { readonly code: 'record-has-keys' }
    | { readonly code: 'record-keys'; readonly keys: string }
    | { readonly code: 'record-value'; readonly value: string }
    | { readonly code: 'record-not-spelled'; readonly goal: string }
    | { readonly code: 'record-ambiguous'; readonly goal: string }
    | { readonly code: 'record-shows'; readonly wanted: string; readonly found: string }
    | { readonly code: 'record-first-missing'; readonly what: string }
    | { readonly code: 'record-not-kept'; readonly wanted: string; readonly found: string }
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
    | { readonly code: 'service-not-chosen'; readonly service: string }
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
    | { readonly code: 'policy-home' }
    // the directory
    | { readonly code: 'directory-not-set' }
    | { readonly code: 'directory-no-answer'; readonly detail: string }
    | { readonly code: 'place-not-found'; readonly place: string }
    // the roster
    | {
        readonly code: 'cell-unreadable';
        readonly line: number;
        readonly column: string;
        readonly value: string;
        readonly wanted: string;
      }
    | { readonly code: 'row-twice'; readonly line: number; readonly like: string }
    // stations
    | { readonly code: 'facts-disagree'; readonly field: string; readonly values: string }
    | { readonly code: 'fact-old'; readonly field: string; readonly on: string }
    | { readonly code: 'fact-missing'; readonly field: string }
    | { readonly code: 'permission-missing' }
    | { readonly code: 'permission-waiting'; readonly since: string }
    | { readonly code: 'permission-refused' }
    | { readonly code: 'permission-over'; readonly expires: string }
    | { readonly code: 'permission-ends-soon'; readonly expires: string }
    | { readonly code: 'station-not-on-air'; readonly status: string }
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
    | { readonly code: 'may-radiate'; readonly step: number }
  );

export type FindingCode = Finding['code'];
