import { hearsOn, type SetOnAir } from '@umbrex/core/air';
import { commonGround, type Member } from '@umbrex/core/common';
import { fitDevice, fitPlan, sendsBy } from '@umbrex/core/fit';
import { heldAfter, prepare } from '@umbrex/core/flow';
import { heldMemory } from '@umbrex/core/memory';
import { type Channel, type Plan, slotsOf, type Unit } from '@umbrex/core/model';
import { type AirFleet, fleetOnAir } from '@umbrex/core/onAir';
import { prove } from '@umbrex/core/procedure';
import { NO_GROUNDS } from '@umbrex/core/rules';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from './support/devices';
import { UNSEEN } from './support/memory';
import { channel, plan, unit, uuid } from './support/plans';
import { runs } from './support/runs';

const around = (of: Plan): Omit<AirFleet, 'units'> => ({
  plan: of,
  descriptions: SHIPPED,
  grounds: NO_GROUNDS,
  stations: [],
});
const ground = (of: Plan, ...units: Unit[]) =>
  commonGround(
    around(of),
    [],
    units.map((one) => ({ key: one.nickname, unit: one })),
  );
/** A set after the sheet of a plan was done on it, new before. */
function loaded(n: number, kind: string, of: Plan): Unit {
  const blank = unit(n, kind, {
    holds: { what: 'factory', on: '2026-11-01', rest: 'factory' },
    pickedTone: 'off',
  });
  const prepared = prepare(of, shipped(kind), blank);
  return { ...blank, holds: heldAfter(shipped(kind), prepared, blank.holds, 1, '2026-11-30') };
}
const direct = (name: string, mhz: number, tone = 'off', more: Partial<Channel> = {}) =>
  channel(name, mhz, mhz, {
    id: uuid(500 + (Math.round(mhz * 1000) % 1000)),
    transmitTone: tone,
    receiveTone: tone,
    ...more,
  });

