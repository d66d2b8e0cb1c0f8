import { z } from 'zod';
import { endpoint } from './endpoint';
import {
  addDocument,
  DOCUMENT_SCHEMAS,
  type DocumentKind,
  deleteDocument,
  saveDocument,
} from './repositories/documents';

/** The routes of a kind of document: all of them add, change and delete alike, so they are made in one place. */
export function collection(kind: DocumentKind) {
  const value = DOCUMENT_SCHEMAS[kind] as z.ZodType<never>;
  return {
    /** POST one with an id made by the client: 201 with its version, 400, 409 when the id is another's. */
    POST: endpoint(
      z.strictObject({ value }),
      ({ write, workspace, body }) => write((trx) => addDocument(trx, kind, workspace.id, body.value)),
      { status: 201 },
    ),
    /** PUT one from a version: 200 with the new version, 400, 404, 409 changed meanwhile (with the newer state). */
    PUT: endpoint(
      z.strictObject({ version: z.number().int(), value }),
      ({ write, workspace, params, body }) =>
        write((trx) =>
          saveDocument(trx, kind, workspace.id, body.version, {
            ...(body.value as object),
            id: params.id,
          } as never),
        ),
    ),
    /** DELETE one from a version: 200 with the edit that brings it back, 404, 409. */
    DELETE: endpoint(z.strictObject({ version: z.number().int() }), ({ write, workspace, params, body }) =>
      write((trx) => deleteDocument(trx, kind, workspace.id, params.id ?? '', body.version)),
    ),
  };
}
