import { CAUSES, KNOWN, SYMPTOMS, TRIALS } from '@umbrex/core/cause';
import { ANY_MAKE } from '@umbrex/core/common';
import { HEAR_GATES } from '@umbrex/core/findings';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Desk } from '../src/server/desk';

const { ensureWorkspace } = await import('../../demo/load');
const { getDb } = await import('../src/server/db');
const { loadDesk } = await import('../src/server/desk');
const { airView } = await import('../src/server/views/air');
const { commonView } = await import('../src/server/views/common');
const { scanView } = await import('../src/server/views/scan');
const { troubleView } = await import('../src/server/views/trouble');
const { GATE_WORDS, noteText } = await import('../src/messages/onAir');
const { CAUSE_WORDS, KNOWN_WORDS, SYMPTOM_WORDS, TRIAL_WORDS } = await import('../src/messages/trouble');
const { findingText } = await import('../src/messages/findings');
const { visitorAs } = await import('./routes');

const db = getDb();
let desk: Desk;
let gannet = '';
beforeAll(async () => {
  await ensureWorkspace(db, true, true);
  const coordinator = await visitorAs('coordinator');
  const planId = (await coordinator.send('GET', '/api/plans')).body[0].id;
  const workspace = await db('workspace').first('id', 'name');
  const session = { accountId: null, name: 'Ines', role: 'coordinator' as const, personId: null, workspace };
  desk = await loadDesk(db, session, planId, 'published');
  gannet = desk.state.plan.channels.find(({ name }) => name === 'Gannet Top')?.id ?? '';
}, 60_000);
afterAll(() => db.destroy());

describe('the view of who hears whom', () => {
  it('has each set once, with its repeater as the list of stations has it', async () => {
    const view = await airView(db, desk, { channelId: gannet, as: 'planned', from: null });
    const talking = desk.units.filter(({ unit }) => unit.descriptionId !== 'repeater');
    expect(view?.sets.map(({ unitId }) => unitId)).toEqual(talking.map(({ unit }) => unit.id));
    expect(view?.repeaters).toMatchObject([{ name: 'Gannet Top', by: 'station' }]);
    expect(JSON.parse(JSON.stringify(view))).toEqual(view);
  });
  it('follows a change from an older state, set by set', async () => {
    const view = await airView(db, desk, { channelId: gannet, as: 'planned', from: 1 });
    expect(view?.change).toMatchObject({ from: 1 });
    expect((await airView(db, desk, { channelId: gannet, as: 'planned', from: 99 }))?.change).toBeNull();
  });
  it('a channel that is not there is the first one; a plan without channels has none', async () => {
    const first = desk.state.plan.channels[0]?.id;
    expect((await airView(db, desk, { channelId: 'gone', as: 'held', from: null }))?.channel.id).toBe(first);
    const empty = { ...desk, state: { ...desk.state, plan: { ...desk.state.plan, channels: [] } } };
    expect(await airView(db, empty, { channelId: gannet, as: 'held', from: null })).toBeUndefined();
  });
});

describe('the log in the other views', () => {
  it('says whether the signal got from one set to another', async () => {
    const of = (name: string) => desk.units.find(({ unit }) => unit.nickname === name)?.unit.id;
    const view = await airView(db, desk, { channelId: gannet, as: 'planned', from: null });
    expect(view?.reachHeard[`${of('Boat 1')} ${of('Club 6')}`]).toBe('heard');
    expect(view?.reachHeard[`${of('Club 8')} ${of('Boat 1')}`]).toBeUndefined();
  });
  it('tells what others heard of a set where something does not work', async () => {
    const ask = async (name: string) => {
      const unitId = desk.units.find(({ unit }) => unit.nickname === name)?.unit.id ?? null;
      const asked = { symptom: 'i-hear-they-dont', unitId, channelId: gannet, withId: null, answers: {} };
      return (await troubleView(db, desk, asked)).known;
    };
    expect(await ask('Club 8')).toMatchObject({ talked: 'silent', listened: 'hears' });
    expect(await ask('Watch 7')).toMatchObject({ talked: 'heard' });
    expect(await ask('Club 2')).not.toHaveProperty('talked');
  });
});

