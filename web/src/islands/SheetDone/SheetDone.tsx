import type { LoadedBy } from '@umbrex/core/model';
import type { State } from '../../contract/revisions';
import { guarded } from '../../ui/guarded';
import { call } from '../desk/api';
import { sayAfterLoad } from '../desk/deskStore';
import { useAttempt } from '../desk/useAttempt';

interface Props {
  readonly planId: string;
  readonly of: State;
  readonly unitId: string;
  readonly version: number;
  readonly nickname: string;
  readonly way: LoadedBy;
  readonly today: string;
}

/** At the end of a sheet: it is done, and the set holds what it gives. One press, which can be taken back. */
function SheetDoneIsland({ planId, of, unitId, version, nickname, way, today }: Props) {
  const { busy, attempt } = useAttempt(
    'Something of this set was changed since this sheet was made. Load the page again and look what differs.',
  );
  const done = () =>
    attempt(async () => {
      const sets = [{ id: unitId, version }];
      const seen = { what: 'loaded', of, way, day: today, by: '' } as const;
      const { editId } = await call('POST /api/plans/[planId]/seen', { planId }, { sets, seen });
      sayAfterLoad({ text: `${nickname} holds what this sheet gives.`, kind: 'done', editId });
      window.location.reload();
      return undefined;
    });
  return (
    <p className="print-hide mt-6 flex flex-wrap items-center gap-3 rounded border border-base-content p-3">
      <button type="button" className="btn btn-primary btn-sm" disabled={busy} onClick={() => void done()}>
        It is done: {nickname} holds this now
      </button>
      <span className="muted text-small">Only when every step showed what it should.</span>
    </p>
  );
}

export const SheetDone = guarded('SheetDone', SheetDoneIsland);
