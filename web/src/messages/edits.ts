import { type Change, changesBetween, type Names, THINGS, type ThingKind } from '@umbrex/core/fields';
import { counted } from './labels';

type Shape = Readonly<Record<string, unknown>> | null;
/** Longer values are cut in the history: there a change is recognised, not compared. */
const MOST_LETTERS = 120;

const cut = (text: string) => (text.length > MOST_LETTERS ? `${text.slice(0, MOST_LETTERS - 1)}…` : text);
const line = ({ title, before, after }: Change) => `${title}: ${cut(before)} → ${cut(after)}`;

/** What an edit was, in words: what was done, to what, and for a change each field with before and after. */
export function editText(
  edit: { kind: string; before: unknown; after: unknown },
  names: Names,
): { what: string; changes: readonly string[] } {
  if (edit.kind === 'order') return { what: 'changed the order of the channels', changes: [] };
  const [before, after] = [edit.before, edit.after] as [Shape, Shape];
  const thing = edit.kind in THINGS ? THINGS[edit.kind as ThingKind] : undefined;
  const some = after ?? before ?? {};
  const name = nameOf(thing, some);
  const what = `the ${thing?.one ?? 'kind of device'}${name ? ` “${name}”` : ''}`;
  if (before === null) return { what: `added ${what}`, changes: [] };
  if (after === null) return { what: `deleted ${what}`, changes: [] };
  if (!thing) return descriptionText(what, before, after);
  return {
    what: `changed ${what}`,
    changes: changesBetween(edit.kind as ThingKind, before, after, names).map(line),
  };
}

/** What something is called; one that cannot be read by what it has of a name. */
function nameOf(
  thing: (typeof THINGS)[ThingKind] | undefined,
  some: Readonly<Record<string, unknown>>,
): string {
  const read = thing?.schema.safeParse(some);
  if (thing && read?.success) return (thing.nameOf as (of: unknown) => string)(read.data);
  return String(some.name ?? some.nickname ?? some.title ?? '');
}

interface Count {
  readonly kind: string;
  readonly how: 'added' | 'changed' | 'deleted';
  readonly count: number;
}

/** What was done in one go, in words: one edit as it is; several by their number, with the first of them told one by one. */
export function moveText(
  counts: readonly Count[],
  edits: readonly { kind: string; before: unknown; after: unknown }[],
  names: Names,
): { what: string; changes: readonly string[] } {
  const all = counts.reduce((sum, { count }) => sum + count, 0);
  const [first] = edits;
  if (all === 1 && first) return editText(first, names);
  const told = edits.map((edit) => {
    const { what, changes } = editText(edit, names);
    return changes.length > 0 ? `${what} (${cut(changes.join('; '))})` : what;
  });
  const left = all - edits.length;
  return {
    what: counts.map(countText).join(', '),
    changes: left > 0 ? [...told, `and ${left} more`] : told,
  };
}

function countText({ kind, how, count }: Count): string {
  if (kind === 'order') return 'changed the order of the channels';
  const thing =
    kind in THINGS ? THINGS[kind as ThingKind] : { one: 'kind of device', many: 'kinds of device' };
  return `${how} ${counted(count, thing.one, thing.many)}`;
}

/** A description is not written here: it is replaced, marked by people, or its steps are recorded. */
function descriptionText(what: string, before: object, after: object) {
  const differ = keysThatDiffer(before, after);
  if (differ.every((key) => key === 'marks'))
    return { what: `said of ${what} whether its steps are right`, changes: [] };
  if (differ.includes('recording')) return { what: `recorded steps of ${what}`, changes: [] };
  return {
    what: `put another description of ${what} in the place of the old one`,
    changes: [`other in it: ${differ.join(', ') || 'nothing'}`],
  };
}

function keysThatDiffer(a: object, b: object): string[] {
  const [left, right] = [a, b] as [Record<string, unknown>, Record<string, unknown>];
  const keys = [...new Set([...Object.keys(left), ...Object.keys(right)])];
  return keys.filter((key) => JSON.stringify(left[key]) !== JSON.stringify(right[key]));
}
