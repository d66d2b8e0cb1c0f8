import type { ReactNode } from 'react';

interface Props {
  checked: boolean;
  set: (checked: boolean) => void;
  /** What it says; the box stands before it. */
  children: ReactNode;
  className?: string;
  isOff?: boolean;
  /** A switch: it holds at once, and nothing is saved by it. */
  isSwitch?: boolean;
}

/** A box to tick, with its words beside it. */
export function LabelledCheck({
  checked,
  set,
  children,
  className = 'text-plain',
  isOff = false,
  isSwitch = false,
}: Props) {
  return (
    <label className={`relative flex min-h-7 items-center gap-2 ${className}`}>
      <input
        type="checkbox"
        className={isSwitch ? 'toggle toggle-xs' : 'checkbox checkbox-sm'}
        checked={checked}
        disabled={isOff}
        onChange={(event) => set(event.target.checked)}
      />
      {children}
    </label>
  );
}

/** A box at the row that it chooses: seen as a box, heard by its title. */
export function RowCheck({ title, className = '', ...check }: Omit<Props, 'children'> & { title: string }) {
  return (
    <LabelledCheck {...check} className={`min-w-6 self-start ${className}`}>
      <span className="sr-only">{title}</span>
    </LabelledCheck>
  );
}
