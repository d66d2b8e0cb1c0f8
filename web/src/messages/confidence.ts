import type { Confidence } from '@umbrex/core/flow';

/** The stamp of a sheet, and what it claims: never more than was done. */
export const CONFIDENCE_TEXT: Readonly<Record<Confidence, { word: string; meaning: string }>> = {
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
