/** A tone as people read it: `82.5 Hz`, `D023N`, `no tone`, `not known`. */
export function toneWords(tone: string): string {
  if (tone === 'off') return 'no tone';
  if (tone === 'unknown') return 'not known';
  return tone.startsWith('D') ? tone : `${tone} Hz`;
}
