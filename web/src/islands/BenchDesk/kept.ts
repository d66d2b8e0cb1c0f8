import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { BenchMarkSent } from '../../contract/bench';

/** A tick that waits to be sent: of which day, by whom, and why it could not be taken, where the server said so. */
export interface WaitingMark {
  readonly mark: BenchMarkSent;
  readonly dayId: string;
  /** Whose it is: it is sent as theirs, or not at all. */
  readonly who: string;
  readonly why: string;
}
interface Kept extends DBSchema {
  mark: { key: string; value: WaitingMark };
}

let opened: Promise<IDBPDatabase<Kept>> | undefined;
const db = () => {
  opened ??= openDB<Kept>('umbrex-bench', 1, {
    upgrade: (made) => {
      made.createObjectStore('mark', { keyPath: 'mark.id' });
    },
    blocking: (_now, _wanted, event) => (event.target as IDBDatabase).close(),
    terminated: () => {
      opened = undefined;
    },
  });
  return opened;
};

/** What waits of somebody, in the order in which it happened. */
export async function waitingMarks(who: string): Promise<WaitingMark[]> {
  const all = await (await db()).getAll('mark');
  return all.filter((one) => one.who === who).sort((a, b) => Date.parse(a.mark.at) - Date.parse(b.mark.at));
}
export const keepMark = async (waiting: WaitingMark) => {
  await (await db()).put('mark', waiting);
};
export const dropMark = async (id: string) => {
  await (await db()).delete('mark', id);
};
