import { ASTRAY_TRIES, elseShown, type Led, leadBack, type Slip, type Work } from '@umbrex/core/astray';
import type { CardSteps } from '@umbrex/core/card';
import { type Description, slotsOf } from '@umbrex/core/model';
import { type DrawnKeys, drawn } from '@umbrex/core/procedure';
import { expose } from 'comlink';

let current: { sheet: string; work: Work } | undefined;

/** The steps as a virtual set works through them; kept as long as they are the same. */
function workOf({ sheet, device, steps }: CardSteps): Work {
  if (current?.sheet === sheet) return current.work;
  const work: Work = {
    // As the server gave it with the steps, which were proven with it.
    description: device.description as Description,
    now: { slots: new Map(device.slots), settings: device.settings },
    picked: device.picked,
    steps: steps.map(({ runs, block }) => ({ runs, block })),
  };
  current = { sheet, work };
  return work;
}

/** A way back, as it is drawn. */
export interface Back {
  readonly keys: readonly (readonly DrawnKeys[])[];
  readonly goOn: number;
}

const job = {
  /** What the set could show after a step when the hand slipped. */
  elseShown: (steps: CardSteps, n: number) => {
    const { description } = workOf(steps);
    return elseShown(workOf(steps), n).map(({ slip, shows }) => ({
      slip,
      shows,
      legend: description.keys[slip.key] ?? slip.key,
    }));
  },
  /** What that did, and the shortest way on. */
  leadBack: (
    steps: CardSteps,
    n: number,
    slip: Slip,
  ): Pick<Led, 'sent'> & { tried: number; harmed: string[]; settings: string[]; back: Back | null } => {
    const work = workOf(steps);
    const { description } = work;
    const { harmed, settings, sent, back } = leadBack(work, n, slip);
    const labels = new Map(slotsOf(description).map(({ number, label }) => [number, label]));
    return {
      sent,
      tried: ASTRAY_TRIES,
      harmed: harmed.map((number) => labels.get(number) ?? String(number)),
      settings: settings.map((id) => description.settings.find((one) => one.id === id)?.title ?? id),
      back: back && { keys: back.runs.map((runs) => drawn(runs, description.keys)), goOn: back.goOn },
    };
  },
};
export type AstrayJob = typeof job;
expose(job);
