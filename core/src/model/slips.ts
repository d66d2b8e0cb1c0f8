import type { Behaviour } from './behaviour';
import { RECIPE_MARKS, type RecipeStep, type Recipes } from './recipes';
import { leastApartHz, type Steps } from './steps';

/** A slip in a description: where, as keys from the document's root, and what. */
export interface Slip {
  readonly path: readonly (string | number)[];
  readonly message: string;
}

/** What of a description its keys and steps are held against. */
interface Described {
  readonly keys: Readonly<Record<string, string>>;
  readonly fields: readonly { readonly id: string; readonly holds: string }[];
  readonly settings: readonly { readonly id: string }[];
  readonly regions: readonly { readonly id: string }[];
  readonly receive: Steps | 'unknown';
  readonly behaviour?: Behaviour | undefined;
  readonly recipes?: Recipes | undefined;
}

const KNOWN_MARKS: ReadonlySet<string> = new Set(RECIPE_MARKS);
/** The marks that a display line may have, besides the ids of fields. */
const SCREEN_MARKS = new Set([
  'number',
  'label',
  'bank',
  'position',
  'used',
  'name',
  'receive',
  'item',
  'title',
  'entry',
  'cursor',
  'found',
  'finds',
  'draft',
]);
const marksOf = (text: string) => [...text.matchAll(/\{(\w+)(?::\d+)?\}/g)].map(([, mark]) => mark ?? '');
const own = (of: object, key: string) => Object.hasOwn(of, key);

/**
 * Ordinary slips in the keys and steps of a description, each at its path: keys without a legend, marks that mean nothing, numbers and items
 * that are not there. What has none of them can be written and replayed without coming to a stop.
 * @param numbers the memory numbers that the set has
 */
export function slipsOf(description: Described, numbers: ReadonlySet<number>): Slip[] {
  return [
    ...entrySlips(description),
    ...(description.behaviour ? behaviourSlips(description, description.behaviour, numbers) : []),
    ...(description.recipes ? recipeSlips(description, description.recipes, numbers) : []),
  ];
}

/** Where a set completes what is typed of a frequency, no two of its frequencies may begin with the same figures. */
function entrySlips({ receive, behaviour, recipes }: Described): Slip[] {
  return Object.entries({ behaviour, recipes }).flatMap(([part, has]): Slip[] => {
    const rule = has?.frequencyEntry;
    if (!rule?.completes) return [];
    const say = (message: string) => [{ path: [part, 'frequencyEntry'], message }];
    if (receive === 'unknown') return say('what it completes to is not said: its steps are unknown');
    const apartHz = leastApartHz(receive);
    return apartHz < rule.unitHz
      ? say(`two frequencies ${apartHz} Hz apart begin with the same figures`)
      : [];
  });
}

function behaviourSlips(
  { fields, settings }: Described,
  { startNumber, items, modes, keys }: Behaviour,
  numbers: ReadonlySet<number>,
): Slip[] {
  const slips: Slip[] = [];
  const say = (path: Slip['path'], message: string) => slips.push({ path: ['behaviour', ...path], message });
  if (!numbers.has(startNumber)) say(['startNumber'], `no place ${startNumber}`);
  const fieldIds = new Set(fields.map(({ id }) => id));
  const settingIds = new Set(settings.map(({ id }) => id));
  items.forEach(({ target, lockedWhen }, i) => {
    if (target.reach === 'channel' && !fieldIds.has(target.field))
      say(['items', i, 'target', 'field'], `no field "${target.field}"`);
    if (target.reach === 'set' && !settingIds.has(target.setting))
      say(['items', i, 'target', 'setting'], `no setting "${target.setting}"`);
    if (lockedWhen && !fieldIds.has(lockedWhen.field))
      say(['items', i, 'lockedWhen', 'field'], `no field "${lockedWhen.field}"`);
  });
  for (const [name, { on }] of Object.entries(modes))
    on.forEach((row, i) => {
      const named = { keys: typeof row.keys === 'string' ? [] : row.keys, with: row.with ?? [] };
      for (const [part, ids] of Object.entries(named))
        ids.forEach((key, k) => {
          if (!own(keys, key)) say(['modes', name, 'on', i, part, k], `the set has no key "${key}"`);
        });
    });
  for (const [name, { screen }] of Object.entries(modes))
    screen.forEach((line, i) => {
      for (const mark of marksOf(line))
        if (!SCREEN_MARKS.has(mark) && !fieldIds.has(mark))
          say(['modes', name, 'screen', i], `nothing fills the mark {${mark}}`);
    });
  return slips;
}

