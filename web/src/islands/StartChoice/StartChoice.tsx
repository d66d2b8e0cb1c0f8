import type { Unit } from '@umbrex/core/model';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { guarded } from '../../ui/guarded';
import { LabelledCheck } from '../../ui/LabelledCheck';
import { type HeldUnit, notLooked, useUnitChoice } from './useUnitChoice';

interface Props {
  /** The set whose sheet this is, and all of its kind of which not all is known. */
  readonly id: string;
  readonly title: string;
  readonly alike: readonly HeldUnit[];
  /** The way it would begin instead. */
  readonly start: Unit['start'];
  readonly blocked: boolean;
}

/** Chooses how the sheet of one set, or of all of its kind that nobody looked at, begins; a reset wants its holder's word. */
function StartChoiceIsland({ id, title, alike, start, blocked }: Props) {
  const [agreed, setAgreed] = useState(false);
  const { failure, busy, choose } = useUnitChoice();
  const isReset = start === 'reset';
  const unseen = notLooked(alike);
  const several = unseen.length > 1;
  const off = busy || blocked || (isReset && !agreed);
  return (
    <div className="mt-2">
      {isReset && !blocked && (
        <LabelledCheck checked={agreed} set={setAgreed} className="">
          Its holder agrees that everything in it goes{several ? '; for all of them, each holder does' : ''}
        </LabelledCheck>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button
          type="button"
          className="btn btn-outline btn-sm"
          isOff={off}
          onClick={() =>
            void choose(
              alike.filter(({ unit }) => unit.id === id),
              { start },
            )
          }
        >
          {isReset ? 'Begin with a reset' : 'Set every value instead'}
        </Button>
        {several && (
          <Button
            type="button"
            className="btn btn-ghost btn-sm"
            isOff={off}
            onClick={() => void choose(unseen, { start })}
          >
            The same for all {unseen.length} of {title} that nobody has looked at
          </Button>
        )}
      </div>
      {failure && (
        <p role="alert" className="mt-1 font-semibold text-error">
          {failure}
        </p>
      )}
    </div>
  );
}

export const StartChoice = guarded('StartChoice', StartChoiceIsland);
