interface Props {
  /** Who carries them. */
  of: string;
  /** Whether that stands above it already: then it is for those who hear it read. */
  isNamed?: boolean;
  groups: readonly { id: string; name: string }[];
  /** What is said here; nothing where it is as `otherwise`. */
  said: readonly string[] | undefined;
  /** What holds where nothing is said here: nothing for all groups. */
  otherwise?: readonly string[] | undefined;
  /** With nothing it is again as otherwise. */
  change: (groupIds: string[] | undefined) => void;
  isOpen?: boolean;
}

/** Which groups of channels are carried: closed it says so, opened one ticks them. The last one stays. */
export function GroupsCarried({
  of,
  isNamed = false,
  groups,
  said,
  otherwise,
  change,
  isOpen = false,
}: Props) {
  const all = groups.map(({ id }) => id);
  const usual = otherwise ?? all;
  const now = all.filter((id) => (said ?? usual).includes(id));
  const toggle = (id: string) => {
    const next = all.filter((one) => (one === id ? !now.includes(id) : now.includes(one)));
    change(next.length > 0 && !isSame(next, usual) ? next : undefined);
  };
  const names = groups.filter(({ id }) => now.includes(id)).map(({ name }) => name);
  const words = now.length === all.length ? 'all' : names.join(', ') || 'none that the plan has';
  return (
    <details className="border-b border-base-300 py-1" open={isOpen}>
      <summary className="cursor-pointer text-small">
        {isNamed ? 'Groups of channels' : `Groups on ${of}`}: {words}
        {isNamed && <span className="sr-only">, {of}</span>}
      </summary>
      <fieldset className="flex flex-wrap gap-x-4 gap-y-1 py-1 text-plain">
        <legend className="sr-only">Groups on {of}</legend>
        {groups.map(({ id, name }) => (
          <label key={id} className="flex items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={now.includes(id)}
              disabled={now.length === 1 && now.includes(id)}
              onChange={() => toggle(id)}
            />
            {name}
          </label>
        ))}
        {said && (
          <button type="button" className="btn btn-ghost btn-xs" onClick={() => change(undefined)}>
            {otherwise ? 'As its team or kind' : 'All again'}
            <span className="sr-only">, {of}</span>
          </button>
        )}
      </fieldset>
    </details>
  );
}

const isSame = (a: readonly string[], b: readonly string[]) =>
  a.length === b.length && a.every((id) => b.includes(id));
