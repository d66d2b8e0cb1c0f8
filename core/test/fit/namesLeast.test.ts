import { namesTogether } from '@umbrex/core/fit';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { assign } from '../../src/fit/assignment';
import { type Named, type NameForm, type NameRule, nameForms, WHOLE } from '../../src/fit/nameForms';
import { marked } from '../../src/fit/nameMarks';
import { runs } from '../support/runs';

// The names of a plan are those of which the sum of costs is least. Here each cost is worked out a second time, one rule after another and
// for every form that there is, marked ones too, and the least sum is found by trying all of them.

const UPPER = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789- ';
const MIXED = `${UPPER}abcdefghijklmnopqrstuvwxyz`;

/** In tenths of the points of a form, as `names.ts` says in words. */
const [AMBIGUOUS, ABOUT, NEAR, AS_ON_SMALLER, KEPT, SAME, NOTHING] = [400, 150, 120, -20, -1900, 1500, 1e5];

/** By row, each text that it may have and what it costs. */
function costs(channels: readonly Named[], rule: NameRule, given: ReadonlyMap<string, string>) {
  const forms = channels.map((channel) => nameForms(channel, rule));
  const called = channels.map(({ name }, row) => {
    const first = forms[row]?.[0];
    return first && first.cost === WHOLE ? first.text : name;
  });
  const smaller = [12, 8, 6].find((letters) => letters < rule.length);
  const there = smaller ? namesTogether(channels, { ...rule, length: smaller }) : new Map<string, never>();
  const others = (row: number) => forms.map((_, i) => i).filter((i) => called[i] !== called[row]);
  const isNear = (a: NameForm, b: NameForm) => a.open.some((pattern) => b.open.includes(pattern));
  return channels.map(({ id }, row) => {
    const before = called.slice(0, row).filter((name) => name === called[row]).length;
    const last = given.get(id);
    const costOf = new Map<string, number>();
    for (const form of forms[row] ?? []) {
      let cost = form.cost;
      if (before > 0) cost += SAME;
      if (form.cost > 0) {
        const rivals = others(row).flatMap((i) => (forms[i] ?? []).filter(({ text }) => text === form.text));
        if (rivals.some((rival) => rival.cost <= form.cost + ABOUT)) cost += AMBIGUOUS;
        if (
          others(row).some((i) => {
            const first = forms[i]?.[0];
            return first !== undefined && isNear(form, first);
          })
        )
          cost += NEAR;
        if (there.get(id)?.text.toLowerCase() === form.text.toLowerCase()) cost += AS_ON_SMALLER;
      }
      if (form.text === last) cost += KEPT;
      costOf.set(form.text, cost);
    }
    const isWanted = (text: string) =>
      forms.some((own) => own.some((form) => form.text === text)) || [...given.values()].includes(text);
    for (const { text, cost } of marked(forms[row] ?? [], before, rule, last, isWanted))
      if (!costOf.has(text)) costOf.set(text, cost);
    return costOf;
  });
}

/** The least sum of all ways to give each row one of its texts or none, no text twice. */
function least(rows: readonly ReadonlyMap<string, number>[]): number {
  const ways = rows.map((costOf) => [...costOf].sort(([, a], [, b]) => a - b));
  const rest = ways.map((_, at) =>
    ways.slice(at).reduce((sum, way) => sum + Math.min(way[0]?.[1] ?? NOTHING, NOTHING), 0),
  );
  let best = Number.POSITIVE_INFINITY;
  const go = (at: number, sum: number, used: ReadonlySet<string>) => {
    if (sum + (rest[at] ?? 0) >= best) return;
    if (at === ways.length) {
      best = sum;
      return;
    }
    for (const [text, cost] of ways[at] ?? [])
      if (!used.has(text)) go(at + 1, sum + cost, new Set([...used, text]));
    go(at + 1, sum + NOTHING, used);
  };
  go(0, 0, new Set());
  return best;
}

