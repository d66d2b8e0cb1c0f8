import type {
  BenchDay,
  Description,
  Licence,
  Net,
  Person,
  Plan,
  Revision,
  Station,
  Unit,
} from '../model/index';

/** What an entry of a calendar is about. */
export const ENTRY_CODES = [
  'net',
  'event',
  'bench',
  'revision',
  'plan-load',
  'licence-ends',
  'licensed-ends',
  'permission-ends',
  'ask-again',
  'facts-review',
  'cells-clock',
  'cells-due',
  'memory-cell',
  'alert-test',
  'firmware',
] as const;
export type EntryCode = (typeof ENTRY_CODES)[number];

/** One entry: what, when, and how long before somebody is reminded. */
export interface CalendarEntry {
  /** The same for the same matter at each look, so that a calendar moves it instead of adding another. */
  readonly uid: string;
  readonly code: EntryCode;
  /** What it is about, by its name; of several, all of them. */
  readonly names: readonly string[];
  readonly note: string;
  readonly when:
    | { readonly is: 'day'; readonly day: string }
    | {
        readonly is: 'time';
        /** On the clocks of its zone. */
        readonly local: string;
        readonly timeZone: string;
        readonly lastsMin: number;
        readonly repeats: Net['repeats'];
      };
  /** Reminders, in minutes before it begins. */
  readonly alarmsMin: readonly number[];
}

/** What a calendar is made of; of a member, what is theirs of it. */
export interface CalendarOf {
  readonly plan: Pick<Plan, 'id' | 'name' | 'loadOn' | 'licensed'>;
  readonly nets: readonly Net[];
  readonly benches: readonly BenchDay[];
  readonly people: readonly Pick<Person, 'id' | 'name' | 'licences'>[];
  readonly units: readonly Pick<
    Unit,
    'id' | 'descriptionId' | 'nickname' | 'batteryChanged' | 'memoryCellChanged' | 'testHeard' | 'firmware'
  >[];
  readonly descriptions: readonly Pick<Description, 'id' | 'title' | 'kind' | 'memoryCellYears'>[];
  readonly stations: readonly Station[];
  readonly revisions: readonly Pick<Revision, 'number' | 'effectiveFrom' | 'reason'>[];
  /** Where the group's own clocks are: bench days and the change of clocks go by them. */
  readonly timeZone: string;
  /** The next days on which those clocks change, as YYYY-MM-DD. */
  readonly clockChanges: readonly string[];
  /** As YYYY-MM-DD. */
  readonly today: string;
}

const DAY_MIN = 1440;
/** A cell is due a year after it was changed; a test comes once a week; a question is asked again after two weeks; facts are looked at after a year (common practice). */
const CELL_DAYS = 365;
const TEST_DAYS = 7;
const ASK_DAYS = 14;
const FACT_DAYS = 365;
/** How long a net lasts in a calendar (common practice). */
const NET_MIN = 60;

const daysOn = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
const later = (a: string, b: string) => (a > b ? a : b);

/** The calendar of a group, or of one member of it, in the order of its kinds. What is overdue stands today. */
export function calendarOf(of: CalendarOf): CalendarEntry[] {
  const { plan, today } = of;
  const day = (
    code: EntryCode,
    id: string,
    when: string,
    names: readonly string[],
    alarmsDays: readonly number[] = [],
    note = '',
  ): CalendarEntry => ({
    uid: `${code}-${id}`,
    code,
    names,
    note,
    when: { is: 'day', day: when },
    alarmsMin: alarmsDays.map((days) => days * DAY_MIN),
  });
  return [
    ...of.nets.map(netEntry),
    ...of.benches.map((bench) => benchEntry(bench, of.timeZone)),
    ...of.revisions
      .filter(({ effectiveFrom }) => effectiveFrom >= today)
      .map(({ number, effectiveFrom, reason }) =>
        day('revision', `${plan.id}-${number}`, effectiveFrom, [`${plan.name} ${number}`], [7, 1], reason),
      ),
    ...(plan.loadOn !== null && plan.loadOn >= today
      ? [day('plan-load', plan.id, plan.loadOn, [plan.name], [7])]
      : []),
    ...of.people.flatMap(({ id, name, licences }) =>
      licences.flatMap((licence: Licence) =>
        licence.expires === 'unknown'
          ? []
          : [
              day(
                'licence-ends',
                `${id}-${licence.service}-${licence.holds}-${licence.expires}`,
                licence.expires,
                [name],
                [60, 14],
                licence.service,
              ),
            ],
      ),
    ),
    ...plan.licensed.map(({ name, licence, expires }) =>
      day('licensed-ends', `${plan.id}-${licence}-${name}-${expires}`, expires, [name], [90, 30], licence),
    ),
    ...of.stations.flatMap((station) => stationEntries(station, today, day)),
    ...unitEntries(of, day),
  ];
}

