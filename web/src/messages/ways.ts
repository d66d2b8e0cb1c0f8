import type { Way } from '@umbrex/core/flow';

const from = (anywhere: boolean) =>
  anywhere ? ', from every mode' : ', each from where it is said to stand';

/**
 * What a sheet rests on, by the way it begins; with how many memories, places and modes it was tried, and whether its steps bring the set to
 * their beginning themselves.
 */
export const WAY_TEXT: Readonly<Record<Way, (tried: number, anywhere: boolean) => string>> = {
  known: (_, anywhere) =>
    `It begins from what this set is known to hold${anywhere ? ', wherever it stands' : ', and from where it is said to stand'}.`,
  absolute: (tried, anywhere) =>
    `Nobody has looked at all that it changes: the steps set every value of those places, whatever stands there. Tried on ${tried} made-up memories${from(anywhere)}.`,
  reset: (tried, anywhere) =>
    `It begins with a reset, to which its holder agreed: everything in it goes. Tried on ${tried} made-up memories${from(anywhere)}.`,
  file: (tried) =>
    `The file writes every value of its places, whatever stood there; tried on ${tried === 1 ? 'one memory' : `${tried} made-up memories`}.`,
  none: () =>
    'Only for a set that was reset, or of which somebody wrote down what it holds: nobody has looked at this one.',
};

/** The same in a few words, for a list. */
export const WAY_BRIEF: Readonly<Record<Way, string>> = {
  known: 'from what it holds',
  absolute: 'not looked: sets every value',
  reset: 'begins with a reset',
  file: 'sent by file',
  none: 'only for a set that was reset',
};
