import { useState } from 'react';
import { counted } from '../../messages/labels';
import { Button } from '../../ui/Button';
import { guarded } from '../../ui/guarded';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { call, failureText } from '../desk/api';
import { $notice, sayAfterLoad } from '../desk/deskStore';

interface Props {
  planId: string;
  version: number;
  sets: readonly { id: string; title: string; count: number }[];
}

/** Adds a whole set of channels to the plan in one move, as a group of its own. */
function StarterSetsIsland({ planId, version, sets }: Props) {
  const [chosen, setChosen] = useState(sets[0]?.id ?? '');
  const [busy, setBusy] = useState(false);
  const add = async () => {
    setBusy(true);
    try {
      const sent = { set: chosen, version };
      const { channels, editId } = await call('POST /api/plans/[planId]/sets', { planId }, sent);
      sayAfterLoad({ text: `${counted(channels, 'channel')} added.`, kind: 'done', editId });
      window.location.assign(`/plans/${planId}`);
    } catch (error) {
      $notice.set({
        text: failureText(
          error,
          'Somebody changed the plan meanwhile. Load this page again, then add the set.',
        ),
        kind: 'failed',
      });
      setBusy(false);
    }
  };
  if (sets.length === 0) return <p className="muted">There are no starter sets for this plan’s country.</p>;
  return (
    <div className="flex flex-wrap items-end gap-3">
      <LabelledSelect
        title="A whole set into the plan, as a group of its own"
        value={chosen}
        options={sets.map((set) => [set.id, `${set.title} (${set.count})`] as const)}
        set={setChosen}
        width="w-80"
      />
      <Button type="button" className="btn btn-outline btn-sm" isOff={busy} onClick={() => void add()}>
        {busy ? 'Adding…' : 'Add this set'}
      </Button>
    </div>
  );
}

export const StarterSets = guarded('StarterSets', StarterSetsIsland);
