import type { Heard, Strength } from '../model/index';

/** What joins who talked and who listened: who comes first, and what it says of whether it was heard. */
export interface Relation {
  /** `talks`: the first one talked; `listens`: the first one listened; `both`: they spoke with each other. */
  readonly first: 'talks' | 'listens' | 'both';
  readonly heard: boolean | null;
}

const talks = (heard: boolean | null): Relation => ({ first: 'talks', heard });
const listens = (heard: boolean): Relation => ({ first: 'listens', heard });
const BOTH: Relation = { first: 'both', heard: true };

/** As people write that somebody called somebody. */
export const RELATIONS: ReadonlyMap<string, Relation> = new Map([
  ...['>', '->', '→', 'to', 'calls', 'called', 'calling'].map((word) => [word, talks(null)] as const),
  ...['heard by', 'copied by'].map((word) => [word, talks(true)] as const),
  ...['not heard by', 'not copied by'].map((word) => [word, talks(false)] as const),
  ...['heard', 'hears', 'copied', 'copies'].map((word) => [word, listens(true)] as const),
  ...[
    'did not hear',
    'didn’t hear',
    "didn't hear",
    'does not hear',
    'doesn’t hear',
    "doesn't hear",
    'cannot hear',
    'can’t hear',
    "can't hear",
    'did not copy',
  ].map((word) => [word, listens(false)] as const),
  ...['<>', '<->', '↔', 'with', 'and'].map((word) => [word, BOTH] as const),
]);

/** What one hears of a call. */
export interface Report {
  readonly heard: boolean;
  readonly readability?: Heard['readability'];
  readonly strength?: Strength;
}

const strong = (strength: Strength): Report => ({ heard: true, strength });
/** Words for how a call came. Source: ACP 125 for strength; QRK of ITU-R M.1172 for 1 (bad) and 5 (excellent); all from memory. */
export const REPORTS: ReadonlyMap<string, Report> = new Map([
  ['loud and clear', { heard: true, strength: 'loud', readability: 5 }],
  ['clear', { heard: true, readability: 5 }],
  ['unreadable', { heard: true, readability: 1 }],
  ['loud', strong('loud')],
  ['strong', strong('loud')],
  ['good', strong('good')],
  ['weak', strong('weak')],
  ['very weak', strong('very-weak')],
  ['faint', strong('very-weak')],
  ['fading', strong('fading')],
  ...['nothing', 'nil', 'silence', 'no answer', 'no reply', 'not heard'].map(
    (word) => [word, { heard: false }] as const,
  ),
]);

export const DIRECT = ['direct', 'simplex', 'directly'];
export const REPEATED = ['repeater', 'rpt', 'rptr', 'repeated'];

/** Strength by the five steps of QSA (ITU-R M.1172), and by the nine of RST; both from memory. */
const OF_FIVE: readonly Strength[] = ['very-weak', 'weak', 'good', 'good', 'loud'];
const OF_NINE: readonly Strength[] = [
  'very-weak',
  'very-weak',
  'weak',
  'weak',
  'good',
  'good',
  'good',
  'loud',
  'loud',
];

/** What the second number of a report such as 5 by 9 stands for: one word, or two where it may be of five steps or of nine. */
export function strengthsOf(number: number): readonly Strength[] {
  const both = [OF_FIVE[number - 1], OF_NINE[number - 1]].filter((one) => one !== undefined);
  return [...new Set(both)];
}
