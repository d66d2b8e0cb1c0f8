import type { Naming, Unit } from '@umbrex/core/model';
import { useState } from 'react';
import { NAMING_OPTIONS } from '../../messages/naming';
import { Button } from '../../ui/Button';
import { guarded } from '../../ui/guarded';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { useUnitChoice } from './useUnitChoice';

interface Props {
  readonly unit: Unit;
  readonly version: number;
  /** What the plan says of names on this kind of set. */
  readonly byPlan: string;
  /** Presses that the names take, of all on the sheet; none where they are not written. */
  readonly presses: number;
  readonly of: number;
}

/** Whether the sheet of a set writes names, where that is not as the plan says. */
function NamesChoiceIsland({ unit, version, byPlan, presses, of }: Props) {
  const { failure, busy, choose } = useUnitChoice();
  const [names, setNames] = useState<Naming | 'plan'>(unit.names);
  return (
    <div className="mt-2 text-plain">
      <p>
        {presses > 0
          ? `Names come last and take ${presses} of ${of} presses.`
          : 'Names are not written: places go by what their display shows.'}{' '}
        The plan says: {byPlan}.
      </p>
      <div className="flex flex-wrap items-end gap-2">
        <LabelledSelect
          title="Names on this set"
          value={names}
          options={NAMING_OPTIONS}
          set={setNames}
          width="w-72"
        />
        <Button
          type="button"
          className="btn btn-outline btn-sm"
          isOff={busy || names === unit.names}
          onClick={() => void choose([{ unit, version }], { names })}
        >
          Set it so
        </Button>
      </div>
      {failure && (
        <p role="alert" className="font-semibold text-error">
          {failure}
        </p>
      )}
    </div>
  );
}

export const NamesChoice = guarded('NamesChoice', NamesChoiceIsland);
