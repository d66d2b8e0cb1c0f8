import type { Verdict } from '@umbrex/core/fit';

export const VERDICTS: readonly Verdict[] = ['full', 'adapted', 'listen', 'no', 'unknown', 'apart'];

/** The word for each verdict, and what it means in a line. */
export const VERDICT_TEXT: Readonly<Record<Verdict, { word: string; meaning: string }>> = {
  full: { word: 'full', meaning: 'Talks and listens as the plan says.' },
  adapted: {
    word: 'adapted',
    meaning: 'Works, with something changed: a shorter name, a code number, a tone left off.',
  },
  listen: { word: 'listen only', meaning: 'Hears the channel; must not or cannot talk on it.' },
  no: { word: 'not possible', meaning: 'Cannot take the channel; the reason says what would help.' },
  apart: { word: 'not carried', meaning: 'The set leaves the channel’s group to others.' },
  unknown: { word: 'unknown', meaning: 'A fact is missing; the question says which.' },
};
