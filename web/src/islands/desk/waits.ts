import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

/** Something that somebody wrote down and that waits to be sent: it counts once, by its id. */
export interface Wait<T> {
  readonly id: string;
  /** When it was written, in UTC; it is sent in this order. */
  readonly at: string;
  /** What it belongs to: a bench day, a plan. */
  readonly of: string;
  /** Whose it is: it is sent as theirs, or not at all. */
  readonly who: string;
  readonly value: T;
  /** Why it could not be taken, where the server said so; empty while it waits. */
  readonly why: string;
}
/** What can wait. */
export type WaitKind = 'mark' | 'call';
interface Kept extends DBSchema {
  mark: { key: string; value: Wait<unknown> };
  call: { key: string; value: Wait<unknown> };
}

let opened: Promise<IDBPDatabase<Kept>> | undefined;
const db = () => {
  opened ??= openDB<Kept>('umbrex-waits', 1, {
    upgrade: (made) => {
      made.createObjectStore('mark', { keyPath: 'id' });
      made.createObjectStore('call', { keyPath: 'id' });
    },
    blocking: (_now, _wanted, event) => (event.target as IDBDatabase).close(),
    terminated: () => {
      opened = undefined;
    },
  });
  return opened;
};

/** What waits of somebody, in the order in which it was written. */
export async function waitsOf<T>(kind: WaitKind, who: string): Promise<Wait<T>[]> {
  const all = (await (await db()).getAll(kind)) as Wait<T>[];
  return all.filter((one) => one.who === who).sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
}
export const keepWait = async (kind: WaitKind, waiting: Wait<unknown>) => {
  await (await db()).put(kind, waiting);
};
export const dropWait = async (kind: WaitKind, id: string) => {
  await (await db()).delete(kind, id);
};
