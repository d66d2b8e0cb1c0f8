import type { Standing } from '@umbrex/core/standing';
import type { BenchLeft } from '../contract/bench';

/** A time of a day, from minutes since midnight. */
export function clockText(minutes: number): string {
  const ofDay = ((minutes % 1440) + 1440) % 1440;
  return `${String(Math.floor(ofDay / 60)).padStart(2, '0')}:${String(ofDay % 60).padStart(2, '0')}`;
}

/** Minutes since midnight of a time as 09:30; `undefined` for anything else. */
export function minutesOfClock(text: string): number | undefined {
  const [, hours, minutes] = /^([01]\d|2[0-3]):([0-5]\d)$/.exec(text) ?? [];
  return hours === undefined ? undefined : Number(hours) * 60 + Number(minutes);
}

/** What is said beside a set that may be ticked for a bench day, where it is not simply to be loaded. */
export const STANDING_BESIDE: Readonly<Partial<Record<Standing['state'], string>>> = {
  held: 'holds it already',
  blocked: 'something has to be settled first',
  away: 'lost or broken',
  nothing: 'the plan has nothing for it',
};

/** Why a set has no place in a bench day. */
export const LEFT_TEXT: Readonly<Record<BenchLeft | 'no-time', string>> = {
  away: 'is lost or broken',
  held: 'holds already what it should',
  waits: 'waits: something has to be settled first',
  'no-way': 'nobody knows a proven way to load it',
  'no-time': 'there is no time, or nobody who may',
};

export const TASK_WAY = { keys: 'by its keys', file: 'at a stand', copy: 'copied' } as const;
export const TASK_STATE = { begun: 'under way', done: 'done', dropped: 'left out today' } as const;

/** How good a day is: when it is done, and how much earlier it could be at the very best. */
export function finishText(finishMin: number, lowerBoundMin: number, beginsMin: number): string {
  const gap = finishMin - lowerBoundMin;
  const done = `Done at ${clockText(beginsMin + finishMin)}.`;
  return gap <= 0
    ? `${done} There is no way to be done earlier.`
    : `${done} There is no way to be done before ${clockText(beginsMin + lowerBoundMin)}: at most ${gap} ${gap === 1 ? 'minute' : 'minutes'} (${Math.ceil((100 * gap) / Math.max(1, finishMin))} %) could be gained.`;
}
