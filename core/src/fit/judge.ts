import type { Finding } from '../findings/index';
import { type AirContent, type Channel, canSend, kindOf, type Slot, wantedReceiveTone } from '../model/index';
import { transmitRule } from '../rules/index';
import { belonging } from './belongs';
import { type FitDevice, fixedSlotsOn, freeSlotsFor } from './device';
import { isReceiveOnly, type Placed, type Placement, placeListen, placeTalk } from './place';
import type { FitPolicy } from './policy';
import { isUnlawful, leftOut } from './right';
import { chooseTones, listenTones } from './tones';

/** What a device could do with a channel, best first, before anything is known of the other channels. */
export interface Judgement {
  readonly channel: Channel;
  /** Where the set listens for it, in hertz: a repeater hears what our sets send. */
  readonly receiveHz: number;
  /** `talk` when the placements allow talking, else what is left. */
  readonly outcome: 'talk' | 'listen' | 'no' | 'unknown';
  readonly reasons: readonly Finding[];
  /** The slots that may be asked for, best first. */
  readonly slots: readonly Slot[];
  /** The channel in one slot, where it can be had there. */
  readonly at: (slot: Slot) => Placement | undefined;
  /** The same, but only what it would do on the air there. */
  readonly contentAt: (slot: Slot) => AirContent | undefined;
}

const none = { slots: [], at: () => undefined, contentAt: () => undefined };

/**
 * What becomes of a channel in slots, tried one by one. Empty free slots of a region are alike but for their number, so each region is
 * tried once; a slot that holds something, or has its frequencies, is tried for itself.
 */
function inSlots(
  { filled }: FitDevice,
  slots: readonly Slot[],
  place: (slot: Slot) => ReturnType<typeof placeListen>,
): Pick<Judgement, 'slots' | 'at' | 'contentAt'> {
  const known = new Map<Slot['region'] | number, Placement | null>();
  /** Right but for its slot, where slots are alike. */
  const tried = (slot: Slot): Placement | null => {
    const like = slot.fixed || filled.has(slot.number) ? slot.number : slot.region;
    let placement = known.get(like);
    if (placement === undefined) {
      const placed = place(slot);
      placement = placed.ok ? placed.placement : null;
      known.set(like, placement);
    }
    return placement;
  };
  const at = (slot: Slot) => {
    const placement = tried(slot);
    return placement === null ? undefined : { ...placement, slot };
  };
  return { slots, at, contentAt: (slot) => tried(slot)?.content };
}

/** Judges one channel on one device: may it transmit, can it reach the pair, has it the tones, can it at least hear. */
export function judge(device: FitDevice, wanted: Channel, policy: FitPolicy): Judgement {
  const belongs = belonging(device, wanted);
  if (!('as' in belongs))
    return {
      channel: wanted,
      receiveHz: wanted.receiveHz,
      outcome: belongs.outcome,
      reasons: [belongs.reason],
      ...none,
    };
  const { receiveHz } = belongs.as;
  return { ...judgeAs(device, belongs.as, wanted, policy), channel: wanted, receiveHz };
}

/** A judgement of a channel as the set has to hold it. */
type Judged = Omit<Judgement, 'receiveHz'>;

