import { fromUnknown, prepare, triedAs } from '@umbrex/core/flow';
import { readDescription } from '@umbrex/core/formats';
import type { Description } from '@umbrex/core/model';
import { stepSlips } from '@umbrex/core/procedure';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KEYED, shipped } from '../support/devices';
import { OSTREL } from '../support/plans';
import { runs } from '../support/runs';

type Spoil = (description: Description) => void;
const slip = (spoil: Spoil, id = 'page-handheld') => {
  const description = shipped(id);
  spoil(description);
  const read = readDescription(JSON.stringify(description));
  return read.ok ? [] : read.findings.map(({ path, code }) => [code, path]);
};
const recipes = ({ recipes: has }: Description) => {
  if (!has) throw new Error('no recipes');
  return has;
};

describe('ordinary slips in a description are findings at their place', () => {
  const PAGE = 'page-handheld';
  const keysOf = ({ behaviour: has }: Description) => {
    if (!has) throw new Error('no behaviour');
    return has;
  };
  const cases: readonly (readonly [string, Spoil, string, string])[] = [
    [
      'a mark that means nothing in a step',
      (d) => Object.assign(recipes(d).slotStep[0] ?? {}, { says: 'Go to {nummer}.' }),
      '/recipes/slotStep/0/says',
      PAGE,
    ],
    [
      'a mark that means nothing on a screen',
      (d) => keysOf(d).modes.standby?.screen.push('{nummer}'),
      '/behaviour/modes/standby/screen/2',
      PAGE,
    ],
    [
      'a key that is not there',
      (d) => recipes(d).open.push({ do: 'press', key: 'nokey', says: 'Press.' }),
      '/recipes/open/1/key',
      PAGE,
    ],
    [
      'a key that types a figure',
      (d) => Object.assign(recipes(d).charKeys ?? {}, { '7': 'nokey' }),
      '/recipes/charKeys/7',
      PAGE,
    ],
    [
      'the start in the steps',
      (d) => Object.assign(recipes(d), { startNumber: 900 }),
      '/recipes/startNumber',
      PAGE,
    ],
    [
      'the start in the behaviour',
      (d) => Object.assign(keysOf(d), { startNumber: 900 }),
      '/behaviour/startNumber',
      PAGE,
    ],
    ['how a frequency is typed', (d) => delete recipes(d).frequencyEntry, '/recipes/frequencyEntry', PAGE],
    [
      'too few items on a wheel',
      (d) => Object.assign(recipes(d), { itemCount: 1 }),
      '/recipes/items/txd/place',
      'plain-handheld',
    ],
    ['an order with a field that has no steps', (d) => delete recipes(d).set.power, '/recipes/order/4', PAGE],
    [
      'a region to empty that is not there',
      (d) => recipes(d).erase?.regions.push('nowhere'),
      '/recipes/erase/regions/1',
      PAGE,
    ],
    [
      'an item of the set for a field that is not there',
      (d) => Object.assign(keysOf(d).items[0] ?? {}, { target: { reach: 'channel', field: 'nofield' } }),
      '/behaviour/items/0/target/field',
      PAGE,
    ],
    [
      'figures that begin two frequencies',
      (d) => Object.assign(recipes(d).frequencyEntry ?? {}, { unitHz: 10_000, digits: 5 }),
      '/recipes/frequencyEntry',
      'twostep-mobile',
    ],
    [
      'figures that are completed to nobody knows what',
      (d) => Object.assign(d, { receive: 'unknown' }),
      '/behaviour/frequencyEntry',
      'twostep-mobile',
    ],
    ['letters of a wheel', (d) => delete recipes(d).letterWheel, '/recipes/letterWheel', 'amateur-handheld'],
  ];
  it.each(cases)('%s', (_, spoil, path, id) => {
    expect(slip(spoil, id)).toContainEqual(['document-shape', path]);
  });
  it('none of the shipped ones has any', () => {
    for (const { id } of KEYED) expect(slip(() => {}, id)).toEqual([]);
  });
});

describe('a description that passes comes to no stop, whatever is missing in it', () => {
  /** Takes something out of a document, or puts something else there, at any place. */
  const spoilt = (description: Description, at: number, how: number): unknown => {
    const document = structuredClone(description) as unknown as Record<string, unknown>;
    const places: [Record<string, unknown> | unknown[], string | number][] = [];
    const walk = (node: unknown) => {
      if (typeof node !== 'object' || node === null) return;
      for (const key of Array.isArray(node) ? node.keys() : Object.keys(node)) {
        places.push([node as never, key as never]);
        walk((node as Record<string, unknown>)[key as never]);
      }
    };
    walk(document.recipes);
    walk(document.behaviour);
    walk(document.lists);
    const [parent, key] = places[at % places.length] ?? [document, 'title'];
    const target = parent as Record<string | number, unknown>;
    if (how % 3 === 0 && Array.isArray(parent)) parent.splice(Number(key), 1);
    else if (how % 3 === 0) delete target[key];
    else if (how % 3 === 1) target[key] = typeof target[key] === 'number' ? how : 'x';
    else if (typeof target[key] === 'number') target[key] = 1 + Number(target[key]);
    else if (typeof target[key] === 'string') target[key] = `${target[key]}1`;
    return document;
  };
  it('300 spoilt ones: refused with a path, or a sheet that is proven or says why not', () => {
    let passed = 0;
    fc.assert(
      fc.property(fc.constantFrom(...KEYED), fc.nat(), fc.nat(), (description, at, how) => {
        const read = readDescription(JSON.stringify(spoilt(description, at, how)));
        if (!read.ok) {
          for (const { path } of read.findings) expect(path).toBeTypeOf('string');
          return;
        }
        passed++;
        const small = { ...OSTREL, channels: OSTREL.channels.slice(0, 6) };
        const { proof } = prepare(small, read.value, triedAs(read.value, small));
        expect(proof.proven || proof.firstDifference !== null).toBe(true);
        const unknown = fromUnknown(small, read.value);
        expect(unknown.proven || unknown.firstDifference !== null).toBe(true);
        // Its words are held against its keys when it is brought in: that comes to no stop either.
        for (const { path, seen } of stepSlips(read.value))
          expect([path, seen].every((one) => one !== undefined)).toBe(true);
      }),
      { numRuns: runs(300), seed: 5 },
    );
    expect(passed).toBeGreaterThan(runs(60));
  });
});
