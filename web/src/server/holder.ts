import type { APIContext } from 'astro';
import type { Knex } from 'knex';
import { z } from 'zod';
import { CARD_BY_ADDRESS, countAttempt } from './auth/limits';
import type { Session } from './auth/session';
import { NotHere } from './problem';
import { openCalendarLink, openCardLink } from './repositories/cards';
import { listPlans } from './repositories/plans';

/** Who looks at a card: as what they ask, of which plan, and what is kept from them. */
export interface Holder {
  readonly session: Session;
  readonly planId: string;
  readonly hidesTones: boolean;
  /** Until when their link is good, in UTC; `null` for somebody who signed in. */
  readonly until: string | null;
}

/** The holder of a link to a card. @throws NotHere where it is not good (any more), TooOften */
export async function holderByLink(db: Knex, token: string, { clientAddress }: APIContext): Promise<Holder> {
  await countAttempt(db, `card ${clientAddress}`, CARD_BY_ADDRESS);
  const card = await openCardLink(db, token);
  if (!card) throw new NotHere();
  const { workspace, person, planId, hidesTones, until } = card;
  return {
    session: { accountId: null, name: person.name, role: 'member', workspace, personId: person.id },
    planId,
    hidesTones,
    until,
  };
}

/** Whoever follows the group's calendar by a link: they see all of it, and nothing else. @throws NotHere, TooOften */
export async function calendarByLink(
  db: Knex,
  token: string,
  { clientAddress }: APIContext,
): Promise<Pick<Holder, 'session' | 'planId'>> {
  await countAttempt(db, `card ${clientAddress}`, CARD_BY_ADDRESS);
  const link = await openCalendarLink(db, token);
  if (!link) throw new NotHere();
  const { workspace, planId } = link;
  return {
    session: { accountId: null, name: 'calendar', role: 'editor', workspace, personId: null },
    planId,
  };
}

/** Somebody who signed in, with the plan that they name, else the one that was published last. @throws NotHere where there is no plan */
export async function holderSignedIn(db: Knex, session: Session, url: URL): Promise<Holder> {
  const named = url.searchParams.get('plan');
  if (named !== null && !z.uuid().safeParse(named).success) throw new NotHere();
  const planId = named ?? (await lastPublished(db, session.workspace.id));
  if (!planId) throw new NotHere();
  return { session, planId, hidesTones: false, until: null };
}

async function lastPublished(db: Knex, workspaceId: string): Promise<string | undefined> {
  const plans = (await listPlans(db, workspaceId)).filter(({ archived }) => !archived);
  const row = await db('revision')
    .whereIn(
      'plan_id',
      plans.map(({ id }) => id),
    )
    .orderBy('published_at', 'desc')
    .first('plan_id');
  return row?.plan_id ?? plans[0]?.id;
}
