import { describe, expect, it } from 'vitest';
import { Round, type Stop, scanStops, searchStops, timingOf } from '../../src/procedure/round';
import { shipped } from '../support/devices';
import { sends, stop } from '../support/stops';

// A scan step by step, its times written down by hand: a place every 100 ms, 50 ms to decide.

const TIMING = { everyMs: 100, decideMs: 50, lookEveryMs: null };

/** Where it stands after each of its steps up to a time; a bar where it stays. */
function went(
  stops: readonly Stop[],
  signals: Parameters<Round['step']>[1],
  untilMs: number,
  timing: ConstructorParameters<typeof Round>[1] = TIMING,
  from?: number,
) {
  const round = new Round(stops, timing, 0, from);
  const path: string[] = [];
  while (round.nextMs <= untilMs) {
    const nowMs = round.nextMs;
    round.step(nowMs, signals);
    expect(round.nextMs).toBe(nowMs + 100);
    const { stop: at, isStopped } = round.now;
    path.push(`${at?.number}${isStopped ? '|' : ''}`);
  }
  return {
    path: path.join(' '),
    caught: round.caught.map(({ number, atMs }) => [number, atMs]),
    cuts: round.cuts,
  };
}

const THREE = [stop(1), stop(2), stop(3)];

describe('a scan', () => {
  it('goes round, from the first place or from behind another', () => {
    expect(went(THREE, [], 500)).toEqual({ path: '1 2 3 1 2', caught: [], cuts: 0 });
    expect(went(THREE, [], 200, TIMING, 1).path).toBe('3 1');
    expect(new Round([], TIMING, 0).nextMs).toBe(Number.POSITIVE_INFINITY);
    expect(new Round(THREE, TIMING, 40).nextMs).toBe(140);
  });
  it('stays while it hears somebody, and its delay after that', () => {
    expect(went(THREE, [sends(2, 150, 450)], 700)).toEqual({
      path: '1 2| 2| 2| 2| 2| 3',
      caught: [[2, 250]],
      cuts: 0,
    });
    // Without a delay it goes on with the first step at which it hears nothing.
    const swift = [stop(1), stop(2, { resumeMs: 0 }), stop(3)];
    expect(went(swift, [sends(2, 150, 450)], 600).path).toBe('1 2| 2| 2| 3 1');
    // Whoever answers within the delay begins it anew.
    expect(went(THREE, [sends(2, 150, 350), sends(2, 590, 650)], 1000).path).toBe(
      '1 2| 2| 2| 2| 2| 2| 2| 3 1',
    );
  });
  it('does not stop for what ends before it has decided, or has another tone', () => {
    expect(went(THREE, [sends(2, 190, 240)], 300).path).toBe('1 2 3');
    expect(went(THREE, [sends(2, 201, 400)], 300).path).toBe('1 2 3');
    expect(went(THREE, [sends(2, 200, 251)], 300).path).toBe('1 2| 2|');
    const toned = [stop(1), stop(2, { tone: '88.5' })];
    expect(went(toned, [sends(2, 0, 900, '131.8')], 300).path).toBe('1 2 1');
    expect(went(toned, [sends(2, 0, 900, '88.5')], 300).path).toBe('1 2| 2|');
  });
});

