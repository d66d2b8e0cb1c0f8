import type { Card } from '@umbrex/core/card';
import { address } from '../desk/ask';
import { scopeOf, type Whose } from './hand';
import { keepPrint, keptPrint } from './kept';

/** The pocket card, or the sheet of one of one's sets. */
export interface Print {
  readonly unitId: string | null;
  readonly name: string;
}
export type PaperSize = 'A4' | 'LETTER';
const SIZE = 'umbrex-paper';

/** The paper that this phone asked for last; before that the one that is usual where it is at home. */
export function usualSize(): PaperSize {
  const said = localStorage.getItem(SIZE);
  if (said === 'A4' || said === 'LETTER') return said;
  return /-(US|CA|MX)$/.test(navigator.language) ? 'LETTER' : 'A4';
}

/** What of a card can be had on paper. */
export const printsOf = ({ sets }: Pick<Card, 'sets'>): Print[] => [
  { unitId: null, name: 'Pocket card' },
  ...sets.flatMap(({ id, nickname, hasSteps }) =>
    hasSteps ? [{ unitId: id, name: `Sheet of ${nickname}` }] : [],
  ),
];

function pathOf(whose: Whose, { planId }: Pick<Card, 'planId'>, { unitId }: Print, size: PaperSize): string {
  const query = {
    what: unitId === null ? 'pocket' : 'sheet',
    size,
    ...(unitId !== null && { unit: unitId, form: 'short' }),
  };
  return 'token' in whose
    ? address('GET /api/my/[token]/print', { token: whose.token }, query)
    : address('GET /api/plans/[planId]/print', { planId }, query);
}

/** What a document is made of, but for the moment at which the card was. */
const madeOf = (card: Card) => JSON.stringify({ ...card, made: '' });
const keyOf = ({ unitId }: Print, size: PaperSize) => `${unitId ?? 'pocket'} ${size}`;

/** A document as the server makes it, kept for later; without an answer the one that was kept, with whether it is of this very card. */
export async function fetchPrint(
  whose: Whose,
  card: Card,
  print: Print,
  size: PaperSize,
): Promise<{ bytes: ArrayBuffer; isNow: boolean } | undefined> {
  const [scope, key, of] = [scopeOf(whose), keyOf(print, size), madeOf(card)];
  localStorage.setItem(SIZE, size);
  const kept = await keptPrint(scope, key).catch(() => undefined);
  if (kept?.of === of) return { bytes: kept.bytes, isNow: true };
  const answer = await fetch(pathOf(whose, card, print, size)).catch(() => undefined);
  if (!answer?.ok) return kept && { bytes: kept.bytes, isNow: false };
  const bytes = await answer.arrayBuffer();
  await keepPrint(scope, key, { bytes, of }).catch(() => undefined);
  return { bytes, isNow: true };
}

/** Whether all of it is here, on the paper that is usual. */
export async function arePrintsKept(whose: Whose, card: Pick<Card, 'sets'>): Promise<boolean> {
  const all = await Promise.all(
    printsOf(card).map((print) => keptPrint(scopeOf(whose), keyOf(print, usualSize()))),
  );
  return all.every(Boolean);
}

/** Fetches what this phone would print, one after another, so that it is there when there is no network. */
export async function fetchPrints(whose: Whose, card: Card): Promise<void> {
  for (const print of printsOf(card)) await fetchPrint(whose, card, print, usualSize());
}
