import { alike } from '../units/index';
import type { Roster } from './who';

/** Names of sets and people that a word nobody is called by may stand for: those that hold it, and those that begin alike and differ by two letters at most. */
export function nearNames(text: string, { units, people }: Roster): string[] {
  const whole = alike(text);
  const wanted = whole.replace(/\s[1-5]$/, '');
  const names = [...units.map(({ nickname }) => nickname), ...people.map(({ name }) => name)];
  const near = names.filter((name) => alike(name).includes(wanted));
  const [initial = ''] = wanted;
  const alikeOnes = names.filter(
    (name) =>
      alike(name).startsWith(initial) && Math.min(slips(alike(name), whole), slips(alike(name), wanted)) <= 2,
  );
  return [...new Set([...near, ...alikeOnes])].slice(0, 4);
}

/** How many letters have to be put in, taken out or changed between two words (V. Levenshtein, 1966). */
function slips(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, k) => k);
  for (const [i, letter] of [...a].entries()) {
    const next = [i + 1];
    for (let k = 1; k <= b.length; k++)
      next[k] = Math.min(
        (row[k] ?? 0) + 1,
        (next[k - 1] ?? 0) + 1,
        (row[k - 1] ?? 0) + Number(letter !== b[k - 1]),
      );
    row = next;
  }
  return row[b.length] ?? 0;
}
