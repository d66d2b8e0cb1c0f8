interface Props<V extends string> {
  title: string;
  value: V;
  options: readonly (readonly [V, string])[];
  set: (value: V) => void;
  width?: string;
}

/** A choice with its label above it. */
export function LabelledSelect<V extends string>({ title, value, options, set, width = 'w-full' }: Props<V>) {
  return (
    <label className="block">
      <span className="muted block text-[0.87rem]">{title}</span>
      <select
        className={`select select-sm ${width}`}
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
