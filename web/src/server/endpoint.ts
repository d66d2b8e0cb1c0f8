import type { Finding } from '@umbrex/core/findings';
import { shapeFindings } from '@umbrex/core/formats';
import type { APIContext, APIRoute } from 'astro';
import type { Knex } from 'knex';
import { z } from 'zod';
import { admit } from './auth/admit';
import type { Session } from './auth/session';
import { getDb } from './db';
import { log } from './log';
import {
  BadInput,
  ChangedMeanwhile,
  Forbidden,
  isUnreachable,
  NotHere,
  Refusal401,
  Refused,
  SignInNeeded,
  TooOften,
} from './problem';
import type { Workspace } from './repositories/workspaces';

const MOST_BYTES = 4_000_000;

/** What a handler gets: the pool, who asks, the ids of the path, and the body as its schema gives it. */
export interface OpenCall<T> {
  readonly db: Knex;
  readonly session: Session | undefined;
  readonly params: Readonly<Record<string, string>>;
  readonly body: T;
  readonly url: URL;
  readonly context: APIContext;
  /** A transaction whose edits carry who made them. */
  readonly write: <V>(work: (trx: Knex.Transaction) => Promise<V>) => Promise<V>;
}

/** What a handler of a route that needs a role gets besides. */
export interface Call<T> extends OpenCall<T> {
  readonly session: Session;
  readonly workspace: Workspace;
}

interface Options {
  readonly status?: number;
}

/**
 * Makes a route of a schema and a handler. The table of access decides who gets to the handler. Its value is answered as JSON
 * (a Response as it is); errors become 400, 401, 403, 404, 409, 413, 415, 429 or 503 with findings in one shape. `null` as
 * schema: no body is read.
 */
export function endpoint<T>(
  schema: z.ZodType<T> | null,
  handler: (call: Call<T>) => Promise<unknown>,
  options: Options = {},
): APIRoute {
  return openEndpoint(
    schema,
    (call) => {
      const { session } = call;
      if (!session) throw new SignInNeeded();
      return handler({ ...call, session, workspace: session.workspace });
    },
    options,
  );
}

/** The same for routes that anyone may call: there may be no session. */
export function openEndpoint<T>(
  schema: z.ZodType<T> | null,
  handler: (call: OpenCall<T>) => Promise<unknown>,
  options: Options = {},
): APIRoute {
  return async (context) => {
    try {
      const session = await admit(context);
      const body = schema ? await readBody(context.request, schema) : (undefined as T);
      const db = getDb();
      const write = writer(db, session, context);
      const params = ids(context);
      const value = await handler({ db, session, params, body, url: context.url, context, write });
      return value instanceof Response ? value : json(options.status ?? 200, value);
    } catch (error) {
      return answer(error, context);
    }
  };
}

/** Transactions in which PostgreSQL knows who writes, and from which of their tabs. */
function writer(db: Knex, session: Session | undefined, { request }: APIContext): OpenCall<unknown>['write'] {
  const tab = request.headers.get('x-umbrex-tab')?.slice(0, 40) ?? '';
  return async (work) => {
    for (let tries = 1; ; tries++)
      try {
        return await db.transaction(async (trx) => {
          await trx.raw(`select set_config('umbrex.account', ?, true), set_config('umbrex.tab', ?, true)`, [
            session?.accountId ?? '',
            tab,
          ]);
          return work(trx);
        });
      } catch (error) {
        // Of two that came at once the other one was first: what it wrote is there now, and is answered to.
        if (tries >= MOST_TRIES || !cameAtOnce(error)) throw error;
      }
  };
}

const MOST_TRIES = 4;

/** A key that somebody else took meanwhile, or two transactions that waited for each other (PostgreSQL: 23505, 40001, 40P01). */
function cameAtOnce(error: unknown): boolean {
  return (
    error instanceof Error && 'code' in error && ['23505', '40001', '40P01'].includes(String(error.code))
  );
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
    const isToken = name === 'token' && /^[\w-]{20,80}$/.test(value ?? '');
    if (!isUuid && !isName && !isToken) throw new NotHere();
    params[name] = value ?? '';
  }
  return params;
}

/** Reads a body as far as it may be long, and not a byte further. @throws Refused 413 for a longer one */
export async function readBytes(request: Request, most: number): Promise<Uint8Array> {
  const tooLong = () => new Refused(413, `at most ${Math.round(most / 1_000_000)} MB`);
  if (Number(request.headers.get('content-length') ?? 0) > most) throw tooLong();
  const chunks: Uint8Array[] = [];
  let bytes = 0;
  const reader = request.body?.getReader();
  for (;;) {
    const { value, done } = (await reader?.read()) ?? { value: undefined, done: true };
    if (done || value === undefined) return Buffer.concat(chunks);
    bytes += value.byteLength;
    if (bytes > most) {
      await reader?.cancel();
      throw tooLong();
    }
    chunks.push(value);
  }
}

async function readBody<T>(request: Request, schema: z.ZodType<T>): Promise<T> {
  if (!/^application\/json\b/.test(request.headers.get('content-type') ?? ''))
    throw new Refused(415, 'send application/json');
  const text = new TextDecoder().decode(await readBytes(request, MOST_BYTES));
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
  if (error instanceof SignInNeeded) return problem(401, 'sign-in-needed');
  if (error instanceof Refusal401) return problem(401, error.code);
  if (error instanceof Forbidden) return problem(403, 'forbidden');
  if (error instanceof TooOften) return problem(429, 'too-often', [], { waitS: error.waitS });
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
