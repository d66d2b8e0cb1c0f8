import type { Finding } from '../findings/index';
import {
  type AirContent,
  type Channel,
  canSend,
  factoryValues,
  isOnStep,
  mostPowerW,
  type Native,
  placeOf,
  type Slot,
  stepsOf,
} from '../model/index';
import { type FitDevice, valuesOf } from './device';
import type { listenTones, ToneSettings } from './tones';

/** A channel put into one slot: the values it then holds, what that means on the air, and what had to give. */
export interface Placement {
  readonly slot: Slot;
  readonly values: Readonly<Record<string, Native>>;
  readonly content: AirContent;
  readonly findings: readonly Finding[];
}

/** Where a channel went, or why nowhere. */
export type Placed =
  | { readonly ok: true; readonly placement: Placement }
  | { readonly ok: false; readonly findings: readonly Finding[] };

/** A power limit in watts and where it is written; `null` where the table gives none. */
export interface PowerLimit {
  readonly limitW: number | null;
  /** The widest that may be sent, in hertz. */
  readonly bandwidthHz: number;
  readonly source: string;
  readonly findings: readonly Finding[];
}

const no = (...findings: Finding[]): Placed => ({ ok: false, findings });

/** Puts a channel where it can be talked on, within the power limit (watts) that the rules give. */
export function placeTalk(
  device: FitDevice,
  channel: Channel,
  slot: Slot,
  tones: ToneSettings,
  rule: PowerLimit,
): Placed {
  const transmitHz = channel.transmitHz;
  if (transmitHz === null) throw new RangeError(`channel ${channel.id} does not transmit`);
  const draft = frequencies(device, channel.receiveHz, transmitHz, slot, 'talk');
  if (!draft.ok) return draft;
  const power = choosePower(device, slot, rule, transmitHz);
  if (!power.ok) return no(power.finding);
  const values = { ...draft.values, ...tones.values, ...power.values, ...allow(device) };
  const content: AirContent = {
    kind: 'channel',
    receiveHz: channel.receiveHz,
    transmitHz,
    ...namedTones(tones),
    ...(power.powerW !== undefined && { powerW: power.powerW }),
  };
  return finish(
    device,
    channel,
    slot,
    values,
    content,
    [...tones.findings, ...power.findings, ...rule.findings],
    rule,
  );
}

/**
 * Puts a channel where it can be heard. Transmit is forbidden where the set has a way; where not, the talk key is warned of.
 * @param tones how the set waits for the channel's tone
 */
export function placeListen(
  device: FitDevice,
  channel: Channel,
  slot: Slot,
  tones: ReturnType<typeof listenTones>,
): Placed {
  const fixed = slot.fixed;
  const draft = frequencies(
    device,
    channel.receiveHz,
    fixed ? fixed.transmitHz : channel.receiveHz,
    slot,
    'listen',
  );
  if (!draft.ok) return draft;
  if (tones === 'unknown') return no({ code: 'tone-list-unknown', severity: 'warning' });
  const findings: Finding[] = [...tones.findings];
  let values: Record<string, Native> = { ...draft.values, ...tones.values };
  const forbid = forbidding(device, slot);
  const sends = fixed ? fixed.transmitHz : sendsFrom(device, slot, channel.receiveHz, values);
  let transmitHz: number | null = sends;
  if (forbid) {
    values = { ...values, ...forbid };
    transmitHz = null;
  } else if (sends !== null)
    findings.push({ code: 'talk-goes-out-on-output', severity: 'warning', transmitHz: sends });
  return finish(
    device,
    channel,
    slot,
    values,
    slot.region.towers
      ? { kind: 'network', receiveHz: channel.receiveHz }
      : { kind: 'channel', receiveHz: channel.receiveHz, transmitHz, ...namedTones(tones) },
    findings,
  );
}

