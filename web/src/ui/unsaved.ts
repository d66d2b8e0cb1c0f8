import { useEffect, useId } from 'react';

/** Forms with words in them that nobody saved. */
const unsaved = new Set<string>();

/** Says that a form holds words that were not saved: leaving it, or the page, then asks. */
export function useUnsaved(isDirty: boolean): void {
  const id = useId();
  useEffect(() => {
    if (!isDirty) return;
    unsaved.add(id);
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => {
      unsaved.delete(id);
      window.removeEventListener('beforeunload', ask);
    };
  }, [id, isDirty]);
}

/** Whether what is open may be left: there is nothing unsaved in it, or somebody says so. */
export function mayLeave(): boolean {
  return unsaved.size === 0 || window.confirm('There are words here that are not saved. Leave them?');
}
