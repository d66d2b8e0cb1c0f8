import { type PlanFinding, reviewPlan, statesSaid } from '../check/index';
import { conditionOf, isThere } from '../evidence/index';
import { alertsOf, type Board } from '../fit/index';
import {
  type Description,
  type Licence,
  loadingDay,
  type Person,
  type Plan,
  type Station,
  type Unit,
} from '../model/index';
import { daysBetween, onAirOf, reviewStation } from '../stations/index';

/** What needs somebody now, by kind, with the things it is about and the view in which it is done. */
export interface Due {
  readonly code:
    | 'findings-to-mend'
    | 'findings-to-ask'
    | 'states-differ'
    | 'cells-unknown'
    | 'units-to-confirm'
    | 'rights-ended'
    | 'units-to-change'
    | 'units-behind'
    | 'firmware-unknown'
    | 'alerts-missing'
    | 'units-picked-tone'
    | 'units-faulty'
    | 'units-lost'
    | 'units-broken'
    | 'alert-tests-due'
    | 'batteries-due'
    | 'batteries-unknown'
    | 'licences-over'
    | 'licences-ending'
    | 'licences-unknown'
    | 'permissions'
    | 'station-questions';
  readonly items: readonly DueItem[];
}
/** One thing that is due. */
export interface DueItem {
  readonly id: string;
  readonly name: string;
  readonly on?: string;
}

/** How it stands now. */
export interface Standing {
  readonly plan: Plan;
  readonly board: Board;
  readonly people: readonly Person[];
  readonly units: readonly Unit[];
  /** The sets that were loaded and would be loaded otherwise now, by id. */
  readonly toChange: ReadonlySet<string>;
  /** Those of them that were loaded right, and whose right to send has ended since. */
  readonly rightsEnded: ReadonlySet<string>;
  readonly descriptions: readonly Pick<Description, 'id' | 'title' | 'firmware' | 'kind'>[];
  readonly stations: readonly Station[];
  /** As YYYY-MM-DD. */
  readonly today: string;
}

/** A cell is due a year after it was changed, a licence is soon over two months before (common practice). */
const BATTERY_DAYS = 365;
const LICENCE_DAYS = 60;
/** Weather transmitters send a test once a week (NWS instruction 10-1712, from memory); one put off comes a day later (common practice). */
const ALERT_TEST_DAYS = 8;

/** Gathers what needs somebody now, the most pressing first; kinds with nothing in them are left out. */
export function whatIsDue(standing: Standing): Due[] {
  const { today, people, stations } = standing;
  // Of one that is lost or broken nothing else is asked until it is found or mended.
  const units = standing.units.filter(isThere);
  const away = (is: 'lost' | 'broken') => standing.units.filter((unit) => conditionOf(unit).is === is);
  const named = (unit: Unit): DueItem => ({ id: unit.id, name: unit.nickname });
  const found = (code: Due['code'], items: readonly DueItem[]): Due[] =>
    items.length > 0 ? [{ code, items }] : [];
  const day = loadingDay(standing.plan, today);
  const plan = planItems(standing);
  const versions = new Map(standing.descriptions.map(({ id, firmware }) => [id, firmware]));
  const alerting = new Set(standing.descriptions.filter(({ kind }) => kind === 'alert').map(({ id }) => id));
  const changedDays = ({ batteryChanged }: Unit) =>
    batteryChanged === 'unknown' ? undefined : daysBetween(batteryChanged, today);
  const licences = people.flatMap((person) =>
    person.licences
      .filter((licence) => !isReplaced(licence, person, day))
      .map(({ expires }) => ({ id: person.id, name: person.name, on: expires })),
  );
  const known = licences.filter(({ on }) => on !== 'unknown');
  const reviews = stations.map((station) => ({
    station,
    codes: reviewStation(station, today).map(({ code }) => code),
  }));
  const at = (wanted: (code: string) => boolean) =>
    reviews.flatMap(({ station, codes }) =>
      codes.some(wanted) ? [{ id: station.id, name: station.name }] : [],
    );
  const isPermission = (code: string) => code.startsWith('permission-') && code !== 'permission-refused';
  return [
    ...found('findings-to-mend', plan.fix),
    ...found(
      'licences-over',
      known.filter(({ on }) => on < day),
    ),
    ...found(
      'units-picked-tone',
      units
        .filter(({ id }) => standing.board.unitFindings[id]?.some((f) => f.code === 'override-left-on'))
        .map(named),
    ),
    ...found(
      'alerts-missing',
      units
        .filter(
          ({ descriptionId, alerts }) => alerting.has(descriptionId) && !hasAlerts(standing.plan, alerts),
        )
        .map(named),
    ),
    ...found('rights-ended', units.filter(({ id }) => standing.rightsEnded.has(id)).map(named)),
    ...found(
      'units-to-change',
      units.filter(({ id }) => standing.toChange.has(id) && !standing.rightsEnded.has(id)).map(named),
    ),
    ...found('units-to-confirm', units.filter(({ confirmed }) => !confirmed).map(named)),
    ...found('findings-to-ask', plan.ask),
    ...found('states-differ', plan.follow),
    ...found('cells-unknown', unknownCells(standing)),
    ...found('permissions', at(isPermission)),
    ...found(
      'station-questions',
      at((code) => !code.startsWith('permission-') && code !== 'station-not-on-air'),
    ),
    ...found(
      'licences-ending',
      known.filter(({ on }) => on >= day && daysBetween(today, on) <= LICENCE_DAYS),
    ),
    ...found(
      'licences-unknown',
      licences.filter(({ on }) => on === 'unknown'),
    ),
    ...found('units-lost', away('lost').map(named)),
    ...found('units-broken', away('broken').map(named)),
    ...found('units-faulty', units.filter(({ intake }) => Object.values(intake).includes('bad')).map(named)),
    ...found(
      'units-behind',
      units
        .filter(
          ({ descriptionId, firmware }) =>
            firmware !== 'unknown' && !versions.get(descriptionId)?.includes(firmware),
        )
        .map(named),
    ),
    ...found('firmware-unknown', kindsUnlooked({ ...standing, units })),
    ...found(
      'alert-tests-due',
      units
        .filter(({ descriptionId, testHeard }) => alerting.has(descriptionId) && isTestDue(testHeard, today))
        .map(named),
    ),
    ...found('batteries-due', units.filter((unit) => (changedDays(unit) ?? 0) > BATTERY_DAYS).map(named)),
    ...found('batteries-unknown', units.filter((unit) => changedDays(unit) === undefined).map(named)),
  ];
}

