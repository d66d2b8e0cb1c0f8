import type { Unit } from '@umbrex/core/model';
import { useState } from 'react';
import { call, failureText } from '../desk/api';

export interface HeldUnit {
  readonly unit: Unit;
  readonly version: number;
}

/** The sets that a choice for all of a kind is for: those that nobody looked at, and in which nobody keeps anything. */
export function notLooked(sets: readonly HeldUnit[]): HeldUnit[] {
  return sets.filter(({ unit }) => unit.keeps.length === 0 && unit.holds.places.length === 0);
}

/** Keeps a choice with one or several sets, one after another, and loads the page anew; what stopped it is said. */
export function useUnitChoice() {
  const [failure, setFailure] = useState('');
  const [busy, setBusy] = useState(false);
  const choose = async (sets: readonly HeldUnit[], change: Partial<Unit>) => {
    setBusy(true);
    setFailure('');
    try {
      for (const { unit, version } of sets)
        await call(
          'PUT /api/units/[unitId]',
          { unitId: unit.id },
          { version, value: { ...unit, ...change } },
        );
      window.location.reload();
    } catch (error) {
      setBusy(false);
      setFailure(
        failureText(error, 'Somebody changed one of these sets meanwhile. Load the page again, then choose.'),
      );
    }
  };
  return { failure, busy, choose };
}