function recipeSlips(
  { keys, fields, settings, regions, behaviour }: Described,
  recipes: Recipes,
  numbers: ReadonlySet<number>,
): Slip[] {
  const slips: Slip[] = [];
  const say = (path: Slip['path'], message: string) => slips.push({ path: ['recipes', ...path], message });
  const needKey = (key: string | undefined, path: Slip['path']) => {
    if (key === undefined) return;
    if (!own(keys, key)) say(path, `no legend for the key "${key}"`);
    else if (behaviour && !own(behaviour.keys, key)) say(path, `the set has no key "${key}"`);
  };
  const texts = (step: RecipeStep, path: Slip['path']) => {
    const until = 'until' in step ? step.until : undefined;
    const last = 'last' in step ? step.last : undefined;
    const { says, shows, hides } = step;
    const all = { says, shows, hides, until, 'last/shows': last?.shows, 'last/hides': last?.hides };
    for (const [name, text] of Object.entries(all))
      for (const mark of text === undefined ? [] : marksOf(text))
        if (!KNOWN_MARKS.has(mark)) say([...path, ...name.split('/')], `nothing fills the mark {${mark}}`);
  };
  const steps = (list: readonly RecipeStep[], path: Slip['path']) =>
    list.forEach((step, i) => {
      const at = [...path, i];
      texts(step, at);
      if (step.do === 'press') {
        needKey(step.key, [...at, 'key']);
        step.with?.forEach((key, k) => {
          needKey(key, [...at, 'with', k]);
          if (key === step.key) say([...at, 'with', k], 'a key is not held with itself');
        });
      }
      if ('up' in step) needKey(step.up, [...at, 'up']);
      if ('down' in step) needKey(step.down, [...at, 'down']);
      if ('next' in step) needKey(step.next, [...at, 'next']);
      if (step.do === 'type') {
        if (step.what === 'text' && step.text === undefined) say([...at, 'text'], 'nothing to type');
        const needsEntry = step.what === 'frequency' || step.what === 'transmitFrequency';
        if (needsEntry && !recipes.frequencyEntry)
          say(['frequencyEntry'], 'how a frequency is typed is not said');
        for (const char of step.text ?? '')
          if (!own(recipes.charKeys ?? {}, char)) say([...at, 'text'], `no key types "${char}"`);
      }
      if (step.do === 'tapName' && !recipes.letterKeys)
        say(['letterKeys'], 'which keys give which letters is not said');
      if (step.do === 'wheelName' && !recipes.letterWheel)
        say(['letterWheel'], 'the letters of the wheel are not said');
      const isItem = step.do === 'turn' && step.what === 'item';
      if (isItem && recipes.itemCount < 1) say(['itemCount'], 'a wheel of items has at least one');
    });

  if (!numbers.has(recipes.startNumber)) say(['startNumber'], `no place ${recipes.startNumber}`);
  for (const [char, key] of Object.entries(recipes.charKeys ?? {})) needKey(key, ['charKeys', char]);
  for (const key of Object.keys(recipes.letterKeys ?? {})) needKey(key, ['letterKeys', key]);
  for (const part of ['begin', 'finish', 'bankStep', 'slotStep', 'open', 'item', 'close'] as const)
    steps(recipes[part], [part]);
  for (const [part, list] of Object.entries({
    start: recipes.start?.steps,
    reset: recipes.reset?.steps,
    erase: recipes.erase?.steps,
  }))
    steps(list ?? [], [part, 'steps']);
  steps(recipes.clearPicked ?? [], ['clearPicked']);
  recipes.copy?.steps.forEach(({ step }, i) => {
    steps([step], ['copy', 'steps', i, 'step']);
  });
  const fieldIds = new Set(fields.map(({ id }) => id));
  const settingIds = new Set(settings.map(({ id }) => id));
  for (const [field, list] of Object.entries(recipes.set)) {
    if (!fieldIds.has(field)) say(['set', field], `no field "${field}"`);
    steps(list, ['set', field]);
  }
  for (const [setting, list] of Object.entries(recipes.settings)) {
    if (!settingIds.has(setting)) say(['settings', setting], `no setting "${setting}"`);
    steps(list, ['settings', setting]);
  }
  if (recipes.opensAt !== undefined && !fieldIds.has(recipes.opensAt))
    say(['opensAt'], `no field "${recipes.opensAt}"`);
  recipes.order.forEach((field, i) => {
    if (!fieldIds.has(field)) say(['order', i], `no field "${field}"`);
    else if (!own(recipes.set, field)) say(['order', i], `no steps for the field "${field}"`);
  });
  const wheelOfItems = recipes.item.some((step) => step.do === 'turn' && step.what === 'item');
  for (const [id, { place }] of Object.entries(recipes.items)) {
    if (!fieldIds.has(id) && !settingIds.has(id)) say(['items', id], `no field or setting "${id}"`);
    if (wheelOfItems && (place < 0 || place >= recipes.itemCount))
      say(['items', id, 'place'], `place ${place} of ${recipes.itemCount}`);
  }
  const regionIds = new Set(regions.map(({ id }) => id));
  recipes.erase?.regions.forEach((region, i) => {
    if (!regionIds.has(region)) say(['erase', 'regions', i], `no region "${region}"`);
  });
  for (const field of recipes.unlock ? [recipes.unlock.field, ...recipes.unlock.for] : [])
    if (!fieldIds.has(field)) say(['unlock'], `no field "${field}"`);
  return slips;
}
