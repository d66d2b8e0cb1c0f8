import type { Description, LoadedBy, Loading } from '@umbrex/core/model';

/** The order of work for each way of loading a set; by keys the manual says it. */
const LOADING_STEPS: Readonly<Record<Loading['by'], readonly string[]>> = {
  keypad: [],
  cable: [
    'Back up: read the set and save that file before anything else.',
    'Check the port, the cable and the exact kind of set in the program.',
    'Start from the file that was just read; an empty one loses the set’s own settings.',
    'Enter the values below, place by place.',
    'Write to the set. Until then the set has nothing of it.',
    'Read back into a new file, and compare.',
  ],
  app: [
    'Pair the set, and let the app fetch what it holds.',
    'Save that copy under its own name.',
    'Enter the values below, place by place.',
    'Send to the set. Until then the set has nothing of it.',
    'Fetch again, and compare.',
  ],
};

/** The order of work at one set; a kind that has keys as well takes its file over a cable. */
export function loadingSteps({ loading }: Pick<Description, 'loading'>, way: LoadedBy): readonly string[] {
  const by = loading?.by ?? 'keypad';
  return LOADING_STEPS[way === 'file' && by === 'keypad' ? 'cable' : by];
}
