import { prepare } from '@umbrex/core/flow';
import { type Description, type Plan, slotsOf } from '@umbrex/core/model';
import { sheetReadiness, talkGoesOut } from '@umbrex/core/readiness';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from './support/devices';
import { anyPlan, OSTREL, unit } from './support/plans';

const ready = (plan: Plan, description: Description, of = unit(1, description.id)) => {
  const prepared = prepare(plan, description, of);
  return { prepared, readiness: sheetReadiness(description, prepared, plan.alerts) };
};

describe('whether a sheet is ready', () => {
  it.each(SHIPPED.map(({ id }) => id))('%s: it is, or something says why not', (id) => {
    const { prepared, readiness } = ready(OSTREL, shipped(id));
    expect(readiness.isReady).toBe(readiness.stops.length === 0);
    // Whatever claims steps has proven them.
    if (readiness.isReady && prepared.sheet.steps.length > 0) expect(prepared.proof.proven).toBe(true);
    if (readiness.isReady) expect(prepared.toAccept).toEqual([]);
  });
  it('not while a place of the holder’s own would go, and again once it was let go of', () => {
    const description = shipped('slot-alert');
    const areas = slotsOf(description).filter(({ region }) => region.content.kind === 'areas');
    const places = areas.map(({ number }, i) => ({ number, values: { area: String(490_001 + i) } }));
    const of = unit(1, description.id, {
      holds: { what: 'read', on: '2026-11-01', rest: 'factory', places, settings: {}, wrote: {} },
    });
    const held = ready(OSTREL, description, of);
    if (held.prepared.toAccept.length === 0) throw new Error('nothing of the holder’s would go');
    expect(held.readiness).toMatchObject({ isReady: false, stops: ['own-places'] });
    const accepted = ready(OSTREL, description, { ...of, accepts: [...held.prepared.toAccept] });
    expect(accepted.readiness.stops).not.toContain('own-places');
  });
  it('not where its steps do not prove', () => {
    const description = shipped('pocket-radio');
    const prepared = prepare(OSTREL, description, unit(1, description.id));
    const broken = { ...prepared, proof: { ...prepared.proof, proven: false } };
    expect(sheetReadiness(description, broken, null).stops).toEqual(['not-proven']);
  });
});

describe('what a sheet warns of', () => {
  it('every place whose talk key would send where it only listens, on any plan, on every kind', () =>
    fc.assert(
      fc.property(anyPlan, fc.constantFrom(...SHIPPED), (plan, description) => {
        const { prepared, readiness } = ready(plan, description);
        const warned = prepared.fit.cells.filter(({ findings }) =>
          findings.some(({ code }) => code === 'talk-goes-out-on-output'),
        );
        // Where its holder has no right to send at all the place is named for that.
        const named = new Set(prepared.ableToSend.map(({ number }) => number));
        expect(readiness.sendsInstead.map(({ cell }) => cell)).toEqual(
          warned.filter(({ slot }) => !named.has(slot?.number ?? -1)),
        );
        // Where it would send is what the place does on the air, and it is said of that place alone.
        const outs = talkGoesOut(readiness);
        for (const { cell, talksAs, transmitHz } of readiness.sendsInstead) {
          const number = cell.slot?.number ?? -1;
          const { content } = prepared.fit.image.slots.get(number) ?? {};
          if (talksAs === null && content?.kind === 'channel') expect(content.transmitHz).toBe(transmitHz);
          expect(outs.get(number)).toBe(talksAs === null ? transmitHz : undefined);
          if (talksAs === null) continue;
          expect(talksAs.slot?.number).toBe(cell.slot?.number);
          expect(talksAs.channelId).not.toBe(cell.channelId);
          expect(['full', 'adapted']).toContain(talksAs.verdict);
        }
      }),
      { numRuns: 60 },
    ));
  it('what goes is what the sheet writes over, and nothing else', () => {
    for (const description of SHIPPED) {
      const { prepared, readiness } = ready(OSTREL, description);
      const places = new Set(slotsOf(description).map(({ number }) => number));
      expect(readiness.overwritten.map(({ number }) => number).sort()).toEqual(
        prepared.sheet.overwrites
          .filter((number) => places.has(number) && readiness.lines.some((line) => line.number === number))
          .sort(),
      );
    }
  });
  it('a set without a transmitter cannot talk; one of which nobody knows it may', () => {
    const scanner = SHIPPED.find(({ transmit }) => transmit !== 'unknown' && transmit.bands.length === 0);
    if (!scanner) throw new Error('no scanner is shipped');
    expect(ready(OSTREL, scanner).readiness.canTalk).toBe(false);
    expect(ready(OSTREL, { ...scanner, transmit: 'unknown' }).readiness.canTalk).toBe(true);
  });
  it('an alert radio is not ready without areas and a transmitter, and every other set is without either', () => {
    const alerts = { areas: ['099001'], reach: 'list', weatherHz: 162_475_000, silent: [] } as const;
    const stops = (id: string, given: Plan['alerts']) =>
      ready({ ...OSTREL, alerts: given }, shipped(id)).readiness.stops;
    const full = { ...alerts, areas: [...alerts.areas], silent: [] };
    expect(stops('menu-alert', null)).toEqual(['no-areas']);
    expect(stops('menu-alert', { ...full, weatherHz: 'unknown' })).toEqual(['no-transmitter']);
    expect(stops('menu-alert', full)).toEqual([]);
    expect(stops('plain-handheld', null)).toEqual([]);
  });
});
