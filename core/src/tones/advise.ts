import { CTCSS_TENTHS_HZ, DCS_CODES } from '../facts/index';
import type { Finding } from '../findings/index';
import {
  type Channel,
  type Description,
  type Plan,
  sameOnAir,
  type ToneText,
  toneFromText,
} from '../model/index';
import { hzTextFromTenths } from '../units/index';
import { shownOn, tonesOn } from './onDevice';

/** A tone that every needed device has, with what speaks for and against it. Higher is better. */
export interface ToneAdvice {
  readonly tone: ToneText;
  readonly score: number;
  readonly reasons: readonly Finding[];
}

/** A tone that was weighed, with what speaks for it and against it. */
export interface Advice {
  /** Best first. */
  readonly ranked: readonly ToneAdvice[];
  /** Tones that will not do, with the first reason for each. */
  readonly excluded: readonly { readonly tone: ToneText; readonly reason: Finding }[];
  /** Whether every needed device can send one tone and wait for another; if not, the ones that cannot. */
  readonly split: { readonly possible: boolean; readonly not: readonly string[] };
  /** Which receive policy fits, and why. */
  readonly policy: { readonly receive: 'open' | 'closed'; readonly reason: Finding };
  /** Devices whose tones nobody has written down; they are left out of the count. */
  readonly unknownDevices: readonly string[];
}

/** Mains hum and its multiples, in tenths of a hertz, where a decoder may be opened by a bad power supply (common practice). */
const MAINS_TENTHS: readonly number[] = [500, 600].flatMap((base) => [1, 2, 3, 4].map((k) => base * k));
const MAINS_NEAR_TENTHS = 25;
/** The first tone and code of most lists, which sets often ship with (common practice). */
const STOCK: readonly ToneText[] = ['67.0', 'D023N'];

/** A station known from elsewhere, with the tones it uses and how far away it is said to be. */
export interface Neighbour {
  readonly name: string;
  readonly receiveHz: number;
  readonly tones: readonly ToneText[];
  readonly distanceM: number;
  /** The day its entry last changed, or `unknown`. */
  readonly changed: string;
}

/** Neighbours farther away than this are left aside: beyond what a repeater on a hill is heard (common practice). */
export const NEIGHBOUR_REACH_M = 150_000;

const ALL: readonly ToneText[] = [
  ...CTCSS_TENTHS_HZ.map(hzTextFromTenths),
  ...DCS_CODES.map((code) => `D${code}N`),
];

/**
 * Ranks the tones for a channel: ones that every needed device has, away from the tones that the plan's other channels use on
 * the same frequency, from their look-alikes and partners, from mains hum and from stock values. Each choice and each
 * exclusion carries its reasons. All weights are common practice, no published source.
 * @param devices the kinds of device that shall talk on the channel
 * @param neighbours stations around that are not in the plan; the far ones are left aside
 */
export function adviseTones(
  channel: Channel,
  plan: Plan,
  devices: readonly Description[],
  neighbours: readonly Neighbour[] = [],
): Advice {
  const sets = devices.map((device) => ({ title: device.title, tones: tonesOn(device) }));
  const known = sets.filter(({ tones }) => tones.known);
  const others = plan.channels.filter(
    (other) => other.id !== channel.id && other.receiveHz === channel.receiveHz,
  );
  const used = new Map<ToneText, string>();
  for (const other of others)
    for (const tone of [other.transmitTone, other.receiveTone])
      if (tone !== 'off' && tone !== 'unknown') used.set(tone, other.name);
  const nearby = neighbours.filter(
    (other) => other.receiveHz === channel.receiveHz && other.distanceM <= NEIGHBOUR_REACH_M,
  );
  const ranked: ToneAdvice[] = [];
  const excluded: { tone: ToneText; reason: Finding }[] = [];
  for (const tone of ALL) {
    const lacking = known.find(({ tones }) => shownOn(tones, tone) === undefined);
    const clash = [tone, ...sameOnAir(tone)].find((alike) => used.has(alike));
    if (lacking)
      excluded.push({ tone, reason: { code: 'device-lacks-tone', severity: 'note', device: lacking.title } });
    else if (clash !== undefined)
      excluded.push({
        tone,
        reason: { code: 'tone-used-here', severity: 'note', other: used.get(clash) ?? '' },
      });
    else {
      const neighbour = tone === channel.transmitTone ? undefined : usedBy(tone, nearby);
      if (neighbour) excluded.push({ tone, reason: neighbour });
      else ranked.push(weigh(tone, channel, used));
    }
  }
  ranked.sort((a, b) => b.score - a.score || ALL.indexOf(a.tone) - ALL.indexOf(b.tone));
  const not = known.filter(({ tones }) => tones.known && !tones.split).map(({ title }) => title);
  return {
    ranked,
    excluded,
    split: { possible: not.length === 0, not },
    policy: policyFor(channel, others.length),
    unknownDevices: sets.filter(({ tones }) => !tones.known).map(({ title }) => title),
  };
}

