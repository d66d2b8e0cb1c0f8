import type { Card } from '@umbrex/core/card';
import { fetchForeign, fetchSteps, type Whose } from './hand';
import { fetchPrints } from './prints';

/** Fetches what each set may be asked for, one after another, so that it is there when there is no network. */
export async function fetchAhead(whose: Whose, card: Card): Promise<void> {
  for (const { id, hasSteps } of card.sets) {
    if (hasSteps) await fetchSteps(whose, id);
    await fetchForeign(whose, id);
  }
  await fetchPrints(whose, card);
}
