import type { Description, Plan } from '@umbrex/core/model';
import { type ScanTrade, scanTrades } from '@umbrex/core/procedure';
import {
  type BankScanned,
  loadedWith,
  MOST_CALL_S,
  scanByBank,
  scanByTheme,
  scanOfMemory,
  scanWishes,
  type ThemeScanned,
} from '@umbrex/core/scanned';
import type { Desk } from '../desk';

/** A kind of set that scans, with a plan in it. */
export interface ScanView {
  readonly kinds: readonly { readonly id: string; readonly title: string; readonly sets: number }[];
  readonly kind: { readonly id: string; readonly title: string } | null;
  readonly callS: number;
  /** What was asked for and could not be read: what stands there is of something else. */
  readonly unread: readonly ('kind' | 'call')[];
  readonly roundMs: number;
  readonly count: number;
  readonly scanned: readonly {
    readonly name: string;
    readonly label: string;
    readonly hasPriority: boolean;
    readonly missChance: number;
  }[];
  readonly notScanned: readonly string[];
  readonly trades: readonly ScanTrade[];
  readonly labels: Readonly<Record<number, string>>;
  readonly banks: readonly BankScanned[];
  readonly themes: readonly ThemeScanned[];
  /** Whether anybody measured how long it takes to decide. */
  readonly isDecideKnown: boolean;
}

/** How long a call is taken to be where nobody says it, in seconds. */
const USUAL_CALL_S = 3;

/**
 * What a kind of set of the fleet misses when it scans; the one with most sets where none is asked for.
 * @param call how many seconds a call takes, as it was written; `null` where nobody said it
 */
export function scanView(desk: Desk, asked: string | null, call: string | null): ScanView {
  const { plan } = desk.state;
  const count = new Map<string, number>();
  for (const { unit } of desk.units) count.set(unit.descriptionId, (count.get(unit.descriptionId) ?? 0) + 1);
  const scanning = desk.descriptions
    .map(({ description }) => description)
    .filter(({ id, scan }) => typeof scan === 'object' && count.has(id))
    .toSorted((a, b) => (count.get(b.id) ?? 0) - (count.get(a.id) ?? 0));
  const description = scanning.find(({ id }) => id === asked) ?? scanning[0];
  const kinds = scanning.map(({ id, title }) => ({ id, title, sets: count.get(id) ?? 0 }));
  const said = Number(call);
  const isRead = call !== null && said > 0 && said <= MOST_CALL_S;
  const callS = isRead ? said : USUAL_CALL_S;
  const unread = [
    ...(asked !== null && description && asked !== description.id ? (['kind'] as const) : []),
    ...(call !== null && !isRead ? (['call'] as const) : []),
  ];
  return { kinds, callS, unread, ...(description ? of(plan, description, callS) : NOTHING) };
}

const NOTHING = {
  kind: null,
  roundMs: 0,
  count: 0,
  scanned: [],
  notScanned: [],
  trades: [],
  labels: {},
  banks: [],
  themes: [],
  isDecideKnown: true,
};

function of(
  plan: Plan,
  description: Description,
  callS: number,
): Omit<ScanView, 'kinds' | 'callS' | 'unread'> {
  const { fit, memory } = loadedWith(plan, description);
  const found = scanOfMemory(plan, description, fit, memory, callS * 1000);
  const { scan } = description;
  if (!found || typeof scan !== 'object') return NOTHING;
  const labels = Object.fromEntries(
    fit.cells.flatMap(({ slot }) => (slot ? [[slot.number, slot.label]] : [])),
  );
  const most = scan.priority === 'none' ? 0 : scan.priority.most;
  return {
    kind: { id: description.id, title: description.title },
    roundMs: found.roundMs,
    count: found.stops.length,
    scanned: found.channels
      .flatMap(({ name, place }) => (place ? [{ name, label: labels[place.number] ?? '', ...place }] : []))
      .toSorted((a, b) => b.missChance - a.missChance),
    notScanned: found.channels.filter(({ place }) => place === null).map(({ name }) => name),
    trades: scanTrades(
      description,
      found.stops,
      scanWishes(plan, description, fit, found.stops),
      callS * 1000,
      most,
    ),
    labels,
    banks: scanByBank(description, memory, found.stops),
    themes: scanByTheme(plan, description, { fit, memory }, found.stops, callS * 1000),
    isDecideKnown: scan.decideMs !== 'unknown',
  };
}
