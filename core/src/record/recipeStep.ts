import type { RecipeStep } from '../model/index';
import type { Goal, Piece } from './pieces';

/**
 * A part of a recorded line as a step of a manual.
 * @param shown what the display must then show; empty where nothing is promised
 * @param key the id of a key by its legend
 * @param otherWay the legend of the key that turns its wheel the other way, where there is one
 */
export function recipeStep(
  piece: Piece,
  shown: string,
  key: (legend: string) => string,
  otherWay?: string,
): RecipeStep {
  const down = otherWay === undefined ? {} : { down: key(otherWay) };
  const shows = shown === '' ? {} : { shows: shown };
  switch (piece.kind) {
    case 'press': {
      const { legend, heldMs } = piece;
      const says = heldMs === undefined ? `Press ${legend}.` : `Hold ${legend} for ${heldMs / 1000} seconds.`;
      return {
        do: 'press',
        key: key(legend),
        ...(heldMs !== undefined && { heldMs }),
        says,
        ...shows,
      };
    }
    case 'number':
      return {
        do: 'type',
        what: 'slotNumber',
        width: piece.width,
        says: 'Type number {number}.',
        ...shows,
      };
    case 'frequency':
      return {
        do: 'type',
        what: 'frequency',
        says: piece.completes ? 'Type {typed}, for {mhz}.' : 'Type {mhz}.',
        ...shows,
      };
    case 'code':
      return { do: 'type', what: 'listCode', says: 'Type the code of {value}.', ...shows };
    case 'wheel':
      return {
        do: 'turn',
        what: 'value',
        up: key(piece.legend),
        ...down,
        says: 'Press until it is {value}.',
        ...shows,
      };
    case 'slotWheel':
      return {
        do: 'turn',
        what: piece.crosses ? 'slot' : 'position',
        up: key(piece.legend),
        ...down,
        says: 'Press until it is {label}.',
        ...shows,
      };
    case 'nameWheel':
      // What is seen after the last letter holds the whole name, which no single letter promises.
      return {
        do: 'wheelName',
        up: key(piece.legend),
        ...down,
        next: key(piece.next),
        says: 'Letter {letter} of the name: {value}.',
      };
    case 'name':
      return {
        do: 'tapName',
        pauseMs: 1500,
        says: 'Write {value}. Tap a key again for its next letter; wait where a pause is drawn.',
        ...shows,
      };
    default:
      return piece satisfies never;
  }
}

/** The characters that keys must type for a part of a line. */
export function typedWith(piece: Piece, goal: Goal | null): string {
  switch (piece.kind) {
    case 'number':
    case 'frequency':
      return '0123456789';
    case 'code':
      return goal?.kind === 'value' ? goal.list.map(({ typed = '' }) => typed).join('') : '';
    default:
      return '';
  }
}
