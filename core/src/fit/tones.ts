import type { Finding } from '../findings/index';
import {
  type Channel,
  type ListItem,
  placeOf,
  sameOnAir,
  TONE_HOLDS,
  type ToneMode,
  type ToneText,
  toneFromText,
  toneModeOf,
} from '../model/index';
import { type FitDevice, valuesOf } from './device';

/** Where a tone sits in a device's list, and how it is written there. */
interface ToneAt {
  readonly index: number;
  readonly tone: ToneText;
  readonly findings: readonly Finding[];
}

/** Finds a tone in a list: itself, else a code that sounds the same on the air. Never the nearest one. */
export function findTone(list: readonly ListItem[], tone: ToneText): ToneAt | undefined {
  for (const candidate of [tone, ...sameOnAir(tone)]) {
    const index = placeOf(list, candidate);
    const item = list[index];
    if (!item) continue;
    const findings: Finding[] = [];
    if (candidate !== tone) findings.push({ code: 'tone-by-partner', severity: 'note', tone, as: candidate });
    if (isByNumber(item, candidate))
      findings.push({ code: 'tone-by-number', severity: 'note', tone: candidate, number: item.shown });
    return { index, tone: candidate, findings };
  }
  return undefined;
}

function isByNumber(item: ListItem, tone: ToneText): boolean {
  const parsed = toneFromText(tone);
  if (parsed.kind === 'off') return false;
  return !item.shown.includes(parsed.kind === 'dcs' ? parsed.code : tone);
}

/** The tone settings a channel gets on a device, by field id, with what they mean on the air. */
export interface ToneSettings {
  readonly values: Readonly<Record<string, number>>;
  readonly transmitTone: ToneText | undefined;
  readonly receiveTone: ToneText | undefined;
  readonly findings: readonly Finding[];
}

/** Tone settings, or the findings that say why there are none: `listen` leaves hearing, with the code off. */
export type ToneChoice =
  | ({ readonly kind: 'set' } & ToneSettings)
  | { readonly kind: 'listen' | 'unknown'; readonly findings: readonly Finding[] };

/**
 * Chooses how a device sends and awaits a channel's tones.
 * @param wantedReceive the tone to wait for under the receive policy
 * A set with one setting for both ways sends what it listens for: it serves a channel whose two tones are the same.
 */
export function chooseTones(device: FitDevice, channel: Channel, wantedReceive: string): ToneChoice {
  const sent = channel.transmitTone;
  if (sent === 'unknown')
    return {
      kind: 'unknown',
      findings: [{ code: 'channel-tone-unknown', severity: 'warning', direction: 'transmit' }],
    };
  if (device.field.toneMode) return chooseByMode(device, channel, sent, wantedReceive);
  return device.field.bothTones
    ? choosePaired(device, channel, sent, wantedReceive)
    : chooseEachWay(device, sent, wantedReceive);
}

/** How a device waits for a channel's tone, and sends none, where it only listens; `unknown` where nobody has looked its tones up. */
export function listenTones(device: FitDevice, wantedReceive: string): 'unknown' | ToneSettings {
  if (device.field.toneMode) return listenByMode(device, wantedReceive);
  const { bothTones } = device.field;
  if (bothTones) {
    const list = valuesOf(device, 'bothTones');
    if (!list || list === 'unknown') return 'unknown';
    return {
      values: { [bothTones.id]: placeOf(list, 'off') },
      transmitTone: 'off',
      receiveTone: 'off',
      findings: wantedReceive === 'unknown' ? [] : leftOff(wantedReceive),
    };
  }
  const receiving = receiveSetting(device, wantedReceive);
  if (receiving === 'unknown') return 'unknown';
  const sending = toneSetting(device, 'transmit', 'off');
  const isSilent = typeof sending === 'object';
  return {
    values: { ...receiving.values, ...(isSilent && sending.values) },
    transmitTone: isSilent ? 'off' : undefined,
    receiveTone: receiving.receiveTone,
    findings: receiving.findings,
  };
}

/** What is said where a set is left open though the policy wants it to wait for a tone. */
function leftOff(wantedReceive: string): Finding[] {
  if (wantedReceive === 'off') return [];
  return [
    wantedReceive === 'unknown'
      ? { code: 'channel-tone-unknown', severity: 'note', direction: 'receive' }
      : { code: 'receive-tone-left-off', severity: 'note', tone: wantedReceive },
  ];
}

