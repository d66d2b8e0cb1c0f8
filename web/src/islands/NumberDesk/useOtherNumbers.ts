import type { Effort } from '@umbrex/core/effort';
import { type Numbering, type NumberingWishes, numbersOf, type OtherNumber } from '@umbrex/core/fit';
import { useEffect, useRef, useState } from 'react';
import { otherNumbersInWorker } from '../../workers/fitClient';
import { call, failureText } from '../desk/api';
import type { DeskState } from '../desk/deskStore';

/** Another number for the opened channel; what it takes to load comes after the rest, from the server that knows the keys. */
export type Offered = OtherNumber & { readonly effort: Effort | null };

export interface Opened {
  readonly channelId: string;
  readonly offers: readonly Offered[] | null;
  readonly fault: string | null;
}

/** The other numbers that one channel could have, and what each changes. They are closed when anything they rest on changes. */
export function useOtherNumbers(
  { plan, units, descriptions, grounds }: Pick<DeskState, 'plan' | 'units' | 'descriptions' | 'grounds'>,
  wishes: NumberingWishes,
  best: Numbering | null,
) {
  const [opened, setOpened] = useState<Opened | null>(null);
  const round = useRef(0);
  const close = () => {
    round.current++;
    setOpened(null);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: another plan, fleet or number makes what was offered out of date
  useEffect(close, [plan, units, descriptions, grounds, wishes.pins, best]);

  const open = async (channelId: string) => {
    const mine = ++round.current;
    const show = (offers: Opened['offers'], fault: string | null = null) => {
      if (mine === round.current) setOpened({ channelId, offers, fault });
    };
    show(null);
    let offers: Offered[] | null = null;
    try {
      const found = await otherNumbersInWorker(plan, { units, descriptions, grounds }, wishes, channelId);
      offers = found.map((offer) => ({ ...offer, effort: null }));
      show(offers);
      if (!best || offers.length === 0) return;
      const { effort, left } = await call(
        'POST /api/plans/[planId]/effort',
        { planId: plan.id },
        { numbers: numbersOf(best), others: offers.map(({ numbers }) => numbers) },
      );
      const leftOut = `${left} ${left === 1 ? 'set is' : 'sets are'} not counted: no sheet can be made for them.`;
      show(
        offers.map((offer, i) => ({ ...offer, effort: effort[i] ?? null })),
        left > 0 ? leftOut : null,
      );
    } catch (error) {
      const why = failureText(error);
      show(offers, offers ? `What it takes to load could not be worked out. ${why}` : why);
    }
  };
  return { opened, open, close };
}
