import { insteadOf } from '@umbrex/core/card';
import { nextStart } from '@umbrex/core/nets';
import { insteadText, momentText, showsText, stateText } from '../../messages/card';
import { Age, SetLine } from './parts';
import type { Hand } from './useHand';

/** So many nets are told; of more the next ones. */
const MOST_NETS = 4;

/** What somebody needs now: the next net and where it is on their sets, what is to be loaded, what is new. */
export function Today({ hand }: { hand: Hand }) {
  const { card, nowMs } = hand;
  const nets = card.nets
    .flatMap((net) => {
      const ms = nextStart(net, nowMs);
      return ms === null ? [] : [{ net, ms }];
    })
    .sort((a, b) => a.ms - b.ms)
    .slice(0, MOST_NETS);
  const toDo = card.sets.filter(({ standing: { state } }) => state === 'late' || state === 'unknown');
  return (
    <>
      <h1 className="text-2xl font-bold leading-tight">{card.person?.name ?? 'Your card'}</h1>
      <p className="muted">{stateText(card)}</p>
      <Age hand={hand} />
      {card.person === null && (
        <p className="finding mt-3" data-severity="warning">
          Nobody has said which person of the roster you are, so no sets stand here. Ask your coordinator:
          under Who may do what.
        </p>
      )}
      <h2 className="mt-5 text-lg font-bold">Nets</h2>
      {nets.length === 0 ? (
        <p className="muted">None is written down.</p>
      ) : (
        <ul className="mt-1 space-y-2">
          {nets.map(({ net, ms }) => (
            <li key={net.id} className="rounded border border-base-300 bg-base-100 p-3">
              <p className="font-bold">
                {net.name}
                <span className="float-right font-mono font-normal">
                  {ms <= nowMs ? 'now' : momentText(ms)}
                </span>
              </p>
              <NetOnSets hand={hand} channelId={net.channelId} />
              {net.leader && <p className="muted text-plain">Led by {net.leader}</p>}
              {net.note && <p className="text-plain">{net.note}</p>}
            </li>
          ))}
        </ul>
      )}
      <h2 className="mt-5 text-lg font-bold">To do</h2>
      {toDo.length === 0 ? (
        <p className="muted">Nothing: none of your sets waits to be loaded.</p>
      ) : (
        <ul className="mt-1 space-y-2">
          {toDo.map((set) => (
            <SetLine key={set.id} set={set} />
          ))}
        </ul>
      )}
      {card.changes.length > 0 && (
        <details className="mt-5">
          <summary className="min-h-11 cursor-pointer text-lg font-bold">
            What changed since the state before
          </summary>
          <ul className="mt-1 space-y-1">
            {card.changes.map(({ name, words }) => (
              <li key={`${name} ${words.join()}`}>
                <strong>{name}</strong>: {words.join('; ')}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

/** Where a net is on each set of one's own, and what to use when it fails. */
function NetOnSets({ hand: { card }, channelId }: { hand: Hand; channelId: string | null }) {
  const channel = card.channels.find(({ id }) => id === channelId);
  if (!channel) return null;
  const rows = card.sets.flatMap((set) => {
    const place = card.kinds[set.kind]?.places.find((one) => one.channelId === channel.id);
    return place ? [{ set, place, instead: insteadOf(card, set.kind, channel.id) }] : [];
  });
  return (
    <>
      <p>{channel.name}</p>
      {rows.length === 0 && card.sets.length > 0 && (
        <p className="muted text-plain">None of your sets has it.</p>
      )}
      <ul>
        {rows.map(({ set, place, instead }) => (
          <li key={set.id} className="text-plain">
            {set.nickname}: <strong className="font-mono">{showsText(place)}</strong>
            {place.sends === 'no' && ', only listen'}
            {set.toLoad.includes(place.slot) && ', once it is loaded'}
            {instead && <span className="muted block">If nobody answers: {insteadText(instead)}</span>}
          </li>
        ))}
      </ul>
    </>
  );
}
