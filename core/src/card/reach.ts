import type { Card, CardChannel, CardPlace } from './card';

/** A channel by which two people reach each other: what it shows on this one's set, and what on theirs. */
export interface Common {
  readonly channel: CardChannel;
  readonly mine: {
    readonly setId: string;
    readonly nickname: string;
    readonly place: CardPlace;
    readonly isLoaded: boolean;
  };
  readonly theirs: { readonly nickname: string; readonly place: CardPlace; readonly isLoaded: boolean };
  /** Whether both may talk there, or only one of them, or that is not known. */
  readonly talk: 'both' | 'you-only' | 'they-only' | 'unknown';
}

/**
 * The channels by which somebody is reached, best first: both talk, both sets are loaded, the plan says must, a repeater before a direct one (it
 * reaches further), in the plan's order. One row a channel, with the best pair of sets for it. Channels on which neither talks are none.
 */
export function reachWhom(card: Card, personId: string): Common[] {
  const person = card.people.find(({ id }) => id === personId);
  if (!person) return [];
  const placesOf = (kind: number) =>
    new Map((card.kinds[kind]?.places ?? []).map((place) => [place.channelId, place]));
  const theirs = person.sets.map((set) => ({ set, places: placesOf(set.kind) }));
  const mine = card.sets.filter(({ isThere }) => isThere).map((set) => ({ set, places: placesOf(set.kind) }));
  return card.channels
    .filter(({ state }) => state === 'on-air')
    .flatMap((channel): Common[] => {
      const pairs = mine.flatMap(({ set, places }) => {
        const place = places.get(channel.id);
        if (!place) return [];
        return theirs.flatMap((other): Common[] => {
          const at = other.places.get(channel.id);
          const talk = at && talkOf(place, at);
          if (!at || !talk) return [];
          return [
            {
              channel,
              mine: {
                setId: set.id,
                nickname: set.nickname,
                place,
                isLoaded: !set.toLoad.includes(place.slot),
              },
              theirs: { nickname: other.set.nickname, place: at, isLoaded: other.set.isLoaded },
              talk,
            },
          ];
        });
      });
      return pairs.sort((a, b) => worth(b) - worth(a)).slice(0, 1);
    })
    .sort((a, b) => worth(b) - worth(a));
}

function talkOf(mine: CardPlace, theirs: CardPlace): Common['talk'] | undefined {
  if (mine.sends === 'yes' && theirs.sends === 'yes') return 'both';
  if (mine.sends === 'no' && theirs.sends === 'no') return undefined;
  if (mine.sends === 'unknown' || theirs.sends === 'unknown') return 'unknown';
  return mine.sends === 'yes' ? 'you-only' : 'they-only';
}

const TIERS = ['nice', 'should', 'must'] as const;
const TALKS = ['they-only', 'you-only', 'unknown', 'both'] as const;

/** What is better weighs more than all that comes after it together. */
function worth({ talk, mine, theirs, channel }: Common): number {
  const loaded = Number(mine.isLoaded) + Number(theirs.isLoaded);
  return (
    TALKS.indexOf(talk) * 1000 +
    loaded * 100 +
    TIERS.indexOf(channel.tier) * 10 +
    Number(channel.kind === 'repeater')
  );
}
