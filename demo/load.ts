import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { readPlan } from '@umbrex/core/formats';
import {
  type Person,
  PersonSchema,
  type Plan,
  type Station,
  StationSchema,
  UnitSchema,
} from '@umbrex/core/model';
import type { Knex } from 'knex';
import { z } from 'zod';
import { shippedDescriptions } from '../devices/read';
import type { Role } from '../web/src/contract/roles';
import { addHeard } from '../web/src/server/heardCalls';
import { insertAccount, setRole } from '../web/src/server/repositories/accounts';
import { addDescription } from '../web/src/server/repositories/descriptions';
import { insertPlan } from '../web/src/server/repositories/plans';
import { insertRevision } from '../web/src/server/repositories/revisions';
import { emptyPlan, insertWorkspace } from '../web/src/server/repositories/workspaces';
import { addThing } from '../web/src/server/store/store';
import { demoHistory } from './history';
import { demoLog } from './log';

const WORKSPACE_ID = '5c0f2a64-1f4e-4b6e-8a3a-7d1f60f4b001';
const here = (file: string) => readFileSync(fileURLToPath(new URL(file, import.meta.url)), 'utf8');

/** The demo's plan as it ships. @throws Error with the findings when the file is faulty */
export function demoPlan(): Plan {
  const result = readPlan(here('./ostrel-plan.json'));
  if (!result.ok) throw new Error(`demo/ostrel-plan.json: ${JSON.stringify(result.findings)}`);
  return result.value;
}

const ACCOUNTS: readonly { login: string; name: string; role: Role }[] = [
  { login: 'ines', name: 'Ines Korvald', role: 'coordinator' },
  { login: 'tomas', name: 'Tomas Ekrem', role: 'editor' },
  { login: 'ada', name: 'Ada Brunlow', role: 'member' },
  { login: 'county', name: 'County office', role: 'observer' },
];

/**
 * Makes the first workspace when there is none: the shipped descriptions and an empty plan, or with `demo` the whole of Ostrel
 * Island. Everything in one transaction and always the same, so that pictures and tests repeat.
 * @param history whether what Ostrel has behind it is there too: published states of its plan, and sets that were loaded
 */
export async function ensureWorkspace(db: Knex, demo: boolean, history = false): Promise<void> {
  await db.transaction(async (trx) => {
    if (await trx('workspace').first('id')) return;
    await insertWorkspace(trx, { id: WORKSPACE_ID, name: demo ? 'Ostrel Storm Watch' : 'My workspace' });
    for (const description of shippedDescriptions()) await addDescription(trx, WORKSPACE_ID, description);
    await insertPlan(
      trx,
      WORKSPACE_ID,
      demo
        ? demoPlan()
        : emptyPlan(
            '5c0f2a64-1f4e-4b6e-8a3a-7d1f60f4b002',
            '5c0f2a64-1f4e-4b6e-8a3a-7d1f60f4b003',
            'unknown',
          ),
    );
    if (!demo) return;
    const { people, stations } = await loadRoster(trx);
    let units = z.array(UnitSchema).parse(JSON.parse(here('./ostrel-units.json')));
    if (history) {
      const descriptions = shippedDescriptions();
      const today = new Date().toISOString().slice(0, 10);
      const done = demoHistory(demoPlan(), descriptions, units, people, stations, today);
      for (const revision of done.revisions)
        await insertRevision(trx, WORKSPACE_ID, revision, descriptions, null);
      units = done.units;
      await addThing(trx, 'bench', WORKSPACE_ID, done.bench.id, done.bench);
    }
    for (const unit of units) await addThing(trx, 'unit', WORKSPACE_ID, unit.id, unit);
    if (history)
      for (const call of demoLog(demoPlan(), shippedDescriptions(), units, people, stations))
        await addHeard(trx, WORKSPACE_ID, call);
  });
}

/** The people, teams, stations and nets of Ostrel, and an account for each role, which only the demo's one click opens. */
async function loadRoster(trx: Knex.Transaction): Promise<{ people: Person[]; stations: Station[] }> {
  const { teams, people } = JSON.parse(here('./ostrel-people.json'));
  const { stations, nets } = JSON.parse(here('./ostrel-stations.json'));
  const all = { team: teams, person: people, station: stations, net: nets } as const;
  for (const kind of ['team', 'person', 'station', 'net'] as const)
    for (const value of all[kind] as { id: string }[])
      await addThing(trx, kind, WORKSPACE_ID, value.id, value);
  for (const { login, name, role } of ACCOUNTS) {
    const personId = people.find((person: { name: string }) => person.name === name)?.id ?? null;
    const id = await insertAccount(trx, { login, name, passwordHash: 'no password opens this' });
    await setRole(trx, { workspaceId: WORKSPACE_ID, accountId: id, role, personId });
  }
  return { people: z.array(PersonSchema).parse(people), stations: z.array(StationSchema).parse(stations) };
}
