import { CARD_FORMAT, type Card, type CardSteps, STEPS_FORMAT } from '@umbrex/core/card';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { ForeignWork, Report } from '../../contract/card';

/** What a phone keeps: cards and steps as the server gave them, how far somebody is, and what waits to be sent. Scoped by whose card it is. */
interface Kept extends DBSchema {
  card: { key: string; value: Card };
  steps: { key: string; value: CardSteps };
  foreign: { key: string; value: ForeignWork };
  print: { key: string; value: KeptPrint };
  progress: { key: string; value: Progress };
  report: { key: string; value: Waiting; indexes: { scope: string } };
}

/** A document for paper, as it was made last. */
export interface KeptPrint {
  readonly bytes: ArrayBuffer;
  /** What it was made of: of anything else another one is to be fetched. */
  readonly of: string;
}

/** How far somebody is with the steps of a set. */
export interface Progress {
  readonly sheet: string;
  /** The step that is next, from 1; one past the last when all are done. */
  readonly next: number;
  /** The highest step that was done, so that going back counts nothing twice. */
  readonly done: number;
  readonly at: string;
}

/** A report on its way: not sent yet, or refused with a reason. */
export interface Waiting {
  readonly scope: string;
  /** Who said it: it is sent as theirs, or not at all. */
  readonly who: string;
  readonly planId: string;
  readonly report: Report;
  /** In words, where the server could not take it; empty while it waits. */
  readonly why: string;
  /** What it says, for whoever looks at what waits. */
  readonly says: string;
}

export const KEPT_NAME = 'umbrex-hand';
let opened: Promise<IDBPDatabase<Kept>> | undefined;

function db(): Promise<IDBPDatabase<Kept>> {
  opened ??= openDB<Kept>(KEPT_NAME, 3, {
    upgrade(made, before) {
      if (before < 3) made.createObjectStore('print');
      if (before < 2) made.createObjectStore('foreign');
      if (before >= 1) return;
      made.createObjectStore('card');
      made.createObjectStore('steps');
      made.createObjectStore('progress');
      made.createObjectStore('report', { keyPath: 'report.id' }).createIndex('scope', 'scope');
    },
    // Another tab wants it gone, or the browser closed it: the next use opens it anew.
    blocking: (_now, _wanted, event) => (event.target as IDBDatabase).close(),
    terminated: () => {
      opened = undefined;
    },
  });
  return opened;
}

const of = (scope: string, setId: string) => `${scope} ${setId}`;

/** The card that was kept; one that another version of the application kept is none. */
export async function keptCard(scope: string): Promise<Card | undefined> {
  const card = await (await db()).get('card', scope);
  return card?.format === CARD_FORMAT ? card : undefined;
}
export const keepCard = async (scope: string, card: Card) => {
  await (await db()).put('card', card, scope);
};

export async function keptSteps(scope: string, setId: string): Promise<CardSteps | undefined> {
  const steps = await (await db()).get('steps', of(scope, setId));
  return steps?.format === STEPS_FORMAT ? steps : undefined;
}
export const keepSteps = async (scope: string, steps: CardSteps) => {
  await (await db()).put('steps', steps, of(scope, steps.setId));
};
export const dropSteps = async (scope: string, setId: string) => {
  await (await db()).delete('steps', of(scope, setId));
};

export async function keptForeign(scope: string, setId: string): Promise<ForeignWork | undefined> {
  const work = await (await db()).get('foreign', of(scope, setId));
  return work?.format === 'umbrex/foreign@1' ? work : undefined;
}
export const keepForeign = async (scope: string, setId: string, work: ForeignWork) => {
  await (await db()).put('foreign', work, of(scope, setId));
};
export const dropForeign = async (scope: string, setId: string) => {
  await (await db()).delete('foreign', of(scope, setId));
};

export const keptProgress = async (scope: string, setId: string) =>
  (await db()).get('progress', of(scope, setId));

/** @param what which document, and on which paper */
export const keptPrint = async (scope: string, what: string) => (await db()).get('print', of(scope, what));
export const keepPrint = async (scope: string, what: string, print: KeptPrint) => {
  await (await db()).put('print', print, of(scope, what));
};

/** Keeps how far somebody is, and what that reports, together or not at all. */
export async function keepProgress(
  scope: string,
  setId: string,
  progress: Progress,
  waiting: readonly Waiting[],
): Promise<void> {
  const trx = (await db()).transaction(['progress', 'report'], 'readwrite');
  await Promise.all([
    trx.objectStore('progress').put(progress, of(scope, setId)),
    ...waiting.map((one) => trx.objectStore('report').put(one)),
    trx.done,
  ]);
}

/** What waits of a scope, in the order in which it happened. */
export async function waitingOf(scope: string): Promise<Waiting[]> {
  const all = await (await db()).getAllFromIndex('report', 'scope', scope);
  return all.sort((a, b) => Date.parse(a.report.at) - Date.parse(b.report.at));
}
export const addWaiting = async (waiting: Waiting) => {
  await (await db()).put('report', waiting);
};
export const dropWaiting = async (id: string) => {
  await (await db()).delete('report', id);
};

/**
 * Forgets what was kept of a card, with its steps. What somebody did and could not send yet stays: it is shown to nobody, and sent when the same one
 * comes back.
 */
export async function forgetCard(scope: string): Promise<void> {
  const stores = ['card', 'steps', 'foreign', 'print'] as const;
  const trx = (await db()).transaction(stores, 'readwrite');
  const isOf = (key: string) => key === scope || key.startsWith(`${scope} `);
  for (const name of stores) {
    const store = trx.objectStore(name);
    for (const key of await store.getAllKeys()) if (isOf(key)) await store.delete(key);
  }
  await trx.done;
}

/** Forgets all cards of whoever was signed in, of whatever plan. Those that came by a link are not theirs. */
export async function forgetSignedIn(): Promise<void> {
  const cards = await (await db()).getAllKeys('card');
  for (const scope of cards.filter((one) => one.startsWith('me '))) await forgetCard(scope);
}