describe('a look at what has priority', () => {
  const looks = { ...TIMING, lookEveryMs: 250 };
  const first = [stop(1, { hasPriority: true }), stop(2), stop(3)];
  it('cuts the sound of what is heard each time, and goes over where it hears something', () => {
    expect(went(first, [sends(2, 150, 2000)], 600, looks)).toEqual({
      path: '1 2| 2| 2| 2| 2|',
      caught: [[2, 250]],
      cuts: 2,
    });
    expect(went(first, [sends(2, 150, 2000), sends(1, 580, 900)], 700, looks)).toEqual({
      path: '1 2| 2| 2| 2| 1| 1|',
      caught: [
        [2, 250],
        [1, 650],
      ],
      cuts: 2,
    });
  });
  it('cuts nothing while nothing is heard, and nothing of what has priority itself', () => {
    expect(went(first, [], 700, looks)).toEqual({ path: '1 2 2 3 1 1 2', caught: [], cuts: 0 });
    expect(went(first, [sends(1, 0, 2000)], 900, looks)).toMatchObject({ caught: [[1, 150]], cuts: 0 });
    const both = [stop(1, { hasPriority: true }), stop(2, { hasPriority: true }), stop(3)];
    expect(went(both, [sends(1, 0, 2000)], 900, looks)).toMatchObject({ caught: [[1, 150]], cuts: 0 });
  });
  it('of several looks at one after another, a step each, and at none behind one that it hears', () => {
    const two = [stop(1), stop(2, { hasPriority: true }), stop(3, { hasPriority: true })];
    const slow = { ...TIMING, lookEveryMs: 350 };
    // At 400 it looks at 2, at 500 at 3, and goes on at 600.
    expect(went(two, [sends(1, 0, 5000)], 600, slow)).toMatchObject({ path: '1| 1| 1| 1| 1| 1|', cuts: 1 });
    expect(went(two, [sends(1, 0, 5000), sends(3, 450, 900)], 600, slow).caught).toEqual([
      [1, 150],
      [3, 550],
    ]);
    expect(went(two, [sends(1, 0, 5000), sends(2, 380, 900), sends(3, 380, 900)], 600, slow).caught).toEqual([
      [1, 150],
      [2, 450],
    ]);
  });
  it('goes on with its round by one place at least, however often it is to look', () => {
    const often = { ...TIMING, lookEveryMs: 50 };
    // A look at 100, a place at 200, and so on.
    expect(went(first, [], 600, often).path).toBe('undefined 1 1 2 2 3');
  });
});

it('its times are those of the set; a decision that nobody measured takes the whole stop', () => {
  const scan = { everyMs: 100, decideMs: 40, resumeMs: 0, priority: 'none', search: 'none' } as const;
  expect(timingOf(scan)).toEqual({ everyMs: 100, decideMs: 40, lookEveryMs: null });
  expect(timingOf({ ...scan, decideMs: 'unknown' }).decideMs).toBe(100);
  expect(timingOf({ ...scan, decideMs: 400 }).decideMs).toBe(100);
  expect(timingOf({ ...scan, priority: { everyMs: 2000, most: 1 } }).lookEveryMs).toBe(2000);
});

it('its stops are filled places that no mark leaves out; a search goes by the set’s own step', () => {
  const scanner = shipped('bank-scanner');
  const at = (number: number, more: object | null) =>
    ({
      slot: { number },
      content: more && { kind: 'channel', receiveHz: 154e6, transmitHz: null, receiveTone: '88.5', ...more },
    }) as never;
  const places = [
    at(1, {}),
    at(2, { inScan: false }),
    at(3, { inScan: true, resumeDelayS: 4, hasPriority: true }),
    at(4, null),
    at(5, { kind: 'text', name: 'none' }),
  ];
  const row = { hz: 154e6, tone: '88.5' };
  expect(scanStops(scanner, places, (number) => number === 1)).toEqual([
    { ...row, number: 1, resumeMs: 2000, hasPriority: true },
    { ...row, number: 3, resumeMs: 4000, hasPriority: true },
  ]);
  expect(scanStops({ scan: 'unknown' }, places, () => false)).toMatchObject([
    { resumeMs: 0 },
    { resumeMs: 4000 },
  ]);
  if (scanner.receive === 'unknown' || typeof scanner.scan !== 'object')
    throw new Error('a scanner that searches');
  const { receive, scan } = scanner;
  const bands = [{ fromHz: 137_000_000, toHz: 137_000_000 + 2.5 * receive.stepHz }];
  const searching = { ...scan, search: { bands, everyMs: 20, finds: 5 } };
  expect(searchStops({ scan: searching, receive }).map(({ hz }) => hz)).toEqual([
    137_000_000,
    137_000_000 + receive.stepHz,
    137_000_000 + 2 * receive.stepHz,
  ]);
  expect(searchStops({ scan: 'unknown', receive })).toEqual([]);
  expect(searchStops({ scan: 'none', receive })).toEqual([]);
  expect(searchStops({ scan: { ...scan, search: 'none' }, receive })).toEqual([]);
  expect(searchStops({ scan: searching, receive: 'unknown' })).toEqual([]);
});
