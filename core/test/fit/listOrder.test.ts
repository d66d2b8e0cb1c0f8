import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { type Description, listItems, type Plan } from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { anyPlan, channel, OSTREL, plan } from '../support/plans';
import { runs } from '../support/runs';

/**
 * The same kind of set with every list the other way round: what was first is last, and the factory's values are what they were. Numbered
 * scan sets stay: groups go into them in their order.
 */
function reversed(description: Description): Description {
  const scanSets = new Set(
    description.fields.flatMap(({ holds, list }) =>
      holds === 'inScan' && listItems(description.lists[list ?? ''] ?? []).some(({ means }) => means === 1)
        ? [list]
        : [],
    ),
  );
  const counts = Object.fromEntries(
    Object.entries(description.lists).map(([id, list]) => [id, listItems(list).length]),
  );
  const turn = (at: number, list: string | undefined) =>
    scanSets.has(list) ? at : (counts[list ?? ''] ?? 0) - 1 - at;
  return {
    ...description,
    lists: Object.fromEntries(
      Object.entries(description.lists).map(([id, list]) => [
        id,
        scanSets.has(id) ? list : [{ kind: 'items' as const, items: listItems(list).toReversed() }],
      ]),
    ),
    fields: description.fields.map((field) =>
      field.list === undefined || field.list === 'unknown'
        ? field
        : { ...field, factory: turn(Number(field.factory), field.list) },
    ),
    settings: description.settings.map((setting) => ({
      ...setting,
      factory: turn(setting.factory, setting.list),
    })),
  };
}

/** What a plan comes to on a kind of set, in words that do not depend on where a value stands in its list. */
function outcome(of: Plan, description: Description) {
  const { cells, findings, image } = fitPlan(of, fitDevice(description));
  return {
    cells: cells.map(({ channelId, verdict, slot, name, findings: said }) => [
      channelId,
      verdict,
      slot?.number,
      name,
      said,
    ]),
    findings,
    contents: [...image.slots].map(([number, { content }]) => [number, content]),
  };
}

describe('what a set can do does not depend on the order in which its lists show their values', () => {
  it.each(SHIPPED.map((description) => [description.id, description] as const))(
    '%s, the demo’s plan',
    (_, kind) => {
      expect(outcome(OSTREL, reversed(kind))).toEqual(outcome(OSTREL, kind));
    },
  );
  it('any plan on any of them', () =>
    fc.assert(
      fc.property(anyPlan, fc.constantFrom(...SHIPPED), (any, kind) => {
        expect(outcome(any, reversed(kind))).toEqual(outcome(any, kind));
      }),
      { numRuns: runs(200) },
    ));
  it('a set whose switch for listening stands first in its list is shut by it', () => {
    const guided = shipped('guided-handheld');
    const weather = channel('Weather', 162.55, null, { service: 'weather' });
    for (const kind of [guided, reversed(guided)]) {
      const { image } = fitPlan(plan([weather]), fitDevice(kind));
      expect([...image.slots.values()].map(({ content }) => content)).toMatchObject([
        { kind: 'channel', receiveHz: weather.receiveHz, transmitHz: null },
      ]);
    }
  });
});
