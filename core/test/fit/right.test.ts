import { ableToSend, fitBoard, fitDevice, fitPlan, maySend } from '@umbrex/core/fit';
import { afterSheet, compose, heldAfter, isLoaded, prepare } from '@umbrex/core/flow';
import { groundsOf } from '@umbrex/core/grounds';
import {
  type Description,
  DescriptionSchema,
  factoryMemory,
  PersonSchema,
  type Plan,
  slotReader,
  slotsOf,
} from '@umbrex/core/model';
import { type HeldLicence, type Sender, senderOf, transmitRule } from '@umbrex/core/rules';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { anyPlan, channel, OSTREL, plan, unit, uuid } from '../support/plans';
import { runs } from '../support/runs';

const DAY = '2026-11-25';
const gmrs = (expires = '2033-04-30'): HeldLicence => ({ service: 'gmrs', holds: 'own', expires });
const with_ = (...licences: HeldLicence[]): Sender => ({ each: [licences], day: DAY });
const NONE = with_();
const KELP = channel('Kelp', 462.65, 467.65);
const DIRECT = channel('Direct', 462.5625, 462.5625, { service: 'gmrs' });
const cellsOf = (of: Plan, device: Description, sender: Sender) =>
  fitPlan(of, fitDevice(device, factoryMemory(device), { sender })).cells.map(
    ({ verdict, slot, findings }) => [verdict, slot?.label ?? '-', findings[0]?.code],
  );
const leavingOut = (...channels: Plan['channels']): Plan => ({
  ...plan(channels),
  withoutRight: 'leave-out',
});

