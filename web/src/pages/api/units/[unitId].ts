import { UnitSchema } from '@umbrex/core/model';
import { z } from 'zod';
import { endpoint } from '@/server/endpoint';
import { deleteUnit, saveUnit } from '@/server/repositories/units';

const Edit = z.strictObject({ version: z.number().int(), unit: UnitSchema });

/** PUT a device: 200 with the new version, 400, 404, 409 changed meanwhile (with the newer device). */
export const PUT = endpoint(Edit, ({ write, workspace, params, body }) =>
  write((trx) =>
    saveUnit(trx, workspace.id, params.unitId ?? '', body.version, { ...body.unit, id: params.unitId ?? '' }),
  ),
);

/** DELETE a device: 200 with the edit that brings it back, 404, 409 changed meanwhile. */
export const DELETE = endpoint(
  z.strictObject({ version: z.number().int() }),
  ({ write, workspace, params, body }) =>
    write((trx) => deleteUnit(trx, workspace.id, params.unitId ?? '', body.version)),
);
