import { describe, expect, it } from 'vitest';
import { Ears } from '../../src/procedure/ears';
import { little } from '../support/little';
import { sends, stop } from '../support/stops';

// A receiver step by step: a place every 100 ms, 50 ms to decide, 300 ms to stay; a search every 20 ms. Written down by hand.

const SEARCH = { everyMs: 20, finds: 3, bands: [{ fromHz: 150_000_000, toHz: 150_050_000 }] };
const scanning = (search: object | 'none' = SEARCH, priority: object | 'none' = 'none') =>
  little((raw) => {
    raw.scan = { everyMs: 100, decideMs: 50, resumeMs: 300, priority, search };
    raw.receive = { bands: [{ fromHz: 150_000_000, toHz: 467_712_500 }], stepHz: 25_000 };
  });
const STANDING = { number: 1, hz: 1_000_000, tone: 'off' };
const THREE = [stop(1), stop(2), stop(3)];
const at = (hz: number, fromMs: number, toMs: number) => ({ hz, tone: 'off', fromMs, toMs });

/** Lets it look until a time. */
function until(ears: Ears, ms: number) {
  const numbers: (number | null)[] = [];
  while (ears.nextMs <= ms) numbers.push(ears.look(ears.nextMs));
  return numbers;
}

describe('while nothing goes round', () => {
  it('what is on the air where the set stands comes out, as long as it lasts', () => {
    const ears = new Ears(scanning());
    expect(ears.speaker(0, STANDING)).toBeNull();
    ears.receive([sends(1, 100, 200), sends(2, 300, 400)]);
    expect([0, 100, 199, 200, 350].map((ms) => ears.speaker(ms, STANDING))).toEqual([
      null,
      { number: 1, hz: 1_000_000 },
      { number: 1, hz: 1_000_000 },
      null,
      null,
    ]);
    expect(ears.speaker(150, null)).toBeNull();
    expect(ears.nextMs).toBe(Number.POSITIVE_INFINITY);
  });
  it('what is put on the air later takes the place of it', () => {
    const ears = new Ears(scanning());
    ears.receive([sends(1, 0, 1000)]);
    ears.receive([]);
    expect(ears.speaker(10, STANDING)).toBeNull();
  });
});

describe('a scan', () => {
  it('goes on behind the place where the set stands, and keeps no frequency', () => {
    const ears = new Ears(scanning());
    ears.receive([sends(1, 150, 350)]);
    ears.begin(THREE, 0, 2);
    expect(until(ears, 250)).toEqual([3, 1]);
    expect(ears.speaker(250, STANDING)).toEqual({ number: 1, hz: 1_000_000 });
    expect(ears.caught()).toEqual({ catches: [{ number: 1, hz: 1_000_000, atMs: 250 }], cuts: 0 });
    expect(ears.found()).toEqual([]);
    expect(ears.shownHz).toBeUndefined();
  });
  it('is silent while it goes, also over what is on the air where it was begun', () => {
    const ears = new Ears(scanning());
    ears.receive([sends(1, 0, 1000, '100.0')]);
    ears.begin([stop(1, { tone: '67.0' }), stop(2)], 0, 1);
    until(ears, 100);
    expect(ears.speaker(120, { number: 1, hz: 1_000_000, tone: 'off' })).toBeNull();
    ears.end();
    expect(ears.speaker(120, { number: 1, hz: 1_000_000, tone: 'off' })).toEqual({
      number: 1,
      hz: 1_000_000,
    });
  });
  it('of no places says nothing, and a set that does not scan stays as it is', () => {
    const none = new Ears(scanning());
    none.begin([], 0, 1);
    expect(none.speaker(0, STANDING)).toBeNull();
    const still = new Ears(little());
    still.receive([sends(1, 0, 100)]);
    still.begin(THREE, 0, 1);
    expect(still.nextMs).toBe(Number.POSITIVE_INFINITY);
    expect(still.speaker(0, STANDING)).toEqual({ number: 1, hz: 1_000_000 });
  });
});

describe('a search', () => {
  it('goes on by its own step, keeps what it stops at, the latest first, each once and no more than it can', () => {
    const ears = new Ears(scanning());
    ears.begin('bands', 0, 1);
    expect(ears.nextMs).toBe(20);
    ears.receive([at(150_025_000, 0, 25)]);
    expect(until(ears, 20)).toEqual([null]);
    const found: (readonly number[])[] = [];
    for (const hz of [150_000_000, 150_025_000, 150_050_000, 150_025_000]) {
      ears.receive([at(hz, ears.nextMs - 60, ears.nextMs + 100)]);
      until(ears, ears.nextMs + 100);
      // Nobody speaks for longer than it stays.
      ears.receive([]);
      until(ears, ears.nextMs + 400);
      found.push([...ears.found()]);
    }
    expect(found).toEqual([
      [150_000_000],
      [150_025_000, 150_000_000],
      [150_050_000, 150_025_000, 150_000_000],
      [150_025_000, 150_050_000, 150_000_000],
    ]);
    expect(ears.shownHz).toBe(150_025_000);
    ears.pickFind(1);
    expect(ears.shownHz).toBe(150_050_000);
    ears.pickFind(1);
    expect(ears.shownHz).toBe(150_000_000);
    ears.pickFind(-1);
    expect(ears.shownHz).toBe(150_050_000);
    for (const hz of [150_000_000, 150_025_000, 150_050_000, 150_000_000]) {
      ears.receive([at(hz, ears.nextMs - 60, ears.nextMs + 100)]);
      until(ears, ears.nextMs + 100);
      ears.receive([]);
      until(ears, ears.nextMs + 400);
    }
    expect(ears.found()).toHaveLength(3);
  });
  it('of a set that searches nowhere finds nothing', () => {
    const ears = new Ears(scanning('none'));
    ears.begin('bands', 0, 1);
    expect(until(ears, 1000)).toEqual([]);
    expect(ears.found()).toEqual([]);
    ears.pickFind(1);
    expect(ears.shownHz).toBeUndefined();
  });
});
