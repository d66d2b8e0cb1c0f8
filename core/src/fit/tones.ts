import type { Finding } from '../findings/index';
import {
  type Channel,
  type ListItem,
  sameOnAir,
  TONE_HOLDS,
  type ToneText,
  toneFromText,
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
    const index = list.findIndex((item) => item.means === candidate);
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
  return device.field.bothTones
    ? choosePaired(device, channel, sent, wantedReceive)
    : chooseEachWay(device, sent, wantedReceive);
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
    const off = list.findIndex((item) => item.means === 'off');
    const index = at?.index ?? off;
    // An item that cannot be set off would stay beside the one that is used.
    if (index >= 0) values[field.id] = index;
    else if (fields.length > 1) return 'missing';
  }
  return found ? { ...found, values } : 'missing';
}

function chooseEachWay(device: FitDevice, sent: ToneText, wantedReceive: string): ToneChoice {
  const sending = toneSetting(device, 'transmit', sent);
  if (sending === 'unknown')
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
    transmitTone: has ? sending.tone : sending === 'missing' ? 'off' : undefined,
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
    const findings: Finding[] =
      wantedReceive === 'off'
        ? []
        : [{ code: 'receive-tone-left-off', severity: 'note', tone: wantedReceive }];
    return { values: {}, receiveTone: undefined, findings };
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
  return {
    values: typeof off === 'object' ? off.values : {},
    receiveTone: 'off',
    findings: [
      known
        ? { code: 'receive-tone-left-off', severity: 'note', tone: wantedReceive }
        : { code: 'channel-tone-unknown', severity: 'note', direction: 'receive' },
    ],
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
  const at = findTone(list, sent);
  if (!at)
    return { kind: 'listen', findings: [{ code: 'transmit-tone-missing', severity: 'error', tone: sent }] };
  const findings = [...at.findings];
  if (sent !== 'off' && wantedReceive !== sent)
    findings.push({ code: 'tone-both-ways', severity: 'note', tone: sent });
  if (sent === 'off' && wantedReceive !== 'off')
    findings.push(
      wantedReceive === 'unknown'
        ? { code: 'channel-tone-unknown', severity: 'note', direction: 'receive' }
        : { code: 'receive-tone-left-off', severity: 'note', tone: wantedReceive },
    );
  return {
    kind: 'set',
    values: { [field.id]: at.index },
    transmitTone: at.tone,
    receiveTone: at.tone,
    findings,
  };
}
