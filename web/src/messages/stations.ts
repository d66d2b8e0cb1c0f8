import type { Station, StationFact } from '@umbrex/core/model';
import type { NextStep, Precondition, RequestParts } from '@umbrex/core/stations';
import { mhzText } from '@umbrex/core/units';
import { toneWords } from './tones';

const FIELDS: Readonly<Record<string, string>> = {
  outputHz: 'output',
  inputHz: 'input',
  inputTone: 'input tone (you send it)',
  outputTone: 'output tone (it sends it)',
  powerW: 'power',
  antennaHeightM: 'antenna height',
  owner: 'owner',
  status: 'status',
  rangeM: 'claimed range',
  answer: 'answering sign',
  talkLimitS: 'talk limit',
  controlHz: 'control channels',
};

/** What a fact of a station is called. */
export function stationField(field: string): string {
  return FIELDS[field] ?? field;
}

/** A fact's value as people read it. */
export function factText({ field, value }: Pick<StationFact, 'field' | 'value'>): string {
  if (Array.isArray(value)) return value.map(mhzText).join(', ');
  switch (field) {
    case 'outputHz':
    case 'inputHz':
      return `${mhzText(Number(value))} MHz`;
    case 'inputTone':
    case 'outputTone':
      return toneWords(String(value));
    case 'powerW':
      return `${value} W`;
    case 'antennaHeightM':
      return `${value} m`;
    case 'rangeM':
      return `${Number(value) / 1000} km`;
    case 'talkLimitS':
      return `${value} s`;
    default:
      return String(value).replace(/-/g, ' ');
  }
}

export const KIND_TEXT: Readonly<Record<Station['kind'], { one: string; many: string }>> = {
  repeater: { one: 'repeater', many: 'Repeaters' },
  weather: { one: 'weather transmitter', many: 'Weather transmitters' },
  listen: { one: 'listened service', many: 'Listened services' },
  trunked: { one: 'trunked system', many: 'Trunked systems' },
};

export const PERMISSION_TEXT: Readonly<Record<Station['permission']['state'], string>> = {
  unknown: 'nobody has asked',
  open: 'open to all licensees',
  asked: 'asked, no answer yet',
  granted: 'granted',
  refused: 'refused',
};

/** How a fact is written, said when it was not. */
export const FACT_HINTS: Readonly<Record<StationFact['field'], string>> = {
  outputHz: 'Write the frequency in MHz, for example 462.6500.',
  inputHz: 'Write the frequency in MHz, for example 467.6500.',
  inputTone: 'Write the tone as 131.8, D023N or off.',
  outputTone: 'Write the tone as 131.8, D023N or off.',
  status: 'Choose one.',
  powerW: 'Write the power in watts.',
  antennaHeightM: 'Write the height in metres above ground.',
  owner: 'Name the owner.',
  rangeM: 'Write the claimed range in kilometres.',
  answer: 'Choose one.',
  talkLimitS: 'Write the limit in whole seconds.',
  controlHz: 'Write the control channels in MHz, parted by spaces.',
};

export const PRECONDITION_TEXT: Readonly<Record<Precondition, { word: string; meaning: string }>> = {
  licence: { word: 'Licence', meaning: 'their licence lets them send there today' },
  set: { word: 'Set', meaning: 'holds a set that can send on the input' },
  frequency: { word: 'Frequency', meaning: 'the plan has the pair' },
  tone: { word: 'Tone', meaning: 'the plan has the input tone and the set can send it' },
  reach: { word: 'Reach', meaning: 'the repeater hears them' },
  permission: { word: 'Permission', meaning: 'its owner lets the group use it' },
};

export const ANSWER_TEXT = { yes: 'yes', no: 'no', unknown: 'not known' } as const;

export const NEXT_STEP_TEXT: Readonly<Record<NextStep, string>> = {
  'get-the-licence': 'they listen only until they have the licence',
  'ask-when-it-ends': 'find out whether their licence is good, and until when',
  'lend-a-set': 'lend them a set with repeater channels',
  'describe-the-set': 'find out what their set can do',
  'ask-the-frequencies': 'ask the owner for output and input',
  'add-the-channel': 'put the pair into the plan',
  'ask-the-tone': 'ask the owner for the input tone',
  'correct-the-tone': 'the plan has another tone: correct it, or ask which is right',
  'a-set-with-the-tone': 'give them a set that has this tone',
  'try-it': 'let them try, with identification, and note it',
  'another-place': 'they need another place or antenna',
  'ask-permission': 'ask the owner',
  'ask-again': 'ask the owner again',
  'listen-only': 'listen only',
};

/** A request to a repeater's owner, to be copied and changed. */
export function requestText(parts: RequestParts): string {
  const pair = parts.outputMHz
    ? ` (output ${parts.outputMHz} MHz${parts.inputMHz ? `, input ${parts.inputMHz} MHz` : ''})`
    : '';
  return [
    `To the owner of ${parts.station}${pair}`,
    '',
    `We are ${parts.group}, a group of ${parts.people}. May our licensed members use your repeater, for nets, drills and emergencies?`,
    'We identify, keep overs short, and stay off the air when you ask us to.',
    'Please tell us: the tones, its hours and limits, whom to call when something is wrong, and until when your answer is good.',
    '',
    parts.asks,
  ].join('\n');
}
