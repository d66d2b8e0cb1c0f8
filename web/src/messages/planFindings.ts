import type { FindingCode } from '@umbrex/core/findings';
import { STATE_TEXT } from './channelState';
import { serviceWords } from './services';
import { stationField } from './stations';
import { toneWords } from './tones';
import type { Words } from './words';

/** The words for what is said of a plan by itself, of tones that are weighed, and of directories. */
export const PLAN_WORDS = {
  'input-output-swapped': () => ({
    what: 'Input and output are swapped: sets would listen on the repeater’s input and send on its output.',
    help: 'Swap them.',
  }),
  'direct-tone-never-sent': (f) => ({
    what: `Sets wait for ${toneWords(f.tone)} here, but nobody sends it: they would hear nobody of the group.`,
    help: 'Leave the receive tone off, or send the tone as well.',
  }),
  'direct-tones-differ': (f) => ({
    what: `On a direct channel all send ${toneWords(f.transmitTone)} and wait for ${toneWords(f.receiveTone)}: nobody hears anybody.`,
    help: 'Use one tone for both ways.',
  }),
  'repeater-without-tone': () => ({
    what: 'No transmit tone on a repeater. Most repeaters stay shut without one.',
    help: 'Ask its owner whether it really opens without a tone.',
  }),
  'tones-forbidden': () => ({
    what: 'The rules forbid tones on this channel: sets without one would not be heard.',
    help: 'Leave the tones off.',
  }),
  'tone-is-no-privacy': () => ({
    what: 'A tone keeps nothing private: anybody without a receive tone hears every word.',
    help: 'Say nothing on the air that others may not hear.',
  }),
  'too-wide': (f) => ({
    what: `Wide is more than the rules allow here (${f.limitHz / 1000} kHz).`,
    help: 'Set it to narrow.',
  }),
  'wide-beside-narrow': () => ({
    what: 'FRS sets on this channel are narrow; a wide voice sounds harsh in them.',
    help: 'Narrow is lawful too, and right where FRS sets share the channel.',
  }),
  'licence-ends-soon': (f) => ({
    what: `The licence for this frequency ends on ${f.expires}.`,
    help: 'Renew it in time.',
  }),
  'never-for-tests': () => ({ what: 'A distress or calling channel: never key up here to test.' }),
  'permission-needed': () => ({
    what: 'By permission only.',
    help: 'Ask its owner before anybody transmits, and note the answer.',
  }),
  'same-name': (f) => ({
    what: `Another channel is called “${f.other}” too.`,
    help: 'Give one of them another name.',
  }),
  'same-channel': (f) => ({
    what: `The same frequencies and tones as “${f.other}”.`,
    help: 'Keep one of the two.',
  }),
  'tones-are-partners': (f) => ({
    what: `${f.tone} here and ${f.otherTone} on “${f.other}” are the same on the air: each opens the other’s sets.`,
    help: 'Choose another code for one of them.',
  }),
  'tones-look-alike': (f) => ({
    what: `${toneWords(f.tone)} here and ${toneWords(f.otherTone)} on “${f.other}” are neighbours; a wide decoder may open for the wrong one.`,
    help: 'Take tones that are further apart.',
  }),
  'scan-stop-ambiguous': (f) => ({
    what: `Same receive frequency as “${f.other}”: when a scan stops there, the name on the display may be the wrong one.`,
  }),

  'device-lacks-tone': (f) => ({ what: `The ${f.device} does not have it.` }),
  'tone-used-here': (f) => ({
    what: `“${f.other}” uses it on this frequency, or a code that sounds the same.`,
  }),
  'tone-in-use-now': () => ({ what: 'It is the channel’s tone now: nobody has to change anything.' }),
  'tone-near-used': (f) => ({
    what: `Next to ${toneWords(f.otherTone)} of “${f.other}”: a wide decoder may take one for the other.`,
  }),
  'tone-near-mains': (f) => ({ what: `Near ${f.mainsHz} Hz, a multiple of mains hum.` }),
  'tone-polarity-slip': (f) => ({
    what: `With the polarity set wrong it becomes ${f.otherTone} of “${f.other}”.`,
  }),
  'tone-needs-polarity': () => ({ what: 'A code: every set must have its polarity right.' }),
  'tone-is-stock': () => ({ what: 'Many sets ship with it, so strangers send it too.' }),
  'policy-nothing-sent': () => ({
    what: 'Open: the repeater sends no tone that is known, so sets must not wait for one.',
  }),
  'policy-traveller': () => ({
    what: 'Open: on a repeater met on the way, hearing everyone is safer than a wrong tone.',
  }),
  'policy-shared': (f) => ({ what: `Closed: ${f.channels} more of the plan’s channels use this frequency.` }),
  'policy-home': () => ({ what: 'Closed is quiet. It hides others who are on the channel: listen first.' }),
  'input-used-direct': (f) => ({
    what: `This is where the repeater of ${f.channel} listens.`,
    help: 'Within reach of one nobody talks here direct: take another channel, or make it the repeater’s.',
  }),
  'service-not-chosen': (f) => ({
    what: `${serviceWords(f.service)} is not among the services that this plan works with.`,
    help: 'Add the service to the plan, or take the channel out.',
  }),
  'state-differs': ({ state, said }) => ({
    what: `The plan has it as ${STATE_TEXT[state]}; the list of stations says ${STATE_TEXT[said]}.`,
    help: 'Whoever keeps the list looked last: follow it, or correct it there.',
  }),
  'tone-used-nearby': (f) => ({
    what: `“${f.other}”, ${Math.round(f.distanceM / 1000)} km away, uses it on this frequency${f.changed === 'unknown' ? '' : ` (listed ${f.changed})`}.`,
  }),
  'cell-unreadable': (f) => ({
    what: `Line ${f.line}, ${f.column}: “${f.value}” cannot be taken. Needed: ${f.wanted}.`,
    help: 'Mend it in the table and bring it in again, or leave the line out.',
  }),
  'row-twice': (f) => ({ what: `Line ${f.line} is in ${f.like} already, and is left out.` }),
  'facts-disagree': (f) => ({
    what: `Sources disagree on the ${stationField(f.field)}: ${f.values}.`,
    help: 'Ask the owner, or go and listen; then take out what is wrong.',
  }),
  'fact-old': (f) => ({
    what: `Nothing here was confirmed since ${f.on}, more than a year ago.`,
    help: 'Ask its owner, or try it and note who heard it.',
  }),
  'fact-missing': (f) => ({ what: `Nobody has said its ${stationField(f.field)}.`, help: 'Ask its owner.' }),
  'permission-missing': () => ({
    what: 'Nobody has asked whether you may use it.',
    help: 'Ask its owner before anybody transmits; there is a text to copy.',
  }),
  'permission-waiting': (f) => ({
    what: `Asked${f.since === 'unknown' ? '' : ` on ${f.since}`}, no answer yet: do not transmit.`,
    help: 'Ask again, or leave it to listening.',
  }),
  'permission-refused': () => ({ what: 'Its owner said no: listen only.' }),
  'permission-over': (f) => ({ what: `The permission ended on ${f.expires}.`, help: 'Ask for it again.' }),
  'permission-ends-soon': (f) => ({ what: `The permission ends on ${f.expires}.`, help: 'Ask in time.' }),
  'station-not-on-air': (f) => ({
    what: f.status === 'planned' ? 'Planned, not on the air yet.' : `It is ${f.status.replace('-', ' ')}.`,
  }),
  'directory-not-set': () => ({
    what: 'No directory is connected.',
    help: 'Whoever runs this server can set UMBREX_DIRECTORY_URL; until then paste a listing into the entry line.',
  }),
  'directory-no-answer': (f) => ({
    what: 'The directory does not answer.',
    more: f.detail,
    help: 'Try again later. A listing pasted into the entry line works without it.',
  }),
  'place-not-found': (f) => ({
    what: `The directory knows no single place “${f.place}”.`,
    help: 'Write another name, or coordinates such as 41.273, -38.501.',
  }),
} satisfies Partial<Words<FindingCode>>;