/** The neighbour that uses a tone or one that sounds the same; the channel's own present tone may be that very station's. */
function usedBy(tone: ToneText, nearby: readonly Neighbour[]): Finding | undefined {
  const alike = [tone, ...sameOnAir(tone)];
  const other = nearby.find(({ tones }) => tones.some((theirs) => alike.includes(theirs)));
  return (
    other && {
      code: 'tone-used-nearby',
      severity: 'note',
      other: other.name,
      distanceM: other.distanceM,
      changed: other.changed,
    }
  );
}

function weigh(tone: ToneText, channel: Channel, used: ReadonlyMap<ToneText, string>): ToneAdvice {
  const reasons: Finding[] = [];
  let score = 10;
  const against = (points: number, finding: Finding) => {
    score -= points;
    reasons.push(finding);
  };
  if (channel.transmitTone === tone) {
    score += 2;
    reasons.push({ code: 'tone-in-use-now', severity: 'note' });
  }
  const parsed = toneFromText(tone);
  if (parsed.kind === 'ctcss') {
    const at = CTCSS_TENTHS_HZ.indexOf(parsed.tenthsHz);
    const near = [...used.keys()].find((other) => {
      const theirs = toneFromText(other);
      return theirs.kind === 'ctcss' && Math.abs(CTCSS_TENTHS_HZ.indexOf(theirs.tenthsHz) - at) === 1;
    });
    if (near !== undefined)
      against(4, { code: 'tone-near-used', severity: 'note', otherTone: near, other: used.get(near) ?? '' });
    const hum = MAINS_TENTHS.find((mains) => Math.abs(mains - parsed.tenthsHz) <= MAINS_NEAR_TENTHS);
    if (hum !== undefined) against(3, { code: 'tone-near-mains', severity: 'note', mainsHz: hum / 10 });
  }
  if (parsed.kind === 'dcs') {
    // With the polarity set wrong, a set sends the inverted code, which is another code on the air.
    const inverted: ToneText = `D${parsed.code}I`;
    const mistaken = [inverted, ...sameOnAir(inverted)].find((other) => used.has(other));
    if (mistaken !== undefined)
      against(3, {
        code: 'tone-polarity-slip',
        severity: 'note',
        otherTone: mistaken,
        other: used.get(mistaken) ?? '',
      });
    against(1, { code: 'tone-needs-polarity', severity: 'note' });
  }
  if (STOCK.includes(tone)) against(4, { code: 'tone-is-stock', severity: 'note' });
  return { tone, score, reasons };
}

function policyFor(channel: Channel, others: number): Advice['policy'] {
  const isRepeater = channel.transmitHz !== null && channel.transmitHz !== channel.receiveHz;
  if (isRepeater && (channel.receiveTone === 'off' || channel.receiveTone === 'unknown'))
    return { receive: 'open', reason: { code: 'policy-nothing-sent', severity: 'note' } };
  if (isRepeater && channel.access === 'unknown')
    return { receive: 'open', reason: { code: 'policy-traveller', severity: 'note' } };
  if (others > 0)
    return { receive: 'closed', reason: { code: 'policy-shared', severity: 'note', channels: others } };
  return { receive: 'closed', reason: { code: 'policy-home', severity: 'note' } };
}
