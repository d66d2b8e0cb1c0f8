import { UnitSchema } from '@umbrex/core/model';
import { z } from 'zod';
import { endpoint } from '@/server/endpoint';
import { addUnit } from '@/server/repositories/units';

/** POST a device with an id made by the client: 201 with its version, 400, 409 when the id is another device's. */
export const POST = endpoint(
  z.strictObject({ unit: UnitSchema }),
  ({ write, workspace, body }) => write((trx) => addUnit(trx, workspace.id, body.unit)),
  { status: 201 },
);
