import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { guarded } from '../../ui/guarded';
import { LabelledText } from '../../ui/LabelledText';
import { call } from '../desk/api';
import { useAttempt } from '../desk/useAttempt';

interface Props {
  readonly planId: string;
  readonly number: number;
  readonly isWithdrawn: boolean;
  readonly mayWithdraw: boolean;
  readonly mayEdit: boolean;
}

/** What can be done with a published state: withdrawing it, with a reason; beginning the draft again from it. */
function RevisionActsIsland({ planId, number, isWithdrawn, mayWithdraw, mayEdit }: Props) {
  const [isAsking, setIsAsking] = useState(false);
  const [reason, setReason] = useState('');
  const { busy, attempt } = useAttempt('Somebody was faster. Load the page again to see the newest state.');
  const at = { planId, number: String(number) };

  const withdraw = () =>
    attempt(async () => {
      const body = { reason: reason.trim() };
      await call('POST /api/plans/[planId]/revisions/[number]/withdraw', at, body);
      window.location.reload();
      return undefined;
    });
  const toDraft = () => {
    const words = `Make the draft what revision ${number} was? What the draft has now goes; it can be taken back under History.`;
    if (!window.confirm(words)) return;
    void attempt(async () => {
      const { version } = await call('GET /api/plans/[planId]', { planId });
      const { editId } = await call('POST /api/plans/[planId]/revisions/[number]/draft', at, { version });
      return { text: `The draft is what revision ${number} was.`, editId };
    });
  };
  return (
    <div className="print-hide">
      <p className="flex flex-wrap gap-1">
        {mayEdit && (
          <Button type="button" className="btn btn-ghost btn-sm" isOff={busy} onClick={toDraft}>
            Begin the draft again from {number}
          </Button>
        )}
        {mayWithdraw && !isWithdrawn && !isAsking && (
          <Button
            type="button"
            className="btn btn-ghost btn-sm"
            isOff={busy}
            onClick={() => setIsAsking(true)}
          >
            Withdraw {number}
          </Button>
        )}
      </p>
      {isAsking && (
        <Form className="mt-2 flex max-w-xl flex-wrap items-end gap-2" send={() => withdraw()}>
          <div className="min-w-64 grow">
            <LabelledText
              title={`Why sets should not hold revision ${number}`}
              value={reason}
              set={setReason}
            />
          </div>
          <Button type="submit" className="btn btn-primary btn-sm" isOff={busy || reason.trim() === ''}>
            Withdraw it
          </Button>
          <button type="button" className="btn btn-ghost btn-sm" onClick={() => setIsAsking(false)}>
            Cancel
          </button>
        </Form>
      )}
    </div>
  );
}

export const RevisionActs = guarded('RevisionActs', RevisionActsIsland);
