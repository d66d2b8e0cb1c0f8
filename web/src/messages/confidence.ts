import type { Confidence } from '@umbrex/core/confidence';
import { type Description, triedOn } from '@umbrex/core/model';

const TEXT: Readonly<Record<Exclude<Confidence, 'learnt'>, { word: string; meaning: string }>> = {
  unproven: {
    word: 'not proven',
    meaning: 'Replayed on the virtual device, these steps do not come to the plan. Do not use them.',
  },
  rehearsed: {
    word: 'rehearsed',
    meaning:
      'Replayed on the virtual device, every value comes out as planned. Nobody has said yet that a real set agrees.',
  },
  confirmed: {
    word: 'confirmed on a real set',
    meaning: 'A person with the set in hand saw what this sheet says.',
  },
  contradicted: {
    word: 'contradicted',
    meaning:
      'A person with the set in hand saw something else. Read their note before you use any sheet of this kind.',
  },
};

/** The stamp of a sheet, and what it claims: never more than was done. */
export function confidenceText(
  confidence: Confidence,
  { recording }: Pick<Description, 'recording'>,
): { word: string; meaning: string } {
  if (confidence !== 'learnt') return TEXT[confidence];
  const tried = recording ? triedOn(recording) : 0;
  const learnt = 'These steps, and the virtual device that they were replayed on, are made of one recording';
  return tried === 0
    ? {
        word: 'learnt, not tried',
        meaning: `${learnt}. Whether a real set does the same with other values nobody has seen: watch what it shows, or record it a second time.`,
      }
    : {
        word: `learnt, tried on ${tried}`,
        meaning: `${learnt}; ${tried === 1 ? 'one task that was' : `${tried} tasks that were`} recorded a second time, with other values, came out of it. Watch what the set shows.`,
      };
}
