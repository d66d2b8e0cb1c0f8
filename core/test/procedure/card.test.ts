import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import { type Description, DescriptionSchema, type Plan } from '@umbrex/core/model';
import { drawPlaces, stepSlips, VirtualDevice, valuesCard } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { read, UNSEEN } from '../support/memory';
import { channel, plan } from '../support/plans';

const PAGE = shipped('page-handheld');
/** A kind without described keys. */
const bare = (id: string): Description => {
  const { behaviour: _b, recipes: _r, keyMap: _k, ...rest } = shipped(id);
  return DescriptionSchema.parse({ ...rest, keys: {} });
};

describe('the card of values of a set whose keys nobody described', () => {
  const at = (description: Description, ...channels: ReturnType<typeof channel>[]) =>
    cardIn('US', description, ...channels);
  const cardIn = (
    country: Plan['country'],
    description: Description,
    ...channels: ReturnType<typeof channel>[]
  ) => {
    const device = fitDevice(description);
    return valuesCard(description, fitPlan({ ...plan(channels), country }, device).image, device.present).map(
      ({ label, values }) => [
        label,
        values.map(({ title, shown, isThere }) => `${title} ${shown}${isThere ? ' =' : ''}`),
      ],
    );
  };
  it('has each value in the set’s words, frequencies in MHz, and says what is there already', () =>
    expect(at(bare('page-handheld'), channel('Dispatch', 155.34, null))).toEqual([
      [
        'M45',
        [
          'Receive frequency 155.3400 MHz',
          'Transmit shift OFF',
          'Transmit tone OFF',
          'Receive tone OFF',
          'Power HIGH',
          'Width WIDE',
          'Transmit forbidden ON',
          'Name DISPATCH',
          'In the scan YES',
        ],
      ],
    ]));
  it('a transmit frequency of its own is one in MHz as well', () => {
    const text = cardIn('other', bare('field-mobile'), channel('Fire', 155.34, null, { service: 'other' }))
      .flat(2)
      .join(', ');
    expect(text).toContain('155.3400 MHz');
    expect(text).not.toMatch(/\d{9}/);
  });
  it('what holds a pair already has nothing to set', () => {
    const lines = at(bare('page-handheld'), channel('Lane', 462.5625, 462.5625))
      .flat(2)
      .join(', ');
    expect(lines).toMatch(/Transmit tone OFF =.*Receive tone OFF =/);
  });
});

