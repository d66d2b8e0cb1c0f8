import { address } from './ask';
import { TakeOut } from './TakeOut';

interface Props {
  planId: string;
  what: 'numbers' | 'fit' | 'rollout';
  /** Its rows in words. */
  rows: string;
  /** Of which state of the plan; the draft where none is named. */
  of?: number;
}

/** What this page works out, for a spreadsheet or another program. */
export function ResultTable({ planId, what, rows, of }: Props) {
  return (
    <p className="print-hide my-4 flex flex-wrap items-center gap-3">
      <span className="muted text-plain">This as a table</span>
      <TakeOut
        rows={rows}
        forms={['csv', 'tsv', 'xlsx', 'json']}
        path={(as) =>
          address(
            'GET /api/plans/[planId]/table',
            { planId },
            { what, as, ...(of !== undefined && { of: String(of) }) },
          )
        }
      />
    </p>
  );
}
