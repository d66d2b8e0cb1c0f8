import type { CardSet, CardStep, CardSteps } from '@umbrex/core/card';
import { useEffect, useRef, useState } from 'react';
import { Keycaps } from '../../components/Keycaps';
import type { Report } from '../../contract/card';
import { spelled, spokenKeys } from '../../messages/keys';
import { Button } from '../../ui/Button';
import { fetchSteps, newReport, reportOf, scopeOf } from './hand';
import { keepProgress, keptProgress, type Progress } from './kept';
import { Ring } from './Ring';
import { ShowedElse } from './ShowedElse';
import type { Hand } from './useHand';

/** A swipe goes at least so far to the side, and further than up or down, in pixels. */
const SWIPE_PX = 60;

/** The steps of a set, one at a time, in reach of one thumb. How far one is stays on the phone. */
export function Steps({ hand, set }: { hand: Hand; set: CardSet }) {
  const [steps, setSteps] = useState<CardSteps | null>();
  const [progress, setProgress] = useState<Progress | null>(null);
  useEffect(() => {
    void Promise.all([fetchSteps(hand.whose, set.id), keptProgress(scopeOf(hand.whose), set.id)]).then(
      ([found, kept]) => {
        setSteps(found ?? null);
        setProgress(found && kept?.sheet === found.sheet ? kept : null);
      },
    );
  }, [hand.whose, set.id]);
  if (steps === undefined)
    return (
      <p className="p-6" role="status">
        One moment: the steps come.
      </p>
    );
  if (steps === null)
    return (
      <main id="main" className="mx-auto max-w-md p-6">
        <h1 className="text-xl font-bold">No steps for {set.nickname}</h1>
        <p className="mt-2">
          There are none to be worked by now, or they were not kept on this phone yet. {set.standing.says}
        </p>
        <a className="btn btn-outline mt-3 min-h-12" href={`#set/${set.id}`}>
          Back to {set.nickname}
        </a>
      </main>
    );
  return <Work {...{ hand, set, steps, progress, setProgress }} />;
}

interface WorkProps {
  readonly hand: Hand;
  readonly set: CardSet;
  readonly steps: CardSteps;
  readonly progress: Progress | null;
  readonly setProgress: (progress: Progress | null) => void;
}

