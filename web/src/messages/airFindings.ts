import type { Finding, HearGate } from '@umbrex/core/findings';
import { mhzText } from '@umbrex/core/units';
import { counted } from './labels';
import { toneWords } from './tones';
import type { Words } from './words';

type AtGate = Extract<Finding, { code: 'call-stops' }>;
type Otherwise = Extract<Finding, { code: 'heard-otherwise' }>;
type Said = { readonly what: string; readonly help: string };

const mhz = (text: string) => `${mhzText(Number(text))} MHz`;
const who = ({ at }: AtGate) => (at === 'to' ? 'The set that listens' : 'The set that talks');

/** What a gate says where it stops a call, and what would help. */
const STOPS: { readonly [G in HearGate]: (call: AtGate) => Said } = {
  off: (call) => ({
    what: `${who(call)} is lost or broken.`,
    help: 'Mend it, or lend another one.',
  }),
  place: (call) => ({
    what: `${who(call)} does not have this channel.`,
    help: 'Load it, where the set can hold it.',
  }),
  'may-transmit': () => ({
    what: 'The set that talks sends nothing here: it cannot, or whoever has it may not.',
    help: 'Listening is fine. Another channel may do for talking.',
  }),
  'transmit-frequency': ({ needs, comes }) => ({
    what: `The call goes out on ${mhz(comes)}, and the other set listens on ${mhz(needs)}.`,
    help: 'Look at the places of both sets.',
  }),
  mode: ({ needs, comes }) => ({
    what: `The call is ${comes}, and the other set hears ${needs}.`,
    help: 'They need a channel of the same kind.',
  }),
  width: () => ({
    what: 'The widths differ too much.',
    help: 'Set both to the same width.',
  }),
  station: ({ comes }) => ({
    what: `The repeater is ${comes === 'off-air' ? 'off the air' : comes}.`,
    help: 'Use a direct channel meanwhile.',
  }),
  'input-frequency': ({ needs, comes }) => ({
    what: `The call goes out on ${mhz(comes)}, and the repeater listens on ${mhz(needs)}.`,
    help: 'Turn to the repeater’s pair, or correct the place.',
  }),
  'input-tone': ({ needs, comes }) => ({
    what: `The repeater needs ${toneWords(needs)}, and the call carries ${toneWords(comes)}.`,
    help: 'Correct the tone that the set sends.',
  }),
  'talk-limit': ({ needs, comes }) => ({
    what: `After ${comes} seconds of talk the repeater falls silent: it takes ${needs}.`,
    help: 'Speak shorter.',
  }),
  'output-frequency': ({ needs, comes }) => ({
    what: `The repeater comes out on ${mhz(comes)}, and the other set listens on ${mhz(needs)}.`,
    help: 'Turn to the repeater’s pair, or correct the place.',
  }),
  'receive-tone': ({ needs, comes }) => ({
    what: `The other set waits for ${toneWords(needs)}, and what comes is ${toneWords(comes)}.`,
    help: 'Open its receive tone, or send the one that it waits for.',
  }),
  mute: () => ({
    what: 'The other set lets nothing through to its loudspeaker.',
    help: 'Turn its mute off.',
  }),
  scan: () => ({
    what: 'The other set scans, and has stopped elsewhere.',
    help: 'Give the channel priority, or stop the scan.',
  }),
};

