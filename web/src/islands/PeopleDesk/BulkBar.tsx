import { useState } from 'react';
import { Button } from '../../ui/Button';
import { named } from '../../ui/bound';
import { LabelledDay } from '../../ui/LabelledDay';
import { LabelledSelect } from '../../ui/LabelledSelect';
import type { usePeopleDesk } from './usePeopleDesk';

/** One change for everybody who is chosen: a team, a licence's end, or out of the list. */
export function BulkBar({ chosen, teams, bulk }: ReturnType<typeof usePeopleDesk>) {
  const [teamId, setTeamId] = useState(teams.held[0]?.value.id ?? '');
  const [expires, setExpires] = useState('');
  const who = chosen.size === 1 ? 'one person' : `${chosen.size} people`;
  return (
    <div className="sticky bottom-0 flex flex-wrap items-end gap-3 border-t border-base-content/40 bg-base-200 py-3 max-md:bottom-14">
      <LabelledSelect
        title={`For ${who}`}
        value={teamId}
        options={named(teams.held.map(({ value }) => value))}
        set={setTeamId}
        width="w-40"
      />
      <Button
        type="button"
        className="btn btn-outline btn-sm"
        isOff={!teamId}
        onClick={() => void bulk({ do: 'join', teamId })}
      >
        Into the team
      </Button>
      <Button
        type="button"
        className="btn btn-outline btn-sm"
        isOff={!teamId}
        onClick={() => void bulk({ do: 'leave', teamId })}
      >
        Out of the team
      </Button>
      <LabelledDay title="GMRS licence ends on" value={expires} set={setExpires} width="" />
      <Button
        type="button"
        className="btn btn-outline btn-sm"
        isOff={expires === ''}
        onClick={() =>
          void bulk({
            do: 'licence',
            licence: { service: 'gmrs', holds: 'own', expires, callSign: '', class: '' },
          })
        }
      >
        Set it
      </Button>
      <button
        type="button"
        className="btn btn-outline btn-error btn-sm"
        onClick={() => void bulk({ do: 'delete' })}
      >
        Delete {who}
      </button>
    </div>
  );
}
