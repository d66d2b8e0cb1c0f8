import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { readPlan } from '@umbrex/core/formats';
import { PLAN_FORMAT, type Plan, UnitSchema } from '@umbrex/core/model';
import type { Knex } from 'knex';
import { z } from 'zod';
import { shippedDescriptions } from '../devices/read';
import { addDescription } from '../web/src/server/repositories/descriptions';
import { insertPlan } from '../web/src/server/repositories/plans';
import { addUnit } from '../web/src/server/repositories/units';
import { insertWorkspace } from '../web/src/server/repositories/workspaces';

const WORKSPACE_ID = '5c0f2a64-1f4e-4b6e-8a3a-7d1f60f4b001';
const here = (file: string) => readFileSync(fileURLToPath(new URL(file, import.meta.url)), 'utf8');

/** The demo's plan as it ships. @throws Error with the findings when the file is faulty */
export function demoPlan(): Plan {
  const result = readPlan(here('./ostrel-plan.json'));
  if (!result.ok) throw new Error(`demo/ostrel-plan.json: ${JSON.stringify(result.findings)}`);
  return result.value;
}

/** An empty plan with one group, for a workspace that begins from nothing. */
const EMPTY_PLAN: Plan = {
  format: PLAN_FORMAT,
  id: '5c0f2a64-1f4e-4b6e-8a3a-7d1f60f4b002',
  name: 'First plan',
  country: 'US',
  receivePolicy: 'closed',
  licensed: [],
  groups: [{ id: '5c0f2a64-1f4e-4b6e-8a3a-7d1f60f4b003', name: 'Channels', note: '' }],
  channels: [],
};

/**
 * Makes the first workspace when there is none: the shipped descriptions and an empty plan, or with `demo` the whole of Ostrel
 * Island. Everything in one transaction and always the same, so that pictures and tests repeat.
 */
export async function ensureWorkspace(db: Knex, demo: boolean): Promise<void> {
  await db.transaction(async (trx) => {
    if (await trx('workspace').first('id')) return;
    await insertWorkspace(trx, { id: WORKSPACE_ID, name: demo ? 'Ostrel Storm Watch' : 'My workspace' });
    for (const description of shippedDescriptions()) await addDescription(trx, WORKSPACE_ID, description);
    await insertPlan(trx, WORKSPACE_ID, demo ? demoPlan() : EMPTY_PLAN);
    if (!demo) return;
    for (const unit of z.array(UnitSchema).parse(JSON.parse(here('./ostrel-units.json'))))
      await addUnit(trx, WORKSPACE_ID, unit);
  });
}
