import { useCallback, useEffect, useState } from 'react';

/** Where one is in the card: one of its four places, a set, or the steps of one. It stands behind the `#` of the address, so that the browser's own way back works. */
export interface Place {
  readonly view: 'today' | 'sets' | 'plan' | 'more' | 'set' | 'steps';
  readonly id: string;
}

const VIEWS: ReadonlySet<string> = new Set(['today', 'sets', 'plan', 'more', 'set', 'steps']);

export function placeOf(hash: string): Place {
  const [view = '', id = ''] = hash.replace(/^#/, '').split('/');
  return VIEWS.has(view) ? { view: view as Place['view'], id } : { view: 'today', id: '' };
}

export function usePlace(): Place {
  const [place, setPlace] = useState(() => placeOf(window.location.hash));
  const read = useCallback(() => {
    setPlace(placeOf(window.location.hash));
    window.scrollTo(0, 0);
  }, []);
  useEffect(() => {
    window.addEventListener('hashchange', read);
    return () => window.removeEventListener('hashchange', read);
  }, [read]);
  return place;
}
