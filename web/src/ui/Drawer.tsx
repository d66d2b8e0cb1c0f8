import { X } from 'lucide-react';
import { type ReactNode, useEffect, useEffectEvent, useRef } from 'react';
import { mayLeave } from './unsaved';

interface Props {
  /** What stands in it while nothing is open. */
  label: string;
  /** What is open, and how its drawer is called where that is not by its title; `null` while nothing is. */
  opened: {
    readonly key: string;
    readonly title: string;
    readonly sub?: string | undefined;
    readonly label?: string;
  } | null;
  /** The row it was opened from: there the focus goes back to. */
  rowId: (key: string) => string;
  close: () => void;
  /** It shows what is chosen in the list while that moves on: the focus stays there. */
  follows?: boolean;
  children: ReactNode;
}

/** Between the list and its drawer, both ways. */
export const PANE_KEY = 'F6';

/**
 * The details beside a list: on wide screens at its right, on phones over its foot. It takes the focus on its heading when it opens, and gives it
 * back to the row it came from, by ✕, by Escape and when what is open is gone. Escape works from the row as well.
 */
export function Drawer({ label, opened, rowId, close, follows = false, children }: Props) {
  const heading = useRef<HTMLHeadingElement>(null);
  const body = useRef<HTMLElement>(null);
  const last = useRef<string | null>(null);
  const key = opened?.key ?? null;

  useEffect(() => {
    if (key === last.current) return;
    const before = last.current;
    last.current = key;
    if (key !== null && !follows) heading.current?.focus();
    // What was open is closed, or gone: nothing of the focus may fall to the page.
    else if (key === null && before !== null) (document.getElementById(rowId(before)) ?? firstRow())?.focus();
  }, [key, rowId, follows]);

  const leave = () => {
    if (mayLeave()) close();
  };
  const press = useEffectEvent((event: KeyboardEvent) => {
    if (key === null || event.defaultPrevented || document.querySelector('dialog[open]')) return;
    const target = event.target instanceof Element ? event.target : document.body;
    const isInside = body.current?.contains(target) ?? false;
    if (event.key === PANE_KEY && !event.altKey && !event.ctrlKey) {
      event.preventDefault();
      if (isInside) document.getElementById(rowId(key))?.focus();
      else heading.current?.focus();
    } else if (
      event.key === 'Escape' &&
      (isInside || target === document.body || target.closest('[data-rows]'))
    ) {
      event.preventDefault();
      leave();
    }
  });
  useEffect(() => {
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, []);

  return (
    <aside
      ref={body}
      aria-label={opened ? (opened.label ?? `Details of ${opened.title}`) : label}
      className={`border-base-300 bg-base-100 p-5 lg:sticky lg:top-[4.3rem] lg:h-[calc(100vh-4.3rem)] lg:overflow-y-auto lg:border-l ${opened ? 'max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-30 max-lg:max-h-[75vh] max-lg:overflow-y-auto max-lg:border-t-2 max-lg:border-base-content max-lg:pb-20 max-lg:shadow-2xl' : 'max-lg:border-t'}`}
    >
      {opened && (
        <div className="mb-4 flex items-start justify-between gap-2">
          <div>
            <h2 ref={heading} tabIndex={-1} className="text-xl font-bold leading-tight">
              {opened.title}
            </h2>
            {opened.sub && <p className="muted">{opened.sub}</p>}
          </div>
          <button
            type="button"
            className="btn btn-ghost btn-sm btn-square"
            onClick={leave}
            aria-label="Close the details"
          >
            <X size={18} aria-hidden="true" />
          </button>
        </div>
      )}
      {children}
    </aside>
  );
}

const firstRow = () => document.querySelector<HTMLElement>('[data-rows] [data-row]');
