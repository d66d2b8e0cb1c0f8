import { shapeFindings } from '@umbrex/core/formats';
import { type Kind, SCHEMAS, type Things } from '../../contract/things';
import { BadInput } from '../problem';

/* What a row keeps of a thing: read by its schema before it is written, and again when it is read. */

/** A value as it may be kept. @throws BadInput at the path of what may not */
export function checked<K extends Kind>(kind: K, id: string, value: unknown): Things[K] {
  const own = kind === 'plan' ? value : { ...(value as object), id };
  const parsed = SCHEMAS[kind].safeParse(own);
  if (!parsed.success) throw new BadInput(shapeFindings(parsed.error));
  return parsed.data;
}

/** What a row holds; `undefined` where no schema reads it. */
export function read<K extends Kind>(kind: K, row: { readonly document: unknown }): Things[K] | undefined {
  return SCHEMAS[kind].safeParse(row.document).data;
}

/** A value as the text that a row keeps. @throws BadInput where it holds what no database takes: NUL, or half of a sign */
export function kept(value: object): string {
  const text = JSON.stringify(value);
  // Written as escapes, and nothing else is (ECMAScript, well-formed JSON.stringify).
  if (!/(?<!\\)(?:\\\\)*\\u(?:0000|d[89a-f])/.test(text)) return text;
  throw new BadInput([
    { code: 'document-shape', severity: 'error', path: '', detail: 'text with NUL or halves of signs' },
  ]);
}
