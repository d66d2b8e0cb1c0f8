/*
 * What can be the matter, how likely that is, and what one would find. All numbers are common practice as remembered, rounded to one figure: no published
 * source gives them. They are held against written cases in the tests.
 */

/** What somebody says is wrong, in their words. */
export const SYMPTOMS = [
  'i-hear-they-dont',
  'they-hear-i-dont',
  'opens-hears-nothing',
  'silence',
  'only-noise',
  'others-break-in',
  'harsh-weak',
  'scanner-silent',
  'alert-silent',
  'alert-always',
  'beeps',
  'two-voices',
] as const;
export type Symptom = (typeof SYMPTOMS)[number];

/** What it takes to find out: to look, to press talk, somebody else, or a way up a hill. */
export const EFFORTS = ['look', 'talk', 'person', 'hill'] as const;
export type Effort = (typeof EFFORTS)[number];
/** How much more each counts than a look, so that what is near is asked first. */
export const EFFORT_COST: Readonly<Record<Effort, number>> = { look: 1, talk: 2, person: 4, hill: 8 };

/** Something that can be found out, with what one can find; the first is how it is on a set that works. */
export interface Trial {
  readonly id: string;
  readonly effort: Effort;
  readonly finds: readonly [usual: string, ...others: string[]];
  /** How often it is not as usual though something else is the matter. */
  readonly astray: number;
  /** Asked only where one of these is the trouble; without it always. */
  readonly of?: readonly Symptom[];
}

const HEARING: readonly Symptom[] = [
  'they-hear-i-dont',
  'opens-hears-nothing',
  'silence',
  'scanner-silent',
  'alert-silent',
];
const SENDING: readonly Symptom[] = ['i-hear-they-dont', 'beeps', 'silence', 'opens-hears-nothing'];

export const TRIALS: readonly Trial[] = [
  { id: 'place', effort: 'look', finds: ['right', 'other'], astray: 0.03 },
  {
    id: 'mark',
    effort: 'look',
    finds: ['none', 'picked'],
    astray: 0.03,
    of: ['i-hear-they-dont', 'they-hear-i-dont', 'opens-hears-nothing', 'silence'],
  },
  { id: 'line', effort: 'look', finds: ['same', 'other'], astray: 0.03, of: ['i-hear-they-dont', 'silence'] },
  {
    id: 'scan',
    effort: 'look',
    finds: ['still', 'running'],
    astray: 0.03,
    of: [...HEARING, 'others-break-in'],
  },
  { id: 'noise', effort: 'look', finds: ['noise', 'none'], astray: 0.02, of: HEARING },
  {
    id: 'monitor',
    effort: 'look',
    finds: ['same', 'hears'],
    astray: 0.05,
    of: ['they-hear-i-dont', 'opens-hears-nothing', 'silence'],
  },
  {
    id: 'cell',
    effort: 'look',
    finds: ['full', 'low'],
    astray: 0.08,
    of: ['i-hear-they-dont', 'silence', 'harsh-weak'],
  },
  {
    id: 'antenna',
    effort: 'look',
    finds: ['tight', 'loose'],
    astray: 0.02,
    of: ['i-hear-they-dont', 'silence', 'harsh-weak', 'scanner-silent', 'alert-silent', 'only-noise'],
  },
  { id: 'lock', effort: 'look', finds: ['free', 'locked'], astray: 0.05, of: ['beeps'] },
  { id: 'busy', effort: 'look', finds: ['free', 'busy'], astray: 0.05, of: ['beeps', 'i-hear-they-dont'] },
  { id: 'width', effort: 'look', finds: ['same', 'differs'], astray: 0.04, of: ['harsh-weak'] },
  { id: 'squelch', effort: 'look', finds: ['closed', 'open'], astray: 0.03, of: ['only-noise'] },
  { id: 'far', effort: 'look', finds: ['far', 'close'], astray: 0.05, of: ['harsh-weak', 'two-voices'] },
  {
    id: 'make',
    effort: 'look',
    finds: ['same', 'other'],
    astray: 0.15,
    of: ['i-hear-they-dont', 'they-hear-i-dont'],
  },
  {
    id: 'pair',
    effort: 'look',
    finds: ['yes', 'no'],
    astray: 0.05,
    of: ['i-hear-they-dont', 'silence', 'opens-hears-nothing'],
  },
  { id: 'long', effort: 'look', finds: ['short', 'long'], astray: 0.04, of: ['i-hear-they-dont'] },
  {
    id: 'voices',
    effort: 'look',
    finds: ['ours', 'strangers'],
    astray: 0.1,
    of: ['others-break-in', 'two-voices'],
  },
  {
    id: 'buzz',
    effort: 'look',
    finds: ['voice', 'buzz'],
    astray: 0.03,
    of: ['only-noise', 'harsh-weak', 'scanner-silent', 'others-break-in'],
  },
  { id: 'inscan', effort: 'look', finds: ['in', 'out'], astray: 0.05, of: ['scanner-silent'] },
  { id: 'speaks', effort: 'look', finds: ['speaks', 'noise'], astray: 0.04, of: ['alert-silent'] },
  {
    id: 'areas',
    effort: 'look',
    finds: ['ours', 'other', 'wide'],
    astray: 0.04,
    of: ['alert-silent', 'alert-always'],
  },
  { id: 'siren', effort: 'look', finds: ['on', 'off'], astray: 0.04, of: ['alert-silent'] },
  {
    id: 'towers',
    effort: 'look',
    finds: ['one', 'two'],
    astray: 0.1,
    of: ['two-voices', 'opens-hears-nothing'],
  },
  { id: 'lamp', effort: 'talk', finds: ['on', 'off'], astray: 0.03, of: SENDING },
  { id: 'tail', effort: 'talk', finds: ['comes', 'none'], astray: 0.1, of: [...SENDING, 'harsh-weak'] },
  {
    id: 'others',
    effort: 'person',
    finds: ['heard', 'nobody', 'heard-me'],
    astray: 0.1,
    of: ['silence', 'opens-hears-nothing'],
  },
  {
    id: 'beside',
    effort: 'person',
    finds: ['hears', 'silent'],
    astray: 0.04,
    of: ['i-hear-they-dont', 'they-hear-i-dont', 'silence'],
  },
  {
    id: 'higher',
    effort: 'hill',
    finds: ['same', 'better'],
    astray: 0.15,
    of: ['i-hear-they-dont', 'silence', 'harsh-weak', 'scanner-silent', 'alert-silent', 'only-noise'],
  },
];

