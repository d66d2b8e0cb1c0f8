import { FindingItem } from '../../components/FindingItem';
import { NEXT_TEXT, REPAIR_TEXT } from '../../messages/check';
import { Button } from '../../ui/Button';
import type { useCheckDesk } from './useCheckDesk';

/** What is wrong with the plan, grouped by what to do next, each with why, its source and a repair where one is safe. */
export function CheckDeskView({
  plan,
  mayEdit,
  groups,
  mend,
  busy,
  nameOf,
}: ReturnType<typeof useCheckDesk>) {
  const toDo = groups.filter(({ next }) => next !== 'know').reduce((sum, { count }) => sum + count, 0);
  return (
    <div className="max-w-4xl px-5 py-4 max-md:px-3">
      <h1 className="text-xl font-bold">Check</h1>
      <p className="muted mb-4">
        {plan.channels.length === 0
          ? 'The plan has no channel yet, so nothing could be checked.'
          : toDo === 0
            ? `Nothing to do: no rule and no classic mistake stands against ${plan.channels.length === 1 ? 'this one channel' : `these ${plan.channels.length} channels`}.`
            : `${toDo} things want something done before anybody programs this plan.`}{' '}
        Check your local rules all the same.
      </p>
      {groups
        .filter(({ count }) => count > 0)
        .map(({ next, count, rows }) => (
          <section key={next} className="mb-6" aria-labelledby={`next-${next}`}>
            <h2 id={`next-${next}`} className="border-b border-base-content/40 pb-1 font-bold">
              {NEXT_TEXT[next].title} <span className="font-mono">{count}</span>
              <span className="muted ml-2 text-small font-normal">{NEXT_TEXT[next].meaning}</span>
            </h2>
            <ul>
              {rows.map(({ first, channelIds, repairs }) => (
                <li
                  key={`${channelIds[0]}-${first.finding.code}-${'other' in first.finding ? first.finding.other : ''}`}
                  className="grid gap-x-4 gap-y-1 border-b border-base-300 py-2 sm:grid-cols-[11rem_minmax(0,1fr)_auto]"
                >
                  <p>
                    {channelIds.map((channelId, i) => (
                      <span key={channelId}>
                        {i > 0 && ', '}
                        <a
                          className="link link-hover font-semibold"
                          href={`/plans/${plan.id}?channel=${channelId}`}
                        >
                          {nameOf(channelId)}
                        </a>
                      </span>
                    ))}
                  </p>
                  <ul>
                    <FindingItem finding={first.finding} />
                  </ul>
                  {mayEdit && first.repair && (
                    <Button
                      type="button"
                      className="btn btn-outline btn-sm self-start"
                      isOff={busy}
                      onClick={() => void mend(repairs)}
                    >
                      {REPAIR_TEXT[first.repair.code]}
                      {repairs.length > 1 && `, all ${repairs.length}`}
                    </Button>
                  )}
                </li>
              ))}
            </ul>
          </section>
        ))}
    </div>
  );
}
