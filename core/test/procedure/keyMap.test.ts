import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import { DescriptionSchema } from '@umbrex/core/model';
import { keyLines, lockOf, VirtualDevice } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { memoryAfter } from '../support/memory';
import { item, items, mobile } from '../support/mobile';
import { plan, unit, uuid } from '../support/plans';

const PAGE = shipped('page-handheld');
const [LEADERS, DRIVERS] = [uuid(61), uuid(62)];
const wanted = {
  ...plan([]),
  setup: { 'page-handheld': { beep: 0, sideShort: 1 } },
  roleSetup: {
    [LEADERS]: { 'page-handheld': { sideShort: 2, sideLong: 4 } },
    [DRIVERS]: { 'zoned-mobile': { keyA: 1 } },
  },
};
const image = (roleId: string | null, id = 'page-handheld') =>
  fitPlan(wanted, fitDevice(shipped(id), undefined, { roleId })).image;

describe('settings of whole sets by role', () => {
  it('what a role wants goes before what all have, setting by setting', () => {
    expect(image(null).settings).toEqual({ beep: 0, sideShort: 1 });
    expect(image(LEADERS).settings).toEqual({ beep: 0, sideShort: 2, sideLong: 4 });
    expect(image(DRIVERS).settings).toEqual({ beep: 0, sideShort: 1 });
    expect(image(DRIVERS, 'zoned-mobile').settings).toEqual({ keyA: 1 });
    expect(image(uuid(99)).settings).toEqual({ beep: 0, sideShort: 1 });
  });
  it('each role’s sheet proves, on the settings of that role', () => {
    for (const roleId of [null, LEADERS, DRIVERS])
      for (const id of ['page-handheld', 'zoned-mobile']) {
        const { proof, sheet } = prepare(wanted, shipped(id), unit(1, id, { roleId }));
        expect(proof.firstDifference).toBeNull();
        if (id === 'page-handheld') expect(sheet.steps.length).toBeGreaterThan(0);
      }
  });
});

