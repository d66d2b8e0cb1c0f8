import { useState } from 'react';
import { call, Refusal } from '../desk/api';
import { $notice } from '../desk/deskStore';
import { accessFault } from '../SignIn/words';

export const ROLES = ['coordinator', 'editor', 'member', 'observer'] as const;
export type Role = (typeof ROLES)[number];

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
/** A mail of the outbox; when as a moment in UTC. */
export interface Mail {
  readonly id: string;
  readonly recipient: string;
  readonly subject: string;
  readonly body: string;
  readonly createdAt: string;
}
export interface TeamProps {
  readonly members: readonly Member[];
  readonly people: readonly { id: string; name: string }[];
  readonly outbox: readonly Mail[];
}

/** The state of a team: the link that was just made, the mails that were not sent, what was refused. */
export function useTeamDesk(props: TeamProps) {
  const [link, setLink] = useState<{ path: string; what: string } | null>(null);
  const [outbox, setOutbox] = useState(props.outbox);
  const fail = (error: unknown) => {
    const refused = error instanceof Refusal && error.status === 409 ? error.current : null;
    $notice.set({
      text: refused === null ? accessFault(error) : 'belongs' in (refused as object) ? ELSEWHERE : LAST,
      kind: 'failed',
    });
  };
  const make = async (body: object, what: string) => {
    try {
      const { path, mail } = await call<{ path: string; mail: Mail }>('POST', '/api/team/links', body);
      setLink({ path, what });
      setOutbox((now) => [mail, ...now]);
    } catch (error) {
      fail(error);
    }
  };
  const change = async (method: 'PUT' | 'DELETE', accountId: string, body?: object) => {
    try {
      await call(method, `/api/team/${accountId}`, body);
      window.location.reload();
    } catch (error) {
      fail(error);
    }
  };
  return { ...props, link, outbox, make, change };
}