describe('without the right to send', () => {
  it('a set listens by the way it has: its own switch in a free place', () => {
    const [[verdict, , why]] = cellsOf(leavingOut(KELP), shipped('paired-handheld'), NONE) as [
      [string, string, string],
    ];
    expect([verdict, why]).toEqual(['listen', 'no-licence']);
    const sheet = compose(leavingOut(KELP), shipped('paired-handheld'), {
      keeps: [],
      accepts: [],
      holds: unit(1, 'paired-handheld', { holds: { what: 'factory', on: 'unknown' } }).holds,
      sender: NONE,
    });
    const contents = [...sheet.fit.image.slots.values()].map(({ content }) => content);
    expect(contents).toMatchObject([{ kind: 'channel', receiveHz: KELP.receiveHz, transmitHz: null }]);
  });
  it('with it the same set sends', () =>
    expect(cellsOf(leavingOut(KELP), shipped('paired-handheld'), with_(gmrs()))[0]?.[0]).toBe('full'));
  it('a set that cannot be shut leaves it out, or is loaded with a warning, as the plan says', () => {
    const fleet = shipped('fleet-mobile');
    expect(cellsOf(leavingOut(KELP), fleet, NONE)).toEqual([['no', '-', 'no-licence']]);
    const warned = fitPlan(
      { ...leavingOut(KELP), withoutRight: 'warn' },
      fitDevice(fleet, factoryMemory(fleet), { sender: NONE }),
    );
    expect(warned.cells[0]?.verdict).toBe('listen');
    expect(warned.cells[0]?.findings.map(({ code }) => code)).toContain('talk-goes-out-on-output');
  });
  it.each([
    ['distress', channel('Sixteen', 156.8, null, { service: 'marine' })],
    ['calling', channel('Boaters', 156.45, null, { service: 'marine' })],
    ['public safety', channel('Calling', 155.7525, null, { service: 'interop' })],
    ['of which no table knows whose it is', channel('Fire ground', 154.28, null, { service: 'other' })],
  ])('a channel for %s is left out whatever the plan says of others', (_, one) => {
    const field = shipped('field-mobile');
    expect(cellsOf({ ...plan([one]), withoutRight: 'warn' }, field, NONE)[0]?.slice(0, 2)).toEqual([
      'no',
      '-',
    ]);
  });
  it('what the plan only listens to stays where its holder may send there, with a warning', () => {
    const heard = channel('Output', 462.65, null, { service: 'gmrs' });
    const fleet = shipped('fleet-mobile');
    expect(cellsOf(leavingOut(heard), fleet, with_(gmrs()))[0]?.[0]).toBe('listen');
    expect(cellsOf(leavingOut(heard), fleet, NONE)[0]?.[0]).toBe('no');
  });
  it('a licence whose end nobody knows lets its holder listen until somebody says', () =>
    expect(cellsOf(leavingOut(KELP), shipped('paired-handheld'), with_(gmrs('unknown')))[0]).toMatchObject([
      'listen',
      expect.anything(),
      'licence-expiry-unknown',
    ]));
  it('factory places that nothing shuts are named, and only those on which it matters', () => {
    const bank = shipped('bank-handheld');
    const named = (sender: Sender) =>
      compose(leavingOut(DIRECT), bank, { keeps: [], accepts: [], holds: unit(1, bank.id).holds, sender })
        .ableToSend;
    expect(named(with_(gmrs()))).toEqual([]);
    // On a set that is certified for GMRS alone no place is free of a licence (95.305): all those that send at all.
    const sending = slotsOf(bank).filter(({ fixed }) => fixed && fixed.transmitHz !== null);
    expect(named(NONE).map(({ number }) => number)).toEqual(sending.map(({ number }) => number));
    expect(sending.length).toBe(39);
    expect(named(NONE).every(({ fromFactory, why }) => fromFactory && why.code === 'no-licence')).toBe(true);
    const pocket = shipped('pocket-radio');
    expect(
      compose(leavingOut(DIRECT), pocket, {
        keeps: [],
        accepts: [],
        holds: unit(1, pocket.id).holds,
        sender: NONE,
      }).ableToSend,
    ).toEqual([]);
  });
  it('a place is named too on which its holder may send, but this set only with too much power (47 CFR 95.1767)', () => {
    const loud = shipped('fleet-mobile');
    for (const segment of loud.lists.power ?? [])
      if (segment.kind === 'items') for (const item of segment.items) item.means = 25;
    const state = { keeps: [], accepts: [], holds: unit(1, loud.id).holds, sender: with_(gmrs()) };
    const named = (of: Plan) => compose(of, loud, state).ableToSend;
    // The main channel of a repeater takes 25 W, the interstitial one no more than 5.
    expect(named({ ...plan([KELP, DIRECT]), withoutRight: 'warn' })).toMatchObject([
      {
        transmitHz: 462_562_500,
        fromFactory: false,
        why: { code: 'power-too-high', limitW: 5, lowestW: 25 },
      },
    ]);
    expect(named(leavingOut(KELP, DIRECT))).toEqual([]);
  });
  it('what a holder put somewhere is theirs; what the plan loads is named, unless nothing goes out there', () => {
    const handheld = shipped('paired-handheld');
    const withLicence = fitDevice(handheld, factoryMemory(handheld), { sender: with_(gmrs()) });
    const without = fitDevice(handheld, factoryMemory(handheld), { sender: NONE });
    // A factory place has the pair once; the second channel on it comes to a free one.
    const of = leavingOut(
      KELP,
      channel('Ferry', 462.65, 467.65, { transmitTone: '82.5', receiveTone: '82.5' }),
    );
    const free = new Set(slotsOf(handheld).flatMap(({ fixed, number }) => (fixed ? [] : [number])));
    const [number, sends] = [...fitPlan(of, withLicence).image.slots].find(([at]) => free.has(at)) ?? [-1];
    const [, listens] = [...fitPlan(of, without).image.slots].find(([at]) => free.has(at)) ?? [];
    const usual = Object.fromEntries(handheld.fields.map(({ id, factory }) => [id, factory]));
    const named = (values: typeof sends, ...planned: number[]) => {
      const memory = factoryMemory(handheld);
      const slots = new Map([...memory.slots, [number, { ...usual, ...values?.values }] as const]);
      return ableToSend(without, { ...memory, slots }, new Set(planned), [], of).filter(
        ({ fromFactory }) => !fromFactory,
      );
    };
    expect(named(sends)).toEqual([]);
    expect(named(sends, number)).toMatchObject([
      { number, transmitHz: 467_650_000, fromFactory: false, why: { code: 'no-licence' } },
    ]);
    expect(named(listens, number)).toEqual([]);
    // Another place of the plan, which holds nothing.
    expect(named(listens, number, number + 1)).toEqual([]);
    expect(ableToSend(withLicence, factoryMemory(handheld), new Set([number]), [], of)).toEqual([]);
  });
  it('a factory place of which the memory says that it is shut is not named', () => {
    const page = shipped('page-handheld');
    const device = fitDevice(page, factoryMemory(page), { sender: NONE });
    const memory = factoryMemory(page);
    const first = slotsOf(page).find(({ fixed }) => fixed && fixed.transmitHz !== null);
    const named = (noTalk: number) =>
      ableToSend(
        device,
        {
          ...memory,
          slots: new Map([
            ...memory.slots,
            [first?.number ?? -1, { ...memory.slots.get(first?.number ?? -1), noTalk }],
          ]),
        },
        new Set(),
        [],
        leavingOut(),
      ).map(({ number }) => number);
    expect(named(0)).toContain(first?.number);
    expect(named(1)).toEqual(named(0).filter((number) => number !== first?.number));
  });
  it('a factory place that can be shut is shut', () => {
    const page = shipped('page-handheld');
    const shuttable = DescriptionSchema.parse({
      ...page,
      id: 'shuttable',
      regions: page.regions.map((region) =>
        region.id === 'direct'
          ? { ...region, ways: [...region.ways, { by: ['keys'], fields: ['noTalk'] }] }
          : region,
      ),
    });
    const device = fitDevice(shuttable, factoryMemory(shuttable), { sender: NONE });
    const { image } = fitPlan(leavingOut(), device);
    const direct = slotsOf(shuttable).filter(({ region }) => region.id === 'direct');
    expect([...image.slots.keys()]).toEqual(direct.map(({ number }) => number));
    expect([...image.slots.values()].every(({ values }) => values.noTalk === 1)).toBe(true);
    const licensed = fitDevice(shuttable, factoryMemory(shuttable), { sender: with_(gmrs()) });
    expect(fitPlan(leavingOut(), licensed).image.slots.size).toBe(0);
  });
});