/** The tones of a place, as far as the set has something that decides them. */
const namedTones = ({ transmitTone, receiveTone }: ToneSettings) => ({
  ...(transmitTone !== undefined && { transmitTone }),
  ...(receiveTone !== undefined && { receiveTone }),
});

/** Where a free place sends when talk is pressed, in hertz: its own frequency and offset, where the set has a transmitter for that. */
function sendsFrom(
  device: FitDevice,
  slot: Slot,
  receiveHz: number,
  values: Readonly<Record<string, Native>>,
): number | null {
  if (isReceiveOnly(slot)) return null;
  const entered = device.field.transmitHz;
  const enteredHz = entered && (Number(values[entered.id]) || receiveHz);
  if (enteredHz !== undefined) return canSend(device.description, enteredHz) ? enteredHz : null;
  const offsets = valuesOf(device, 'offsetHz');
  const at = Number(values[device.field.offsetHz?.id ?? ''] ?? -1);
  const offsetHz = Array.isArray(offsets) && at >= 0 ? Number(offsets[at]?.means ?? 0) : 0;
  return canSend(device.description, receiveHz + offsetHz) ? receiveHz + offsetHz : null;
}

/** Whether a free place never sends. */
export function isReceiveOnly({ region: { content } }: Slot): boolean {
  return content.kind === 'free' && content.receiveOnly === true;
}

type Frequencies =
  | { readonly ok: true; readonly values: Record<string, Native> }
  | { readonly ok: false; readonly findings: readonly Finding[] };

/** The frequency settings of a slot: none for a fixed one that has this pair, entered for a free one. */
function frequencies(
  device: FitDevice,
  receiveHz: number,
  transmitHz: number | null,
  slot: Slot,
  purpose: 'talk' | 'listen',
): Frequencies {
  if (slot.fixed) {
    if (slot.fixed.receiveHz !== receiveHz)
      return { ok: false, findings: [{ code: 'cannot-receive', severity: 'error', receiveHz }] };
    if (slot.fixed.transmitHz !== transmitHz)
      return {
        ok: false,
        findings: [
          slot.fixed.transmitHz === null
            ? { code: 'fixed-receive-only', severity: 'error' }
            : { code: 'cannot-transmit-here', severity: 'error', transmitHz: transmitHz ?? receiveHz },
        ],
      };
    return {
      ok: true,
      // What nobody decides stays as it is; what nobody knows either becomes as from the factory.
      values: { ...factoryValues(device.description), ...device.present.slots.get(slot.number) },
    };
  }
  const receive = device.description.receive;
  const frequencyField = device.field.receiveHz;
  if (receive === 'unknown')
    return { ok: false, findings: [{ code: 'receive-unknown', severity: 'warning' }] };
  if (!frequencyField || !receive.bands.some((band) => receiveHz >= band.fromHz && receiveHz <= band.toHz))
    return { ok: false, findings: [{ code: 'cannot-receive', severity: 'error', receiveHz }] };
  if (!isOnStep(receive, receiveHz))
    return {
      ok: false,
      findings: [
        { code: 'cannot-enter-frequency', severity: 'error', hz: receiveHz, stepsHz: stepsOf(receive) },
      ],
    };
  const values = factoryValues(device.description, receiveHz, slot.region);
  const counted = valuesOf(device, 'receiveHz');
  if (frequencyField.list !== undefined) {
    // The set counts its frequencies: one that is not in its list cannot be had.
    if (!counted || counted === 'unknown')
      return { ok: false, findings: [{ code: 'receive-unknown', severity: 'warning' }] };
    const index = placeOf(counted, receiveHz);
    if (index < 0) return { ok: false, findings: [{ code: 'cannot-receive', severity: 'error', receiveHz }] };
    values[frequencyField.id] = index;
  }
  const entered = device.field.transmitHz;
  if (entered) {
    values[entered.id] = transmitHz ?? receiveHz;
    return { ok: true, values };
  }
  const offset = (transmitHz ?? receiveHz) - receiveHz;
  const offsets = valuesOf(device, 'offsetHz');
  const at = offsets && offsets !== 'unknown' ? placeOf(offsets, offset) : -1;
  if (device.field.offsetHz && at >= 0) values[device.field.offsetHz.id] = at;
  // A set that always shifts cannot talk on its own frequency; to listen it need not.
  else if (purpose === 'talk' && (offset !== 0 || (device.field.offsetHz && offsets !== 'unknown')))
    return {
      ok: false,
      findings: [{ code: 'cannot-transmit-here', severity: 'error', transmitHz: transmitHz ?? receiveHz }],
    };
  return { ok: true, values };
}

