import { TZDate } from '@date-fns/tz';
import { type CalendarEntry, calendarOf } from '@umbrex/core/calendar';
import { clockChanges, utcMs } from '@umbrex/core/nets';
import icalCalendar, { ICalAlarmType, ICalEventRepeatingFreq } from 'ical-generator';
import type { Knex } from 'knex';
import { tzlib_get_ical_block } from 'timezones-ical-library';
import { allows } from '../contract/roles';
import { entryNote, entryTitle } from '../messages/calendar';
import { today } from './day';
import { type Desk, loadDesk } from './desk';
import type { Holder } from './holder';
import { listThings } from './store/store';

const FREQUENCY = {
  daily: ICalEventRepeatingFreq.DAILY,
  weekly: ICalEventRepeatingFreq.WEEKLY,
  monthly: ICalEventRepeatingFreq.MONTHLY,
} as const;
/** How often a calendar that follows asks, in hours. */
const AGAIN_S = 6 * 3600;

/**
 * The calendar of a plan's group, or, for somebody who may not edit, what of it is theirs: nets, their licences, their sets, the bench days on which they or
 * their sets are needed.
 */
export async function calendarFor(db: Knex, holder: Pick<Holder, 'session' | 'planId'>): Promise<string> {
  const desk = await loadDesk(db, holder.session, holder.planId, 'published');
  return icsOf(desk.state.plan.name, await entriesFor(db, desk));
}

async function entriesFor(db: Knex, desk: Desk): Promise<CalendarEntry[]> {
  const { session, workspace, state, units, descriptions, revisions } = desk;
  const { plan } = state;
  const isWhole = allows(session.role, 'editor');
  const [nets, benches, people, stations] = await Promise.all([
    listThings(db, 'net', workspace.id),
    listThings(db, 'bench', workspace.id),
    listThings(db, 'person', workspace.id),
    isWhole ? listThings(db, 'station', workspace.id) : [],
  ]);
  const own = new Set(units.map(({ unit }) => unit.id));
  const mine = (id: string | null) => id !== null && id === session.personId;
  const timeZone = nets[0]?.value.timeZone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
  return calendarOf({
    plan: isWhole ? plan : { ...plan, licensed: [] },
    nets: nets.map(({ value }) => value),
    benches: benches
      .map(({ value }) => value)
      .filter(
        ({ planId, people: helpers, setIds }) =>
          planId === plan.id &&
          (isWhole || helpers.some(({ id }) => mine(id)) || setIds.some((id) => own.has(id))),
      ),
    people: people.map(({ value }) => value).filter(({ id }) => isWhole || mine(id)),
    units: units.map(({ unit }) => unit),
    descriptions: descriptions.map(({ description }) => description),
    stations: stations.map(({ value }) => value),
    revisions: revisions.filter(({ withdrawn }) => withdrawn === null),
    timeZone,
    clockChanges: clockChanges(timeZone, Date.now(), 2),
    today: today(),
  });
}

/** Entries as a calendar file. Source: RFC 5545; time zones by the tables of the IANA as a library has them. */
export function icsOf(name: string, entries: readonly CalendarEntry[]): string {
  const calendar = icalCalendar({ name, prodId: '-//Umbrex//Umbrex//EN', ttl: AGAIN_S });
  calendar.timezone({ name: null, generator: (zone) => tzlib_get_ical_block(zone)[0] ?? null });
  for (const entry of entries) {
    const { when, uid } = entry;
    const description = entryNote(entry);
    const event = calendar.createEvent({
      id: `${uid}@umbrex`,
      summary: entryTitle(entry),
      ...(description && { description }),
      ...(when.is === 'day'
        ? { start: new Date(`${when.day}T00:00:00Z`), allDay: true }
        : {
            timezone: when.timeZone,
            start: new TZDate(utcMs(when.local, when.timeZone), when.timeZone),
            end: new TZDate(utcMs(when.local, when.timeZone) + when.lastsMin * 60_000, when.timeZone),
            ...(when.repeats !== 'once' && { repeating: { freq: FREQUENCY[when.repeats] } }),
          }),
    });
    for (const minutes of entry.alarmsMin)
      event.createAlarm({
        type: ICalAlarmType.display,
        triggerBefore: minutes * 60,
        description: entryTitle(entry),
      });
  }
  return calendar.toString();
}

/** A calendar as an answer: a file to be taken in, or what a calendar that follows asks for. */
export const icsResponse = (text: string, name: string): Response =>
  new Response(text, {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': `attachment; filename="${name}.ics"`,
      'cache-control': 'no-store',
    },
  });
