import type { Channel } from '../model/index';
import { type Form, inCharacters, shortForms } from './shortForms';

/** What names can be on a set: so many of these characters. */
export interface NameRule {
  readonly length: number;
  readonly characters: string;
}

/** What a name is made of. */
export type Named = Pick<Channel, 'id' | 'name' | 'shortNames'>;

/*
 * A name that fits whole goes first, then one that somebody wrote; then the forms that are made. In tenths of the points of a form.
 */
/** What a name costs that fits whole. */
export const WHOLE = -3000;
const BY_HAND = -2000;
/** What a form gains that the set has already, so that a name does not change because others come. */
export const KEPT_LAST = -1900;

/** A way to write a channel's name; `open` is it with each of its letters left open, where it is looked at for names near it. */
export interface NameForm extends Form {
  readonly open: readonly string[];
}

/** Forms are looked at for names near them as far as they are the easiest: the others are hard enough. */
const LOOKED_AT = 5;

/** What one channel may be called: its name where it fits, else what somebody wrote that fits, else shorter forms. */
export function nameForms(
  { name, shortNames }: Named,
  { length, characters }: NameRule,
): readonly NameForm[] {
  const key = [length, characters, name, ...shortNames].join('\n');
  const known = knownForms.get(key);
  if (known) return known;
  const own = shortForms(name, length, characters);
  const byHand = shortNames
    .map((text) => inCharacters(text, characters))
    .filter((text) => text !== '' && text.length <= length)
    .map((text): Form => ({ text, cost: BY_HAND - text.length }))
    .sort((a, b) => a.cost - b.cost);
  const isWhole = own[0]?.cost === 0;
  const all = isWhole ? [{ text: own[0]?.text ?? '', cost: WHOLE }, ...byHand] : [...byHand, ...own];
  const forms = all
    .filter(({ text }, i) => all.findIndex((other) => other.text === text) === i)
    .map((form, i): NameForm => ({ ...form, open: i < LOOKED_AT ? openLetters(form.text) : [] }));
  if (knownForms.size > MOST_KNOWN) knownForms.clear();
  knownForms.set(key, forms);
  return forms;
}

/** What was worked out before: it depends on nothing but its key. */
const knownForms = new Map<string, readonly NameForm[]>();
const MOST_KNOWN = 20_000;

/** A figure that differs tells two names apart, and so does a letter by itself; one in a word may be misread. */
const openLetters = (text: string) =>
  [...text].flatMap((char, i) => {
    const isAlone = (text[i - 1] ?? ' ') === ' ' && (text[i + 1] ?? ' ') === ' ';
    return isAlone || /\d/.test(char) ? [] : [`${text.slice(0, i)}\u0000${text.slice(i + 1)}`];
  });
