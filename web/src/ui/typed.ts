import { useEffect, useState } from 'react';

/** What is kept of typed words begins with this, so that nothing else goes with it. */
const KEPT = 'umbrex.typed ';

/**
 * Words that somebody types and that survive Back and a reload within their tab: pages are not kept by the browser, since they show what is the
 * group's. They come back once the page is alive.
 */
export function useTyped(name: string): [text: string, set: (text: string) => void] {
  const [text, setText] = useState('');
  useEffect(() => setText(sessionStorage.getItem(KEPT + name) ?? ''), [name]);
  const set = (next: string) => {
    setText(next);
    if (next === '') sessionStorage.removeItem(KEPT + name);
    else sessionStorage.setItem(KEPT + name, next);
  };
  return [text, set];
}

/** Forgets all of it: who comes after shall not read it. */
export function forgetTyped(): void {
  for (const key of Object.keys(sessionStorage)) if (key.startsWith(KEPT)) sessionStorage.removeItem(key);
}
