import { readLine } from '@umbrex/core/listing';

/** What a line has to come to: a question, or what is heard and sent on (megahertz; `null` is listened to) with both tones. */
export type Expected =
  | 'ask'
  | readonly [receiveMHz: number, transmitMHz: number | null, sent: string, waitedFor: string];
/** A line as somebody writes it in a plan of a country. */
export type DecidedLine = readonly [country: 'US' | 'EU' | 'AU', line: string, Expected];

/** Hertz as megahertz. */
export const mhz = (hz: number | null): number | null => (hz === null ? null : hz / 1e6);

/** What a line comes to, to be held against what was decided of it. */
export function comesTo(country: DecidedLine[0], line: string) {
  const { ok, channel } = readLine(line, country);
  return ok && channel
    ? [mhz(channel.receiveHz), mhz(channel.transmitHz), channel.transmitTone, channel.receiveTone]
    : 'ask';
}
