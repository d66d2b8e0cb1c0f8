import { reachWhom, type ScreenMatch, screenShows } from '@umbrex/core/card';
import { mhzText } from '@umbrex/core/units';
import { useState } from 'react';
import { airText, READ_BY, showsText, TALK_TEXT } from '../../messages/card';
import { named } from '../../ui/bound';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import { Age } from './parts';
import type { Hand } from './useHand';

/** The plan in the hand: what a display shows, on which channel somebody is reached, and all channels. */
export function PlanView({ hand }: { hand: Hand }) {
  const { card } = hand;
  const groups = [...new Set(card.channels.map(({ group }) => group))];
  return (
    <>
      <h1 className="text-2xl font-bold">Plan</h1>
      <Age hand={hand} />
      <Screen hand={hand} />
      <Reach hand={hand} />
      <h2 className="mt-6 text-lg font-bold">
        All channels <span className="muted font-mono font-normal">{card.channels.length}</span>
      </h2>
      {groups.map((group) => {
        const channels = card.channels.filter((channel) => channel.group === group);
        return (
          <details key={group} className="border-b border-base-300">
            <summary className="flex min-h-12 cursor-pointer items-center justify-between">
              <span className="font-semibold">{group}</span>
              <span className="muted font-mono">{channels.length}</span>
            </summary>
            <ul className="pb-2">
              {channels.map((channel) => (
                <li key={channel.id} className="py-1">
                  {channel.name}
                  {channel.state !== 'on-air' && <span className="muted"> ({channel.state})</span>}
                  <span className="muted block font-mono text-small">{airText(channel)}</span>
                </li>
              ))}
            </ul>
          </details>
        );
      })}
    </>
  );
}

/** What stands on a display gives the channel, on one's own set and on others. */
function Screen({ hand: { card } }: { hand: Hand }) {
  const [text, setText] = useState('');
  const [set, setSet] = useState(card.sets[0]?.id ?? '');
  const own = card.sets.find(({ id }) => id === set)?.kind ?? null;
  const found = screenShows(card, text, own);
  return (
    <section className="mt-3">
      <h2 className="text-lg font-bold">My screen shows …</h2>
      <div className="mt-1 flex gap-2">
        <LabelledText
          title="What stands on the display"
          at="heard"
          className="min-w-0 grow"
          value={text}
          set={setText}
          most={40}
          isExact
          isCapitals
          hint="a label, a name, a frequency"
          width="min-h-12 w-full text-lg"
        />
        <LabelledSelect
          title="On which set"
          at="heard"
          className="shrink-0"
          value={set}
          options={[...card.sets.map(({ id, nickname }) => [id, nickname] as const), ['', 'any set']]}
          set={setSet}
          width="min-h-12 w-32"
        />
      </div>
      <div aria-live="polite">
        {text.trim() !== '' && found.length === 0 && (
          <p className="mt-2">
            Nothing of this plan, and nothing of the published tables, is shown so. Look once more, letter by
            letter.
          </p>
        )}
        <ul className="mt-1">
          {found.map((match) => (
            <li key={keyOf(match)} className="border-b border-base-300 py-2">
              <Match card={card} match={match} own={own} />
            </li>
          ))}
        </ul>
      </div>
    </section>
  );
}

function keyOf(match: ScreenMatch): string {
  if (match.is === 'place') return `${match.kind} ${match.place.slot} ${match.channel.id}`;
  return match.is === 'channel'
    ? match.channel.id
    : `${match.row.service} ${match.row.number} ${match.row.transmitHz}`;
}

function Match({ card, match, own }: { card: Hand['card']; match: ScreenMatch; own: number | null }) {
  if (match.is === 'known')
    return (
      <p>
        Not of this plan: <strong>{match.row.name}</strong>, {match.row.service},{' '}
        <span className="font-mono">{mhzText(match.row.receiveHz)}</span>. Listen only, unless your licence
        says more.
      </p>
    );
  const elsewhere = card.kinds.flatMap(({ title, places }, kind) => {
    const place = places.find(({ channelId }) => channelId === match.channel.id);
    return place && !(match.is === 'place' && kind === match.kind) ? [{ title, place }] : [];
  });
  const shown = [...new Map(elsewhere.map((one) => [`${one.title} ${one.place.label}`, one])).values()];
  return (
    <>
      <p>
        <strong>{match.channel.name}</strong>
        <span className="muted">
          {' '}
          {READ_BY[match.by]}
          {match.is === 'place' && match.kind !== own && ` on ${card.kinds[match.kind]?.title}`}
          {match.is === 'channel' && own !== null && ', which this set does not show so'}
        </span>
      </p>
      {match.is === 'place' && <p className="font-mono">{showsText(match.place)}</p>}
      <p className="muted font-mono text-small">{airText(match.channel)}</p>
      {shown.length > 0 && (
        <details>
          <summary className="flex min-h-11 cursor-pointer items-center text-plain">On other kinds</summary>
          <ul className="text-plain">
            {shown.map(({ title, place }) => (
              <li key={`${title} ${place.label}`} className="flex justify-between gap-3">
                <span>{title}</span>
                <span className="font-mono">{showsText(place)}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

/** By which channels somebody is reached, best first. */
function Reach({ hand: { card } }: { hand: Hand }) {
  const [id, setId] = useState('');
  const rows = reachWhom(card, id);
  return (
    <section className="mt-6">
      <h2 className="text-lg font-bold">Reach whom</h2>
      <LabelledSelect
        title="Whom do you want to reach"
        at="heard"
        className="mt-1"
        value={id}
        options={named(card.people, 'choose somebody')}
        set={setId}
        width="min-h-12 w-full"
      />
      {id !== '' && (
        <div aria-live="polite">
          {rows.length === 0 ? (
            <p className="mt-2">
              No channel on which you could talk is on a set of yours and on one of theirs.
            </p>
          ) : (
            <ol className="mt-1">
              {rows.map(({ channel, mine, theirs, talk }) => (
                <li key={channel.id} className="border-b border-base-300 py-2">
                  <p>
                    <strong>{channel.name}</strong>{' '}
                    {talk !== 'both' && <span className="text-accent">{TALK_TEXT[talk]}</span>}
                  </p>
                  <p className="text-plain">
                    {mine.nickname}: <strong className="font-mono">{showsText(mine.place)}</strong>
                    {!mine.isLoaded && <span className="muted"> once it is loaded</span>}
                  </p>
                  <p className="text-plain">
                    Theirs, {theirs.nickname}:{' '}
                    <strong className="font-mono">{showsText(theirs.place)}</strong>
                    {!theirs.isLoaded && <span className="muted"> once it is loaded</span>}
                  </p>
                </li>
              ))}
            </ol>
          )}
        </div>
      )}
    </section>
  );
}
