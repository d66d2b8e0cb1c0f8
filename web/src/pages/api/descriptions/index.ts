import { checkDescription } from '@umbrex/core/formats';
import { stepFindings } from '@umbrex/core/procedure';
import { endpoint } from '@/server/endpoint';
import { BadInput } from '@/server/problem';
import { addDescription } from '@/server/repositories/descriptions';

/** POST a device description: 201 with findings about the words of its steps, 400 with findings that name the path, 409 when its id is taken. */
export const POST = endpoint('POST /api/descriptions', async ({ write, workspace, body }) => {
  const result = checkDescription(body);
  if (!result.ok) throw new BadInput(result.findings);
  return write(async (trx) => {
    const { value, version } = await addDescription(trx, workspace.id, result.value);
    return { id: value.id, version, findings: stepFindings(value) };
  });
});
