import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { factoryMemory } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { holding } from '../support/memory';
import { item, items, mobile, type Raw } from '../support/mobile';
import { channel, plan } from '../support/plans';

// Priority and delays on the mobile, decided by hand.

describe('marks for scanning', () => {
  const scanning = (change: (raw: Raw) => void = () => undefined) =>
    mobile((raw) => {
      raw.scan = { everyMs: 100, resumeMs: 0, priority: { everyMs: 500, most: 1 }, search: 'none' };
      raw.lists.yes = items(item('NO', false), item('YES', true));
      raw.lists.delays = items(item('0', 0), item('2', 2), item('5', 5));
      raw.fields.push({ id: 'pri', title: 'Priority', holds: 'hasPriority', list: 'yes', factory: 0 });
      raw.fields.push({ id: 'del', title: 'Delay', holds: 'resumeDelayS', list: 'delays', factory: 1 });
      for (const { ways } of raw.regions) ways[0].fields.push('pri', 'del');
      change(raw);
    });
  const FIRST = channel('ABE', 462.7, 462.7, { scan: 'priority' });
  const HOME = channel('BEA', 462.5625, 462.5625, { scan: 'priority' });
  const fitted = (
    set: ReturnType<typeof scanning>,
    memory = factoryMemory(set),
    channels = [FIRST, HOME],
  ) => {
    const { cells, image } = fitPlan(plan(channels), fitDevice(set, memory));
    return {
      settings: image.settings,
      cells: cells.map(({ slot, findings }) => {
        const { values = {}, content } = image.slots.get(slot?.number ?? -1) ?? {};
        const said = findings.flatMap((finding) =>
          finding.code === 'priority-not-here' ? [finding.most] : [],
        );
        return [
          slot?.number,
          values.pri,
          values.del,
          content && 'hasPriority' in content ? content.hasPriority : 'none',
          ...said,
        ];
      }),
    };
  };
  it('priority goes to the first of the plan, also where another has its place from the factory', () =>
    expect(fitted(scanning()).cells).toEqual([
      [11, 1, 1, true],
      [1, 0, 1, false, 1],
    ]));
  it('no more of them than there are, whatever bank they are in; none where it gives none', () => {
    const none = scanning((raw) => {
      raw.scan.priority = 'none';
    });
    expect(fitted(none).cells).toEqual([
      [11, 0, 1, false, 0],
      [1, 0, 1, false, 0],
    ]);
  });
  it('a mark that knows no other value is not set to one', () => {
    const only = scanning((raw) => {
      raw.lists.yes = items(item('YES', true));
    });
    expect(fitted(only).cells[1]).toEqual([1, 0, 1, 'none', 1]);
  });
  it('a delay that is long enough stays as it is', () => {
    const set = scanning();
    const held = {
      rx: 462_700_000,
      off: 0,
      enc: 0,
      dec: 0,
      pow: 2,
      wid: 1,
      mute: 0,
      name: 'ABE',
      pri: 0,
      del: 2,
    };
    expect(fitted(set, holding(set, { 12: held })).cells[0]).toEqual([12, 1, 2, true]);
  });
  it('the setting that names a place of the plan is taken away, and no other one', () => {
    const naming = mobile((raw) => {
      raw.scan = { everyMs: 100, resumeMs: 0, priority: { everyMs: 500, most: 2 }, search: 'none' };
      raw.lists.places = [
        ...items(item('NONE', 'none')),
        { kind: 'numbers', from: 11, to: 15, shown: '{n}' },
      ];
      raw.settings.push({ id: 'p1', title: 'First', list: 'places', factory: 0, holds: 'priorityNumber' });
      raw.settings.push({ id: 'p2', title: 'Second', list: 'places', factory: 0, holds: 'priorityNumber' });
    });
    const fresh = factoryMemory(naming);
    const one = [channel('ABE', 462.7, 462.7)];
    const of = (settings: Record<string, number>) => fitted(naming, { ...fresh, settings }, one).settings;
    expect(of({ ...fresh.settings, p2: 1 })).toEqual({ p2: 0 });
    expect(of({ ...fresh.settings, p2: 5 })).toEqual({});
    // What nobody knows could name any.
    expect(of({})).toEqual({ p1: 0, p2: 0 });
  });
});
