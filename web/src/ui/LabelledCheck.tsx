import type { ReactNode } from 'react';

interface Props {
  checked: boolean;
  set: (checked: boolean) => void;
  /** What it says; the box stands before it. */
  children: ReactNode;
  className?: string;
}

/** A box to tick, with its words beside it. */
export function LabelledCheck({ checked, set, children, className = 'text-plain' }: Props) {
  return (
    <label className={`flex min-h-7 items-center gap-2 ${className}`}>
      <input
        type="checkbox"
        className="checkbox checkbox-sm"
        checked={checked}
        onChange={(event) => set(event.target.checked)}
      />
      {children}
    </label>
  );
}
