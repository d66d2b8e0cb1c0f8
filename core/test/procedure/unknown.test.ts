import { isDeepStrictEqual } from 'node:util';
import {
  afterSheet,
  type Composed,
  compose,
  fromUnknown,
  heldAfter,
  otherStart,
  ownPlaces,
  prepare,
  triedAs,
} from '@umbrex/core/flow';
import {
  chanceOf,
  completed,
  firstDifference,
  heldMemory,
  heldOf,
  unknownMemory,
  withWanted,
} from '@umbrex/core/memory';
import {
  type Description,
  factoryMemory,
  type Memory,
  type Plan,
  slotReader,
  slotsOf,
  type Unit,
} from '@umbrex/core/model';
import { beginnings, CALM, loadByFile, replay, TRIES_UNKNOWN } from '@umbrex/core/procedure';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PROVABLE, shipped } from '../support/devices';
import { UNSEEN } from '../support/memory';
import { anyPlan, channel, OSTREL, plan } from '../support/plans';
import { runs } from '../support/runs';
import { told } from '../support/told';

/** What each pattern can do with a set that nobody looked at, typed by hand: which way is cheapest. */
const CHEAPEST: Readonly<Record<string, string>> = {
  'amateur-handheld': 'absolute',
  'bank-handheld': 'reset',
  'bank-scanner': 'absolute',
  'cable-handheld': 'file',
  'cb-mobile': 'file',
  'counting-handheld': 'reset',
  'field-mobile': 'absolute',
  'fleet-mobile': 'file',
  'guided-handheld': 'absolute',
  'menu-alert': 'absolute',
  'network-scanner': 'absolute',
  'page-handheld': 'reset',
  'paired-handheld': 'file',
  'plain-handheld': 'reset',
  'pocket-radio': 'reset',
  'preset-radio': 'reset',
  repeater: 'file',
  'retired-portable': 'file',
  'slot-alert': 'absolute',
  'twostep-mobile': 'absolute',
  'wideband-receiver': 'absolute',
  'zoned-mobile': 'absolute',
};
const asSeen = (
  description: Description,
  anything: Plan,
  holds: Unit['holds'],
  more: Partial<Unit> = {},
) => ({
  keeps: [],
  accepts: [],
  ...triedAs(description, anything),
  holds,
  ...more,
});

describe('a set that nobody looked at', () => {
  it.each(PROVABLE.map((description) => [description.id, description] as const))(
    '%s: the demo’s plan comes out right on twenty memories, from every mode, calm and slow',
    (id, description) => {
      const found = fromUnknown(OSTREL, description);
      expect(found).toMatchObject({ way: CHEAPEST[id], proven: true, firstDifference: null });
      expect(found.tried).toBe(TRIES_UNKNOWN);
      expect(found.presses.most).toBeGreaterThanOrEqual(found.presses.mean);
    },
  );
  it('the twenty differ, agree with nothing but what cannot change, and begin in every mode', () => {
    const page = shipped('page-handheld');
    const begun = beginnings(page, unknownMemory(page), TRIES_UNKNOWN);
    expect(new Set(begun.map(({ memory }) => JSON.stringify([...memory.slots]))).size).toBe(TRIES_UNKNOWN);
    const modes = new Set(begun.flatMap(({ from }) => from?.mode ?? []));
    expect([...modes].sort()).toEqual(Object.keys(page.behaviour?.modes ?? {}).sort());
  });
  it('any plan on any pattern proves from there too', () =>
    fc.assert(
      fc.property(anyPlan, fc.constantFrom(...PROVABLE), (anything, description) => {
        const { proof } = prepare(anything, description, asSeen(description, anything, UNSEEN));
        expect(proof.firstDifference, description.id).toBeNull();
      }),
      { numRuns: runs(60) },
    ));
  it('a description that cannot say it in absolute terms gives no proven sheet, and says which field', () => {
    const { recipes, behaviour: _, ...rest } = shipped('plain-handheld');
    if (!recipes) throw new Error('no recipes');
    const { reset: _r, ...bare } = recipes;
    const set = Object.fromEntries(
      Object.entries(bare.set).map(([field, steps]) => [
        field,
        steps.map((step) => {
          const { shows: _s, ...relative } = step;
          return relative;
        }),
      ]),
    );
    const lame = {
      ...rest,
      behaviour: shipped('plain-handheld').behaviour,
      recipes: { ...bare, set },
    } as Description;
    expect(fromUnknown(OSTREL, lame)).toMatchObject({
      way: 'none',
      proven: false,
      firstDifference: { code: 'start-unknown', field: 'Send CTCSS' },
    });
    // From the factory state it is as good as before.
    expect(prepare(OSTREL, lame).proof.proven).toBe(true);
  });
});

