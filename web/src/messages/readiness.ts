import type { SheetStop } from '@umbrex/core/readiness';

/** Why a sheet is not ready, where that is not said in more words beside it. */
export const STOP_TEXT: Readonly<Record<SheetStop, string>> = {
  'not-proven': 'Its steps do not come to what it shall hold.',
  'own-places': 'Places of its own have to be looked at first.',
  'no-areas': 'The plan has no areas for alert radios: write them in the plan first.',
  'no-transmitter':
    'The plan does not say which weather transmitter alert radios hear: choose it in the plan first.',
};

/** Why a sheet is not ready, line by line, on its page and on paper. @param places how many would be overwritten that nobody let go of */
export function notReadyLines(stops: readonly SheetStop[], places: number): string[] {
  const own =
    places === 1
      ? 'One place holds something of the holder’s own that the plan would overwrite. Look at it first.'
      : `${places} places hold something of the holder’s own that the plan would overwrite. Look at them first.`;
  return stops.map((stop) => (stop === 'own-places' ? own : STOP_TEXT[stop]));
}
