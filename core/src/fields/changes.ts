import { inOrder } from '../model/index';
import type { Names } from './field';
import { fieldsOf, shapeOf, type ThingKind } from './things';

/** A field in which two versions of a thing differ, in words. */
export interface Change {
  readonly title: string;
  readonly before: string;
  readonly after: string;
}

/** The fields in which two versions of one thing differ, with both in words, so that they can be told apart. */
export function changesBetween(kind: ThingKind, before: object, after: object, names: Names): Change[] {
  const [old, other] = [before, after] as Readonly<Record<string, unknown>>[];
  return fieldsOf(kind).flatMap(([key, { title, words }]): Change[] => {
    const [a, b] = [old?.[key], other?.[key]];
    if (JSON.stringify(inOrder(a)) === JSON.stringify(inOrder(b))) return [];
    // What was written before a field was there says nothing of it; what nobody can read is told as that.
    const shape = shapeOf(kind)[key];
    const said = (value: unknown) => {
      if (value === undefined) return 'none';
      const parsed = shape?.safeParse(value);
      return parsed?.success ? words(parsed.data, names) : 'something that cannot be read';
    };
    return [{ title, before: said(a), after: said(b) }];
  });
}
