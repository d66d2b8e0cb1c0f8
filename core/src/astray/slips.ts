import { type Run, TAP_MS } from '../procedure/index';

/** What a hand does wrong without noticing it: a key missed, pressed twice, held too long or too short, or so late that the set has stopped waiting. */
export const SLIPS = ['missed', 'twice', 'held', 'short', 'late'] as const;
export interface Slip {
  readonly kind: (typeof SLIPS)[number];
  /** The key, by its id. */
  readonly key: string;
  /** Which of the presses of the step it is, from 0. */
  readonly at: number;
}

/** One press of a step, with what is held meanwhile; or anything else that a step asks for, as it is. */
export type Act =
  | {
      readonly do: 'press';
      readonly key: string;
      readonly heldMs: number | undefined;
      readonly with: readonly string[];
      readonly when: string | undefined;
    }
  | { readonly do: 'other'; readonly run: Run };

/** A step, press by press. */
export function actsOf(runs: readonly Run[]): Act[] {
  return runs.flatMap((run): Act[] =>
    run.do === 'press'
      ? Array.from({ length: run.times }, () => ({
          do: 'press' as const,
          key: run.key,
          heldMs: run.heldMs,
          with: run.with ?? [],
          when: run.when,
        }))
      : [{ do: 'other', run }],
  );
}

/** Acts as runs again. */
export const runsOf = (acts: readonly Act[]): Run[] =>
  acts.map(
    (act): Run =>
      act.do === 'other'
        ? act.run
        : {
            do: 'press',
            key: act.key,
            times: 1,
            ...(act.heldMs !== undefined && { heldMs: act.heldMs }),
            ...(act.with.length > 0 && { with: act.with }),
            ...(act.when !== undefined && { when: act.when }),
          },
  );

/** Longer than sets take for a key that is held, and shorter than they reset by, in milliseconds (common practice). */
const TOO_LONG_MS = 2600;

/** The slips that a step gives room for. Of like presses in a row the last one stands for all: it comes to the same. */
export function slipsOf(acts: readonly Act[], windowMs: number | undefined): Slip[] {
  return acts.flatMap((act, at): Slip[] => {
    if (act.do !== 'press') {
      // A key that is turned until something shows: one short of it, or one too far.
      return act.run.do === 'until'
        ? [
            { kind: 'missed', key: act.run.key, at },
            { kind: 'twice', key: act.run.key, at },
          ]
        : [];
    }
    const next = acts[at + 1];
    const isLast = next?.do !== 'press' || next.key !== act.key || next.heldMs !== act.heldMs;
    if (!isLast) return [];
    const of = (kind: Slip['kind']): Slip => ({ kind, key: act.key, at });
    return [
      of('missed'),
      of('twice'),
      ...(windowMs === undefined ? [] : [of('late')]),
      of(act.heldMs === undefined ? 'held' : 'short'),
    ];
  });
}

/**
 * A step with a slip in it.
 * @param windowMs how long the set waits for a key, in milliseconds
 */
export function withSlip(acts: readonly Act[], { kind, at }: Slip, windowMs: number | undefined): Run[] {
  const act = acts[at];
  const [before, after] = [runsOf(acts.slice(0, at)), runsOf(acts.slice(at + 1))];
  if (!act) return runsOf(acts);
  const [run] = runsOf([act]);
  if (!run) return runsOf(acts);
  if (act.do === 'other') {
    if (act.run.do !== 'until') return runsOf(acts);
    const { key, heldMs } = act.run;
    const once: Run = { do: 'press', key, times: 1, ...(heldMs !== undefined && { heldMs }) };
    // One short of it cannot be told beforehand: it is turned not at all.
    return kind === 'twice' ? [...before, run, once, ...after] : [...before, ...after];
  }
  switch (kind) {
    case 'missed':
      return [...before, ...after];
    case 'twice':
      return [...before, run, run, ...after];
    case 'late':
      return [...before, { do: 'wait', ms: (windowMs ?? 0) + 700 }, run, ...after];
    case 'held':
      return [...before, ...runsOf([{ ...act, heldMs: TOO_LONG_MS }]), ...after];
    case 'short':
      return [...before, ...runsOf([{ ...act, heldMs: TAP_MS }]), ...after];
    default:
      return kind satisfies never;
  }
}