type Power =
  | {
      readonly ok: true;
      readonly values: Record<string, Native>;
      readonly powerW?: number;
      readonly findings: readonly Finding[];
    }
  | { readonly ok: false; readonly finding: Finding };

const tooHigh = ({ limitW, source }: { limitW: number; source: string }, lowestW: number): Finding => ({
  code: 'power-too-high',
  severity: 'error',
  limitW,
  lowestW,
  source,
});

/** The highest power step within the limit; where the set limits itself on a fixed channel or in a band, its own limit counts. */
function choosePower(device: FitDevice, slot: Slot, given: PowerLimit, transmitHz: number): Power {
  const rule = { source: given.source, limitW: given.limitW ?? Number.POSITIVE_INFINITY };
  const transmit = device.description.transmit;
  const steps = valuesOf(device, 'powerW');
  const own = mostPowerW(device.description, slot, transmitHz);
  const unknown: Finding = {
    code: 'power-unknown',
    severity: 'warning',
    limitW: rule.limitW,
    source: rule.source,
  };
  if (!steps || !device.field.powerW) {
    const fixedW = transmit === 'unknown' ? 'unknown' : (transmit.fixedPowerW ?? 'unknown');
    const watts = Math.min(own, typeof fixedW === 'number' ? fixedW : Number.POSITIVE_INFINITY);
    if (!Number.isFinite(watts))
      return { ok: true, values: {}, findings: given.limitW === null ? [] : [unknown] };
    if (watts > rule.limitW)
      return {
        ok: false,
        finding: tooHigh(rule, watts),
      };
    return { ok: true, values: {}, findings: [] };
  }
  if (steps === 'unknown') return { ok: true, values: {}, findings: own <= rule.limitW ? [] : [unknown] };
  if (!slot.settable.includes(device.field.powerW.id)) {
    // It cannot be chosen here: what is there counts.
    const present = device.present.slots.get(slot.number)?.[device.field.powerW.id];
    const there = Number(steps[Number(present ?? device.field.powerW.factory)]?.means);
    const lowestW = Math.min(there, own);
    if (lowestW <= rule.limitW) return { ok: true, values: {}, powerW: lowestW, findings: [] };
    return {
      ok: false,
      finding: tooHigh(rule, lowestW),
    };
  }
  const watts = steps.map((step) => Number(step.means));
  const highest = Math.max(...watts);
  if (own <= rule.limitW) {
    const at = watts.indexOf(highest);
    return {
      ok: true,
      values: { [device.field.powerW.id]: at },
      powerW: Math.min(highest, own),
      findings: [],
    };
  }
  const lawful = watts.filter((w) => w <= rule.limitW);
  if (lawful.length === 0)
    return {
      ok: false,
      finding: tooHigh(rule, Math.min(...watts)),
    };
  const used = Math.max(...lawful);
  return {
    ok: true,
    values: { [device.field.powerW.id]: watts.indexOf(used) },
    powerW: used,
    findings:
      used < highest
        ? [{ code: 'power-lowered', severity: 'note', limitW: rule.limitW, usedW: used, source: rule.source }]
        : [],
  };
}

