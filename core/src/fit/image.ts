import type { Finding } from '../findings/index';
import type { Wanted } from '../memory/index';
import type { AirContent, Native, SlotContent } from '../model/index';
import type { Verdict } from './policy';

/** One channel on one device: how it ends, where it goes, under what name, and why. */
export interface Cell {
  readonly channelId: string;
  readonly verdict: Verdict;
  /** The slot under its three names, or `null` where the channel has none. */
  readonly slot: {
    readonly number: number;
    readonly label: string;
    readonly position: number;
    readonly bank: string;
  } | null;
  readonly name: string | null;
  readonly findings: readonly Finding[];
}

/** What a slot shall hold: the device's own values by field id, and what they mean on the air. */
export interface WantedSlot<Content extends SlotContent = SlotContent> {
  readonly channelIds: readonly string[];
  readonly values: Readonly<Record<string, Native>>;
  readonly content: Content;
}

/** A place that channels were given. */
export type PlacedSlot = WantedSlot<AirContent>;

/** What a device's memory should hold after the plan is in it. Slots that are not here stay as they are. */
export interface Image {
  readonly slots: ReadonlyMap<number, WantedSlot>;
  /** Settings of the whole set that the plan decides, by their id: places in their lists. */
  readonly settings: Readonly<Record<string, number>>;
}

/** What an image asks of a set's memory, place by place and setting by setting. */
export function wantedBy({ slots, settings }: Image): Wanted {
  return { slots: new Map([...slots].map(([number, { values }]) => [number, values])), settings };
}

/** A plan on a kind of device: what goes where, and what becomes of each channel. */
export interface Fit {
  readonly descriptionId: string;
  readonly cells: readonly Cell[];
  readonly image: Image;
  /** About the set as a whole, such as areas that it cannot hold. */
  readonly findings: readonly Finding[];
}
