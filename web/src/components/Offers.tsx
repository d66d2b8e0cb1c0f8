import type { Question } from '@umbrex/core/findings';

/** What could be meant, as buttons: each puts its reading in place of the line. */
export function Offers({ question, take }: { question: Question; take: (line: string) => void }) {
  if ((question.lines ?? []).length === 0) return null;
  return (
    <span className="ml-2 inline-flex flex-wrap gap-2">
      {question.offers.map((offer, i) => {
        const line = question.lines?.[i];
        return line === undefined ? null : (
          <button
            key={offer}
            type="button"
            className="btn btn-outline btn-xs font-mono"
            onClick={() => take(line)}
          >
            {offer}
          </button>
        );
      })}
    </span>
  );
}
