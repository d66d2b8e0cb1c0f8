import { prepare } from '@umbrex/core/flow';
import { type Description, DescriptionSchema, type RecipeStep } from '@umbrex/core/model';
import { prove, stepSlips } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { KEYED, shipped } from '../support/devices';
import { OSTREL } from '../support/plans';

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
    expect(stepSlips({ ...page, recipes: { ...recipes, before: ['Stand on S5.'] } }).at(-1)).toMatchObject({
      slip: 'start-not-said',
      path: '/recipes/before',
    });
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
