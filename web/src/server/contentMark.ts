import { createHash } from 'node:crypto';
import { type Description, inOrder } from '@umbrex/core/model';

const known = new WeakMap<object, string>();

/** A value by its content: SHA-256 of its JSON with keys in order, as 64 hexadecimal digits; of a frozen one it is made once. */
export function contentMark(value: unknown): string {
  if (typeof value !== 'object' || value === null || !Object.isFrozen(value)) return made(value);
  const mark = known.get(value) ?? made(value);
  known.set(value, mark);
  return mark;
}

const made = (value: unknown): string =>
  createHash('sha256')
    .update(JSON.stringify(inOrder(value)))
    .digest('hex');

const described = new WeakMap<Description, string>();

/** A description by what sheets are made of: what people said of it is no part of that, and makes no set one to be checked. */
export function describedMark(whole: Description): string {
  const there = described.get(whole);
  if (there !== undefined) return there;
  const { marks: _, ...description } = whole;
  const mark = contentMark(description);
  if (Object.isFrozen(whole)) described.set(whole, mark);
  return mark;
}
