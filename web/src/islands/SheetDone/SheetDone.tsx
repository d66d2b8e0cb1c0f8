import type { LoadedBy } from '@umbrex/core/model';
import type { State } from '../../contract/revisions';
import { Button } from '../../ui/Button';
import { guarded } from '../../ui/guarded';
import { call } from '../desk/api';
import { sayAfterLoad } from '../desk/deskStore';
import { useAttempt } from '../desk/useAttempt';

interface Props {
  readonly planId: string;
  readonly of: State;
  /** The set whose sheet it is, and then the others that have the very same one. */
  readonly sets: readonly { readonly id: string; readonly version: number; readonly nickname: string }[];
  readonly way: LoadedBy;
  readonly today: string;
}

/** At the end of a sheet: it is done, and the set holds what it gives. One press a set, which can be taken back. */
function SheetDoneIsland({ planId, of, sets, way, today }: Props) {
  const { busy, attempt } = useAttempt(
    'Something of this set was changed since this sheet was made. Load the page again and look what differs.',
  );
  const [first, ...others] = sets;
  const done = ({ id, version, nickname }: Props['sets'][number]) =>
    attempt(async () => {
      const seen = { what: 'loaded', of, way, day: today, by: '' } as const;
      const { editId } = await call(
        'POST /api/plans/[planId]/seen',
        { planId },
        { sets: [{ id, version }], seen },
      );
      sayAfterLoad({ text: `${nickname} holds what this sheet gives.`, kind: 'done', editId });
      window.location.reload();
      return undefined;
    });
  if (!first) return null;
  return (
    <div className="print-hide mt-6 space-y-2 rounded border border-base-content p-3">
      <p className="flex flex-wrap items-center gap-3">
        <Button
          type="button"
          className="btn btn-primary btn-sm"
          isOff={busy}
          onClick={() => void done(first)}
        >
          It is done: {first.nickname} holds this now
        </Button>
        <span className="muted text-small">Only when every step showed what it should.</span>
      </p>
      {others.length > 0 && (
        <p className="flex flex-wrap items-center gap-2">
          <span className="text-plain">The same sheet, done on</span>
          {others.map((set) => (
            <Button
              key={set.id}
              type="button"
              className="btn btn-outline btn-sm"
              isOff={busy}
              onClick={() => void done(set)}
            >
              {set.nickname}
            </Button>
          ))}
        </p>
      )}
    </div>
  );
}

export const SheetDone = guarded('SheetDone', SheetDoneIsland);
