import { createHash } from 'node:crypto';
import { type Description, inOrder } from '@umbrex/core/model';

/** A value by its content: SHA-256 of its JSON with keys in order, as 64 hexadecimal digits. */
export function contentMark(value: unknown): string {
  return createHash('sha256')
    .update(JSON.stringify(inOrder(value)))
    .digest('hex');
}

/** A description by what sheets are made of: what people said of it is no part of that, and makes no set one to be checked. */
export function describedMark({ marks: _, ...description }: Description): string {
  return contentMark(description);
}
