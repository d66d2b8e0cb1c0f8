import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';

import { KEYED, PROVABLE } from '../../core/test/support/devices';
import { said } from '../src/main';

const root = fileURLToPath(new URL('../..', import.meta.url));
const plan = join(root, 'demo/ostrel-plan.json');

/** What the command line says to some words: its exit code, its JSON, and what it complains of. */
function umbrex(...words: string[]) {
  const { exit, out, err } = said(words);
  return { exit, json: out ? JSON.parse(out) : undefined, err };
}

/** The same as a user runs it, in a process of its own. */
function started(...words: string[]) {
  const run = spawnSync(process.execPath, ['--import', 'tsx', 'cli/src/main.ts', ...words], {
    cwd: root,
    encoding: 'utf8',
  });
  return { exit: run.status, json: run.stdout ? JSON.parse(run.stdout) : undefined, err: run.stderr };
}

describe('umbrex', () => {
  it.each([
    ['fine', ['tone', 'D023I'], 0],
    ['asking', ['tone', '82.5 MHz'], 1],
    ['words it does not know', ['tune', 'x'], 2],
  ])('says and ends the same in a process of its own: %s', (_, words, exit) => {
    const alone = started(...words);
    expect(alone.exit).toBe(exit);
    expect(alone).toEqual(umbrex(...words));
  });
  it('reads a tone and its partner', () =>
    expect(umbrex('tone', 'D023I')).toMatchObject({
      exit: 0,
      json: { ok: true, tone: 'D023I', sameAs: ['D047N'], questions: [] },
    }));
  it('asks about a tone in megahertz, exit 1', () =>
    expect(umbrex('tone', '82.5 MHz')).toMatchObject({
      exit: 1,
      json: { ok: false, questions: [{ offers: ['82.5'] }] },
    }));
  it('reads a channel', () =>
    expect(umbrex('channel', 'harbour works 154.115 rx only')).toMatchObject({
      exit: 0,
      json: {
        ok: true,
        channel: { name: 'harbour works', receiveHz: 154_115_000, transmitHz: null, transmitTone: 'off' },
      },
    }));
  it('proves the demo plan on all shipped devices', () => {
    const { exit, json } = umbrex('prove', plan);
    expect(exit).toBe(0);
    expect(json.devices.map((d: { device: string; proven: boolean }) => [d.device, d.proven])).toEqual(
      KEYED.map(({ id }) => [id, true]),
    );
  });
  it('says what differs between two states of a plan, and what it takes to load that', () => {
    const folder = mkdtempSync(join(tmpdir(), 'umbrex-'));
    const { channels, ...head } = JSON.parse(readFileSync(plan, 'utf8'));
    const [first, ...rest] = channels;
    const newer = join(folder, 'new.json');
    writeFileSync(
      newer,
      JSON.stringify({ ...head, channels: [{ ...first, transmitTone: '131.8' }, ...rest] }),
    );
    expect(umbrex('diff', plan, newer)).toMatchObject({
      exit: 0,
      json: {
        ok: true,
        head: [],
        channels: [
          {
            id: first.id,
            name: 'Gannet Top',
            change: 'changed',
            fields: [{ field: 'transmitTone', from: first.transmitTone, to: '131.8' }],
          },
        ],
      },
    });
    const device = ['--device', join(root, 'devices/page-handheld.json')];
    const { exit, json } = umbrex('change', plan, newer, ...device);
    expect([exit, json.ok]).toEqual([0, true]);
    expect(json.devices).toMatchObject([
      { device: 'page-handheld', way: 'keys', slots: [2], proven: true, firstDifference: null },
    ]);
    expect(json.devices[0].steps).toBeGreaterThan(0);
    expect(umbrex('change', plan, plan, ...device).json.devices).toEqual([
      {
        device: 'page-handheld',
        way: 'none',
        steps: 0,
        presses: 0,
        slots: [],
        proven: true,
        firstDifference: null,
      },
    ]);
    expect(umbrex('diff', plan).exit).toBe(2);
    expect(umbrex('diff', plan, newer, 'more').exit).toBe(2);
    expect(umbrex('diff', plan, join(folder, 'none.json'))).toMatchObject({ exit: 1, json: { ok: false } });
  });
  it('works out a bench day, and names a set that has no place in it', () => {
    const folder = mkdtempSync(join(tmpdir(), 'umbrex-'));
    const file = join(folder, 'job.json');
    const set = (id: string, minutes: number) => ({
      id,
      personId: null,
      ways: [{ way: 'keys', minutes, masterIds: [] }],
    });
    const job = {
      format: 'umbrex/bench@1',
      untilMin: 60,
      people: [{ id: 'ada', fromMin: 10, toMin: 60 }],
      stands: [],
      masters: [],
      sets: [set('a', 20), set('b', 25)],
    };
    writeFileSync(file, JSON.stringify(job));
    const { exit, json } = umbrex('bench', file);
    expect([exit, json.ok, json.finishMin, json.lowerBoundMin, json.unscheduled]).toEqual([
      0,
      true,
      55,
      55,
      [],
    ]);
    expect(json.tasks).toHaveLength(2);
    expect(Object.keys(json.tasks[0])).toEqual([
      'setId',
      'personId',
      'standId',
      'masterId',
      'way',
      'fromMin',
      'toMin',
    ]);
    writeFileSync(file, JSON.stringify({ ...job, sets: [...job.sets, set('c', 30)] }));
    expect(umbrex('bench', file)).toMatchObject({ exit: 1, json: { ok: false, unscheduled: ['c'] } });
    writeFileSync(file, JSON.stringify({ ...job, sets: [set('a', 1), set('a', 2)] }));
    const wrong = umbrex('bench', file);
    expect([wrong.exit, wrong.json.findings[0].path]).toEqual([1, '/sets/1/id']);
    writeFileSync(file, '{');
    expect(umbrex('bench', file)).toMatchObject({
      exit: 1,
      json: { findings: [{ code: 'document-not-json' }] },
    });
    expect(umbrex('bench').exit).toBe(2);
  });
  it('reads a line by the labels of a set in hand', () => {
    const device = ['--device', join(root, 'devices/page-handheld.json')];
    expect(umbrex('channel', 'Kelp R3 141.3', ...device)).toMatchObject({
      exit: 0,
      json: { channel: { name: 'Kelp', receiveHz: 462_600_000, transmitHz: 467_600_000 } },
    });
    expect(umbrex('channel', 'page 9 place 7', ...device)).toMatchObject({
      exit: 1,
      json: { questions: [{ code: 'place-not-there', blocking: true }] },
    });
    expect(umbrex('channel', 'Kelp', '--other', 'x').exit).toBe(2);
  });
  it('fits one device from a file', () => {
    const { exit, json } = umbrex('fit', plan, '--device', join(root, 'devices/pocket-radio.json'));
    expect(exit).toBe(0);
    expect(json.devices).toHaveLength(1);
    expect(json.devices[0].channels[0]).toMatchObject({
      channel: 'Gannet Top',
      verdict: 'listen only',
      slot: { number: 16 },
    });
  });
  it('prints a service table and applies its rules to a person and a device', () => {
    expect(umbrex('service', 'weather').json.channels[0]).toEqual({
      name: 'Weather 1',
      receiveHz: 162_400_000,
      transmitHz: null,
      maxPowerW: null,
      powerBasis: null,
      bandwidthHz: 25_000,
    });
    const page = join(root, 'devices/page-handheld.json');
    const rules = (...more: string[]) =>
      umbrex('rules', '--service', 'gmrs', '--channel', '12', '--device', page, ...more);
    const ask = (...more: string[]) => rules(...more).json;
    const on = ['--today', '2026-11-25'];
    expect(ask('--licence', 'gmrs:own:2026-11-25', ...on)).toMatchObject({
      may: 'transmit',
      limitW: 0.5,
      basis: 'erp',
      source: '47 CFR 95.1767',
    });
    const finding = (...more: string[]) => ask(...more).finding?.code;
    expect(finding('--licence', 'gmrs:employer:2030-01-01', ...on)).toBe('licence-does-not-cover');
    expect(finding('--licence', 'gmrs:own:2026-11-24', ...on)).toBe('licence-expired');
    expect(finding('--licence', 'gmrs', ...on)).toBe('licence-expiry-unknown');
    expect(finding(...on)).toBe('no-licence');
    for (const odd of [
      'gnrs:own:2030-01-01',
      'gmrs:cousin:2030-01-01',
      'gmrs:own:2030-02-30',
      'gmrs:own:soon',
      'gmrs:own:2030-01-01:x',
    ])
      expect(rules('--licence', odd).exit, odd).toBe(2);
  });
  it('names the path in a bad file, exit 1', () => {
    const bad = join(mkdtempSync(join(tmpdir(), 'umbrex-')), 'bad.json');
    writeFileSync(bad, '{"format":"umbrex/plan@1","id":"x"}');
    const { exit, json } = umbrex('fit', bad);
    expect(exit).toBe(1);
    expect(json.findings.map((f: { path: string }) => f.path)).toContain('/id');
    expect(umbrex('fit', '/nowhere.json')).toMatchObject({
      exit: 1,
      json: { findings: [{ code: 'file-unreadable' }] },
    });
  });
  it('shows its usage and exits 2 for words it does not know', () => {
    for (const words of [
      [],
      ['tone'],
      ['sing', 'x'],
      ['fit', plan, '--colour', 'red'],
      ['tone', 'a', 'b'],
      ['service', 'cb'],
      ['rules', '--service', 'gmrs'],
    ]) {
      const { exit, json, err } = umbrex(...words);
      expect([exit, json]).toEqual([2, undefined]);
      expect(err).toContain('usage:');
    }
  });
  it('writes what a set’s memory shall hold, and compares what was read back', () => {
    const device = ['--device', join(root, 'devices/fleet-mobile.json')];
    const { exit, json } = umbrex('memory', plan, ...device);
    expect(exit).toBe(0);
    const file = join(mkdtempSync(join(tmpdir(), 'umbrex-')), 'memory.json');
    writeFileSync(file, JSON.stringify(json));
    expect(umbrex('compare', plan, ...device, '--read', file)).toMatchObject({
      exit: 0,
      json: { ok: true, differences: [], same: json.slots.length },
    });
    json.slots[0].values.rx = 1;
    writeFileSync(file, JSON.stringify(json));
    expect(umbrex('compare', plan, ...device, '--read', file)).toMatchObject({
      exit: 1,
      json: { ok: false, differences: [{ has: '1' }] },
    });
    expect(umbrex('compare', plan, ...device).exit).toBe(2);
  });
  it('prove --all names every pattern, each proven by its keys or by its file', () => {
    const { exit, json } = umbrex('prove', '--all');
    expect(exit).toBe(0);
    expect(
      json.patterns.map((p: { id: string; proven: boolean; firstDifference: unknown }) => [
        p.id,
        p.proven,
        p.firstDifference,
      ]),
    ).toEqual(PROVABLE.map(({ id }) => [id, true, null]));
    for (const { id, fromUnknown } of json.patterns) {
      expect(fromUnknown, id).toMatchObject({ proven: true, tried: 20, firstDifference: null });
      expect(['absolute', 'reset', 'file'], id).toContain(fromUnknown.way);
    }
  });
  it('prove --from unknown says how it goes with one kind that nobody looked at, and exits 1 where there is no way', () => {
    const page = join(root, 'devices/page-handheld.json');
    const { exit, json } = umbrex('prove', plan, '--device', page, '--from', 'unknown');
    expect([exit, json.devices[0].device, json.devices[0].fromUnknown.way]).toEqual([
      0,
      'page-handheld',
      'reset',
    ]);
    const { presses } = json.devices[0].fromUnknown;
    expect(presses.most).toBeGreaterThanOrEqual(presses.mean);
    const lame = JSON.parse(readFileSync(join(root, 'devices/pocket-radio.json'), 'utf8'));
    delete lame.recipes.reset;
    for (const step of lame.recipes.set.code) delete step.shows;
    const file = join(mkdtempSync(join(tmpdir(), 'umbrex-')), 'lame.json');
    writeFileSync(file, JSON.stringify(lame));
    const bad = umbrex('prove', plan, '--from', 'unknown', '--device', file);
    expect([bad.exit, bad.json.devices[0].fromUnknown.way]).toEqual([1, 'none']);
    expect(bad.json.devices[0].fromUnknown.firstDifference).toMatchObject({ code: 'start-unknown' });
    expect(umbrex('prove', plan, '--from', 'memory').exit).toBe(2);
  });
  it('numbers a fleet, with the proof that there is nothing better', () => {
    const { exit, json } = umbrex('number', plan, '--fleet', join(root, 'demo/ostrel-units.json'));
    expect(exit).toBe(0);
    expect(json).toMatchObject({ ok: true, gap: 0, findings: [] });
    expect(json.total).toBeGreaterThan(json.firstFit);
    const numbers = json.channels.flatMap((row: { number: number | null }) => row.number ?? []);
    expect(new Set(numbers).size).toBe(numbers.length);
    expect(umbrex('number', plan).exit).toBe(2);
    expect(umbrex('number', plan, '--fleet', plan)).toMatchObject({ exit: 1, json: { ok: false } });
  });
});

