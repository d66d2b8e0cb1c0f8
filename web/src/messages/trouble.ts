import type { Effort, Symptom } from '@umbrex/core/cause';
import type { Isolates, TwoSetStep } from '@umbrex/core/twoSets';

/** What somebody says is wrong. */
export const SYMPTOM_WORDS: Readonly<Record<Symptom, string>> = {
  'i-hear-they-dont': 'I hear them, they do not hear me',
  'they-hear-i-dont': 'They hear me, I do not hear them',
  'opens-hears-nothing': 'The repeater answers, and I hear nobody',
  silence: 'Silence: nobody hears me, I hear nobody',
  'only-noise': 'Only noise comes out',
  'others-break-in': 'Another conversation breaks in',
  'harsh-weak': 'It sounds harsh or weak',
  'scanner-silent': 'The scanner stays silent',
  'alert-silent': 'The alert radio stays silent',
  'alert-always': 'The alert radio sounds all the time',
  beeps: 'It beeps and does nothing',
  'two-voices': 'Two voices at once',
};

export const EFFORT_WORDS: Readonly<Record<Effort, string>> = {
  look: 'Look at the set',
  talk: 'Talk, shortly and with your call sign, and only where you may send',
  person: 'Needs somebody else',
  hill: 'Needs a way up',
};

/** A question, and the words for what one can find. */
interface Asked {
  readonly asks: string;
  readonly finds: Readonly<Record<string, string>>;
}

const YES_NO = (yes: string, no: string, [first, second]: readonly [string, string]) => ({
  [yes]: first,
  [no]: second,
});

/** What is asked, by trial. */
export const TRIAL_WORDS: Readonly<Record<string, Asked>> = {
  place: {
    asks: 'Does its display show the place for this channel?',
    finds: { right: 'Yes, that place', other: 'No, another one' },
  },
  mark: {
    asks: 'Does its display show a tone that was picked by hand?',
    finds: { none: 'No', picked: 'Yes' },
  },
  line: {
    asks: 'Does it show two channels at once, and the mark for talking stands at the other one?',
    finds: { same: 'No', other: 'Yes, at the other one' },
  },
  scan: {
    asks: 'Is it scanning: does the display go from place to place?',
    finds: { still: 'No, it stands still', running: 'Yes' },
  },
  noise: {
    asks: 'Hold its key for opening the squelch, or turn the squelch down. Does noise come out?',
    finds: { noise: 'Yes, noise', none: 'No, nothing' },
  },
  monitor: {
    asks: 'Hold that key while they talk. Do you hear them now?',
    finds: { same: 'No', hears: 'Yes' },
  },
  cell: { asks: 'Is its cell full?', finds: { full: 'Yes', low: 'No, or it sinks when talk is pressed' } },
  antenna: { asks: 'Is its antenna tight and whole?', finds: { tight: 'Yes', loose: 'No' } },
  lock: { asks: 'Does it show that its keys are locked?', finds: YES_NO('locked', 'free', ['Yes', 'No']) },
  busy: {
    asks: 'Does its light show that somebody is on the channel already?',
    finds: { free: 'No, it is free', busy: 'Yes' },
  },
  width: {
    asks: 'Are both sets set to the same width, narrow or wide?',
    finds: { same: 'Yes', differs: 'No' },
  },
  squelch: {
    asks: 'Is its squelch turned open, or the key for it stuck?',
    finds: { closed: 'No', open: 'Yes' },
  },
  far: { asks: 'Are the two sets within a few steps of each other?', finds: { far: 'No', close: 'Yes' } },
  make: {
    asks: 'Do the sets show their tones as code numbers, and are of different makes?',
    finds: { same: 'No', other: 'Yes' },
  },
  pair: {
    asks: 'Does this place send on another frequency than it listens on, as a repeater wants it?',
    finds: { yes: 'Yes', no: 'No, on the same' },
  },
  long: { asks: 'Did it stop after a long talk?', finds: { short: 'No', long: 'Yes' } },
  voices: { asks: 'Whose voices are they?', finds: { ours: 'Ours', strangers: 'Strangers’' } },
  buzz: { asks: 'Is it an even buzz, where others hear voices?', finds: { voice: 'No', buzz: 'Yes' } },
  inscan: {
    asks: 'Is the channel marked to be scanned?',
    finds: { in: 'Yes', out: 'No, it is passed over' },
  },
  speaks: {
    asks: 'Press the key for listening to the weather. Does a voice speak?',
    finds: { speaks: 'Yes', noise: 'No, only noise' },
  },
  areas: {
    asks: 'Which areas does it hold?',
    finds: {
      ours: 'Ours and no more',
      other: 'Ours is not among them',
      wide: 'A whole state, or everywhere',
    },
  },
  siren: { asks: 'Is its siren switched on, not the light alone?', finds: { on: 'Yes', off: 'No' } },
  towers: { asks: 'Are two repeaters on these frequencies?', finds: { one: 'No', two: 'Yes' } },
  lamp: { asks: 'Press talk for a moment. Does it show that it sends?', finds: { on: 'Yes', off: 'No' } },
  tail: {
    asks: 'Call shortly. Does the repeater answer when you let go?',
    finds: { comes: 'Yes', none: 'No' },
  },
  others: {
    asks: 'Ask somebody: does the repeater work for others?',
    finds: { heard: 'Yes', nobody: 'No, for nobody', 'heard-me': 'Yes, and they heard me' },
  },
  beside: {
    asks: 'Stand ten steps from another set on the same direct channel and talk. Does it hear you?',
    finds: { hears: 'Yes', silent: 'No' },
  },
  higher: {
    asks: 'Go to a higher or freer place. Is it better there?',
    finds: { same: 'No', better: 'Yes' },
  },
};

