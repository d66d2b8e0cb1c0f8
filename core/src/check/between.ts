import { CTCSS_TENTHS_HZ } from '../facts/index';
import type { Finding } from '../findings/index';
import { type Channel, sameOnAir, toneFromText } from '../model/index';
import type { PlanFinding } from './finding';

/** What channels of one plan do to each other: same names, same frequency, tones that a decoder may take for one another. */
export function checkBetween(channels: readonly Channel[]): PlanFinding[] {
  const found: PlanFinding[] = [];
  const byName = new Map<string, Channel>();
  const byFrequency = new Map<number, Channel[]>();
  const add = (channel: Channel, finding: Finding, next: PlanFinding['next']) =>
    found.push({ finding, channelId: channel.id, next });
  for (const channel of channels) {
    const key = channel.name.trim().toLowerCase();
    const named = byName.get(key);
    if (named) add(channel, { code: 'same-name', severity: 'warning', other: named.name }, 'fix');
    else byName.set(key, channel);
    const there = byFrequency.get(channel.receiveHz) ?? [];
    for (const other of there) {
      const finding = onOneFrequency(channel, other);
      add(channel, finding, finding.severity === 'warning' ? 'look' : 'know');
    }
    byFrequency.set(channel.receiveHz, [...there, channel]);
  }
  return found;
}

function onOneFrequency(channel: Channel, other: Channel): Finding {
  const [mine, theirs] = [channel.receiveTone, other.receiveTone];
  const name = other.name;
  if (
    channel.transmitHz === other.transmitHz &&
    channel.transmitTone === other.transmitTone &&
    mine === theirs
  )
    return { code: 'same-channel', severity: 'warning', other: name };
  if (mine !== 'off' && mine !== 'unknown' && sameOnAir(mine).includes(theirs))
    return { code: 'tones-are-partners', severity: 'warning', other: name, tone: mine, otherTone: theirs };
  if (neighbours(mine, theirs))
    return { code: 'tones-look-alike', severity: 'note', other: name, tone: mine, otherTone: theirs };
  return { code: 'scan-stop-ambiguous', severity: 'note', other: name };
}

/** Whether two CTCSS tones stand next to each other among the 50: a wide decoder may take one for the other (common practice). */
export function neighbours(a: string, b: string): boolean {
  if (a === 'unknown' || b === 'unknown') return false;
  const [one, two] = [toneFromText(a), toneFromText(b)];
  if (one.kind !== 'ctcss' || two.kind !== 'ctcss') return false;
  return Math.abs(CTCSS_TENTHS_HZ.indexOf(one.tenthsHz) - CTCSS_TENTHS_HZ.indexOf(two.tenthsHz)) === 1;
}