describe('umbrex hear', () => {
  const folder = mkdtempSync(join(tmpdir(), 'umbrex-hear-'));
  const file = (name: string, value: unknown) => {
    const path = join(folder, name);
    writeFileSync(path, JSON.stringify(value));
    return path;
  };
  const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
  const set = (n: number, descriptionId: string, more = {}) => ({
    id: uuid(n),
    descriptionId,
    nickname: `Set ${n}`,
    holder: '',
    serial: '',
    firmware: 'unknown',
    ...more,
  });
  const two = file('two.json', [set(1, 'page-handheld'), set(2, 'guided-handheld')]);
  const hear = (fleet: string, ...more: string[]) =>
    umbrex('hear', plan, '--fleet', fleet, '--channel', 'Gannet Top', ...more);

  it('gives ordered pairs in fleet order, and says what was taken for granted', () =>
    expect(hear(two)).toMatchObject({
      exit: 0,
      json: {
        ok: true,
        assumed: ['everybody-licensed', 'repeater-as-planned'],
        pairs: [
          {
            from: uuid(1),
            to: uuid(2),
            hears: true,
            reach: 'unknown',
            way: 'repeater',
            gate: null,
            finding: null,
          },
          {
            from: uuid(2),
            to: uuid(1),
            hears: true,
            reach: 'unknown',
            way: 'repeater',
            gate: null,
            finding: null,
          },
        ],
      },
    }));
  it('says where a call stops, with the JSON all the same', () => {
    const fleet = file('three.json', [set(1, 'page-handheld'), set(3, 'bank-scanner')]);
    const { exit, json } = hear(fleet);
    expect([exit, json.ok]).toEqual([1, false]);
    expect(json.pairs).toMatchObject([
      { hears: true, gate: null },
      {
        hears: false,
        gate: 'may-transmit',
        finding: { code: 'call-stops', gate: 'may-transmit', at: 'from' },
      },
    ]);
  });
  it('as held, sets that nobody looked at are unknown', () =>
    expect(hear(two, '--as', 'held').json.pairs[0]).toMatchObject({
      hears: 'unknown',
      finding: { code: 'call-not-known' },
    }));
  it('with people nobody may send who has no licence that day, and with stations the repeater is as it is listed', () => {
    const owned = file('owned.json', [
      set(1, 'page-handheld', { personId: uuid(9) }),
      set(2, 'guided-handheld', { personId: uuid(9) }),
    ]);
    const licence = { service: 'gmrs', holds: 'own', callSign: 'unknown', expires: '2026-12-31' };
    const people = file('people.json', { people: [{ id: uuid(9), name: 'Ann', licences: [licence] }] });
    const stations = join(root, 'demo/ostrel-stations.json');
    const on = (day: string) => hear(owned, '--people', people, '--stations', stations, '--on', day).json;
    expect(on('2026-12-31')).toMatchObject({ assumed: [], pairs: [{ hears: true }, { hears: true }] });
    expect(on('2027-01-01').pairs[0]).toMatchObject({ hears: false, gate: 'may-transmit' });
  });
  it.each([
    ['no fleet', ['hear', plan, '--channel', 'Gannet Top']],
    ['no channel', ['hear', plan, '--fleet', two]],
    ['a channel that is not there', ['hear', plan, '--fleet', two, '--channel', 'Nowhere']],
    ['a state that is none', ['hear', plan, '--fleet', two, '--channel', 'Gannet Top', '--as', 'dreamt']],
    ['a day that is none', ['hear', plan, '--fleet', two, '--channel', 'Gannet Top', '--on', '2026-02-31']],
  ])('%s is a slip of the command', (_, words) => expect(umbrex(...words).exit).toBe(2));
  it('a name that two channels have is asked for again', () => {
    const { channels, ...head } = JSON.parse(readFileSync(plan, 'utf8'));
    const twice = file('twice.json', {
      ...head,
      channels: [...channels, { ...channels[0], id: uuid(70) }],
    });
    expect(umbrex('hear', twice, '--fleet', two, '--channel', 'Gannet Top').exit).toBe(2);
  });
  it.each([
    ['is not there', join(folder, 'none.json')],
    ['is no list of sets', file('odd.json', { sets: 3 })],
    ['names a kind that nobody knows', file('stray.json', [set(1, 'dream-set')])],
  ])('a fleet file that %s is a finding', (_, fleet) => {
    const { exit, json } = hear(fleet);
    expect([exit, json.ok, json.findings.length > 0]).toEqual([1, false, true]);
  });
});