const sumOf = (
  rows: readonly ReadonlyMap<string, number>[],
  names: readonly { text: string; isTwice: boolean }[],
) => names.reduce((sum, { text }, row) => sum + (rows[row]?.get(text) ?? NOTHING), 0);

const word = fc.constantFrom(
  ...['Gull', 'Gully', 'Hill', 'Hull', 'Harbour', 'Harbor', 'Gate', 'Gates', 'North', 'South', 'N', 'S', '1'],
  ...['2', '12', 'A', 'B', 'Landing', 'Lantern', 'repeater'],
);
const text = (most: number) => fc.array(word, { minLength: 1, maxLength: most }).map((all) => all.join(' '));
const plan = fc.array(
  fc.record({
    name: text(3),
    shortNames: fc.oneof(
      { weight: 3, arbitrary: fc.constant<string[]>([]) },
      { weight: 1, arbitrary: fc.array(text(2), { maxLength: 2 }) },
    ),
  }),
  { minLength: 2, maxLength: 5 },
);
const rule = fc.record({
  length: fc.constantFrom(2, 3, 4, 5, 6, 7, 8, 9, 13),
  characters: fc.constantFrom(UPPER, UPPER, MIXED, 'AGHILNU', '0123456789'),
});

describe('the names of a plan', () => {
  it('are the cheapest of all, each price worked out a second time, also after others were given', () => {
    fc.assert(
      fc.property(
        plan,
        rule,
        fc.constantFrom('nothing', 'of some', 'of each other', 'all the same', 'of nobody'),
        (rows, display, before) => {
          const channels = rows.map((row, i) => ({ id: `c${i}`, ...row }));
          const alone = [...namesTogether(channels.slice(1), display)];
          const [, { text: one = 'GULL2' } = {}] = alone[0] ?? [];
          const GIVEN: Record<typeof before, [string, string][]> = {
            nothing: [],
            'of some': alone.map(([id, { text: had }]) => [id, had]),
            'of each other': alone.map(([, { text: had }], i) => [`c${i}`, had]),
            'all the same': channels.map(({ id }) => [id, one]),
            'of nobody': channels.map(({ id }, i) => [id, `GULL${i}`]),
          };
          const given = new Map(GIVEN[before]);
          const names = [...namesTogether(channels, display, given).values()];
          const prices = costs(channels, display, given);
          expect(sumOf(prices, names)).toBe(least(prices));
          const own = names.filter(({ isTwice }) => !isTwice);
          expect(new Set(own.map((one) => one.text)).size).toBe(own.length);
        },
      ),
      { numRuns: runs(400), seed: 12 },
    );
  });

  it('stay as a set has them when others go, unless the whole name or one that somebody wrote is free now', () => {
    fc.assert(
      fc.property(plan, rule, fc.nat({ max: 4 }), (rows, display, at) => {
        const channels = rows.map((row, i) => ({ id: `c${i}`, ...row }));
        const had = namesTogether(channels, display);
        if ([...had.values()].some(({ isTwice }) => isTwice)) return;
        const given = new Map([...had].map(([id, { text }]) => [id, text]));
        const left = channels.toSpliced(at % channels.length, 1);
        const now = namesTogether(left, display, given);
        for (const channel of left) {
          const better = nameForms(channel, display).filter(({ cost }) => cost < 0);
          const { text } = now.get(channel.id) ?? {};
          if (!better.some((form) => form.text === text)) expect(text).toBe(given.get(channel.id));
        }
      }),
      { numRuns: runs(400), seed: 21 },
    );
  });

  it('are the cheapest of all for three hundred channels too: what each could do without is left out before', () => {
    const WORDS = ['Gull', 'Gully', 'Hill', 'Harbour', 'Harbor', 'Gate', 'North', 'South', '1', '2', '12'];
    WORDS.push(
      'Landing',
      'Lantern',
      'repeater',
      'Kelp',
      'Stairs',
      'Ridge',
      'Ferry',
      'Quarry',
      'Chapel',
      'Tower',
    );
    WORDS.push('Depot', 'Club', 'Watch', 'East', 'West', 'Bridge', 'Mill', 'Farm', 'School');
    const any = fc.sample(fc.array(fc.constantFrom(...WORDS), { minLength: 1, maxLength: 3 }), {
      numRuns: runs(300),
      seed: 4,
    });
    const channels = any.map((all, i) => ({ id: `c${i}`, name: all.join(' '), shortNames: [] }));
    const display = { length: 6, characters: UPPER };
    const prices = costs(channels, display, new Map());
    const texts = [...new Set(prices.flatMap((costOf) => [...costOf.keys()]))];
    const columnOf = new Map(texts.map((one, column) => [one, column]));
    const gains = prices.map((costOf, row) => {
      const gain = new Array<number>(texts.length + channels.length).fill(-10 * NOTHING);
      for (const [one, cost] of costOf) gain[columnOf.get(one) ?? 0] = -cost;
      gain[texts.length + row] = -NOTHING;
      return gain;
    });
    const { columnOf: best } = assign(gains, texts.length + channels.length);
    const sum = best.reduce((all, column, row) => all - (gains[row]?.[column] ?? 0), 0);
    expect(sumOf(prices, [...namesTogether(channels, display).values()])).toBe(sum);
  });

  it('are given one after another where more than 150 could take each other’s, each the cheapest that is left', () => {
    const channels = Array.from({ length: 170 }, (_, i) => ({
      id: `c${i}`,
      name: `Harbour ${i % 85}`,
      shortNames: i % 10 === 0 ? ['HARB'] : [],
    }));
    const display = { length: 5, characters: UPPER };
    const names = [...namesTogether(channels, display).values()];
    const used = new Set<string>();
    const prices = costs(channels, display, new Map());
    prices.forEach((costOf, row) => {
      const left = [...costOf].filter(([one]) => !used.has(one)).sort(([, a], [, b]) => a - b)[0];
      const has = names[row]?.text ?? '';
      if (left) expect(costOf.get(has)).toBe(left[1]);
      used.add(has);
    });
    expect(new Set(names.map((one) => one.text)).size).toBe(names.length);
  });

  it('of three that come to the same on a set with one letter the first has it, and the others are said to be as it is', () => {
    const channels = ['Gull', 'Gully', 'Gate 7'].map((name, i) => ({ id: `c${i}`, name, shortNames: [] }));
    const one = { length: 2, characters: 'A' };
    expect([...namesTogether(channels, one).values()].map(({ isTwice }) => isTwice)).toEqual([
      false,
      true,
      true,
    ]);
  });
});