describe('common ground', () => {
  const here = plan([direct('One', 462.5625, '100.0'), direct('Two', 462.5875, '100.0')]);
  it('is what all of them hold already, without a change', () => {
    const { options, otherwise } = ground(
      here,
      loaded(1, 'page-handheld', here),
      loaded(2, 'guided-handheld', here),
    );
    expect(options[0]).toMatchObject({
      name: 'One',
      transmitTone: '100.0',
      covers: ['Set 1', 'Set 2'],
      lawful: ['Set 1', 'Set 2'],
      changes: [],
      minutes: 0,
    });
    expect(otherwise).toBeNull();
  });
  it('is found where their plans differ, with the fewest changes and their steps', () => {
    const there = plan([direct('One', 462.5625, '131.8'), direct('Two', 462.5875, '100.0')]);
    const { options } = ground(here, loaded(1, 'page-handheld', here), loaded(2, 'guided-handheld', there));
    expect(options[0]).toMatchObject({ name: 'Two', changes: [] });
    const one = options.filter(({ name }) => name === 'One');
    // One of them has to be changed, whichever tone they meet on.
    expect(Math.min(...one.map(({ changes }) => changes.length))).toBe(1);
    for (const { changes } of one)
      for (const { fields, presses } of changes)
        expect([fields.length > 0, presses > 0]).toEqual([true, true]);
  });
  it('of strangers with a set of any make is a direct channel of the family service, code off', () => {
    const stranger: Member = { key: 'stranger', unit: null };
    const ours: Member = { key: 'ours', unit: loaded(1, 'page-handheld', here) };
    const { options } = commonGround(around(here), [], [ours, stranger]);
    expect(options[0]).toMatchObject({
      transmitTone: 'off',
      receiveTone: 'off',
      covers: ['ours', 'stranger'],
    });
    expect(options[0]?.changes.map(({ set }) => set)).toEqual(['ours']);
    const hill = plan([channel('Hill', 462.65, 467.65, { transmitTone: '131.8' })]);
    expect(commonGround(around(hill), [], [ours, stranger]).options).toEqual([]);
  });
  it('a set that only listens is covered and not lawful; of listeners alone there is none', () => {
    const { options } = ground(here, loaded(1, 'page-handheld', here), loaded(2, 'wideband-receiver', here));
    expect(options[0]).toMatchObject({ covers: ['Set 1', 'Set 2'], lawful: ['Set 1'] });
    expect(
      ground(here, loaded(1, 'bank-scanner', here), loaded(2, 'wideband-receiver', here)).options,
    ).toEqual([]);
  });
  it('never on channels for distress and calling, nor where nobody is on the air', () => {
    const marine = direct('Distress', 156.8, 'off', { service: 'marine' });
    const gone = direct('Gone', 462.6125, 'off', { state: 'withdrawn' });
    const { options } = ground(plan([marine, gone]), unit(1, 'page-handheld'), unit(2, 'page-handheld'));
    expect(options).toEqual([]);
  });
  it('takes no free place that its holder filled, where all are full', () => {
    const wanted = plan([channel('Two metres', 146.55, 146.55, { id: uuid(79), service: 'amateur-2m' })]);
    const description = shipped('amateur-handheld');
    const rx = description.fields.find(({ holds }) => holds === 'receiveHz')?.id ?? '';
    const numbers = slotsOf(description).map(({ number }) => number);
    const places = (most: number) =>
      numbers.slice(0, most).map((number) => ({ number, values: { [rx]: 145_500_000 + number * 5000 } }));
    const set = (n: number, most: number) =>
      unit(n, 'amateur-handheld', {
        holds: { what: 'read', on: '2026-11-01', rest: 'factory', places: places(most) },
        pickedTone: 'off',
      });
    const free = ground(wanted, set(1, numbers.length - 1), set(2, 3));
    expect(free.options[0]?.changes.map(({ set: one, slot }) => [one, slot])).toEqual([
      ['Set 1', numbers.at(-1)],
      ['Set 2', numbers[3]],
    ]);
    expect(ground(wanted, set(1, numbers.length), set(2, 3)).options).toEqual([]);
  });
  it('where no channel does for all: whom to lend a set, and who could pass on between two', () => {
    const amateur = channel('Two metres', 146.55, 146.55, { id: uuid(77), service: 'amateur-2m' });
    const both = plan([direct('One', 462.5625, '100.0'), amateur]);
    const { options, otherwise } = ground(
      both,
      loaded(1, 'pocket-radio', both),
      loaded(2, 'pocket-radio', both),
      loaded(3, 'amateur-handheld', both),
    );
    expect(options[0]?.covers).toHaveLength(2);
    expect(otherwise?.lend?.sets).toEqual(['Set 3']);
    expect(otherwise?.relay).toBeNull();
  });
  it.each(['page-handheld', 'guided-handheld', 'pocket-radio', 'plain-handheld', 'paired-handheld'])(
    '%s: the steps of a change are proven by its keys, from what it holds and from what nobody looked at',
    (kind) => {
      const there = plan([direct('One', 462.5625, '131.8'), direct('Two', 462.5875, '88.5')]);
      for (const set of [loaded(2, kind, there), unit(2, kind, { holds: UNSEEN })]) {
        const changes = ground(here, loaded(1, 'page-handheld', here), set).options.flatMap((one) =>
          one.changes.filter((change) => change.set === 'Set 2'),
        );
        expect(changes.length).toBeGreaterThan(0);
        const { memory } = heldMemory(shipped(kind), set.holds);
        for (const { sheet, wanted } of changes.slice(0, 3))
          expect(prove(shipped(kind), memory, wanted, sheet)).toMatchObject({
            proven: true,
            firstDifference: null,
          });
      }
    },
  );
});

