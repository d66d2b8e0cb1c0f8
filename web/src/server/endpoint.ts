import { randomUUID } from 'node:crypto';
import type { Finding } from '@umbrex/core/findings';
import { shapeFindings } from '@umbrex/core/formats';
import type { APIContext, APIRoute } from 'astro';
import type { Knex } from 'knex';
import { z } from 'zod';
import {
  type AnswerOf,
  type BodyOf,
  type PathOf,
  ROUTES,
  type RouteName,
  type Routes,
} from '../contract/routes';
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

/** What a handler of a route gets: the pool, who asks, the ids of the path, and the body as its contract gives it. */
export interface Call<R extends RouteName> {
  readonly db: Knex;
  /** Nobody may be signed in where anyone may call. */
  readonly session: Routes[R]['role'] extends 'anyone' ? Session | undefined : Session;
  readonly workspace: Routes[R]['role'] extends 'anyone' ? Workspace | undefined : Workspace;
  readonly params: PathOf<R>;
  readonly body: BodyOf<R>;
  readonly url: URL;
  readonly context: APIContext;
  /** A transaction whose edits carry who made them, and are one move: one of its own, or the one that is given. */
  readonly write: <V>(work: (trx: Knex.Transaction, move: string) => Promise<V>, move?: string) => Promise<V>;
}

/**
 * Makes the endpoint of a contract. The contract decides who gets to the handler, and with what. Its value is answered as JSON (a
 * Response as it is); errors become 400, 401, 403, 404, 409, 413, 415, 429 or 503 with findings in one shape.
 */
export function endpoint<R extends RouteName>(
  route: R,
  handler: (call: Call<R>) => Promise<AnswerOf<R>>,
): APIRoute & { readonly route: R } {
  const { body: schema, status } = ROUTES[route];
  const answers: APIRoute = async (context) => {
    try {
      const session = await admit(context);
      const body = schema ? await readBody(context.request, schema) : undefined;
      const db = getDb();
      const call = {
        db,
        session,
        workspace: session?.workspace,
        params: ids(context),
        body,
        url: context.url,
        context,
        write: writer(db, session, context),
      };
      // Who asks was admitted by the contract's own role, and the body read by its own schema.
      const value: unknown = await handler(call as unknown as Call<R>);
      return value instanceof Response ? value : json(status, value);
    } catch (error) {
      return answer(error, context);
    }
  };
  return Object.assign(answers, { route });
}

/** Transactions in which PostgreSQL knows who writes, and from which of their tabs. */
function writer(db: Knex, session: Session | undefined, { request }: APIContext): Call<RouteName>['write'] {
  const tab = request.headers.get('x-umbrex-tab')?.slice(0, 40) ?? '';
  return async (work, move = randomUUID()) => {
    for (let tries = 1; ; tries++)
      try {
        return await db.transaction(async (trx) => {
          await trx.raw(
            `select set_config('umbrex.account', ?, true), set_config('umbrex.tab', ?, true), set_config('umbrex.move', ?, true)`,
            [session?.accountId ?? '', tab, move],
          );
          return work(trx, move);
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
    const isNumber = name === 'number' && /^[1-9]\d{0,5}$/.test(value ?? '');
    if (!isUuid && !isName && !isToken && !isNumber) throw new NotHere();
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

// The pattern of a route, not its path, goes to the log: what stands in the path of a link lets in.
function answer(error: unknown, { request, routePattern }: APIContext): Response {
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
    log.error({ err: error, path: routePattern }, 'database unreachable');
    return problem(503, 'database-unreachable');
  }
  log.error({ err: error, path: routePattern, method: request.method }, 'unexpected');
  return problem(500, 'unexpected');
}
