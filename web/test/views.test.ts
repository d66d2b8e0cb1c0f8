import { randomUUID } from 'node:crypto';
import { heldAfter } from '@umbrex/core/flow';
import type { Channel, Station } from '@umbrex/core/model';
import { senderOf, transmitRule } from '@umbrex/core/rules';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Role } from '../src/contract/roles';

const { demoPlan, ensureWorkspace } = await import('../../demo/load');
const { getDb } = await import('../src/server/db');
const { loadDesk } = await import('../src/server/desk');
const { deskProps } = await import('../src/server/page');
const { firstWorkspace } = await import('../src/server/repositories/workspaces');
const { listThings, saveThing } = await import('../src/server/store/store');
const { devicesView } = await import('../src/server/views/devices');
const { deviceView } = await import('../src/server/views/device');
const { historyView } = await import('../src/server/views/history');
const { listView } = await import('../src/server/views/list');
const { planView } = await import('../src/server/views/plan');
const { mendView } = await import('../src/server/views/mend');
const { netsView, peopleView, teamView } = await import('../src/server/views/people');
const { referenceView } = await import('../src/server/views/reference');
const { sheetView } = await import('../src/server/views/sheet');
const { mapView, stationsView } = await import('../src/server/views/stations');
const { todayView } = await import('../src/server/views/today');
const db = getDb();
const planId = demoPlan().id;
let workspace: { id: string; name: string };
/** A member of the roster who holds a set, and somebody else who does. */
let holder = { personId: '', unitId: '', name: '' };
let other = { personId: '', unitId: '', name: '' };

beforeAll(async () => {
  await ensureWorkspace(db, true);
  const first = await firstWorkspace(db);
  if (!first) throw new Error('no workspace');
  workspace = first;
  const [units, people] = [
    await listThings(db, 'unit', workspace.id),
    await listThings(db, 'person', workspace.id),
  ];
  const held = people.flatMap(({ value }) => {
    const unit = units.find((one) => one.value.personId === value.id);
    return unit ? [{ personId: value.id, unitId: unit.value.id, name: value.name }] : [];
  });
  [holder, other] = held as [typeof holder, typeof other];
  await db.transaction(async (trx) => {
    const channels = await listThings(trx, 'channel', workspace.id);
    const channel = channels.find(({ value }) => value.transmitTone === '131.8');
    if (!channel) throw new Error('no channel with a tone');
    const secret: Channel = {
      ...channel.value,
      transmitTone: '254.1',
      receiveTone: 'D754I',
      tonesSecret: true,
    };
    await saveThing(trx, 'channel', workspace.id, secret.id, channel.version, secret);
    const stations = await listThings(trx, 'station', workspace.id);
    const station = stations.find(({ value }) => value.kind === 'repeater');
    if (!station) throw new Error('no repeater');
    const said = { source: 'a member', on: '2026-11-01' };
    const value: Station = {
      ...station.value,
      facts: [...station.value.facts, { field: 'inputTone', value: '254.1', ...said }],
      reports: [{ personId: other.personId, reached: true, on: '2026-11-02' }],
    };
    await saveThing(trx, 'station', workspace.id, value.id, station.version, value);
  });
});
afterAll(() => db.destroy());

const deskOf = (role: Role, personId: string | null = null) =>
  loadDesk(db, { accountId: randomUUID(), name: 'Somebody', role, personId, workspace } as never, planId);

/** What the pages that everybody may open are made of. */
async function open(role: Role, personId: string | null = null) {
  const desk = await deskOf(role, personId);
  return {
    plan: deskProps(desk),
    list: await listView(desk, true),
    stations: await stationsView(desk),
    map: await mapView(desk),
    nets: await netsView(desk),
    today: await todayView(desk),
    mend: await mendView(desk.session),
    around: (await planView(desk)).people,
  };
}

