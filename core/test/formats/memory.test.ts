import { spawn } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { compareMemory, readMemory, writeMemory } from '@umbrex/core/formats';
import fc from 'fast-check';
import { afterAll, describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { anyPlan, OSTREL } from '../support/plans';

const FLEET = shipped('fleet-mobile');
const { slots } = fitPlan(OSTREL, fitDevice(FLEET)).image;
const root = fileURLToPath(new URL('../../..', import.meta.url));

describe('a set’s memory as a file', () => {
  it('read back as it was written has no difference, for any plan on any pattern', () =>
    fc.assert(
      fc.property(anyPlan, fc.constantFrom(...SHIPPED), (any, description) => {
        const { image } = fitPlan(any, fitDevice(description));
        const read = readMemory(JSON.stringify(writeMemory(description, image.slots)));
        expect(read.ok && compareMemory(description, image.slots, read.value)).toEqual({
          findings: [],
          differences: [],
          same: image.slots.size,
        });
      }),
      { numRuns: 100 },
    ));
  it('says which value of which place differs, and passes over what the holder has besides', () => {
    const document = writeMemory(FLEET, slots);
    const [first, second, ...rest] = document.slots;
    const [a, b] = [first, second].map((slot) => structuredClone(slot)) as [
      NonNullable<typeof first>,
      NonNullable<typeof second>,
    ];
    a.values.tx = '67.0';
    const own = { number: 192, label: '12/16', values: { title: 'Own' } };
    const { differences, same } = compareMemory(FLEET, slots, { ...document, slots: [a, ...rest, own] });
    expect(differences[0]).toMatchObject({ label: a.label, title: 'Encode', has: '67.0' });
    expect(new Set(differences.slice(1).map(({ label, has }) => `${label} ${has}`))).toEqual(
      new Set([`${b.label} null`]),
    );
    expect(same).toBe(rest.length);
  });
  it('of another kind of set, or no such file at all, is a finding at its path', () => {
    expect(compareMemory(shipped('bank-scanner'), slots, writeMemory(FLEET, slots)).findings).toMatchObject([
      { path: '/descriptionId' },
    ]);
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
    expect(await put(writeMemory(FLEET, slots))).toBe(200);
    const read = await get();
    expect(read.ok && compareMemory(FLEET, slots, read.value)).toMatchObject({
      differences: [],
      same: slots.size,
    });
    expect([
      await put({}),
      await put({ ...writeMemory(FLEET, slots), descriptionId: 'bank-scanner' }),
    ]).toEqual([400, 409]);
  });
  it('loses a place when the cable slips, and reading back shows which', async () => {
    const { put, get } = await set('fleet-mobile', { LOSE: '1' });
    const document = writeMemory(FLEET, slots);
    expect(await put(document)).toBe(200);
    const read = await get();
    const found = read.ok ? compareMemory(FLEET, slots, read.value) : undefined;
    expect(new Set(found?.differences.map(({ number }) => number))).toEqual(
      new Set([document.slots.at(-1)?.number]),
    );
    expect(found?.same).toBe(slots.size - 1);
  });
});
