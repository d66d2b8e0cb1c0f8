import type { Team } from '@umbrex/core/model';
import { useState } from 'react';
import { GroupsCarried } from '../../components/GroupsCarried';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { LabelledText } from '../../ui/LabelledText';
import type { Held } from '../desk/useHeld';
import type { usePeopleDesk } from './usePeopleDesk';

/** The teams, and the groups of channels that their sets carry. */
export function TeamsForm({ teams, head, saveCarried, people }: ReturnType<typeof usePeopleDesk>) {
  const [name, setName] = useState('');
  return (
    <div className="space-y-4">
      <div>
        <h2 className="text-lg font-bold">Teams</h2>
        {people.held.length > 0 && (
          <p className="muted text-plain">Choose somebody in the list to see their details.</p>
        )}
      </div>
      {teams.held.map((held) => (
        <TeamRow
          key={`${held.value.id} ${held.version}`}
          held={held}
          head={head}
          saveCarried={saveCarried}
          members={people.held.filter(({ value }) => value.teamIds.includes(held.value.id)).length}
          remove={teams.remove}
        />
      ))}
      <Form
        className="flex gap-2"
        send={() => {
          void teams
            .add({ id: crypto.randomUUID(), name: name.trim(), note: '' })
            .then((ok) => ok && setName(''));
        }}
      >
        <LabelledText
          title="Name of a new team"
          at="heard"
          className="grow"
          most={40}
          value={name}
          set={setName}
        />
        <Button type="submit" className="btn btn-outline btn-sm" isOff={name.trim() === ''}>
          Add a team
        </Button>
      </Form>
    </div>
  );
}

function TeamRow({
  held,
  head,
  saveCarried,
  members,
  remove,
}: Pick<ReturnType<typeof usePeopleDesk>, 'head' | 'saveCarried'> & {
  held: Held<Team>;
  members: number;
  remove: (held: Held<Team>) => Promise<boolean>;
}) {
  const { value: team } = held;
  return (
    <details className="border-b border-base-300 pb-2">
      <summary className="cursor-pointer">
        <strong>{team.name}</strong>{' '}
        <span className="muted text-small">
          {members === 1 ? '1 person' : `${members} people`}
          {team.note && `, ${team.note}`}
        </span>
      </summary>
      <p className="muted mt-1 text-small">What sets carry that are set up for this team:</p>
      <GroupsCarried
        isNamed
        of={team.name}
        groups={head.groups}
        said={head.carried.teams[team.id]}
        change={(ids) => void saveCarried('teams', team, ids)}
        isOpen
      />
      <button type="button" className="btn btn-ghost btn-xs mt-1" onClick={() => void remove(held)}>
        Delete this team
      </button>
    </details>
  );
}
