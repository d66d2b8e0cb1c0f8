import { prepare } from '@umbrex/core/flow';
import { type Description, DescriptionSchema } from '@umbrex/core/model';
import { Bench, drawn, pressesOf, stepSlips, VirtualDevice } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { channel, plan } from '../support/plans';

const GUIDED = shipped('guided-handheld');
const wanted = plan([channel('Kelp', 462.65, 467.65, { transmitTone: '131.8', receiveTone: '131.8' })]);

/** The guided hand-held made so that its entry begins with two keys at once: FN held, and GUIDE. */
function withChord(
  inHand: readonly string[] | undefined,
  says = 'Hold FN and press GUIDE: an entry begins.',
) {
  const { behaviour, recipes } = GUIDED;
  if (!behaviour || !recipes) throw new Error('no keys');
  const modes = Object.fromEntries(
    Object.entries(behaviour.modes).map(([name, mode]) => [
      name,
      {
        ...mode,
        on: mode.on.map((row) =>
          row.keys !== 'chars' && row.keys !== 'letters' && row.keys.includes('guide')
            ? { ...row, with: ['fn'] }
            : row,
        ),
      },
    ]),
  );
  const open = recipes.open.map((step) =>
    step.do === 'press' && step.key === 'guide' ? { ...step, says, ...(inHand && { with: inHand }) } : step,
  );
  return DescriptionSchema.parse({
    ...GUIDED,
    keys: { ...GUIDED.keys, fn: 'FN' },
    behaviour: { ...behaviour, keys: { ...behaviour.keys, fn: {} }, modes },
    recipes: { ...recipes, open },
  } satisfies Record<keyof Description, unknown> | object);
}

describe('two keys at once', () => {
  it('prove where the steps hold the one and press the other, and not where they press one alone', () => {
    const right = prepare(wanted, withChord(['fn']));
    expect(right.proof.firstDifference).toBeNull();
    expect(prepare(wanted, withChord(undefined)).proof.proven).toBe(false);
    expect(prepare(wanted, withChord(['d1'])).proof.proven).toBe(false);
    expect(prepare(wanted, withChord(['fn', 'd1'])).proof.proven).toBe(false);
  });
  it('are drawn as two keys, and count as two presses', () => {
    const { sheet } = prepare(wanted, withChord(['fn']));
    const step = sheet.steps.find(({ says }) => says.startsWith('Hold FN'));
    expect(drawn(step?.runs ?? [], { guide: 'GUIDE', fn: 'FN' })).toEqual([
      { kind: 'key', legend: 'GUIDE', with: ['FN'], times: 1 },
    ]);
    expect(pressesOf(step?.runs ?? [])).toEqual({ mean: 2, most: 2 });
  });
  it('are held against the words: a chord is a hold, and both legends are its keys', () => {
    const slips = (says: string, inHand?: readonly string[]) =>
      stepSlips(withChord(inHand, says))
        .filter(({ path }) => path.includes('open'))
        .map(({ slip }) => slip);
    expect(slips('Hold FN and press GUIDE: an entry begins.', ['fn'])).toEqual([]);
    expect(slips('Press GUIDE: an entry begins.', ['fn'])).toEqual(['says-other-hold']);
    expect(slips('Hold OUT and press GUIDE: an entry begins.', ['fn'])).toEqual(['names-another-key']);
  });
  it('that are not on the set, or one with itself, are slips with a path', () => {
    const bad = (inHand: readonly string[]) => {
      const description = withChord(['fn']);
      const open = description.recipes?.open.map((step) =>
        step.do === 'press' ? { ...step, with: inHand } : step,
      );
      return DescriptionSchema.safeParse({
        ...description,
        recipes: { ...description.recipes, open },
      }).error?.issues.map(({ path, message }) => [path.join('/'), message]);
    };
    expect(bad(['shift'])).toEqual([['recipes/open/0/with/0', 'no legend for the key "shift"']]);
    expect(bad(['guide'])).toEqual([['recipes/open/0/with/0', 'a key is not held with itself']]);
  });
});

