import { useState } from 'react';
import { ROLES, type Role } from '../../contract/roles';
import type { TeamProps, useTeamDesk } from './useTeamDesk';

/** Invites somebody by link: with an account of a role, or to tell of their set without one. */
export function Invite({
  people,
  make,
}: Pick<TeamProps, 'people'> & Pick<ReturnType<typeof useTeamDesk>, 'make'>) {
  const [name, setName] = useState('');
  const [personId, setPersonId] = useState('');
  const [role, setRole] = useState<Role | 'enrol'>('member');
  return (
    <section className="rounded border border-base-300 bg-base-100 p-4">
      <h2 className="font-bold">Invite somebody</h2>
      <form
        className="mt-2 flex flex-wrap items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          const who = { name: name.trim(), personId: personId || null };
          void make(
            role === 'enrol' ? { kind: 'enrol', ...who } : { kind: 'invite', role, ...who },
            role === 'enrol'
              ? `${who.name} tells us of their set`
              : `An invitation for ${who.name} as ${role}`,
          );
        }}
      >
        <label>
          <span className="muted block text-small">Somebody of the roster</span>
          <select
            className="select select-sm w-52"
            value={personId}
            onChange={(event) => {
              setPersonId(event.target.value);
              const person = people.find(({ id }) => id === event.target.value);
              if (person) setName(person.name);
            }}
          >
            <option value="">somebody else</option>
            {people.map((person) => (
              <option key={person.id} value={person.id}>
                {person.name}
              </option>
            ))}
          </select>
        </label>
        <label>
          <span className="muted block text-small">Name</span>
          <input
            className="input input-sm w-52"
            value={name}
            maxLength={60}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <label>
          <span className="muted block text-small">For what</span>
          <select
            className="select select-sm w-60"
            value={role}
            onChange={(event) => setRole(event.target.value as Role | 'enrol')}
          >
            {ROLES.map((entry) => (
              <option key={entry} value={entry}>
                an account as {entry}
              </option>
            ))}
            <option value="enrol">to tell us of their set, no account</option>
          </select>
        </label>
        <button type="submit" className="btn btn-primary btn-sm" disabled={name.trim() === ''}>
          Make a link
        </button>
      </form>
    </section>
  );
}
