import { wantedBy } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import { heldFrom, readMemory, writeMemory } from '@umbrex/core/formats';
import { heldMemory, heldOf, unknownMemory } from '@umbrex/core/memory';
import {
  factoryMemory,
  type Held,
  type HeldPlace,
  type Memory,
  type Plan,
  slotsOf,
  type Unit,
} from '@umbrex/core/model';
import { drawPlaces } from '@umbrex/core/procedure';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PROVABLE, SHIPPED, shipped } from '../support/devices';
import { memoryAfter, read } from '../support/memory';
import { anyPlan, channel, plan, unit } from '../support/plans';
import { runs } from '../support/runs';

const PAGE = shipped('page-handheld');
const state = (places: readonly HeldPlace[], more: Partial<Unit> = {}, settings: Held['settings'] = {}) => ({
  keeps: [],
  accepts: [],
  holds: read(places, { ...settings }),
  ...more,
});
/** A place of the holder's own at the first free number. */
const CAMP: HeldPlace = { number: 45, values: { rx: 151_820_000, title: 'CAMP' } };
const dispatch = channel('Dispatch', 155.34, null);

describe('the memory as it is drawn', () => {
  const nothing = { keeps: [], wrote: [], overwrites: [], erases: [] };
  const drawn = (description: typeof PAGE, now: Memory) =>
    drawPlaces(description, { slots: new Map(), settings: {} }, now, nothing);
  it('places that hold nothing stand as one run up to the next that holds something', () => {
    const { memory } = heldMemory(PAGE, read([CAMP, { number: 48, values: { rx: 151_940_000 } }], {}));
    const [block] = drawn(PAGE, memory).find(({ kind }) => kind === 'free')?.blocks ?? [];
    const [first, second, third, fourth] = block?.places ?? [];
    const own = PAGE.regions.find(({ id }) => id === 'own');
    expect([first, second, third, fourth].map((one) => [one?.number, one?.state, one?.run])).toEqual([
      [own?.first, CAMP.number === own?.first ? 'own' : 'empty', 1],
      ...(CAMP.number === own?.first
        ? [
            [46, 'empty', 2],
            [48, 'own', 1],
            [49, 'empty', (own?.first ?? 0) + (own?.count ?? 0) - 49],
          ]
        : []),
    ]);
    expect(second).toMatchObject({
      label: expect.any(String),
      lastLabel: third ? expect.not.stringMatching(second?.label ?? '') : '',
    });
  });
  it('what nobody looked at is a run of its own, and no place is left out', () => {
    for (const description of SHIPPED)
      for (const memory of [factoryMemory(description), unknownMemory(description)]) {
        const places = drawn(description, memory).flatMap(({ blocks }) => blocks.flatMap((b) => b.places));
        expect(places.reduce((sum, { run }) => sum + run, 0)).toBe(slotsOf(description).length);
        for (const { run, state: is } of places) if (run > 1) expect(['empty', 'unseen']).toContain(is);
      }
    const [block] = drawn(PAGE, unknownMemory(PAGE)).find(({ kind }) => kind === 'free')?.blocks ?? [];
    expect(block?.places.map(({ state: is }) => is)).toEqual(['unseen']);
  });
});

describe('what a set holds now', () => {
  it('stays where it is while there is another place: the plan goes to the next empty number', () => {
    const { fit, toAccept, proof } = prepare(plan([dispatch]), PAGE, state([CAMP]));
    expect(fit.cells[0]?.slot?.number).toBe(46);
    expect(toAccept).toEqual([]);
    expect(proof.firstDifference).toBeNull();
  });
  it('is kept in use where it is the channel already', () => {
    const own: HeldPlace = { number: 47, values: { rx: 155_340_000, title: 'OLD' } };
    const { fit, toAccept } = prepare(plan([dispatch]), PAGE, state([CAMP, own]));
    expect(fit.cells[0]?.slot?.number).toBe(47);
    // Its name is another one, so it is still looked at first.
    expect(toAccept).toEqual([47]);
  });
  it('is kept in use also where only its frequency was read, and the rest of the set is not known', () => {
    const own: HeldPlace = { number: 47, values: { rx: 155_340_000 } };
    const holds = { ...read([own]), rest: 'unknown' as const };
    const { fit, proof } = prepare(plan([dispatch]), PAGE, { keeps: [], accepts: [], holds });
    expect(fit.cells[0]?.slot?.number).toBe(47);
    expect(proof.firstDifference).toBeNull();
  });
  it('goes only when somebody has let it go; the sheet then proves itself from what was there', () => {
    const full = PAGE.regions.find(({ id }) => id === 'own');
    if (!full) throw new Error('no own region');
    const all = Array.from({ length: full.count }, (_, k) => ({ ...CAMP, number: full.first + k }));
    const before = prepare(plan([dispatch]), PAGE, state(all));
    expect(before.toAccept).toEqual([45]);
    const after = prepare(plan([dispatch]), PAGE, state(all, { accepts: [45] }));
    expect([after.toAccept, after.proof.firstDifference]).toEqual([[], null]);
    // Held back, it stays, and the plan takes the next one.
    const kept = prepare(plan([dispatch]), PAGE, state(all, { keeps: [45] }));
    expect([kept.fit.cells[0]?.slot?.number, kept.toAccept]).toEqual([46, [46]]);
  });
  it('a tone left on a factory pair is the holder’s own too', () => {
    const pair: HeldPlace = { number: 5, values: { txTone: '100.0' } };
    const kelp = channel('Kelp', 462.65, 467.65, { transmitTone: '131.8', receiveTone: 'off' });
    const { toAccept, sheet, proof } = prepare(plan([kelp]), PAGE, state([pair]));
    expect([toAccept, sheet.overwrites, proof.firstDifference]).toEqual([[5], [5], null]);
  });
  it('what the description does not know is said by number and field, and no sheet is proven', () => {
    const odd: HeldPlace[] = [
      { number: 900, values: {} },
      { number: 5, values: { txTone: '99.9', colour: 'red' } },
      { number: 46, values: { title: 'NO RX' } },
      { number: 47, values: { rx: 999_500_000 } },
    ];
    const { notUnderstood } = heldMemory(PAGE, {
      rest: 'factory',
      places: odd,
      settings: { beep: 'LOUD', colour: 'red' },
    });
    expect(notUnderstood.map(({ number, field, value }) => `${number} ${field} ${value}`)).toEqual([
      '900  ',
      '5 txTone 99.9',
      '5 colour red',
      '46 rx ',
      '47 rx 999500000',
      'null beep LOUD',
      'null colour red',
    ]);
    expect(prepare(plan([dispatch]), PAGE, state(odd)).proof).toMatchObject({
      proven: false,
      firstDifference: { code: 'held-not-understood', number: 900 },
    });
    const document = {
      format: 'umbrex/memory@1',
      descriptionId: PAGE.id,
      slots: odd.map((place) => ({ ...place, label: '' })),
      settings: { beep: 'LOUD' },
    };
    const file = readMemory(JSON.stringify(document));
    if (!file.ok) throw new Error('not read');
    expect(heldFrom(PAGE, file.value).findings.map(({ path }) => path)).toEqual([
      '/slots/0',
      '/slots/1/values/txTone',
      '/slots/1/values/colour',
      '/slots/2/values/rx',
      '/slots/3/values/rx',
      '/settings/beep',
    ]);
  });
});

