/** What of a recorded display depends on the place or the value. */
interface Told {
  readonly number: number;
  readonly label: string;
  readonly value: string;
  readonly isFrequency: boolean;
  /** The figures that are typed for a frequency. */
  readonly typed: string;
}

const literal = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/**
 * Turns what a display showed into marks: the number, label and value of the recording become those of any place. `onScreen` for the
 * display itself, `inRecipe` for what a sheet may promise of it.
 */
export function textMarks({ number, label, value, isFrequency, typed }: Told) {
  const replaced = (text: string, marks: { value: string; typed: string; padded: string }) => {
    const words: readonly (readonly [string, string])[] = [
      [value, marks.value],
      [typed, marks.typed],
      [label === String(number) ? '' : label, '{label}'],
      [String(number).padStart(3, '0'), marks.padded],
      [String(number), '{number}'],
    ];
    const known = words.filter(([word]) => word !== '');
    // A word stands alone: the 4 of 45 is no number 4.
    const any = new RegExp(known.map(([word]) => `(?<![\\w.])${literal(word)}(?![\\w.])`).join('|'), 'g');
    return text.replace(any, (found) => known.find(([word]) => word === found)?.[1] ?? found).slice(0, 32);
  };
  return {
    onScreen: (text: string) => replaced(text, { value: '{draft}', typed: '{entry}', padded: '{number:3}' }),
    inRecipe: (text: string) =>
      replaced(text, {
        value: isFrequency ? '{mhz}' : '{value}',
        typed: '{typed}',
        padded: '{number3}',
      }),
  };
}