describe('names', () => {
  const AMATEUR = shipped('amateur-handheld');
  const later = (holds: Unit['holds'], names: Unit['names']) =>
    prepare(OSTREL, AMATEUR, asSeen(AMATEUR, OSTREL, holds, { names }));
  it('are most of the presses of the amateur pattern; left for later all places work, and are then named alone', () => {
    const whole = later(UNSEEN, 'now');
    const bare = later(UNSEEN, 'later');
    expect([whole.proof.proven, bare.proof.proven]).toEqual([true, true]);
    expect(bare.sheet.presses).toBeLessThan(whole.sheet.presses * 0.25);
    expect(bare.sheet.steps.some(({ part }) => part === 'names')).toBe(false);
    const loaded = heldAfter(AMATEUR, bare, UNSEEN, 1, '2026-11-01');
    expect(later(loaded, 'later').sheet.steps).toEqual([]);
    const named = later(loaded, 'now');
    expect(named.proof.proven).toBe(true);
    expect(new Set(named.changes.places.flatMap(({ fields }) => fields))).toEqual(new Set(['title']));
    expect(named.changes.places).toHaveLength(named.fit.image.slots.size);
  });
  it('that are there and are others are written all the same', () => {
    const whole = later(UNSEEN, 'now');
    const loaded = heldAfter(AMATEUR, whole, UNSEEN, 1, '2026-11-01');
    const [first, ...rest] = OSTREL.channels;
    const renamed = {
      ...OSTREL,
      channels: [...rest, ...(first ? [first] : [])].map((one) => ({
        ...one,
        name: `X ${one.name}`.slice(0, 40),
        shortNames: [],
      })),
    };
    const again = prepare(renamed, AMATEUR, asSeen(AMATEUR, renamed, loaded, { names: 'later' }));
    expect(again.proof.proven).toBe(true);
    expect(again.changes.places.every(({ fields }) => fields.includes('title'))).toBe(true);
  });
});

describe('a reset', () => {
  const PAGE = shipped('page-handheld');
  it('is refused where its holder keeps numbers, or has something of their own', () => {
    const reset = (more: Partial<Unit>, holds = UNSEEN) =>
      prepare(OSTREL, PAGE, asSeen(PAGE, OSTREL, holds, { start: 'reset', ...more }));
    expect(reset({})).toMatchObject({ way: 'reset', proof: { proven: true } });
    expect(reset({ keeps: [60] }).proof).toMatchObject({
      proven: false,
      firstDifference: { code: 'reset-loses-kept', numbers: [60] },
    });
    const camp = { ...UNSEEN, what: 'read' as const, places: [{ number: 45, values: { rx: 151_820_000 } }] };
    const other = { ...UNSEEN, what: 'other' as const };
    expect(reset({}, other).proof.firstDifference).toMatchObject({ code: 'reset-loses-kept', numbers: [] });
    expect(reset({}, camp).proof.firstDifference).toMatchObject({ code: 'reset-loses-kept', numbers: [45] });
  });
  it('leaves nothing of what was there, and the set is known whole afterwards', () => {
    const prepared = prepare(OSTREL, PAGE, asSeen(PAGE, OSTREL, UNSEEN, { start: 'reset' }));
    const before = completed(PAGE, unknownMemory(PAGE), chanceOf(7));
    const { memory } = replay(PAGE, prepared.sheet.steps, CALM, { memory: before });
    expect(firstDifference(PAGE, withWanted(PAGE, factoryMemory(PAGE), prepared.wanted), memory)).toBeNull();
    expect(heldAfter(PAGE, prepared, UNSEEN, 3, '2026-11-01').rest).toBe('factory');
  });
  it('is not asked of a set that is known', () => {
    const known = { ...UNSEEN, what: 'factory' as const, rest: 'factory' as const };
    expect(prepare(OSTREL, PAGE, asSeen(PAGE, OSTREL, known, { start: 'reset' }))).toMatchObject({
      way: 'known',
      sheet: { resets: false },
    });
  });
});

