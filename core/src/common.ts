import { type Between, largestMeeting, type SetOnAir, type Standing } from './air/index';
import { servicesOf } from './facts/index';
import { fitDevice, fitPlan, sendsBy } from './fit/index';
import { ownPlaces } from './flow';
import { diff, valuesOnceUsed, type Wanted } from './memory/index';
import {
  type Channel,
  type ChannelContent,
  type Description,
  type Field,
  numbersWith,
  type Plan,
  slotReader,
  type ToneText,
  type Unit,
  UnitSchema,
} from './model/index';
import { type AirFleet, contentAt, repeatersOn, type SetKind, setsOf, unitOnAir } from './onAir';
import { CALM, minutesAt, type Sheet, writeSheet } from './procedure/index';
import { neverTested } from './rules/index';

/** Somebody's set among a handful: one of the fleet, or a stranger’s of which no more than its kind is known. */
export type Member =
  | { readonly key: string; readonly unit: Unit }
  /** A set with the 22 channels of the family service and of no known make, its code off: nothing of it is changed. */
  | { readonly key: string; readonly unit: null };

/** The key of a set with the 22 channels of the family service, whoever made it. */
export const ANY_MAKE = 'kind:any-22-channels';

/**
 * The set that a word means: one of the fleet by its id, anybody's of a kind (`kind:` and the description's id), or one of any make; `undefined` for
 * what is none of them.
 */
export function memberNamed(
  word: string,
  units: readonly Unit[],
  descriptions: readonly Description[],
): Member | undefined {
  if (word === ANY_MAKE) return { key: word, unit: null };
  const unit = units.find(({ id }) => id === word);
  if (unit) return { key: word, unit };
  const description = descriptions.find(({ id }) => word === `kind:${id}`);
  if (!description) return undefined;
  const stranger = UnitSchema.parse({
    id: '00000000-0000-4000-8000-000000000000',
    descriptionId: description.id,
    nickname: `a stranger’s ${description.title}`.slice(0, 40),
    holder: '',
    serial: '',
    firmware: 'unknown',
  });
  return { key: word, unit: stranger };
}

/** What has to be changed in one set to take part. */
export interface CommonChange {
  readonly set: string;
  readonly slot: number;
  readonly label: string;
  /** The fields that have to be set, by their ids. */
  readonly fields: readonly string[];
  readonly presses: number;
  readonly sheet: Sheet;
  /** What the place shall hold, to prove the steps by. */
  readonly wanted: Wanted;
}

/** A channel with the tones under which some sets meet. */
export interface CommonOption {
  readonly channelId: string;
  readonly name: string;
  readonly transmitTone: ToneText;
  /** What the sets wait for; off where they are open. */
  readonly receiveTone: ToneText;
  /** The sets that hear all the others, by their keys. */
  readonly covers: readonly string[];
  /** Those of them whose holders may send there. */
  readonly lawful: readonly string[];
  readonly changes: readonly CommonChange[];
  /** All changes one after another at a calm pace. */
  readonly minutes: number;
}

/** Where no one channel does: who would need another set, or who could pass on between two channels. */
export interface Otherwise {
  readonly lend: { readonly channelId: string; readonly sets: readonly string[] } | null;
  readonly relay: {
    readonly channelIds: readonly [string, string];
    /** Sets that are on both, and may send on both. */
    readonly sets: readonly string[];
  } | null;
}

/** The ground that some sets share, best first; and what else would do where no channel covers all of them. */
export interface CommonGround {
  readonly options: readonly CommonOption[];
  readonly otherwise: Otherwise | null;
}

/**
 * Looks for the channel and the tones on which a handful of sets meet, now or with the fewest changes: most covered first, then fewest changes, minutes, name.
 * Each of them hears all of them that talk; what nobody knows of a set counts as to be set. Channels for distress and
 * calling are no ground to meet on.
 * @throws RangeError for a unit without its description
 */
export function commonGround(
  fleet: Omit<AirFleet, 'units'>,
  own: readonly Unit[],
  members: readonly Member[],
): CommonGround {
  const units = members.flatMap(({ unit }) => unit ?? []);
  const kinds = new Map(setsOf({ ...fleet, units }).map(({ unit, kind }) => [unit, kind]));
  const options = fleet.plan.channels
    .filter((channel) => isGround(fleet.plan, channel))
    .flatMap((channel) => {
      const repeaters = repeatersOn({ ...fleet, units: own }, channel, 'held').map(({ between }) => between);
      const there = members.map((member): Placed => {
        const kind = member.unit && kinds.get(member.unit);
        if (!member.unit) return { ...member, kind: null, now: anyMake(fleet.plan, channel) };
        return {
          ...member,
          kind: kind ?? null,
          now: kind ? unitOnAir(member.unit, kind, channel, 'held').set : null,
        };
      });
      const found = tonesFor(channel, there).flatMap(
        (tones) => optionOf(channel, tones, there, repeaters) ?? [],
      );
      // Sets that stay as they are come to the same whatever was tried.
      return [...new Map(found.map((option) => [alikeBy(option), option] as const)).values()];
    });
  const ranked = options.toSorted(
    (a, b) =>
      b.covers.length - a.covers.length ||
      a.changes.length - b.changes.length ||
      a.minutes - b.minutes ||
      a.name.localeCompare(b.name, 'en') ||
      Number(b.transmitTone === 'off') - Number(a.transmitTone === 'off') ||
      a.transmitTone.localeCompare(b.transmitTone, 'en'),
  );
  const isAll = ranked[0]?.covers.length === members.length;
  return {
    options: ranked,
    otherwise: isAll
      ? null
      : otherwiseFor(
          ranked,
          members.map(({ key }) => key),
        ),
  };
}

