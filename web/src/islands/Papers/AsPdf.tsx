import { FileText } from 'lucide-react';
import { guarded } from '../../ui/guarded';
import { MakingState } from './MakingState';
import { useMaking } from './useMaking';

interface Props {
  planId: string;
  /** Which document, as the server is asked. */
  query: Readonly<Record<string, string>>;
  what: string;
}

/** One document as PDF, on either size of paper. */
function AsPdfIsland({ planId, query, what }: Props) {
  const { making, make, cancel } = useMaking(planId);
  return (
    <div className="flex flex-wrap items-center gap-2">
      {making.is !== 'under-way' && (
        <>
          <span className="muted inline-flex items-center gap-1 text-small">
            <FileText size={16} aria-hidden="true" /> {`${what} as PDF`}
          </span>
          {(['A4', 'LETTER'] as const).map((size) => (
            <button
              key={size}
              type="button"
              className="btn btn-outline btn-sm"
              aria-label={`${what} as PDF on ${size === 'A4' ? 'A4' : 'Letter'}`}
              onClick={() => void make({ ...query, size })}
            >
              {size === 'A4' ? 'A4' : 'Letter'}
            </button>
          ))}
        </>
      )}
      <MakingState making={making} cancel={cancel} />
    </div>
  );
}

export const AsPdf = guarded('AsPdf', AsPdfIsland);
