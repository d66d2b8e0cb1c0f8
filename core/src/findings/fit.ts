/** What is said of a channel, or of the whole plan, on a set. */
export type FitFinding =
  // alert radios
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
  // fleet signalling
  | { readonly code: 'fleet-id-missing' }
  | { readonly code: 'fleet-id-unfit'; readonly fleetId: string; readonly digits: number }
  | { readonly code: 'fleet-id-twice'; readonly fleetId: string; readonly other: string }
  | { readonly code: 'calls-left-out'; readonly names: readonly string[] }
  | { readonly code: 'statuses-left-out'; readonly texts: readonly string[] }
  // hearing and sending
  | { readonly code: 'cannot-receive'; readonly receiveHz: number }
  | { readonly code: 'cannot-enter-frequency'; readonly hz: number; readonly stepsHz: readonly number[] }
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
  /** The set has no transmitter. */
  | { readonly code: 'only-receives' }
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
  /** Who keeps the repeater said no, or their leave has ended. */
  | { readonly code: 'keeper-refused' }
  | { readonly code: 'keeper-not-asked' }
  /** Its talk key would send here without a right to it, and it cannot be told not to. */
  | { readonly code: 'left-out-without-right'; readonly transmitHz: number }
  | { readonly code: 'nobody-transmits-here' }
  | { readonly code: 'reserved-channel'; readonly use: string }
  | { readonly code: 'hand-held-only' }
  | { readonly code: 'fixed-station-not-here' }
  | { readonly code: 'only-aboard' }
  | { readonly code: 'removable-antenna' }
  | { readonly code: 'emission-not-here'; readonly mode: string }
  /** Part of the signal would be beyond the edge of where voices are allowed. */
  | { readonly code: 'band-edge' }
  | { readonly code: 'country-not-covered' }
  | { readonly code: 'not-on-a-licence'; readonly source: string }
  /** Nobody has said whose rules the plan follows. */
  | { readonly code: 'country-unknown' }
  | { readonly code: 'not-a-service-channel'; readonly service: string }
  | { readonly code: 'power-too-high'; readonly limitW: number; readonly lowestW: number }
  | { readonly code: 'power-lowered'; readonly limitW: number; readonly usedW: number }
  | { readonly code: 'power-unknown'; readonly limitW: number }
  // tones
  | { readonly code: 'transmit-tone-missing'; readonly tone: string }
  | { readonly code: 'receive-tone-left-off'; readonly tone: string }
  | { readonly code: 'tone-by-partner'; readonly tone: string; readonly as: string }
  | { readonly code: 'tone-by-number'; readonly tone: string; readonly number: string }
  | { readonly code: 'tone-both-ways'; readonly tone: string }
  | { readonly code: 'tones-differ-paired'; readonly transmitTone: string; readonly receiveTone: string }
  | { readonly code: 'paired-stays-deaf'; readonly inputTone: string; readonly outputTone: string }
  | { readonly code: 'tone-list-unknown' }
  | { readonly code: 'channel-tone-unknown'; readonly direction: 'transmit' | 'receive' }
  // slots and names
  | { readonly code: 'no-free-slot' }
  /** Others of its group have a place, for there were not enough; `left` of them are out. */
  | { readonly code: 'group-split'; readonly left: number }
  | { readonly code: 'slot-taken'; readonly by: string; readonly number: number }
  | { readonly code: 'slot-shared'; readonly with: string; readonly number: number }
  | { readonly code: 'locked-from-keypad'; readonly number: number; readonly label: string }
  /** The set does not carry the channel's group: so it is said of it, of the team it is set up for, or of its kind. */
  | { readonly code: 'not-loaded'; readonly state: 'planned' | 'withdrawn' }
  | { readonly code: 'loaded-off-air'; readonly state: 'planned' | 'withdrawn' }
  | { readonly code: 'not-carried'; readonly by: 'unit' | 'team' | 'kind' }
  | { readonly code: 'name-shortened'; readonly from: string; readonly to: string }
  | { readonly code: 'no-names' }
  | { readonly code: 'names-unknown' }
  /** The mark of its place cannot be changed, or the set has none: a scan comes by, or not, against the plan. */
  | { readonly code: 'scan-differs'; readonly wanted: 'in' | 'out' }
  | { readonly code: 'priority-not-here'; readonly most: number | 'unknown'; readonly perBank: number }
  /** The set calls and answers calls by itself where it may only listen, and cannot be told not to. */
  | { readonly code: 'calls-where-listening' }
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
  | { readonly code: 'override-unknown'; readonly reach: 'transmit' | 'both'; readonly sticky: boolean };
