import { useEffect, useState } from 'react';
import { ageText, momentText, stateText } from '../../messages/card';
import { OnPaper } from './OnPaper';
import { isKept } from './offline';
import { Age } from './parts';
import { canKeep } from './shell';
import type { Hand } from './useHand';

/** What waits to be sent, whether the card works without a network, on paper, and the way to the desk. */
export function More({ hand }: { hand: Hand }) {
  const { card, whose, waiting, nowMs } = hand;
  const [kept, setKept] = useState<boolean | null>(null);
  useEffect(() => {
    const look = () => isKept(whose, card).then(setKept, () => setKept(false));
    void look();
    // It is kept in the background, once the card has come.
    const again = setInterval(() => void look(), 1000);
    return () => clearInterval(again);
  }, [whose, card]);
  const refused = waiting.filter(({ why }) => why !== '');
  const open = waiting.filter(({ why }) => why === '');
  return (
    <>
      <h1 className="text-2xl font-bold">More</h1>
      <Age hand={hand} />
      <h2 className="mt-4 text-lg font-bold">What you said</h2>
      {waiting.length === 0 ? (
        <p className="muted">All of it was sent.</p>
      ) : (
        <>
          {open.length > 0 && (
            <p>
              {open.length} {open.length === 1 ? 'thing waits' : 'things wait'} for the network.{' '}
              <button type="button" className="btn btn-outline min-h-12" onClick={() => void hand.send()}>
                Send now
              </button>
            </p>
          )}
          {refused.length > 0 && (
            <ul className="mt-2 space-y-2">
              {refused.map(({ report, says, why }) => (
                <li key={report.id} className="finding" data-severity="error">
                  <p className="font-semibold">Not taken: {says}</p>
                  <p className="text-plain">{why}</p>
                  <p className="muted text-small">{momentText(Date.parse(report.at))}</p>
                  <button
                    type="button"
                    className="btn btn-outline mt-1 min-h-12"
                    onClick={() => void hand.drop(report.id)}
                  >
                    I have seen it
                  </button>
                </li>
              ))}
            </ul>
          )}
        </>
      )}
      <h2 className="mt-5 text-lg font-bold">Without a network</h2>
      <p>
        {!canKeep()
          ? 'This card cannot be kept here: browsers keep pages only for https, or on the machine itself. Print the card below, or ask your coordinator for an address with https.'
          : kept
            ? 'This card, your steps and all that is on it work without a network. Put it on your first screen by the browser’s own menu.'
            : 'It is being kept. Leave it open for a moment with the network on.'}
      </p>
      <p className="muted mt-1 text-plain">
        {stateText(card)}, as it was {ageText(Date.parse(card.made), nowMs)}.
        {card.until && ` The link is good until ${momentText(Date.parse(card.until))}.`}
      </p>
      <p className="mt-2">
        <button type="button" className="btn btn-outline min-h-12" onClick={() => void hand.look()}>
          Look for news
        </button>
      </p>
      <h2 className="mt-5 text-lg font-bold">In your calendar</h2>
      <p className="text-plain">
        Nets, what is due of your sets, the ends of your licences, with reminders.
        {'token' in whose && ' Your calendar can follow this address; whoever has it sees your card too.'}
      </p>
      <p>
        <a
          className="link flex min-h-11 items-center"
          href={'token' in whose ? `/api/my/${whose.token}/calendar` : `/api/plans/${card.planId}/calendar`}
          download
        >
          Take it in as a file
        </a>
        {'token' in whose && (
          <a
            className="link flex min-h-11 items-center"
            href={`webcal://${window.location.host}/api/my/${whose.token}/calendar`}
          >
            Let my calendar follow it
          </a>
        )}
      </p>
      <OnPaper hand={hand} />
      {'plan' in whose && (
        <>
          <h2 className="mt-5 text-lg font-bold">At the desk</h2>
          <ul>
            {card.sets.map(({ id, nickname }) => (
              <li key={id}>
                <a className="link flex min-h-11 items-center" href={`/plans/${card.planId}/sheets/${id}`}>
                  The sheet of {nickname}, for paper
                </a>
              </li>
            ))}
            <li>
              <a className="link flex min-h-11 items-center" href={`/plans/${card.planId}/list`}>
                The list of channels, for paper
              </a>
            </li>
            <li>
              <a className="link flex min-h-11 items-center" href={`/plans/${card.planId}/today`}>
                The desk
              </a>
            </li>
          </ul>
        </>
      )}
      <p className="muted mt-6 text-plain">
        In an emergency call the emergency number first. Do not rely on radio alone for warnings. Talk only
        where you are licensed. A tone is not privacy.
      </p>
    </>
  );
}
