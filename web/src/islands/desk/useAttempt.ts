import { useState } from 'react';
import { failureText } from './api';
import { $notice } from './deskStore';

/** What was done, for the line at the foot of the page; with `editId` it can be undone from there. */
export interface Done {
  readonly text: string;
  readonly editId?: string | null;
}

/**
 * One action after another: whether one is under way, and what came of it at the foot of the page.
 * @param changed what is said when somebody changed the matter meanwhile
 */
export function useAttempt(changed: string) {
  const [busy, setBusy] = useState(false);
  /** @param own words for what a refusal means here, where there are better ones */
  const attempt = async (
    action: () => Promise<Done | undefined>,
    own?: (error: unknown) => string | undefined,
  ): Promise<boolean> => {
    setBusy(true);
    try {
      const done = await action();
      if (done) $notice.set({ text: done.text, kind: 'done', ...(done.editId && { editId: done.editId }) });
      return true;
    } catch (error) {
      $notice.set({ text: own?.(error) ?? failureText(error, changed), kind: 'failed' });
      return false;
    } finally {
      setBusy(false);
    }
  };
  return { busy, attempt };
}
