import type { Image } from '../fit/index';
import { changedSinceFactory, knownOf } from '../memory/index';
import {
  type Description,
  fieldsBy,
  type Memory,
  type Region,
  type SlotContent,
  slotReader,
  slotsOf,
  wayOf,
} from '../model/index';

/** What is with one place of a set: nothing, as it came, the holder's own, or what the plan does there. */
export type PlaceState =
  /** Nothing is there, and nothing comes. */
  | 'empty'
  /** Nobody knows what it holds. */
  | 'unseen'
  /** It holds what it left the factory with. */
  | 'factory'
  /** It holds what an earlier state of the plan put there, and stays as it is. */
  | 'earlier'
  /** It holds what an earlier state of the plan put there, and is emptied. */
  | 'emptied'
  /** The holder's own, which the plan leaves alone. */
  | 'own'
  /** Held back by its holder: no plan writes there. */
  | 'kept'
  /** It holds already what the plan wants. */
  | 'there'
  /** The plan fills an empty place. */
  | 'filled'
  /** The plan changes what came from the factory. */
  | 'changed'
  /** The plan overwrites the holder's own. */
  | 'goes';

/** One place of a set as it is drawn; a run of empty ones, or of ones that nobody knows, is drawn as one. */
export interface DrawnPlace {
  readonly number: number;
  readonly label: string;
  readonly state: PlaceState;
  /** How many such places in a row this stands for, up to `lastLabel`; 1 for any other. */
  readonly run: number;
  readonly lastLabel: string;
  readonly now: SlotContent | null;
  readonly shall: SlotContent | null;
  readonly channelIds: readonly string[];
}

/** A region with its blocks (banks, pages, zones) in the order in which the set has them. */
export interface DrawnRegion {
  readonly title: string;
  readonly kind: Region['content']['kind'] | 'receive-only';
  /** Whether nothing in it can be set in the way this set is loaded. */
  readonly locked: boolean;
  readonly blocks: readonly { readonly name: string; readonly places: readonly DrawnPlace[] }[];
}

/** What is known of a set besides its memory: which numbers its holder keeps, which places the plan wrote, what its sheet changes and empties. */
export interface PlaceFacts {
  readonly keeps: readonly number[];
  readonly wrote: readonly number[];
  readonly overwrites: readonly number[];
  readonly erases: readonly number[];
}

/** The memory of a set as the set has it: every place under its label, with what it holds now and shall hold. */
export function drawPlaces(
  description: Description,
  image: Image,
  now: Memory,
  facts: PlaceFacts,
): DrawnRegion[] {
  const read = slotReader(description);
  const wrote = new Set(facts.wrote);
  const own = new Set(changedSinceFactory(description, now).filter((number) => !wrote.has(number)));
  const [goes, kept, erases] = [new Set(facts.overwrites), new Set(facts.keeps), new Set(facts.erases)];
  const regions = new Map<
    Region,
    { title: string; blocks: Map<number, { name: string; places: DrawnPlace[] }> }
  >();
  for (const slot of slotsOf(description)) {
    const { number, label, region, bank, bankName } = slot;
    const values = now.slots.get(number) ?? null;
    const { state: known, unknown } = knownOf(description, slot, now);
    const isUnseen = known === 'unknown' || unknown.length > 0;
    const wanted = image.slots.get(number);
    const state = (): PlaceState => {
      if (kept.has(number)) return 'kept';
      if (wanted) {
        if (isUnseen) return 'changed';
        if (values === null) return 'filled';
        if (!goes.has(number)) return 'there';
        return own.has(number) ? 'goes' : 'changed';
      }
      if (isUnseen) return 'unseen';
      if (values === null) return 'empty';
      if (erases.has(number)) return 'emptied';
      if (wrote.has(number)) return 'earlier';
      return own.has(number) ? 'own' : 'factory';
    };
    const place: DrawnPlace = {
      number,
      label,
      state: state(),
      run: 1,
      lastLabel: label,
      now: isUnseen ? null : read(slot, values),
      shall: wanted?.content ?? null,
      channelIds: wanted?.channelIds ?? [],
    };
    const drawn = regions.get(region) ?? { title: region.title, blocks: new Map() };
    regions.set(region, drawn);
    const block = drawn.blocks.get(bank) ?? { name: bankName, places: [] };
    drawn.blocks.set(bank, block);
    const last = block.places.at(-1);
    const isRun = place.state === 'empty' || place.state === 'unseen';
    if (isRun && last?.state === place.state)
      block.places[block.places.length - 1] = { ...last, run: last.run + 1, lastLabel: label };
    else block.places.push(place);
  }
  const way = wayOf(description);
  return [...regions].map(([region, { title, blocks }]) => ({
    title,
    kind: region.content.kind === 'free' && region.content.receiveOnly ? 'receive-only' : region.content.kind,
    locked: fieldsBy(region, way).length === 0,
    blocks: [...blocks.values()],
  }));
}
