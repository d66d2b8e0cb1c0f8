import { endpoint } from '@/server/endpoint';
import { ChangedMeanwhile, NotHere } from '@/server/problem';
import { belongsElsewhere, listMembers } from '@/server/repositories/accounts';
import { makeLink } from '@/server/repositories/links';
import { putInOutbox } from '@/server/repositories/outbox';
import { needThing } from '@/server/store/store';

const SUBJECTS = {
  invite: 'You are invited to Umbrex',
  reset: 'A new password for Umbrex',
  enrol: 'Tell us about your radio',
} as const;

/**
 * POST an invitation, a reset for a member, or an enrolment of a set without an account: 201 with the path of the link, which is
 * shown this once, and the mail that would carry it, which is put in the outbox. 400, 404 no such member here, 409 a reset
 * for somebody who belongs to a workspace that one does not coordinate.
 */
export const POST = endpoint('POST /api/team/links', ({ write, workspace, session, body, url, context }) =>
  write(async (trx) => {
    const base = { role: null, accountId: null, personId: null };
    let link = { ...base, kind: body.kind, name: '' } as Parameters<typeof makeLink>[2];
    if (body.kind === 'reset') {
      const member = (await listMembers(trx, workspace.id)).find((m) => m.accountId === body.accountId);
      if (!member) throw new NotHere();
      if (await belongsElsewhere(trx, member.accountId, session.accountId))
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
    await needThing(trx, 'person', workspace.id, link.personId);
    const token = await makeLink(trx, workspace.id, link, session.accountId);
    const path = `/link/${token}`;
    const mail = await putInOutbox(trx, workspace.id, {
      recipient: link.name,
      subject: SUBJECTS[body.kind],
      body: `${workspace.name}: open ${addressOf(context.request, url)}${path}`,
    });
    return { path, mail };
  }),
);

/** The address by which the coordinator reached the server, as a proxy before it says. */
function addressOf({ headers }: Request, url: URL): string {
  const protocol = headers.get('x-forwarded-proto') ?? url.protocol.replace(':', '');
  return `${protocol}://${headers.get('x-forwarded-host') ?? headers.get('host') ?? url.host}`;
}
