import type { RecipeMark, SlotContent } from '@umbrex/core/model';
import type { StepPart } from '@umbrex/core/procedure';

/** What a block of steps is for that belongs to no place. */
export const PART_TEXT: Readonly<Record<StepPart, string>> = {
  start: 'To begin',
  reset: 'Reset',
  erase: 'The whole set',
  work: 'The whole set',
  settings: 'The whole set',
  names: 'The whole set',
  end: 'To end',
};

/** What a routine is done for, at each of its places. */
export function routineTitle(part: StepPart, count: number): string {
  switch (part) {
    case 'erase':
      return `Empty these ${count} places`;
    case 'names':
      return `Name these ${count} places`;
    default:
      return `Set these ${count} places`;
  }
}

/** What stands in a routine for something that each line says itself, where that is no column of its own. */
export const MARK_WORDS: Readonly<Record<RecipeMark, string>> = {
  number: 'No.',
  number3: 'No.',
  label: 'place',
  firstLabel: 'first place of its bank',
  bank: 'its bank',
  position: 'its position',
  position2: 'its position',
  item: 'item',
  title: 'item',
  mhz: 'frequency',
  sendMhz: 'send frequency',
  value: 'value',
  now: 'what stands there',
  typed: 'what was typed',
  letter: '1, 2, 3 …',
  nextLetter: 'the next one',
  draft: 'letters so far',
  letters: 'letters',
};

/** A place of a sheet by what it is for. */
export function placeTitle(
  line: { readonly content: SlotContent; readonly channelIds: readonly string[] },
  names: ReadonlyMap<string, string>,
): string {
  if (line.content.kind === 'area') return `Area ${line.content.areaCode}`;
  return line.channelIds.map((id) => names.get(id)).join(', ');
}
