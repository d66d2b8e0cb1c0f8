import type { SetPlaces } from '@umbrex/core/listing';
import { useEffect, useState } from 'react';
import { useTyped } from '../../ui/typed';
import { call, failureText } from '../desk/api';
import { $notice } from '../desk/deskStore';

/** A kind of set that somebody may have in hand while they write. */
export interface KindInHand {
  readonly id: string;
  readonly title: string;
}

/** The kind of set whose labels a line may name, with its places once they are here; kept for this tab. */
export function useSetInHand(kinds: readonly KindInHand[]) {
  const [kept, setKindId] = useTyped('set in hand');
  const kindId = kinds.some(({ id }) => id === kept) ? kept : '';
  const [known, setKnown] = useState<{ id: string; places: SetPlaces } | null>(null);
  useEffect(() => {
    if (kindId === '' || known?.id === kindId) return;
    let isOver = false;
    call('GET /api/descriptions/[descriptionId]/places', { descriptionId: kindId }).then(
      (places) => {
        if (!isOver) setKnown({ id: kindId, places });
      },
      (error) => $notice.set({ text: failureText(error), kind: 'failed' }),
    );
    return () => {
      isOver = true;
    };
  }, [kindId, known]);
  return { kindId, setKindId, setInHand: known?.id === kindId ? known.places : null };
}