/** What can be the matter, and what to do about it; `to` names where in Umbrex that is done. */
export const CAUSE_WORDS: Readonly<
  Record<
    string,
    { readonly what: string; readonly deed: string; readonly to?: 'sheet' | 'stations' | 'common' | 'scan' }
  >
> = {
  'wrong-sent-tone': {
    what: 'It sends another tone than is needed',
    deed: 'Set the tone by its sheet.',
    to: 'sheet',
  },
  'wrong-awaited-tone': {
    what: 'It waits for a tone that does not come',
    deed: 'Open its receive tone, or set it by its sheet.',
    to: 'sheet',
  },
  'picked-tone': {
    what: 'A tone picked by hand is left on',
    deed: 'Clear it: its sheet begins with that.',
    to: 'sheet',
  },
  'wrong-place': {
    what: 'It stands at another place',
    deed: 'Turn to the place that its sheet names.',
    to: 'sheet',
  },
  'other-line': {
    what: 'Talk goes out on its other line',
    deed: 'Change the line, or show one channel only.',
  },
  'out-of-reach': {
    what: 'The signal does not get there',
    deed: 'Go higher, or take another way.',
    to: 'common',
  },
  'sends-nothing': {
    what: 'It sends nothing here',
    deed: 'It cannot, or whoever has it may not. Take another channel.',
    to: 'common',
  },
  'low-cell': { what: 'Its cell is too weak to send', deed: 'Charge or change it.' },
  'covers-output': {
    what: 'It talks where the repeater comes out',
    deed: 'Turn to the repeater’s pair, where the set has it.',
    to: 'sheet',
  },
  'talked-too-long': {
    what: 'The talk was longer than the repeater allows',
    deed: 'Let go, wait for its answer, speak shorter.',
  },
  muted: { what: 'Nothing gets to its loudspeaker', deed: 'Turn it up, and pull the plug of the earpiece.' },
  'siren-off': { what: 'Its siren is switched off', deed: 'Switch it on, and test it.', to: 'sheet' },
  scanning: {
    what: 'It scans, and stops elsewhere',
    deed: 'End the scan, or give the channel priority.',
    to: 'scan',
  },
  'nobody-there': { what: 'Nobody is listening', deed: 'Call when a net meets. Undecided is not failed.' },
  'repeater-off': {
    what: 'The repeater is not on the air',
    deed: 'Ask its keeper, and write it down. Use a direct channel meanwhile.',
    to: 'stations',
  },
  antenna: {
    what: 'Its antenna is loose or broken',
    deed: 'Screw it on, or take another one. Do not send without.',
  },
  'squelch-open': { what: 'Its squelch is open', deed: 'Close it until the noise just ends.' },
  digital: {
    what: 'What is on the air is digital',
    deed: 'This set hears it as noise. Leave the channel out.',
  },
  'others-same-channel': {
    what: 'Others use the channel, which nobody owns',
    deed: 'Wait for a tone, or take another channel.',
    to: 'sheet',
  },
  'widths-differ': {
    what: 'One is wide, the other narrow',
    deed: 'Set both to the same width.',
    to: 'sheet',
  },
  'too-close': { what: 'The sets are too close to each other', deed: 'Step apart, and use low power.' },
  'codes-of-makes': {
    what: 'Makers count code numbers differently',
    deed: 'Switch the code off on both: that always works.',
    to: 'common',
  },
  'scan-leaves-out': {
    what: 'The channel is left out of its scan',
    deed: 'Take it in by its sheet.',
    to: 'sheet',
  },
  'alert-areas': {
    what: 'Our area is not among those it sounds for',
    deed: 'Set its areas by its sheet.',
    to: 'sheet',
  },
  'alert-transmitter': {
    what: 'It listens to a transmitter that is not heard here',
    deed: 'Choose the one that is heard, and move it to a window.',
    to: 'sheet',
  },
  'alert-areas-wide': {
    what: 'It sounds for too much',
    deed: 'Set it to our areas by its sheet.',
    to: 'sheet',
  },
  'alert-events': {
    what: 'It sounds for every event',
    deed: 'Silence what need not sound, where it can be told. Never the warnings.',
    to: 'sheet',
  },
  'keys-locked': { what: 'Its keys are locked', deed: 'Unlock them as its sheet says.', to: 'sheet' },
  'busy-channel': { what: 'It waits until the channel is free', deed: 'Wait, or listen who is there.' },
  'two-at-once': { what: 'Two people talked at once', deed: 'Let one after the other answer, by name.' },
  'two-repeaters': {
    what: 'Two repeaters were opened by one call',
    deed: 'Use the tone of the nearer one.',
    to: 'stations',
  },
};