describe('the key map of a set', () => {
  it('says what each key does as the set is configured', () => {
    const sides = (roleId: string | null) =>
      keyLines(PAGE, memoryAfter(PAGE, image(roleId)).settings)
        .filter(({ legend }) => legend === 'SIDE')
        .map(({ heldMs, does, setting }) => [heldMs, does, setting]);
    expect(sides(null)).toEqual([
      [undefined, 'opens the receiver: everything is heard, tone or not', 'Side key, short'],
      [1500, 'switches the lamp', 'Side key, long'],
    ]);
    expect(sides(LEADERS).map(([, does]) => does)).toEqual(['begins to scan', 'sounds and sends an alarm']);
  });
  it('nothing is said where nobody described one', () => {
    expect(keyLines(shipped('retired-portable'), {})).toEqual([]);
    expect(lockOf(shipped('retired-portable'))).toBeNull();
  });
  it('what a setting decides is not known where nobody knows the setting; the other keys are', () => {
    const known = keyLines(PAGE, memoryAfter(PAGE, image(null)).settings);
    const unknown = keyLines(PAGE, {});
    expect(unknown.map(({ legend, heldMs, setting }) => [legend, heldMs, setting])).toEqual(
      known.map(({ legend, heldMs, setting }) => [legend, heldMs, setting]),
    );
    for (const [i, line] of unknown.entries())
      if (line.setting === null) expect(line).toEqual(known[i]);
      else expect(line).toMatchObject({ does: null, leave: '' });
    expect(unknown.filter(({ does }) => does === null)).toHaveLength(2);
  });
  it('says how its keys are locked, and nothing where no key locks them', () => {
    const map = { functions: { lock: { title: 'locks the keys', leave: 'Hold it again.' } }, after: [] };
    const keys = { a: 'ENTER', b: 'SIDE' };
    const line = (does: string, more: object = {}) => ({ key: 'a', does, ...more });
    const of = (...lines: object[]) => lockOf({ keys, keyMap: { ...map, keys: lines } } as never);
    expect(of(line('talk', { key: 'b' }), line('lock', { heldMs: 2000 }))).toEqual({
      legend: 'ENTER',
      heldMs: 2000,
      leave: 'Hold it again.',
    });
    expect(of(line('lock', { key: 'unnamed' }))).toMatchObject({ legend: 'unnamed', heldMs: undefined });
    expect(of(line('talk'))).toBeNull();
    expect(lockOf({ keys, keyMap: { functions: {}, after: [], keys: [line('lock')] } } as never)?.leave).toBe(
      '',
    );
  });

  const mapped = SHIPPED.filter(({ keyMap, behaviour }) => keyMap && behaviour);
  let ways = 0;
  it.each(mapped.map((description) => [description.id, description] as const))(
    '%s: every way back that names a key leads back, with nothing changed',
    (_, description) => {
      const { after = [], functions = {}, keys = [] } = description.keyMap ?? {};
      let tried = 0;
      for (const { key, heldMs, does } of keys) {
        const back = typeof does === 'string' ? functions[does]?.leaveBy : undefined;
        if (!back) continue;
        const device = new VirtualDevice(description);
        for (const first of after) device.take({ kind: 'key', key: first, heldMs: 120 });
        const [screen, memory] = [device.screen(), device.memory()];
        device.take({ kind: 'key', key, heldMs: heldMs === undefined ? 120 : heldMs + 200 });
        expect(device.screen(), key).not.toEqual(screen);
        device.take({ kind: 'key', key: back.key, heldMs: back.heldMs ?? 120 });
        expect(device.screen(), key).toEqual(screen);
        expect(device.memory(), key).toEqual(memory);
        expect(device.emissions()).toEqual([]);
        tried++;
      }
      expect(tried).toBeGreaterThan(0);
      ways += tried;
    },
  );
  it('every shipped kind with keys has its map, and thirty ways back were tried', () => {
    expect(mapped).toHaveLength(SHIPPED.filter(({ behaviour }) => behaviour).length);
    expect(ways).toBeGreaterThanOrEqual(30);
  });
  it('a map that names a key, a setting or a function that is not there is refused at its place', () => {
    const bad = structuredClone(PAGE);
    bad.keyMap?.keys.push(
      { key: 'nokey', does: 'talk' },
      { key: 'talk', does: 'fly' },
      { key: 'talk', does: { setting: 'none' } },
    );
    delete bad.keyMap?.functions.alarm;
    const paths = DescriptionSchema.safeParse(bad).error?.issues.map(({ path }) => path.join('/'));
    expect(paths).toEqual([
      'keyMap/keys/1/does',
      'keyMap/keys/2/does',
      'keyMap/keys/9/key',
      'keyMap/keys/10/does',
      'keyMap/keys/11/does',
    ]);
  });
});

it('a key does always the same, or what its setting says; nobody knows where that is not read', () => {
  const set = mobile((raw) => {
    raw.keys = { lock: 'LOCK', side: 'SIDE' };
    raw.lists.does = items(item('LAMP', 'lamp'), item('TONE', 'tone'));
    raw.settings.push({ id: 'side', title: 'Side key', list: 'does', factory: 0 });
    raw.keyMap = {
      functions: {
        lock: { title: 'locks the keys', leave: 'Hold LOCK' },
        lamp: { title: 'switches the lamp', leave: '' },
        tone: { title: 'sends a tone', leave: '' },
      },
      keys: [
        { key: 'lock', heldMs: 2000, does: 'lock' },
        { key: 'side', does: { setting: 'side' } },
      ],
    };
  });
  const lock = { legend: 'LOCK', heldMs: 2000, does: 'locks the keys', leave: 'Hold LOCK', setting: null };
  const side = { legend: 'SIDE', heldMs: undefined, leave: '', setting: 'Side key' };
  expect(keyLines(set, { side: 1 })).toEqual([lock, { ...side, does: 'sends a tone' }]);
  expect(keyLines(set, {})).toEqual([lock, { ...side, does: null }]);
  expect(keyLines(mobile(), { side: 1 })).toEqual([]);
});
