import type { PlanCountry } from '@umbrex/core/facts';
import { useState } from 'react';
import { countryChoices } from '../../messages/countries';
import { Button } from '../../ui/Button';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import { call } from '../desk/api';
import { Fault } from '../SignIn/fields';

export interface AccountProps {
  signedIn: boolean;
  secondFactor: boolean;
  workspaces: readonly { id: string; name: string; now: boolean }[];
  /** Whether they may start a further workspace. */
  mayStart: boolean;
}

import { Form } from '../../ui/Form';
import { useSend } from './useSend';

/** The groups that an account belongs to, and for a coordinator a further one. */
export function Workspaces({ workspaces, mayStart }: Pick<AccountProps, 'workspaces' | 'mayStart'>) {
  const [name, setName] = useState('');
  const { fault, send } = useSend();
  const [country, setCountry] = useState<PlanCountry>('unknown');
  const start = async () => {
    if (country === 'unknown') return;
    await call('POST /api/workspaces', {}, { name: name.trim(), country });
    window.location.assign('/');
  };
  return (
    <section>
      <h2 className="font-bold">Groups you belong to</h2>
      <ul>
        {workspaces.map(({ id, name, now }) => (
          <li key={id} className="flex items-center gap-3 py-1">
            {name}
            {now ? (
              <span className="muted">here now</span>
            ) : (
              <button
                type="button"
                className="btn btn-outline btn-xs"
                onClick={() =>
                  void call('PUT /api/session/workspace', {}, { workspaceId: id }).then(() =>
                    window.location.assign('/'),
                  )
                }
              >
                Go there
              </button>
            )}
          </li>
        ))}
      </ul>
      {mayStart && (
        <Form className="mt-2 space-y-2" send={() => send(start)}>
          <LabelledText title="Another group, with a plan and people of its own" value={name} set={setName} />
          <LabelledSelect
            title="Whose rules its plan follows"
            value={country}
            options={countryChoices(country)}
            set={setCountry}
          />
          <Fault text={fault} />
          <Button
            type="submit"
            className="btn btn-outline btn-sm"
            isOff={!name.trim() || country === 'unknown'}
          >
            Start it
          </Button>
        </Form>
      )}
    </section>
  );
}