function Work({ hand, set, steps, progress, setProgress }: WorkProps) {
  const [isBegun, setBegun] = useState(false);
  const [isAloud, setAloud] = useState(false);
  const [isElse, setElse] = useState(false);
  /** The moment at which the last step was done, for the ring of one that does not wait. */
  const [since, setSince] = useState<number | null>(null);
  const total = steps.steps.length;
  const next = progress?.next ?? 1;
  const step = steps.steps[next - 1];
  const before = steps.steps[next - 2];

  /** How far it is with what is being kept just now: a second press counts on from there. */
  const latest = useRef(progress);
  const keep = async (to: number, isDone: boolean) => {
    const done = latest.current?.done ?? 0;
    const now: Progress = {
      sheet: steps.sheet,
      next: to,
      done: Math.max(done, isDone ? to - 1 : 0),
      at: new Date().toISOString(),
    };
    latest.current = now;
    const counts = isDone && to - 1 > done;
    const report = {
      ...newReport(set.id),
      what: 'step',
      of: steps.revision,
      sheet: steps.sheet,
      step: to - 1,
      steps: total,
    } as const satisfies Report;
    const waiting = reportOf(hand.whose, hand.card, report, `${set.nickname}: step ${to - 1} of ${total}`);
    // Shown once it is kept: what is seen is there after the tab is closed. A browser that keeps nothing goes on all the same.
    await keepProgress(scopeOf(hand.whose), set.id, now, counts ? [waiting] : []).catch(() => undefined);
    setProgress(now);
    if (counts) hand.sendSoon();
  };
  const at = () => latest.current?.next ?? 1;
  const forth = () => {
    if (isElse || at() > total) return;
    setSince(Date.now());
    void keep(at() + 1, true);
  };
  const back = () => {
    if (isElse || at() <= 1) return;
    setSince(null);
    void keep(at() - 1, false);
  };

  useSpoken(isAloud && isBegun && !isElse ? step : undefined);
  useKeys(isBegun ? { forth, back } : undefined);
  const swipe = useSwipe(isBegun ? { forth, back } : undefined);

  if (!isBegun)
    return (
      <Before
        {...{ set, steps, next, total }}
        begin={() => setBegun(true)}
        anew={() => void keep(1, false)}
      />
    );
  if (!step) return <AllDone {...{ hand, set, steps, back }} />;
  const block = steps.blocks[step.block];
  const isFirst = before?.block !== step.block;
  return (
    <div className="mx-auto flex h-dvh max-w-xl flex-col" {...swipe}>
      <header className="border-b border-base-300 px-4 py-2">
        <div className="flex items-center justify-between gap-3">
          <a className="link inline-flex min-h-11 items-center" href={`#set/${set.id}`}>
            {set.nickname}
          </a>
          <button
            type="button"
            className="btn btn-ghost min-h-11"
            aria-pressed={isAloud}
            onClick={() => setAloud(!isAloud)}
          >
            {isAloud ? 'Reads aloud' : 'Read aloud'}
          </button>
          <span className="font-mono">
            {step.n} of {total}
          </span>
        </div>
        <progress
          className="progress progress-primary h-1.5 w-full"
          value={next - 1}
          max={total}
          aria-label="How far you are"
        />
        <h1 className="truncate font-semibold">{block?.title}</h1>
      </header>
      <main id="main" className="grow overflow-y-auto px-4 py-4" aria-live="polite">
        {block?.warns && (
          <p className="finding mb-3" data-severity="error">
            {block.warns}
          </p>
        )}
        {isFirst && block?.ready && (
          <p className="finding mb-3" data-severity="warning">
            Have this ready: <strong className="font-mono">{block.ready}</strong>
          </p>
        )}
        {before && before.windowS !== null && <Ring key={step.n} seconds={before.windowS} since={since} />}
        <p className="text-2xl leading-relaxed">
          <Keycaps keys={step.keys} />
        </p>
        <p className="mt-3 text-xl">{step.says}</p>
        {step.shows.length > 0 && (
          <div className="mt-5">
            <p className="muted">Then it shows</p>
            <p className="lcd whitespace-pre-wrap text-2xl">{step.shows.join('\n')}</p>
          </div>
        )}
      </main>
      <footer className="space-y-2 border-t border-base-300 bg-base-200 px-4 pt-2 pb-[max(0.75rem,env(safe-area-inset-bottom))]">
        <p className="flex gap-2">
          <button type="button" className="btn btn-ghost min-h-12 grow" onClick={() => setElse(true)}>
            It showed something else
          </button>
        </p>
        <p className="grid grid-cols-[1fr_2fr] gap-2">
          <Button type="button" className="btn btn-outline min-h-16" onClick={back} isOff={next <= 1}>
            Back
          </Button>
          <button type="button" className="btn btn-primary btn-lg min-h-16" onClick={forth}>
            {step.shows.length > 0 ? 'It shows that' : 'Done'}
          </button>
        </p>
      </footer>
      {isElse && (
        <ShowedElse
          {...{ hand, set, steps, step }}
          close={() => setElse(false)}
          goOn={(n) => void keep(n, false)}
        />
      )}
    </div>
  );
}