describe('what one channel may be called', () => {
  const forms = (name: string, shortNames: string[], length: number, characters = UPPER) =>
    nameForms({ id: 'c', name, shortNames }, { length, characters });
  it('is its whole name, then what somebody wrote, the longest first, each once', () => {
    expect(forms('Gull', ['GU', 'Gull', 'GUL', '', '!!', 'GULLS AND MORE', 'gu'], 6)).toMatchObject([
      { text: 'GULL', cost: -3000 },
      { text: 'GUL', cost: -2003 },
      { text: 'GU', cost: -2002 },
    ]);
    expect(
      forms('Harbour light', ['HL', 'HARB L'], 6)
        .slice(0, 3)
        .map(({ text: one }) => one),
    ).toEqual(['HARB L', 'HL', expect.any(String)]);
  });
  it('is looked at with each letter left open, but for figures and letters by themselves, as far as the fifth', () => {
    expect(forms('Gate N 4', [], 8)[0]?.open).toEqual(
      ['\u0000ATE N 4', 'G\u0000TE N 4', 'GA\u0000E N 4', 'GAT\u0000 N 4'].concat(
        'GATE\u0000N 4',
        'GATE N\u00004',
      ),
    );
    const many = forms('Harbour landing north', [], 6);
    expect(many.length).toBeGreaterThan(5);
    expect(many.map(({ open }) => open.length > 0)).toEqual(many.map((_, i) => i < 5));
  });
});
