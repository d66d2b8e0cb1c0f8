import { sameOnAir, type ToneText } from '../model/index';

/**
 * Whether a receiver set to `needed` opens for a transmission that carries `sent`. A receiver without a tone opens for
 * everything. DCS words are compared as sent on the air, so D023I opens for D047N.
 * Source: TIA-603, CTCSS and CDCSS decoders; the partner rule follows from the Golay word (see dcsWord).
 */
export function opens(needed: ToneText, sent: ToneText): boolean {
  return needed === 'off' || needed === sent || alike(needed).includes(sent);
}

const known = new Map<ToneText, readonly ToneText[]>();
/** What sounds the same, worked out once a tone. */
function alike(tone: ToneText): readonly ToneText[] {
  const those = known.get(tone) ?? sameOnAir(tone);
  known.set(tone, those);
  return those;
}