describe('the view of common ground', () => {
  it('needs two sets, leaves aside what is none, and writes proven steps out for the first options', async () => {
    expect((await commonView(db, desk, [])).found).toBeNull();
    expect((await commonView(db, desk, ['nobody', 'kind:dream', ANY_MAKE])).chosen).toEqual([ANY_MAKE]);
    const view = await commonView(db, desk, [ANY_MAKE, 'kind:page-handheld', 'kind:page-handheld']);
    expect(view.chosen).toEqual([ANY_MAKE, 'kind:page-handheld']);
    const [best] = view.found?.options ?? [];
    expect(best).toMatchObject({ covers: view.chosen, transmitTone: 'off', receiveTone: 'off' });
    expect(best?.changes).toMatchObject([{ set: 'kind:page-handheld', steps: { isProven: true } }]);
  });
});

describe('what else is known of a way to meet', () => {
  it('says through how many ways the signal got by the log, and who else comes out there', async () => {
    const of = (name: string) => desk.units.find(({ unit }) => unit.nickname === name)?.unit.id ?? '';
    const entry = {
      id: 'far-tower',
      title: 'Far Tower',
      latitudeDeg: 41.3,
      longitudeDeg: -38.5,
      outputHz: 462_725_000,
      inputHz: 467_725_000,
      inputTone: null,
      outputTone: null,
      mode: null,
      access: null,
      status: 'on-air',
      rangeM: null,
      changed: null,
      note: '',
    };
    await db('directory_entry').insert({
      workspace_id: desk.workspace.id,
      source: 'a test',
      id: entry.id,
      document: JSON.stringify(entry),
      distance_m: 9000,
      taken_at: new Date(),
    });
    const view = await commonView(db, desk, [of('Boat 1'), of('Boat 2')]);
    const market = view.found?.options.find(({ name }) => name === 'Market day');
    expect(market?.reached).toEqual({ heard: 2, notHeard: 0, of: 2 });
    expect(market?.neighbours).toEqual(['Far Tower']);
    expect(view.found?.options.every(({ reached }) => reached.of === 2)).toBe(true);
  });
});

describe('the view of what a scan misses', () => {
  it('shows the kinds of the fleet that scan, the commonest first, and each channel of one', () => {
    const view = scanView(desk, null, null);
    expect(view.kinds.length).toBeGreaterThan(3);
    expect(view.kinds.map(({ sets }) => sets)).toEqual(
      view.kinds.map(({ sets }) => sets).toSorted((a, b) => b - a),
    );
    const { scanned, notScanned } = scanView(desk, 'bank-scanner', '1');
    expect(scanned.length + notScanned.length).toBe(desk.state.plan.channels.length);
    expect(scanView(desk, 'nothing', '3').kind).toEqual(view.kind);
    expect(scanView({ ...desk, units: [] }, null, '3').kind).toBeNull();
  });
  it.each([
    [null, 3, []],
    ['0.5', 0.5, []],
    ['3600', 3600, []],
    ['3601', 3, ['call']],
    ['0', 3, ['call']],
    ['-2', 3, ['call']],
    ['', 3, ['call']],
    ['2,5', 3, ['call']],
    ['three', 3, ['call']],
    ['NaN', 3, ['call']],
    ['Infinity', 3, ['call']],
  ])('says of a length that cannot be read that it is not what stands there: %j', (call, callS, unread) =>
    expect(scanView(desk, null, call)).toMatchObject({ callS, unread }),
  );
  it('says of a kind that is not there that another one stands there', () => {
    expect(scanView(desk, 'nothing', null).unread).toEqual(['kind']);
    expect(scanView(desk, 'bank-scanner', null).unread).toEqual([]);
  });
});

