/*
 * Cases of trouble on the air, written before the table of causes was: what somebody says is wrong, what was the matter, and what they would find at each
 * thing that can be looked at. What is not named is found as it should be. Every second one is kept apart: no weight of the table was chosen by it.
 * Written from practice as remembered and from the worked examples of the gates (see air/hears); no published source.
 */

/** What somebody finds, where it is not as it should be. */
export type Findings = Readonly<Record<string, string>>;

export interface Case {
  readonly id: string;
  readonly symptom: string;
  /** What is known of the set beforehand; empty where nothing is. */
  readonly knows: Findings;
  readonly truth: string;
  readonly finds: Findings;
}

const at = (symptom: string, truth: string, id: string, finds: Findings, knows: Findings = {}): Case => ({
  id,
  symptom,
  knows,
  truth,
  finds,
});

export const CASES: readonly Case[] = [
  at(
    'i-hear-they-dont',
    'wrong-sent-tone',
    'bought last week, tones never set',
    { tail: 'none' },
    { held: 'unknown' },
  ),
  at(
    'i-hear-they-dont',
    'wrong-sent-tone',
    'the plan moved to 131.8 in spring, this set did not',
    { tail: 'none' },
    { held: 'older' },
  ),
  at('i-hear-they-dont', 'picked-tone', 'a tone picked for a visit to the mainland is still on', {
    tail: 'none',
    mark: 'picked',
  }),
  at(
    'i-hear-they-dont',
    'picked-tone',
    'Umbrex knows of the picked tone',
    { tail: 'none', mark: 'picked' },
    { picked: 'on' },
  ),
  at('i-hear-they-dont', 'other-line', 'two lines on the display, the arrow at the second', {
    line: 'other',
    tail: 'none',
  }),
  at(
    'i-hear-they-dont',
    'other-line',
    'the arrow was moved by a key pressed in the pocket',
    { line: 'other', tail: 'none' },
    { held: 'as-planned' },
  ),
  at(
    'i-hear-they-dont',
    'out-of-reach',
    'hears the strong repeater from the valley, is too weak for it',
    { tail: 'none', higher: 'better' },
    { held: 'as-planned' },
  ),
  at(
    'i-hear-they-dont',
    'out-of-reach',
    'pocket set at the far shore',
    { tail: 'none', higher: 'better' },
    { held: 'as-planned', picked: 'off' },
  ),
  at(
    'i-hear-they-dont',
    'sends-nothing',
    'the plan lets this set only listen here',
    { lamp: 'off', tail: 'none' },
    { right: 'not' },
  ),
  at('i-hear-they-dont', 'sends-nothing', 'factory channel that never sends', {
    lamp: 'off',
    tail: 'none',
    beside: 'silent',
  }),
  at('i-hear-they-dont', 'low-cell', 'the cell gives out as soon as one talks', {
    cell: 'low',
    lamp: 'off',
    tail: 'none',
  }),
  at(
    'i-hear-they-dont',
    'covers-output',
    'pocket radio on the repeater’s output',
    { pair: 'no', tail: 'none' },
    { held: 'as-planned' },
  ),
  at(
    'i-hear-they-dont',
    'talked-too-long',
    'cut off in the middle of a report',
    { long: 'long' },
    { held: 'as-planned' },
  ),
  at(
    'they-hear-i-dont',
    'wrong-awaited-tone',
    'waits for the tone that the repeater dropped',
    { monitor: 'hears' },
    { held: 'older' },
  ),
  at('they-hear-i-dont', 'wrong-awaited-tone', 'same code both ways on a set that has one field for both', {
    monitor: 'hears',
  }),
  at('they-hear-i-dont', 'muted', 'volume at nothing', { noise: 'none' }),
  at('they-hear-i-dont', 'muted', 'a plug of an earpiece is in', { noise: 'none' }, { held: 'as-planned' }),
  at('they-hear-i-dont', 'scanning', 'the scan is running and stopped at the weather', { scan: 'running' }),
  at(
    'they-hear-i-dont',
    'scanning',
    'somebody began a scan by holding a key',
    { scan: 'running' },
    { held: 'as-planned', picked: 'off' },
  ),
  at('opens-hears-nothing', 'wrong-awaited-tone', 'the tail is not heard, others say they heard me', {
    monitor: 'hears',
    tail: 'none',
    others: 'heard-me',
  }),
  at('opens-hears-nothing', 'nobody-there', 'it answers, and nobody is listening at noon', {}),
  at(
    'opens-hears-nothing',
    'nobody-there',
    'it answers, the net is on Tuesday',
    {},
    { held: 'as-planned', station: 'on-air' },
  ),
  at('opens-hears-nothing', 'wrong-place', 'on the other tower that has the same output', { place: 'other' }),
  at(
    'silence',
    'repeater-off',
    'storm took the power at the top',
    { tail: 'none', others: 'nobody' },
    { held: 'as-planned', picked: 'off' },
  ),
  at(
    'silence',
    'repeater-off',
    'the list says that it is off the air',
    { tail: 'none', others: 'nobody' },
    { station: 'off-air' },
  ),
  at('silence', 'wrong-place', 'one place too far on the knob', { place: 'other', tail: 'none' }),
  at('silence', 'wrong-place', 'in the wrong bank', { place: 'other', tail: 'none' }, { held: 'unknown' }),
  at('silence', 'out-of-reach', 'in the cellar', { tail: 'none', higher: 'better' }),
  at('silence', 'antenna', 'the antenna was screwed off for the journey', {
    antenna: 'loose',
    tail: 'none',
    higher: 'better',
  }),
  at('silence', 'muted', 'volume turned down in the meeting', { noise: 'none' }),
  at('only-noise', 'squelch-open', 'the monitor key stuck', { squelch: 'open' }),
  at('only-noise', 'squelch-open', 'squelch turned to the end', { squelch: 'open' }, { held: 'as-planned' }),
  at('only-noise', 'digital', 'the neighbours’ sets went digital', { buzz: 'buzz' }),
  at('others-break-in', 'others-same-channel', 'a building site on the same channel, ours is open', {
    voices: 'strangers',
  }),
  at(
    'others-break-in',
    'others-same-channel',
    'families on holiday',
    { voices: 'strangers' },
    { held: 'as-planned' },
  ),
  at('others-break-in', 'scanning', 'the set scans and stops at the ferry', {
    voices: 'strangers',
    scan: 'running',
  }),
  at('harsh-weak', 'widths-differ', 'wide into narrow', { width: 'differs' }),
  at('harsh-weak', 'widths-differ', 'two lists, two widths', { width: 'differs' }, { held: 'older' }),
  at('harsh-weak', 'too-close', 'both sets on one table', { far: 'close' }),
  at('harsh-weak', 'out-of-reach', 'at the edge of the repeater', { higher: 'better' }),
  at('harsh-weak', 'antenna', 'a cracked antenna', { antenna: 'loose', higher: 'better' }),
  at('scanner-silent', 'scan-leaves-out', 'the channel is marked to be passed over', { inscan: 'out' }),
  at('scanner-silent', 'muted', 'earpiece still in', { noise: 'none' }),
  at('scanner-silent', 'digital', 'the dispatch went to a network', { buzz: 'buzz' }),
  at('alert-silent', 'alert-areas', 'the county’s code is missing', { areas: 'other' }),
  at('alert-silent', 'alert-transmitter', 'tuned to a transmitter that is not heard here', {
    speaks: 'noise',
  }),
  at('alert-silent', 'muted', 'the siren is switched to the lamp alone', { siren: 'off' }),
  at('alert-always', 'alert-areas-wide', 'sounds for the whole state', { areas: 'wide' }),
  at('alert-always', 'alert-areas-wide', 'no area was ever set', { areas: 'wide' }, { held: 'unknown' }),
  at('beeps', 'keys-locked', 'locked by holding a key', { lock: 'locked' }),
  at('beeps', 'sends-nothing', 'beeps when talk is pressed', { lamp: 'off' }, { right: 'not' }),
  at('beeps', 'busy-channel', 'waits until the channel is free', { busy: 'busy', lamp: 'off' }),
  at('two-voices', 'two-at-once', 'two people answered at once through one repeater', {}),
  at('two-voices', 'two-repeaters', 'both towers opened by one tone', { towers: 'two' }),
  at('i-hear-they-dont', 'codes-of-makes', 'both show 12, the makers count differently', {
    make: 'other',
    beside: 'silent',
  }),
  at('they-hear-i-dont', 'codes-of-makes', 'code 7 on both, only one hears', {
    make: 'other',
    monitor: 'hears',
  }),
];

/** The half that nobody looked at while the table was made. */
export const KEPT_APART: readonly Case[] = CASES.filter((_, i) => i % 2 === 1);
/** The half by which it was tried. */
export const OPEN: readonly Case[] = CASES.filter((_, i) => i % 2 === 0);
