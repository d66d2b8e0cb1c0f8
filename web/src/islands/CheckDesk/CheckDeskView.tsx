import { FindingItem } from '../../components/FindingItem';
import { NEXT_TEXT, REPAIR_TEXT } from '../../messages/check';
import { ConflictDialog } from '../desk/ConflictDialog';
import type { useCheckDesk } from './useCheckDesk';

/** What is wrong with the plan, grouped by what to do next, each with why, its source and a repair where one is safe. */
export function CheckDeskView({ plan, groups, mend, busy, nameOf }: ReturnType<typeof useCheckDesk>) {
  const toDo = groups.filter(({ next }) => next !== 'know').reduce((sum, { found }) => sum + found.length, 0);
  return (
    <div className="max-w-4xl px-5 py-4 max-md:px-3">
      <h1 className="text-xl font-bold">Check</h1>
      <p className="muted mb-4">
        {toDo === 0
          ? `Nothing to do: no rule and no classic mistake stands against these ${plan.channels.length} channels.`
          : `${toDo} things want something done before anybody programs this plan.`}{' '}
        Check your local rules all the same.
      </p>
      {groups
        .filter(({ found }) => found.length > 0)
        .map(({ next, found }) => (
          <section key={next} className="mb-6" aria-labelledby={`next-${next}`}>
            <h2 id={`next-${next}`} className="border-b border-base-content/40 pb-1 font-bold">
              {NEXT_TEXT[next].title} <span className="font-mono">{found.length}</span>
              <span className="muted ml-2 text-[0.87rem] font-normal">{NEXT_TEXT[next].meaning}</span>
            </h2>
            <ul>
              {found.map((entry) => (
                <li
                  key={`${entry.channelId}-${entry.finding.code}-${'other' in entry.finding ? entry.finding.other : ''}`}
                  className="grid gap-x-4 gap-y-1 border-b border-base-300 py-2 sm:grid-cols-[11rem_minmax(0,1fr)_auto]"
                >
                  <a
                    className="link link-hover font-semibold"
                    href={`/plans/${plan.id}?channel=${entry.channelId}`}
                  >
                    {nameOf(entry)}
                  </a>
                  <ul>
                    <FindingItem finding={entry.finding} />
                  </ul>
                  {entry.repair && (
                    <button
                      type="button"
                      className="btn btn-outline btn-sm self-start"
                      disabled={busy !== null}
                      onClick={() => entry.repair && void mend(entry.repair)}
                    >
                      {REPAIR_TEXT[entry.repair.code]}
                    </button>
                  )}
                </li>
              ))}
            </ul>
          </section>
        ))}
      <ConflictDialog />
    </div>
  );
}
