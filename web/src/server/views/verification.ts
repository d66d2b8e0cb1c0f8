import { checksOf } from '@umbrex/core/evidence';
import type { CheckKind } from '@umbrex/core/model';
import { channelNames } from '../../messages/channelState';
import { leftOutText, trialCaution, trialTitle } from '../../messages/verify';
import { today } from '../day';
import type { Desk } from '../desk';
import { type PreparedSet, toTryFor } from '../verification';

/** One thing to try on a set, in words, with what came of it since it was loaded. */
export interface TrialRow {
  readonly check: CheckKind;
  readonly number: number | null;
  readonly title: string;
  /** What it shows, for the places it stands for. */
  readonly shows: string;
  readonly caution: string;
  readonly result: 'pass' | 'fail' | 'undecided' | null;
  readonly isOld: boolean;
}

/** What is to be tried on a set once it is loaded: the same on its sheet and where its results are written down. */
export function verificationView(desk: Desk, set: PreparedSet): { rows: TrialRow[]; leftOut: string } {
  const { plan } = desk.state;
  const { lines, found } = toTryFor(desk)(set);
  const names = channelNames(plan);
  const labels = new Map(lines.map(({ number, label }) => [number, label]));
  const done = checksOf(set.unit, today());
  return {
    rows: found.trials.map((trial) => {
      const { check, slotNumber: number, channelId, covers } = trial;
      const label = labels.get(number ?? -1);
      const name = names.get(channelId ?? '');
      const result = done.find((one) => one.check === check && one.number === number);
      return {
        check,
        number,
        title: trialTitle(check, [name, label && `place ${label}`].filter(Boolean).join(', ')),
        shows: covers.filter((thing) => !thing.startsWith('blocked at')).join(', '),
        caution: trialCaution(trial),
        result: result?.evidence.result ?? null,
        isOld: result?.isOld ?? false,
      };
    }),
    leftOut: leftOutText(found),
  };
}
