import { type RefObject, useEffect, useRef } from 'react';

/**
 * Brings the focus to a field in which something comes to be wrong, the first of them where there are several: whoever pressed a button is told
 * what to do where it is to be done.
 */
export function useFault(fault: string | undefined): RefObject<HTMLInputElement | null> {
  const field = useRef<HTMLInputElement>(null);
  const before = useRef(fault);
  useEffect(() => {
    const isNew = fault !== undefined && before.current !== fault;
    before.current = fault;
    // In the order of the page: one that was wrong before it has the focus already.
    if (isNew && document.activeElement?.getAttribute('aria-invalid') !== 'true') field.current?.focus();
  }, [fault]);
  return field;
}
