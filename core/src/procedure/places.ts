import type { Image } from '../fit/index';
import {
  type Description,
  isLoadedByProgram,
  ownPlaces,
  type Region,
  type SlotContent,
  slotReader,
  slotsOf,
} from '../model/index';

/** What is with one place of a set: nothing, as it came, the holder's own, or what the plan does there. */
export type PlaceState =
  /** Nothing is there, and nothing comes. */
  | 'empty'
  /** It holds what it left the factory with. */
  | 'factory'
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

/** One place of a set as it is drawn; a run of empty ones is drawn as one. */
export interface DrawnPlace {
  readonly number: number;
  readonly label: string;
  readonly state: PlaceState;
  /** How many empty places in a row this stands for, up to `lastLabel`; 1 for any other. */
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

/** The memory of a set as the set has it: every place under its label, with what it holds now and shall hold. */
export function drawPlaces(
  description: Description,
  image: Image,
  overwrites: readonly number[],
  keeps: readonly number[],
): DrawnRegion[] {
  const read = slotReader(description);
  const own = new Set(ownPlaces(description, image.before));
  const [goes, kept] = [new Set(overwrites), new Set(keeps)];
  const regions = new Map<
    Region,
    { title: string; blocks: Map<number, { name: string; places: DrawnPlace[] }> }
  >();
  for (const slot of slotsOf(description)) {
    const { number, label, region, bank, bankName } = slot;
    const values = image.before.slots.get(number) ?? null;
    const wanted = image.slots.get(number);
    const state = (): PlaceState => {
      if (kept.has(number)) return 'kept';
      if (wanted) {
        if (values === null) return 'filled';
        if (!goes.has(number)) return 'there';
        return own.has(number) ? 'goes' : 'changed';
      }
      if (values === null) return 'empty';
      return own.has(number) ? 'own' : 'factory';
    };
    const place: DrawnPlace = {
      number,
      label,
      state: state(),
      run: 1,
      lastLabel: label,
      now: read(slot, values),
      shall: wanted?.content ?? null,
      channelIds: wanted?.channelIds ?? [],
    };
    const drawn = regions.get(region) ?? { title: region.title, blocks: new Map() };
    regions.set(region, drawn);
    const block = drawn.blocks.get(bank) ?? { name: bankName, places: [] };
    drawn.blocks.set(bank, block);
    const last = block.places.at(-1);
    if (place.state === 'empty' && last?.state === 'empty')
      block.places[block.places.length - 1] = { ...last, run: last.run + 1, lastLabel: label };
    else block.places.push(place);
  }
  const byKeys = !isLoadedByProgram(description);
  return [...regions].map(([region, { title, blocks }]) => ({
    title,
    kind: region.content.kind === 'free' && region.content.receiveOnly ? 'receive-only' : region.content.kind,
    locked: (byKeys ? region.keypad : region.cable).length === 0,
    blocks: [...blocks.values()],
  }));
}
