import type { CardSet } from '@umbrex/core/card';
import { ageText, momentText } from '../../messages/card';
import type { Hand } from './useHand';

/** How old what is shown is, where the server did not answer just now; and until when its link is good. */
export function Age({ hand: { card, isFresh, isAsked, nowMs } }: { hand: Hand }) {
  const until = card.until && Date.parse(card.until);
  return (
    <>
      {isAsked && !isFresh && (
        <p className="finding mt-2 text-plain" data-severity="warning" role="status">
          No network: this is as it was {ageText(Date.parse(card.made), nowMs)}.
          {until !== null && ` The link is good until ${momentText(Number(until))}.`}
        </p>
      )}
      {card.revision === null && (
        <p className="finding mt-2 text-plain" data-severity="warning">
          Nothing is published yet: all of this may still change. Load nothing by it.
        </p>
      )}
    </>
  );
}

const STANDING_WORD = {
  held: 'up to date',
  late: 'to load',
  unknown: 'to load',
  blocked: 'waits',
  nothing: 'nothing for it',
  broken: 'waits',
} as const;

/** One set of one's own in a list: what it is called, and how it stands. */
export function SetLine({ set }: { set: CardSet }) {
  const { standing } = set;
  const wants = standing.state === 'late' || standing.state === 'unknown';
  return (
    <li>
      <a
        href={`#set/${set.id}`}
        className="block min-h-14 rounded border border-base-300 bg-base-100 p-3 hover:bg-base-300/40"
      >
        <span className="flex items-baseline justify-between gap-3">
          <strong className="text-lg leading-tight">{set.nickname}</strong>
          <span className={`whitespace-nowrap ${wants ? 'font-semibold text-accent' : 'muted'}`}>
            {STANDING_WORD[standing.state]}
          </span>
        </span>
        <span className="muted block text-plain">
          {set.title}. {standing.says}
        </span>
      </a>
    </li>
  );
}
