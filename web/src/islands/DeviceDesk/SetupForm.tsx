import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { LabelledSelect } from '../../ui/LabelledSelect';
import type { Kind, Settings } from './useDeviceDesk';

interface Props {
  kind: Kind;
  teams: readonly { id: string; name: string }[];
  /** What is wanted on the kind: by everybody for an empty id, else by one team or role. */
  wantedOn: (roleId: string) => Settings;
  save: (roleId: string, settings: Settings) => Promise<void>;
}

const AS_IT_IS = '';
const EVERYBODY = '';

/** What the group wants set alike on every set of a kind, or on those of one role; their sheets then set it and have it read back. */
export function SetupForm({ kind, teams, wantedOn, save }: Props) {
  const [roleId, setRoleId] = useState(EVERYBODY);
  const [settings, setSettings] = useState(wantedOn(EVERYBODY));
  const wanted = wantedOn(roleId);
  const isTouched = JSON.stringify(settings) !== JSON.stringify(wanted);
  const count = Object.keys(wantedOn(EVERYBODY)).length;
  const roles = teams.filter(({ id }) => Object.keys(wantedOn(id)).length > 0);
  const role = teams.find(({ id }) => id === roleId);
  const byRole = roles.length > 0 ? `, and by role for ${roles.map(({ name }) => name).join(', ')}` : '';
  return (
    <details className="border-b border-base-300 py-1">
      <summary className="cursor-pointer text-small">
        Settings of the whole set: {count === 0 ? 'as each has them' : `${count} alike for all`}
        {byRole}
        <span className="sr-only">, {kind.title}</span>
      </summary>
      <Form className="flex flex-wrap items-end gap-3 py-2" send={() => save(roleId, settings)}>
        {teams.length > 0 && (
          <LabelledSelect
            title="On sets for"
            value={roleId}
            options={[[EVERYBODY, 'everybody'], ...teams.map(({ id, name }) => [id, name] as const)]}
            set={(id) => {
              setRoleId(id);
              setSettings(wantedOn(id));
            }}
            width="w-40"
          />
        )}
        {kind.settings.map(({ id, title, values, factory }) => (
          <LabelledSelect
            key={id}
            title={title}
            value={settings[id] === undefined ? AS_IT_IS : String(settings[id])}
            options={[
              [AS_IT_IS, role ? 'as for everybody' : 'as each set has it'],
              ...values.map((shown, i) => [String(i), i === factory ? `${shown} (as made)` : shown] as const),
            ]}
            set={(text) => {
              const { [id]: _, ...rest } = settings;
              setSettings(text === AS_IT_IS ? rest : { ...rest, [id]: Number(text) });
            }}
            width="w-44"
          />
        ))}
        <Button type="submit" className="btn btn-outline btn-sm" isOff={!isTouched}>
          {role ? `Save for the ${kind.title}s of ${role.name}` : `Save for every ${kind.title}`}
        </Button>
      </Form>
    </details>
  );
}
