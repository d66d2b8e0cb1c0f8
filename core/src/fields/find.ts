import { FIND_STATES, type Find } from '../model/index';
import { type Fields, field } from './field';
import { choice, hertz, line, maybe, moment, named, tone } from './forms';

/** The fields of a find. */
export const FIND_FIELDS = {
  at: field('time', moment, false, { synonyms: ['when', 'at', 'date'] }),
  receiveHz: field('frequency', hertz, false, { synonyms: ['mhz', 'rx', 'receive'] }),
  tone: field('tone', tone, false, { synonyms: ['ctcss', 'code'] }),
  heard: field('heard', line, false, { synonyms: ['what', 'remark', 'note'] }),
  where: field('place', line, false, { synonyms: ['where'] }),
  unitId: field('set', maybe(named('unit', 'a set that is there'), 'none'), false, { synonyms: ['scanner'] }),
  state: field('became', choice(FIND_STATES, 'open'), false),
  by: field('written by', line, false, { synonyms: ['by'] }),
} satisfies Fields<Find>;
