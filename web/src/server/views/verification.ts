import { isOffAir } from '@umbrex/core/check';
import { checksOf } from '@umbrex/core/evidence';
import type { Prepared } from '@umbrex/core/flow';
import type { CheckKind, Description, Unit } from '@umbrex/core/model';
import { readBackLines } from '@umbrex/core/procedure';
import { verification } from '@umbrex/core/verify';
import { leftOutText, trialCaution, trialTitle } from '../../messages/verify';
import { getDb } from '../db';
import { type Desk, today } from '../desk';
import { checksFor, onAirOf } from '../sheetPage';
import { listThings } from '../store/store';

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
export async function verificationView(
  desk: Desk,
  { unit, description, prepared }: { unit: Unit; description: Description; prepared: Prepared },
): Promise<{ rows: TrialRow[]; leftOut: string }> {
  const { fit, sheet, now } = prepared;
  const { plan } = desk.state;
  const held = await listThings(getDb(), 'station', desk.workspace.id);
  const stations = held.map(({ value }) => value);
  const onAir = onAirOf(stations);
  const { checks } = checksFor(desk, { unit, fit }, [], stations);
  const lines = readBackLines(description, fit.image, sheet, now);
  const found = verification(description, lines, fit.cells, plan, {
    calls: checks.map(({ channelId }) => channelId),
    offAir: plan.channels.flatMap((channel) => (isOffAir(channel, onAir) ? [channel.id] : [])),
  });
  const names = new Map(plan.channels.map(({ id, name }) => [id, name]));
  const labels = new Map(lines.map(({ number, label }) => [number, label]));
  const done = checksOf(unit, today());
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
