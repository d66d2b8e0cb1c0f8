import {
  type Between,
  type PairOnAir,
  type RepeaterSides,
  type SetOnAir,
  sidesOfMemory,
  sidesOfStation,
} from './air/index';
import { conditionOf, isThere } from './evidence/index';
import type { Finding } from './findings/index';
import {
  type Cell,
  carriedBy,
  decisive,
  type Fit,
  type FitDevice,
  fitDevice,
  fitPlan,
  rightOn,
  sendsBy,
} from './fit/index';
import { startOf } from './flow';
import { heldMemory, knownOf, valuesOnceUsed } from './memory/index';
import {
  type Channel,
  type ChannelContent,
  canHear,
  type Description,
  type Field,
  holdsOnePair,
  isForChannels,
  kindOf,
  type Memory,
  numbersWith,
  type Plan,
  type Slot,
  type Station,
  slotReader,
  slotsOf,
  type Unit,
} from './model/index';
import { type Grounds, type NO_GROUNDS, senderOf } from './rules/index';
import { factOf } from './stations/index';

/** Whether sets are looked at as the plan wants them, or as they are known to be. */
export type AirState = 'planned' | 'held';

/** What is known of a fleet and of what stands between its sets. */
export interface AirFleet {
  readonly plan: Plan;
  readonly units: readonly Unit[];
  readonly descriptions: readonly Description[];
  readonly grounds: Grounds | typeof NO_GROUNDS;
  readonly stations: readonly Station[];
  /** What was worked out before of sets that are alike, in this very plan and with these descriptions; what is new is put in. */
  readonly alike?: Map<string, SetKind>;
}

/** One set on one channel, and where that stands in it. */
export interface UnitOnAir {
  readonly unitId: string;
  readonly set: SetOnAir;
  /** Its place for the channel; `null` where it has none, or nobody knows which. */
  readonly place: { readonly number: number; readonly label: string } | null;
  /** Why whoever has it may not send there, or why the channel is not in it; `null` where nothing is said. */
  readonly why: Finding | null;
}

/** A repeater between the sets on a channel, and by whose word it is as it is. */
export interface RepeaterOnAir {
  readonly between: Between;
  readonly name: string;
  /** The station of the list; `null` where it is none of them. */
  readonly station: Station | null;
  /** The list of stations, the memory of the group's own one, or the plan alone. */
  readonly by: 'station' | 'own-set' | 'plan';
}

/** Sets that talk and listen: a group's own repeater is between them, and none of them. */
export const isSpokenWith = (description: Description): boolean => !holdsOnePair(description);

/**
 * Says of a fleet how its sets stand on a channel, in the fleet's order; sets that fit alike are fitted once.
 * @throws RangeError for a unit without its description
 */
export function fleetOnAir(fleet: AirFleet): (channel: Channel, as: AirState) => UnitOnAir[] {
  const sets = setsOf(fleet);
  return (channel, as) => sets.map(({ unit, kind }) => unitOnAir(unit, kind, channel, as));
}

/** The sets of a fleet that talk and listen, each with what all that are like it come to. @throws RangeError for a unit without its description */
export function setsOf(fleet: AirFleet): { unit: Unit; kind: SetKind }[] {
  const { plan, units, descriptions, grounds } = fleet;
  const byId = new Map(descriptions.map((description) => [description.id, description]));
  const alike = fleet.alike ?? new Map<string, SetKind>();
  return units.flatMap((unit) => {
    const description = byId.get(unit.descriptionId);
    if (!description) throw new RangeError(`unit ${unit.id}: no description ${unit.descriptionId}`);
    if (!isSpokenWith(description)) return [];
    const part = { sender: senderOf(grounds, unit), carriesGroups: carriedBy(plan, unit) };
    const { keeps, carries, holds, start, roleId, alerts } = unit;
    const key = JSON.stringify([description.id, keeps, carries, holds, start, roleId, alerts, part]);
    const kind = alike.get(key) ?? setKind(plan, description, { ...unit, ...part });
    alike.set(key, kind);
    return [{ unit, kind }];
  });
}