describe('keys go down and up', () => {
  const device = () => new VirtualDevice(withChord(['fn']));
  const top = (set: VirtualDevice) => set.screen()[0];
  it('a chord in any order of letting go; the key that was held does nothing of its own', () => {
    const set = device();
    set.take({ kind: 'down', key: 'fn' });
    set.take({ kind: 'key', key: 'guide', heldMs: 100 });
    expect(top(set)).toMatch(/^ENTRY FOR/);
    set.take({ kind: 'up', key: 'fn' });
    expect([top(set), set.beeps()]).toEqual(['ENTRY FOR ___', []]);
  });
  it('the second key alone is refused, and so is the first', () => {
    const set = device();
    set.take({ kind: 'key', key: 'guide', heldMs: 100 });
    set.take({ kind: 'key', key: 'fn', heldMs: 100 });
    expect(set.beeps()).toEqual(['refused', 'refused']);
  });
  it('no time runs out while a key is down, and the whole time counts once it is let go', () => {
    const set = new VirtualDevice(GUIDED);
    set.take({ kind: 'key', key: 'd0', heldMs: 100 });
    const window = set.windowMs() ?? 0;
    expect(window).toBeGreaterThan(0);
    set.take({ kind: 'down', key: 'd1' });
    set.take({ kind: 'wait', ms: window * 3 });
    set.take({ kind: 'up', key: 'd1' });
    expect(top(set)).toBe('TO 01_');
    set.take({ kind: 'wait', ms: window });
    expect(top(set)).not.toMatch(/^TO/);
  });
  it('talk goes out as long as the key is down, from when it went down', () => {
    const set = new VirtualDevice(shipped('page-handheld'));
    set.take({ kind: 'wait', ms: 700 });
    set.take({ kind: 'down', key: 'talk' });
    set.take({ kind: 'wait', ms: 4000 });
    expect(set.emissions()).toEqual([]);
    set.take({ kind: 'up', key: 'talk' });
    expect(set.emissions()).toMatchObject([{ atMs: 700, lengthMs: 4000 }]);
  });
  it('a key that goes down twice is one press; one that was not down comes up for nothing', () => {
    const set = new VirtualDevice(GUIDED);
    set.take({ kind: 'down', key: 'd0' });
    set.take({ kind: 'down', key: 'd0' });
    set.take({ kind: 'up', key: 'd0' });
    set.take({ kind: 'up', key: 'd0' });
    expect(top(set)).toBe('TO 0__');
    expect(() => set.take({ kind: 'down', key: 'nowhere' })).toThrow(RangeError);
  });
  it('switching off lets go of everything', () => {
    const set = device();
    set.take({ kind: 'down', key: 'fn' });
    set.take({ kind: 'power' });
    set.take({ kind: 'key', key: 'guide', heldMs: 100 });
    expect(set.beeps()).toEqual(['refused']);
  });
  it('keys that are down are part of what is set aside and taken up again', () => {
    const set = device();
    set.take({ kind: 'down', key: 'fn' });
    const state = set.snapshot();
    set.take({ kind: 'up', key: 'fn' });
    set.restore(state);
    set.take({ kind: 'key', key: 'guide', heldMs: 100 });
    expect(top(set)).toMatch(/^ENTRY FOR/);
  });
});

describe('several sets on one clock', () => {
  it('what takes time at one takes as long at the others', () => {
    const bench = new Bench({ mine: new VirtualDevice(GUIDED), yours: new VirtualDevice(GUIDED) });
    bench.take('yours', { kind: 'key', key: 'd0', heldMs: 100 });
    bench.take('mine', { kind: 'key', key: 'd0', heldMs: 900 });
    bench.take('mine', { kind: 'down', key: 'd1' });
    bench.take('mine', { kind: 'wait', ms: 60_000 });
    expect([bench.ms, bench.sets.mine.nowMs(), bench.sets.yours.nowMs()]).toEqual([61_000, 61_000, 61_000]);
    // The other one waited too long meanwhile.
    expect([bench.sets.mine.screen()[0], bench.sets.yours.screen()[0]]).toEqual([
      'TO 0__',
      expect.not.stringMatching(/^TO/),
    ]);
  });
});