/** The same for a channel as the set has to hold it; the law is asked about the one in the plan. */
function judgeAs(device: FitDevice, channel: Channel, planned: Channel, policy: FitPolicy): Judged {
  const wantedReceive = wantedReceiveTone(channel, policy.receivePolicy);
  const listen = (reasons: readonly Finding[]): Judged =>
    judgeListening(device, channel, wantedReceive, policy, reasons);
  const verdict = (outcome: 'no' | 'unknown', reasons: readonly Finding[]): Judged => ({
    channel,
    outcome,
    reasons,
    ...none,
  });

  const { receive } = device.description;
  if (receive !== 'unknown' && !(receive.modes as readonly string[]).includes(channel.mode))
    return verdict('no', [{ code: 'mode-not-here', severity: 'error', mode: channel.mode }]);
  if (channel.transmitHz === null) return listen([{ code: 'listen-only-by-plan', severity: 'note' }]);
  const { transmit } = device.description;
  if (transmit === 'unknown') return verdict('unknown', [{ code: 'transmit-unknown', severity: 'warning' }]);
  // A receiver is asked about hearing alone.
  if (transmit.bands.length === 0 && device.slots.every(({ fixed }) => !fixed?.transmitHz))
    return listen([{ code: 'only-receives', severity: 'note' }]);

  const rule = transmitRule(planned, device.description, policy, device.sender);
  const slots = talkSlots(device, channel, channel.transmitHz);
  if (slots.length === 0) {
    const reason: Finding =
      kindOf(channel) === 'repeater'
        ? {
            code: 'no-repeater-input',
            severity: 'error',
            inputHz: channel.transmitHz,
            outputHz: channel.receiveHz,
          }
        : fixedSlotsOn(device, channel).length > 0
          ? { code: 'fixed-receive-only', severity: 'error' }
          : device.hiddenOn.has(channel.receiveHz)
            ? { code: 'only-hidden-tone', severity: 'error' }
            : { code: 'cannot-transmit-here', severity: 'error', transmitHz: channel.transmitHz };
    return listen([rule.may === 'listen' && kindOf(channel) !== 'repeater' ? rule.finding : reason]);
  }
  // Until somebody says when a licence ends, its holder listens.
  if (rule.may === 'unknown' && rule.finding.code !== 'licence-expiry-unknown')
    return verdict('unknown', [rule.finding]);
  if (rule.may !== 'transmit') return listen([rule.finding]);

  const tones = chooseTones(device, channel, wantedReceive);
  if (tones.kind !== 'set') {
    if (tones.kind === 'listen') return listen(tones.findings);
    return verdict('unknown', tones.findings);
  }

  let first: Finding | undefined;
  for (const slot of slots) {
    const placed = placeTalk(device, channel, slot, tones, rule);
    if (placed.ok)
      return {
        channel,
        outcome: 'talk',
        reasons: [],
        ...inSlots(device, slots, (s) => placeTalk(device, channel, s, tones, rule)),
      };
    first ??= placed.findings[0];
  }
  return listen(first ? [first] : []);
}

/** The slots whose pair this is, then the free ones when the set can transmit there. */
function talkSlots(device: FitDevice, channel: Channel, transmitHz: number): Slot[] {
  const fixed = fixedSlotsOn(device, channel).filter((slot) => slot.fixed?.transmitHz === transmitHz);
  return canSend(device.description, transmitHz)
    ? [...fixed, ...freeSlotsFor(device, channel).filter((slot) => !isReceiveOnly(slot))]
    : fixed;
}

const isSilent = ({ fixed }: Slot) => fixed?.transmitHz === null;

function judgeListening(
  device: FitDevice,
  channel: Channel,
  wantedReceive: string,
  policy: FitPolicy,
  reasons: readonly Finding[],
): Judged {
  const there = fixedSlotsOn(device, channel);
  // A slot that cannot send is best for listening; then a free one, where sending may be forbidden; then one that sends.
  // Of the free ones those that never send come first: nothing needs to be forbidden there.
  const places = freeSlotsFor(device, channel);
  const slots = [
    ...there.filter(isSilent),
    ...places.filter(isReceiveOnly),
    ...places.filter((slot) => !isReceiveOnly(slot)),
    ...there.filter((slot) => !isSilent(slot)),
  ];
  const unlawful = reasons.some(isUnlawful);
  const tones = listenTones(device, wantedReceive);
  const place = (slot: Slot): Placed => {
    const placed = placeListen(device, channel, slot, tones);
    if (!placed.ok || slot.fixed || placed.placement.content.kind !== 'channel') return placed;
    const { transmitHz } = placed.placement.content;
    const out = transmitHz === null ? null : leftOut(device, channel, transmitHz, policy, unlawful);
    return out ? { ok: false, findings: [out] } : placed;
  };
  let refusal: Finding | undefined;
  for (const slot of slots) {
    const placed = place(slot);
    if (placed.ok) return { channel, outcome: 'listen', reasons, ...inSlots(device, slots, place) };
    if (!refusal || refusal.code === 'locked-from-keypad') refusal = placed.findings[0];
    if (refusal?.code === 'receive-unknown')
      return { channel, outcome: 'unknown', reasons: [refusal], ...none };
  }
  const unable: Finding =
    refusal ??
    (device.hiddenOn.has(channel.receiveHz)
      ? { code: 'only-hidden-tone', severity: 'error' }
      : { code: 'cannot-receive', severity: 'error', receiveHz: channel.receiveHz });
  return {
    channel,
    outcome: 'no',
    // What keeps it from talking and from being heard may be one and the same.
    reasons: [...reasons.filter((r) => r.severity !== 'note' && r.code !== unable.code), unable],
    ...none,
  };
}