/** Does a sheet on a set that really holds something, from a place and a mode of chance. */
function done(description: Description, prepared: Composed, memory: Memory, seed: number): Memory {
  if (prepared.sheet.way === 'file') return loadByFile(description, memory, prepared.wanted).memory;
  const chance = chanceOf(seed);
  const modes = Object.keys(description.behaviour?.modes ?? {});
  const places = slotsOf(description);
  const from = {
    mode: modes[Math.floor(chance() * modes.length)] ?? '',
    number: places[Math.floor(chance() * places.length)]?.number ?? 0,
  };
  return replay(description, prepared.sheet.steps, CALM, { memory, from }).memory;
}

const smallPlan = anyPlan.map((any) => ({ ...any, channels: any.channels.slice(0, 7) }));

describe('two plans in a row, on sets of which something is known and the rest holds anything', () => {
  it.each(PROVABLE.map((description) => [description.id, description] as const))('%s', (_, description) => {
    const read = slotReader(description);
    const slots = slotsOf(description);
    fc.assert(
      fc.property(smallPlan, smallPlan, fc.integer({ min: 1, max: 2 ** 30 }), (one, two, seed) => {
        const chance = chanceOf(seed);
        const before = completed(description, unknownMemory(description), chance);
        // Somebody read a few places of it.
        const seen = new Map([...before.slots].filter(() => chance() < 0.05));
        const { places } = heldOf(description, { slots: seen, settings: {} }, 'unknown');
        const holds: Unit['holds'] = { ...UNSEEN, what: 'read', places: [...places] };
        const room = (memory: Memory) =>
          description.capacity === undefined ||
          slots.filter(({ number, fixed }) => !fixed && memory.slots.get(number)).length + 16 <
            description.capacity;
        fc.pre(room(before));

        const first = compose(one, description, asSeen(description, one, holds));
        expect(first.sheet.findings).toEqual([]);
        const between = done(description, first, before, seed);
        const loaded = heldAfter(description, first, holds, 1, '2026-11-01');
        // What is then said of the set is true of it.
        const said = heldMemory(description, loaded).memory;
        expect(firstDifference(description, between, withWanted(description, between, said))).toBeNull();
        // The plan's own places are not its holder's.
        const own = ownPlaces(description, said, loaded.wrote);
        expect(own.filter((number) => first.fit.image.slots.has(number))).toEqual([]);

        const second = compose(two, description, asSeen(description, two, loaded));
        const after = done(description, second, between, seed + 1);
        const stays = new Set(second.stays);
        // Thousands of places: those that are not as they should be are gathered, and told once.
        const wrong: string[] = [];
        const isSame = (a: unknown, b: unknown, what: string) => isDeepStrictEqual(a, b) || wrong.push(what);
        for (const slot of slots) {
          const { number, fixed } = slot;
          const has = after.slots.get(number) ?? null;
          const wanted = second.fit.image.slots.get(number);
          const isOld = first.fit.image.slots.has(number);
          if (wanted) {
            expect(read(slot, has)).toMatchObject(wanted.content);
            if (told(wanted.content).transmitHz === null) expect(told(read(slot, has)).transmitHz).toBeNull();
          } else if (!isOld) isSame(has, before.slots.get(number) ?? null, `${number} was not to be touched`);
          else if (stays.has(number)) isSame(has, between.slots.get(number) ?? null, `${number} was to stay`);
          else if (!fixed) isSame(has, null, `${number} was to be erased`);
          else {
            const made = read(slot, factoryMemory(description).slots.get(number) ?? null);
            isSame(read(slot, has), made, `${number} was to be as made`);
          }
        }
        expect(wrong).toEqual([]);
        expect(after.settings).toEqual({ ...between.settings, ...second.fit.image.settings });
      }),
      { numRuns: runs(100), seed: 11 },
    );
  });
});

