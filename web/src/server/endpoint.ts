import type { Finding } from '@umbrex/core/findings';
import { shapeFindings } from '@umbrex/core/formats';
import type { APIContext, APIRoute } from 'astro';
import type { Knex } from 'knex';
import { z } from 'zod';
import { getDb } from './db';
import { log } from './log';
import { BadInput, ChangedMeanwhile, isUnreachable, NotHere, Refused } from './problem';
import { currentWorkspace, type Workspace } from './repositories/workspaces';

const MOST_BYTES = 4_000_000;

/** What a handler gets: the pool, the workspace, the ids of the path, and the body as its schema gives it. */
export interface Call<T> {
  readonly db: Knex;
  readonly workspace: Workspace;
  readonly params: Readonly<Record<string, string>>;
  readonly body: T;
  readonly url: URL;
}

/**
 * Makes a route of a schema and a handler. The handler's value is answered as JSON; errors become 400, 404, 409, 413, 415 or
 * 503 with findings in one shape. `null` as schema: no body is read.
 */
export function endpoint<T>(
  schema: z.ZodType<T> | null,
  handler: (call: Call<T>) => Promise<unknown>,
  options: { status?: number } = {},
): APIRoute {
  return async (context) => {
    try {
      const body = schema ? await readBody(context.request, schema) : (undefined as T);
      const db = getDb();
      const workspace = await currentWorkspace(db);
      const params = ids(context);
      const value = await handler({ db, workspace, params, body, url: context.url });
      return json(options.status ?? 200, value);
    } catch (error) {
      return answer(error, context);
    }
  };
}

export function json(status: number, value: unknown): Response {
  return new Response(JSON.stringify(value), {
    status,
    headers: { 'content-type': 'application/json; charset=utf-8', 'cache-control': 'no-store' },
  });
}

/** The ids of the path; one that is no id at all is nowhere to be found. */
function ids(context: APIContext): Record<string, string> {
  const params: Record<string, string> = {};
  for (const [name, value] of Object.entries(context.params)) {
    const isUuid = z.uuid().safeParse(value).success;
    const isName = name === 'descriptionId' && /^[a-z0-9][a-z0-9-]{1,40}$/.test(value ?? '');
    if (!isUuid && !isName) throw new NotHere();
    params[name] = value ?? '';
  }
  return params;
}

async function readBody<T>(request: Request, schema: z.ZodType<T>): Promise<T> {
  if (!/^application\/json\b/.test(request.headers.get('content-type') ?? ''))
    throw new Refused(415, 'send application/json');
  const text = await request.text();
  if (text.length > MOST_BYTES) throw new Refused(413, 'at most 4 MB');
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    const detail = error instanceof Error ? error.message : String(error);
    throw new BadInput([{ code: 'document-not-json', severity: 'error', path: '', detail }]);
  }
  const parsed = schema.safeParse(value);
  if (!parsed.success) throw new BadInput(shapeFindings(parsed.error));
  return parsed.data;
}

function answer(error: unknown, { request, url }: APIContext): Response {
  const problem = (status: number, code: string, findings: readonly Finding[] = [], more: object = {}) =>
    json(status, { error: code, findings, ...more });
  if (error instanceof BadInput) return problem(400, 'bad-input', error.findings);
  if (error instanceof NotHere) return problem(404, 'not-here');
  if (error instanceof ChangedMeanwhile)
    return problem(409, 'changed-meanwhile', [], { current: error.current });
  if (error instanceof Refused) return problem(error.status, error.message);
  if (isUnreachable(error)) {
    log.error({ err: error, path: url.pathname }, 'database unreachable');
    return problem(503, 'database-unreachable');
  }
  log.error({ err: error, path: url.pathname, method: request.method }, 'unexpected');
  return problem(500, 'unexpected');
}
