import type { Unit } from '@umbrex/core/model';
import { useUnitChoice } from './useUnitChoice';

interface Props {
  readonly unit: Unit;
  readonly version: number;
  /** Presses that the names take, of all on the sheet. */
  readonly presses: number;
  readonly of: number;
}

/** Leaves the names of a set for another day, or has its sheet write them. */
export function NamesChoice({ unit, version, presses, of }: Props) {
  const { failure, busy, choose } = useUnitChoice();
  const isLater = unit.names === 'later';
  const names = isLater ? 'now' : 'later';
  return (
    <p className="mt-2 flex flex-wrap items-center gap-2 text-[0.93rem]">
      {isLater
        ? 'Names are left for another day: places go by number till then.'
        : `Names come last and take ${presses} of ${of} presses.`}
      <button
        type="button"
        className="btn btn-outline btn-xs"
        disabled={busy}
        onClick={() => void choose([{ unit, version }], { names })}
      >
        {isLater ? 'Write the names' : 'Leave names for later'}
      </button>
      {failure && (
        <span role="alert" className="font-semibold text-error">
          {failure}
        </span>
      )}
    </p>
  );
}
