import type { Knex } from 'knex';
import { toString as qrSvg } from 'qrcode';
import type { BodyOf } from '@/contract/routes';
import { addressOf } from '@/server/address';
import { today } from '@/server/day';
import { endpoint } from '@/server/endpoint';
import { BadInput, ChangedMeanwhile, NotHere } from '@/server/problem';
import { belongsElsewhere, listMembers } from '@/server/repositories/accounts';
import { makeCardLink } from '@/server/repositories/cards';
import { makeLink } from '@/server/repositories/links';
import { putInOutbox } from '@/server/repositories/outbox';
import { needThing, thingAt } from '@/server/store/store';

const SUBJECTS = {
  invite: 'You are invited to Umbrex',
  reset: 'A new password for Umbrex',
  enrol: 'Tell us about your radio',
  card: 'Your radios, in your hand',
  calendar: 'The calendar of the group',
} as const;

/**
 * POST an invitation, a reset for a member, an enrolment of a set or a card without an account: 201 with the path of the link, which is
 * shown this once, as a picture too, and the mail that would carry it, which is put in the outbox. 400, 404 no such member, person or plan here,
 * 409 a reset for somebody who belongs to a workspace that one does not coordinate.
 */
export const POST = endpoint('POST /api/team/links', ({ write, workspace, session, body, url, context }) =>
  write(async (trx) => {
    const { name, path } =
      body.kind === 'card' || body.kind === 'calendar'
        ? await cardLink(trx, workspace.id, body, session.accountId)
        : await linkThatLetsIn(trx, workspace.id, body, session.accountId);
    const address = `${addressOf(context.request, url)}${path}`;
    const mail = await putInOutbox(trx, workspace.id, {
      recipient: name,
      subject: SUBJECTS[body.kind],
      body: `${workspace.name}: open ${address}`,
    });
    return { path, mail, svg: await qrSvg(address, { type: 'svg', margin: 1 }) };
  }),
);

type Asked = BodyOf<'POST /api/team/links'>;

async function linkThatLetsIn(
  trx: Knex.Transaction,
  workspaceId: string,
  body: Exclude<Asked, { kind: 'card' | 'calendar' }>,
  madeBy: string | null,
): Promise<{ name: string; path: string }> {
  const base = { role: null, accountId: null, personId: null };
  let link = { ...base, kind: body.kind, name: '' } as Parameters<typeof makeLink>[2];
  if (body.kind === 'reset') {
    const member = (await listMembers(trx, workspaceId)).find((m) => m.accountId === body.accountId);
    if (!member) throw new NotHere();
    if (await belongsElsewhere(trx, member.accountId, madeBy))
      throw new ChangedMeanwhile({ belongs: 'elsewhere' });
    link = { ...link, accountId: member.accountId, name: member.name };
  } else {
    link = {
      ...link,
      ...(body.kind === 'invite' && { role: body.role }),
      personId: body.personId,
      name: body.name,
    };
  }
  await needThing(trx, 'person', workspaceId, link.personId);
  return { name: link.name, path: `/link/${await makeLink(trx, workspaceId, link, madeBy)}` };
}

/** A link to the card of somebody of the roster, or to the calendar of the group. */
async function cardLink(
  trx: Knex.Transaction,
  workspaceId: string,
  asked: Extract<Asked, { kind: 'card' | 'calendar' }>,
  madeBy: string | null,
): Promise<{ name: string; path: string }> {
  const { kind, planId, until } = asked;
  if (until < today() || until > yearsOn(today(), MOST_YEARS))
    throw new BadInput([
      {
        code: 'document-shape',
        severity: 'error',
        path: '/until',
        detail: `a day from today on, at most ${MOST_YEARS} years`,
      },
    ]);
  const personId = kind === 'card' ? asked.personId : null;
  const name =
    kind === 'card' ? (await thingAt(trx, 'person', workspaceId, asked.personId)).value.name : asked.name;
  const hidesTones = kind === 'card' && asked.hidesTones;
  const link = { kind, personId, planId, name, until, hidesTones };
  const token = await makeCardLink(trx, workspaceId, link, madeBy);
  return { name, path: kind === 'card' ? `/my/${token}` : `/api/calendar/${token}` };
}
const MOST_YEARS = 3;
const yearsOn = (day: string, years: number) => `${Number(day.slice(0, 4)) + years}${day.slice(4)}`;
