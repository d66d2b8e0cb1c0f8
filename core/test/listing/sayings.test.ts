import { readLine } from '@umbrex/core/listing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../support/runs';

/*
 * Lines that say two things of which a channel has one, as listings write them (common practice): decided before the reader was asked. What
 * may be meant, and the line for each.
 */
const TWO: readonly (readonly [line: string, lines: readonly string[], of: string])[] = [
  ['Club 442.100 + 100.0 FM/DMR CC1', ['Club 442.100 + 100.0 FM', 'Club 442.100 + 100.0 DMR CC1'], 'mode'],
  ['Ridge 443.5+ analog and P25', ['Ridge 443.5+ analog', 'Ridge 443.5+ P25'], 'mode'],
  [
    'Ridge 443.5+ P25/FM nac 293 pl 100.0',
    ['Ridge 443.5+ P25 nac 293 pl 100.0', 'Ridge 443.5+ FM pl 100.0'],
    'mode',
  ],
  ['146.94 - 88.5 d star & fm', ['146.94 - 88.5 d star', '146.94 - 88.5 fm'], 'mode'],
  ['Ridge 443.5+ AM FM', ['Ridge 443.5+ AM', 'Ridge 443.5+ FM'], 'mode'],
  ['Talk 446.1 NFM DMR', ['Talk 446.1 NFM', 'Talk 446.1 DMR'], 'mode'],
  ['Ridge 443.5+ mixed mode', ['Ridge 443.5+ FM', 'Ridge 443.5+ digital'], 'mode'],
  ['443.5+ dual-mode', ['443.5+ FM', '443.5+ digital'], 'mode'],
  ['Club 145.230- narrow wide', ['Club 145.230- narrow', 'Club 145.230- wide'], 'width'],
  ['Club 145.230- wideband 12.5k', ['Club 145.230- wideband', 'Club 145.230- 12.5k'], 'width'],
  ['Club 145.230- 100.0 open private', ['Club 145.230- 100.0 open', 'Club 145.230- 100.0 private'], 'access'],
  ['Club 145.230- planned withdrawn', ['Club 145.230- planned', 'Club 145.230- withdrawn'], 'state'],
];

describe('a line that says two things of one', () => {
  it.each(TWO)('%s', (line, lines, of) => {
    const { ok, questions } = readLine(line, 'US');
    const asked = questions.filter(({ code }) => code === 'says-two');
    expect(ok).toBe(false);
    expect(asked.map((question) => question.lines)).toEqual([lines]);
    expect(asked[0]?.of).toBe(of);
    expect(questions.map(({ code }) => code)).not.toContain('digital-mode');
    for (const answer of lines)
      expect(readLine(answer, 'US').questions.map(({ code }) => code)).not.toContain('says-two');
  });

  // Several words for the same, and words of a name, are no contradiction.
  it.each([
    ['Club 145.230- DMR P25', 'digital'],
    ['Club 145.230- analog FM narrow 12.5 kHz', 'FM'],
    ['Club 145.230- fusion C4FM', 'digital'],
    ['"FM Hill" 443.5+ DMR', 'digital'],
  ])('%s is none', (line, mode) => {
    const { channel, questions } = readLine(line, 'US');
    expect(questions.map(({ code }) => code)).not.toContain('says-two');
    expect(channel?.mode).toBe(mode);
  });

  it('is asked in whatever order the words stand, and an answer leaves frequency, way and tone as they were', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('FM', 'analog', 'NFM'),
        fc.constantFrom('DMR', 'P25 nac 293', 'D-STAR', 'digital'),
        fc.constantFrom('100.0', 'pl 131.8', ''),
        fc.boolean(),
        (analogue, digital, tone, isFirst) => {
          // `digital pl` is a word for a digital squelch.
          fc.pre(!(digital === 'digital' && tone.startsWith('pl')));
          const words = isFirst ? [analogue, digital, tone] : [tone, digital, analogue];
          const { questions } = readLine(`Ridge 443.500+ ${words.join(' ')}`, 'US');
          const lines = questions.find(({ code }) => code === 'says-two')?.lines ?? [];
          const read = lines.map((line) => readLine(line, 'US'));
          expect(read.map(({ channel }) => channel?.mode).toSorted()).toEqual(['FM', 'digital']);
          for (const { channel, questions: open } of read) {
            expect(open.filter(({ blocking }) => blocking)).toEqual([]);
            expect([channel?.name, channel?.receiveHz, channel?.transmitHz]).toEqual([
              'Ridge',
              443_500_000,
              448_500_000,
            ]);
            expect(channel?.transmitTone).toBe(tone === '' ? 'unknown' : tone.replace('pl ', ''));
          }
        },
      ),
      { numRuns: runs(200) },
    ));
});

describe('a dash', () => {
  it.each([
    ['Club 145.230- DMR', 144_630_000],
    ['Club 145.230- Elm street', 144_630_000],
    ['Club 145.230 - DMR', 144_630_000],
    ['Club 145.230 - Elm street', 145_230_000],
  ])(
    'that touches a frequency, or stands before a word that is no name, is its sign: %s',
    (line, transmitHz) => expect(readLine(line, 'US').channel?.transmitHz).toBe(transmitHz),
  );
});
