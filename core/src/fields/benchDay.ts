import type { z } from 'zod';
import { type BenchDay, BenchDaySchema } from '../model/index';
import { type Fields, type Form, field, type Names } from './field';
import { day, line, named, parts, words } from './forms';

const {
  planId,
  revision,
  beginsMin,
  lastsMin,
  people,
  stands,
  standMin,
  masterIds,
  setIds,
  tasks,
  lowerBoundMin,
  progress,
} = BenchDaySchema.shape;
const person = named('person', 'somebody of the roster');
const set = named('unit', 'a set that is there');
const clock = (minutes: number) =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

/** What is a number, as that. */
const whole = <V extends number | null>(
  schema: z.ZodType<V>,
  said: (value: V) => string = String,
): Form<V> => ({
  ...parts(schema, said),
  wanted: 'a whole number',
});
const setNames = (ids: readonly string[], names: Names) =>
  ids.map((id) => set.words(id, names)).join(', ') || 'none';

/** The fields of a bench day. */
export const BENCH_FIELDS = {
  name: field('name', line, false),
  planId: field(
    'plan',
    { ...line, read: (cell) => planId.safeParse(cell).data, wanted: 'the id of a plan' },
    false,
  ),
  revision: field('revision', whole(revision), false),
  day: field('day', { ...day, read: (cell) => cell || undefined }, false),
  beginsMin: field('begins', whole(beginsMin.unwrap(), clock), false),
  lastsMin: field(
    'lasts',
    whole(lastsMin.unwrap(), (minutes) => `${minutes} minutes`),
    false,
  ),
  people: field(
    'who helps',
    parts(
      people.unwrap(),
      (all, names) =>
        all
          .map(({ id, fromMin, toMin }) => `${person.words(id, names)} from minute ${fromMin} to ${toMin}`)
          .join('; ') || 'nobody',
      [],
    ),
    false,
  ),
  stands: field('stands with a cable', whole(stands.unwrap()), false),
  standMin: field('minutes at a stand', whole(standMin.unwrap()), false),
  masterIds: field('sets to copy from', parts(masterIds.unwrap(), setNames, []), false),
  setIds: field('sets to load', parts(setIds.unwrap(), setNames, []), false),
  tasks: field(
    'how it was worked out',
    parts(
      tasks.unwrap(),
      (all, names) =>
        all.map(({ setId, fromMin }) => `${set.words(setId, names)} at minute ${fromMin}`).join('; ') ||
        'not yet',
      [],
    ),
    false,
  ),
  lowerBoundMin: field(
    'never done before',
    whole(lowerBoundMin.unwrap(), (minutes) => (minutes === null ? 'not known' : `minute ${minutes}`)),
    false,
  ),
  progress: field(
    'how far it is',
    parts(
      progress.unwrap(),
      (all, names) =>
        Object.entries(all)
          .map(([id, state]) => `${set.words(id, names)} ${state}`)
          .join('; ') || 'not begun',
      {},
    ),
    false,
  ),
  note: field('note', words, false),
} satisfies Fields<BenchDay>;