describe('the drawing says of each place what becomes of it', () => {
  const dispatch = channel('Dispatch', 155.34, null);
  const kelp = channel('Kelp', 462.65, 467.65, { transmitTone: '131.8', receiveTone: '131.8' });
  const rx = { rx: 151_820_000 };
  const stateOf = (
    number: number,
    holds: Parameters<typeof prepare>[2] extends infer U
      ? NonNullable<U> extends { holds: infer H }
        ? H
        : never
      : never,
    facts: Partial<Parameters<typeof drawPlaces>[3]> = {},
    channels = [dispatch, kelp],
    keeps: number[] = [],
  ) => {
    const { fit, sheet, now } = prepare(plan(channels), PAGE, { keeps, accepts: [], holds });
    const all = { keeps, wrote: [], overwrites: sheet.overwrites, erases: [], ...facts };
    for (const { blocks } of drawPlaces(PAGE, fit.image, now, all))
      for (const { places } of blocks)
        for (const { number: first, run, state } of places)
          if (number >= first && number < first + run) return state;
    return undefined;
  };
  const set = (places: Parameters<typeof read>[0]) => read(places);
  it.each([
    ['filled: empty, and the plan wants it', 45, set([]), {}, 'filled'],
    ['changed: as made, and the plan wants another tone', 5, set([]), {}, 'changed'],
    ['factory: as made, and left so', 6, set([]), {}, 'factory'],
    ['empty', 60, set([]), {}, 'empty'],
    ['own: the holder’s, left alone', 60, set([{ number: 60, values: rx }]), {}, 'own'],
    ['earlier: the plan wrote it once', 60, set([{ number: 60, values: rx }]), { wrote: [60] }, 'earlier'],
    [
      'emptied: the plan wrote it, and it goes',
      60,
      set([{ number: 60, values: rx }]),
      { wrote: [60], erases: [60] },
      'emptied',
    ],
    [
      'goes: the holder’s own tone on a pair of the plan',
      5,
      set([{ number: 5, values: { txTone: '100.0' } }]),
      {},
      'goes',
    ],
    [
      'changed: what the plan wrote itself does not go',
      5,
      set([{ number: 5, values: { txTone: '100.0' } }]),
      { wrote: [5] },
      'changed',
    ],
    ['unseen: nobody looked, and it is left alone', 60, UNSEEN, {}, 'unseen'],
    ['changed: nobody looked, and the plan wants it', 5, UNSEEN, {}, 'changed'],
  ] as const)('%s', (_, number, holds, facts, expected) =>
    expect(stateOf(number, holds as never, facts as never)).toBe(expected),
  );
  it('there: it holds already what it shall', () =>
    expect(stateOf(12, set([]), {}, [channel('Lane', 462.5625, 462.5625)])).toBe(
      prepare(plan([channel('Lane', 462.5625, 462.5625)]), PAGE, {
        keeps: [],
        accepts: [],
        holds: set([]),
      }).fit.image.slots.has(12)
        ? 'there'
        : 'factory',
    ));
  it('kept: its holder keeps the number, whatever is there', () =>
    expect(stateOf(60, set([{ number: 60, values: rx }]), {}, [dispatch], [60])).toBe('kept'));
});

describe('sets at the edges of a description', () => {
  it('without steps there is nothing to hold words against', () =>
    expect(stepSlips(bare('page-handheld'))).toEqual([]));
  it('without items it shows and takes keys all the same', () => {
    const { behaviour, recipes: _, ...rest } = shipped('pocket-radio');
    if (!behaviour) throw new Error('no keys');
    const device = new VirtualDevice({ ...rest, behaviour: { ...behaviour, items: [] } } as Description);
    expect(device.screen().length).toBeGreaterThan(0);
    expect(() =>
      device.take({ kind: 'key', key: Object.keys(behaviour.keys)[0] ?? '', heldMs: 100 }),
    ).not.toThrow();
  });
  it('where sending is forbidden the talk key is refused, and nothing goes out', () => {
    const { now, changes } = prepare(plan([channel('Dispatch', 155.34, null)]), PAGE);
    const [{ slot, to } = { slot: undefined, to: null }] = changes.places;
    if (!slot || !to) throw new Error('nothing to set');
    const talk = (values: typeof to) => {
      const memory = { ...now, slots: new Map([...now.slots, [slot.number, values]]) };
      const device = new VirtualDevice(PAGE, memory, 0, {
        mode: PAGE.behaviour?.start ?? '',
        number: slot.number,
      });
      device.take({ kind: 'key', key: 'talk', heldMs: 1000 });
      return [device.emissions().length, device.beeps()];
    };
    expect(talk(to)).toEqual([0, ['refused']]);
    // On a frequency that it can send on, and not forbidden, it does.
    expect(talk({ ...to, rx: 462_562_500, noTalk: 0 })).toEqual([1, []]);
    expect(talk({ ...to, rx: 462_562_500, noTalk: 1 })).toEqual([0, ['refused']]);
  });
  it('a character that no key types stops the sheet at that field', () => {
    const { recipes, ...rest } = structuredClone(PAGE);
    if (!recipes) throw new Error('no steps');
    const { 5: _, ...charKeys } = recipes.charKeys ?? {};
    const { proof } = prepare(plan([channel('Dispatch', 155.34, null)]), {
      ...rest,
      recipes: { ...recipes, charKeys },
    } as Description);
    expect(proof).toMatchObject({ proven: false, firstDifference: { code: 'no-recipe' } });
  });
});
