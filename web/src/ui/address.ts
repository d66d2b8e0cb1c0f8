import { useEffect } from 'react';

/** Keeps what is chosen on a page in its address, so that it can be linked to, kept and loaded again. */
export function useAddress(name: string, chosen: string | null): void {
  useEffect(() => {
    const url = new URL(window.location.href);
    if (url.searchParams.get(name) === chosen) return;
    if (chosen === null) url.searchParams.delete(name);
    else url.searchParams.set(name, chosen);
    window.history.replaceState(window.history.state, '', url);
  }, [name, chosen]);
}
