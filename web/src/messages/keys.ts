import type { DrawnKeys } from '@umbrex/core/procedure';

/** A piece of how keys are written: a key, held or not, or words; what a display shows, and what is said besides. */
export type KeyPiece =
  | { readonly is: 'key'; readonly legend: string; readonly held: boolean }
  | { readonly is: 'words'; readonly text: string }
  | { readonly is: 'display'; readonly text: string }
  | { readonly is: 'aside'; readonly text: string };

export const secondsText = (ms: number): string => `${(ms / 1000).toFixed(1).replace(/\.0$/, '')} s`;

/** How one run of presses is written, piece by piece: the same on a sheet, in the hand and read aloud. */
export function keyPieces(keys: DrawnKeys): KeyPiece[] {
  switch (keys.kind) {
    case 'pause':
      return [{ is: 'aside', text: `wait ${secondsText(keys.ms)}` }];
    case 'power':
      return [{ is: 'words', text: 'off, then on' }];
    case 'until':
      return [
        { is: 'key', legend: keys.legend, held: keys.heldMs !== undefined },
        ...held(keys.heldMs),
        { is: 'words', text: 'until' },
        { is: 'display', text: keys.shows.map((text) => text.trim()).join(' to ') },
        { is: 'aside', text: `at most ×${keys.most}` },
      ];
    default:
      return [
        ...(keys.with ?? []).flatMap((legend): KeyPiece[] => [
          { is: 'key', legend, held: true },
          { is: 'words', text: 'held, with' },
        ]),
        { is: 'key', legend: keys.legend, held: keys.heldMs !== undefined },
        ...(keys.when === undefined
          ? []
          : [{ is: 'words', text: 'only if' } as const, { is: 'display', text: keys.when } as const]),
        ...held(keys.heldMs),
        ...(keys.times > 1 ? [{ is: 'words', text: `×${keys.times}` } as const] : []),
      ];
  }
}

const held = (ms: number | undefined): KeyPiece[] =>
  ms === undefined ? [] : [{ is: 'words', text: `hold ${secondsText(ms)}` }];

/** Keys as a voice reads them: what is on a display letter by letter, numbers of times in words. */
export function spokenKeys(keys: readonly DrawnKeys[]): string {
  return keys
    .map((each) =>
      keyPieces(each)
        .map((piece) => {
          if (piece.is === 'key') return `key ${piece.legend}`;
          if (piece.is === 'display') return spelled(piece.text);
          return piece.text.replace(/×(\d+)/, '$1 times').replace(/([\d.]+) s$/, '$1 seconds');
        })
        .join(' '),
    )
    .join(', then ');
}

/** A text letter by letter, as a display is read out. */
export function spelled(text: string): string {
  const NAMES: Readonly<Record<string, string>> = {
    '.': 'point',
    '-': 'dash',
    '/': 'stroke',
    '+': 'plus',
    '*': 'star',
    '#': 'hash',
  };
  return [...text.replace(/\s+/g, ' ').trim()]
    .map((letter) => (letter === ' ' ? ',' : (NAMES[letter] ?? letter)))
    .join(' ');
}