/**
 * A tone as a device sets it for one direction: in one item that has every kind, or in an item for each kind, of which the unused
 * one is set to off. `undefined` where the device has nothing for that direction, `missing` where it lacks this tone.
 */
export function toneSetting(
  device: FitDevice,
  direction: 'transmit' | 'receive',
  tone: ToneText,
): (ToneAt & { readonly values: Readonly<Record<string, number>> }) | 'unknown' | 'missing' | undefined {
  const fields = TONE_HOLDS[direction].flatMap((holds) => device.field[holds] ?? []);
  if (fields.length === 0) return undefined;
  const values: Record<string, number> = {};
  let found: ToneAt | undefined;
  for (const field of fields) {
    const list = valuesOf(device, field.holds);
    if (!list || list === 'unknown') return 'unknown';
    const at = found === undefined || tone === 'off' ? findTone(list, tone) : undefined;
    if (at) found ??= at;
    const off = placeOf(list, 'off');
    const index = at?.index ?? off;
    // An item that cannot be set off would stay beside the one that is used.
    if (index >= 0) values[field.id] = index;
    else if (fields.length > 1) return 'missing';
  }
  return found ? { ...found, values } : 'missing';
}

function chooseEachWay(device: FitDevice, sent: ToneText, wantedReceive: string): ToneChoice {
  const sending = toneSetting(device, 'transmit', sent);
  // A list without an off: what such a set sends with no tone wanted is not known.
  if (sending === 'unknown' || (sending === 'missing' && sent === 'off'))
    return { kind: 'unknown', findings: [{ code: 'tone-list-unknown', severity: 'warning' }] };
  const has = typeof sending === 'object';
  if (!has && sent !== 'off')
    return { kind: 'listen', findings: [{ code: 'transmit-tone-missing', severity: 'error', tone: sent }] };
  const receiving = receiveSetting(device, wantedReceive);
  if (receiving === 'unknown')
    return { kind: 'unknown', findings: [{ code: 'tone-list-unknown', severity: 'warning' }] };
  return {
    kind: 'set',
    values: { ...(has && sending.values), ...receiving.values },
    transmitTone: has ? sending.tone : undefined,
    receiveTone: receiving.receiveTone,
    findings: [...(has ? sending.findings : []), ...receiving.findings],
  };
}

/** The receive side alone, for sets that wait for one tone and send another: off where the set lacks the tone. */
export function receiveSetting(
  device: FitDevice,
  wantedReceive: string,
): 'unknown' | Omit<ToneSettings, 'transmitTone'> {
  const known = wantedReceive !== 'unknown';
  const at = toneSetting(device, 'receive', known ? wantedReceive : 'off');
  if (at === 'unknown') return 'unknown';
  if (at === undefined) {
    return { values: {}, receiveTone: undefined, findings: leftOff(wantedReceive) };
  }
  if (at !== 'missing')
    return {
      values: at.values,
      receiveTone: at.tone,
      findings: known
        ? at.findings
        : [{ code: 'channel-tone-unknown', severity: 'note', direction: 'receive' }],
    };
  const off = toneSetting(device, 'receive', 'off');
  if (typeof off !== 'object') return 'unknown';
  return {
    values: off.values,
    receiveTone: 'off',
    findings: leftOff(wantedReceive),
  };
}

function choosePaired(
  device: FitDevice,
  channel: Channel,
  sent: ToneText,
  wantedReceive: string,
): ToneChoice {
  const list = valuesOf(device, 'bothTones');
  const field = device.field.bothTones;
  if (!field || !list || list === 'unknown')
    return { kind: 'unknown', findings: [{ code: 'tone-list-unknown', severity: 'warning' }] };
  const problem = pairedProblem(channel, sent);
  if (problem) return problem;
  const at = findTone(list, sent);
  if (!at)
    return { kind: 'listen', findings: [{ code: 'transmit-tone-missing', severity: 'error', tone: sent }] };
  const findings = [...at.findings];
  if (sent !== 'off' && wantedReceive !== sent)
    findings.push({ code: 'tone-both-ways', severity: 'note', tone: sent });
  if (sent === 'off') findings.push(...leftOff(wantedReceive));
  return {
    kind: 'set',
    values: { [field.id]: at.index },
    transmitTone: at.tone,
    receiveTone: at.tone,
    findings,
  };
}

