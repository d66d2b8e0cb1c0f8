import { CARD_FORMAT, type Card, type CardSteps, MOST_REPORTS } from '@umbrex/core/card';
import type { ForeignWork, Report, ReportAnswer } from '../../contract/card';
import { address, NoAnswer, Refusal } from '../desk/ask';
import {
  addWaiting,
  dropForeign,
  dropSteps,
  dropWaiting,
  forgetCard,
  keepCard,
  keepForeign,
  keepSteps,
  keptCard,
  keptForeign,
  keptSteps,
  type Waiting,
  waitingOf,
} from './kept';
import { markAnother } from './shell';

/** Whose card an address is about: one's own, of a plan or the one that was published last, or that of a link. */
export type Whose = { readonly token: string } | { readonly plan: string | null };

/** The one that an address names. */
export function whoseOf({ pathname, search }: Pick<Location, 'pathname' | 'search'>): Whose {
  const [, , token] = pathname.split('/');
  return token ? { token } : { plan: new URLSearchParams(search).get('plan') };
}

/** Under which name its things are kept. A link is kept under its own address: that is what lets in. */
export const scopeOf = (whose: Whose): string =>
  'token' in whose ? `link ${whose.token}` : `me ${whose.plan ?? ''}`;

async function get<T>(path: string, query: URLSearchParams): Promise<T> {
  const text = query.size > 0 ? `${path}?${query}` : path;
  return said(await reach(text));
}

async function reach(path: string, init?: RequestInit): Promise<Response> {
  try {
    return await fetch(path, init);
  } catch (error) {
    throw new NoAnswer(String(error));
  }
}

async function said<T>(response: Response): Promise<T> {
  const value: unknown = await response.json().catch(() => ({}));
  if (response.ok) return value as T;
  throw new Refusal(response.status, [], null, String((value as { error?: string }).error ?? ''));
}

const planOf = (whose: Whose) =>
  new URLSearchParams('plan' in whose && whose.plan ? { plan: whose.plan } : {});

/** Why nothing is shown: the link is over or was taken back, or nobody is signed in. */
export type Ended = 'link' | 'session' | 'no-plan';

/** Whether an answer means that what was kept must go. */
function endOf(error: unknown, whose: Whose): Ended | undefined {
  if (!(error instanceof Refusal)) return undefined;
  if (error.status === 404) return 'token' in whose ? 'link' : 'no-plan';
  return error.status === 401 || error.status === 403 ? 'session' : undefined;
}

export interface Fetched {
  readonly card: Card | undefined;
  readonly ended: Ended | null;
  /** Whether the server answered just now. */
  readonly isFresh: boolean;
}

/** The card as it was kept. */
export const cardKept = async (whose: Whose) => (await keptStill(scopeOf(whose))).card;

/** The card from the server, kept for later; without an answer, the one that was kept. What a link shows no more is forgotten. */
export async function fetchCard(whose: Whose): Promise<Fetched> {
  const scope = scopeOf(whose);
  try {
    const card =
      'token' in whose
        ? await get<Card>(address('GET /api/my/[token]', { token: whose.token }), new URLSearchParams())
        : await get<Card>('/api/my', planOf(whose));
    // A page of an earlier build that was kept: the server's own reads what the server writes.
    if (card.format !== CARD_FORMAT && (await markAnother())) window.location.reload();
    // A browser that keeps nothing, as some do in private, shows it all the same.
    await keepFor(scope, card).catch(() => undefined);
    return { card, ended: null, isFresh: true };
  } catch (error) {
    const ended = endOf(error, whose);
    if (!ended) return keptStill(scope);
    await forgetCard(scope).catch(() => undefined);
    return { card: undefined, ended, isFresh: true };
  }
}

async function keepFor(scope: string, card: Card): Promise<void> {
  // Somebody else uses this browser now: what was kept for the one before is not theirs to see.
  const before = await keptCard(scope);
  if (before && before.person?.id !== card.person?.id) await forgetCard(scope);
  await keepCard(scope, card);
}

/** The card that was kept, as long as its link is good: what is over is forgotten, also where nobody can be asked. */
async function keptStill(scope: string): Promise<Fetched> {
  const card = await keptCard(scope).catch(() => undefined);
  if (!card || card.until === null || Date.parse(card.until) > Date.now())
    return { card, ended: null, isFresh: false };
  await forgetCard(scope);
  return { card: undefined, ended: 'link', isFresh: false };
}