/** What is dangerous and what is to be ready before the first key; and where one stopped. */
function Before({
  set,
  steps,
  next,
  total,
  begin,
  anew,
}: {
  set: CardSet;
  steps: CardSteps;
  next: number;
  total: number;
  begin: () => void;
  anew: () => void;
}) {
  const isOn = next > 1 && next <= total;
  return (
    <main id="main" className="mx-auto max-w-xl px-4 pb-8 pt-3">
      <a className="link inline-flex min-h-11 items-center" href={`#set/${set.id}`}>
        {set.nickname}
      </a>
      <h1 className="text-2xl font-bold">Load {set.nickname}</h1>
      <p className="muted">
        {steps.planName}, revision {steps.revision}: {total} steps, about {steps.minutes}{' '}
        {steps.minutes === 1 ? 'minute' : 'minutes'}.
      </p>
      <section className="mt-4 rounded border-2 border-current p-3">
        <h2 className="font-bold">Hazards</h2>
        <ul className="list-disc space-y-1 pl-5">
          {steps.hazards.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </section>
      <section className="mt-3">
        <h2 className="font-bold">Before you start</h2>
        <ul className="list-disc space-y-1 pl-5">
          {steps.before.map((line) => (
            <li key={line}>{line}</li>
          ))}
          {steps.begins.length > 0 && (
            <li>
              It shows <span className="lcd whitespace-pre-wrap">{steps.begins.join('\n')}</span>. If it does
              not, do not begin.
            </li>
          )}
        </ul>
      </section>
      <div className="mt-5 space-y-2">
        {isOn && (
          <p>
            You stopped before step {next}. Go on only if the set was not used or switched off since; else{' '}
            {steps.fromAnywhere
              ? 'begin anew.'
              : 'say there that it showed something else: these steps count from what it held before.'}
          </p>
        )}
        <button type="button" className="btn btn-primary btn-lg min-h-16 w-full" onClick={begin}>
          {isOn ? `Go on at step ${next}` : next > total ? 'All steps are done' : 'Begin'}
        </button>
        {next > 1 && steps.fromAnywhere && (
          <button
            type="button"
            className="btn btn-outline min-h-14 w-full"
            onClick={() => {
              anew();
              begin();
            }}
          >
            Begin anew
          </button>
        )}
      </div>
    </main>
  );
}

/** After the last step: it is done, by one's own word. */
function AllDone({
  hand,
  set,
  steps,
  back,
}: {
  hand: Hand;
  set: CardSet;
  steps: CardSteps;
  back: () => void;
}) {
  const [isSaid, setSaid] = useState(false);
  const done = async () => {
    setSaid(true);
    await hand.say(
      set.id,
      { what: 'done', of: steps.revision, sheet: steps.sheet, way: 'keys' },
      `${set.nickname}: loaded with revision ${steps.revision}`,
    );
    window.location.hash = `#set/${set.id}`;
  };
  return (
    <main id="main" className="mx-auto max-w-xl px-4 py-6">
      <h1 className="text-2xl font-bold">All steps are done</h1>
      <p className="mt-2">
        Switch it off and on, go to two or three places and look that each shows what your card says. Then say
        so.
      </p>
      <Button
        type="button"
        className="btn btn-primary btn-lg mt-4 min-h-16 w-full"
        isOff={isSaid}
        onClick={() => void done()}
      >
        Every step showed what it should
      </Button>
      <button type="button" className="btn btn-outline mt-2 min-h-14 w-full" onClick={back}>
        Back to the last step
      </button>
    </main>
  );
}

interface Moves {
  readonly forth: () => void;
  readonly back: () => void;
}

/** Space, Enter and the arrows go on and back, where no field or button has them. */
function useKeys(moves: Moves | undefined) {
  const now = useRef(moves);
  now.current = moves;
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      // A button has its own use for the space bar, a field for all of them.
      const own =
        event.key === ' ' ? 'button, a, input, select, textarea, dialog' : 'input, select, textarea, dialog';
      if (!now.current || target.closest(own)) return;
      const move = { ' ': 'forth', ArrowRight: 'forth', ArrowLeft: 'back' }[event.key] as
        | keyof Moves
        | undefined;
      if (!move) return;
      event.preventDefault();
      now.current[move]();
    };
    window.addEventListener('keydown', pressed);
    return () => window.removeEventListener('keydown', pressed);
  }, []);
}

/** A swipe to the left goes on, to the right back. */
function useSwipe(moves: Moves | undefined) {
  const from = useRef<{ x: number; y: number } | null>(null);
  if (!moves) return {};
  return {
    onTouchStart: (event: React.TouchEvent) => {
      const touch = event.touches.item(0);
      from.current = touch && event.touches.length === 1 ? { x: touch.clientX, y: touch.clientY } : null;
    },
    onTouchEnd: (event: React.TouchEvent) => {
      const touch = event.changedTouches.item(0);
      const start = from.current;
      from.current = null;
      if (!touch || !start) return;
      const [dx, dy] = [touch.clientX - start.x, touch.clientY - start.y];
      if (Math.abs(dx) < SWIPE_PX || Math.abs(dx) < 2 * Math.abs(dy)) return;
      (dx < 0 ? moves.forth : moves.back)();
    },
  };
}

/** Reads a step by the browser's own voice, with the keys spelled. */
function useSpoken(step: CardStep | undefined) {
  useEffect(() => {
    if (!step || !('speechSynthesis' in window)) return;
    const shows = step.shows.length > 0 ? ` Then it shows ${step.shows.map(spelled).join('. ')}.` : '';
    window.speechSynthesis.cancel();
    window.speechSynthesis.speak(
      new SpeechSynthesisUtterance(`${spokenKeys(step.keys)}. ${step.says}${shows}`),
    );
    return () => window.speechSynthesis.cancel();
  }, [step]);
}
