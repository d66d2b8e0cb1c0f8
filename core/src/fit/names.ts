import type { Description } from '../model/index';
import { assign } from './assignment';
import { KEPT_LAST, type Named, type NameRule, nameForms, WHOLE } from './nameForms';
import { firstFree, marked } from './nameMarks';
import type { Form } from './shortForms';

/**
 * The names that a kind of set can hold, in the characters that its keys can spell as far as somebody described them: a name that nobody
 * can enter is none.
 */
export function spellable({
  names,
  fields,
  recipes,
}: Pick<Description, 'names' | 'fields' | 'recipes'>): Description['names'] {
  if (typeof names !== 'object' || !recipes) return names;
  const field = fields.find(({ holds }) => holds === 'name');
  const steps = recipes.set[field?.id ?? ''] ?? [];
  const keys = steps.some((step) => step.do === 'tapName')
    ? Object.values(recipes.letterKeys ?? {}).join('')
    : null;
  const spelt = keys ?? (steps.some((step) => step.do === 'wheelName') ? (recipes.letterWheel ?? '') : null);
  if (spelt === null) return names;
  const characters = [...names.characters].filter((char) => spelt.includes(char)).join('');
  return characters === '' ? 'none' : { ...names, characters };
}

/** A chosen name; `isTwice` where the set cannot tell so many apart. */
export interface ChosenName {
  readonly text: string;
  readonly isTwice: boolean;
}

/*
 * What a form costs beside being hard to recognise, in tenths of the points of `shortForms`.
 */
/** It could be another channel's as well: one that is about as hard to recognise there. */
const AMBIGUOUS = 400;
const ABOUT = 150;
/** One letter from what another is called. */
const NEAR = 120;
/** The same as on smaller displays. */
const AS_ON_SMALLER = -20;
/** Another of the same name has it. */
const SAME_NAME = 1500;
const TWICE = 100_000;

/** Displays are compared with those of these lengths. */
const SMALLER = [6, 8, 12] as const;
/** More channels than this whose names could be each other's are named one after another, in the plan's order. */
const MOST_AT_ONCE = 150;

/**
 * The names of a plan's channels on displays of one kind, chosen together: how hard each is to recognise, how near it is to another one,
 * whether it is the one given last and the one on smaller displays. The sum is least (an assignment), all are different as far as the set
 * can tell so many apart. They are chosen for the whole plan, so that sets that carry different parts of it say the same names.
 * @param given the names that a set has now, by channel id
 */
export function namesTogether(
  channels: readonly Named[],
  rule: NameRule,
  given: ReadonlyMap<string, string> = NONE,
): ReadonlyMap<string, ChosenName> {
  let text = textOf.get(channels);
  if (text === undefined) {
    text = JSON.stringify(channels.map(({ id, name, shortNames }) => [id, name, ...shortNames]));
    textOf.set(channels, text);
  }
  const key = JSON.stringify([rule.length, rule.characters, text, ...given]);
  const known = knownNames.get(key);
  if (known) return known;
  const names = chosenNames(channels, rule, given);
  if (knownNames.size > MOST_KNOWN) knownNames.clear();
  knownNames.set(key, names);
  return names;
}

const NONE: ReadonlyMap<string, string> = new Map();
/** What sets say, by names, display and what they said before: an edit that renames nothing asks nothing anew. */
const knownNames = new Map<string, ReadonlyMap<string, ChosenName>>();
const MOST_KNOWN = 500;
const textOf = new WeakMap<readonly Named[], string>();

function chosenNames(
  channels: readonly Named[],
  rule: NameRule,
  given: ReadonlyMap<string, string>,
): ReadonlyMap<string, ChosenName> {
  const rows = pricedForms(channels, rule, given);
  const texts: (string | undefined)[] = [];
  for (const part of tangles(rows)) {
    const names = part.length > MOST_AT_ONCE ? inTurn(part, rows) : solved(part, rows);
    part.forEach((row, i) => {
      texts[row] = names[i];
    });
  }
  const taken = new Set(texts.filter((text) => text !== undefined));
  return new Map(
    channels.map(({ id }, row) => {
      const text = texts[row];
      if (text !== undefined) return [id, { text, isTwice: false }];
      const whole = rows[row]?.[0]?.text ?? '';
      const free = firstFree(whole, rule, taken);
      if (free !== undefined) taken.add(free);
      return [id, { text: free ?? whole, isTwice: free === undefined }];
    }),
  );
}

