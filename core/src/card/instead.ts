import type { Card, CardChannel, CardPlace } from './card';

/** Another channel for when nobody answers, and why that one. */
export interface Instead {
  readonly channel: CardChannel;
  readonly place: CardPlace;
  /** A net names it; it is the same output without the repeater; it is the next of the same group. */
  readonly why: 'net' | 'without-repeater' | 'same-group';
}

/**
 * Which channel to use on a set when the first one fails: what a net says, else the direct one on the repeater's output, else the next one of the
 * same group that the set talks on (common practice). `null` where the set has none.
 */
export function insteadOf(card: Card, kind: number, channelId: string): Instead | null {
  const first = card.channels.find(({ id }) => id === channelId);
  const places = new Map((card.kinds[kind]?.places ?? []).map((place) => [place.channelId, place]));
  if (!first || !places.has(channelId)) return null;
  const usable = card.channels.flatMap((channel) => {
    const place = places.get(channel.id);
    return place && place.sends === 'yes' && channel.id !== channelId && channel.state === 'on-air'
      ? [{ channel, place }]
      : [];
  });
  const byNet = card.nets.find((net) => net.channelId === channelId && net.fallbackId !== null)?.fallbackId;
  const named = usable.find(({ channel }) => channel.id === byNet);
  if (named) return { ...named, why: 'net' };
  const direct = usable.find(
    ({ channel }) =>
      first.kind === 'repeater' && channel.kind === 'direct' && channel.receiveHz === first.receiveHz,
  );
  if (direct) return { ...direct, why: 'without-repeater' };
  const same = usable.filter(({ channel }) => channel.group === first.group);
  // A direct one where the repeater fails; it may be down with all that hangs on it.
  const next = same.find(({ channel }) => channel.kind === 'direct') ?? same[0];
  return next ? { ...next, why: 'same-group' } : null;
}