it('places that were read count no more once somebody says that the set holds something else', () => {
  const holds = (what: string) =>
    unit(1, 'page-handheld', { holds: { what, on: '2026-11-01', places: [CAMP] } as never }).holds.places;
  expect([holds('read'), holds('factory'), holds('other')]).toEqual([[CAMP], [], []]);
});

/** A plan with alert radios and settings of whole sets, as far as a kind has them. */
const whole = (any: Plan): Plan => ({
  ...any,
  alerts: { areas: ['099001', '099002'], reach: 'list', weatherHz: 162_475_000, silent: ['FFA', 'RWT'] },
  setup: {
    'page-handheld': { beep: 0, light: 2, sideShort: 3, sideLong: 1 },
    'zoned-mobile': { keyA: 4, keyB: 1 },
    'bank-handheld': { bright: 4 },
    'pocket-radio': { bell: 3 },
  },
});

describe('from what is there to the plan', () => {
  it('after its sheet every device needs none: loaded, read back, and fitted again, nothing changes or goes', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SHIPPED), anyPlan, (description, any) => {
        const { fit } = prepare(whole(any), description);
        const held = heldOf(description, memoryAfter(description, fit.image), 'factory');
        const again = prepare(whole(any), description, state(held.places, {}, held.settings));
        expect(again.sheet.steps).toEqual([]);
        expect(again.sheet.overwrites).toEqual([]);
        expect(again.fit.cells.map(({ slot }) => slot)).toEqual(fit.cells.map(({ slot }) => slot));
      }),
      { numRuns: runs(60) },
    );
  });
  it('from one plan to another, sheets prove themselves, and what goes is the old plan’s alone', () => {
    fc.assert(
      fc.property(fc.constantFrom(...PROVABLE), anyPlan, anyPlan, (description, first, second) => {
        const { fit } = prepare(whole(first), description);
        const held = heldOf(description, memoryAfter(description, fit.image), 'factory');
        const { proof, toAccept } = prepare(
          {
            ...second,
            alerts: {
              areas: ['099002', '299003'],
              reach: 'list',
              weatherHz: 162_550_000,
              silent: ['FFA', 'SPS'],
            },
          },
          description,
          state(held.places, {}, held.settings),
        );
        expect(proof.firstDifference).toBeNull();
        for (const number of toAccept) expect(held.places.map((place) => place.number)).toContain(number);
      }),
      { numRuns: runs(40) },
    );
  });
  it('a memory written as a file and read again is the same', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SHIPPED), anyPlan, (description, any) => {
        const { image } = prepare(any, description).fit;
        const file = readMemory(JSON.stringify(writeMemory(description, wantedBy(image))));
        expect(file.ok && heldFrom(description, file.value).ok).toBe(true);
      }),
      { numRuns: runs(60) },
    );
  });
});

describe('the drawing of a memory', () => {
  it('has every place once, under its label, with what is done there', () => {
    const { fit, sheet, now } = prepare(plan([dispatch]), PAGE, state([CAMP], { keeps: [50] }));
    const facts = { keeps: [50], wrote: [], overwrites: sheet.overwrites, erases: [] };
    const regions = drawPlaces(PAGE, fit.image, now, facts);
    const own = regions.find(({ title }) => title === 'Own channels')?.blocks[0]?.places ?? [];
    expect(own.slice(0, 5).map(({ label, lastLabel, state: s, run }) => [label, lastLabel, s, run])).toEqual([
      ['M45', 'M45', 'own', 1],
      ['M46', 'M46', 'filled', 1],
      ['M47', 'M49', 'empty', 3],
      ['M50', 'M50', 'kept', 1],
      ['M51', 'M128', 'empty', 78],
    ]);
    const all = regions.flatMap(({ blocks }) => blocks.flatMap(({ places }) => places));
    expect(all.reduce((sum, { run }) => sum + run, 0)).toBe(8 + 22 + 14 + 84);
  });
});
