import type { Finding } from '../findings/index';
import { type Channel, type Numbers, notOnAir, type Plan, type Slot, sameContent } from '../model/index';
import { alertsOf, fitAlerts } from './alerts';
import { fitCalls } from './calls';
import { doesCarry } from './carried';
import type { FitDevice } from './device';
import type { Cell, Fit, PlacedSlot } from './image';
import { type Judgement, judge } from './judge';
import { type ChosenName, namesTogether, spellable } from './names';
import { isReceiveOnly, type Placement } from './place';
import type { FitPolicy, Verdict } from './policy';
import { silenced } from './right';
import { numberedPlace, type Room, roomIn } from './room';
import { fitScan, type ScanPlan } from './scan';
import { isThere, zoneNames } from './zones';

/** What of a plan its fit depends on. */
export type FitPlan = ScanPlan &
  FitPolicy &
  Partial<
    Pick<Plan, 'carried' | 'alerts' | 'fleet' | 'setup' | 'roleSetup' | 'naming' | 'planned' | 'withdrawn'>
  >;

/**
 * Fits a plan to a device: one verdict a channel, one slot for each that has a place, names that are all different.
 * A channel that has a factory place stays there; where the plan has one number for the fleet, a channel that can sit where that is read
 * does. Of the others, those that can be talked on choose first, in the plan's order; then the ones to listen to. A channel takes a fixed
 * slot that has its frequencies before a free one, and the lowest free one after that; an empty one before one that its holder filled.
 * Two channels that come to the very same contents share a slot. Channels of groups that the set does not carry, and ones that the plan leaves out since they are not on the air, have no part in it.
 * @param numbers the number of each channel across the fleet; none where nobody decided them
 * @param judgeOne how each channel is judged, where something of it is known from before
 */
export function fitPlan(
  plan: FitPlan,
  device: FitDevice,
  numbers: Numbers = {},
  judgeOne: (channel: Channel) => Judgement = (channel) => judge(device, channel, plan),
): Fit {
  const names = namesOn(plan.channels, device);
  const why = new Map(plan.channels.map((channel) => [channel.id, whyApart(channel, plan, device)]));
  const channels = plan.channels.filter(({ id }) => !why.get(id));
  const fit = fitCarried({ ...plan, channels }, device, numbers, judgeOne, names);
  const cells = new Map(fit.cells.map((cell) => [cell.channelId, cell]));
  return {
    ...fit,
    cells: plan.channels.map((channel): Cell => {
      const { id: channelId } = channel;
      const reason = why.get(channelId);
      const cell = cells.get(channelId);
      if (reason || !cell)
        return { channelId, verdict: 'apart', slot: null, name: null, findings: reason ? [reason] : [] };
      const off = cell.slot && notOnAir(channel, plan);
      return off
        ? {
            ...cell,
            findings: [...cell.findings, { code: 'loaded-off-air', severity: 'note', state: off.state }],
          }
        : cell;
    }),
  };
}

/** Why a channel has no part in a set: its group is not carried there, or it is not on the air and the plan leaves it out. */
function whyApart(channel: Channel, plan: FitPlan, { carriesGroups }: FitDevice): Finding | undefined {
  if (carriesGroups && !doesCarry(carriesGroups, channel.groupId))
    return { code: 'not-carried', severity: 'note', by: carriesGroups.by };
  const off = notOnAir(channel, plan);
  return off?.does === 'leave-out' ? { code: 'not-loaded', severity: 'note', state: off.state } : undefined;
}

