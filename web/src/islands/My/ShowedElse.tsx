import type { CardSet, CardStep, CardSteps } from '@umbrex/core/card';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { Keycaps } from '../../components/Keycaps';
import { harmText, slipText } from '../../messages/astray';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { LabelledText } from '../../ui/LabelledText';
import type { AstrayJob } from '../../workers/astray.worker';
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
type Choice = ReturnType<AstrayJob['elseShown']>[number];
type Led = ReturnType<AstrayJob['leadBack']>;

/** A step showed something else than it should: what that was, whether anything was harmed, and the shortest way back. */
export function ShowedElse({ hand, set, steps, step, close, goOn }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const [choices, setChoices] = useState<readonly Choice[] | 'failed' | null>(null);
  const [chosen, setChosen] = useState<Choice | 'none' | null>(null);
  const [led, setLed] = useState<Led | 'failed' | null>(null);
  useEffect(() => {
    dialog.current?.showModal();
    // The virtual set works in the background; without it there is still the way back that always works.
    import('../../workers/astrayClient')
      .then(({ astray }) => astray().elseShown(steps, step.n))
      .then(setChoices, () => setChoices('failed'));
  }, [steps, step]);
  const choose = (choice: Choice) => {
    setChosen(choice);
    setLed(null);
    import('../../workers/astrayClient')
      .then(({ astray }) => astray().leadBack(steps, step.n, choice.slip))
      .then(setLed, () => setLed('failed'));
  };
  const known = Array.isArray(choices) ? choices : [];
  const goes = (n: number) => {
    goOn(n);
    dialog.current?.close();
  };
  return (
    <dialog ref={dialog} className="modal modal-bottom" onClose={close} aria-labelledby="else">
      <div className="modal-box max-h-[88dvh] max-w-xl overflow-y-auto bg-base-100">
        <h2 id="else" className="text-xl font-bold">
          Step {step.n} showed something else
        </h2>
        {chosen === null && (
          <>
            {choices === null && <p role="status">One moment: it is tried on a virtual set.</p>}
            {known.length > 0 && <p className="mt-1">Which of these does it show?</p>}
            <ul className="mt-2 space-y-2">
              {known.map((choice) => (
                <li key={choice.shows.join('\n')}>
                  <button
                    type="button"
                    className="btn btn-outline h-auto min-h-14 w-full justify-start py-2 text-left"
                    onClick={() => choose(choice)}
                  >
                    {choice.shows.length === 0 ? (
                      'nothing at all'
                    ) : (
                      <span className="whitespace-pre-wrap font-mono text-lg">{choice.shows.join('\n')}</span>
                    )}
                  </button>
                </li>
              ))}
              {choices !== null && (
                <li>
                  <button
                    type="button"
                    className="btn btn-ghost min-h-14 w-full"
                    onClick={() => setChosen('none')}
                  >
                    {known.length > 0 ? 'None of these' : 'What now?'}
                  </button>
                </li>
              )}
            </ul>
          </>
        )}
        {chosen !== null && chosen !== 'none' && led === null && (
          <p role="status" className="mt-2">
            One moment: the way back is tried on a virtual set.
          </p>
        )}
        {chosen !== null && chosen !== 'none' && led !== null && led !== 'failed' && (
          <section className="mt-2" aria-live="polite">
            <p>
              Most likely {slipText(chosen.slip.kind, chosen.legend)}. {harmText(led, led.back !== null)}
            </p>
            {led.back ? (
              <>
                {led.back.keys.length > 0 && (
                  <WayOn title="To come back">
                    {led.back.keys.map((keys, i) => (
                      // biome-ignore lint/suspicious/noArrayIndexKey: they are done in this order, and may be the same twice
                      <li key={i}>
                        <Keycaps keys={keys} />
                      </li>
                    ))}
                  </WayOn>
                )}
                <button
                  type="button"
                  className="btn btn-primary btn-lg mt-3 min-h-16 w-full"
                  onClick={() => goes(led.back?.goOn ?? step.n)}
                >
                  Then go on at step {led.back.goOn}
                </button>
                <p className="muted mt-1 text-plain">Tried to the end on {led.tried} virtual sets.</p>
              </>
            ) : (
              <p className="finding mt-2" data-severity="error">
                No way on was found that ends right. Stop here and tell your coordinator.
              </p>
            )}
          </section>
        )}
        {(chosen === 'none' || led === 'failed' || (led !== null && led.back === null)) && (
          <Other {...{ hand, set, steps, step }} anew={() => goes(1)} />
        )}
        <button
          type="button"
          className="btn btn-outline mt-4 min-h-14 w-full"
          onClick={() => dialog.current?.close()}
        >
          Back to the step
        </button>
      </div>
    </dialog>
  );
}

function WayOn({ title, children }: { title: string; children: ReactNode }) {
  return (
    <>
      <h3 className="mt-3 font-semibold">{title}</h3>
      <ol className="mt-1 list-decimal space-y-2 pl-6 text-xl">{children}</ol>
    </>
  );
}

/** What is left where nobody knows what happened: the way that works from everywhere, and whom to tell. */
function Other({
  hand,
  set,
  steps,
  step,
  anew,
}: Pick<Props, 'hand' | 'set' | 'steps' | 'step'> & { anew: () => void }) {
  const [shown, setShown] = useState('');
  const [isSaid, setSaid] = useState(false);
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
    <>
      {steps.way && (
        <>
          <WayOn title="Back to where the steps begin, whatever it shows">
            {steps.way.map((one) => (
              <li key={one.says}>
                <Keycaps keys={one.keys} /> <span className="text-plain">{one.says}</span>
              </li>
            ))}
          </WayOn>
          {steps.fromAnywhere ? (
            <button type="button" className="btn btn-primary mt-3 min-h-14 w-full" onClick={anew}>
              Then begin anew at step 1
            </button>
          ) : (
            <p className="mt-2">
              These steps count from what the set held before, so they cannot be begun anew. Tell your
              coordinator below: then the card has new ones, which set everything.
            </p>
          )}
        </>
      )}
      <Form className="mt-4 space-y-2" send={() => say()}>
        <LabelledText
          title="If it keeps doing so, write what it shows, letter by letter"
          value={shown}
          set={setShown}
          most={80}
          isExact
          width="min-h-12 w-full text-lg"
        />
        <Button
          type="submit"
          className="btn btn-outline min-h-12 w-full"
          isOff={isSaid || shown.trim() === ''}
        >
          {isSaid ? 'Noted for your coordinator' : 'Tell your coordinator, and stop here'}
        </Button>
      </Form>
    </>
  );
}
