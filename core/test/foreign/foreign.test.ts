import { loadedWith } from '@umbrex/core/change';
import { prepare } from '@umbrex/core/flow';
import { addForeign, putBack, type UsedPlaces } from '@umbrex/core/foreign';
import { heldMemory } from '@umbrex/core/memory';
import { bareChannel, type Description, type Memory, slotsOf } from '@umbrex/core/model';
import { CALM, doRuns, type Sheet, VirtualDevice } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { KEYED, shipped } from '../support/devices';
import { UNSEEN } from '../support/memory';
import { channel, plan, uuid } from '../support/plans';

const PLAN = plan(
  ['Gannet Top', 'Kelp Stairs', 'Beach sweep'].map((name, i) => {
    const hz = 462.55 + 0.025 * i;
    return channel(name, hz, i < 2 ? hz + 5 : hz, { id: uuid(100 + i), transmitTone: '131.8' });
  }),
);
const VISITOR = {
  ...bareChannel({ name: 'Far Ness', receiveHz: 462_700_000, transmitHz: 467_700_000 }),
  id: uuid(500),
  transmitTone: '141.3' as const,
  service: 'gmrs' as const,
};
const NEW = { what: 'factory', on: 'unknown', rest: 'factory', places: [], settings: {}, wrote: {} } as const;
const usedBy = (id: string): UsedPlaces =>
  Object.fromEntries(
    [...prepare(PLAN, shipped(id)).fit.image.slots].map(([number, { channelIds }]) => [number, channelIds]),
  );

describe('a repeater of somebody else’s', () => {
  it.each(
    KEYED.flatMap(({ id }) => [
      [id, 'as from the factory', NEW],
      [id, 'not looked at', UNSEEN],
    ]) as [string, string, typeof UNSEEN][],
  )(
    '%s, %s: proven, at a place that the plan does not use where there is one, and nothing else is touched',
    (id, _, holds) => {
      const description = shipped(id);
      const used = usedBy(id);
      const found = addForeign(PLAN, description, { keeps: [], accepts: [], holds }, VISITOR, used);
      if (!found) return;
      const { cell, prepared, displaces } = found;
      const number = cell.slot?.number ?? -1;
      expect(prepared.changes.places.every(({ slot }) => slot.number === number)).toBe(true);
      if (prepared.sheet.way === 'keys')
        expect(prepared.proof.proven, String(prepared.proof.firstDifference?.code)).toBe(true);
      if (displaces.length > 0) expect(used[number]).toEqual(displaces);
      else expect(used[number]).toBeUndefined();
      if (cell.verdict === 'full' || cell.verdict === 'adapted') {
        const content = prepared.fit.image.slots.get(number)?.content;
        expect(content).toMatchObject({ receiveHz: 462_700_000, transmitHz: 467_700_000 });
      }
    },
  );
  it('most kinds of set with free places take it without touching the plan', () => {
    const free = KEYED.filter(({ id }) => {
      const found = addForeign(
        PLAN,
        shipped(id),
        { keeps: [], accepts: [], holds: NEW as never },
        VISITOR,
        usedBy(id),
      );
      return found && found.displaces.length === 0 && found.prepared.proof.proven;
    });
    expect(free.length).toBeGreaterThan(8);
  });
  it('a place that its holder keeps, or has something of their own in, is left alone', () => {
    const description = shipped('bank-handheld');
    const used = usedBy('bank-handheld');
    const first = addForeign(
      PLAN,
      description,
      { keeps: [], accepts: [], holds: NEW as never },
      VISITOR,
      used,
    );
    const number = first?.cell.slot?.number ?? -1;
    const other = addForeign(
      PLAN,
      description,
      { keeps: [number], accepts: [], holds: NEW as never },
      VISITOR,
      used,
    );
    expect(other?.cell.slot?.number).not.toBe(number);
  });
});

/** Presses the steps of a sheet, in the order in which they are written. */
function press(set: VirtualDevice, { steps }: Sheet): void {
  for (const { runs } of steps) {
    doRuns(
      runs,
      (event) => set.take(event),
      () => set.screen(),
      CALM.betweenKeysMs,
    );
    set.take({ kind: 'wait', ms: CALM.betweenStepsMs });
  }
}
/** A memory as it can be compared, whatever stands where nothing is in use. */
const plainly = (description: Description, { slots, settings }: Memory) => ({
  slots: slotsOf(description).map(({ number }) => [number, slots.get(number) ?? null]),
  settings,
});

describe('what is put back', () => {
  const told: string[] = [];
  it.each(
    KEYED.flatMap(({ id }) => [
      [id, 'loaded with the plan'],
      [id, 'as from the factory'],
    ]),
  )('%s, %s: pressed there and back, a virtual set holds what it held before', (id, how) => {
    const description = shipped(id);
    const unit =
      how === 'loaded with the plan'
        ? loadedWith(PLAN, description)
        : { keeps: [], accepts: [], holds: NEW as never };
    const found = addForeign(PLAN, description, unit, VISITOR, usedBy(id));
    if (found?.prepared.sheet.way !== 'keys') return;
    const back = putBack(description, unit, found);
    told.push(back.is);
    if (back.is === 'not-known') throw new Error('all of it is known');
    if (back.is === 'stays') {
      // Then it was empty, and the kind has no way to empty it.
      expect(found.before).toBeNull();
      return;
    }
    expect(back.proof.proven, String(back.proof.firstDifference?.code)).toBe(true);
    const { memory } = heldMemory(description, unit.holds);
    const set = new VirtualDevice(description, memory);
    press(set, found.prepared.sheet);
    const number = found.cell.slot?.number ?? -1;
    // A set that has the pair from the factory changes nothing.
    if (found.prepared.changes.places.length > 0)
      expect(set.memory().slots.get(number), 'the channel is there').not.toEqual(memory.slots.get(number));
    press(set, back.sheet);
    expect(plainly(description, set.memory())).toEqual(plainly(description, memory));
  });
  it('where nobody looked, nobody knows what to put back; most others have steps', () => {
    const description = shipped('page-handheld');
    const unit = { keeps: [], accepts: [], holds: UNSEEN };
    const found = addForeign(PLAN, description, unit, VISITOR, usedBy('page-handheld'));
    if (!found) throw new Error('it takes one');
    expect(putBack(description, unit, found)).toEqual({ is: 'not-known' });
    expect(told.filter((is) => is === 'steps').length).toBeGreaterThan(told.length / 2);
  });
});
