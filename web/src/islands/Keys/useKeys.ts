import { useCallback, useEffect, useRef, useState } from 'react';

const STORE = 'umbrex.letterKeys';
const GO_MS = 1500;

/** Keys that work everywhere. The single-letter ones can be switched off (WCAG 2.1.4); `/`, `?` and letters count as such. */
export function useKeys(views: Readonly<Record<string, string>>) {
  const [open, setOpen] = useState(false);
  const [letters, setLetters] = useState(true);
  const dialog = useRef<HTMLDialogElement>(null);
  const goAt = useRef(Number.NEGATIVE_INFINITY);

  useEffect(() => setLetters(localStorage.getItem(STORE) !== 'off'), []);
  useEffect(() => {
    if (open && !dialog.current?.open) dialog.current?.showModal();
    if (!open && dialog.current?.open) dialog.current.close();
  }, [open]);

  const switchTheme = useCallback(() => {
    const root = document.documentElement;
    const isDark =
      root.dataset.theme === undefined
        ? window.matchMedia('(prefers-color-scheme: dark)').matches
        : root.dataset.theme === 'watch';
    const next = isDark ? 'chart' : 'watch';
    root.dataset.theme = next;
    // biome-ignore lint/suspicious/noDocumentCookie: one plain cookie that the server reads for the first paint
    document.cookie = `umbrex-theme=${next}; path=/; max-age=31536000; samesite=lax`;
  }, []);

  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
      const target = event.target as HTMLElement | null;
      if (target?.closest('input, textarea, select, dialog[open], [contenteditable]')) return;
      if (!letters) return;
      const going = event.timeStamp - goAt.current < GO_MS;
      goAt.current = Number.NEGATIVE_INFINITY;
      const view = going ? views[event.key] : undefined;
      if (view) window.location.assign(view);
      else if (event.key === 'g') goAt.current = event.timeStamp;
      else if (event.key === '/') document.dispatchEvent(new CustomEvent('umbrex:entry'));
      else if (event.key === '?') setOpen(true);
      else if (event.key === 'n') switchTheme();
      else return;
      event.preventDefault();
    };
    document.addEventListener('keydown', press);
    return () => document.removeEventListener('keydown', press);
  }, [letters, views, switchTheme]);

  const chooseLetters = (on: boolean) => {
    setLetters(on);
    localStorage.setItem(STORE, on ? 'on' : 'off');
  };
  return { open, setOpen, letters, chooseLetters, switchTheme, dialog };
}