type Content = ChannelContent | null | 'unknown';

/** What sets of one kind with the same contents and rights come to. */
export interface SetKind {
  readonly plan: Plan;
  readonly description: Description;
  readonly device: FitDevice;
  readonly fit: Fit;
  readonly cells: ReadonlyMap<string, Cell>;
  readonly slots: readonly Slot[];
  readonly slotAt: ReadonlyMap<number, Slot>;
  /** What its places do by what is known of them. */
  readonly held: ReadonlyMap<number, At>;
  readonly memory: Memory;
  /** What was looked up already, by channel. */
  readonly found: Map<
    string,
    Pick<UnitOnAir, 'place' | 'why'> & { content: Content; maySend: SetOnAir['maySend'] }
  >;
}

/** What a place does, and whether it is told not to send where nobody knows that. */
export interface At {
  readonly content: Content;
  readonly maySend: true | 'unknown';
}

function setKind(
  plan: Plan,
  description: Description,
  unit: Unit & { sender: FitDevice['sender']; carriesGroups: FitDevice['carriesGroups'] },
): SetKind {
  const { memory } = heldMemory(description, unit.holds);
  const device = fitDevice(description, startOf(description, memory, unit).now, unit);
  const fit = fitPlan(plan, device, numbersWith(plan));
  const slots = slotsOf(description).filter(({ region }) => isForChannels(region));
  const read = slotReader(description);
  return {
    plan,
    description,
    device,
    fit,
    cells: new Map(fit.cells.map((cell) => [cell.channelId, cell])),
    slots,
    slotAt: new Map(slots.map((slot) => [slot.number, slot])),
    held: new Map(slots.map((slot) => [slot.number, contentAt(description, read, slot, memory)])),
    memory,
    found: new Map(),
  };
}

/** What a place does by a memory: fields that nobody knows are unknown, and a place is where nobody knows where it listens or sends. */
export function contentAt(
  description: Description,
  read: ReturnType<typeof slotReader>,
  slot: Slot,
  memory: Pick<Memory, 'slots'>,
): At {
  const { state, unknown } = knownOf(description, slot, memory);
  if (state === 'unknown') return { content: 'unknown', maySend: true };
  const content = read(slot, memory.slots.get(slot.number) ?? null);
  if (content?.kind === 'unseen') return { content: 'unknown', maySend: true };
  if (content?.kind !== 'channel') return { content: null, maySend: true };
  const holds = new Set(description.fields.flatMap((one) => (unknown.includes(one.id) ? [one.holds] : [])));
  const any = (those: readonly Field['holds'][]) => those.some((one) => holds.has(one));
  return {
    content: {
      ...content,
      ...(any(SENT) && { transmitTone: 'unknown' }),
      ...(any(AWAITED) && { receiveTone: 'unknown' }),
      ...(holds.has('bandwidth') && { bandwidth: 'unknown' }),
      ...(holds.has('modulation') && { modulation: 'unknown' }),
    },
    maySend: holds.has('transmitForbidden') && content.transmitHz !== null ? 'unknown' : true,
  };
}

const SENT = ['transmitTone', 'transmitCtcss', 'transmitDcs', 'bothTones', 'toneMode'] as const;
const AWAITED = ['receiveTone', 'receiveCtcss', 'receiveDcs', 'bothTones', 'toneMode'] as const;

/** How one set stands on a channel. */
export function unitOnAir(unit: Unit, kind: SetKind, channel: Channel, as: AirState): UnitOnAir {
  const key = `${as} ${channel.id}`;
  const found = kind.found.get(key) ?? (as === 'planned' ? planned(kind, channel) : held(kind, channel));
  kind.found.set(key, found);
  const { place, why, content, maySend } = found;
  const { is } = conditionOf(unit);
  return {
    unitId: unit.id,
    place,
    why,
    set: {
      isOn: is === 'well',
      place: content,
      maySend,
      picked: as === 'planned' ? 'off' : pickedOn(unit, kind.description),
      // A place that does not say how it is modulated is of a set that has one way alone, and the fit let the channel in.
      mode: channel.mode,
    },
  };
}

