interface Props {
  value: string;
  set: (value: string) => void;
  /** What may be written there. */
  hint?: string;
  width?: string;
}

/** A word that the list below is looked through for. */
export function FindField({ value, set, hint, width = 'w-44' }: Props) {
  return (
    <label className="flex items-center gap-2 text-sm">
      <span className="muted">Find</span>
      <input
        // The browser's own sign that empties it is too bright for the night.
        className={`input input-sm min-w-0 ${width} [&::-webkit-search-cancel-button]:brightness-50 [&::-webkit-search-cancel-button]:sepia`}
        type="search"
        value={value}
        placeholder={hint}
        onChange={(event) => set(event.target.value)}
      />
    </label>
  );
}
