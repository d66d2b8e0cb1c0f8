import { columnsToRead, guessMapping, readTable } from '@umbrex/core/fields';
import { describe, expect, it } from 'vitest';
import { uuid } from '../support/plans';

const names = { group: [{ id: uuid(21), name: 'All' }] };
/** A table of channels as somebody keeps it, under whatever titles; what is read of where each sends, or what is asked. */
function read(header: string[], ...rows: string[][]) {
  let n = 0;
  const mapping = guessMapping(header, columnsToRead('channel'));
  return readTable('channel', {
    rows,
    mapping,
    firstLine: 2,
    newId: () => uuid(900 + n++),
    present: [],
    names,
  }).map(({ value, findings: [first] }) =>
    value
      ? [value.receiveHz, value.transmitHz, value.transmitTone, value.receiveTone]
      : first?.code === 'cell-unreadable'
        ? first.column
        : first?.code,
  );
}

describe('where a channel of a table sends, by its offset', () => {
  // Pairs of 47 CFR 95.1763 (GMRS, +5 MHz) and of band plans (2 m: 600 kHz either way; common practice).
  it.each([
    ['+5.000', '', 467_550_000, 462.55],
    ['5', '+', 467_550_000, 462.55],
    ['5 MHz', 'plus', 467_550_000, 462.55],
    ['-0.600', '', 146_310_000, 146.91],
    ['600 kHz', '-', 146_310_000, 146.91],
    ['0,6', 'DUP-', 146_310_000, 146.91],
    ['−0.6', '', 146_310_000, 146.91],
    ['0', '', 462_550_000, 462.55],
    ['', 'simplex', 462_550_000, 462.55],
    ['simplex', '', 462_550_000, 462.55],
    ['0.000', 'off', 462_550_000, 462.55],
  ])('offset %j, duplex %j', (offset, duplex, transmitHz, mhz) => {
    const header = ['Duplex', 'Name', 'Shift', 'Frequency', 'Group', 'Tone in', 'Tone out'];
    expect(read(header, [duplex, 'Gannet', offset, String(mhz), 'All', '131.8', 'off'])).toEqual([
      [Math.round(mhz * 1e6), transmitHz, '131.8', 'off'],
    ]);
  });
  it.each([
    ['5', '', 'Offset', 'a size without its direction'],
    ['', '+', 'Offset', 'a direction without its size'],
    ['', '', 'Offset', 'nothing at all'],
    ['+5', '-', 'Duplex', 'two directions'],
    ['5', 'sideways', 'Duplex', 'no direction'],
    ['much', '+', 'Offset', 'no size'],
    ['0', '+', 'Offset', 'simplex with a direction'],
    ['5', 'simplex', 'Offset', 'simplex with a size'],
    ['-500', '', 'Offset', 'a size that leads below nothing'],
  ])('offset %j, duplex %j is asked for at %s: %s', (offset, duplex, column) => {
    expect(
      read(['Name', 'Frequency', 'Group', 'Offset', 'Duplex'], ['Gannet', '462.55', 'All', offset, duplex]),
    ).toEqual([column]);
  });
  it('a transmit frequency stands for itself; one that the offset contradicts is asked for', () => {
    const header = ['Name', 'RX', 'TX', 'Group', 'Offset'];
    expect(
      read(
        header,
        ['A', '462.55', '467.55', 'All', ''],
        ['B', '462.55', '467.55', 'All', '+5'],
        ['C', '462.55', '467.60', 'All', '+5'],
        ['D', 'nowhere', '', 'All', '+5'],
      ),
    ).toEqual([
      [462_550_000, 467_550_000, 'unknown', 'unknown'],
      [462_550_000, 467_550_000, 'unknown', 'unknown'],
      'Transmit',
      'Receive',
    ]);
  });
  it('without such columns an empty cell is a channel that is only listened to, as before', () => {
    expect(
      read(['Name', 'Receive', 'Transmit', 'Group', 'TX tone'], ['A', '162.4', '', 'All', 'off']),
    ).toEqual([[162_400_000, null, 'off', 'unknown']]);
  });
});
