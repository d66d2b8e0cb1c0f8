import { factoryMemory } from '@umbrex/core/model';
import { asLoadedByCable, CableSet, offerFile } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { holding } from '../support/memory';
import { mobile, type Raw, region } from '../support/mobile';

// What a set on a cable makes of a data file, decided by hand: the mobile, whose fields a file carries as far as its keys set them.

const HELD = { rx: 462_700_000, off: 0, enc: 1, dec: 0, pow: 2, wid: 1, mute: 0, name: 'ABE' };
const byFile = (change: (raw: Raw) => void = () => undefined) =>
  mobile((raw) => {
    for (const one of raw.regions) for (const way of one.ways) way.by = ['keys', 'file'];
    change(raw);
  });

type Values = Record<string, string | number> | null;

/** What a set says of a file with these places, and what it then holds. */
function taken(
  places: Record<number, Values>,
  settings: Record<string, string> = {},
  set = byFile(),
  descriptionId = 'little-mobile',
) {
  const cable = new CableSet(set, holding(set, { 11: HELD }));
  const slots = Object.entries(places).map(([number, values]) => ({
    number: Number(number),
    label: '',
    values,
  }));
  const findings = cable.take({ format: 'umbrex/memory@1', descriptionId, slots, settings });
  const memory = cable.memory();
  return {
    says: findings.map((finding) =>
      'path' in finding ? `${finding.path}: ${'detail' in finding ? finding.detail : ''}` : '',
    ),
    at: (number: number) => memory.slots.get(number),
    settings: memory.settings,
  };
}

describe('a data file', () => {
  it('changes what it names, and leaves the rest of a place as it was', () => {
    const { says, at, settings } = taken(
      { 11: { enc: '77.0', pow: 'LOW' }, 12: { rx: 462_650_000, name: 'ACE' } },
      { bell: '3' },
    );
    expect(says).toEqual([]);
    expect(at(11)).toEqual({ ...HELD, enc: 3, pow: 0 });
    // What is not said of a new place is as from the factory.
    expect(at(12)).toEqual({ rx: 462_650_000, off: 0, enc: 0, dec: 0, pow: 2, wid: 1, mute: 0, name: 'ACE' });
    expect(settings).toEqual({ bell: 3, beep: 0 });
  });
  it('cuts a name that is too long, as the set does', () =>
    expect(taken({ 11: { name: 'ABCDE' } }).at(11)).toEqual({ ...HELD, name: 'ABCD' }));
  it('empties a place', () => expect(taken({ 11: null }).at(11)).toBeNull());
  it.each<[string, ReturnType<typeof taken>, string[]]>([
    [
      'of another kind of set',
      taken({}, {}, undefined, 'other'),
      ['/descriptionId: of other, not of little-mobile'],
    ],
    ['with a place that is not there', taken({ 99: null }), ['/slots/0: no place 99 in this kind of set']],
    ['that empties one of the factory’s', taken({ 1: null }), ['/slots/0: place 1 cannot be empty']],
    [
      'with a field that cannot be set there',
      taken({ 1: { wid: 'WIDE' } }),
      ['/slots/0/values/wid: WIDE cannot be set here'],
    ],
    [
      'with a field that it has not',
      taken({ 11: { squelch: 3 } }),
      ['/slots/0/values/squelch: 3 cannot be set here'],
    ],
    [
      'with a value that is in no list',
      taken({ 11: { enc: '99.9' } }),
      ['/slots/0/values/enc: 99.9 cannot be set here'],
    ],
    [
      'with a frequency that it cannot hear',
      taken({ 11: { rx: 154_250_000 } }),
      ['/slots/0/values/rx: 154250000 cannot be set here'],
    ],
    [
      'with a frequency as words',
      taken({ 11: { rx: '462650000' } }),
      ['/slots/0/values/rx: 462650000 cannot be set here'],
    ],
    [
      'with letters that it has not',
      taken({ 11: { name: 'XYZ' } }),
      ['/slots/0/values/name: XYZ cannot be set here'],
    ],
    ['with a setting that it has not', taken({}, { lamp: '1' }), ['/settings/lamp: 1 cannot be set here']],
    ['with another value of a setting', taken({}, { bell: '7' }), ['/settings/bell: 7 cannot be set here']],
    [
      'with a name for a set that has none',
      taken({ 11: { name: 'A' } }, {}, { ...byFile(), names: 'none' }),
      ['/slots/0/values/name: A cannot be set here'],
    ],
    [
      'with more than it holds at once',
      taken(
        { 12: { rx: 462_650_000 } },
        {},
        byFile((raw) => Object.assign(raw, { capacity: 1 })),
      ),
      ['/slots: 2 memories, 1 at most'],
    ],
  ])('%s is refused whole', (_, { says, at, settings }, wanted) => {
    expect(says).toEqual(wanted);
    expect(at(11)).toEqual(HELD);
    expect(settings).toEqual({ bell: 1, beep: 0 });
  });
});

describe('the same change by a file', () => {
  const wanted = (number: number, more: object = {}) => ({
    slots: new Map([[number, { ...HELD, ...more }]]),
    settings: {},
  });
  it('is sent as to a set that is loaded by cable', () => {
    const blank = { before: [], hazards: [], readBack: [], by: 'cable' };
    expect(asLoadedByCable(mobile())).toEqual({ ...mobile(), loading: blank });
    const words = {
      before: ['Charge it.'],
      hazards: ['It beeps.'],
      readBack: ['Read it.'],
      by: 'keypad' as const,
    };
    expect(asLoadedByCable({ ...mobile(), loading: words }).loading).toEqual({ ...words, by: 'cable' });
  });
  it('is nothing for a set that takes none', () =>
    expect(offerFile(mobile(), factoryMemory(mobile()), wanted(11))).toBeUndefined());
  it('comes to the very same', () => {
    const set = byFile();
    expect(offerFile(set, factoryMemory(set), wanted(11))).toEqual({
      proven: true,
      firstDifference: null,
      byKeys: [],
    });
  });
  it('is not offered where keys set more: what is missing is named', () => {
    const set = byFile((raw) => {
      region(raw, 'free').ways = [
        { by: ['keys', 'file'], fields: ['rx', 'off', 'dec', 'pow', 'wid', 'mute'] },
        { by: ['keys'], fields: ['enc', 'name'] },
      ];
    });
    expect(offerFile(set, factoryMemory(set), wanted(11))).toEqual({
      proven: false,
      firstDifference: null,
      byKeys: ['Tone sent', 'Name'],
    });
  });
  it('is not proven where the set refuses the file', () => {
    const set = byFile((raw) => Object.assign(raw, { capacity: 1 }));
    const offer = offerFile(set, holding(set, { 11: HELD }), wanted(12));
    expect(offer).toMatchObject({
      proven: false,
      byKeys: [],
      firstDifference: { code: 'document-shape', path: '/slots' },
    });
  });
});