/** What nobody knows where a gate cannot be judged. */
const NOT_KNOWN: { readonly [G in HearGate]: (call: AtGate) => string } = {
  off: (call) => `${who(call)}: nobody knows whether it is there and works.`,
  place: (call) => `${who(call)}: nobody has looked what stands at its place.`,
  'may-transmit': () => 'Nobody knows whether whoever talks may send here.',
  'transmit-frequency': () => 'Nobody knows where the one sends, or where the other listens.',
  mode: () => 'Nobody knows how one of them is modulated.',
  width: () => 'Nobody knows how wide one of them is.',
  station: () => 'Nobody has said whether the repeater is on the air.',
  'input-frequency': () => 'Nobody has said where the repeater listens.',
  'input-tone': ({ comes }) =>
    comes === '' || comes === 'unknown'
      ? 'Nobody has looked which tone the set sends.'
      : 'Nobody has said which tone the repeater needs.',
  'talk-limit': () => 'Nobody has said how long one may talk through the repeater.',
  'output-frequency': () => 'Nobody has said where the repeater comes out.',
  'receive-tone': () => 'Nobody has looked which tone the other set waits for, or which one comes.',
  mute: () => 'Nobody knows whether the other set is muted.',
  scan: () => 'Nobody knows where the scan of the other set stands.',
};

const stopWords = ({ gate, at, needs, comes }: Pick<Otherwise, 'gate' | 'at' | 'needs' | 'comes'>) => {
  if (gate === null || at === null) return '';
  const { what } = STOPS[gate]({ code: 'call-stops', severity: 'note', gate, at, needs, comes });
  return `${what.charAt(0).toLowerCase()}${what.slice(1)}`;
};

/** What is most likely not as it is written, and what would settle it. */
const LIKELY: { readonly [L in Otherwise['likely']]: (call: Otherwise) => string } = {
  'from-set': ({ from }) => `Most likely ${from} holds something else than is written. Look at it.`,
  'to-set': ({ to }) => `Most likely ${to} holds something else than is written. Look at it.`,
  station: () => 'Most likely the repeater is not as it is written under Stations. Ask its owner.',
  right: ({ from }) =>
    `Most likely the licence of whoever holds ${from} is not written down. Look under People.`,
  condition: () => 'One of them is written as lost or broken, and was heard. Say that it is there and works.',
  reach: ({ from, to }) =>
    `Others hear ${from}, and ${to} hears others: most likely the signal does not get from one to the other.`,
  moment: ({ to }) =>
    `Both come through the repeater with others: most likely nobody was at ${to} just then, or it scanned.`,
  open: () => 'Too few calls to tell one side from the other. Let each of them call somebody else.',
};

/** The words for what is said of a call between two sets. */
export const AIR_WORDS = {
  'call-stops': (f) => STOPS[f.gate]({ ...f, code: 'call-stops' }),
  'call-not-known': (f) => ({
    what: NOT_KNOWN[f.gate]({ ...f, code: 'call-stops' }),
    help: 'Look at it and write it down.',
  }),
  'heard-otherwise': (f) => ({
    what:
      f.says === 'not-heard'
        ? `${f.to} did not hear ${f.from}, in ${counted(f.calls, 'call')}, though nothing that is known of the two sets stops it.`
        : `${f.to} heard ${f.from}${f.says === 'sometimes' ? ' now and then' : ''}, in ${counted(f.calls, 'call')}, though by what is known it could not: ${stopWords(f)}`,
    help: LIKELY[f.likely](f),
  }),
  'not-broken': (f) => ({
    what: `${f.set} ${f.side === 'to' ? 'heard nobody' : 'was heard by nobody'}, in ${counted(f.calls, 'call')} with ${f.others} others. It need not be broken: ${stopWords(f)}`,
    help: `What it holds explains all of it. Load it by its sheet, then try again.`,
  }),
  'scans-not': () => ({
    what: 'This kind of set does not scan.',
    help: 'Take a set that does, or stay on one channel.',
  }),
  'scan-not-known': () => ({
    what: 'Nobody has described how this kind of set scans.',
    help: 'Add it to the description: how long it is at a place, and how long it takes to decide.',
  }),
  'call-sounds': (f) =>
    f.sounds === 'harsh'
      ? {
          what: 'It is heard and sounds harsh: a wide call in a narrow receiver.',
          help: 'Set both to the same width.',
        }
      : {
          what: 'It is heard and sounds weak: a narrow call in a wide receiver.',
          help: 'Set both to the same width.',
        },
} satisfies Partial<Words>;
