import { readListing } from '@umbrex/core/listing';
import { describe, expect, it } from 'vitest';

describe('a pasted listing', () => {
  const sheet = [
    'Name\tFrequency\tTone\tAccess',
    'Kelp Stairs\t462.650\trpt 131.8\topen',
    '',
    'Gannet Top\t467.575\tD251\task first',
    'Boat crews\t462.625\tdirect 82.5\topen',
  ].join('\r\n');
  it('passes over titles and empty lines, keeps line numbers, and asks where it must', () => {
    const { lines, beyond } = readListing(sheet);
    expect(lines.map(({ line, reading }) => [line, reading.ok])).toEqual([
      [2, true],
      [4, false],
      [5, true],
    ]);
    expect(lines[1]?.reading.questions.map((q) => q.code)).toContain('frequency-is-input');
    expect(lines[0]?.reading.channel).toMatchObject({
      name: 'Kelp Stairs',
      access: 'open',
      transmitTone: '131.8',
    });
    expect(beyond).toBe(0);
  });
  it('reads 500 lines at once and says how many are left', () =>
    expect(readListing('ch 4\n'.repeat(510))).toMatchObject({ lines: { length: 500 }, beyond: 10 }));
});

describe('a table with titles', () => {
  const rows = (text: string, cellsOf?: Parameters<typeof readListing>[2]) =>
    readListing(text, 'US', cellsOf).lines.map(({ reading: { ok, channel, questions } }) =>
      ok && channel
        ? [
            channel.name,
            channel.receiveHz / 1e6,
            channel.transmitHz === null ? null : channel.transmitHz / 1e6,
            channel.transmitTone,
            channel.receiveTone,
            channel.note,
          ]
        : questions.filter((one) => one.blocking).map(({ code }) => code),
    );
  it('is read by its columns, in whatever order; remarks do not stick to names', () =>
    expect(
      rows(
        [
          'Notes;Offset;Output;Access tone;Name;Output tone;County',
          'linked, 24/7;+5;462.650;131.8;Kelp Stairs 7;100.0;Ostrel',
          ';-0.6;146.940;;2 m ridge;;',
        ].join('\n'),
      ),
    ).toEqual([
      ['Kelp Stairs 7', 462.65, 467.65, '131.8', '100.0', 'linked, 24/7, Ostrel'],
      ['2 m ridge', 146.94, 146.34, 'unknown', 'off', ''],
    ]));
  it('with input and output, with channel numbers, and with a tone that names no direction', () =>
    expect(
      rows(
        [
          'Name,RX,TX,Tone,Remarks',
          'Works,451.8125,456.8125,103.5,day only',
          'Boats,462.5625,462.5625,82.5,',
        ].join('\n'),
      ),
    ).toEqual([
      ['Works', 451.8125, 456.8125, '103.5', 'off', 'day only'],
      ['Boats', 462.5625, 462.5625, '82.5', '82.5', ''],
    ]));
  it('asks where a cell does', () =>
    expect(rows('Ch\tName\tTone\n20\tKelp\t131.8\n23\tAuk\t\n20\tTern\t131.7')).toEqual([
      ['Kelp', 462.675, 462.675, '131.8', '131.8', ''],
      ['no-such-channel'],
      ['tone-not-standard'],
    ]));
  it('a line that asked is read as it was mended, with its remarks', () => {
    const text = 'Name\tOutput\tTone\tNotes\nAuk\t467.600\trpt 131.8\thigh up';
    const [first] = readListing(text).lines;
    const offer = first?.reading.questions.find(({ blocking }) => blocking)?.lines?.[0] ?? '';
    const [then] = readListing(text, 'US', undefined, new Map([[first?.read ?? '', offer]])).lines;
    expect(then?.reading.channel).toMatchObject({ name: 'Auk', receiveHz: 462_600_000, note: 'high up' });
    expect(then?.reading.ok).toBe(true);
  });
  it('cells are parted as its caller parts them: commas and quotation marks', () => {
    const quoted = (line: string) =>
      [...line.matchAll(/"([^"]*)"|([^,]+)|(?<=,)(?=,|$)/g)].map((match) => match[1] ?? match[2] ?? '');
    expect(rows('Name,Frequency,Notes\n"Kelp, north",462.5625,"a, b"', quoted)).toEqual([
      ['Kelp, north', 462.5625, 462.5625, 'off', 'off', 'a, b'],
    ]);
  });
  it('a row of figures is no row of titles, and a first line without a frequency is none', () => {
    expect(rows('Kelp\t462.5625')).toHaveLength(1);
    expect(rows('Name\tPhone\nAda\t12')).toHaveLength(2);
  });
});
