import type { FrequencyEntry } from './behaviour';

/** The steps of frequency of a set, in hertz. */
export interface Steps {
  readonly stepHz: number;
  readonly otherStepsHz?: readonly number[] | undefined;
}

/** The steps of frequency that a set has, in hertz: the one of its searches first. */
export function stepsOf({ stepHz, otherStepsHz = [] }: Steps): readonly number[] {
  return [stepHz, ...otherStepsHz];
}

/** Whether a frequency (hertz) is a whole number of one of a set's steps. */
export function isOnStep(steps: Steps, hz: number): boolean {
  return stepsOf(steps).some((stepHz) => hz % stepHz === 0);
}

/** The first frequency (hertz) from this one up that is a whole number of one of a set's steps. */
export function nextOnStep(steps: Steps, hz: number): number {
  return Math.min(...stepsOf(steps).map((stepHz) => Math.ceil(hz / stepHz) * stepHz));
}

/** The least that two different frequencies on a set's steps can lie apart, in hertz. */
export function leastApartHz(steps: Steps): number {
  const all = stepsOf(steps);
  return Math.min(...all.flatMap((a) => all.map((b) => commonPart(a, b))));
}

/** The greatest whole number that both are whole numbers of (Euclid, Elements VII.2). */
function commonPart(a: number, b: number): number {
  return b === 0 ? a : commonPart(b, a % b);
}

/** The digits that stand for a frequency (hertz); `undefined` where it cannot be typed. */
export function digitsOf(
  { digits, unitHz, completes }: FrequencyEntry,
  receive: Steps | 'unknown',
  hz: number,
): string | undefined {
  const typed = Math.floor(hz / unitHz);
  const text = String(typed).padStart(digits, '0');
  const becomes = completes ? completed(receive, typed * unitHz, unitHz) : typed * unitHz;
  return becomes === hz && text.length === digits ? text : undefined;
}

/** The frequency (hertz) that typed digits stand for; `undefined` where they are too few or too many, or nothing on its steps begins so. */
export function hzOfDigits(
  { digits, unitHz, completes }: FrequencyEntry,
  receive: Steps | 'unknown',
  text: string,
): number | undefined {
  if (text.length !== digits || !/^\d+$/.test(text)) return undefined;
  const hz = Number(text) * unitHz;
  return completes ? completed(receive, hz, unitHz) : hz;
}

/** A frequency of which only the beginning was typed: the first on one of the steps that begins so. */
function completed(receive: Steps | 'unknown', hz: number, unitHz: number): number | undefined {
  if (receive === 'unknown') return hz;
  const next = nextOnStep(receive, hz);
  return next < hz + unitHz ? next : undefined;
}
