import { createHash } from 'node:crypto';
import { inOrder } from '@umbrex/core/model';

/** A value by its content: SHA-256 of its JSON with keys in order, as 64 hexadecimal digits. */
export function contentMark(value: unknown): string {
  return createHash('sha256')
    .update(JSON.stringify(inOrder(value)))
    .digest('hex');
}