/** The steps of a set from the server, kept for later; without an answer those that were kept. */
export async function fetchSteps(whose: Whose, setId: string): Promise<CardSteps | undefined> {
  const scope = scopeOf(whose);
  try {
    const steps =
      'token' in whose
        ? await get<CardSteps>(
            address('GET /api/my/[token]/sets/[unitId]', { token: whose.token, unitId: setId }),
            new URLSearchParams(),
          )
        : await get<CardSteps>(address('GET /api/my/sets/[unitId]', { unitId: setId }), planOf(whose));
    await keepSteps(scope, steps);
    return steps;
  } catch (error) {
    if (endOf(error, whose)) {
      await dropSteps(scope, setId);
      return undefined;
    }
    return keptSteps(scope, setId);
  }
}

/** What it takes to fit one more channel to a set, from the server, kept for later; without an answer what was kept. */
export async function fetchForeign(whose: Whose, setId: string): Promise<ForeignWork | undefined> {
  const scope = scopeOf(whose);
  try {
    const work =
      'token' in whose
        ? await get<ForeignWork>(
            address('GET /api/my/[token]/sets/[unitId]/foreign', { token: whose.token, unitId: setId }),
            new URLSearchParams(),
          )
        : await get<ForeignWork>(
            address('GET /api/my/sets/[unitId]/foreign', { unitId: setId }),
            planOf(whose),
          );
    await keepForeign(scope, setId, work);
    return work;
  } catch (error) {
    if (endOf(error, whose)) {
      await dropForeign(scope, setId);
      return undefined;
    }
    return keptForeign(scope, setId);
  }
}

/** What somebody says of a set, as it waits. */
export const reportOf = (
  whose: Whose,
  card: Pick<Card, 'planId' | 'person'>,
  report: Report,
  says: string,
): Waiting => ({
  scope: scopeOf(whose),
  who: card.person?.id ?? '',
  planId: card.planId,
  report,
  why: '',
  says,
});

/** A new report of a set, with its id and its moment. */
export const newReport = (unitId: string) => ({
  id: crypto.randomUUID(),
  at: new Date().toISOString(),
  unitId,
});

let sending: Promise<void> = Promise.resolve();

/** Sends what waits of one person, in the order in which it happened. What is refused stays, with its reason; without an answer all stays. */
export function sendWaiting(whose: Whose, who: string): Promise<void> {
  sending = sending.then(() => locked(() => sendAll(whose, who))).catch(() => undefined);
  return sending;
}

/** Of several tabs one sends at a time, where the browser knows how. */
async function locked(work: () => Promise<void>): Promise<void> {
  if (!navigator.locks) return work();
  await navigator.locks.request('umbrex-hand-send', work);
}

async function sendAll(whose: Whose, who: string): Promise<void> {
  for (;;) {
    const waiting = (await waitingOf(scopeOf(whose))).filter((one) => one.why === '' && one.who === who);
    const [first] = waiting;
    if (!first) return;
    const batch = waiting.filter(({ planId }) => planId === first.planId).slice(0, MOST_REPORTS);
    const path =
      'token' in whose ? address('POST /api/my/[token]/reports', { token: whose.token }) : '/api/my/reports';
    const body = JSON.stringify({ planId: first.planId, reports: batch.map(({ report }) => report) });
    const answer = await reach(path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
      // It arrives even if one goes on to another page; browsers do that for small ones (Fetch: 64 KiB).
      keepalive: body.length < 50_000,
    });
    // A card that shows nothing any more takes nothing: what was done stays on the phone until its link is good again.
    if (answer.status === 400) return refuseAll(batch);
    const { answers } = await said<{ answers: readonly ReportAnswer[] }>(answer);
    await settle(batch, answers);
  }
}

async function settle(batch: readonly Waiting[], answers: readonly ReportAnswer[]): Promise<void> {
  const byId = new Map(answers.map((one) => [one.id, one]));
  for (const waiting of batch) {
    const answer = byId.get(waiting.report.id);
    if (answer?.taken) await dropWaiting(waiting.report.id);
    else await addWaiting({ ...waiting, why: answer?.why ?? 'The server said nothing of it.' });
  }
}

async function refuseAll(batch: readonly Waiting[]): Promise<void> {
  for (const waiting of batch)
    await addWaiting({ ...waiting, why: 'The server cannot read this. Tell your coordinator what you did.' });
}
