import type { APIRoute } from 'astro';
import { getDb } from '@/server/db';
import { json } from '@/server/endpoint';
import { log } from '@/server/log';

/** GET whether the server is up and the database answers: 200, or 503 when it does not. Who asks is not asked: that would take the database. */
const health: APIRoute = async () => {
  try {
    await getDb().raw('select 1').timeout(3000);
    return json(200, { ok: true, database: 'answers' });
  } catch (error) {
    log.warn({ err: error }, 'health: database does not answer');
    return json(503, { ok: false, database: 'does not answer' });
  }
};

export const GET = Object.assign(health, { route: 'GET /api/health' as const });
