import { MOST_PLACES, type Unit, UnitSchema } from '../model/index';
import { alike } from '../units/index';
import { type Fields, type Form, field, type Named, type Names } from './field';
import { choice, day, line, lineOrUnknown, maybe, named, numbers, parts, tone, words, yesNo } from './forms';

const { holds, intake, alerts, timeline } = UnitSchema.shape;
const EMPTY = UnitSchema.parse({
  id: '00000000-0000-4000-8000-000000000000',
  descriptionId: 'none',
  nickname: 'none',
  holder: '',
  serial: '',
  firmware: 'unknown',
});

const BETWEEN = ' · ';
/** One cell tells who holds a set: somebody of the roster, or where it is, or both. */
function holderOf(cell: string, { person = [] }: Names): { who: Named | undefined; where: string } {
  const byName = (text: string) => person.find(({ name }) => alike(name) === alike(text));
  const whole = byName(cell);
  if (whole) return { who: whole, where: '' };
  const at = cell.indexOf(BETWEEN);
  const who = at > 0 ? byName(cell.slice(0, at)) : undefined;
  return { who, where: who ? cell.slice(at + BETWEEN.length) : cell };
}
const HOLDER = {
  column: 'Holder',
  synonyms: ['person', 'member', 'owner', 'who', 'holds', 'issued to'],
};
const person = maybe(named('person', 'somebody of the roster'), 'nobody');
const who: Form<string | null> = {
  ...person,
  // Somebody whose name is not known cannot be written.
  write: (id, { person: people = [] }) => people.find((one) => one.id === id)?.name ?? '',
  read: (cell, names) => holderOf(cell, names).who?.id ?? null,
};
const where: Form<string> = { ...line, read: (cell, names) => holderOf(cell, names).where };

const aKind = named('kind', 'a kind of device that is described');
/** Every set is of a kind, also where nobody knows how that is called. */
const kind: Form<string> = { ...aKind, write: (id, names) => aKind.write(id, names) || id };

/** A device of somebody; what its sheet depends on is marked. */
export const UNIT_FIELDS = {
  nickname: field('nickname', line, true, { synonyms: ['name', 'radio', 'unit', 'device', 'label'] }),
  descriptionId: field('kind', kind, true, {
    synonyms: ['model', 'type', 'description', 'make', 'make and model'],
  }),
  personId: field('holder in the roster', who, false, HOLDER),
  holder: field('holder', where, false, HOLDER),
  serial: field('serial', line, false, { synonyms: ['serial number', 's/n', 'sn', 'serial no'] }),
  firmware: field('firmware', lineOrUnknown, false, { synonyms: ['version', 'fw', 'software'] }),
  fleetId: field('fleet ID', line, true, { synonyms: ['id', 'fleet', 'unit id', 'ptt id'] }),
  accessories: field('accessories', line, false, { synonyms: ['accessory', 'extras'] }),
  batteryChanged: field('battery changed', day, false, { synonyms: ['battery', 'cell', 'batteries'] }),
  memoryCellChanged: field('memory cell changed', day, false, {
    synonyms: ['memory cell', 'backup cell', 'memory battery', 'backup battery'],
  }),
  testHeard: field('test heard', day, false, { synonyms: ['alert test', 'weekly test', 'last test'] }),
  keeps: field('kept numbers', numbers(500), true, {
    synonyms: ['keeps', 'kept', 'reserved'],
  }),
  pickedTone: field('picked tone', tone, true, {
    synonyms: ['tone picked by hand', 'tone by hand', 'operator tone'],
  }),
  roleId: field('set up for', maybe(named('team', 'a team that is there'), 'nobody'), true, {
    synonyms: ['set up as', 'setup', 'team', 'role'],
  }),
  alerts: field(
    'its own areas',
    parts(
      alerts.unwrap(),
      (of) => (of === null ? 'as the plan says' : `${of.areas.join(', ')}; transmitter ${of.weatherHz}`),
      null,
    ),
    true,
    { column: 'Own areas' },
  ),
  carries: field('its channel', maybe(named('channel', 'a channel of the plan'), 'none'), true, {
    column: 'Carries',
    synonyms: ['repeats', 'pair', 'repeater channel'],
  }),
  note: field('note', words, false, { synonyms: ['notes', 'remark', 'remarks', 'comment'] }),
  confirmed: field('looked at by a coordinator', yesNo(true), false, { column: 'Confirmed' }),
  start: field(
    'how its sheet begins',
    choice(['absolute', 'reset'], 'absolute', { absolute: 'every value anew', reset: 'with a reset' }),
    true,
    {
      column: 'Sheet begins',
    },
  ),
  names: field(
    'names on its display',
    choice(['plan', 'now', 'later', 'never', 'needed'], 'plan', {
      plan: 'as the plan says',
      needed: 'where needed',
    }),
    true,
    { column: 'Names' },
  ),
  holds: field(
    'holds now',
    parts(
      holds.unwrap(),
      ({ what, on, rest, places, wrote }) =>
        [
          what === 'unknown' ? 'nobody looked' : what,
          on === 'unknown' ? '' : `on ${on}`,
          places.length > 0 ? `${places.length} places read` : '',
          Object.keys(wrote).length > 0 ? `${Object.keys(wrote).length} places by the plan` : '',
          rest === 'factory' ? 'the rest as from the factory' : '',
        ]
          .filter(Boolean)
          .join(', '),
      EMPTY.holds,
    ),
    true,
  ),
  timeline: field(
    'what was seen and done',
    parts(
      timeline.unwrap(),
      (all) => {
        const last = all.at(-1);
        if (!last) return 'nothing yet';
        const day = last.day === 'unknown' ? '' : ` on ${last.day}`;
        return `${all.length} ${all.length === 1 ? 'entry' : 'entries'}, the last: ${last.what}${day}`;
      },
      EMPTY.timeline,
    ),
    false,
    { column: 'Timeline' },
  ),
  accepts: field('places let go of', numbers(MOST_PLACES), true, { column: 'Let go' }),
  intake: field(
    'what was looked at',
    parts(
      intake.unwrap(),
      ({ cell, antennaSocket, speaker, reset }) =>
        `cell ${cell}, antenna socket ${antennaSocket}, speaker ${speaker}, reset ${reset}`,
      EMPTY.intake,
    ),
    false,
    { column: 'Intake' },
  ),
} satisfies Fields<Unit>;