/** The fit of the channels that a set carries. */
function fitCarried(
  plan: FitPlan,
  device: FitDevice,
  numbers: Numbers,
  judgeOne: (channel: Channel) => Judgement,
  names: Names,
): Fit {
  const judged = plan.channels.map(judgeOne);
  const used = new Map<number, PlacedSlot>();
  const cells = new Map<string, Cell>();
  const room = roomIn(judged, device, plan.channels);
  for (const judgement of room.turns) {
    const home = room.homeOf.get(judgement.channel.id);
    const placement = home && judgement.at(home);
    if (!placement) continue;
    const there = used.get(home.number);
    const cell = there
      ? share(device, judgement, placement, there, used, plan.channels)
      : take(device, judgement, placement, used, names);
    cells.set(judgement.channel.id, cell);
  }
  for (const judgement of judged) {
    const slot = numberedPlace(judgement, device, room, numbers[judgement.channel.id]);
    const placement = slot && judgement.at(slot);
    if (placement && !used.has(slot.number))
      cells.set(judgement.channel.id, take(device, judgement, placement, used, names));
  }
  for (const judgement of room.turns)
    if (!cells.has(judgement.channel.id))
      cells.set(judgement.channel.id, settle(device, judgement, used, names, plan.channels, numbers, room));
  const settled = plan.channels.flatMap((channel) => cells.get(channel.id) ?? []);
  const scan = fitScan(plan, device, used);
  const calls = fitCalls(device, scan.slots, settled);
  const marked = settled.map((cell) => {
    const more = [scan, calls].flatMap(({ findings }) => findings.get(cell.channelId) ?? []);
    return more.length > 0 ? { ...cell, findings: [...cell.findings, ...more] } : cell;
  });
  const alerts = fitAlerts(alertsOf(plan.alerts ?? null, device.alerts), device);
  return {
    descriptionId: device.description.id,
    cells: sayWhereSplit(marked, plan.channels),
    image: {
      slots: new Map([
        ...calls.slots,
        ...silenced(device, new Set(calls.slots.keys()), plan),
        ...zoneNames(plan, device, calls.slots),
        ...alerts.places,
      ]),
      settings: { ...wantedSettings(plan, device), ...scan.settings, ...alerts.settings },
    },
    findings: alerts.findings,
  };
}

/** The group's settings of this kind of set, as far as the set has them; those of its role go before those of all. */
function wantedSettings(
  { setup, roleSetup }: FitPlan,
  { description, lists, roleId }: FitDevice,
): Record<string, number> {
  const ofRole = roleId === null ? {} : roleSetup?.[roleId]?.[description.id];
  const wanted = { ...setup?.[description.id], ...ofRole };
  return Object.fromEntries(
    description.settings.flatMap(({ id, list }) => {
      const index = wanted[id];
      return index !== undefined && lists[list]?.[index] ? [[id, index]] : [];
    }),
  );
}

/** A group that is in only in part is said on every channel of it that was left out. */
function sayWhereSplit(cells: readonly Cell[], channels: readonly Channel[]): Cell[] {
  const groupOf = new Map(channels.map(({ id, groupId }) => [id, groupId]));
  const isLeft = ({ findings }: Cell) => findings.some(({ code }) => code === 'no-free-slot');
  const left = new Map<string, number>();
  const has = new Set<string>();
  for (const cell of cells) {
    const group = groupOf.get(cell.channelId) ?? '';
    if (isLeft(cell)) left.set(group, (left.get(group) ?? 0) + 1);
    else if (cell.slot) has.add(group);
  }
  return cells.map((cell) => {
    const group = groupOf.get(cell.channelId) ?? '';
    if (!isLeft(cell) || !has.has(group)) return cell;
    const split: Finding = { code: 'group-split', severity: 'warning', left: left.get(group) ?? 1 };
    return { ...cell, findings: [...cell.findings, split] };
  });
}