/** Licences as a roster may have them. */
const licences = fc.array(
  fc.record({
    service: fc.constantFrom('gmrs', 'amateur', 'business', 'interop', 'marine'),
    holds: fc.constantFrom('own' as const, 'family' as const, 'employer' as const),
    expires: fc.constantFrom('2020-01-01', '2026-11-24', DAY, '2033-04-30', 'unknown'),
  }),
  { maxLength: 4 },
);

describe('every page has one answer', () => {
  it('board, sheet and person agree with the rules for any ten holders, any plan, any set', () =>
    fc.assert(
      fc.property(
        anyPlan,
        fc.array(licences, { minLength: 10, maxLength: 10 }),
        fc.constantFrom('leave-out' as const, 'warn' as const),
        fc.nat(1000),
        (any, holders, withoutRight, turn) => {
          const of: Plan = { ...any, withoutRight };
          const people = holders.map((held, i) =>
            PersonSchema.parse({ id: uuid(500 + i), name: `P${i}`, licences: held }),
          );
          const units = people.map(({ id }, i) =>
            unit(600 + i, SHIPPED[(turn + i * 7) % SHIPPED.length]?.id ?? '', { personId: id }),
          );
          const grounds = groundsOf(units, people, [], DAY);
          const board = fitBoard(of, units, SHIPPED, grounds);
          for (const one of units) {
            const description = shipped(one.descriptionId);
            const sender = senderOf(grounds, one);
            const kind = board.kinds.find(({ unitIds }) => unitIds.includes(one.id));
            const sheet = compose(of, description, { ...one, sender });
            expect(sheet.fit.cells.map(({ verdict }) => verdict)).toEqual(
              kind?.cells.map(({ verdict }) => verdict),
            );
            const may = new Map(of.channels.map((c) => [c.id, transmitRule(c, description, of, sender).may]));
            const sending = sheet.fit.cells.filter(
              ({ verdict }) => verdict === 'full' || verdict === 'adapted',
            );
            for (const { channelId } of sending) expect(may.get(channelId)).toBe('transmit');
            expect(maySend(board, new Set([one.id]), of).sends).toBe(sending.length);
            expectNoSecretSender(of, description, sheet, sender);
          }
        },
      ),
      { numRuns: runs(40) },
    ));
  it('a renewal makes exactly the change sheets of its holder, and the end of it takes them back', () => {
    const at = (expires: string) => {
      const people = ['2033-04-30', expires].map((end, i) =>
        PersonSchema.parse({ id: uuid(500 + i), name: `P${i}`, licences: [gmrs(end)] }),
      );
      return (units: ReturnType<typeof unit>[], day: string) => groundsOf(units, people, [], day);
    };
    const kinds = ['paired-handheld', 'guided-handheld', 'page-handheld', 'pocket-radio', 'bank-scanner'];
    const units = kinds.flatMap((id, i) => [
      unit(600 + 2 * i, id, { personId: uuid(500) }),
      unit(601 + 2 * i, id, { personId: uuid(501) }),
    ]);
    const of: Plan = leavingOut(KELP, DIRECT, ...OSTREL.channels.slice(0, 3));
    const loaded = (grounds: ReturnType<typeof groundsOf>) =>
      units.map((one) => {
        const description = shipped(one.descriptionId);
        const sender = senderOf(grounds, one);
        const composed = compose(of, description, { ...one, sender });
        return { ...one, holds: heldAfter(description, composed, one.holds, 1, DAY) };
      });
    const toChange = (sets: readonly ReturnType<typeof unit>[], grounds: ReturnType<typeof groundsOf>) =>
      sets
        .filter(
          (one) => !isLoaded(of, shipped(one.descriptionId), { ...one, sender: senderOf(grounds, one) }),
        )
        .map(({ nickname }) => nickname);
    const good = at('2026-12-31');
    const done = loaded(good(units, DAY));
    expect(toChange(done, good(done, DAY))).toEqual([]);
    // The day after: of the second holder's sets those that sent by that licence.
    const ended = toChange(done, good(done, '2027-01-01'));
    expect(ended).toEqual(['Set 601', 'Set 603', 'Set 605']);
    expect(toChange(done, at('2036-12-31')(done, '2027-01-01'))).toEqual([]);
    const shut = loaded(good(units, '2027-01-01'));
    expect(toChange(shut, good(shut, '2027-01-01'))).toEqual([]);
    expect(toChange(shut, at('2036-12-31')(shut, '2027-01-01'))).toEqual(ended);
  });
  it('the change sheet of a licence that ended proves, from what was loaded', () => {
    const description = shipped('guided-handheld');
    const of = leavingOut(KELP);
    const one = unit(1, description.id);
    const first = prepare(of, description, { ...one, sender: with_(gmrs()) });
    const holds = heldAfter(description, first, one.holds, 1, DAY);
    const then = prepare(of, description, { ...one, holds, sender: NONE });
    expect(then.proof.firstDifference).toBeNull();
    expect([then.proof.proven, then.sheet.steps.length > 0]).toEqual([true, true]);
    const read = slotReader(description);
    const memory = afterSheet(description, then);
    const sends = slotsOf(description).flatMap((slot) => {
      const content = slot.fixed ? null : read(slot, memory.slots.get(slot.number) ?? null);
      return content?.kind === 'channel' && content.transmitHz !== null ? [slot.label] : [];
    });
    expect(sends).toEqual([]);
  });
});

/** Every place that would send once the sheet is done may do so by right, or is named. */
function expectNoSecretSender(
  of: Plan,
  description: Description,
  sheet: ReturnType<typeof compose>,
  sender: Sender,
): void {
  const named = new Set(sheet.ableToSend.map(({ number }) => number));
  const device = fitDevice(description, sheet.now, { sender });
  expect(
    ableToSend(
      device,
      afterSheet(description, sheet),
      new Set(sheet.fit.image.slots.keys()),
      sheet.fit.cells,
      of,
    ),
  ).toEqual(sheet.ableToSend);
  for (const [number, { content }] of sheet.fit.image.slots) {
    if (content.kind !== 'channel' || content.transmitHz === null || named.has(number)) continue;
    const asked = { receiveHz: content.receiveHz, transmitHz: content.transmitHz, service: 'other' as const };
    expect(transmitRule(asked, description, of, sender).may).toBe('transmit');
  }
}
