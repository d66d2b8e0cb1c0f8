import type { Choice } from '@umbrex/core/model';
import { useRef, useState } from 'react';
import type { PublishView, RevisionHead } from '../../contract/revisions';
import type { DraftNames } from '../../messages/revisions';
import { call, failureText, newerOf, readUntil } from '../desk/api';
import { useAttempt } from '../desk/useAttempt';

export interface PublishProps {
  readonly planId: string;
  /** The next number. */
  readonly number: number;
  readonly names: {
    readonly [K in keyof DraftNames]: readonly (readonly [id: string, name: string])[];
  };
  readonly today: string;
  readonly mayPublish: boolean;
}

type Looked =
  | { readonly state: 'not-yet' }
  | { readonly state: 'working' }
  | { readonly state: 'failed'; readonly text: string }
  | { readonly state: 'there'; readonly view: PublishView };

const CHANGED = 'The draft is another one than the one that was looked at. Look again, then publish it.';

/** What stands before publishing a draft, once somebody asks for it: every sheet is made for that, which takes a while and can be given up. */
export function usePublishDesk({ planId, number, names, today, mayPublish }: PublishProps) {
  const [looked, setLooked] = useState<Looked>({ state: 'not-yet' });
  const [reason, setReason] = useState('');
  const [effectiveFrom, setEffectiveFrom] = useState(today);
  const [overruled, setOverruled] = useState<Readonly<Record<string, string>>>({});
  const [decided, setDecided] = useState<ReadonlySet<Choice>>(new Set());
  const { busy, attempt } = useAttempt(CHANGED);
  const asked = useRef<AbortController>(undefined);

  const look = async () => {
    asked.current?.abort();
    const mine = new AbortController();
    asked.current = mine;
    setLooked({ state: 'working' });
    try {
      const view = await readUntil('GET /api/plans/[planId]/publishing', { planId }, mine.signal);
      setLooked({ state: 'there', view });
    } catch (error) {
      if (!mine.signal.aborted) setLooked({ state: 'failed', text: failureText(error, CHANGED) });
    }
  };
  const giveUp = () => {
    asked.current?.abort();
    setLooked({ state: 'not-yet' });
  };
  const publish = async (view: PublishView) => {
    await attempt(
      async () => {
        await call(
          'POST /api/plans/[planId]/revisions',
          { planId },
          {
            draft: view.draft,
            after: view.after,
            reason: reason.trim(),
            effectiveFrom,
            overruled: view.blockers.flatMap(({ mark }) =>
              overruled[mark]?.trim() ? [{ mark, reason: overruled[mark].trim() }] : [],
            ),
            decided: [...decided],
          },
        );
        window.location.reload();
        return undefined;
      },
      (error) => {
        const newer = newerOf<{ newest: RevisionHead | null } | null>(error)?.current?.newest;
        return newer && newer.number > view.after
          ? `${newer.by || 'Somebody'} published revision ${newer.number} meanwhile: “${newer.reason}”. Load the page again, compare, then publish yours.`
          : undefined;
      },
    );
  };
  const stopped = (view: PublishView) => view.blockers.filter(({ mark }) => !overruled[mark]?.trim()).length;
  return {
    planId,
    number,
    names: {
      channels: new Map(names.channels),
      kinds: new Map(names.kinds),
      units: new Map(names.units),
    } satisfies DraftNames,
    mayPublish,
    today,
    looked,
    look,
    giveUp,
    reason,
    setReason,
    effectiveFrom,
    setEffectiveFrom,
    overruled,
    overrule: (mark: string, why: string) => setOverruled((now) => ({ ...now, [mark]: why })),
    decided,
    decide: (choice: Choice, yes: boolean) =>
      setDecided((now) => new Set(yes ? [...now, choice] : [...now].filter((one) => one !== choice))),
    stopped,
    publish,
    busy,
  };
}