describe('what an observer gets', () => {
  it('holds no tone that is for members only, and no tone that opens a station, on any page', async () => {
    const text = JSON.stringify(await open('observer'));
    expect(text).not.toMatch(/254\.1|D754I/);
    expect(text).not.toContain('"inputTone","value"');
  });
  it('holds no set, nobody of the roster, and nothing that waits to be done', async () => {
    const seen = await open('observer');
    expect([seen.plan.units, seen.plan.board.kinds, seen.around, seen.today.due]).toEqual([[], [], [], []]);
    expect([seen.stations.people, seen.map.people, seen.nets.people]).toEqual([[], [], []]);
    expect(seen.stations.stations.flatMap(({ value }) => value.reports)).toEqual([]);
    const people = await listThings(db, 'person', workspace.id);
    // Whom a net names is said on the air.
    const { nets: _n, today: _t, ...rest } = seen;
    for (const { value } of people)
      if (value.contact) expect(JSON.stringify(rest)).not.toContain(value.contact);
  });
  it('holds them on the list neither where it is asked for members', async () => {
    const desk = await deskOf('observer');
    expect((await listView(desk, true)).isWhole).toBe(false);
  });
});

describe('what a member gets', () => {
  it('holds every tone of the plan, and on the list only when it is asked for', async () => {
    const desk = await deskOf('member', holder.personId);
    expect(JSON.stringify(deskProps(desk).plan)).toContain('254.1');
    expect(JSON.stringify(await listView(desk, true))).toContain('254.1');
    expect(JSON.stringify(await listView(desk, false))).not.toContain('254.1');
  });
  it('holds their own sets, and nobody else’s, by list, by page and by sheet', async () => {
    const desk = await deskOf('member', holder.personId);
    const { units, people } = await devicesView(desk);
    expect(new Set(units.map(({ unit }) => unit.personId))).toEqual(new Set([holder.personId]));
    expect(people.map(({ id }) => id)).toEqual([holder.personId]);
    expect(deviceView(desk, holder.unitId)?.unit.id).toBe(holder.unitId);
    expect(deviceView(desk, other.unitId)).toBeUndefined();
    expect((await sheetView(desk, holder.unitId))?.data.unit.id).toBe(holder.unitId);
    expect(await sheetView(desk, other.unitId)).toBeUndefined();
    // With which sets a call is tried, and not whose they are.
    const ofMember = await sheetView(desk, holder.unitId);
    const ofEditor = await sheetView(await deskOf('editor'), holder.unitId);
    const sets = (view: typeof ofMember) =>
      view?.checks.map(({ partners }) => partners.map(({ nickname }) => nickname));
    expect(sets(ofMember)).toEqual(sets(ofEditor));
    expect(JSON.stringify(ofEditor?.checks)).toMatch(/"holder":"[A-Z]/);
    for (const { holder: who } of ofMember?.checks.flatMap(({ partners }) => partners) ?? [])
      expect(['', holder.name]).toContain(who);
    const seen = new Set(desk.board.kinds.flatMap(({ unitIds }) => unitIds));
    expect(seen).toEqual(new Set(units.map(({ unit }) => unit.id)));
    expect(Object.keys(desk.board.unitFindings).every((id) => seen.has(id))).toBe(true);
  });
  it('holds what they need for each repeater, of themselves alone', async () => {
    const { people, matrix } = await stationsView(await deskOf('member', holder.personId));
    expect(people.map(({ id }) => id)).toEqual([holder.personId]);
    for (const row of Object.values(matrix)) expect(Object.keys(row)).toEqual([holder.personId]);
  });
  it('holds where nobody is', async () =>
    expect((await mapView(await deskOf('member', holder.personId))).people).toEqual([]));
  it('without a person in the roster holds no set at all', async () =>
    expect((await devicesView(await deskOf('member'))).units).toEqual([]));
});

describe('what an editor gets', () => {
  it('holds all sets, the roster, what is due, and the history with names', async () => {
    const desk = await deskOf('editor');
    const all = await listThings(db, 'unit', workspace.id);
    expect((await devicesView(desk)).units).toHaveLength(all.length);
    expect((await peopleView(desk)).people.length).toBeGreaterThan(5);
    expect((await todayView(desk)).due.length).toBeGreaterThan(0);
    expect((await teamView(desk)).members.length).toBeGreaterThan(2);
    const { entries } = await historyView(desk, Number.NaN);
    expect(entries.slice(0, 2).map(({ what }) => what)).toEqual([
      expect.stringMatching(/^changed the station “/),
      expect.stringMatching(/^changed the channel “/),
    ]);
    expect(entries[1]?.changes).toContain('transmit tone: 131.8 Hz → 254.1 Hz');
    expect((await planView(desk)).neighbours).toEqual([]);
  });
  it('holds the history and the neighbours also where a row could not be read and was mended', async () => {
    const [person] = await listThings(db, 'person', workspace.id);
    if (!person) throw new Error('nobody');
    const { id } = person.value;
    await db('person')
      .where({ id })
      .update({ document: JSON.stringify({ ...person.value, licences: 7 }) });
    await db.transaction((trx) => saveThing(trx, 'person', workspace.id, id, person.version, person.value));
    await db('directory_entry').insert({
      workspace_id: workspace.id,
      source: 's',
      id: 'odd',
      document: '7',
      distance_m: 1,
      taken_at: new Date(),
    });
    const desk = await deskOf('editor');
    expect((await historyView(desk, Number.NaN)).entries[0]?.changes[0]).toMatch(
      /^licences: something that cannot be read → /,
    );
    expect((await planView(desk)).neighbours).toEqual([]);
  });
  it('the history goes on where it stopped, without a gap or an entry twice', async () => {
    const desk = await deskOf('editor');
    const seen: string[] = [];
    let before = Number.NaN;
    for (;;) {
      const { entries, goesOnBefore } = await historyView(desk, before);
      seen.push(...entries.map(({ id }) => id));
      if (goesOnBefore === null) break;
      before = goesOnBefore;
    }
    const [row] = await db('edit').where({ workspace_id: workspace.id }).count('* as n');
    expect([seen.length, new Set(seen).size]).toEqual([Number(row?.n), Number(row?.n)]);
  });
});

describe('where somebody may send', () => {
  it('is the same on the board, on their sheet, under People, by the rules, for ten holders and ten channels', async () => {
    const desk = await deskOf('editor');
    const { plan } = desk.state;
    const ten = [...new Set(desk.fleet.flatMap(({ personId }) => personId ?? []))].slice(0, 10);
    const people = await peopleView(desk);
    expect(ten).toHaveLength(10);
    for (const personId of ten) {
      const sets = desk.fleet.filter((unit) => unit.personId === personId);
      const sending = new Set<string>();
      for (const { id, descriptionId } of sets) {
        const sheet = await sheetView(desk, id);
        const board = desk.board.kinds.find(({ unitIds }) => unitIds.includes(id));
        const description = desk.descriptions.find(
          (one) => one.description.id === descriptionId,
        )?.description;
        if (!sheet || !board || !description) throw new Error('no sheet');
        const sender = senderOf(desk.grounds, { id });
        for (const [i, channel] of plan.channels.slice(0, 10).entries()) {
          const [onSheet, onBoard] = [sheet.data.fit.cells[i], board.cells[i]];
          expect([onSheet?.channelId, onSheet?.verdict]).toEqual([channel.id, onBoard?.verdict]);
          const sends = onSheet?.verdict === 'full' || onSheet?.verdict === 'adapted';
          if (sends) expect(transmitRule(channel, description, plan, sender).may).toBe('transmit');
        }
        for (const { channelId, verdict } of sheet.data.fit.cells)
          if (verdict === 'full' || verdict === 'adapted') sending.add(channelId);
      }
      expect(people.mayTalk[personId]).toMatch(new RegExp(`^Sends on ${sending.size} of `));
    }
  });
  it('follows a licence that ends: the board, the sheet, People and Today, and the set is changed by nobody in silence', async () => {
    const desk = await deskOf('editor');
    const sendsWell = desk.board.kinds.find(({ descriptionId }) => descriptionId === 'guided-handheld');
    const unit = desk.fleet.find(({ id, personId }) => personId && sendsWell?.unitIds.includes(id));
    const held = (await listThings(db, 'person', workspace.id)).find(
      ({ value }) => value.id === unit?.personId,
    );
    const row = (await listThings(db, 'unit', workspace.id)).find(({ value }) => value.id === unit?.id);
    if (!unit || !held || !row) throw new Error('nobody holds one');
    const sheet = await sheetView(desk, unit.id);
    if (!sheet) throw new Error('no sheet');
    const kind = sheet.data.description;
    const holds = heldAfter(kind, sheet.data, unit.holds, 1, '2026-11-01');
    await db.transaction(async (trx) => {
      await saveThing(trx, 'unit', workspace.id, unit.id, row.version, { ...unit, holds });
      const ended = held.value.licences.map((licence) => ({ ...licence, expires: '2020-01-01' }));
      await saveThing(trx, 'person', workspace.id, held.value.id, held.version, {
        ...held.value,
        licences: ended,
      });
    });
    const then = await deskOf('editor');
    const talks = (cells: readonly { verdict: string }[]) =>
      cells.filter(({ verdict }) => verdict === 'full' || verdict === 'adapted').length;
    const ownKind = then.board.kinds.find(({ unitIds }) => unitIds.includes(unit.id));
    expect([talks(ownKind?.cells ?? []), ownKind?.title]).toEqual([
      0,
      `${kind.title}, as loaded, listens only`,
    ]);
    const now = await sheetView(then, unit.id);
    expect(talks(now?.data.fit.cells ?? [])).toBe(0);
    expect(now?.data.sheet.steps.length).toBeGreaterThan(0);
    expect((await peopleView(then)).mayTalk[held.value.id]).toMatch(/^Sends on 0 of /);
    const due = new Map(
      (await todayView(then)).due.map(({ code, items }) => [code, items.map(({ id }) => id)]),
    );
    expect(due.get('licences-over')).toContain(held.value.id);
    expect(due.get('units-to-change')).toEqual([unit.id]);
    // What it holds is what was loaded, until somebody did the sheet.
    const after = (await listThings(db, 'unit', workspace.id)).find(({ value }) => value.id === unit.id);
    expect(after?.value.holds).toEqual(holds);
  });
});

describe('what is looked up', () => {
  const lookUp = async (asked: string) => referenceView(await deskOf('member'), asked);
  it.each([
    // Numbers 1 to 38: common practice. Partners: the same 23 bits begun at another one and turned round (TIA-603 lists them).
    ['67.0', { tones: [{ tone: '67.0', number: '1', partner: '', word: '' }] }],
    ['88.5', { tones: [{ tone: '88.5', number: '8' }] }],
    ['D023I', { tone: { tone: 'D023I', alike: ['D047N'] } }],
    ['82.5 MHz', { tone: undefined, questions: [{ offers: ['82.5'] }] }],
    [
      'nothing of the kind',
      { tone: undefined, questions: [], tones: [], services: [], counties: { total: 0 } },
    ],
    // County of Lake in Ohio: 39 and 085 (FIPS 6-4); the whole of it has a 0 before (47 CFR 11.31).
    ['lake, ohio', { counties: { areas: [{ code: '039085', county: 'Lake', state: 'Ohio' }], total: 1 } }],
  ])('%s', async (asked, found) => expect(await lookUp(asked)).toMatchObject(found));
  it('a frequency finds the channels that are there, on receive and on the input', async () => {
    const { services } = await lookUp('462.675');
    expect(services.flatMap(({ channels }) => channels.map(({ receiveHz }) => receiveHz))).toContain(
      462_675_000,
    );
  });
  it('without a word there is all but the counties; kinds are those that somebody holds', async () => {
    const desk = await deskOf('coordinator');
    const { services, tones, counties, devices } = await referenceView(desk, '  ');
    // Tones of TIA-603 and of common practice; how many each list has stands beside it in the facts.
    expect([services.length > 8, tones.length, counties.total]).toEqual([true, 50 + 104, 0]);
    expect(devices.length).toBe(new Set(desk.units.map(({ unit }) => unit.descriptionId)).size);
    expect(tones.every(({ called }) => called.length === devices.length)).toBe(true);
  });
  it.each([
    '%',
    '<script>',
    '\u202e',
    '((((',
    'd'.repeat(5000),
    '-1',
    '1e308 MHz',
    'constructor',
    '__proto__',
  ])('hostile words find nothing and break nothing: %#', async (asked) =>
    expect((await lookUp(asked)).query.length).toBeLessThanOrEqual(60),
  );
});
