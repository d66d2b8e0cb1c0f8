import { GATE_WORDS, MARK_WORDS } from '../../messages/onAir';
import { Sign } from './Sign';
import { between, type Group, type useAirDesk } from './useAirDesk';

/** Rows talk, columns hear: sets that come to the same stand together. */
export function Matrix({
  groups,
  callOf,
  chosen,
  setChosen,
  onKeyDown,
  view,
}: ReturnType<typeof useAirDesk>) {
  const holds = (group: Group | undefined, at: number | undefined) =>
    at !== undefined && group?.members.includes(at);
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: arrow keys move between the buttons of the table
    <div
      className="relative isolate max-h-[70vh] overflow-auto border-y border-base-300"
      onKeyDown={onKeyDown}
    >
      <table className="border-separate border-spacing-0">
        <caption className="sr-only">Rows talk, columns hear</caption>
        <thead>
          <tr>
            <th
              scope="col"
              className="sticky left-0 top-0 z-20 min-w-48 border-b border-base-300 bg-base-200 px-2 text-left align-bottom text-small font-normal max-sm:min-w-32"
            >
              <span className="muted">talks ↓ hears →</span>
            </th>
            {groups.map((group, column) => (
              <th
                key={group.members[0]}
                scope="col"
                className={`sticky top-0 z-10 h-36 w-10 min-w-10 border-b border-base-300 bg-base-200 align-bottom text-small font-semibold ${holds(group, chosen?.to) ? 'underline decoration-primary decoration-4 underline-offset-4' : ''}`}
              >
                <span
                  className="inline-block max-h-34 rotate-180 truncate py-1 [writing-mode:vertical-rl]"
                  title={label(group)}
                >
                  {column + 1} {group.title}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {groups.map((from, row) => (
            <tr key={from.members[0]}>
              <th
                scope="row"
                className={`sticky left-0 z-10 border-b border-base-300 bg-base-200 px-2 py-0.5 text-left text-small leading-tight font-normal ${holds(from, chosen?.from) ? 'shadow-[inset_4px_0_0_0_var(--color-primary)]' : ''}`}
              >
                <span className="font-semibold">
                  {row + 1} {from.title}
                </span>{' '}
                <span className="muted">
                  {from.members.length === 1
                    ? view.sets[from.members[0] ?? 0]?.nickname
                    : `× ${from.members.length}`}
                  {from.place && `, at ${from.place}`}
                </span>
              </th>
              {groups.map((to, column) => {
                const call = between(from, to);
                if (!call)
                  return (
                    <td key={to.members[0]} className="muted border-b border-base-300 text-center">
                      <span className="sr-only">one set</span>
                      <span aria-hidden="true">·</span>
                    </td>
                  );
                const { mark, gate } = callOf(call.from, call.to);
                const isHere = holds(from, chosen?.from) && holds(to, chosen?.to);
                const why = gate ? GATE_WORDS[gate] : undefined;
                return (
                  <td key={to.members[0]} className="border-b border-base-300 p-0 text-center">
                    <button
                      type="button"
                      data-cell={`${row}-${column}`}
                      tabIndex={
                        isHere ||
                        (!chosen && row === 0 && column === (groups[0]?.members.length === 1 ? 1 : 0))
                          ? 0
                          : -1
                      }
                      aria-pressed={isHere}
                      aria-label={`${to.title} ${MARK_WORDS[mark]} ${from.title}${why ? `: ${why[1]}` : ''}`}
                      title={`${to.title} ${MARK_WORDS[mark]}${why ? `: ${why[1]}` : ''}`}
                      className={`flex h-8 w-10 cursor-pointer items-center justify-center gap-0.5 font-mono text-sub ${isHere ? 'outline-2 outline-primary -outline-offset-2' : 'hover:bg-base-300'}`}
                      onClick={() => setChosen(call)}
                    >
                      <Sign mark={mark} size={14} />
                      {why?.[0]}
                    </button>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const label = ({ title, members, place }: Group) =>
  `${title}, ${members.length}${place ? `, at ${place}` : ''}`;