describe('what came of a heart that was read by somebody else', () => {
  const north = channel('North', 462.7, 467.7, { transmitTone: '100.0', receiveTone: '100.0' });
  const south = channel('South', 462.6, 467.6, { transmitTone: '156.7', receiveTone: '156.7' });
  const fire = channel('Fire', 154.265, null, { service: 'other' });
  const one = plan([north, south, fire]);
  const two = plan([{ ...north, receiveTone: 'off' }, fire]);
  it.each(['page-handheld', 'guided-handheld', 'plain-handheld', 'bank-handheld', 'amateur-handheld'])(
    '%s: revision 1 and then 2, with the set not looked at, ends as revision 2 wants it',
    (id) => {
      const description = shipped(id);
      for (let seed = 1; seed <= 6; seed++) {
        const before = completed(description, unknownMemory(description), chanceOf(seed));
        const first = prepare(one, description, asSeen(description, one, UNSEEN));
        const between = done(description, first, before, seed);
        for (const holds of [heldAfter(description, first, UNSEEN, 1, '2026-11-01'), UNSEEN]) {
          const second = prepare(two, description, asSeen(description, two, holds));
          const after = done(description, second, between, seed + 1);
          const shall = withWanted(description, between, second.wanted);
          expect(firstDifference(description, shall, after)).toBeNull();
          for (const slot of slotsOf(description)) {
            const wanted = second.fit.image.slots.get(slot.number)?.content;
            if (told(wanted).transmitHz === null)
              expect(
                told(slotReader(description)(slot, after.slots.get(slot.number) ?? null)).transmitHz,
              ).toBeNull();
          }
        }
      }
    },
  );
  it('once its sheet is done the next one is small: nothing for the same plan, two places for two changes', () => {
    const PAGE = shipped('page-handheld');
    const first = prepare(one, PAGE, asSeen(PAGE, one, UNSEEN));
    const loaded = heldAfter(PAGE, first, UNSEEN, 1, '2026-11-01');
    // What it leaves alone may be unknown: what it changes is known, and it says so.
    expect(prepare(one, PAGE, asSeen(PAGE, one, loaded))).toMatchObject({
      way: 'known',
      sheet: { steps: [] },
    });
    expect(prepare(two, PAGE, asSeen(PAGE, two, loaded)).way).toBe('known');
    expect(first.way).toBe('absolute');
    expect(otherStart(two, PAGE, asSeen(PAGE, two, loaded) as never)).toBeNull();
    const { sheet, changes } = prepare(two, PAGE, asSeen(PAGE, two, loaded));
    expect(changes.places.map(({ slot, fields }) => [slot.number, fields])).toEqual([
      [3, ['txTone', 'rxTone']],
      [7, ['rxTone']],
    ]);
    expect(sheet.presses).toBeLessThan(40);
    expect(afterSheet(PAGE, first).slots.get(45)).toMatchObject({ noTalk: 1 });
  });
  it('a fleet set comes round: who it is, whom it calls, and back', () => {
    const FLEET = shipped('fleet-mobile');
    const wanted = {
      ...plan([]),
      fleet: { statuses: ['At berth'], calls: [{ name: 'All', fleetId: '199' }] },
    };
    const me = { ...asSeen(FLEET, wanted, UNSEEN), nickname: 'Bridge', fleetId: '100' };
    const first = prepare(wanted, FLEET, me);
    expect(first.proof.proven).toBe(true);
    const loaded = heldAfter(FLEET, first, UNSEEN, 1, '2026-11-01');
    expect(heldMemory(FLEET, loaded).notUnderstood).toEqual([]);
    const again = prepare(wanted, FLEET, { ...me, holds: loaded });
    expect([again.changes, again.toAccept]).toEqual([{ places: [], settings: [] }, []]);
  });
});
