import type { ReactNode } from 'react';

interface Props {
  title: string;
  /** How it stands now, in a few words. */
  state: string;
  children: ReactNode;
}

/** A part of a long form, closed to one line that says how it stands. */
export function Part({ title, state, children }: Props) {
  return (
    <details className="border-t border-base-300 pt-2">
      <summary className="cursor-pointer leading-7">
        <span className="font-semibold">{title}</span> <span className="muted text-small">{state}</span>
      </summary>
      <div className="space-y-3 py-2">{children}</div>
    </details>
  );
}
