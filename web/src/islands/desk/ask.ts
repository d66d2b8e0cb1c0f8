import type { Finding } from '@umbrex/core/findings';
import type { AnswerOf, PathOf, RouteName, Routes, SentTo } from '../../contract/routes';

/** What a server said no with: its status, findings, and the newer state where there is one. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly findings: readonly Finding[],
    readonly current: unknown,
    /** The server's own word for it. */
    readonly code: string = '',
  ) {
    super(`refused with ${status}`);
  }
}

/** This tab, so that it does not hear of its own changes. */
export const TAB = typeof crypto === 'undefined' ? '' : crypto.randomUUID();

/** The server did not answer at all. */
export class NoAnswer extends Error {}

type Values = Readonly<Record<string, string>>;
/** Whether a route has ids in its path, and so wants them. */
type Asks<R extends RouteName> = Routes[R]['body'] extends null
  ? [params: PathOf<R> & Values]
  : [params: PathOf<R> & Values, body: SentTo<R>];

/** The path of a route with its ids put in, and a query where it takes one. */
export function address<R extends RouteName>(route: R, params: PathOf<R> & Values, query?: Values): string {
  const [, path = ''] = route.split(' ');
  const filled = path.replace(/\[(\w+)\]/g, (_, name: string) => encodeURIComponent(params[name] ?? ''));
  return query ? `${filled}?${new URLSearchParams(query)}` : filled;
}

/** Calls an endpoint with JSON, as its contract says. @throws Refusal or NoAnswer */
export function call<R extends RouteName>(route: R, ...[params, body]: Asks<R>): Promise<AnswerOf<R>> {
  // Also where there is no body: a write without a type could come from a plain form, and is refused as one.
  const said = body === undefined ? {} : { body: JSON.stringify(body) };
  return ask(route, params, said, 'application/json');
}

/** The same for what is to arrive even if whoever said it goes to another page meanwhile; of few kilobytes. @throws Refusal or NoAnswer */
export function callThrough<R extends RouteName>(route: R, ...[params, body]: Asks<R>): Promise<AnswerOf<R>> {
  return ask(route, params, { body: JSON.stringify(body), keepalive: true }, 'application/json');
}

/** Reads what takes a while, until somebody gives it up. @throws Refusal or NoAnswer */
export function readUntil<R extends RouteName>(
  route: R,
  params: PathOf<R> & Values,
  signal: AbortSignal,
): Promise<AnswerOf<R>> {
  return ask(route, params, { signal }, 'application/json');
}

/** Sends a file to an endpoint as it is. @throws Refusal or NoAnswer */
export function sendFile<R extends RouteName>(
  route: R,
  params: PathOf<R> & Values,
  file: ArrayBuffer,
  type: string,
): Promise<AnswerOf<R>> {
  return ask(route, params, { body: file }, type);
}

async function ask<R extends RouteName>(
  route: R,
  params: PathOf<R> & Values,
  said: { body?: BodyInit; signal?: AbortSignal; keepalive?: boolean },
  type: string,
): Promise<AnswerOf<R>> {
  const [method = 'GET'] = route.split(' ');
  let response: Response;
  try {
    const headers = { 'content-type': type, 'x-umbrex-tab': TAB };
    response = await fetch(address(route, params), { method, headers, ...said });
  } catch (error) {
    throw new NoAnswer(String(error));
  }
  const text = await response.text();
  const value: unknown = text.startsWith('{') || text.startsWith('[') ? JSON.parse(text) : {};
  if (response.ok) return value as AnswerOf<R>;
  const {
    findings = [],
    current = null,
    error = '',
  } = value as {
    findings?: Finding[];
    current?: unknown;
    error?: string;
  };
  throw new Refusal(response.status, findings, current, error);
}

/** What stands there now, where somebody else was first; `undefined` for every other error. */
export function newerOf<T>(error: unknown): { readonly current: T } | undefined {
  return error instanceof Refusal && error.status === 409 ? { current: error.current as T } : undefined;
}

/** Whether what was to be changed is no longer there. */
export const isGone = (error: unknown) => error instanceof Refusal && error.status === 404;