function settle(
  device: FitDevice,
  judgement: Judgement,
  used: Map<number, PlacedSlot>,
  names: Names,
  channels: readonly Channel[],
  numbers: Numbers,
  { blocks, zoneOf, forZones, holds }: Room,
): Cell {
  const { channel, outcome, reasons } = judgement;
  const cell = (verdict: Verdict, findings: readonly Finding[]): Cell => ({
    channelId: channel.id,
    verdict,
    slot: null,
    name: null,
    findings,
  });
  if (outcome === 'no' || outcome === 'unknown') return cell(outcome, reasons);
  let blocked: Finding | undefined;
  const isFull = isAtCapacity(device, used);
  // What a set has no room for, and comes in all the same since others share a place, never comes to its number by luck: what the
  // numbers promise is what they do.
  const number = holds.has(channel.id) ? undefined : numbers[channel.id];
  const last = number === undefined ? undefined : device.slotRead.get(number);
  const ordered = inOrder(judgement, zoneOf.get(channel.id), forZones, device);
  const asked = last
    ? [...ordered.filter((slot) => slot !== last), ...ordered.filter((slot) => slot === last)]
    : ordered;
  for (const slot of asked) {
    const there = used.get(slot.number);
    if (!there && ((isFull && !slot.fixed) || !blocks.allows(channel, slot))) continue;
    // Only a channel on the same frequency could share it: nothing more is asked of the others.
    if (there && !slot.fixed && there.content.receiveHz !== judgement.receiveHz) continue;
    const content = judgement.contentAt(slot);
    if (!content || (there && !slot.fixed && !sameContent(there.content, content))) continue;
    const placement = judgement.at(slot);
    if (!placement) continue;
    if (!there) {
      blocks.take(channel, slot);
      return take(device, judgement, placement, used, names);
    }
    if (sameContent(there.content, content))
      return share(device, judgement, placement, there, used, channels);
    if (!blocked) {
      const by = channels.find((other) => other.id === there.channelIds[0])?.name ?? '';
      blocked = { code: 'slot-taken', severity: 'error', by, number: slot.number };
    }
  }
  return cell('no', [blocked ?? { code: 'no-free-slot', severity: 'error' }]);
}

/**
 * The places that a channel may ask for: where it is already, then those of its group's zone, then the other free ones; without a zone those
 * that others' zones need are the last of the empty ones.
 */
function inOrder(
  judgement: Judgement,
  zone: number | undefined,
  forZones: ReadonlySet<number>,
  { filled, holding }: FitDevice,
): readonly Slot[] {
  const { slots } = judgement;
  if (zone === undefined && forZones.size === 0) return slots;
  const firstFree = slots.findIndex(({ fixed }) => !fixed);
  const rank = (slot: Slot) => {
    if (slot.fixed) return 20;
    if (zone === undefined) {
      // Where it never sends goes before all that.
      const loud = isReceiveOnly(slot) ? 0 : 10;
      if (filled.get(slot.number) === judgement.receiveHz) return loud;
      return loud + (filled.has(slot.number) ? 3 : forZones.has(slot.number) ? 2 : 1);
    }
    const isHere = slot.bank === zone;
    if (isThere(judgement, slot, holding)) return isHere ? 0 : 1;
    return isHere && !holding.has(slot.number) ? 2 : 3;
  };
  // Places of one rank stay in their order.
  const rest = slots.slice(firstFree).toSorted((a, b) => rank(a) - rank(b));
  return [...slots.slice(0, firstFree), ...rest];
}

/** Whether as many free places are filled as the set can hold at once, with those that its holder filled. */
function isAtCapacity(
  { description: { capacity }, freeSlots, filled }: FitDevice,
  used: ReadonlyMap<number, PlacedSlot>,
): boolean {
  if (capacity === undefined) return false;
  return freeSlots.filter(({ number }) => used.has(number) || filled.has(number)).length >= capacity;
}

function take(
  device: FitDevice,
  judgement: Judgement,
  placement: Placement,
  used: Map<number, PlacedSlot>,
  names: Names,
): Cell {
  const { channel } = judgement;
  const naming = nameIn(device, channel, placement, names);
  const nameField = device.field.name;
  const stores = nameField !== undefined && naming.stored !== undefined;
  used.set(placement.slot.number, {
    channelIds: [channel.id],
    values: stores ? { ...placement.values, [nameField.id]: naming.stored as string } : placement.values,
    content: stores ? { ...placement.content, name: naming.stored as string } : placement.content,
  });
  return finished(judgement, placement, naming.stored ?? null, naming.findings);
}

