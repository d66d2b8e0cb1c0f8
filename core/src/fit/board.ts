import type { Finding } from '../findings/index';
import type { Description, Numbers, Unit } from '../model/index';
import type { Grounds, NO_GROUNDS } from '../rules/index';
import { type FitPlan, fitPlan } from './fit';
import { fitIdentity, hasIdentity } from './identity';
import type { Cell, Fit } from './image';
import { type UnitKind, unitKinds } from './kinds';
import { unnamed, writesNames } from './naming';
import { pickedToneFindings } from './pickedTone';
import type { Verdict } from './policy';

/** Devices that fit alike: of one kind, with the same numbers kept back; and what each channel comes to, in the plan's order. */
export interface BoardKind {
  /** Tells it from the others of the board. */
  readonly key: string;
  readonly descriptionId: string;
  /** Memory numbers their holders keep for themselves. */
  readonly keeps: readonly number[];
  readonly title: string;
  readonly unitIds: readonly string[];
  readonly cells: readonly Cell[];
}

/** What a whole fleet can do with a plan. Plain data: the server and the worker give the very same. */
export interface Board {
  readonly kinds: readonly BoardKind[];
  /** About single units, such as a firmware the description was not written for; only units with findings are here. */
  readonly unitFindings: Readonly<Record<string, readonly Finding[]>>;
}

/** Fits a plan to a fleet, once for each kind of device. @throws RangeError for a unit without its description */
export function fitBoard(
  plan: FitPlan,
  units: readonly Unit[],
  descriptions: readonly Description[],
  grounds: Grounds | typeof NO_GROUNDS,
  numbers: Numbers = {},
): Board {
  return boardOf(plan, unitKinds(units, descriptions, grounds, plan), ({ device }) =>
    fitPlan(plan, device, numbers),
  );
}

/** The board of a fleet sorted into kinds, with the fit of each as `fitOf` gives it. */
export function boardOf(
  plan: FitPlan,
  fleet: readonly UnitKind[],
  fitOf: (kind: UnitKind) => Pick<Fit, 'cells' | 'findings'>,
): Board {
  const unitFindings: Record<string, readonly Finding[]> = {};
  const called = fleet.flatMap(({ description, units }) => (hasIdentity(description) ? units : []));
  const kinds = fleet.map((kind): BoardKind => {
    const { key, description, keeps, title } = kind;
    const fit = fitOf(kind);
    for (const unit of kind.units) {
      const findings = [
        ...fit.findings,
        ...firmwareFindings(unit, description),
        ...pickedToneFindings(unit, description, plan),
        ...identityFindings(plan, kind, unit, called),
      ];
      if (findings.length > 0) unitFindings[unit.id] = findings;
    }
    const unitIds = kind.units.map(({ id }) => id);
    const isNamed = writesNames(plan, description, kind.names);
    const cells = isNamed ? fit.cells : fit.cells.map(unnamed);
    return { key, descriptionId: description.id, keeps, title, unitIds, cells };
  });
  return { kinds: toldApart(togetherWhereAlike(kinds, fleet)), unitFindings };
}

/** The part of a board that is about some sets: what it says of them does not depend on which others are left out. */
export function boardFor({ kinds, unitFindings }: Board, unitIds: ReadonlySet<string>): Board {
  const seen = kinds.map((kind) => ({ ...kind, unitIds: kind.unitIds.filter((id) => unitIds.has(id)) }));
  return {
    kinds: seen.filter((kind) => kind.unitIds.length > 0),
    unitFindings: Object.fromEntries(Object.entries(unitFindings).filter(([id]) => unitIds.has(id))),
  };
}

/** On how many of a plan's channels somebody sends with the sets they hold. */
export interface MaySend {
  readonly sends: number;
  readonly unknown: number;
  /** Channels that the plan sends on at all. */
  readonly of: number;
}

/** Counts the channels on which at least one of some sets sends, as their sheets have it. */
export function maySend(
  { kinds }: Board,
  unitIds: ReadonlySet<string>,
  { channels }: Pick<FitPlan, 'channels'>,
): MaySend {
  const cells = kinds
    .filter((kind) => kind.unitIds.some((id) => unitIds.has(id)))
    .flatMap((kind) => kind.cells);
  const withVerdict = (...wanted: readonly Verdict[]) =>
    new Set(cells.flatMap(({ channelId, verdict }) => (wanted.includes(verdict) ? [channelId] : [])));
  const sends = withVerdict('full', 'adapted');
  const unknown = [...withVerdict('unknown')].filter((id) => !sends.has(id));
  const of = channels.filter(({ transmitHz }) => transmitHz !== null).length;
  return { sends: sends.size, unknown: unknown.length, of };
}

/** Sets that were loaded stand with those of their kind that were not, as long as every channel comes to the very same on both. */
function togetherWhereAlike(kinds: readonly BoardKind[], fleet: readonly UnitKind[]): BoardKind[] {
  const alike = new Map<string, BoardKind>();
  const known = (kind: BoardKind) => fleet.find(({ key }) => key === kind.key);
  for (const kind of kinds) {
    const isOwn = known(kind)?.hasOwn ?? true;
    const mark = isOwn ? kind.key : JSON.stringify([kind.descriptionId, kind.keeps, kind.cells]);
    const there = alike.get(mark);
    if (!there) alike.set(mark, kind);
    else {
      // The shorter title is that of sets of which nothing is known.
      const lead = there.title.length <= kind.title.length ? there : kind;
      alike.set(mark, { ...lead, unitIds: [...there.unitIds, ...kind.unitIds] });
    }
  }
  return [...alike.values()];
}

/** Columns of one kind of which not all send on as many channels say on how many they do: it is their holders that differ, or what they hold. */
function toldApart(kinds: readonly BoardKind[]): BoardKind[] {
  const sends = ({ cells }: BoardKind) =>
    cells.filter(({ verdict }) => verdict === 'full' || verdict === 'adapted').length;
  // What a set leaves to others is in its title already.
  const carries = ({ cells }: BoardKind) =>
    cells.flatMap(({ channelId, verdict }) => (verdict === 'apart' ? [channelId] : [])).join();
  return kinds.map((kind) => {
    const alike = kinds.filter(
      (other) => other.descriptionId === kind.descriptionId && carries(other) === carries(kind),
    );
    if (new Set(alike.map(sends)).size === 1) return kind;
    const most = sends(kind);
    return { ...kind, title: `${kind.title}, ${most === 0 ? 'listens only' : `sends on ${most}`}` };
  });
}

/** What stands in the way of one set's fleet signalling. */
function identityFindings(plan: FitPlan, { device }: UnitKind, unit: Unit, called: readonly Unit[]) {
  if (!plan.fleet || !hasIdentity(device.description)) return [];
  const others = called.filter(({ id }) => id !== unit.id);
  return fitIdentity(plan.fleet, device, unit, others).findings;
}

/** Whether the description speaks for the firmware a unit has. */
export function firmwareFindings(
  unit: Pick<Unit, 'firmware'>,
  description: Pick<Description, 'firmware'>,
): Finding[] {
  if (unit.firmware === 'unknown') return [{ code: 'firmware-unknown', severity: 'note' }];
  if (!description.firmware.includes(unit.firmware))
    return [{ code: 'firmware-unverified', severity: 'warning', firmware: unit.firmware }];
  return [];
}
