import { type Description, wayOf } from './description';
import type { Region } from './region';
import { fieldsBy, type Way } from './ways';

/** One place in a device's memory, under its three names: the number it counts by, the label it shows, its position. */
export interface Slot {
  readonly number: number;
  readonly label: string;
  readonly position: number;
  /** The block it belongs to, counted from 0 over the whole device. */
  readonly bank: number;
  readonly bankName: string;
  readonly region: Region;
  /** The fields that can be set here in the way in which this set is loaded. */
  readonly settable: readonly string[];
  /** The fixed frequencies, where the factory set them. */
  readonly fixed:
    | {
        receiveHz: number;
        transmitHz: number | null;
        bandwidth: string;
        mostPowerW?: number | undefined;
        hiddenTone?: true | undefined;
      }
    | undefined;
}

/** Slots that were written out before, by the regions they come from and the way of loading: descriptions are never changed in place. */
const known = new WeakMap<readonly Region[], Map<Way, readonly Slot[]>>();

/** Every slot of a device in the order of its regions: a region's stride is data, so a gap between banks is no slot. */
export function slotsOf(description: Pick<Description, 'regions' | 'loading'>): readonly Slot[] {
  const way = wayOf(description);
  const ways = known.get(description.regions) ?? new Map<Way, readonly Slot[]>();
  const there = ways.get(way);
  if (there) return there;
  const slots = writtenSlots(description, way);
  known.set(description.regions, ways.set(way, slots));
  return slots;
}

function writtenSlots(description: Pick<Description, 'regions'>, way: Way): Slot[] {
  const slots: Slot[] = [];
  let banksBefore = 0;
  for (const region of description.regions) {
    const settable = fieldsBy(region, way);
    for (let k = 0; k < region.count; k++) {
      const block = Math.floor(k / region.size);
      const within = k % region.size;
      const number = region.first + block * region.stride + within;
      const position = within + 1;
      const bankName = region.banks[block] ?? '';
      const label = region.label.replace(/\{(bank|position|number)\}/g, (_, key: string) =>
        key === 'bank' ? bankName : key === 'position' ? String(position) : String(number),
      );
      const fixed = region.content.kind === 'fixed' ? region.content.channels[within] : undefined;
      slots.push({ number, label, position, bank: banksBefore + block, bankName, region, settable, fixed });
    }
    banksBefore += Math.ceil(region.count / region.size);
  }
  return slots;
}
