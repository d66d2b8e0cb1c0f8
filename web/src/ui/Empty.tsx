import type { ReactNode } from 'react';

/** What stands where a list would be, while nothing is in it: why, and where to begin. */
export function Empty({ children }: { children: ReactNode }) {
  return <div className="my-4 rounded border border-dashed border-base-content/50 p-6">{children}</div>;
}
