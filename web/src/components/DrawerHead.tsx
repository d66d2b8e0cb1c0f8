import { X } from 'lucide-react';

/** The head of a drawer: what it is about, and the way to close it. */
export function DrawerHead({ title, sub, close }: { title: string; sub?: string; close: () => void }) {
  return (
    <div className="flex items-start justify-between gap-2">
      <div>
        <h2 className="text-xl font-bold leading-tight">{title}</h2>
        {sub && <p className="muted">{sub}</p>}
      </div>
      <button
        type="button"
        className="btn btn-ghost btn-sm btn-square"
        onClick={close}
        aria-label="Close the details"
      >
        <X size={18} aria-hidden="true" />
      </button>
    </div>
  );
}
