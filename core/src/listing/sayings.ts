import { type Collected, type Saying, type State, withText } from './collected';
import { DIGITAL_MODES } from './words';

/** Notes what so many words from `i` on say. Several words for the same are no contradiction. */
export function say({ got, tokens }: State, of: Saying['of'], value: string, i: number, words = 1): void {
  const [first, last] = [tokens[i], tokens[i + words - 1]];
  if (first && last) got.sayings.push({ of, value, start: first.start, end: last.end });
}

const ANALOGUE = /^(fm|nfm|nbfm|analog|analogue|am)$/;
/** Whether a word names a mode by itself. */
export const namesMode = (word: string): boolean =>
  ANALOGUE.test(word) || DIGITAL_MODES.has(word) || word === 'digital';

/**
 * `analog and P25`: a word between two modes is no part of a name. `mixed mode`: more than one, and which are meant is not said. Answers the
 * words used, or 0.
 */
export function severalModes(state: State, i: number): number {
  const { got, tokens } = state;
  const [word, next] = [tokens[i]?.lower ?? '', tokens[i + 1]?.lower ?? ''];
  const [token, before] = [tokens[i], tokens[i - 1]];
  const isBehind = got.sayings.some(({ of, end }) => of === 'mode' && end === before?.end);
  if (token && isBehind && /^(and|or|&|\+|plus)$/.test(word) && namesMode(next)) {
    got.modeParts.push({ start: token.start, end: token.end });
    return 1;
  }
  if (!state.hasFrequency) return 0;
  const isTwo = /^(mixed|dual|multi) mode$/.test(`${word} ${next}`);
  const words = isTwo ? 2 : /^(mixed|dual|multi)-?mode$/.test(word) ? 1 : 0;
  if (words > 0) say(state, 'mode', 'mixed', i, words);
  return words;
}

/**
 * Asks where a line says two things of which a channel has one. In the lines that are offered the words for the others are gone, and without
 * a digital mode its codes.
 */
export function askSayings({ sayings, modeParts, line, questions }: Collected): void {
  for (const of of ['mode', 'width', 'access', 'state'] as const) {
    const about = sayings.filter((one) => one.of === of);
    const said = new Map<string, string>();
    for (const { value, start, end } of about) if (!said.has(value)) said.set(value, line.slice(start, end));
    const isMixed = said.delete('mixed');
    if (said.size < 2 && !isMixed) continue;
    if (isMixed) for (const mode of ['FM', 'digital']) said.set(mode, said.get(mode) ?? mode);
    const values = [...said.keys()];
    const lines = values.map((value) => {
      const gone = about.filter((one) => one.value !== value);
      const parts = of === 'mode' ? modeParts.filter(({ isCode }) => !isCode || value !== 'digital') : [];
      const rest = [...gone, ...parts]
        .toSorted((a, b) => b.start - a.start)
        .reduce((text, { start, end }) => withText(text, start, end, ''), line)
        .replace(/\s*[/&](?=\s|$)|(?<=\s)[/&]\s*/g, ' ');
      const isSaid = about.some((one) => one.value === value);
      return `${rest} ${isSaid ? '' : value}`.replace(/\s+/g, ' ').trim();
    });
    const offers = values.map((value) => said.get(value) ?? value);
    // What is asked is not said to be taken as well.
    const taken = of === 'mode' ? questions.findIndex(({ code }) => code === 'digital-mode') : -1;
    if (taken >= 0) questions.splice(taken, 1);
    const words = isMixed ? about.map(({ start, end }) => line.slice(start, end)) : offers;
    questions.push({ code: 'says-two', blocking: true, about: words.join(', '), offers, lines, of });
  }
}
