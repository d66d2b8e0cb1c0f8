import type { CheckKind } from '@umbrex/core/model';
import { RESULT_TEXT } from '../../messages/rollout';
import { Button } from '../../ui/Button';

type Result = keyof typeof RESULT_TEXT;
const RESULTS = Object.keys(RESULT_TEXT) as Result[];
const BUTTON = { pass: 'Right', fail: 'Wrong', undecided: 'Undecided' } as const;

/** One thing to try, in words. */
export interface Trial {
  readonly check: CheckKind;
  readonly number: number | null;
  readonly title: string;
  readonly shows: string;
  readonly caution: string;
}

/** The same with what came of it since the set was loaded. */
export interface TrialNow extends Trial {
  readonly result: Result | null;
  readonly isOld: boolean;
}

interface Props {
  readonly rows: readonly TrialNow[];
  readonly leftOut: string;
  readonly busy: boolean;
  readonly say: (trial: Trial, result: Result) => void;
}

/** What is to be tried on a set, each with what came of it, or with one press for how it was. */
export function Trials({ rows, leftOut, busy, say }: Props) {
  return (
    <>
      <p className="muted text-plain">
        Each thing that could be wrong, once. Silence is undecided, not right. {leftOut}
      </p>
      <ul aria-label="What to try">
        {rows.map((trial) => (
          <li
            key={`${trial.check} ${trial.number}`}
            className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 border-t border-base-300 py-1.5"
          >
            <span className="min-w-48 flex-1">
              {trial.title}
              {trial.shows && <span className="muted text-small"> ({trial.shows})</span>}
              {trial.caution && <strong className="block text-small">{trial.caution}</strong>}
            </span>
            <span className="flex items-center gap-1">
              {trial.result && (
                <span className="mr-1 text-small font-semibold">
                  {RESULT_TEXT[trial.result]}
                  {trial.isOld && ', long ago'}
                </span>
              )}
              {RESULTS.map((result) => (
                <Button
                  key={result}
                  type="button"
                  className="btn btn-outline btn-sm"
                  // One that is disabled while it is pressed loses the focus.
                  isOff={busy}
                  aria-label={`${BUTTON[result]}: ${trial.title}`}
                  onClick={() => !busy && say(trial, result)}
                >
                  {BUTTON[result]}
                </Button>
              ))}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}
