import { CALL_SETTLED, CALL_WAYS, type Heard, HeardSchema, STRENGTHS } from '../model/index';
import { type Fields, type Form, field } from './field';
import { choice, line, maybe, moment, named, words, yesNo } from './forms';

const plan = named('plan', 'a plan that is there');
const set = maybe(named('unit', 'a set that is there'), 'none');

/** The plan by its name or its id; where there is one alone, an empty cell is that one. */
const planForm: Form<string> = {
  ...plan,
  write: (id, names) => plan.write(id, names) || id,
  read: (cell, names) => {
    const all = names.plan ?? [];
    return cell === '' ? (all.length === 1 ? all[0]?.id : undefined) : plan.read(cell, names);
  },
};
const channel = named('channel', 'a channel of the plan');

const readability: Form<Heard['readability']> = {
  write: String,
  read: (cell) => (cell === '' ? 'unknown' : HeardSchema.shape.readability.safeParse(digit(cell)).data),
  wanted: '1 to 5',
  words: (value) => (value === 'unknown' ? 'not known' : String(value)),
};
const digit = (cell: string) => (/^\d+$/.test(cell) ? Number(cell) : cell);

/** The fields of a call in the log. */
export const HEARD_FIELDS = {
  at: field('time', moment, false, { synonyms: ['when', 'at', 'moment', 'date'] }),
  planId: field('plan', planForm, false),
  channelId: field('channel', channel, false, { synonyms: ['on', 'frequency'] }),
  way: field('way', choice(CALL_WAYS, 'unknown', { unknown: 'not known' }), false, { synonyms: ['via'] }),
  from: field('from', line, false, { synonyms: ['talker', 'caller', 'who', 'station'] }),
  fromId: field('talked with', set, false, { synonyms: ['from set'] }),
  to: field('to', line, false, { synonyms: ['listener', 'whom', 'heard by'] }),
  toId: field('listened with', set, false, { synonyms: ['to set'] }),
  heard: field(
    'heard',
    { ...yesNo(true), read: (cell) => (cell === '' ? undefined : yesNo(true).read(cell, {})) },
    false,
  ),
  readability: field('readability', readability, false, { synonyms: ['r', 'report'] }),
  strength: field('strength', choice([...STRENGTHS, 'unknown'], 'unknown', { unknown: 'not known' }), false, {
    synonyms: ['s', 'signal'],
  }),
  fromWhere: field('talked from', line, false, { synonyms: ['from where', 'place'] }),
  toWhere: field('listened at', line, false, { synonyms: ['to where', 'heard at'] }),
  settled: field('settled', choice(CALL_SETTLED, 'open'), false),
  by: field('written by', line, false, { synonyms: ['by', 'operator'] }),
  note: field('note', words, false, { synonyms: ['notes', 'remark', 'comment'] }),
} satisfies Fields<Heard>;