/** By channel, what it may be called and what all of that costs. */
function pricedForms(
  channels: readonly Named[],
  rule: NameRule,
  given: ReadonlyMap<string, string>,
): Form[][] {
  const smaller = SMALLER.findLast((letters) => letters < rule.length);
  const onSmaller = smaller === undefined ? undefined : namesTogether(channels, { ...rule, length: smaller });
  const forms = channels.map((channel) => nameForms(channel, rule));
  // Names that fit whole may differ only in what the set cannot show.
  const names = channels.map(({ name }, row) => {
    const [first] = forms[row] ?? [];
    return first?.cost === WHOLE ? first.text : name;
  });
  const owners = new Map<string, { name: string; cost: number }[]>();
  const near = new Map<string, string | null>();
  names.forEach((name, row) => {
    const own = forms[row] ?? [];
    for (const { text, cost } of own) {
      const there = owners.get(text);
      if (there) there.push({ name, cost });
      else owners.set(text, [{ name, cost }]);
    }
    for (const open of own[0]?.open ?? [])
      near.set(open, near.has(open) && near.get(open) !== name ? null : name);
  });
  const held = new Set(given.values());
  const times = new Map<string, number>();
  return channels.map(({ id }, row): Form[] => {
    const own = forms[row] ?? [];
    const name = names[row] ?? '';
    const last = given.get(id);
    const besides = onSmaller?.get(id)?.text.toLowerCase();
    const before = times.get(name) ?? 0;
    times.set(name, before + 1);
    const isWanted = (text: string) => owners.has(text) || held.has(text);
    let safe: Form | undefined;
    const priced = own.map(({ text, cost, open }): Form => {
      let all = before > 0 ? cost + SAME_NAME : cost;
      const there = owners.get(text) ?? [];
      if (cost > 0) {
        if (there.some((other) => other.name !== name && other.cost <= cost + ABOUT)) all += AMBIGUOUS;
        if (open.some((pattern) => near.has(pattern) && near.get(pattern) !== name)) all += NEAR;
        if (besides === text.toLowerCase()) all += AS_ON_SMALLER;
      }
      if (text === last) all += KEPT_LAST;
      const form = { text, cost: all };
      const isOwn = there.length === 1 && (text === last || !held.has(text));
      if (isOwn && (safe === undefined || all < safe.cost)) safe = form;
      return form;
    });
    // What costs more than a form that nobody else could want is never taken.
    const useful = priced.filter((form) => safe === undefined || form === safe || form.cost < safe.cost);
    const isSure = safe !== undefined && safe.cost < SAME_NAME;
    if (isSure && last === undefined) return useful;
    const marks = marked(own, before, rule, last, isWanted);
    // A figure that the set has behind a name stays there, whoever it once told it from.
    return [...useful, ...(isSure ? marks.filter(({ text }) => text === last) : marks)];
  });
}

/** The rows that could take a name from each other, part by part, in the order of their first. */
function tangles(rows: readonly (readonly Form[])[]): number[][] {
  const lead = rows.map((_, row) => row);
  const find = (row: number): number => {
    let top = row;
    while (lead[top] !== top) top = lead[top] ?? top;
    lead[row] = top;
    return top;
  };
  const first = new Map<string, number>();
  rows.forEach((forms, row) => {
    for (const { text } of forms) {
      const other = first.get(text);
      if (other === undefined) first.set(text, row);
      else {
        const [a, b] = [find(other), find(row)];
        lead[Math.max(a, b)] = Math.min(a, b);
      }
    }
  });
  const parts = new Map<number, number[]>();
  for (const row of rows.keys()) parts.set(find(row), [...(parts.get(find(row)) ?? []), row]);
  return [...parts.values()];
}

/** The names of which the sum of costs is least, none twice; nothing for a row that gets none of its own. */
function solved(part: readonly number[], rows: readonly (readonly Form[])[]): (string | undefined)[] {
  const [only] = part;
  if (part.length === 1 && only !== undefined) return [cheapest(rows[only] ?? [])?.text];
  const texts = [...new Set(part.flatMap((row) => (rows[row] ?? []).map(({ text }) => text)))];
  const columnOf = new Map(texts.map((text, column) => [text, column]));
  const columns = texts.length + part.length;
  const gain = part.map((row, i) => {
    const gains = new Array<number>(columns).fill(-10 * TWICE);
    for (const { text, cost } of rows[row] ?? []) gains[columnOf.get(text) ?? 0] = -cost;
    gains[texts.length + i] = -TWICE;
    return gains;
  });
  return assign(gain, columns).columnOf.map((column) => texts[column]);
}

/** In the plan's order, each the cheapest that is left. */
function inTurn(part: readonly number[], rows: readonly (readonly Form[])[]): (string | undefined)[] {
  const used = new Set<string>();
  return part.map((row) => {
    const left = cheapest((rows[row] ?? []).filter(({ text }) => !used.has(text)));
    if (left) used.add(left.text);
    return left?.text;
  });
}

const cheapest = (forms: readonly Form[]) =>
  forms.reduce<Form | undefined>((best, form) => (best && best.cost <= form.cost ? best : form), undefined);