/** What is known beforehand, with the chance of each where a cause says nothing of it. */
export const KNOWN: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  held: { 'as-planned': 0.5, older: 0.2, unknown: 0.3 },
  picked: { off: 0.95, on: 0.05 },
  right: { may: 0.9, not: 0.1 },
  station: { 'on-air': 0.95, 'off-air': 0.05 },
  /** By the log, since the set was loaded: whether others heard it, and whether it heard others. */
  talked: { heard: 0.8, silent: 0.2 },
  listened: { hears: 0.85, deaf: 0.15 },
};

/** What can be the matter. */
export interface Cause {
  readonly id: string;
  /** How often that is the matter when somebody says this, against the other causes. */
  readonly when: Readonly<Partial<Record<Symptom, number>>>;
  /** What one then finds, and how surely; what is known beforehand as well. */
  readonly finds: Readonly<Record<string, readonly [what: string, chance: number]>>;
}

export const CAUSES: readonly Cause[] = [
  {
    id: 'wrong-sent-tone',
    when: { 'i-hear-they-dont': 10, silence: 3 },
    finds: { tail: ['none', 0.95], held: ['as-planned', 0.05], talked: ['silent', 0.9] },
  },
  {
    id: 'wrong-awaited-tone',
    when: { 'they-hear-i-dont': 10, 'opens-hears-nothing': 4, silence: 2 },
    finds: {
      monitor: ['hears', 0.95],
      others: ['heard-me', 0.6],
      held: ['as-planned', 0.05],
      listened: ['deaf', 0.9],
    },
  },
  {
    id: 'picked-tone',
    when: { 'i-hear-they-dont': 4, 'they-hear-i-dont': 2, 'opens-hears-nothing': 1, silence: 1 },
    finds: { mark: ['picked', 0.95], picked: ['on', 0.7], tail: ['none', 0.9] },
  },
  {
    id: 'wrong-place',
    when: {
      silence: 8,
      'i-hear-they-dont': 2,
      'they-hear-i-dont': 3,
      'opens-hears-nothing': 2,
      'only-noise': 1,
      'others-break-in': 2,
    },
    finds: { place: ['other', 0.95], tail: ['none', 0.8] },
  },
  {
    id: 'other-line',
    when: { 'i-hear-they-dont': 5, silence: 1 },
    finds: { line: ['other', 0.95], tail: ['none', 0.9] },
  },
  {
    id: 'out-of-reach',
    when: {
      'i-hear-they-dont': 7,
      silence: 5,
      'harsh-weak': 5,
      'they-hear-i-dont': 1,
      'only-noise': 2,
      'scanner-silent': 2,
    },
    finds: {
      higher: ['better', 0.9],
      tail: ['none', 0.9],
      others: ['heard', 0.9],
      talked: ['heard', 0.9],
    },
  },
  {
    id: 'sends-nothing',
    when: { 'i-hear-they-dont': 3, beeps: 5 },
    finds: {
      lamp: ['off', 0.95],
      right: ['not', 0.7],
      tail: ['none', 1],
      beside: ['silent', 0.95],
      talked: ['silent', 0.95],
    },
  },
  {
    id: 'low-cell',
    when: { 'i-hear-they-dont': 3, silence: 2, beeps: 2, 'harsh-weak': 2 },
    finds: { cell: ['low', 0.95], lamp: ['off', 0.6], tail: ['none', 0.7] },
  },
  { id: 'covers-output', when: { 'i-hear-they-dont': 4 }, finds: { pair: ['no', 0.95], tail: ['none', 1] } },
  { id: 'talked-too-long', when: { 'i-hear-they-dont': 1 }, finds: { long: ['long', 0.95] } },
  {
    id: 'muted',
    when: {
      'they-hear-i-dont': 4,
      silence: 3,
      'scanner-silent': 4,
      'alert-silent': 1,
      'opens-hears-nothing': 1,
    },
    finds: { noise: ['none', 0.95] },
  },
  { id: 'siren-off', when: { 'alert-silent': 3 }, finds: { siren: ['off', 0.95] } },
  {
    id: 'scanning',
    when: { 'they-hear-i-dont': 3, 'others-break-in': 3, 'opens-hears-nothing': 1, silence: 1 },
    finds: { scan: ['running', 0.95] },
  },
  {
    id: 'nobody-there',
    when: { 'opens-hears-nothing': 8, silence: 2, 'scanner-silent': 3 },
    finds: { tail: ['comes', 0.95], others: ['nobody', 0.6] },
  },
  {
    id: 'repeater-off',
    when: { silence: 4, 'i-hear-they-dont': 1 },
    finds: { tail: ['none', 1], others: ['nobody', 0.95], station: ['off-air', 0.6] },
  },
  {
    id: 'antenna',
    when: {
      silence: 2,
      'i-hear-they-dont': 1,
      'harsh-weak': 3,
      'scanner-silent': 2,
      'alert-silent': 1,
      'only-noise': 1,
    },
    finds: { antenna: ['loose', 0.9], tail: ['none', 0.8], higher: ['better', 0.5] },
  },
  { id: 'squelch-open', when: { 'only-noise': 8 }, finds: { squelch: ['open', 0.95] } },
  {
    id: 'digital',
    when: { 'only-noise': 4, 'scanner-silent': 2, 'harsh-weak': 1, 'others-break-in': 1 },
    finds: { buzz: ['buzz', 0.95] },
  },
  { id: 'others-same-channel', when: { 'others-break-in': 8 }, finds: { voices: ['strangers', 0.95] } },
  { id: 'widths-differ', when: { 'harsh-weak': 6 }, finds: { width: ['differs', 0.95] } },
  { id: 'too-close', when: { 'harsh-weak': 3, 'i-hear-they-dont': 1 }, finds: { far: ['close', 0.98] } },
  {
    id: 'codes-of-makes',
    when: { 'i-hear-they-dont': 3, 'they-hear-i-dont': 3 },
    finds: { make: ['other', 0.98], beside: ['silent', 0.9], monitor: ['hears', 0.9] },
  },
  { id: 'scan-leaves-out', when: { 'scanner-silent': 6 }, finds: { inscan: ['out', 0.95] } },
  { id: 'alert-areas', when: { 'alert-silent': 5 }, finds: { areas: ['other', 0.95] } },
  { id: 'alert-transmitter', when: { 'alert-silent': 4 }, finds: { speaks: ['noise', 0.95] } },
  { id: 'alert-areas-wide', when: { 'alert-always': 8 }, finds: { areas: ['wide', 0.95] } },
  { id: 'alert-events', when: { 'alert-always': 3 }, finds: { areas: ['ours', 0.95] } },
  { id: 'keys-locked', when: { beeps: 6 }, finds: { lock: ['locked', 0.95] } },
  {
    id: 'busy-channel',
    when: { beeps: 3, 'i-hear-they-dont': 1 },
    finds: { busy: ['busy', 0.95], lamp: ['off', 0.95] },
  },
  { id: 'two-at-once', when: { 'two-voices': 6 }, finds: { towers: ['one', 0.9] } },
  { id: 'two-repeaters', when: { 'two-voices': 3 }, finds: { towers: ['two', 0.98] } },
];
