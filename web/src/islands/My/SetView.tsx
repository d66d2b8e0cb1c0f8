import type { CardChannel, CardPlace, CardSet } from '@umbrex/core/card';
import { insteadOf } from '@umbrex/core/card';
import { ChevronDown } from 'lucide-react';
import { airText, callText, insteadText } from '../../messages/card';
import { Foreign } from './Foreign';
import { Age } from './parts';
import { Report } from './Report';
import type { Hand } from './useHand';

/** One set of one's own: how it stands, its channels as it shows them, how its keys are locked, and what one can say of it. */
export function SetView({ hand, set }: { hand: Hand; set: CardSet }) {
  const { card } = hand;
  const channels = new Map(card.channels.map((channel) => [channel.id, channel]));
  const rows = (card.kinds[set.kind]?.places ?? []).flatMap((place) => {
    const channel = channels.get(place.channelId);
    return channel ? [{ place, channel }] : [];
  });
  const { standing } = set;
  const wants = standing.state === 'late' || standing.state === 'unknown';
  const missing = rows.filter(({ place }) => set.toLoad.includes(place.slot)).length;
  return (
    <>
      <p>
        <a className="link inline-flex min-h-11 items-center" href="#sets">
          My sets
        </a>
      </p>
      <h1 className="text-2xl font-bold leading-tight">{set.nickname}</h1>
      <p className="muted">{set.title}</p>
      <Age hand={hand} />
      <p className={`mt-2 ${wants ? 'font-semibold' : ''}`}>{standing.says}</p>
      {set.hasSteps ? (
        <a className="btn btn-primary btn-lg mt-2 min-h-14 w-full" href={`#steps/${set.id}`}>
          Load it, step by step
        </a>
      ) : (
        wants && (
          <p className="mt-1">
            {card.tonesHidden
              ? 'Its steps show tones that this link does not carry. Sign in, or ask your coordinator for the sheet.'
              : standing.way === 'file'
                ? 'It is loaded with a cable, at the desk: arrange it with your coordinator.'
                : 'Its steps are at the desk: ask your coordinator for the sheet.'}
          </p>
        )
      )}
      {set.lock && (
        <p className="mt-3 text-plain">
          <strong>Keys in a pocket.</strong> {set.lock}
        </p>
      )}
      <h2 className="mt-5 text-lg font-bold">
        Channels <span className="muted font-mono font-normal">{rows.length}</span>
      </h2>
      {missing > 0 && (
        <p className="finding text-plain" data-severity="warning">
          {missing === rows.length
            ? 'It shows these once it is loaded; until then they may be something else.'
            : `${missing} of them only once it is loaded: they are marked.`}
        </p>
      )}
      <ul className="mt-1">
        {rows.map(({ place, channel }) => (
          <ChannelRow
            key={`${place.slot} ${channel.id}`}
            {...{ hand, set, place, channel }}
            isMarked={missing < rows.length && set.toLoad.includes(place.slot)}
          />
        ))}
      </ul>
      <Foreign hand={hand} set={set} />
      <Report hand={hand} set={set} rows={rows} />
    </>
  );
}

/** One channel as this set shows it; opened, what it is for, who is there, how to call, and what to use when it fails. */
function ChannelRow({
  hand: { card },
  set,
  place,
  channel,
  isMarked,
}: {
  hand: Hand;
  set: CardSet;
  place: CardPlace;
  channel: CardChannel;
  isMarked: boolean;
}) {
  const instead = insteadOf(card, set.kind, channel.id);
  return (
    <li className="border-b border-base-300">
      <details>
        <summary className="grid min-h-12 cursor-pointer grid-cols-[6.5rem_minmax(0,1fr)_auto] items-center gap-x-2 py-1.5">
          <span className="font-mono font-semibold leading-tight">
            {place.label}
            {place.shows !== null && place.shows !== place.label && (
              <span className="block whitespace-pre text-plain font-normal">{place.shows}</span>
            )}
          </span>
          <span className="leading-tight">
            {channel.name}
            {isMarked && <span className="block text-small text-accent">to be loaded</span>}
          </span>
          <span className="muted flex items-center gap-1 text-small">
            {place.sends === 'yes' ? '' : 'listen'}
            <ChevronDown size={16} aria-hidden="true" />
          </span>
        </summary>
        <div className="space-y-1 pb-3 text-plain">
          {channel.note && <p>{channel.note}</p>}
          <p>{callText(channel, place)}</p>
          {place.why && <p className="muted">{place.why}</p>}
          <WhoIsThere card={card} channel={channel} />
          {instead && <p>If nobody answers: {insteadText(instead)}.</p>}
          <p className="muted font-mono text-small">{airText(channel)}</p>
        </div>
      </details>
    </li>
  );
}

/** So many are named; of more it is told how many. */
const MOST_NAMED = 6;

/** Which nets and duties are on a channel, and who else has it. */
function WhoIsThere({ card, channel }: { card: Hand['card']; channel: CardChannel }) {
  const duties = card.nets.flatMap((net) => [
    ...(net.channelId === channel.id ? [net.name] : []),
    ...net.roles
      .filter(({ channelId }) => channelId === channel.id)
      .map(({ name }) => `${name} (${net.name})`),
  ]);
  const kinds = new Set(
    card.kinds.flatMap(({ places }, i) =>
      places.some(({ channelId, sends }) => channelId === channel.id && sends === 'yes') ? [i] : [],
    ),
  );
  const people = card.people.filter(({ sets }) => sets.some(({ kind }) => kinds.has(kind)));
  const named = people.slice(0, MOST_NAMED).map(({ name }) => name);
  const others = people.length - named.length;
  return (
    <>
      {duties.length > 0 && <p>On it: {duties.join(', ')}.</p>}
      {people.length > 0 && (
        <p>
          Also have it: {named.join(', ')}
          {others > 0 && ` and ${others} more`}.
        </p>
      )}
    </>
  );
}
