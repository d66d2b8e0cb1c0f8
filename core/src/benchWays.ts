import type { BenchJob } from './bench/index';
import { isThere } from './evidence/index';
import { afterSheet, ownPlaces, type Prepared } from './flow';
import { changesNothing } from './memory/index';
import type { Description, Unit } from './model/index';
import { copySteps, offerCopy, offerFile } from './procedure/index';

/** A set that may come to a bench day, with its sheet. */
export interface BenchSet {
  readonly unit: Pick<
    Unit,
    'id' | 'nickname' | 'descriptionId' | 'personId' | 'holds' | 'keeps' | 'timeline'
  >;
  readonly description: Description;
  readonly prepared: Prepared;
  /** Something has to be settled before it is loaded. */
  readonly waits: boolean;
}

/**
 * Why a set has no place in a bench day: it is lost or broken, it holds what it shall, something has to be settled first, or nobody knows a
 * proven way.
 */
export type BenchLeft = 'away' | 'held' | 'waits' | 'no-way';
type Ways = BenchJob['sets'][number]['ways'];

/** What one set asks of a bench day: the ways that prove for it, or why it needs none or has none yet. */
export interface Asking {
  readonly set: Pick<BenchSet, 'prepared'> & { readonly unit: Pick<Unit, 'id' | 'personId' | 'timeline'> };
  readonly why: Exclude<BenchLeft, 'no-way'> | null;
  readonly ways: Ways;
}

/**
 * How one set can be brought to what it shall hold: only ways that prove.
 * @param masters sets of which others may be copied; @param standMin what one set takes at a stand, in minutes
 */
export function asksFor(set: BenchSet, masters: readonly BenchSet[], standMin: number): Asking {
  if (!isThere(set.unit)) return { set, why: 'away', ways: [] };
  if (holdsIt(set)) return { set, why: 'held', ways: [] };
  if (set.waits) return { set, why: 'waits', ways: [] };
  return {
    set,
    why: null,
    ways: [
      ...ownWays(set, standMin),
      ...copyWays(
        set,
        masters.filter(({ unit }) => isThere(unit)),
      ),
    ],
  };
}

/**
 * The sets of a bench day with their ways. Copies are only from sets that are loaded that day, or hold it already: what hangs on a set that
 * falls out falls out too, and so does what could only be copied in a circle.
 */
export function benchWays(
  asking: readonly Asking[],
  masters: readonly Asking['set'][],
): {
  readonly sets: BenchJob['sets'];
  readonly left: readonly { readonly id: string; readonly why: BenchLeft }[];
} {
  const loadable = loadableOf(asking, masters);
  const left: { id: string; why: BenchLeft }[] = [];
  const sets: BenchJob['sets'] = [];
  for (const { set, why, ways } of asking) {
    const { id, personId } = set.unit;
    const open = ways.flatMap((way): Ways => {
      if (way.way !== 'copy') return [way];
      const masterIds = way.masterIds.filter((masterId) => loadable.has(masterId));
      return masterIds.length > 0 ? [{ ...way, masterIds }] : [];
    });
    if (why === null && open.length > 0) sets.push({ id, personId, ways: open });
    else left.push({ id, why: why ?? 'no-way' });
  }
  return { sets, left };
}

/** The sets that hold it already, can be loaded by themselves, or are copied from one of these. */
function loadableOf(asking: readonly Asking[], masters: readonly Asking['set'][]): ReadonlySet<string> {
  const loadable = new Set(
    masters.filter((one) => holdsIt(one) && isThere(one.unit)).map(({ unit }) => unit.id),
  );
  for (let before = -1; before !== loadable.size; ) {
    before = loadable.size;
    for (const { set, ways } of asking)
      if (ways.some(({ way, masterIds }) => way !== 'copy' || masterIds.some((id) => loadable.has(id))))
        loadable.add(set.unit.id);
  }
  return loadable;
}

const holdsIt = ({ prepared: { changes } }: Pick<BenchSet, 'prepared'>) => changesNothing(changes);

/** By its keys, and by a file that brings all of it. */
function ownWays({ description, prepared }: BenchSet, standMin: number): Ways {
  const { sheet, proof, now, wanted } = prepared;
  const atStand = { way: 'file' as const, minutes: standMin, masterIds: [] };
  if (sheet.way === 'file') return proof.proven ? [atStand] : [];
  const byFile = offerFile(description, now, wanted);
  const isWhole = byFile?.proven === true && byFile.byKeys.length === 0;
  return [
    ...(sheet.way === 'keys' && proof.proven
      ? [{ way: 'keys' as const, minutes: Math.max(1, Math.ceil(proof.minutes)), masterIds: [] }]
      : []),
    ...(isWhole ? [atStand] : []),
  ];
}

/** By copying from those masters that shall come to the same. */
function copyWays({ unit, description, prepared }: BenchSet, masters: readonly BenchSet[]): Ways {
  if (!copySteps(description)) return [];
  const own = ownPlaces(description, prepared.now, unit.holds.wrote);
  const shall = afterSheet(description, prepared);
  let minutes = 1;
  const from = masters.filter((master) => {
    if (master.unit.id === unit.id || master.unit.descriptionId !== unit.descriptionId) return false;
    const offer = offerCopy(description, { unit, shall, before: prepared.now, own }, [
      { unit: master.unit, shall: afterSheet(description, master.prepared) },
    ]);
    const isGood = offer?.why === null && offer.copying.proven;
    if (isGood) minutes = Math.max(minutes, Math.ceil(offer.copying.minutes));
    return isGood;
  });
  return from.length > 0 ? [{ way: 'copy', minutes, masterIds: from.map((master) => master.unit.id) }] : [];
}
