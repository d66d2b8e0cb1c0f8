import type { Question, QuestionCode } from '@umbrex/core/findings';

const WORDS: Readonly<Record<QuestionCode, (about: string, has: string) => string>> = {
  'nothing-written': () => 'Write a channel, for example: Kelp Stairs 462.650 rpt 131.8',
  'no-frequency': () => 'Which frequency or channel number?',
  'line-too-long': () => 'This line is too long for one channel. Shorten it.',
  'several-frequencies': () =>
    'Two or more frequencies: which one do you hear, and which one do you send on?',
  'tone-in-mhz': (about) => `“${about}” is written in megahertz. A tone is in hertz. Did you mean:`,
  'tone-in-khz': (about) => `“${about}” is written in kilohertz. A tone is in hertz. Did you mean:`,
  'tone-not-standard': (about) =>
    `“${about}” is no tone in use. The nearest would be another tone, and would not open anything. Did you mean:`,
  'tone-rare': (about) => `${about} Hz is rare: only a few sets have it.`,
  'tone-or-frequency': (about) => `“${about}” may be a frequency or a tone. Which?`,
  'tone-or-dcs': (about) => `Is “${about}” a DCS code, or a CTCSS tone cut short?`,
  'tone-missing': () => 'Which tone?',
  'tone-unreadable': (about) => `“${about}” cannot be read as a tone. Write it as 82.5 or D023N.`,
  'several-tones': () => 'More tones than a channel has. Name each: in 131.8 out 100.0',
  'tone-direction': () =>
    'Two tones: which one does the repeater listen for (in), which one does it send (out)?',
  'tone-both-ways': (about) => `${about} is taken both ways: you send it and wait for it.`,
  'dcs-polarity': (about) => `${about} has no polarity; N (normal) is taken.`,
  'dcs-not-in-use': (about) => `${about} is not in use, but may sound like one that is. Did you mean:`,
  'code-number': (about) =>
    `“${about}” is a code number, which each model counts its own way. On many sets it stands for:`,
  'frequency-is-input': (about) =>
    `${about} is a repeater’s input, where it listens. You hear its output. Did you mean:`,
  'input-output-swapped': () => 'Input and output look swapped: you send on the higher one. Did you mean:',
  'frequency-off-channel': (about) => `${about} is between two channels. Did you mean:`,
  'frequency-unreadable': (about) => `“${about}” is no plain frequency. Did you mean:`,
  'frequency-out-of-range': (about) => `${about} is outside what these devices receive (25 to 1300 MHz).`,
  'channel-or-code': (about) => `What does “${about}” stand for?`,
  'no-such-channel': (about, has) => `There is no channel “${about}”.${has && ` ${has}.`}`,
  'no-repeater-here': (about) =>
    `There are no repeaters on “${about}”. Take the repeater out, or write another channel.`,
  'pair-does-not-match': () =>
    'The channel number, the frequency and the offset do not belong together. Take one of them out.',
  'direct-or-repeater': () => 'Direct is taken. Is it a repeater?',
  'repeater-by-direction': () =>
    'A repeater is taken, since you wrote a tone that opens it, or one each way.',
  'input-tone-unknown': () => 'Which tone opens it? Nobody knows until you write it; it stays unknown.',
  'output-tone-unknown': () => 'No output tone is given, so the receive tone stays off: you hear everyone.',
  'whose-unknown': (about) =>
    `${about} belongs to no service known here: it is only listened to until somebody says whose it is.`,
  'service-unknown': (about) =>
    `${about} belongs to no service known here; you may need a licence to transmit.`,
  'transmit-unknown': () =>
    'Its input is not given, so it is only listened to. Write the input or the offset.',
  'receive-unknown': (about) =>
    `${about} is where you send; where you hear them is not given. Write both, or say that it is the same. Did you mean:`,
  'nobody-transmits': () => 'Nobody transmits here but the weather station; it is listened to.',
  'listen-unless-licensed': (about) =>
    `${about} is only listened to: it takes a licence or an authorisation to talk there.`,
  'channel-of-what': (about) =>
    `“${about}” is a number that each service counts its own way. Which is meant? Its frequency says it for certain.`,
  'place-of-set': (about) => `${about}.`,
  'place-not-there': (about) => `There is no such place on that set: ${about}.`,
  'place-is-free': (about) =>
    `The factory put nothing there: ${about}. Write the frequency, or another place.`,
  'place-of-several': (about) => `More than one place is called so: ${about}. Which is meant:`,
  'place-contradicts': (about) => `That place holds another frequency: ${about}. Which is meant:`,
  'service-elsewhere': (about) =>
    `“${about}” is a channel of another country’s service; nobody may transmit there here. To listen there:`,
  'usual-offset': (about) => `No offset is given; the usual one there is taken: ${about} MHz.`,
  'word-contradicts': () => 'The line says both repeater and direct. Take one out.',
  'offset-unusual': (about) => `“${about}” is not the offset that is usual here. Which is meant:`,
  'usual-pair': (about) => `${about} is taken as what you hear: the other one is its usual input.`,
  'left-over': (about) => `What is “${about}”? In quotation marks it is part of the name.`,
  'mode-outside': (about) => `${about} is outside: these devices send and hear FM, AM and digital modes.`,
  'says-two': (about) => `These do not go together: ${about}. Which is meant:`,
  'digital-mode': (about) => `${about} is a digital mode: kept, and marked as not for analogue devices.`,
  'remark-kept': (about) => `“${about}” is kept as a note. In quotation marks it is part of the name.`,
  'name-made': (about) => `No name is given; “${about}” is taken.`,
  'name-shortened': () => 'The name is cut to 40 letters; the whole stands in the note.',
  'entry-undated': () => 'The source does not say when this was last changed.',
  'entry-old': (about) => `Last changed ${about}, more than a year ago: ask before you count on it.`,
  'entry-not-on-air': (about) => (about === 'planned' ? 'Planned, not on the air yet.' : 'Off the air.'),
  'entry-closed': () => 'Closed to others: do not transmit there without a word from its owner.',
  'entry-claims-range': (about) => `Claimed range ${about} km, a circle: hills are not in it.`,
  'entry-in-plan': (about) => `The plan has this pair already, as “${about}”.`,
  'entry-disagrees': (about) =>
    `“${about}” in the plan has this pair with other tones. Ask the owner which are right.`,
  'heard-nothing': () => 'Write who talked and who listened, for example: Boat 1 > Clinic 5 loud',
  'heard-who': (about) =>
    `Nothing is called “${about}”. Who is meant? In quotation marks it stands as it is:`,
  'heard-who-talked': () => 'Who talked?',
  'heard-who-listened': (about) => (about ? `And who was on the other side of ${about}?` : 'Who listened?'),
  'heard-direction': (about) => `Did ${about} talk, or listen?`,
  'heard-which-set': (about) => `${about} holds several sets; without a set it counts for none:`,
  'heard-set-of-holder': (about) => `The only set that is held, is taken: ${about}.`,
  'heard-no-set': (about) =>
    `${about} is none of our sets, and holds none: it stands in the log and counts for no set.`,
  'heard-channel': () => 'On which channel?',
  'heard-channel-kept': (about) => `On ${about}, as before.`,
  'heard-several-channels': (about) => `More than one channel: ${about}. Write the one that is meant.`,
  'heard-no-repeater': (about) => `There is no repeater on ${about}. Take it out, or write the channel.`,
  'heard-or-not': () => 'Was it heard? How well, from 1 to 5, or nothing:',
  'heard-place-number': (about) => `Does the number in “${about}” belong to the place?`,
  'heard-place-channel': (about) => `Is there a channel in “${about}”, or is all of it the place?`,
  'heard-channel-of': (about) => `Its channel is taken: ${about}.`,
  'heard-contradicts': (about) => `These do not go together: ${about}.`,
  'heard-several-reports': (about) => `Two reports: ${about}. Write each direction as a line of its own.`,
  'heard-scale': (about) =>
    `The second number of “${about}” may be of five steps or of nine. Which is meant:`,
  'heard-quote': () => 'A quotation mark has no other half.',
  'heard-time': (about) => `At what time on ${about}? As 19:05.`,
  'heard-time-ahead': (about) => `${about} is still to come. Write the day before it, as 2026-12-01.`,
  'heard-same': (about) => `${about} is on both sides.`,
  'heard-left-over': (about) => `What is “${about}”? Behind two strokes (//) it is a note.`,
};

/** The words for a question of the entry line. */
export function questionText(question: Question): string {
  return WORDS[question.code](question.about, question.has ?? '');
}
