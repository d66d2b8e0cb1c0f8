import { prepare } from '@umbrex/core/flow';
import { type Description, DescriptionSchema, type RecipeStep } from '@umbrex/core/model';
import { prove, stepSlips } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { KEYED, shipped } from '../support/devices';
import { channel, OSTREL, plan, unit } from '../support/plans';

/** A description with one step of its recipes changed, found by its path. */
function withStep(
  description: Description,
  path: string,
  change: (step: RecipeStep) => RecipeStep,
): Description {
  const copy = structuredClone(description) as Record<string, unknown>;
  const keys = path.split('/').slice(1);
  const last = keys.pop() as string;
  const list = keys.reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, copy);
  list[last] = change(list[last] as RecipeStep);
  return DescriptionSchema.parse(copy);
}
const slipsWith = (id: string, path: string, change: (step: RecipeStep) => Partial<RecipeStep>) =>
  stepSlips(withStep(shipped(id), path, (step) => ({ ...step, ...change(step) }) as RecipeStep)).map(
    ({ path: at, slip }) => [at, slip],
  );

describe('the words of steps', () => {
  for (const description of KEYED)
    it(`of ${description.id} say what its keys do, and every change of its display is promised`, () =>
      expect(stepSlips(description)).toEqual([]));

  const PAGE = '/recipes/set/txTone/1';
  it('another key than the one that is pressed', () =>
    expect(slipsWith('page-handheld', PAGE, () => ({ says: 'Press LEAVE to keep {value}.' }))).toEqual([
      [PAGE, 'names-another-key'],
    ]));
  it('two legends swapped on the set', () => {
    const page = shipped('page-handheld');
    const [one, other] = ['KEEP', 'LEAVE'].map(
      (legend) => Object.entries(page.keys).find(([, text]) => text === legend)?.[0] as string,
    ) as [string, string];
    const keys = { ...page.keys, [one]: 'LEAVE', [other]: 'KEEP' };
    const told = withStep(page, PAGE, (step) => ({ ...step, says: 'Press KEEP: {value} stays.' }));
    expect(stepSlips(told)).toEqual([]);
    expect(stepSlips({ ...told, keys }).map(({ slip }) => slip)).toEqual(['names-another-key']);
  });
  it('other figures than the ones that are typed', () => {
    const path = '/recipes/slotStep/0';
    const typing = KEYED.find(({ recipes }) => recipes?.slotStep[0]?.do === 'type')?.id as string;
    expect(slipsWith(typing, path, () => ({ says: 'Type the number 4711.' }))).toContainEqual([
      path,
      'says-other-figures',
    ]);
  });
  it('a hold that nobody says, one that is none, and another time', () => {
    const path = '/recipes/close/0';
    expect(slipsWith('plain-handheld', path, () => ({ says: 'Press SET.' }))).toEqual([
      [path, 'says-other-hold'],
    ]);
    expect(
      slipsWith('plain-handheld', path, () => ({ says: 'Hold SET for 5 seconds: the figures are left.' })),
    ).toEqual([[path, 'says-other-hold']]);
    expect(slipsWith('page-handheld', PAGE, () => ({ says: 'Hold it: {value} is kept.' }))).toEqual([
      [PAGE, 'says-other-hold'],
    ]);
  });
  it('a press of a second is a hold, and a shorter one is none', () => {
    const path = '/recipes/close/0';
    const said = (says: string, heldMs: number) =>
      slipsWith('plain-handheld', path, () => ({ says, heldMs })).map(([, slip]) => slip);
    expect([said('Hold SET for 1 second.', 1000), said('Press SET.', 999)]).toEqual([[], []]);
    expect([said('Press SET.', 1000), said('Hold SET.', 999)]).toEqual([
      ['says-other-hold'],
      ['says-other-hold'],
    ]);
  });
  it('figures of which the keys type more than zeros behind, or other ones', () => {
    const FREQUENCY = '/recipes/set/rx/0';
    const said = (figures: string) =>
      slipsWith('wideband-receiver', FREQUENCY, () => ({ says: `Type the frequency ${figures}.` })).map(
        ([, slip]) => slip,
      );
    expect([said('{mhz}'), said('{typed}')]).toEqual([[], []]);
    for (const figures of ['1625', '4711', '20000000', '1000']) expect(said(figures)).not.toEqual([]);
  });
  it('a promise after the last letter is one, and none at all is not', () => {
    const lines = Object.entries(shipped('bank-handheld').recipes?.set ?? {}).flatMap(([field, steps]) =>
      steps.flatMap((step, n) => ('last' in step ? [`/recipes/set/${field}/${n}`] : [])),
    );
    expect(lines.length).toBeGreaterThan(0);
    for (const path of lines) {
      expect(slipsWith('bank-handheld', path, () => ({ shows: undefined }))).toEqual([]);
      const bare = () => ({ shows: undefined, last: undefined }) as Partial<RecipeStep>;
      expect(slipsWith('bank-handheld', path, bare)).toEqual([[path, 'promises-nothing']]);
    }
  });
  it('no promise, and one of what stood there before', () => {
    expect(slipsWith('page-handheld', PAGE, () => ({ shows: undefined }))).toEqual([
      [PAGE, 'promises-nothing'],
    ]);
    expect(slipsWith('page-handheld', PAGE, () => ({ shows: '{title}' }))).toEqual([
      [PAGE, 'promises-what-was-there'],
    ]);
  });
  it('a start that the words do not name, where the steps do not bring it about', () => {
    const page = shipped('page-handheld');
    const { start: _, ...recipes } = page.recipes as NonNullable<Description['recipes']>;
    const said = (...before: string[]) =>
      stepSlips({ ...page, recipes: { ...recipes, before } }).filter(({ slip }) => slip === 'start-not-said');
    expect(said('Stand on S5.')).toMatchObject([
      { path: '/recipes/before', says: 'Stand on S5.', seen: 'R1' },
    ]);
    expect(said()).toHaveLength(1);
    expect(said('Charge the pack.', 'Turn it on and go to R1.')).toEqual([]);
    // As a word of its own: R10 is another place.
    expect(said('Stand on R10.')).toHaveLength(1);
  });
  it('of each step of a place, typed by hand from what the description’s screens say', () => {
    const weather = channel('Weather', 162.55, null, { service: 'weather' });
    const { sheet } = prepare(plan([weather]), shipped('wideband-receiver'), unit(1, 'wideband-receiver'));
    expect(sheet.steps.map(({ says, promises, hides }) => [says, promises, hides])).toEqual([
      ['Switch the set off and on.', undefined, undefined],
      ['Go to number 1.', '001', undefined],
      ['Hold until it asks whether to wipe number 1.', 'WIPE 001', undefined],
      ['Wipe it.', '- - -', undefined],
      ['Open the list.', '31 HEAR ON', undefined],
      ['Open it.', undefined, '001 __'],
      ['Type the frequency 162.5500.', '16255000', undefined],
      ['ENTER keeps 162.5500.', '001 __', undefined],
      ['Choose SCAN SET.', '34 SCAN SET', undefined],
      ['Open it.', undefined, '001 __'],
      ['Turn to none.', 'none', undefined],
      ['ENTER keeps none.', '001 __', undefined],
      ['Choose TITLE.', '33 TITLE', undefined],
      ['Open it.', undefined, '001 __'],
      [
        'Write Weather. Tap a key again for its next letter; wait where a pause is drawn.',
        'Weather',
        undefined,
      ],
      ['ENTER keeps the name.', '001 __', undefined],
      ['Leave the list.', '001', '001 __'],
    ]);
  });
  it('what the words say is gone must be gone: else the sheet does not prove', () => {
    const path = '/recipes/item/1';
    const kept = withStep(shipped('page-handheld'), path, (step) => ({ ...step, hides: '{title}' }));
    expect(prepare(OSTREL, kept).proof.firstDifference).toMatchObject({ code: 'proof-still-shown' });
  });
  it('letter by letter: what stands there after each is promised, where what stood there is known', () => {
    const { sheet, now, wanted } = prepare(OSTREL, shipped('amateur-handheld'));
    const letters = sheet.steps.filter(({ recipe }) => recipe === '/recipes/set/title/0');
    expect(letters.length).toBeGreaterThan(20);
    const [first, second] = letters;
    expect(second?.promises?.startsWith(first?.promises ?? '?')).toBe(true);
    // The last one is gone from the letters.
    const lasts = letters.filter((step, i) => letters[i + 1]?.slotNumber !== step.slotNumber);
    for (const { promises, slotNumber } of lasts)
      expect(promises).toBe(`${String(slotNumber).padStart(3, '0')} __`);
    expect(prove(shipped('amateur-handheld'), now, wanted, sheet).proven).toBe(true);
  });
});