describe('common ground against all there is to try', () => {
  const TONES = ['off', '100.0', '131.8'];
  const KINDS = [
    'page-handheld',
    'guided-handheld',
    'paired-handheld',
    'plain-handheld',
    'pocket-radio',
    'wideband-receiver',
  ];
  const pairs = [462.5625, 462.5875] as const;
  const planWith = (tones: readonly string[]) =>
    plan([
      ...pairs.map((mhz, i) => direct(`C${i}`, mhz, tones[i])),
      channel('Hill', 462.65, 467.65, { id: uuid(490), transmitTone: tones[2] ?? 'off', receiveTone: 'off' }),
    ]);
  const anyTones = fc.array(fc.constantFrom(...TONES), { minLength: 3, maxLength: 3 });
  const anyMember = fc.record({ kind: fc.constantFrom(...KINDS), tones: fc.option(anyTones) });
  it('on 200 handfuls: no programming of any of them covers more, or as many with fewer changes', () => {
    fc.assert(
      fc.property(anyTones, fc.array(anyMember, { minLength: 2, maxLength: 4 }), (tones, those) => {
        const here = planWith(tones);
        const units = those.map(({ kind, tones: own }, i) =>
          own ? loaded(i + 1, kind, planWith(own)) : unit(i + 1, kind, { holds: UNSEEN, pickedTone: 'off' }),
        );
        const { options } = ground(here, ...units);
        for (const one of here.channels) {
          const mine = options.filter(({ channelId }) => channelId === one.id);
          const best = mine[0] && { covers: mine[0].covers.length, changes: mine[0].changes.length };
          expect(best).toEqual(exhaustive(here, one, units));
        }
      }),
      { numRuns: runs(200), seed: 20_261_130 },
    );
  }, 240_000);

  const known = new Map<string, Pick<SetOnAir, 'place' | 'maySend'> | null>();
  /** A new set of a kind, programmed with a channel and these tones; `null` where it cannot be. */
  function programmed(kind: string, one: Channel, sent: string, awaited: string) {
    const key = JSON.stringify([kind, one, sent, awaited]);
    const there = known.get(key);
    if (there !== undefined) return there;
    const receivePolicy = awaited === 'off' ? 'open' : 'closed';
    const alone = plan([{ ...one, transmitTone: sent, receiveTone: awaited, receivePolicy }]);
    const fit = fitPlan(alone, fitDevice(shipped(kind)));
    const [cell] = fit.cells;
    const place = cell?.slot && fit.image.slots.get(cell.slot.number)?.content;
    const found = cell && place?.kind === 'channel' ? { place, maySend: sendsBy(cell.verdict) } : null;
    known.set(key, found);
    return found;
  }

  /** The most sets that meet on a channel, and the fewest that have to be set for that: by trying each set as it is and set to each pair of tones. */
  function exhaustive(of: Plan, one: Channel, units: readonly Unit[]) {
    const now = fleetOnAir({ ...around(of), units })(one, 'held').map(({ set }) => set);
    const between =
      one.transmitHz === one.receiveHz
        ? []
        : [
            {
              inputHz: one.transmitHz ?? 0,
              outputHz: one.receiveHz,
              inputTone: one.transmitTone,
              outputTone: one.receiveTone,
              answer: '',
              talkLimitS: 'unknown' as const,
              status: 'on-air' as const,
            },
          ];
    const choices = units.map(({ descriptionId }, i): { set: SetOnAir; cost: number }[] => {
      const held = now[i] as SetOnAir;
      const set = TONES.flatMap((sent) =>
        TONES.flatMap((awaited) => {
          const found = programmed(descriptionId, one, sent, awaited);
          return found ? [{ cost: 1, set: { ...held, ...found } }] : [];
        }),
      );
      return [{ set: held, cost: 0 }, ...set];
    });
    let best: { covers: number; changes: number } | undefined;
    const tryAll = (i: number, chosen: { set: SetOnAir; cost: number }[]) => {
      if (i === choices.length) {
        const covers = chosen.length;
        const changes = chosen.reduce((sum, { cost }) => sum + cost, 0);
        const talks = chosen.filter(
          ({ set }) => set.maySend === true && set.place !== 'unknown' && set.place?.transmitHz,
        );
        if (
          covers < 2 ||
          talks.length === 0 ||
          (best && (best.covers > covers || (best.covers === covers && best.changes <= changes)))
        )
          return;
        const meets = chosen.every((a) =>
          chosen.every((b) => a === b || !talks.includes(a) || hearsOn(a.set, b.set, between).hears === true),
        );
        if (meets) best = { covers, changes };
        return;
      }
      tryAll(i + 1, chosen);
      for (const choice of choices[i] ?? []) {
        const { place } = choice.set;
        if (place === null || place === 'unknown' || place.receiveHz !== one.receiveHz) continue;
        tryAll(i + 1, [...chosen, choice]);
      }
    };
    tryAll(0, []);
    return best;
  }
});
