import { inOrder } from '../model/index';
import type { Names } from './field';
import { fieldsOf, type ThingKind } from './things';

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
    // What was written before a field was there says nothing of it.
    const said = (value: unknown) => (value === undefined ? 'none' : words(value, names));
    return [{ title, before: said(a), after: said(b) }];
  });
}
