import { CalendarClock, Ellipsis, Map as MapIcon, Radio } from 'lucide-react';
import { type ReactNode, useEffect, useRef } from 'react';
import { guarded } from '../../ui/guarded';
import { fetchAhead } from './ahead';
import { More } from './More';
import { keepForOffline } from './offline';
import { PlanView } from './PlanView';
import { Sets } from './Sets';
import { SetView } from './SetView';
import { Steps } from './Steps';
import { Today } from './Today';
import { useHand } from './useHand';
import { type Place, usePlace } from './usePlace';

const BAR = [
  ['today', 'Today', CalendarClock],
  ['sets', 'My sets', Radio],
  ['plan', 'Plan', MapIcon],
  ['more', 'More', Ellipsis],
] as const;

const ENDED = {
  link: [
    'This link shows nothing any more',
    'It is over, or was taken back. What was kept here of it is gone. Ask your coordinator for a new one.',
  ],
  session: ['You are not signed in', 'What was kept here of your card is gone. Sign in to see it again.'],
  'no-plan': ['There is no such plan', 'It may have been put away. Ask your coordinator.'],
} as const;

/** What a member has in the hand: today, their sets, the plan, and what else there is, with or without a network. */
function MyIsland() {
  const hand = useHand();
  const place = usePlace();
  const { card, ended, isAsked, isFresh } = hand;
  useEffect(() => {
    if (card && isFresh) void keepForOffline();
  }, [card, isFresh]);
  // What each set may be asked for is fetched once a visit, and again when something new was published.
  const ahead =
    card && isFresh
      ? `${card.planId} ${card.revision} ${card.sets.map(({ id, hasSteps }) => `${id} ${hasSteps}`).join()}`
      : '';
  const latest = useRef(hand);
  latest.current = hand;
  useEffect(() => {
    const { whose, card: now } = latest.current;
    if (ahead && now) void fetchAhead(whose, now).catch(() => undefined);
  }, [ahead]);
  if (ended)
    return (
      <Message title={ENDED[ended][0]}>
        <p>{ENDED[ended][1]}</p>
        {ended === 'session' && (
          <a className="btn btn-primary mt-3 min-h-12" href="/sign-in?to=%2Fmy">
            Sign in
          </a>
        )}
      </Message>
    );
  if (!card)
    return isAsked ? (
      <Message title="No network, and nothing kept here">
        <p>This card was not opened on this phone yet. Open it once with a network; then it works without.</p>
      </Message>
    ) : (
      <p className="p-6" role="status">
        One moment: your card comes.
      </p>
    );
  const all = { ...hand, card };
  const set = card.sets.find(({ id }) => id === place.id);
  if (place.view === 'steps' && set) return <Steps key={set.id} hand={all} set={set} />;
  return (
    <div className="mx-auto flex min-h-dvh max-w-xl flex-col">
      <main id="main" className="grow px-4 pb-24 pt-3">
        {place.view === 'set' && set ? (
          <SetView key={set.id} hand={all} set={set} />
        ) : place.view === 'sets' || place.view === 'set' || place.view === 'steps' ? (
          <Sets hand={all} />
        ) : place.view === 'plan' ? (
          <PlanView hand={all} />
        ) : place.view === 'more' ? (
          <More hand={all} />
        ) : (
          <Today hand={all} />
        )}
      </main>
      <Bar place={place} waits={hand.waiting.length} />
    </div>
  );
}

function Bar({ place, waits }: { place: Place; waits: number }) {
  const at = place.view === 'set' ? 'sets' : place.view;
  return (
    <nav
      aria-label="Your card"
      className="fixed inset-x-0 bottom-0 border-t border-base-300 bg-base-200 pb-[env(safe-area-inset-bottom)]"
    >
      <ul className="mx-auto grid max-w-xl grid-cols-4">
        {BAR.map(([view, title, Icon]) => (
          <li key={view}>
            <a
              href={`#${view}`}
              aria-current={at === view ? 'page' : undefined}
              className={`flex min-h-14 flex-col items-center justify-center gap-0.5 border-t-4 text-small ${at === view ? 'border-primary bg-base-100 font-bold' : 'border-transparent'}`}
            >
              <Icon size={20} aria-hidden="true" />
              <span>
                {title}
                {view === 'more' && waits > 0 && (
                  <span className="ml-1 font-mono text-accent">
                    {waits}
                    <span className="sr-only"> waiting to be sent</span>
                  </span>
                )}
              </span>
            </a>
          </li>
        ))}
      </ul>
    </nav>
  );
}

function Message({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main id="main" className="mx-auto max-w-md p-6">
      <h1 className="text-xl font-bold">{title}</h1>
      <div className="mt-2">{children}</div>
    </main>
  );
}

export const My = guarded('My', MyIsland);