function setForbid(device: FitDevice, forbidden: boolean): Record<string, Native> | undefined {
  const values = valuesOf(device, 'transmitForbidden');
  const field = device.field.transmitForbidden;
  if (!values || values === 'unknown' || !field) return undefined;
  const at = placeOf(values, forbidden);
  return at < 0 ? undefined : { [field.id]: at };
}

const allow = (device: FitDevice): Record<string, Native> => setForbid(device, false) ?? {};

/** The values that forbid sending in a place; `undefined` where nothing there can. */
export function forbidding(device: FitDevice, slot: Slot): Record<string, Native> | undefined {
  const field = device.field.transmitForbidden;
  return field && slot.settable.includes(field.id) ? setForbid(device, true) : undefined;
}

/** Adds bandwidth, and refuses the slot when a value would have to change that cannot be changed there. */
function finish(
  device: FitDevice,
  channel: Channel,
  slot: Slot,
  drafted: Readonly<Record<string, Native>>,
  content: AirContent,
  soFar: readonly Finding[],
  rule?: PowerLimit,
): Placed {
  const values: Record<string, Native> = { ...drafted };
  const findings = [...soFar];
  const mustBeNarrow = rule !== undefined && rule.bandwidthHz <= NARROW_HZ;
  const width = mustBeNarrow ? 'narrow' : channel.bandwidth;
  const has = chooseBandwidth(device, width, slot, values);
  if (mustBeNarrow && has === 'wide')
    return no({ code: 'set-too-wide', severity: 'error', limitHz: rule.bandwidthHz, source: rule.source });
  if (mustBeNarrow && has === 'narrow' && channel.bandwidth === 'wide')
    findings.push({
      code: 'bandwidth-by-rule',
      severity: 'note',
      limitHz: rule.bandwidthHz,
      source: rule.source,
    });
  else if (has !== undefined && channel.bandwidth !== 'unknown' && has !== channel.bandwidth)
    findings.push(
      has === 'unknown'
        ? { code: 'bandwidth-unknown', severity: 'note' }
        : { code: 'bandwidth-differs', severity: 'note', wanted: channel.bandwidth, has },
    );
  const { modulation } = device.field;
  if (modulation && slot.settable.includes(modulation.id)) {
    const modes = valuesOf(device, 'modulation');
    const at = Array.isArray(modes) ? placeOf(modes, channel.mode) : -1;
    if (at < 0) return no({ code: 'mode-not-here', severity: 'error', mode: channel.mode });
    values[modulation.id] = at;
  }
  const present = device.present.slots.get(slot.number) ?? null;
  for (const [field, value] of Object.entries(values)) {
    if (slot.settable.includes(field) || present?.[field] === value) continue;
    return no({ code: 'locked-from-keypad', severity: 'warning', number: slot.number, label: slot.label });
  }
  return {
    ok: true,
    placement: {
      slot,
      values,
      content: {
        ...content,
        ...(has !== undefined && has !== 'unknown' && device.field.bandwidth && { bandwidth: has }),
        ...(modulation && slot.settable.includes(modulation.id) && { modulation: channel.mode }),
      },
      findings,
    },
  };
}

/** A channel of 12.5 kHz or less is narrow (47 CFR 90.209, 95.1773). */
const NARROW_HZ = 12_500;

function chooseBandwidth(
  device: FitDevice,
  width: Channel['bandwidth'],
  slot: Slot,
  values: Record<string, Native>,
): string | undefined {
  const choices = valuesOf(device, 'bandwidth');
  const field = device.field.bandwidth;
  if (!choices || !field) return slot.fixed?.bandwidth;
  if (choices === 'unknown') return 'unknown';
  const settable = slot.settable.includes(field.id);
  if (slot.fixed && !settable) return slot.fixed.bandwidth;
  const wanted = settable && width !== 'unknown' ? placeOf(choices, width) : -1;
  if (wanted >= 0) values[field.id] = wanted;
  const now = choices[Number(values[field.id] ?? field.factory)];
  return now ? String(now.means) : 'unknown';
}