function pickedOn({ pickedTone }: Unit, { operatorTone }: Description): SetOnAir['picked'] {
  if (operatorTone === 'none' || pickedTone === 'off') return 'off';
  if (operatorTone === 'unknown') return { tone: 'unknown', reach: 'both' };
  return { tone: pickedTone, reach: operatorTone.reach };
}

type Found = Pick<UnitOnAir, 'place' | 'why'> & { content: Content; maySend: SetOnAir['maySend'] };

/** As the plan wants it: the place the channel is given, with what the set has there besides. */
function planned(kind: SetKind, channel: Channel): Found {
  const { description, device, fit } = kind;
  const cell = kind.cells.get(channel.id);
  const why = (cell && decisive(cell)) ?? null;
  const slot = cell?.slot && kind.slotAt.get(cell.slot.number);
  const wanted = slot && fit.image.slots.get(slot.number);
  if (!cell || !slot || !wanted)
    return { place: null, why, content: cell?.verdict === 'unknown' ? 'unknown' : null, maySend: 'unknown' };
  const present = device.present.slots.get(slot.number);
  const base = present ?? (present === null ? valuesOnceUsed(description, slot.region) : {});
  const slots = new Map([[slot.number, { ...base, ...wanted.values }]]);
  const at = contentAt(description, slotReader(description), slot, { slots });
  // What the plan decides of a place is known, whatever of it stands in fields that it leaves alone.
  const content =
    at.content !== 'unknown' ? at.content : wanted.content.kind === 'channel' ? wanted.content : null;
  return { place: placeOf(slot), why, content, maySend: sendsBy(cell.verdict) };
}

/**
 * As it is known to be: the place that the plan gave the channel where that listens there, else another one that does. Where nobody
 * knows what a place holds that may be it, nobody knows.
 */
function held(kind: SetKind, channel: Channel): Found {
  const { description, slots, device, plan } = kind;
  const given = kind.cells.get(channel.id)?.slot?.number;
  const at = (number: number) => kind.held.get(number)?.content ?? null;
  const isGivenUnknown = given !== undefined && at(given) === 'unknown';
  const listening = slots.flatMap((slot) => {
    const content = at(slot.number);
    return content !== null && content !== 'unknown' && content.receiveHz === channel.receiveHz
      ? [{ slot, content }]
      : [];
  });
  const [best] = listening.toSorted(
    (a, b) =>
      Number(b.slot.number === given) - Number(a.slot.number === given) ||
      likeness(b.content, channel) - likeness(a.content, channel) ||
      a.slot.number - b.slot.number,
  );
  if (isGivenUnknown || (!best && canHear(description, channel.receiveHz) && hasUnknown(kind)))
    return { place: null, why: null, content: 'unknown', maySend: 'unknown' };
  if (!best) return { place: null, why: null, content: null, maySend: 'unknown' };
  const { content, slot } = best;
  const found = { place: placeOf(slot), content };
  if (content.transmitHz === null) return { ...found, why: null, maySend: false };
  const rule = rightOn(device, content.receiveHz, content.transmitHz, plan);
  if (rule.may !== 'transmit')
    return { ...found, why: rule.finding, maySend: rule.may === 'listen' ? false : 'unknown' };
  return { ...found, why: null, maySend: kind.held.get(slot.number)?.maySend ?? true };
}

const placeOf = ({ number, label }: Slot) => ({ number, label });
const hasUnknown = ({ held }: SetKind) => [...held.values()].some(({ content }) => content === 'unknown');
/** How much a place is like a channel, of two that listen to the same. */
const likeness = (content: ChannelContent, channel: Channel) =>
  4 * Number(content.transmitHz === channel.transmitHz) +
  2 * Number(content.transmitTone === channel.transmitTone) +
  Number(content.receiveTone === channel.receiveTone);