/** Whether an alert radio must be listened to: nobody has heard its weekly test in time. */
export function isTestDue(testHeard: Unit['testHeard'], today: string): boolean {
  return testHeard === 'unknown' || daysBetween(testHeard, today) > ALERT_TEST_DAYS;
}

/** Whether somebody leans on another licence of the same service that is good today: then nothing is due of this one. */
function isReplaced(licence: Licence, { licences }: Person, today: string): boolean {
  const covers = (other: Licence) => other.holds === licence.holds || other.holds !== 'employer';
  return licences.some(
    (other) =>
      other !== licence &&
      other.service === licence.service &&
      other.expires !== 'unknown' &&
      other.expires >= today &&
      (licence.expires === 'unknown' || licence.expires < today) &&
      covers(other),
  );
}

/** Whether it is said for which areas an alert radio sounds, and what it hears. */
function hasAlerts({ alerts }: Plan, own: Unit['alerts']): boolean {
  const of = alertsOf(alerts, own);
  return of !== null && of.weatherHz !== 'unknown';
}

/** Kinds of set of which somebody has one whose firmware nobody has looked at: asked once for a kind, not for each set. */
function kindsUnlooked({ units, descriptions }: Standing): DueItem[] {
  const unlooked = new Set(
    units.flatMap(({ descriptionId, firmware }) => (firmware === 'unknown' ? [descriptionId] : [])),
  );
  return descriptions.flatMap(({ id, title }) => (unlooked.has(id) ? [{ id, name: title }] : []));
}

function planItems({ plan, today, stations }: Standing): Record<'fix' | 'ask' | 'follow', DueItem[]> {
  const name = new Map(plan.channels.map((channel) => [channel.id, channel.name]));
  const found = reviewPlan(plan, { today, said: statesSaid(plan, onAirOf(stations)) });
  const of = (is: (entry: PlanFinding) => boolean) =>
    [...new Set(found.filter(is).map(({ channelId }) => channelId ?? ''))].map((id) => ({
      id,
      name: name.get(id) ?? plan.name,
    }));
  return {
    fix: of(({ next }) => next === 'fix'),
    ask: of(({ next }) => next === 'ask'),
    follow: of(({ finding }) => finding.code === 'state-differs'),
  };
}

function unknownCells({ plan, board }: Standing): DueItem[] {
  const unknown = new Set(
    board.kinds.flatMap(({ cells }) =>
      cells.filter(({ verdict }) => verdict === 'unknown').map((cell) => cell.channelId),
    ),
  );
  return plan.channels.filter(({ id }) => unknown.has(id)).map(({ id, name }) => ({ id, name }));
}
