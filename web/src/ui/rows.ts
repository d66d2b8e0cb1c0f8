import { type FocusEvent, type KeyboardEvent, useLayoutEffect, useRef } from 'react';

const FOCUSABLE = 'a[href], button, input, select, textarea, summary';

/**
 * Makes a list one stop for Tab: arrows, Home and End go from row to row. A row is the element with `data-row`, the button or link that opens
 * it; what else stands in its `data-item` can be reached by Tab once its row is the current one.
 */
export function useRows<E extends HTMLElement>() {
  const box = useRef<E>(null);
  const current = useRef<string | null>(null);
  const rows = () => [...(box.current?.querySelectorAll<HTMLElement>('[data-row]') ?? [])];

  const settle = () => {
    const all = rows();
    const there = all.find(({ id }) => id === current.current) ?? all.find(isChosen) ?? all[0];
    for (const row of all) {
      const item = row.closest<HTMLElement>('[data-item]') ?? row;
      const parts = item === row ? [row] : [...item.querySelectorAll<HTMLElement>(FOCUSABLE)];
      for (const part of parts) {
        const isStop = row === there && !part.hasAttribute('data-aside');
        if (part.tabIndex !== (isStop ? 0 : -1)) part.tabIndex = isStop ? 0 : -1;
      }
    }
  };
  // After every drawing: rows come, go and change their order.
  useLayoutEffect(settle);

  const onKeyDown = (event: KeyboardEvent<E>) => {
    const from = (event.target as HTMLElement).closest<HTMLElement>('[data-row]');
    if (!from || event.altKey || event.ctrlKey || event.metaKey || event.defaultPrevented) return;
    const all = rows();
    const at = all.indexOf(from);
    const to = {
      ArrowDown: all[at + 1],
      ArrowUp: all[at - 1],
      Home: all[0],
      End: all.at(-1),
    }[event.key];
    if (!to) return;
    event.preventDefault();
    to.focus();
  };
  const onFocus = (event: FocusEvent<E>) => {
    const item = (event.target as HTMLElement).closest<HTMLElement>('[data-item]');
    const row = (event.target as HTMLElement).closest('[data-row]') ?? item?.querySelector('[data-row]');
    if (!row || row.id === current.current) return;
    current.current = row.id;
    settle();
  };
  return { ref: box, 'data-rows': true, onKeyDown, onFocus } as const;
}

const isChosen = (row: HTMLElement) =>
  row.getAttribute('aria-pressed') === 'true' || row.getAttribute('aria-current') === 'true';
