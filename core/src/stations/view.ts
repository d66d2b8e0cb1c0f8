import type { Finding } from '../findings/index';
import type { Station, StationFact, StationField } from '../model/index';

/** What is known of one thing about a station: the newest word, and older ones that say something else. */
export interface KnownFact {
  readonly fact: StationFact;
  readonly others: readonly StationFact[];
}

/** An undated word counts as older than any dated one. */
const age = (fact: StationFact) => (fact.on === 'unknown' ? '' : fact.on);
const valueText = (value: StationFact['value']) => (Array.isArray(value) ? value.join(' ') : String(value));

/** What is known of a station, by field: the newest word first; of two of one day the one written later. All others stay. */
export function knownFacts(station: Station): Map<StationField, KnownFact> {
  const known = new Map<StationField, KnownFact>();
  for (const fact of station.facts) {
    const there = known.get(fact.field);
    if (!there) known.set(fact.field, { fact, others: [] });
    else if (age(fact) >= age(there.fact))
      known.set(fact.field, { fact, others: [...there.others, there.fact] });
    else known.set(fact.field, { fact: there.fact, others: [...there.others, fact] });
  }
  return known;
}

type FactValues = { readonly [F in StationFact as F['field']]: F['value'] };

/** The newest word on a field; `undefined` where nobody has said anything. */
export function factOf<F extends StationField>(station: Station, field: F): FactValues[F] | undefined {
  return knownFacts(station).get(field)?.fact.value as FactValues[F] | undefined;
}

/** What is known of repeaters, for whoever asks whether they can be called; what nobody said is absent. */
export function onAirOf(stations: readonly Station[]) {
  return stations.map((station) => ({
    name: station.name,
    outputHz: factOf(station, 'outputHz'),
    inputHz: factOf(station, 'inputHz'),
    inputTone: factOf(station, 'inputTone'),
    status: factOf(station, 'status'),
  }));
}

/** Whether a keeper said no, or their leave has ended on a day (YYYY-MM-DD); one that nobody asked for yet is neither. */
export function isRefused({ state, expires }: Station['permission'], day: string): boolean {
  if (state === 'refused') return true;
  return (state === 'open' || state === 'granted') && expires !== 'unknown' && expires < day;
}

const YEAR_DAYS = 365;
const SOON_DAYS = 60;
const NEEDED: Readonly<Record<Station['kind'], readonly StationField[]>> = {
  repeater: ['outputHz', 'inputHz', 'inputTone', 'status'],
  weather: ['outputHz'],
  listen: ['outputHz'],
  trunked: ['controlHz'],
};

/**
 * What wants a look at a station: sources that disagree, what nobody said, what nobody confirmed for a year, and how its
 * permission stands. Common practice, no published source.
 * @param today as YYYY-MM-DD
 */
export function reviewStation(station: Station, today: string): Finding[] {
  const findings: Finding[] = [];
  const known = knownFacts(station);
  for (const [field, { fact, others }] of known) {
    const different = others.filter((other) => valueText(other.value) !== valueText(fact.value));
    if (different.length > 0)
      findings.push({
        code: 'facts-disagree',
        severity: 'warning',
        field,
        values: [fact, ...different]
          .map(({ value, source, on }) => `${valueText(value)} (${source}, ${on})`)
          .join(' or '),
      });
  }
  for (const field of NEEDED[station.kind])
    if (!known.has(field)) findings.push({ code: 'fact-missing', severity: 'warning', field });
  const newest =
    [...station.facts.map(age), ...station.reports.map((report) => report.on)].sort().at(-1) ?? '';
  if (newest !== '' && daysBetween(newest, today) > YEAR_DAYS)
    findings.push({ code: 'fact-old', severity: 'warning', field: 'status', on: newest });
  const status = known.get('status')?.fact.value;
  if (status !== undefined && status !== 'on-air')
    findings.push({ code: 'station-not-on-air', severity: 'note', status: String(status) });
  if (station.kind === 'repeater') findings.push(...permissionFindings(station, today));
  return findings;
}

function permissionFindings({ permission }: Station, today: string): Finding[] {
  const { state, on, expires } = permission;
  switch (state) {
    case 'unknown':
      return [{ code: 'permission-missing', severity: 'warning' }];
    case 'asked':
      return [{ code: 'permission-waiting', severity: 'warning', since: on }];
    case 'refused':
      return [{ code: 'permission-refused', severity: 'note' }];
    case 'open':
    case 'granted':
      if (expires === 'unknown') return [];
      if (expires < today) return [{ code: 'permission-over', severity: 'error', expires }];
      if (daysBetween(today, expires) <= SOON_DAYS)
        return [{ code: 'permission-ends-soon', severity: 'warning', expires }];
      return [];
    default:
      return state satisfies never;
  }
}

/** Whole days from one day to another. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(to) - Date.parse(from)) / 86_400_000);
}
