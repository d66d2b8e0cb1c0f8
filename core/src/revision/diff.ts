import { type Channel, headOf, type Plan } from '../model/index';

/** One property that differs, with both values as the plan document has them. */
export interface FieldChange {
  readonly field: string;
  readonly from: unknown;
  readonly to: unknown;
}

/** What became of a channel between two states of a plan. One that is only in another group, or stands elsewhere among the others, is `moved`. */
export interface ChannelChange {
  readonly id: string;
  /** As it is called now; one that was taken out, as it was called. */
  readonly name: string;
  readonly change: 'added' | 'removed' | 'changed' | 'moved';
  /** What of it differs, its group among it; of one that was added or taken out nothing is listed. */
  readonly fields: readonly FieldChange[];
}

/** How two states of a plan differ. */
export interface PlanDiff {
  readonly head: readonly FieldChange[];
  /** In the order of the newer one; what was taken out stands where it stood. */
  readonly channels: readonly ChannelChange[];
}

/**
 * Compares two states of a plan. Channels are the same by their id alone. Of channels that changed their order as few as possible count as
 * moved: those outside the longest run that kept its order.
 */
export function diffPlans(before: Plan, after: Plan): PlanDiff {
  const old = new Map(before.channels.map((channel) => [channel.id, channel]));
  const now = new Map(after.channels.map((channel) => [channel.id, channel]));
  const kept = after.channels.filter(({ id }) => old.has(id));
  const places = new Map(before.channels.map(({ id }, i) => [id, i]));
  const stayed = new Set(longestRun(kept, ({ id }) => places.get(id) ?? 0).map(({ id }) => id));
  const removed = removedAfter(before, now);
  const entries = (at: number) => removed.get(at) ?? [];
  return {
    head: fieldChanges(headOf(before), headOf(after)),
    channels: [
      ...entries(-1),
      ...after.channels.flatMap((channel, at): ChannelChange[] => [
        ...changeOf(old.get(channel.id), channel, !stayed.has(channel.id)),
        ...entries(at),
      ]),
    ],
  };
}

function changeOf(was: Channel | undefined, channel: Channel, isElsewhere: boolean): ChannelChange[] {
  const { id, name } = channel;
  if (!was) return [{ id, name, change: 'added', fields: [] }];
  const fields = fieldChanges(was, channel);
  if (fields.length === 0 && !isElsewhere) return [];
  const isOnlyMoved = fields.every(({ field }) => field === 'groupId');
  return [{ id, name, change: isOnlyMoved ? 'moved' : 'changed', fields }];
}

/** What was taken out, by the place in the newer plan of what stood before it there and is still there; -1 where nothing did. */
function removedAfter(before: Plan, now: ReadonlyMap<string, Channel>): Map<number, ChannelChange[]> {
  const places = new Map([...now.keys()].map((id, i) => [id, i]));
  const removed = new Map<number, ChannelChange[]>();
  let last = -1;
  for (const { id, name } of before.channels) {
    const place = places.get(id);
    if (place !== undefined) last = place;
    else removed.set(last, [...(removed.get(last) ?? []), { id, name, change: 'removed', fields: [] }]);
  }
  return removed;
}

/** Whether two states of a plan are the same but for who they are. */
export function isSamePlan(before: Plan, after: Plan): boolean {
  const { head, channels } = diffPlans(before, after);
  return head.length === 0 && channels.length === 0;
}

function fieldChanges<T extends object>(before: T, after: T): FieldChange[] {
  const fields = [...new Set([...Object.keys(before), ...Object.keys(after)])] as (keyof T & string)[];
  return fields
    .filter((field) => field !== 'id' && !same(before[field], after[field]))
    .map((field) => ({ field, from: before[field], to: after[field] }));
}

/** Whether two JSON values are equal, in whatever order their properties stand. */
function same(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const keys = Object.keys(a);
  if (keys.length !== Object.keys(b).length) return false;
  return keys.every(
    (key) => Object.hasOwn(b, key) && same(a[key as keyof typeof a], b[key as keyof typeof b]),
  );
}

/** The longest run of things whose places go up; of equal ones the one that ends first. Patience sorting, n log n. */
function longestRun<T>(things: readonly T[], placeOf: (thing: T) => number): T[] {
  const ends: number[] = [];
  const before: number[] = [];
  const place = things.map(placeOf);
  const at = (i: number) => place[ends[i] ?? 0] ?? 0;
  for (const [i, here] of place.entries()) {
    let [low, high] = [0, ends.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (at(middle) < here) low = middle + 1;
      else high = middle;
    }
    before[i] = low > 0 ? (ends[low - 1] ?? -1) : -1;
    ends[low] = i;
  }
  const run: T[] = [];
  for (let i = ends.at(-1) ?? -1; i >= 0; i = before[i] ?? -1) run.push(things[i] as T);
  return run.reverse();
}
