import type { CardSet, CardStep, CardSteps } from '@umbrex/core/card';
import { useEffect, useRef, useState } from 'react';
import { Keycaps } from '../../components/Keycaps';
import type { Hand } from './useHand';

interface Props {
  readonly hand: Hand;
  readonly set: CardSet;
  readonly steps: CardSteps;
  readonly step: CardStep;
  readonly close: () => void;
  /** Goes on at a step. */
  readonly goOn: (n: number) => void;
}

/** A step showed something else than it should: what to do now, and to whom to say it. */
export function ShowedElse({ hand, set, steps, step, close }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const [shown, setShown] = useState('');
  const [isSaid, setSaid] = useState(false);
  useEffect(() => dialog.current?.showModal(), []);
  const say = async () => {
    setSaid(true);
    await hand.say(
      set.id,
      {
        what: 'showed',
        of: steps.revision,
        sheet: steps.sheet,
        step: step.n,
        showed: shown.trim(),
        note: '',
      },
      `${set.nickname}: step ${step.n} showed ${shown.trim()}`,
    );
  };
  return (
    <dialog ref={dialog} className="modal modal-bottom" onClose={close} aria-labelledby="else">
      <div className="modal-box max-h-[85dvh] max-w-xl overflow-y-auto bg-base-100">
        <h2 id="else" className="text-xl font-bold">
          Step {step.n} showed something else
        </h2>
        {steps.way && (
          <section className="mt-3">
            <h3 className="font-semibold">Go back to where the steps begin, whatever it shows</h3>
            <ol className="mt-1 list-decimal space-y-2 pl-6 text-lg">
              {steps.way.map((one) => (
                <li key={one.says}>
                  <Keycaps keys={one.keys} /> {one.says}
                </li>
              ))}
            </ol>
          </section>
        )}
        <form
          className="mt-4 space-y-2"
          onSubmit={(event) => {
            event.preventDefault();
            void say();
          }}
        >
          <label className="block">
            <span>If it keeps doing so, write what it shows, letter by letter</span>
            <input
              className="input min-h-12 w-full font-mono text-lg"
              value={shown}
              maxLength={80}
              autoComplete="off"
              onChange={(event) => setShown(event.target.value)}
            />
          </label>
          <button
            type="submit"
            className="btn btn-outline min-h-12 w-full"
            disabled={isSaid || shown.trim() === ''}
          >
            {isSaid ? 'Your coordinator is told' : 'Tell your coordinator, and stop here'}
          </button>
        </form>
        <button
          type="button"
          className="btn btn-primary mt-3 min-h-14 w-full"
          onClick={() => dialog.current?.close()}
        >
          Back to the step
        </button>
      </div>
    </dialog>
  );
}
