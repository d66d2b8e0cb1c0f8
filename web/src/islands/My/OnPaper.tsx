import { useState } from 'react';
import { Button } from '../../ui/Button';
import { fetchPrint, type PaperSize, type Print, printsOf } from './prints';
import type { Hand } from './useHand';

const SIZES: readonly (readonly [PaperSize, string])[] = [
  ['A4', 'A4'],
  ['LETTER', 'Letter'],
];

/** One's own card and sheets as documents to print or to keep, also without a network once they were here. */
export function OnPaper({ hand: { whose, card } }: { hand: Hand }) {
  const [busy, setBusy] = useState('');
  const [said, setSaid] = useState('');
  const take = async (print: Print, size: PaperSize) => {
    setBusy(`${print.name} ${size}`);
    const found = await fetchPrint(whose, card, print, size).catch(() => undefined);
    setBusy('');
    if (!found) {
      setSaid(`${print.name}: it was not kept here on this paper. Look again with a network.`);
      return;
    }
    const url = URL.createObjectURL(new Blob([found.bytes], { type: 'application/pdf' }));
    const link = document.createElement('a');
    link.href = url;
    link.download = `${print.name.replace(/[^\p{L}\p{N}]+/gu, '-')}.pdf`;
    link.click();
    // The browser reads it once it has begun to save.
    setTimeout(() => URL.revokeObjectURL(url), 60_000);
    setSaid(
      found.isNow
        ? `${print.name} was given to the browser to save.`
        : `${print.name} was given to the browser to save, as it was kept here before: the card has changed since.`,
    );
  };
  return (
    <>
      <h2 className="mt-5 text-lg font-bold">On paper</h2>
      <ul>
        {printsOf(card).map((print) => (
          <li key={print.unitId ?? 'pocket'} className="flex flex-wrap items-center gap-x-3 py-1">
            <span className="grow">{print.name}</span>
            {SIZES.map(([size, word]) => (
              <Button
                key={size}
                type="button"
                className="btn btn-outline min-h-12"
                isOff={busy !== ''}
                aria-label={`${print.name}, ${word}`}
                onClick={() => void take(print, size)}
              >
                {busy === `${print.name} ${size}` ? 'One moment' : word}
              </Button>
            ))}
          </li>
        ))}
      </ul>
      <p role="status" className="text-plain">
        {said}
      </p>
    </>
  );
}
