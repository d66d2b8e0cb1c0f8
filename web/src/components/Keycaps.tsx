import type { DrawnKeys } from '@umbrex/core/procedure';
import { keyPieces } from '../messages/keys';

/** Keys as they are drawn in the hand: large, in the order in which they are pressed. On sheets `Keys.astro` draws the same pieces. */
export function Keycaps({ keys }: { keys: readonly DrawnKeys[] }) {
  return (
    <span className="inline-flex flex-wrap items-center gap-x-2 gap-y-1.5">
      {keys.flatMap((each, i) =>
        keyPieces(each).map((piece, n) => {
          const key = `${i} ${n}`;
          if (piece.is === 'key')
            return (
              <kbd
                key={key}
                className={`keycap ${piece.held ? 'mx-1 outline-2 outline-dashed outline-offset-2 outline-current' : ''}`}
              >
                {piece.legend}
              </kbd>
            );
          if (piece.is === 'display')
            return (
              <span key={key} className="font-mono font-bold">
                {` ${piece.text} `}
              </span>
            );
          return (
            <span key={key} className={piece.is === 'aside' ? 'muted' : ''}>
              {` ${piece.text} `}
            </span>
          );
        }),
      )}
    </span>
  );
}
