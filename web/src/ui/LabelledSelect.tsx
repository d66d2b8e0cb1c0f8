interface Props<V extends string> {
  title: string;
  value: V;
  options: readonly (readonly [V, string])[];
  set: (value: V) => void;
  width?: string;
  /** What it is about, for those who hear the label; eyes see it from where it stands. */
  of?: string;
  /** Small, with its label beside it. */
  inLine?: boolean;
}

/** A choice with its label above it, or beside it. */
export function LabelledSelect<V extends string>({
  title,
  value,
  options,
  set,
  width = 'w-full',
  of,
  inLine = false,
}: Props<V>) {
  return (
    <label className={inLine ? 'flex flex-wrap items-center gap-x-2 py-1' : 'block'}>
      <span className={`muted text-small ${inLine ? '' : 'block'}`}>
        {title}
        {of && <span className="sr-only"> of {of}</span>}
      </span>
      <select
        className={`select ${inLine ? 'select-xs' : 'select-sm'} ${width}`}
        value={value}
        onChange={(event) => set(event.target.value as V)}
      >
        {options.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}
