import { z } from 'zod';
import { alike, hzFromMHzText, mhzText, type Place, placeText, readPlace } from '../units/index';
import type { Form, NamedKind, Names } from './field';
import { numbersOfCell, numbersText } from './numbers';

/* The forms that values have in cells and in words. Each reads what it writes. */

/** A line of text. */
export const line: Form<string> = {
  write: (text) => text,
  read: (cell) => cell,
  wanted: 'a line of text',
  words: (text) => text || 'none',
};

/** Words of any kind, to the letter. */
export const words: Form<string> = { ...line, exact: true };

/** A line that says `unknown` where nobody looked. */
export const lineOrUnknown: Form<string> = {
  ...line,
  read: (cell) => cell || 'unknown',
  words: (text) => (text === 'unknown' ? 'not known' : text),
};

/** A day as YYYY-MM-DD, or that nobody knows it. */
export const day: Form<string> = { ...lineOrUnknown, wanted: 'a day as 2026-11-28' };

const isoMoment = z.iso.datetime();
/** A moment in UTC. */
export const moment: Form<string> = {
  ...line,
  read: (cell) => isoMoment.safeParse(cell).data,
  wanted: 'a moment in UTC, as 2026-12-01T19:04:00Z',
  words: (at) => at.replace('T', ' ').replace('Z', ' UTC'),
};

/** The same, or none. */
export const momentOrNone: Form<string | null> = {
  write: (at) => at ?? '',
  read: (cell, names) => (cell === '' ? null : moment.read(cell, names)),
  wanted: `${moment.wanted}, or empty`,
  words: (at, names) => (at === null ? 'none' : moment.words(at, names)),
};

/** A tone by its text. */
export const tone: Form<string> = {
  write: (text) => text,
  read: (cell) => cell || 'unknown',
  wanted: 'a tone as off, 82.5 or D023N',
  words: (text) =>
    text === 'off'
      ? 'no tone'
      : text === 'unknown'
        ? 'not known'
        : text.startsWith('D')
          ? text
          : `${text} Hz`,
};

/** A frequency in hertz, written in megahertz. */
export const hertz: Form<number> = {
  write: (hz) => mhzText(hz),
  read: (cell) => hzFromMHzText(cell.replace(/\s*MHz$/i, '').replace(/^(\d+),(\d+)$/, '$1.$2')),
  wanted: 'a frequency in MHz, as 462.675',
  words: (hz) => `${mhzText(hz)} MHz`,
};

/** The same where there may be none. */
export function maybe<V>(form: Form<V>, none: string): Form<V | null> {
  return {
    write: (value, names) => (value === null ? '' : form.write(value, names)),
    read: (cell, names) => (cell === '' || alike(cell) === none ? null : form.read(cell, names)),
    wanted: `${form.wanted}, or nothing`,
    words: (value, names) => (value === null ? none : form.words(value, names)),
  };
}

/** One of some words; an empty cell is the usual one. */
export function choice<const V extends string>(
  options: readonly V[],
  usual: NoInfer<V>,
  said: { readonly [O in NoInfer<V>]?: string } = {},
): Form<V> {
  return {
    write: (value) => value,
    read: (cell) => (cell === '' ? usual : options.find((option) => alike(option) === alike(cell))),
    wanted: options.join(', '),
    words: (value) => said[value] ?? value.replace(/-/g, ' '),
  };
}

/** Yes or no; an empty cell is the usual one. */
export function yesNo(usual: boolean): Form<boolean> {
  return {
    write: (value) => (value ? 'yes' : 'no'),
    read: (cell) =>
      cell === ''
        ? usual
        : /^(yes|y|true|1|x)$/i.test(cell)
          ? true
          : /^(no|n|false|0)$/i.test(cell)
            ? false
            : undefined,
    wanted: 'yes or no',
    words: (value) => (value ? 'yes' : 'no'),
  };
}

/** Several of a form, with semicolons between them. */
export function several<V>(form: Form<V>): Form<V[]> {
  const inOrder = (values: readonly (V | undefined)[]): V[] | undefined =>
    values.every((value) => value !== undefined) ? (values as V[]) : undefined;
  return {
    write: (values, names) =>
      values
        .map((value) => quoted(form.write(value, names)))
        .filter(Boolean)
        .join('; '),
    read: (cell, names) => inOrder(listed(cell).map((part) => form.read(part, names))),
    wanted: `${form.wanted}, with semicolons between several`,
    words: (values, names) => values.map((value) => form.words(value, names)).join('; ') || 'none',
  };
}

/** One of a list that holds a semicolon itself stands in quotes. */
const quoted = (part: string) => (/[;"\n]/.test(part) ? JSON.stringify(part) : part);

/** The parts of a list with semicolons or new lines between them. */
function listed(cell: string): string[] {
  const parts = cell.match(/\s*"(?:[^"\\]|\\.)*"\s*(?=;|\n|$)|[^;\n]+/g) ?? [];
  return parts.flatMap((part) => {
    const text = part.trim();
    if (!/^".*"$/.test(text)) return text === '' ? [] : [text];
    try {
      return [String(JSON.parse(text))];
    } catch {
      return [text];
    }
  });
}

/** What has a name of its own, by that; by its id where several have that name. Of one that is gone nothing is written. */
export function named(kind: NamedKind, what: string): Form<string> {
  const of = (names: Names) => names[kind] ?? [];
  const called = (names: Names, text: string) => of(names).filter(({ name }) => alike(name) === alike(text));
  return {
    write: (id, names) => {
      const name = of(names).find((one) => one.id === id)?.name;
      return name === undefined ? '' : called(names, name).length === 1 ? name : id;
    },
    read: (cell, names) => {
      const found = of(names).filter(({ id }) => id === cell);
      const [only, ...others] = found.length > 0 ? found : called(names, cell);
      return others.length === 0 ? only?.id : undefined;
    },
    wanted: what,
    words: (id, names) => of(names).find((one) => one.id === id)?.name ?? 'one that is gone',
  };
}

/** A place on the earth, in degrees. */
export const place: Form<Place | null> = {
  write: placeText,
  read: readPlace,
  wanted: 'degrees north and east, as 41.28, -38.50',
  words: (at) => placeText(at) || 'none',
};

/** Numbers, the short way: `40-44, 60`; so many at most. */
export function numbers(most: number): Form<number[]> {
  return {
    write: numbersText,
    read: (cell) => numbersOfCell(cell, most),
    wanted: `numbers, as 40-44, 60, and ${most} at most`,
    words: (values) => numbersText(values) || 'none',
  };
}

/** What has parts of its own, as JSON; in words by each part. */
export function parts<V>(
  schema: z.ZodType<V>,
  words: (value: V, names: Names) => string,
  empty?: V,
): Form<V> {
  return {
    write: (value) =>
      empty !== undefined && JSON.stringify(value) === JSON.stringify(empty) ? '' : JSON.stringify(value),
    read: (cell) => {
      if (cell === '' && empty !== undefined) return empty;
      try {
        return schema.safeParse(JSON.parse(cell)).data;
      } catch {
        return undefined;
      }
    },
    wanted: 'this as it was written out',
    words,
  };
}
