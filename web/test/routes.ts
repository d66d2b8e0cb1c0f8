/// <reference types="vite/client" />
import type { APIContext, APIRoute } from 'astro';

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
}

/** Calls a route as a client would; a string body is sent as it is, anything else as JSON. */
export async function send(
  method: string,
  path: string,
  params: Record<string, string>,
  body?: unknown,
  type = 'application/json',
): Promise<Answer> {
  const route = ROUTES.find((candidate) => candidate.method === method && candidate.path === path);
  if (!route) throw new Error(`no route ${method} ${path}`);
  const url = new URL(`http://127.0.0.1${path}`);
  const request = new Request(url, {
    method,
    ...(body !== undefined && {
      body: typeof body === 'string' ? body : JSON.stringify(body),
      headers: { 'content-type': type },
    }),
  });
  const response = await route.handler({ request, url, params } as unknown as APIContext);
  const text = await response.text();
  return {
    status: response.status,
    body: text.startsWith('{') || text.startsWith('[') ? JSON.parse(text) : text,
  };
}