describe('umbrex scan', () => {
  const scan = (device: string, ...more: string[]) =>
    umbrex('scan', plan, '--device', join(root, `devices/${device}.json`), ...more);
  it('says how long a round takes, and what it misses of calls of a length; none where a channel is not scanned', () => {
    const { exit, json } = scan('wideband-receiver', '--call', '1');
    expect([exit, json.ok]).toEqual([0, true]);
    const channels: { name: string; missChance: number | null }[] = json.channels;
    // It needs 25 ms to decide: 975 ms of a round are caught, and more where two places listen to one frequency.
    const once = Math.max(0, 1 - 975 / json.roundMs);
    const chances = channels.flatMap(({ missChance }) => missChance ?? []);
    expect(Math.max(...chances)).toBeCloseTo(once, 3);
    expect(chances.filter((chance) => Math.abs(chance - once) < 1e-3).length).toBeGreaterThan(
      chances.length / 2,
    );
    expect(channels.filter(({ missChance }) => missChance === null).length).toBeGreaterThan(0);
  });
  it('a set that does not scan is a finding', () =>
    expect(scan('pocket-radio', '--call', '3')).toMatchObject({
      exit: 1,
      json: { ok: false, findings: [{ code: 'scans-not' }] },
    }));
  it.each([['--call', '0'], ['--call', 'long'], ['--call', '-3'], ['--call', '99999'], []])(
    '%s %s is a slip',
    (...more) => expect(scan('bank-scanner', ...more).exit).toBe(2),
  );
});

