import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { fitDevice, fitPlan, wantedBy } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import { compareMemory, readMemory, writeMemory } from '@umbrex/core/formats';
import { CableSet } from '@umbrex/core/procedure';
import fc from 'fast-check';
import { afterAll, describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { anyPlan, OSTREL } from '../support/plans';

const FLEET = shipped('fleet-mobile');
const wanted = wantedBy(fitPlan(OSTREL, fitDevice(FLEET)).image);
const { slots } = wanted;
const root = fileURLToPath(new URL('../../..', import.meta.url));

describe('a set’s memory as a file', () => {
  it('read back as it was written has no difference, for any plan on any pattern', () =>
    fc.assert(
      fc.property(anyPlan, fc.constantFrom(...SHIPPED), (any, description) => {
        const shall = wantedBy(fitPlan(any, fitDevice(description)).image);
        const read = readMemory(JSON.stringify(writeMemory(description, shall)));
        expect(read.ok && compareMemory(description, shall, read.value)).toEqual({
          findings: [],
          differences: [],
          same: shall.slots.size,
        });
      }),
      { numRuns: 100 },
    ));
  it('says which value of which place differs, and passes over what the holder has besides', () => {
    const document = writeMemory(FLEET, wanted);
    const [first, second, ...rest] = document.slots;
    const [a, b] = [first, second].map((slot) => structuredClone(slot)) as [
      NonNullable<typeof first>,
      NonNullable<typeof second>,
    ];
    a.values = { ...a.values, tx: '67.0' };
    const own = { number: 192, label: '12/16', values: { title: 'Own' } };
    const { differences, same } = compareMemory(FLEET, wanted, { ...document, slots: [a, ...rest, own] });
    expect(differences[0]).toMatchObject({ label: a.label, title: 'Encode', has: '67.0' });
    expect(new Set(differences.slice(1).map(({ label, has }) => `${label} ${has}`))).toEqual(
      new Set([`${b.label} null`]),
    );
    expect(same).toBe(rest.length);
  });
  it('a place that shall be empty must be in the file to be known as such', () => {
    const gone = { slots: new Map([[191, null]]), settings: {} };
    const back = (values: Record<string, string> | null | undefined) =>
      compareMemory(FLEET, gone, {
        ...writeMemory(FLEET, gone),
        slots: values === undefined ? [] : [{ number: 191, label: '12/15', values }],
      });
    expect(back(null)).toMatchObject({ differences: [], same: 1 });
    expect(back({ title: 'Old' })).toMatchObject({ differences: [{ wanted: '', has: 'Old' }], same: 0 });
    expect(back(undefined)).toMatchObject({ differences: [{ wanted: '', has: null }], same: 0 });
  });
  it('a value that this kind of set does not have is a difference, shown as it came', () => {
    const document = writeMemory(FLEET, wanted);
    const [first, ...rest] = document.slots;
    if (!first?.values) throw new Error('nothing in it');
    const odd = { ...first, values: { ...first.values, tx: 'D999X' } };
    expect(compareMemory(FLEET, wanted, { ...document, slots: [odd, ...rest] }).differences).toMatchObject([
      { number: first.number, title: 'Encode', has: 'D999X' },
    ]);
  });
  it('a frequency that this kind of set cannot have is one difference, not the end of its place', () => {
    const document = writeMemory(FLEET, wanted);
    const [first, ...rest] = document.slots;
    if (!first?.values) throw new Error('nothing in it');
    const odd = { ...first, values: { ...first.values, rx: 1 } };
    const { differences, same } = compareMemory(FLEET, wanted, { ...document, slots: [odd, ...rest] });
    expect(differences).toMatchObject([{ number: first.number, title: 'Receive frequency', has: '1' }]);
    expect(same).toBe(rest.length);
  });
  it('of another kind of set, or no such file at all, is a finding at its path', () => {
    expect(compareMemory(shipped('bank-scanner'), wanted, writeMemory(FLEET, wanted)).findings).toMatchObject(
      [{ path: '/descriptionId' }],
    );
    expect(readMemory('{').findings).toMatchObject([{ code: 'document-not-json' }]);
    expect(
      readMemory('{"format":"umbrex/memory@1","descriptionId":"x","slots":[{"number":"one"}]}').findings[0],
    ).toMatchObject({
      path: '/slots/0/number',
    });
  });
});

describe('the stand-in for a set on a cable', () => {
  const running: ReturnType<typeof spawn>[] = [];
  afterAll(() => {
    for (const child of running) child.kill('SIGTERM');
  });
  const set = async (id: string, env = {}) => {
    const child = spawn(process.execPath, ['sim/cable/server.mjs', `devices/${id}.json`], {
      cwd: root,
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    running.push(child);
    const url = await new Promise<string>((resolve) =>
      child.stdout.once('data', (words) => resolve(String(words).trim())),
    );
    const put = async (document: object) =>
      (await fetch(`${url}/memory`, { method: 'PUT', body: JSON.stringify(document) })).status;
    const get = async () => readMemory(await (await fetch(`${url}/memory`)).text());
    return { put, get };
  };
  it('takes the file, keeps it, and gives back the same', async () => {
    const { put, get } = await set('fleet-mobile');
    expect(await put(writeMemory(FLEET, wanted))).toBe(200);
    const read = await get();
    expect(read.ok && compareMemory(FLEET, wanted, read.value)).toMatchObject({
      differences: [],
      same: slots.size,
    });
    expect([
      await put({}),
      await put({ ...writeMemory(FLEET, wanted), descriptionId: 'bank-scanner' }),
    ]).toEqual([400, 409]);
  });
  it('loses a place when the cable slips, and reading back shows which', async () => {
    const { put, get } = await set('fleet-mobile', { LOSE: '1' });
    const document = writeMemory(FLEET, wanted);
    expect(await put(document)).toBe(200);
    const read = await get();
    const found = read.ok ? compareMemory(FLEET, wanted, read.value) : undefined;
    expect(new Set(found?.differences.map(({ number }) => number))).toEqual(
      new Set([document.slots.at(-1)?.number]),
    );
    expect(found?.same).toBe(slots.size - 1);
  });
});

describe('settings of a whole set that a program loads', () => {
  const REPEATER = shipped('repeater');
  const demo = { ...OSTREL, channels: [], setup: { repeater: { answer: 1, limit: 0 } } };
  it('go by its file, are proven, and are compared when they come back', () => {
    const { fit, proof, wanted: shall } = prepare(demo, REPEATER);
    expect([fit.image.settings, proof.proven]).toEqual([{ answer: 1, limit: 0 }, true]);
    const document = writeMemory(REPEATER, shall);
    expect(document.settings).toEqual({ answer: 'Courtesy tone', limit: '1 min' });
    const back = { ...document, settings: { answer: 'Tail' } };
    expect(compareMemory(REPEATER, shall, back).differences).toEqual([
      { number: null, label: '', title: 'Answers by', wanted: 'Courtesy tone', has: 'Tail' },
      { number: null, label: '', title: 'Talk limit', wanted: '1 min', has: null },
    ]);
  });
  it('that it does not have are refused at their path, and nothing is taken', () => {
    const set = new CableSet(REPEATER);
    const file = { ...writeMemory(REPEATER, { slots: new Map(), settings: {} }) };
    const paths = (settings: Record<string, string>) =>
      set.take({ ...file, settings }).map(({ path }) => path);
    expect(paths({ answer: 'Voice', limit: 'a week', colour: 'red' })).toEqual([
      '/settings/limit',
      '/settings/colour',
    ]);
    expect(set.memory().settings.answer).toBe(0);
    expect(paths({ answer: 'Voice' })).toEqual([]);
    expect(set.memory().settings.answer).toBe(2);
  });
});
