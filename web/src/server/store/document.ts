import { shapeFindings } from '@umbrex/core/formats';
import { frozen } from '@umbrex/core/model';
import { type Kind, SCHEMAS, type Things } from '../../contract/things';
import { Kept } from '../kept';
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

const known = new Kept<unknown>(20_000);

/**
 * The mark of a row as it stands: PostgreSQL's own, of the transaction that wrote it and of where it lies. It changes with whatever is written,
 * also by somebody else's hand.
 */
export const STANDS = `xmin::text || ' ' || ctid::text as stands`;

/** The same for a row that was asked for with `STANDS`: read once, as long as nobody writes it, and frozen since it is handed out again. */
export function readOnce<K extends Kind>(
  kind: K,
  row: {
    readonly workspace_id?: unknown;
    readonly id: string;
    readonly version: number;
    readonly stands?: unknown;
    readonly document: unknown;
  },
): Things[K] | undefined {
  const key = `${kind} ${row.workspace_id} ${row.id} ${row.version} ${row.stands}`;
  return known.of(key, () => frozen(read(kind, row))) as Things[K] | undefined;
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
