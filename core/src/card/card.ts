import type { Net } from '../model/index';

/** What a card calls itself. One of another format was kept by another version of the application: it is fetched anew, never guessed at. */
export const CARD_FORMAT = 'umbrex/card@1';

/** So many reports are sent at once. */
export const MOST_REPORTS = 200;

/** How a channel is used by our sets. */
export type CardChannelKind = 'repeater' | 'direct' | 'listen';

/** A channel of the plan as its members know it. Frequencies in hertz, tones as canonical text (`off`, `unknown`, `82.5`, `D023N`; `hidden` where they are masked). */
export interface CardChannel {
  readonly id: string;
  readonly name: string;
  readonly aliases: readonly string[];
  readonly shortNames: readonly string[];
  /** The group that it stands in. */
  readonly group: string;
  readonly kind: CardChannelKind;
  readonly receiveHz: number;
  readonly transmitHz: number | null;
  readonly transmitTone: string;
  readonly receiveTone: string;
  /** Its tones are for members: they go on nothing that anybody may read. */
  readonly isSecret: boolean;
  /** Whether sets stay silent until `receiveTone` comes. */
  readonly isClosed: boolean;
  readonly tier: 'must' | 'should' | 'nice';
  readonly state: 'on-air' | 'planned' | 'withdrawn';
  /** Its number across the fleet; `null` where it has none. */
  readonly number: number | null;
  readonly note: string;
}

/** Where a channel stands on a kind of set, once that is loaded. */
export interface CardPlace {
  readonly channelId: string;
  /** Its memory number, and the label by which the set shows it. */
  readonly slot: number;
  readonly label: string;
  /** The name on its display; `null` where it shows none. */
  readonly shows: string | null;
  /** Whether whoever holds it may talk there with it. */
  readonly sends: 'yes' | 'no' | 'unknown';
  /** Why it does not, or what else was adapted; empty where nothing was. */
  readonly why: string;
}

/** Sets that come to the very same: of a kind, with the same rights. */
export interface CardKind {
  readonly title: string;
  readonly places: readonly CardPlace[];
}

/** How a set of one's own stands. */
export interface CardStanding {
  /** As the rollout has it; `broken` where its sheet could not be made. */
  readonly state: 'held' | 'late' | 'unknown' | 'blocked' | 'nothing' | 'broken';
  /** The same in a member's words. */
  readonly says: string;
  /** What it takes to load it; 0 where nothing is to do. */
  readonly minutes: number;
  readonly way: 'keys' | 'file' | 'copy' | 'unknown';
}

/** One set of one's own. */
export interface CardSet {
  readonly id: string;
  readonly nickname: string;
  readonly title: string;
  /** Which of the card's kinds it is one of. */
  readonly kind: number;
  readonly standing: CardStanding;
  /** Whether it is there and works, by the last word on that. */
  readonly isThere: boolean;
  /** Memory numbers that are not as they shall be yet, or of which nobody knows it. */
  readonly toLoad: readonly number[];
  /** How its keys are locked, in words; empty where nobody described that. */
  readonly lock: string;
  readonly isAlert: boolean;
  /** Whether its sheet can be worked through step by step. */
  readonly hasSteps: boolean;
}

/** Somebody else with the sets by which they can be reached. */
export interface CardPerson {
  readonly id: string;
  readonly name: string;
  readonly sets: readonly { readonly nickname: string; readonly kind: number; readonly isLoaded: boolean }[];
}

/** A net as a card keeps it. */
export type CardNet = Pick<
  Net,
  'id' | 'name' | 'startsAt' | 'timeZone' | 'repeats' | 'channelId' | 'fallbackId' | 'leader' | 'note'
> & { readonly roles: readonly { readonly name: string; readonly channelId: string | null }[] };

/** A row of a published service table; frequencies in hertz. */
export interface CardKnown {
  readonly service: string;
  readonly number: string;
  readonly name: string;
  readonly receiveHz: number;
  readonly transmitHz: number | null;
}

/** Everything that somebody has in the hand: of one person, of one plan, in the state in force when it was made. */
export interface Card {
  readonly format: typeof CARD_FORMAT;
  /** The moment it was made, in UTC. */
  readonly made: string;
  /** The moment until which its link is good, in UTC; `null` for somebody who signed in. */
  readonly until: string | null;
  readonly planId: string;
  readonly planName: string;
  /** The published state; `null` where nothing was published: then it is the draft. */
  readonly revision: number | null;
  readonly person: { readonly id: string; readonly name: string } | null;
  readonly tonesHidden: boolean;
  readonly channels: readonly CardChannel[];
  readonly kinds: readonly CardKind[];
  readonly sets: readonly CardSet[];
  readonly people: readonly CardPerson[];
  readonly nets: readonly CardNet[];
  /** What differs from the published state before, where there is one. */
  readonly changes: readonly { readonly name: string; readonly words: readonly string[] }[];
  /** The published tables of the plan's country, for what is in no plan. */
  readonly known: readonly CardKnown[];
}
