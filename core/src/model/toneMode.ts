/** What of the fields of a place can be a tone that is sent or awaited. */
const TONE_FIELDS = [
  'transmitTone',
  'transmitCtcss',
  'transmitDcs',
  'receiveTone',
  'receiveCtcss',
  'receiveDcs',
] as const;
/** One of them. */
export type ToneField = (typeof TONE_FIELDS)[number];

/** Which of its tone fields a place sends, and which it waits for; one field may be both. */
export interface ToneMode {
  readonly sent: ToneField | 'off';
  readonly awaited: ToneField | 'off';
}

/** A value of a tone mode as it is written in a description: `sent/awaited`, each what a field holds, or `off`; `undefined` for anything else. */
export function toneModeOf(means: unknown): ToneMode | undefined {
  const [sent, awaited, ...more] = String(means).split('/');
  return isToneField(sent) && isToneField(awaited) && more.length === 0 ? { sent, awaited } : undefined;
}

function isToneField(text: string | undefined): text is ToneField | 'off' {
  return text === 'off' || TONE_FIELDS.some((one) => one === text);
}
