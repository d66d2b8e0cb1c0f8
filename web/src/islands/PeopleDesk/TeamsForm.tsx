import type { Team } from '@umbrex/core/model';
import { useState } from 'react';
import type { Held } from '../desk/useHeld';
import type { usePeopleDesk } from './usePeopleDesk';

/** The teams, and the groups of channels that each needs. */
export function TeamsForm({ teams, groups, people }: ReturnType<typeof usePeopleDesk>) {
  const [name, setName] = useState('');
  return (
    <div className="space-y-4">
      <div>
        <h2 className="text-lg font-bold">Teams</h2>
        <p className="muted text-plain">Choose somebody on the left to see their details.</p>
      </div>
      {teams.held.map((held) => (
        <TeamRow
          key={`${held.value.id} ${held.version}`}
          held={held}
          groups={groups}
          members={people.held.filter(({ value }) => value.teamIds.includes(held.value.id)).length}
          save={teams.save}
          remove={teams.remove}
        />
      ))}
      <form
        className="flex gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void teams
            .add({ id: crypto.randomUUID(), name: name.trim(), groupIds: [], note: '' })
            .then((ok) => ok && setName(''));
        }}
      >
        <input
          className="input input-sm w-full"
          aria-label="Name of a new team"
          maxLength={40}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <button type="submit" className="btn btn-outline btn-sm" disabled={name.trim() === ''}>
          Add a team
        </button>
      </form>
    </div>
  );
}

function TeamRow({
  held,
  groups,
  members,
  save,
  remove,
}: {
  held: Held<Team>;
  groups: readonly { id: string; name: string }[];
  members: number;
  save: (team: Team, version: number) => Promise<boolean>;
  remove: (held: Held<Team>) => Promise<boolean>;
}) {
  const { value: team, version } = held;
  return (
    <details className="border-b border-base-300 pb-2">
      <summary className="cursor-pointer">
        <strong>{team.name}</strong>{' '}
        <span className="muted text-small">
          {members} people{team.note && `, ${team.note}`}
        </span>
      </summary>
      <fieldset className="mt-1 grid grid-cols-2 gap-1 text-plain">
        <legend className="muted text-small">Needs these groups of channels</legend>
        {groups.map(({ id, name }) => (
          <label key={id} className="flex items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={team.groupIds.includes(id)}
              onChange={(event) =>
                void save(
                  {
                    ...team,
                    groupIds: event.target.checked
                      ? [...team.groupIds, id]
                      : team.groupIds.filter((other) => other !== id),
                  },
                  version,
                )
              }
            />
            {name}
          </label>
        ))}
      </fieldset>
      <button type="button" className="btn btn-ghost btn-xs mt-1" onClick={() => void remove(held)}>
        Delete this team
      </button>
    </details>
  );
}
