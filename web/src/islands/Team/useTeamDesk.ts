import { useState } from 'react';
import type { Role } from '../../contract/roles';
import type { SentTo } from '../../contract/routes';
import type { Mail } from '../../contract/team';
import { call, newerOf } from '../desk/api';
import { $notice } from '../desk/deskStore';
import { accessFault } from '../SignIn/words';

const LAST = 'This is the last coordinator. Make somebody else one first.';
const ELSEWHERE =
  'They belong to a group too that you do not coordinate. They change their password themselves, or that group’s coordinator does.';

export interface Member {
  readonly accountId: string;
  readonly login: string;
  readonly name: string;
  readonly role: Role;
  readonly personId: string | null;
  readonly secondFactor: boolean;
}
export interface TeamProps {
  readonly members: readonly Member[];
  readonly people: readonly { id: string; name: string }[];
  readonly outbox: readonly Mail[];
}

/** The state of a team: the link that was just made, the mails that were not sent, what was refused. */
export function useTeamDesk(props: TeamProps) {
  const [link, setLink] = useState<{ path: string; svg: string; what: string } | null>(null);
  const [outbox, setOutbox] = useState(props.outbox);
  const fail = (error: unknown) => {
    const refused = newerOf<object>(error);
    $notice.set({
      text: !refused ? accessFault(error) : 'belongs' in refused.current ? ELSEWHERE : LAST,
      kind: 'failed',
    });
  };
  const make = async (body: SentTo<'POST /api/team/links'>, what: string) => {
    try {
      const { path, mail, svg } = await call('POST /api/team/links', {}, body);
      setLink({ path, svg, what });
      setOutbox((now) => [mail, ...now]);
    } catch (error) {
      fail(error);
    }
  };
  /** Gives a member another role or person; without any they go. */
  const change = async (accountId: string, body: SentTo<'PUT /api/team/[accountId]'> | null) => {
    try {
      if (body) await call('PUT /api/team/[accountId]', { accountId }, body);
      else await call('DELETE /api/team/[accountId]', { accountId });
      window.location.reload();
    } catch (error) {
      fail(error);
    }
  };
  return { ...props, link, outbox, make, change };
}