const alikeBy = ({ transmitTone, receiveTone, covers, changes }: CommonOption): string =>
  JSON.stringify([
    transmitTone,
    receiveTone,
    covers,
    changes.map(({ set, slot, fields }) => [set, slot, fields]),
  ]);

/** Whether people may meet on a channel at all. */
function isGround(plan: Plan, channel: Channel): boolean {
  return (
    channel.transmitHz !== null &&
    channel.trunk === null &&
    channel.state === 'on-air' &&
    neverTested(channel, plan) === undefined
  );
}

interface Placed {
  readonly key: string;
  readonly unit: Unit | null;
  readonly kind: SetKind | null;
  /** How it stands on the channel now; `null` for one that does not talk and listen at all. */
  readonly now: SetOnAir | null;
}

/** A set of no known make with the channels of the family service: it sends and hears without a code on the direct ones (47 CFR 95.563). */
function anyMake({ country }: Plan, channel: Channel): SetOnAir {
  const frs = servicesOf(country).find(({ id }) => id === 'frs');
  const has = frs?.channels.some(
    ({ receiveHz }) => receiveHz === channel.receiveHz && channel.transmitHz === receiveHz,
  );
  const { receiveHz } = channel;
  return {
    isOn: true,
    place: has
      ? { kind: 'channel', receiveHz, transmitHz: receiveHz, transmitTone: 'off', receiveTone: 'off' }
      : null,
    maySend: true,
    picked: 'off',
    mode: 'FM',
  };
}

interface Tones {
  readonly transmitTone: ToneText;
  readonly receiveTone: ToneText;
}

/** The tones that come into question: those of the plan, none, and on a direct channel those that some of the sets send or wait for now. */
function tonesFor(channel: Channel, there: readonly Placed[]): Tones[] {
  const { transmitTone: sent, receiveTone: awaited } = channel;
  const found: Tones[] = [];
  const add = (transmitTone: string, receiveTone: string) => {
    if (transmitTone === 'unknown' || receiveTone === 'unknown') return;
    if (!found.some((one) => one.transmitTone === transmitTone && one.receiveTone === receiveTone))
      found.push({ transmitTone, receiveTone });
  };
  if (channel.transmitHz !== channel.receiveHz) {
    add(sent, awaited);
    add(sent, 'off');
    return found;
  }
  add(sent, awaited);
  add('off', 'off');
  for (const { now } of there) {
    const place = now?.place;
    if (!place || place === 'unknown' || place.receiveHz !== channel.receiveHz) continue;
    for (const tone of [place.transmitTone, place.receiveTone]) {
      add(tone ?? 'off', tone ?? 'off');
      add(tone ?? 'off', 'off');
    }
  }
  return found;
}

/** One way in which a set takes part: as it is, or with a change. */
interface Way extends Standing {
  readonly change: (() => Omit<CommonChange, 'set'>) | null;
}

function optionOf(
  channel: Channel,
  tones: Tones,
  there: readonly Placed[],
  repeaters: readonly Between[],
): CommonOption | null {
  const ways = there.map((member) => waysOf(member, channel, tones));
  const meeting = largestMeeting(ways, repeaters);
  const parts = there.flatMap(({ key }, i) => {
    const way = ways[i]?.[meeting?.[i] ?? -1];
    return way ? [{ key, way }] : [];
  });
  if (parts.length === 0) return null;
  const changes = parts.flatMap(({ key, way }) => (way.change ? [{ set: key, ...way.change() }] : []));
  const minutes = changes.reduce((sum, { sheet }) => sum + minutesAt(sheet.steps, CALM), 0);
  return {
    channelId: channel.id,
    name: channel.name,
    ...inUse(
      parts.map(({ way: { set } }) => set),
      tones,
    ),
    covers: parts.map(({ key }) => key),
    lawful: parts.flatMap(({ key, way: { set } }) => (set.maySend === true ? [key] : [])),
    changes,
    minutes: Math.ceil(minutes),
  };
}

/**
 * The tones that sets have in use as they stand then: what all that send have in common, and what any of them waits for. Where they send different ones,
 * nobody waits for any, and the tones that were tried are as good.
 */
