import { useState } from 'react';
import { ROLES, type Role } from '../../contract/roles';
import { named } from '../../ui/bound';
import { LabelledSelect } from '../../ui/LabelledSelect';
import type { Member, useTeamDesk } from './useTeamDesk';

type Props = Pick<ReturnType<typeof useTeamDesk>, 'people' | 'make' | 'change'> & { member: Member };

/** One member. What is chosen counts only once it is saved, so that arrow keys change nobody's role on their way. */
export function MemberRow({ member, people, make, change }: Props) {
  const [role, setRole] = useState<Role>(member.role);
  const [personId, setPersonId] = useState(member.personId ?? '');
  const [isLeaving, setLeaving] = useState(false);
  const isChanged = role !== member.role || personId !== (member.personId ?? '');
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-base-300 py-2">
      <span className="min-w-44 grow">
        <strong>{member.name}</strong> <span className="muted font-mono text-small">{member.login}</span>
        {member.secondFactor && <span className="muted text-small"> with codes</span>}
      </span>
      <LabelledSelect
        title={`Role of ${member.name}`}
        at="heard"
        value={role}
        options={ROLES.map((one) => [one, one] as const)}
        set={setRole}
        width="w-36"
      />
      <LabelledSelect
        title={`${member.name} is, in the roster`}
        at="heard"
        value={personId}
        options={named(people, 'nobody in the roster')}
        set={setPersonId}
        width="w-44"
      />
      {isChanged ? (
        <button
          type="button"
          className="btn btn-primary btn-xs"
          onClick={() => void change(member.accountId, { role, personId: personId || null })}
        >
          Save {member.name}
        </button>
      ) : isLeaving ? (
        <>
          <button
            type="button"
            className="btn btn-error btn-outline btn-xs"
            onClick={() => void change(member.accountId, null)}
          >
            Yes, take {member.name} out
          </button>
          <button type="button" className="btn btn-ghost btn-xs" onClick={() => setLeaving(false)}>
            No
          </button>
        </>
      ) : (
        <>
          <button
            type="button"
            className="btn btn-outline btn-xs"
            onClick={() =>
              void make({ kind: 'reset', accountId: member.accountId }, `A new password for ${member.name}`)
            }
          >
            New password
          </button>
          <button type="button" className="btn btn-ghost btn-xs" onClick={() => setLeaving(true)}>
            Take out
          </button>
        </>
      )}
    </li>
  );
}
