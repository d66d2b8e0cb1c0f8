import type { Card, CardChannel, CardPlace, Common, Instead, ScreenMatch } from '@umbrex/core/card';
import { mhzText } from '@umbrex/core/units';
import { toneWords } from './tones';

/** A tone on a card; one that is kept from a link says so. */
export const cardTone = (tone: string): string => (tone === 'hidden' ? 'kept by the group' : toneWords(tone));

/** How one calls on a channel with a set, in a line. */
export function callText(channel: CardChannel, { sends }: Pick<CardPlace, 'sends'>): string {
  if (channel.state === 'planned') return 'Planned: nobody answers there yet.';
  if (channel.state === 'withdrawn') return 'Withdrawn: nobody answers there any more.';
  if (channel.kind === 'listen') return 'Only to listen.';
  if (sends === 'no') return 'Only listen with this set: do not press talk.';
  if (sends === 'unknown') return 'Whether you may talk here is not known: listen, and ask.';
  return channel.kind === 'repeater'
    ? 'Over a repeater: listen, press talk, wait a second, speak, say who you are.'
    : 'From set to set: listen, press talk, speak, say who you are.';
}

/** On what it is, for whoever has to set it by hand. */
export function airText({ receiveHz, transmitHz, transmitTone, receiveTone, isClosed }: CardChannel): string {
  const heard = `hears ${mhzText(receiveHz)}${isClosed ? ` with ${cardTone(receiveTone)}` : ''}`;
  if (transmitHz === null) return heard;
  const tone = transmitTone === 'off' ? '' : ` with ${cardTone(transmitTone)}`;
  return transmitHz === receiveHz
    ? `${mhzText(receiveHz)}${tone ? `, sends${tone}` : ''}${isClosed ? `, waits for ${cardTone(receiveTone)}` : ''}`
    : `${heard}, sends ${mhzText(transmitHz)}${tone}`;
}

/** Which channel is the next to try, and why that one. */
export function insteadText({ channel, place, why }: Instead): string {
  const because = {
    net: 'as the net says',
    'without-repeater': 'the same frequency without the repeater',
    'same-group': `also ${channel.group}`,
  }[why];
  return `${showsText(place)} (${channel.name}), ${because}`;
}

/** What a set shows at a place: its label, and its name where it shows one. */
export function showsText({ label, shows }: Pick<CardPlace, 'label' | 'shows'>): string {
  return shows === null || shows === label ? label : `${label} ${shows}`;
}

/** By what something on a display was recognised. */
export const READ_BY = {
  label: 'by its label',
  name: 'by its name',
  beginning: 'by how its name begins',
  frequency: 'by its frequency',
  number: 'by its number in the plan',
} as const satisfies Readonly<Record<Extract<ScreenMatch, { by: unknown }>['by'], string>>;

/** Whether both may talk, in words. */
export const TALK_TEXT: Readonly<Record<Common['talk'], string>> = {
  both: 'you both talk',
  'you-only': 'they hear you, but may not talk there',
  'they-only': 'you hear them, but may not talk there',
  unknown: 'whether you both may talk is not known',
};

/** How old something is, in words. @param madeMs and now in milliseconds of UTC */
export function ageText(madeMs: number, nowMs: number): string {
  const minutes = Math.max(0, Math.round((nowMs - madeMs) / 60_000));
  if (minutes < 2) return 'just now';
  if (minutes < 90) return `${minutes} minutes ago`;
  const hours = Math.round(minutes / 60);
  if (hours < 36) return `${hours} hours ago`;
  return `${Math.round(hours / 24)} days ago`;
}

/** A moment by the phone's own clock and zone. */
export function momentText(ms: number): string {
  return new Intl.DateTimeFormat('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  }).format(ms);
}

/** Which state of the plan a card shows. */
export const stateText = ({ planName, revision }: Pick<Card, 'planName' | 'revision'>): string =>
  `${planName}, ${revision === null ? 'nothing published yet' : `revision ${revision}`}`;