/** What is known beforehand, in words. */
export const KNOWN_WORDS: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  held: {
    'as-planned': 'it holds what it should',
    older: 'it holds something else than it should',
    unknown: 'nobody has looked what it holds',
  },
  picked: { off: 'no tone is picked by hand', on: 'a tone is picked by hand' },
  right: { may: 'whoever has it may send here', not: 'it does not send here' },
  station: {
    'on-air': 'the repeater is said to be on the air',
    'off-air': 'the repeater is said not to be on the air',
  },
  talked: {
    heard: 'by the log others heard it since it was loaded',
    silent: 'by the log none of those it called heard it since it was loaded',
  },
  listened: {
    hears: 'by the log it heard others since it was loaded',
    deaf: 'by the log it heard none of those that called it since it was loaded',
  },
};

/** What one step of a test with two sets is, and what it tells once it goes right. @param talks, listens how the sets are called */
export const TWO_SET_WORDS: Readonly<
  Record<
    Isolates,
    (
      talks: string,
      listens: string,
      channel: string,
      ground: string,
    ) => { readonly does: string; readonly tells: string }
  >
> = {
  mute: (_, listens) => ({
    does: `${listens}: hold the key that opens the squelch. Noise comes out.`,
    tells: 'Its loudspeaker works.',
  }),
  frequency: (talks, listens, _channel, ground) => ({
    does: `Both on ${ground}, no tone. ${talks} talks for two seconds, ${listens} hears it.`,
    tells: 'The one sends and the other listens, on one frequency.',
  }),
  'sent-tone': (talks, listens, channel) => ({
    does: `${talks} on ${channel} as its sheet has it, ${listens} there with its squelch held open. ${talks} talks, ${listens} hears it.`,
    tells: 'It sends there as well; its tone is not tried yet.',
  }),
  'awaited-tone': (talks, listens, channel) => ({
    does: `Both on ${channel} as their sheets have it. ${talks} talks, ${listens} hears it.`,
    tells: 'The tone that is sent is the one that is waited for.',
  }),
  input: (talks, listens, channel) => ({
    does: `${listens} listens where the repeater of ${channel} does, and waits for its tone. ${talks} on ${channel} talks for two seconds, ${listens} hears it.`,
    tells: 'What the repeater needs is sent.',
  }),
  repeater: (talks, listens, channel) => ({
    does: `Both on ${channel}. ${talks} calls shortly, the repeater answers, and ${listens} hears it.`,
    tells: 'All of it works. Where only this fails: place, tone and reach first, the repeater last.',
  }),
};

/** Why a step cannot be done with these two. */
export const CANNOT_WORDS: Readonly<Record<NonNullable<TwoSetStep['cannot']>, string>> = {
  'may-not-send': 'Left out: whoever has it may not send there.',
  'no-common-channel': 'Not testable here: the two share no direct channel.',
  'cannot-listen-there': 'Not testable here: it cannot listen there.',
  'no-tone': 'Left out: there is no tone to try.',
};