/** Why a set that waits for the tone that it sends cannot be talked on with; nothing where it can. */
function pairedProblem(channel: Channel, sent: ToneText): ToneChoice | undefined {
  const sentToUs = channel.receiveTone;
  const isRepeater = channel.transmitHz !== channel.receiveHz;
  if (isRepeater && sent !== 'off' && sentToUs !== sent) {
    if (sentToUs === 'unknown')
      return {
        kind: 'unknown',
        findings: [{ code: 'channel-tone-unknown', severity: 'warning', direction: 'receive' }],
      };
    if (!sameOnAir(sent).includes(sentToUs))
      return {
        kind: 'listen',
        findings: [{ code: 'paired-stays-deaf', severity: 'error', inputTone: sent, outputTone: sentToUs }],
      };
  }
  const isSame = sentToUs === sent || sameOnAir(sent).includes(sentToUs);
  if (!isRepeater && sent !== 'off' && sentToUs !== 'off' && sentToUs !== 'unknown' && !isSame)
    return {
      kind: 'listen',
      findings: [
        { code: 'tones-differ-paired', severity: 'error', transmitTone: sent, receiveTone: sentToUs },
      ],
    };
  return undefined;
}

/** The tones of a set in which one field decides which of the others is sent and which is awaited; each tone or off. */
function modeSetting(
  device: FitDevice,
  sent: ToneText,
  awaited: ToneText,
): ToneSettings | 'missing' | 'unknown' {
  const modes = valuesOf(device, 'toneMode');
  const field = device.field.toneMode;
  if (!field || !modes || modes === 'unknown') return 'unknown';
  /** A tone in the field that the mode takes it from: nothing to set where both are off, and no way where one alone is. */
  const set = (from: ToneMode['sent'], tone: ToneText) => {
    if (from === 'off' || tone === 'off')
      return from === tone ? { values: {}, tone, findings: [] } : undefined;
    const list = valuesOf(device, from);
    const at = Array.isArray(list) ? findTone(list, tone) : undefined;
    return (
      at && { values: { [device.field[from]?.id ?? '']: at.index }, tone: at.tone, findings: at.findings }
    );
  };
  for (const [index, { means }] of modes.entries()) {
    const mode = toneModeOf(means);
    const sending = mode && set(mode.sent, sent);
    const waiting = mode && set(mode.awaited, awaited);
    // One field holds one tone.
    if (!sending || !waiting) continue;
    const isOne = mode.sent === mode.awaited;
    if (isOne && sending.tone !== waiting.tone) continue;
    return {
      values: { [field.id]: index, ...sending.values, ...waiting.values },
      transmitTone: sending.tone,
      receiveTone: waiting.tone,
      findings: isOne ? sending.findings : [...sending.findings, ...waiting.findings],
    };
  }
  return 'missing';
}

function chooseByMode(
  device: FitDevice,
  channel: Channel,
  sent: ToneText,
  wantedReceive: string,
): ToneChoice {
  const awaited = wantedReceive === 'unknown' ? 'off' : wantedReceive;
  const exact = modeSetting(device, sent, awaited);
  if (exact === 'unknown')
    return { kind: 'unknown', findings: [{ code: 'tone-list-unknown', severity: 'warning' }] };
  if (exact !== 'missing') {
    const more = wantedReceive === 'unknown' ? leftOff(wantedReceive) : [];
    return { kind: 'set', ...exact, findings: [...exact.findings, ...more] };
  }
  const open = modeSetting(device, sent, 'off');
  if (typeof open === 'object')
    return { kind: 'set', ...open, findings: [...open.findings, ...leftOff(wantedReceive)] };
  const paired = modeSetting(device, sent, sent);
  if (typeof paired !== 'object')
    return { kind: 'listen', findings: [{ code: 'transmit-tone-missing', severity: 'error', tone: sent }] };
  const bothWays: Finding = { code: 'tone-both-ways', severity: 'note', tone: sent };
  return pairedProblem(channel, sent) ?? { kind: 'set', ...paired, findings: [...paired.findings, bothWays] };
}

function listenByMode(device: FitDevice, wantedReceive: string): 'unknown' | ToneSettings {
  const exact = wantedReceive === 'unknown' ? 'missing' : modeSetting(device, 'off', wantedReceive);
  if (typeof exact === 'object') return exact;
  const open = modeSetting(device, 'off', 'off');
  if (exact === 'unknown' || typeof open !== 'object') return 'unknown';
  return { ...open, findings: leftOff(wantedReceive) };
}
