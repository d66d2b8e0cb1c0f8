import type { Finding } from '@umbrex/core/findings';
import type { Words } from './words';

/** What is wrong with the words or the promise of a step. */
const STEP_SLIP: Readonly<Record<Extract<Finding, { code: 'step-slip' }>['slip'], (seen: string) => string>> =
  {
    'promises-nothing': (seen) => `changes the display to “${seen}” and promises nothing of it.`,
    'promises-what-was-there': (seen) =>
      `promises only what the display showed before it; then it shows “${seen}”.`,
    'names-another-key': (seen) => `names the key ${seen}, which is not pressed.`,
    'says-other-figures': (seen) => `says other figures than the keys type: ${seen}.`,
    'says-other-hold': (seen) => `does not say how long the key is held: ${seen}.`,
    'start-not-said': (seen) => `does not say that the steps begin at ${seen}.`,
  };

/** The words for what is said of steps and of their proof. */
export const SHEET_WORDS = {
  'steps-not-known': () => ({
    what: 'The steps for this set are not known.',
    help: 'Set the values by its manual, then read them back.',
  }),
  'no-recipe': (f) => ({
    what: `There are no known steps for “${f.field}” on this set.`,
    help: 'Add them to the description.',
  }),
  'start-unknown': (f) => ({
    what: `Nobody has looked how “${f.field}” stands, and the known steps only turn it from where it stands.`,
    help: 'Look at the set and write down what it holds, or load one that was just reset.',
  }),
  'reset-loses-kept': (f) => ({
    what: `A reset takes everything, and ${f.numbers.length === 0 ? 'something in it is' : f.numbers.length === 1 ? `number ${f.numbers[0]} is` : `numbers ${f.numbers.join(', ')} are`} the holder’s own.`,
    help: 'Begin without a reset, or ask the holder to let them go.',
  }),
  'proof-never-shown': (f) => ({
    what: `Step ${f.step} turns until the set shows “${f.wanted}”, and it never does.`,
    help: 'Do not use this sheet. The description’s keys and its steps disagree.',
  }),
  'proof-differs': (f) => ({
    what: `After the steps, number ${f.number} holds “${f.found}” as ${f.field}, and “${f.wanted}” was wanted.`,
    help: 'Do not use this sheet. The description’s keys and its steps disagree.',
  }),
  'held-not-understood': (f) => ({
    what:
      f.field === ''
        ? `Something was read at number ${f.number}, and this kind of set has no such place.`
        : `${f.number === null ? 'For the whole set' : `At number ${f.number}`} “${f.value || 'nothing'}” was read as ${f.field}, which this kind of set cannot hold.`,
    help: 'Read the set again, or correct the description.',
  }),
  'proof-setting-differs': (f) => ({
    what: `The steps change the whole-set setting ${f.setting} from ${f.wanted} to ${f.found}.`,
    help: 'Do not use this sheet. The description’s keys and its steps disagree.',
  }),
  'proof-screen-differs': (f) => ({
    what: `After step ${f.step} the set shows “${f.found}”, and the manual promises “${f.wanted}”.`,
    help: 'Do not use this sheet. The description’s keys and its steps disagree.',
  }),
  'proof-still-shown': (f) => ({
    what: `After step ${f.step} the set shows “${f.found}”, and by the manual “${f.gone}” is gone.`,
    help: 'Do not use this sheet. The description’s keys and its steps disagree.',
  }),
  'step-slip': (f) => ({
    what: `“${f.says}” ${STEP_SLIP[f.slip](f.seen)}`,
    help: `Correct the step at ${f.path} in the description.`,
  }),
  'proof-still-picked': () => ({
    what: 'After the steps a tone picked by hand is still on.',
    help: 'Do not use this sheet. The description’s keys and its steps disagree.',
  }),
  'proof-too-slow': (f) => ({
    what: `A slow hand misses a time window, first near step ${f.step}.`,
    help: 'Have the values ready before you begin a block, and go straight through it.',
  }),
  'may-radiate': (f) => ({
    what: `Step ${f.step} may transmit.`,
    help: 'Fit an antenna or a dummy load, and listen first.',
  }),
} satisfies Partial<Words>;