function inUse(sets: readonly SetOnAir[], tried: Tones): Tones {
  const places = sets.flatMap(({ place }) => (place && place !== 'unknown' ? [place] : []));
  const sent = new Set(
    places.flatMap((place) => (place.transmitHz === null ? [] : [place.transmitTone ?? 'off'])),
  );
  const [transmitTone] = sent;
  if (transmitTone === undefined || sent.size > 1 || transmitTone === 'unknown') return tried;
  const awaited = places
    .map(({ receiveTone = 'off' }) => receiveTone)
    .find((tone) => tone !== 'off' && tone !== 'unknown');
  return { transmitTone, receiveTone: awaited ?? 'off' };
}

function waysOf({ now, kind, unit }: Placed, channel: Channel, tones: Tones): Way[] {
  if (!now?.isOn) return [];
  const asIs: Way = { set: now, cost: 0, change: null };
  const changed = kind && unit && changeTo(kind, unit, channel, tones);
  return changed ? [asIs, { ...changed, cost: 1 }] : [asIs];
}

/** What it takes to bring a set to a channel with these tones, at a place that nothing else of the plan is at; `null` where it cannot be. */
function changeTo(
  kind: SetKind,
  unit: Unit,
  channel: Channel,
  { transmitTone, receiveTone }: Tones,
): Omit<Way, 'cost'> | null {
  const { plan, description, device, memory } = kind;
  const others = kind.fit.cells.flatMap(({ channelId, slot }) =>
    slot && channelId !== channel.id ? [slot.number] : [],
  );
  const alone: Plan = {
    ...plan,
    setup: {},
    carried: { kinds: {}, teams: {}, units: {} },
    channels: [
      { ...channel, transmitTone, receiveTone, receivePolicy: receiveTone === 'off' ? 'open' : 'closed' },
    ],
  };
  const placed = (keeps: number[]) => {
    const fit = fitPlan(
      alone,
      fitDevice(description, device.present, { ...unit, sender: device.sender, keeps }),
      numbersWith(plan),
    );
    const [cell] = fit.cells;
    const wanted = cell?.slot && fit.image.slots.get(cell.slot.number);
    const slot = cell?.slot && kind.slotAt.get(cell.slot.number);
    return cell && wanted && slot ? { cell, wanted, slot } : null;
  };
  // What its holder put into a free place is theirs: rather not at all than there. A factory place keeps its frequency.
  const own = ownPlaces(description, memory, unit.holds.wrote).filter(
    (number) => kind.slotAt.get(number)?.fixed === undefined,
  );
  const found = placed([...unit.keeps, ...own, ...others]) ?? placed([...unit.keeps, ...own]);
  if (found?.wanted.content.kind !== 'channel') return null;
  const { cell, slot } = found;
  const present = memory.slots.get(slot.number);
  const there = present === null ? valuesOnceUsed(description, slot.region) : (present ?? {});
  // What a meeting does without stays as it is, where that is known.
  const aside = Object.entries(there).filter(([id]) => isAside(description, id));
  const values = { ...found.wanted.values, ...Object.fromEntries(aside) };
  const wanted: Wanted = { slots: new Map([[slot.number, values]]), settings: {} };
  const after = {
    slots: new Map([[slot.number, { ...memory.slots.get(slot.number), ...values }]]),
  };
  const { content } = contentAt(description, slotReader(description), slot, after);
  const place: ChannelContent = content === null || content === 'unknown' ? found.wanted.content : content;
  return {
    set: { isOn: true, place, maySend: sendsBy(cell.verdict), picked: 'off', mode: channel.mode },
    change: () => {
      const changes = diff(description, memory, wanted);
      const sheet = writeSheet(description, changes, { pickedTone: unit.pickedTone });
      const fields = changes.places.flatMap(({ fields }) => fields);
      return { slot: slot.number, label: slot.label, fields, presses: sheet.presses, sheet, wanted };
    },
  };
}

/** What a meeting does without: a name, and what a scan makes of the place. */
const ASIDE: ReadonlySet<Field['holds']> = new Set([
  'name',
  'inScan',
  'hasPriority',
  'resumeDelayS',
  'inCalls',
]);
const isAside = ({ fields }: Pick<Description, 'fields'>, field: string): boolean =>
  fields.some(({ id, holds }) => id === field && ASIDE.has(holds));

/** Of options that do not cover all: the fewest sets to lend, and two channels that together do, with sets on both that pass on. */
function otherwiseFor(options: readonly CommonOption[], keys: readonly string[]): Otherwise {
  const [best] = options;
  const lend = best
    ? { channelId: best.channelId, sets: keys.filter((key) => !best.covers.includes(key)) }
    : null;
  for (const [i, a] of options.entries())
    for (const b of options.slice(i + 1)) {
      if (
        a.channelId === b.channelId ||
        !keys.every((key) => a.covers.includes(key) || b.covers.includes(key))
      )
        continue;
      const sets = a.lawful.filter((key) => b.lawful.includes(key));
      if (sets.length > 0) return { lend, relay: { channelIds: [a.channelId, b.channelId], sets } };
    }
  return { lend, relay: null };
}
