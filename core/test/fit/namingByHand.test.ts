import {
  type Cell,
  fitDevice,
  fitPlan,
  namesAreByKeys,
  namingOf,
  unnamed,
  withoutNames,
  writesNames,
} from '@umbrex/core/fit';
import { factoryMemory, type Naming } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { little } from '../support/little';
import { holding } from '../support/memory';
import { mobile } from '../support/mobile';
import { channel, plan } from '../support/plans';

// Whether names are written, decided by hand.

const naming = (all: Naming, kinds: Record<string, Naming> = {}) => ({ naming: { all, kinds } });

describe('what is said of names', () => {
  it('of the kind before the plan, of the set before both, and as usual where nobody said anything', () => {
    const set = little();
    expect(namingOf(naming('later'), set)).toBe('later');
    expect(namingOf(naming('later', { little: 'never' }), set)).toBe('never');
    expect(namingOf(naming('later', { little: 'never' }), set, 'needed')).toBe('needed');
    expect(namingOf({}, set)).toBe('now');
  });
  it('where they are needed: on a set that shows no places, and on one of which nobody knows what it shows', () => {
    const nameless = little(({ behaviour }) => {
      behaviour.modes.standby.screen = ['{code} {power}'];
    });
    expect(writesNames(naming('needed'), little())).toBe(false);
    expect(writesNames(naming('needed'), nameless)).toBe(true);
    expect(writesNames(naming('needed'), mobile())).toBe(true);
    expect(writesNames(naming('later'), nameless)).toBe(false);
  });
  it('they are a choice where keys write them', () => {
    expect(namesAreByKeys(little())).toBe(true);
    expect(namesAreByKeys(mobile())).toBe(false);
  });
});

describe('a channel without its name', () => {
  const SHORT = { code: 'name-shortened', severity: 'note', from: 'Harbor', to: 'HARB' } as const;
  const TWICE = { code: 'name-twice', severity: 'note', name: 'HARB' } as const;
  const SHARED = { code: 'slot-shared', severity: 'note', with: 'Ferry', number: 3 } as const;
  const cell = (verdict: Cell['verdict'], findings: Cell['findings']): Cell => ({
    channelId: 'a',
    verdict,
    slot: null,
    name: 'HARB',
    findings,
  });
  it.each<[string, Cell['verdict'], Cell['findings'], Cell['verdict'], Cell['findings']]>([
    ['that had to be short had not to give', 'adapted', [SHORT], 'full', []],
    ['that is there twice neither', 'adapted', [SHORT, TWICE], 'full', []],
    ['that gave something else as well still does', 'adapted', [SHORT, SHARED], 'adapted', [SHARED]],
    ['that is only heard stays so', 'listen', [SHORT, TWICE], 'listen', []],
    ['that was all there stays so', 'full', [], 'full', []],
  ])('%s', (_, verdict, findings, shall, left) =>
    expect(unnamed(cell(verdict, findings))).toEqual({ ...cell(shall, left), name: null }),
  );
});

describe('names for another day', () => {
  const set = mobile();
  const HELD = { rx: 462_700_000, off: 0, enc: 0, dec: 0, pow: 0, wid: 0, mute: 0 };
  const now = holding(set, {
    12: { ...HELD, name: 'DEB' },
    13: { ...HELD, rx: 462_725_000, name: '  ' },
    14: { ...HELD, rx: 462_675_000 },
  });
  const CHANNELS = [
    channel('ABED', 462.5625, 462.5625),
    channel('BEDE', 462.7, 462.7),
    channel('CADE', 462.725, 462.725),
    channel('DACE', 462.675, 462.675),
    channel('EBBA', 462.65, 462.65),
  ];
  const fit = fitPlan(plan(CHANNELS), fitDevice(set, now));
  const later = withoutNames(fit, set, now);
  const named = (of: typeof fit) =>
    [...of.image.slots].map(([number, { values, content }]) => [
      number,
      values.name,
      'name' in content ? content.name : undefined,
    ]);
  it('before: each has its own', () =>
    expect(named(fit)).toEqual([
      [1, 'ABED', 'ABED'],
      [12, 'BEDE', 'BEDE'],
      [13, 'CADE', 'CADE'],
      [14, 'DACE', 'DACE'],
      [11, 'EBBA', 'EBBA'],
    ]));
  it('stay away where none is; another one is replaced, and so is one that may be there', () => {
    expect(named(later)).toEqual([
      [1, '', ''],
      [12, 'BEDE', 'BEDE'],
      [13, '', ''],
      [14, 'DACE', 'DACE'],
      [11, '', ''],
    ]);
    expect(later.cells.map(({ name }) => name)).toEqual([null, 'BEDE', null, 'DACE', null]);
  });
  it('all else stays as it was', () => {
    const rest = (of: typeof fit) =>
      [...of.image.slots].map(([number, { values, content }]) => [
        number,
        { ...values, name: 0 },
        { ...content, name: 0 },
      ]);
    expect(rest(later)).toEqual(rest(fit));
  });
  it('a set without names has none to leave', () => {
    const bare = mobile((raw) => {
      raw.names = 'none';
      raw.fields = raw.fields.filter(({ id }: { id: string }) => id !== 'name');
      for (const { ways } of raw.regions)
        for (const way of ways) way.fields = way.fields.filter((id: string) => id !== 'name');
    });
    const without = fitPlan(plan(CHANNELS), fitDevice(bare));
    expect(withoutNames(without, bare, factoryMemory(bare))).toEqual(without);
  });
});