function share(
  device: FitDevice,
  judgement: Judgement,
  placement: Placement,
  there: PlacedSlot,
  used: Map<number, PlacedSlot>,
  channels: readonly Channel[],
): Cell {
  const first = channels.find((channel) => channel.id === there.channelIds[0])?.name ?? '';
  const number = placement.slot.number;
  used.set(number, { ...there, channelIds: [...there.channelIds, judgement.channel.id] });
  const name = device.field.name ? (there.content.name ?? null) : null;
  return finished(judgement, placement, name, [
    { code: 'slot-shared', severity: 'note', with: first, number },
  ]);
}

function finished(
  judgement: Judgement,
  placement: Placement,
  name: string | null,
  more: readonly Finding[],
): Cell {
  const findings = [...judgement.reasons, ...placement.findings, ...more];
  const { slot } = placement;
  const verdict: Verdict =
    judgement.outcome === 'listen' ? 'listen' : isAdapted(findings) ? 'adapted' : 'full';
  return {
    channelId: judgement.channel.id,
    verdict,
    slot: { number: slot.number, label: slot.label, position: slot.position, bank: slot.bankName },
    name,
    findings,
  };
}

/** The findings that make a channel `adapted`: something of it had to give on this device. */
const ADAPTS: ReadonlySet<Finding['code']> = new Set([
  'power-lowered',
  'power-unknown',
  'receive-tone-left-off',
  'tone-by-partner',
  'tone-by-number',
  'tone-both-ways',
  'channel-tone-unknown',
  'name-shortened',
  'slot-shared',
  'bandwidth-differs',
  'bandwidth-by-rule',
]);

/** Whether something of a channel had to give on this device. */
export function isAdapted(findings: readonly Finding[]): boolean {
  return findings.some(({ code }) => ADAPTS.has(code));
}

/** The names of the plan's channels on a set; or that it has none, or nobody knows. */
type Names = ReadonlyMap<string, ChosenName> | 'none' | 'unknown';

function namesOn(channels: readonly Channel[], device: FitDevice): Names {
  const rule = spellable(device.description);
  return typeof rule === 'object' ? namesTogether(channels, rule, namesGiven(channels, device)) : rule;
}

/** What the channels are called on a set now, as far as what it holds is known. */
function namesGiven(channels: readonly Channel[], { holding }: FitDevice): Map<string, string> {
  const pairs = new Map<string, string>();
  for (const content of holding.values())
    if (content.kind === 'channel' && content.name?.trim())
      pairs.set(`${content.receiveHz} ${content.transmitHz}`, content.name.trim());
  return new Map(
    channels.flatMap(({ id, receiveHz, transmitHz }) => {
      const name = pairs.get(`${receiveHz} ${transmitHz}`);
      return name === undefined ? [] : [[id, name] as const];
    }),
  );
}

function nameIn(
  device: FitDevice,
  channel: Channel,
  placement: Placement,
  names: Names,
): { stored?: string; findings: readonly Finding[] } {
  const field = device.field.name;
  if (names === 'unknown') return { findings: [{ code: 'names-unknown', severity: 'note' }] };
  const chosen = names === 'none' ? undefined : names.get(channel.id);
  if (!chosen || !field || !placement.slot.settable.includes(field.id))
    return { findings: [{ code: 'no-names', severity: 'note' }] };
  const { text, isTwice } = chosen;
  const same = text.toLowerCase() === channel.name.toLowerCase();
  return {
    stored: text,
    findings: [
      ...(same ? [] : [{ code: 'name-shortened', severity: 'note', from: channel.name, to: text } as const]),
      ...(isTwice ? [{ code: 'name-twice', severity: 'note', name: text } as const] : []),
    ],
  };
}
