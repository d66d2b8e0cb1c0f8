import { type ReactNode, useEffect, useEffectEvent } from 'react';

/** The right-hand drawer of a desk: beside the list on wide screens, over its foot on phones. Escape closes it. */
export function Aside({
  label,
  open,
  close,
  children,
}: {
  label: string;
  open: boolean;
  close: () => void;
  children: ReactNode;
}) {
  // A button that goes dead when its form is saved leaves the focus nowhere: Escape closes from there too.
  const fromNowhere = useEffectEvent((event: KeyboardEvent) => {
    if (event.key === 'Escape' && document.activeElement === document.body) close();
  });
  useEffect(() => {
    if (!open) return;
    document.addEventListener('keydown', fromNowhere);
    return () => document.removeEventListener('keydown', fromNowhere);
  }, [open]);
  return (
    <aside
      aria-label={label}
      className={`border-base-300 bg-base-100 p-5 lg:sticky lg:top-[4.3rem] lg:h-[calc(100vh-4.3rem)] lg:overflow-y-auto lg:border-l ${open ? 'max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-30 max-lg:max-h-[75vh] max-lg:overflow-y-auto max-lg:border-t-2 max-lg:border-base-content max-lg:pb-20 max-lg:shadow-2xl' : 'max-lg:border-t'}`}
      onKeyDown={(event) => {
        if (event.key === 'Escape' && open) close();
      }}
    >
      {children}
    </aside>
  );
}
