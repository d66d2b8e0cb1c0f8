import { withCarried } from '@umbrex/core/fit';
import type { Carried, PlanHead } from '@umbrex/core/model';
import { useState } from 'react';
import { call, failureText } from './api';
import { $notice } from './deskStore';

/** A plan's own part as a page has it that is about something else, and saving it from there. */
export function usePlanHead(planId: string, initial: { head: PlanHead; version: number }) {
  const [plan, setPlan] = useState(initial);
  /** @param done what is said when it is saved */
  const saveHead = async (head: PlanHead, done: string) => {
    try {
      const { editId } = await call(
        'PUT /api/plans/[planId]',
        { planId },
        { version: plan.version, value: head },
      );
      setPlan({ head, version: editId ? plan.version + 1 : plan.version });
      $notice.set({
        text: editId ? done : 'Nothing was different.',
        kind: 'done',
        ...(editId && { editId }),
      });
    } catch (error) {
      $notice.set({
        text: failureText(
          error,
          'Somebody changed the plan meanwhile. Load the page again, look, and do it once more.',
        ),
        kind: 'failed',
      });
    }
  };
  /** Saves which groups a kind, a team or a set carries. */
  const saveCarried = (
    of: keyof Carried,
    { id, name }: { id: string; name: string },
    groupIds: string[] | undefined,
  ) =>
    saveHead(
      { ...plan.head, carried: withCarried(plan.head.carried, of, id, groupIds) },
      `What ${name} carries is saved.`,
    );
  return { head: plan.head, saveHead, saveCarried };
}
