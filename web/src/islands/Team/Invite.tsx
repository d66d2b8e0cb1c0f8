import { useState } from 'react';
import { ROLES, type Role } from '../../contract/roles';
import { Button } from '../../ui/Button';
import { named } from '../../ui/bound';
import { Form } from '../../ui/Form';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
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
      <Form
        className="mt-2 flex flex-wrap items-end gap-3"
        send={() => {
          const who = { name: name.trim(), personId: personId || null };
          void make(
            role === 'enrol' ? { kind: 'enrol', ...who } : { kind: 'invite', role, ...who },
            role === 'enrol'
              ? `${who.name} tells us of their set`
              : `An invitation for ${who.name} as ${role}`,
          );
        }}
      >
        <LabelledSelect
          title="Somebody of the roster"
          value={personId}
          options={named(people, 'somebody else')}
          set={(id) => {
            setPersonId(id);
            const person = people.find((one) => one.id === id);
            if (person) setName(person.name);
          }}
          width="w-52"
        />
        <LabelledText title="Name" value={name} set={setName} most={60} width="w-52" />
        <LabelledSelect
          title="For what"
          value={role}
          options={[
            ...ROLES.map((entry) => [entry, `an account as ${entry}`] as const),
            ['enrol', 'to tell us of their set, no account'],
          ]}
          set={setRole}
          width="w-60"
        />
        <Button type="submit" className="btn btn-primary btn-sm" isOff={name.trim() === ''}>
          Make a link
        </Button>
      </Form>
    </section>
  );
}
