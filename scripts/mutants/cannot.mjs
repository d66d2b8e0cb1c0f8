// Changes that no test can notice, each with the kind of reason (docs/mutants.md says what the letters stand for). Read by somebody, change
// by change; what is listed here is not tried again, and a change that is listed and was noticed all the same is said.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from '../lib.mjs';

const LIST = 'scripts/mutants/cannot.tsv';

/** The reason of each, by what the change is called (`changesOf`). A line: reason, file, which of its kind, what was, what it becomes. */
export function cannotBeNoticed() {
  const lines = readFileSync(join(ROOT, LIST), 'utf8').split('\n').filter(Boolean);
  return new Map(
    lines.map((line) => {
      const [why, file, nth, from, to] = line.split('\t');
      return [[file, JSON.parse(from), JSON.parse(to), nth].join(' | '), why];
    }),
  );
}
