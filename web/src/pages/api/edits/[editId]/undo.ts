import { endpoint } from '@/server/endpoint';
import { undoEdit } from '@/server/undo';

/** POST an empty object to take an edit back: 200, 404 unknown or undone already, 409 changed since. */
export const POST = endpoint('POST /api/edits/[editId]/undo', async ({ write, workspace, params }) => {
  await write((trx) => undoEdit(trx, workspace.id, params.editId));
  return { undone: params.editId };
});
