import { type Station, StationSchema } from '../model/index';
import { type Fields, field } from './field';
import { choice, line, parts, place, words } from './forms';

const { facts, permission, reports } = StationSchema.shape;
const NOT_ASKED = StationSchema.parse({
  id: '00000000-0000-4000-8000-000000000000',
  kind: 'listen',
  name: 'none',
}).permission;

/** A station; observers get it without the tones that open it, and without who reached it. */
export const STATION_FIELDS = {
  name: field('name', line, false, { synonyms: ['station', 'repeater'] }),
  kind: field('kind', choice(['repeater', 'weather', 'listen', 'trunked'], 'repeater'), false, {
    synonyms: ['type'],
  }),
  site: field('site', place, false, { synonyms: ['position', 'place', 'coordinates'] }),
  facts: field(
    'facts',
    parts(
      facts.unwrap(),
      (all) =>
        all
          .map(({ field: what, value, source, on }) => `${what} ${String(value)} (${source}, ${on})`)
          .join('; ') || 'none',
      [],
    ),
    false,
    {
      hidden: (station: Station) =>
        station.facts.filter(({ field: what }) => what !== 'inputTone' && what !== 'outputTone'),
    },
  ),
  permission: field(
    'permission',
    parts(
      permission.unwrap(),
      ({ state, by, on, expires, note }) =>
        [
          state,
          by && `by ${by}`,
          on === 'unknown' ? '' : `on ${on}`,
          expires === 'unknown' ? '' : `until ${expires}`,
          note,
        ]
          .filter(Boolean)
          .join(', '),
      NOT_ASKED,
    ),
    false,
  ),
  reports: field(
    'reports',
    parts(
      reports.unwrap(),
      (all, { person = [] }) =>
        all
          .map(
            ({ personId, reached, on }) =>
              `${person.find(({ id }) => id === personId)?.name ?? 'somebody'} ${reached ? 'reached it' : 'did not'} on ${on}`,
          )
          .join('; ') || 'none',
      [],
    ),
    false,
    { hidden: () => [] },
  ),
  note: field('note', words, false, { synonyms: ['notes', 'remark', 'comment'] }),
} satisfies Fields<Station>;
