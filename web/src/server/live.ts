import pg from 'pg';
import { z } from 'zod';
import { getConfig } from './config';
import { log } from './log';
import { CHANGES } from './repositories/edits';

/** Something that changed, as every process hears of it: what kind, which one, from which tab. */
const ChangeSchema = z.object({
  workspaceId: z.uuid(),
  kind: z.string(),
  id: z.string(),
  tab: z.string().nullable(),
});
export type Change = z.infer<typeof ChangeSchema>;
type Listener = (change: Change) => void;

const AGAIN_AFTER_MS = 2000;

interface Hub {
  readonly listeners: Set<Listener>;
  started: boolean;
}
// astro dev reloads modules: keep one connection on globalThis
const store = globalThis as typeof globalThis & { __umbrexLive?: Hub };
const hub = (): Hub => (store.__umbrexLive ??= { listeners: new Set(), started: false });

/**
 * Hears of every change that any process makes, by PostgreSQL's LISTEN on one connection a process. When the connection is
 * lost it is made again; what was said meanwhile is not heard, so a client that was cut off fetches anew.
 * @returns a function that ends it
 */
export function listen(listener: Listener): () => void {
  const { listeners } = hub();
  listeners.add(listener);
  if (!hub().started) {
    hub().started = true;
    void connect();
  }
  return () => listeners.delete(listener);
}

async function connect(): Promise<void> {
  const client = new pg.Client({ connectionString: getConfig().DATABASE_URL });
  let ended = false;
  const again = (error?: unknown) => {
    if (ended) return;
    ended = true;
    if (error) log.warn({ err: error }, 'live updates: connection lost');
    client.end().catch(() => undefined);
    setTimeout(() => void connect(), AGAIN_AFTER_MS).unref();
  };
  client.on('error', again);
  client.on('end', () => again());
  client.on('notification', ({ payload }) => {
    const change = ChangeSchema.safeParse(JSON.parse(payload ?? 'null'));
    if (change.success) for (const listener of hub().listeners) listener(change.data);
  });
  try {
    await client.connect();
    await client.query(`listen ${CHANGES}`);
  } catch (error) {
    again(error);
  }
}