describe('umbrex common', () => {
  const fleet = join(root, 'demo/ostrel-units.json');
  const units: { id: string; descriptionId: string }[] = JSON.parse(readFileSync(fleet, 'utf8'));
  const of = (kind: string) => units.find(({ descriptionId }) => descriptionId === kind)?.id ?? '';
  const common = (sets: string) => umbrex('common', plan, '--fleet', fleet, '--sets', sets);
  it('finds channels for sets of the fleet and for a stranger by kind, most covered first', () => {
    const sets = `${of('page-handheld')},${of('guided-handheld')},kind:pocket-radio`;
    const { exit, json } = common(sets);
    expect([exit, json.ok, json.otherwise]).toEqual([0, true, null]);
    const order = json.options.map((one: { covers: string[]; changes: unknown[]; minutes: number }) => [
      -one.covers.length,
      one.changes.length,
      one.minutes,
    ]);
    expect(order).toEqual(
      order.toSorted(
        (a: number[], b: number[]) =>
          (a[0] ?? 0) - (b[0] ?? 0) || (a[1] ?? 0) - (b[1] ?? 0) || (a[2] ?? 0) - (b[2] ?? 0),
      ),
    );
    expect(Object.keys(json.options[0])).toEqual([
      'channelId',
      'name',
      'transmitTone',
      'receiveTone',
      'covers',
      'lawful',
      'changes',
      'minutes',
    ]);
    expect(json.options[0].covers).toEqual(sets.split(','));
    expect(Object.keys(json.options[0].changes[0])).toEqual(['set', 'slot', 'fields', 'presses']);
  });
  it('sets that share nothing have no option, exit 1', () =>
    expect(common('kind:wideband-receiver,kind:bank-scanner')).toMatchObject({
      exit: 1,
      json: { ok: false, options: [] },
    }));
  it.each([
    ['one set alone', of('page-handheld')],
    ['a set that is not there', `${of('page-handheld')},nobody`],
    ['a kind that nobody knows', `${of('page-handheld')},kind:dream-set`],
    ['one set twice', `${of('page-handheld')},${of('page-handheld')}`],
  ])('%s is a slip', (_, sets) => expect(common(sets).exit).toBe(2));
});