describe('the view of what is the matter', () => {
  const ask = (answers: Record<string, string>, more = {}) =>
    troubleView(db, desk, {
      symptom: 'i-hear-they-dont',
      unitId: null,
      channelId: null,
      withId: null,
      answers,
      ...more,
    });
  it('asks, and ranks by what was answered; what is no answer is left aside', async () => {
    expect((await ask({}, { symptom: 'nonsense' })).symptom).toBeNull();
    const first = await ask({ mark: 'sideways', nonsense: 'yes' });
    expect([first.answered, first.next !== null]).toEqual([[], true]);
    const picked = await ask({ mark: 'picked', tail: 'none', pair: 'yes', lamp: 'on', line: 'same' });
    expect(picked.ranked[0]?.id).toBe('picked-tone');
    expect(picked.next).toBeNull();
  });
  it('knows what is known of a set, and asks for nothing that it has not', async () => {
    const unitId = desk.units.find(({ unit }) => unit.descriptionId === 'page-handheld')?.unit.id ?? '';
    const view = await ask({}, { unitId, channelId: gannet });
    expect(view.known).toMatchObject({ station: 'on-air' });
    expect(view.ranked.map(({ id }) => id)).not.toContain('picked-tone');
    expect((await ask({})).ranked.map(({ id }) => id)).toContain('picked-tone');
  });
  it('asks nobody to talk on a channel for distress and calling', async () => {
    const distress = {
      ...desk.state.plan.channels[0],
      id: gannet,
      receiveHz: 156_800_000,
      transmitHz: 156_800_000,
    };
    const plan = { ...desk.state.plan, channels: [distress as (typeof desk.state.plan.channels)[number]] };
    const quiet = { ...desk, state: { ...desk.state, plan } };
    let answers: Record<string, string> = {};
    for (;;) {
      const { next, isQuiet } = await troubleView(db, quiet, {
        symptom: 'silence',
        unitId: null,
        channelId: gannet,
        withId: null,
        answers,
      });
      expect(isQuiet).toBe(true);
      if (!next) break;
      expect(next.effort).not.toBe('talk');
      expect(next.id).not.toBe('beside');
      answers = { ...answers, [next.id]: next.finds[0] };
    }
  });
});

describe('two sets and nobody else', () => {
  it('are asked for by name; one set twice is one', async () => {
    const [a, b] = desk.units
      .filter(({ unit }) => unit.descriptionId === 'page-handheld')
      .map(({ unit }) => unit.id);
    const ask = (withId: string | null) =>
      troubleView(db, desk, { symptom: null, unitId: a ?? null, channelId: gannet, withId, answers: {} });
    expect((await ask(b ?? null)).twoSets?.steps.map(({ isolates }) => isolates)).toEqual(
      ['mute', 'frequency', 'input', 'repeater'].flatMap((one) => [one, one]),
    );
    expect((await ask(a ?? null)).twoSets).toBeNull();
    expect((await ask('nobody')).twoSets).toBeNull();
  });
});

describe('words', () => {
  it('there are some for each gate, trouble, question, answer and cause', () => {
    for (const gate of HEAR_GATES) expect([gate, GATE_WORDS[gate][0].length]).toEqual([gate, 1]);
    expect(new Set(HEAR_GATES.map((gate) => GATE_WORDS[gate][0])).size).toBe(HEAR_GATES.length);
    for (const symptom of SYMPTOMS) expect(SYMPTOM_WORDS[symptom]).toBeTruthy();
    for (const { id, finds } of TRIALS)
      for (const found of finds)
        expect([id, found, TRIAL_WORDS[id]?.finds[found]]).toEqual([id, found, expect.any(String)]);
    for (const { id } of CAUSES) expect([id, CAUSE_WORDS[id]?.deed]).toEqual([id, expect.any(String)]);
    for (const [of, each] of Object.entries(KNOWN))
      for (const found of Object.keys(each))
        expect([of, found, KNOWN_WORDS[of]?.[found]]).toEqual([of, found, expect.any(String)]);
  });
  it('a stopped call says what was needed and what came', () => {
    const say = (gate: (typeof HEAR_GATES)[number], needs = '', comes = '') =>
      findingText({ code: 'call-stops', severity: 'warning', gate, at: 'repeater', needs, comes }).what;
    expect(say('input-tone', '131.8', 'off')).toBe(
      'The repeater needs 131.8 Hz, and the call carries no tone.',
    );
    expect(say('input-frequency', '467650000', '462650000')).toContain('467.6500');
    expect(noteText({ is: 'picked-left', sets: [0, 2] }, ['Ann', 'Ben', 'Cy'], [])).toBe(
      'A tone picked by hand is left on: Ann, Cy.',
    );
  });
});