/**
 * The repeaters between the sets on a channel: those of the list that come out where our sets listen; the group's own one as it is
 * known to be; where neither is, one as the plan says. None for a channel without one.
 */
export function repeatersOn(
  { units, descriptions, stations }: Pick<AirFleet, 'units' | 'descriptions' | 'stations'>,
  channel: Channel,
  as: AirState,
): RepeaterOnAir[] {
  if (kindOf(channel) !== 'repeater') return [];
  const own = as === 'held' ? ownRepeater(units, descriptions, channel) : null;
  const listed = stations
    .filter((one) => one.kind === 'repeater' && factOf(one, 'outputHz') === channel.receiveHz)
    .map((station): RepeaterOnAir => {
      const sides = sidesOfStation(station);
      const status = factOf(station, 'status') ?? 'unknown';
      const isOwn = own !== null && sides.inputHz === own.sides.inputHz;
      return isOwn
        ? { name: station.name, station, by: 'own-set', between: { ...own.sides, status } }
        : { name: station.name, station, by: 'station', between: { ...sides, status } };
    });
  if (listed.length > 0) return listed;
  if (own) {
    const between = { ...own.sides, status: own.status };
    return [{ name: own.name, station: null, by: 'own-set', between }];
  }
  const asPlanned: Between = {
    inputHz: channel.transmitHz ?? 'unknown',
    outputHz: channel.receiveHz,
    inputTone: channel.transmitTone,
    outputTone: channel.receiveTone,
    answer: 'unknown',
    talkLimitS: 'unknown',
    status: STATUS[channel.state],
  };
  return [{ name: channel.name, station: null, by: 'plan', between: asPlanned }];
}

const STATUS = { 'on-air': 'on-air', planned: 'planned', withdrawn: 'gone' } as const;

function ownRepeater(
  units: readonly Unit[],
  descriptions: readonly Description[],
  channel: Channel,
): { name: string; sides: RepeaterSides; status: Between['status'] } | null {
  for (const unit of units) {
    const description = descriptions.find(({ id }) => id === unit.descriptionId);
    if (!description || !holdsOnePair(description) || unit.carries !== channel.id) continue;
    const { memory } = heldMemory(description, unit.holds);
    const isKnown = slotsOf(description).some(
      (slot) => isForChannels(slot.region) && knownOf(description, slot, memory).unknown.length === 0,
    );
    const sides = isKnown ? sidesOfMemory(description, memory) : null;
    if (sides) return { name: unit.nickname, sides, status: isThere(unit) ? 'on-air' : 'off-air' };
  }
  return null;
}

/** Whether the signal gets there, which no gate of a set decides. */
export type Reach = 'heard' | 'not-heard' | 'unknown';

/** By what people said of the repeater between them: it carries as far as both of them reach it. What nobody said is unknown. */
export function reachSaid(
  { through }: Pick<PairOnAir, 'through'>,
  from: Pick<Unit, 'personId'>,
  to: Pick<Unit, 'personId'>,
  repeaters: readonly RepeaterOnAir[],
): Reach {
  const station = through === null ? null : repeaters[through]?.station;
  if (!station) return 'unknown';
  const said = [from, to].map(({ personId }) => reachedBy(station, personId));
  return said.includes(false) ? 'not-heard' : said.every((one) => one === true) ? 'heard' : 'unknown';
}

/** The newest word of somebody on a repeater; of two of one day the one written later. */
function reachedBy({ reports }: Station, personId: string | null): boolean | undefined {
  return reports
    .filter((one) => one.personId === personId)
    .reduce<Station['reports'][number] | undefined>(
      (last, one) => (last === undefined || one.on >= last.on ? one : last),
      undefined,
    )?.reached;
}
