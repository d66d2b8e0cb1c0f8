import type { Knex } from 'knex';
import { TooOften } from '../problem';

/** How many attempts a key has within how long. Counted in the database, so that several processes count together. */
export interface Limit {
  readonly most: number;
  readonly withinS: number;
}
export const SIGN_IN_BY_LOGIN: Limit = { most: 8, withinS: 900 };
export const SIGN_IN_BY_ADDRESS: Limit = { most: 60, withinS: 900 };
export const WORD_BY_ADDRESS: Limit = { most: 10, withinS: 900 };
/** Parts of pages that came to a stop: a loop of them must not fill the log. */
export const STOPS_BY_ADDRESS: Limit = { most: 30, withinS: 900 };
/** A phone with a card asks often; somebody who tries addresses asks more. */
export const CARD_BY_ADDRESS: Limit = { most: 3000, withinS: 900 };
export const LINK_BY_ADDRESS: Limit = { most: 60, withinS: 900 };

/** Notes an attempt. @throws TooOften when the key has had too many; the attempt is noted all the same */
export async function countAttempt(db: Knex, key: string, limit: Limit): Promise<void> {
  await db('attempt').insert({ key });
  const row = await db('attempt')
    .where({ key })
    .andWhereRaw("at > now() - ? * interval '1 second'", [limit.withinS])
    .count('* as n')
    .first();
  if (Number(row?.n ?? 0) > limit.most) throw new TooOften(limit.withinS);
}

/** Forgets a key's attempts, after one that was right. */
export async function forgetAttempts(db: Knex, key: string): Promise<void> {
  await db('attempt').where({ key }).delete();
}
