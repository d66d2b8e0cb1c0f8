import type { Finding } from '../findings/index';
import {
  type Channel,
  factoryValues,
  isForChannels,
  type Memory,
  type Native,
  type Slot,
  type SlotValues,
  slotReader,
} from '../model/index';
import { mustStayQuiet, type TransmitRule, transmitRule } from '../rules/index';
import { type FitDevice, valuesOf } from './device';
import type { Cell, WantedSlot } from './image';
import { forbidding } from './place';
import type { FitPolicy } from './policy';

/** A place that is able to send although whoever holds the set has no right to send there. */
export interface AbleToSend {
  readonly number: number;
  readonly label: string;
  readonly transmitHz: number;
  /** It is so from the factory, and not by the plan. */
  readonly fromFactory: boolean;
  /** Why they have no right. */
  readonly why: Finding;
}

/** Whether whoever holds a set may send on a pair with it. */
export function rightOn(
  { description, sender }: Pick<FitDevice, 'description' | 'sender'>,
  receiveHz: number,
  transmitHz: number,
  policy: FitPolicy,
): TransmitRule {
  return transmitRule({ receiveHz, transmitHz, service: 'other' }, description, policy, sender);
}

/**
 * Why a channel that is only listened to is left out of a free place whose talk key would send; `null` where it may be loaded. With a right
 * to send there only a warning is needed. Without one the plan says what becomes of it; distress, calling and public-safety channels are
 * never loaded so.
 * @param unlawful whoever holds it may send there, but this set only with too much power or too wide
 */
export function leftOut(
  device: FitDevice,
  channel: Pick<Channel, 'receiveHz'>,
  transmitHz: number,
  policy: FitPolicy,
  unlawful: boolean,
): Finding | null {
  const rule = rightOn(device, channel.receiveHz, transmitHz, policy);
  if (rule.may === 'transmit' && !unlawful) return null;
  if (policy.withoutRight === 'warn' && !mustStayQuiet(channel, policy)) return null;
  return { code: 'left-out-without-right', severity: 'warning', transmitHz };
}

/** Why a set may not send although whoever holds it may: too much power, or too wide. */
export const isUnlawful = ({ code }: Finding): boolean =>
  code === 'power-too-high' || code === 'set-too-wide';

/**
 * The places that can send without a right to it once a memory is so: factory places that no step forbids to send, and those that the plan
 * loads all the same, also those where the set may not send for its power or width. What the holder put somewhere is theirs.
 * @param planned the places that the plan fills
 * @param cells what became of the plan's channels
 */
export function ableToSend(
  device: FitDevice,
  memory: Memory,
  planned: ReadonlySet<number>,
  cells: readonly Cell[],
  policy: FitPolicy,
): AbleToSend[] {
  const { description } = device;
  if (description.transmit === 'unknown' || description.transmit.bands.length === 0) return [];
  const rules = new Map<string, TransmitRule>();
  const ruleOn = (receiveHz: number, transmitHz: number) => {
    const key = `${receiveHz} ${transmitHz}`;
    const known = rules.get(key) ?? rightOn(device, receiveHz, transmitHz, policy);
    rules.set(key, known);
    return known;
  };
  const unlawful = new Map(
    cells.flatMap(({ slot, findings }) => {
      const why = slot && findings.find(isUnlawful);
      return why ? [[slot.number, why] as const] : [];
    }),
  );
  const read = slotReader(description);
  return device.slots.flatMap((slot): AbleToSend[] => {
    if (!isForChannels(slot.region) || !(slot.fixed || planned.has(slot.number))) return [];
    const pair = sendsOn(device, slot, memory.slots.get(slot.number) ?? null, read);
    if (!pair) return [];
    const rule = ruleOn(pair.receiveHz, pair.transmitHz);
    const why = rule.may === 'transmit' ? unlawful.get(slot.number) : rule.finding;
    if (!why) return [];
    const { number, label } = slot;
    const { transmitHz } = pair;
    return [{ number, label, transmitHz, fromFactory: slot.fixed !== undefined, why }];
  });
}

/**
 * Factory places on which a set is told not to send, since whoever holds it has no right to it there: those that a step can forbid and that
 * no channel of the plan has.
 */
export function silenced(
  device: FitDevice,
  taken: ReadonlySet<number>,
  policy: FitPolicy,
): Map<number, WantedSlot> {
  return new Map(
    device.slots.flatMap((slot) => {
      const forbid = slot.fixed && forbidding(device, slot);
      if (!slot.fixed?.transmitHz || !forbid || taken.has(slot.number)) return [];
      const { receiveHz, transmitHz } = slot.fixed;
      if (rightOn(device, receiveHz, transmitHz, policy).may === 'transmit') return [];
      const present = device.present.slots.get(slot.number);
      const values = { ...factoryValues(device.description), ...present, ...forbid };
      return [
        [slot.number, { channelIds: [], values, content: { kind: 'channel', receiveHz, transmitHz: null } }],
      ];
    }),
  );
}

/** Where a place listens and sends; `undefined` where its talk key sends nothing. */
function sendsOn(
  device: FitDevice,
  slot: Slot,
  values: SlotValues,
  read: ReturnType<typeof slotReader>,
): { receiveHz: number; transmitHz: number } | undefined {
  if (slot.fixed) {
    const { receiveHz, transmitHz } = slot.fixed;
    return transmitHz === null || isForbidden(device, values) ? undefined : { receiveHz, transmitHz };
  }
  const content = read(slot, values);
  if (content?.kind !== 'channel' || content.transmitHz === null) return undefined;
  return { receiveHz: content.receiveHz, transmitHz: content.transmitHz };
}

/** Whether the values of a place are known to forbid sending. */
function isForbidden(device: FitDevice, values: Readonly<Record<string, Native>> | null): boolean {
  const field = device.field.transmitForbidden;
  const list = valuesOf(device, 'transmitForbidden');
  const value = field && values?.[field.id];
  return Array.isArray(list) && value !== undefined && list[Number(value)]?.means === true;
}