function netEntry(net: Net): CalendarEntry {
  const isEvent = net.repeats === 'once';
  return {
    uid: `net-${net.id}`,
    code: isEvent ? 'event' : 'net',
    names: [net.name],
    note: net.note,
    when: {
      is: 'time',
      local: net.startsAt,
      timeZone: net.timeZone,
      lastsMin: NET_MIN,
      repeats: net.repeats,
    },
    // What comes once is counted down to; what comes each week is remembered shortly before.
    alarmsMin: isEvent ? [7 * DAY_MIN, DAY_MIN, 60] : [30],
  };
}

function benchEntry({ id, name, day, beginsMin, lastsMin, note }: BenchDay, timeZone: string): CalendarEntry {
  const two = (n: number) => String(n).padStart(2, '0');
  return {
    uid: `bench-${id}`,
    code: 'bench',
    names: [name],
    note,
    when: {
      is: 'time',
      local: `${day}T${two(Math.floor(beginsMin / 60))}:${two(beginsMin % 60)}`,
      timeZone,
      lastsMin,
      repeats: 'once',
    },
    alarmsMin: [7 * DAY_MIN, DAY_MIN],
  };
}

type MakeDay = (
  code: EntryCode,
  id: string,
  when: string,
  names: readonly string[],
  alarmsDays?: readonly number[],
  note?: string,
) => CalendarEntry;

function stationEntries(
  { id, name, permission, facts }: Station,
  today: string,
  day: MakeDay,
): CalendarEntry[] {
  const newest = facts.reduce((last, { on }) => (on !== 'unknown' && on > last ? on : last), '');
  return [
    ...(permission.expires === 'unknown'
      ? []
      : [
          day(
            'permission-ends',
            `${id}-${permission.expires}`,
            permission.expires,
            [name],
            [60, 14],
            permission.by,
          ),
        ]),
    ...(permission.state === 'asked'
      ? [
          day(
            'ask-again',
            id,
            later(permission.on === 'unknown' ? today : daysOn(permission.on, ASK_DAYS), today),
            [name],
            [],
            permission.by,
          ),
        ]
      : []),
    ...(newest === '' ? [] : [day('facts-review', id, later(daysOn(newest, FACT_DAYS), today), [name], [])]),
  ];
}

function unitEntries(
  { units, descriptions, clockChanges, today }: CalendarOf,
  day: MakeDay,
): CalendarEntry[] {
  const kinds = new Map(descriptions.map((one) => [one.id, one]));
  const alerts = units.filter(({ descriptionId }) => kinds.get(descriptionId)?.kind === 'alert');
  const unlooked = [
    ...new Set(
      units.filter(({ firmware }) => firmware === 'unknown').map(({ descriptionId }) => descriptionId),
    ),
  ];
  // Sets whose cells are due on the same day are one entry, so that a fleet does not fill a calendar.
  const due = new Map<string, (typeof units)[number][]>();
  for (const unit of units)
    if (unit.batteryChanged !== 'unknown') {
      const when = later(daysOn(unit.batteryChanged, CELL_DAYS), today);
      due.set(when, [...(due.get(when) ?? []), unit]);
    }
  return [
    ...(alerts.length === 0
      ? []
      : clockChanges.map((when) =>
          day(
            'cells-clock',
            when,
            when,
            alerts.map(({ nickname }) => nickname),
            [1],
          ),
        )),
    ...[...due].map(([when, all]) =>
      day(
        'cells-due',
        when,
        when,
        all.map(({ nickname }) => nickname),
        [7],
      ),
    ),
    ...units.flatMap(({ id, descriptionId, nickname, memoryCellChanged }) => {
      const years = kinds.get(descriptionId)?.memoryCellYears;
      if (years === undefined) return [];
      // Of one that nobody knows of somebody is to look at once.
      const when = memoryCellChanged === 'unknown' ? today : later(yearsOn(memoryCellChanged, years), today);
      return [day('memory-cell', id, when, [nickname], [30], memoryCellChanged)];
    }),
    ...alerts.map(({ id, nickname, testHeard }) =>
      day('alert-test', id, testHeard === 'unknown' ? today : later(daysOn(testHeard, TEST_DAYS), today), [
        nickname,
      ]),
    ),
    ...(unlooked.length === 0
      ? []
      : [
          day(
            'firmware',
            today.slice(0, 7),
            nextMonth(today),
            unlooked.map((id) => kinds.get(id)?.title ?? id),
          ),
        ]),
  ];
}

/** The same day some years on; of a leap day the last of February. */
function yearsOn(day: string, years: number): string {
  const [year = '', month, date] = day.split('-');
  const on = Number(year) + years;
  const isLeap = new Date(Date.UTC(on, 1, 29)).getUTCMonth() === 1;
  return `${on}-${month}-${month === '02' && date === '29' && !isLeap ? '28' : date}`;
}

/** The first of the next month: what has no day of its own comes up once a month. */
function nextMonth(day: string): string {
  const [year = 0, month = 1] = day.split('-').map(Number);
  return new Date(Date.UTC(year, month, 1)).toISOString().slice(0, 10);
}
