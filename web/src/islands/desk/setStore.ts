import { useStore } from '@nanostores/react';
import type { Unit } from '@umbrex/core/model';
import { atom } from 'nanostores';
import type { Versioned } from '../../contract/things';

/** The set that a page is about, as one of its islands saved it last; `null` before. */
const $set = atom<Versioned<Unit> | null>(null);

/** The set that a page is about, the same in all of its islands, and how it is told that one of them saved it. */
export function useSet(initial: Versioned<Unit>): [Versioned<Unit>, (saved: Versioned<Unit>) => void] {
  return [useStore($set) ?? initial, (saved) => $set.set(saved)];
}
