import type { Memory, Native, SlotValues } from '../../model/index';
import type { Emission } from '../sending';

/** Everything of a virtual device that changes, as plain data: it can be set aside, taken up again, and compared. */
export interface DeviceState {
  values: Map<number, SlotValues>;
  /** What it would still hold with its cell taken out, where it saves only when it is switched off. */
  saved: ReadonlyMap<number, SlotValues>;
  settings: Record<string, number>;
  /** The tone that its operator picked by hand, as a place in their list; 0 is none. */
  picked: number;
  mode: string;
  /** Where it stands, as a place among its slots. */
  at: number;
  /** The open item, as a place among its items. */
  item: number;
  entry: string;
  draft: Native;
  cursor: number;
  tapped: { readonly key: string; readonly atMs: number };
  /** The keys that are down, since when, and whether they served another one that was pressed with them. */
  down: Map<string, { readonly sinceMs: number; readonly served: boolean }>;
  nowMs: number;
  lastKeyMs: number;
  /** What it sent, offered to other sets, and beeped so far. */
  sent: Emission[];
  copied: Memory[];
  heard: string[];
}

/** A state as a set comes on that holds something. */
export function stateAtStart(memory: Memory, mode: string, at: number, picked: number): DeviceState {
  return {
    values: new Map(memory.slots),
    saved: memory.slots,
    settings: { ...memory.settings },
    picked,
    mode,
    at,
    item: 0,
    entry: '',
    draft: 0,
    cursor: 0,
    tapped: { key: '', atMs: Number.NEGATIVE_INFINITY },
    down: new Map(),
    nowMs: 0,
    lastKeyMs: 0,
    sent: [],
    copied: [],
    heard: [],
  };
}

/** A state that shares nothing with the other one that is changed later. */
export function copyOfState(state: DeviceState): DeviceState {
  return {
    ...state,
    values: new Map(state.values),
    settings: { ...state.settings },
    down: new Map(state.down),
    sent: [...state.sent],
    copied: [...state.copied],
    heard: [...state.heard],
  };
}
