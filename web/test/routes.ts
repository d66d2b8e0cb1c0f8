/// <reference types="vite/client" />
import type { APIContext, APIRoute } from 'astro';
import type { Role } from '../src/contract/roles';
import { usualErrors } from '../src/contract/route';
import { ROUTES as ROUTES_SAID, type RouteName } from '../src/contract/routes';
import { startSession } from '../src/server/auth/session';
import { getDb } from '../src/server/db';
import { demoAccount } from '../src/server/repositories/accounts';

/** Every route under pages/api, by its path as written there. */
const modules = import.meta.glob<Record<string, APIRoute>>('../src/pages/api/**/*.ts', { eager: true });

export interface Route {
  readonly path: string;
  readonly method: string;
  readonly handler: APIRoute;
}

export const ROUTES: readonly Route[] = Object.entries(modules).flatMap(([file, module]) => {
  const path = file.replace('../src/pages', '').replace(/\/index\.ts$|\.ts$/, '');
  return ['GET', 'POST', 'PUT', 'DELETE'].flatMap((method) => {
    const handler = module[method];
    return handler ? [{ path, method, handler }] : [];
  });
});

export interface Answer {
  readonly status: number;
  // biome-ignore lint/suspicious/noExplicitAny: what a test expects of a body is the test's own
  readonly body: any;
  readonly headers: Headers;
}

/** A browser: its cookies, where it calls from, and what it says with every request. */
export class Visitor {
  readonly jar = new Map<string, string>();
  /** How the last cookie was to be kept. */
  kept: object = {};
  constructor(
    readonly address = '192.0.2.7',
    readonly headers: Readonly<Record<string, string>> = {},
  ) {}

  /** What a route needs to know of a request of this visitor. */
  context(request: Request, routePattern: string, params: Record<string, string>): APIContext {
    const { jar, address } = this;
    const cookies = {
      get: (name: string) => (jar.has(name) ? { value: jar.get(name) } : undefined),
      set: (name: string, value: string, kept: object) => {
        this.kept = kept;
        jar.set(name, value);
      },
      delete: (name: string) => jar.delete(name),
    };
    const url = new URL(request.url);
    const context = { request, url, params, routePattern, cookies, clientAddress: address, locals: {} };
    return context as unknown as APIContext;
  }

  /** Calls a route as this browser would; a string or bytes are sent as they are, anything else as JSON. */
  async send(
    method: string,
    path: string,
    params: Record<string, string> = {},
    body?: unknown,
    type = 'application/json',
    search = '',
  ): Promise<Answer> {
    const route = ROUTES.find((candidate) => candidate.method === method && candidate.path === path);
    if (!route) throw new Error(`no route ${method} ${path}`);
    const raw = typeof body === 'string' || body instanceof Uint8Array;
    const request = new Request(`http://127.0.0.1${path}${search}`, {
      method,
      // As every browser says; none may leave it out.
      headers: { host: '127.0.0.1', ...this.headers, ...(body !== undefined && { 'content-type': type }) },
      ...(body !== undefined && { body: raw ? (body as BodyInit) : JSON.stringify(body) }),
    });
    const response = await route.handler(this.context(request, path, params));
    // Whatever a test asks for: a route answers only as its contract says.
    const said = ROUTES_SAID[`${method} ${path}` as RouteName];
    const allowed = [said.status, ...said.errors, ...usualErrors(`${method} ${path}`, said)];
    if (!allowed.includes(response.status))
      throw new Error(`${method} ${path} answered ${response.status}; its contract knows ${allowed}`);
    const text = await response.text();
    return {
      status: response.status,
      body: /^[{[]/.test(text) ? JSON.parse(text) : text,
      headers: response.headers,
    };
  }
}

/** A browser in which the demo's account of a role is signed in. */
export async function visitorAs(role: Role): Promise<Visitor> {
  const db = getDb();
  const account = await demoAccount(db, role);
  if (!account) throw new Error('no demo accounts; load the demo first');
  const visitor = new Visitor();
  const context = visitor.context(new Request('http://127.0.0.1/'), '/', {});
  await startSession(db, context, account.accountId, account.workspaceId);
  return visitor;
}

let coordinator: Promise<Visitor> | undefined;

/** Calls a route as the demo's coordinator. */
export async function send(...call: Parameters<Visitor['send']>): Promise<Answer> {
  coordinator ??= visitorAs('coordinator');
  return (await coordinator).send(...call);
}
