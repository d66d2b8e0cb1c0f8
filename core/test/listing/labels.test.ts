import { readLine } from '@umbrex/core/listing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { comesTo, type DecidedLine } from '../support/lines';
import { runs } from '../support/runs';

// Lines in which what a value is called stands beside it, and offsets of which something is missing: decided before the reader was asked.

const OF_NAMES: readonly (readonly [line: string, name: string, to: DecidedLine[2]])[] = [
  ['freq 462.725', 'GMRS 22', [462.725, 462.725, 'off', 'off']],
  ['Frequency: 462.725 MHz', 'GMRS 22', [462.725, 462.725, 'off', 'off']],
  ['462.725 MHz freq', 'GMRS 22', [462.725, 462.725, 'off', 'off']],
  ['Freq: 462.725 Tone: 141.3 Name: Quarry', 'Quarry', [462.725, 462.725, '141.3', '141.3']],
  ['Name: Quarry, Freq: 462.725', 'Quarry', [462.725, 462.725, 'off', 'off']],
  ['Ch: Quarry Freq: 462.725', 'Quarry', [462.725, 462.725, 'off', 'off']],
  [
    'Channel name: Quarry, RX Freq: 462.725, TX Freq: 467.725, Tone: 141.3',
    'Quarry',
    [462.725, 467.725, '141.3', 'off'],
  ],
  [
    'Rx frequency 462.725 Tx frequency 467.725 tone 141.3 Quarry',
    'Quarry',
    [462.725, 467.725, '141.3', 'off'],
  ],
  [
    'Quarry output frequency 462.725 input frequency 467.725 141.3',
    'Quarry',
    [462.725, 467.725, '141.3', 'off'],
  ],
  ['Quarry frequency is 462.725', 'Quarry', [462.725, 462.725, 'off', 'off']],
  ['Frequencies 462.725/467.725 Quarry', 'Quarry', [462.725, 467.725, 'unknown', 'off']],
  ['Quarry 462.725 offset direction + 141.3', 'Quarry', [462.725, 467.725, '141.3', 'off']],
  // What is called so is a name, where it says nothing of a value.
  ['High frequency net 462.725', 'High frequency net', [462.725, 462.725, 'off', 'off']],
  ['Quarry Name 462.725', 'Quarry Name', [462.725, 462.725, 'off', 'off']],
  ['462.725 Frequency of last resort', 'Frequency of last resort', [462.725, 462.725, 'off', 'off']],
  ['Ch: GMRS 20', 'GMRS 20', [462.675, 462.675, 'off', 'off']],
];
/** The lines that are offered for a line of which something has to be asked first; what is usual nowhere is asked about in its turn. */
const ASKED: readonly (readonly [line: string, about: string, offered: readonly DecidedLine[2][]])[] = [
  ['Quarry 462.725 offset 5', 'offset 5', [[462.725, 467.725, 'unknown', 'off'], 'ask']],
  ['Quarry 462.725 offset 5 MHz', 'offset 5 MHz', [[462.725, 467.725, 'unknown', 'off'], 'ask']],
  ['freq 462.725 offset 5 dir + tone 103.5', 'offset 5 dir +', [[462.725, 467.725, '103.5', 'off']]],
  ['Quarry 462.725 shift 5 up', 'shift 5 up', [[462.725, 467.725, 'unknown', 'off']]],
  ['146.94 offset 600 - pl 100', 'offset 600 -', [[146.94, 146.34, '100.0', 'off']]],
  ['146.94 offset 600k', 'offset 600k', ['ask', [146.94, 146.34, 'unknown', 'off']]],
  ['146.94 offset 0.6 minus', 'offset 0.6 minus', [[146.94, 146.34, 'unknown', 'off']]],
  ['462.725 offset 7 foo', 'offset 7', ['ask', 'ask']],
];

describe('what a value is called', () => {
  it.each(OF_NAMES)('%s', (line, name, to) => {
    expect(comesTo('US', line)).toEqual(to);
    expect(readLine(line, 'US').channel?.name).toBe(name);
  });
});

describe('an offset of which something is missing', () => {
  it.each(ASKED)('%s', (line, about, offered) => {
    const { ok, questions } = readLine(line, 'US');
    expect(ok).toBe(false);
    const asked = questions.find(({ blocking }) => blocking);
    expect(asked).toMatchObject({ code: 'left-over', about });
    const lines = asked && 'lines' in asked ? asked.lines : [];
    expect(lines.map((one) => comesTo('US', one))).toEqual(offered);
  });
  it('a tone behind the word is none of it', () => expect(comesTo('US', '462.725 offset 88.5')).toBe('ask'));
});

describe('any line', () => {
  const pick = (...all: string[]) => fc.constantFrom(...all);
  const parts = fc.record({
    name: pick('Quarry ', 'Kelp Stairs ', '"High frequency net" ', ''),
    way: pick('rx ', 'output ', 'out ', ''),
    mhz: pick('462.725', '146.94', '156.8', '446.00625', '477.4', '27.185'),
    unit: pick(' MHz', 'MHz', ''),
    more: pick(
      ' 131.8',
      ' tone 88.5',
      ' rpt in 131.8',
      ' D023N',
      ' simplex',
      ' in 467.725 141.3',
      ' +5 MHz',
      ' rx only',
      '',
    ),
    label: pick('freq ', 'Freq: ', 'FREQUENCY = ', 'frequency is ', 'Frequencies '),
    country: fc.constantFrom('US' as const, 'EU' as const, 'AU' as const, 'other' as const),
  });
  const told = (line: string, country: 'US' | 'EU' | 'AU' | 'other') => {
    const { ok, channel, questions } = readLine(line, country);
    return { ok, channel: channel && { ...channel, note: '' }, codes: questions.map(({ code }) => code) };
  };
  it('says the same with a word for what its frequency is', () =>
    fc.assert(
      fc.property(parts, ({ name, way, mhz, unit, more, label, country }) => {
        expect(told(`${name}${way}${label}${mhz}${unit}${more}`, country)).toEqual(
          told(`${name}${way}${mhz}${unit}${more}`, country),
        );
      }),
      { numRuns: runs(3000) },
    ));
});
