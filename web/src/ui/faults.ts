import { type RefObject, useEffect, useRef, useState } from 'react';
import type { ZodError } from 'zod';

/** Of each field that is wrong what is wrong with it, by its path, as `roles.0.name`. */
export type Faults = Readonly<Record<string, string>>;

/**
 * What a schema has against a form, each at its field.
 * @param words what to write there, by the field's path without figures; a text that is too long is told how long it may be
 */
export function faultsOf({ issues }: Pick<ZodError, 'issues'>, words: Faults): Faults {
  const faults: Record<string, string> = {};
  for (const issue of issues) {
    const at = issue.path.join('.');
    const name = issue.path.filter((part) => typeof part === 'string').join('.');
    const tooLong =
      issue.code === 'too_big' && issue.origin === 'string' ? `At most ${issue.maximum} letters.` : undefined;
    faults[at] ??= tooLong ?? words[name] ?? 'This cannot be kept as it stands.';
  }
  return faults;
}

/** The faults of one part of a form, by their paths inside it. @param at where it lies, as `roles.0.` */
export const faultsIn = (faults: Faults, at: string): Faults =>
  Object.fromEntries(
    Object.entries(faults).flatMap(([path, fault]) =>
      path.startsWith(at) ? [[path.slice(at.length), fault]] : [],
    ),
  );

/** The faults of a form, which lies in the element that is named; whenever they are told, the first wrong field takes the focus. */
export function useFaults<E extends HTMLElement = HTMLFormElement>(): {
  readonly form: RefObject<E | null>;
  readonly faults: Faults;
  readonly tell: (faults: Faults) => void;
} {
  const form = useRef<E>(null);
  const [faults, tell] = useState<Faults>({});
  useEffect(() => {
    if (Object.keys(faults).length === 0) return;
    const first = form.current?.querySelector<HTMLElement>('[aria-invalid="true"]');
    // In a part that is closed nobody would see it.
    first?.closest('details')?.setAttribute('open', '');
    first?.focus();
  }, [faults]);
  return { form, faults, tell };
}

/**
 * Brings the focus to a field in which something comes to be wrong, the first of them where there are several: whoever pressed a button is told
 * what to do where it is to be done.
 */
export function useFault<E extends HTMLElement = HTMLInputElement>(
  fault: string | undefined,
): RefObject<E | null> {
  const field = useRef<E>(null);
  const before = useRef(fault);
  useEffect(() => {
    const isNew = fault !== undefined && before.current !== fault;
    before.current = fault;
    // In the order of the page: one that was wrong before it has the focus already.
    if (isNew && document.activeElement?.getAttribute('aria-invalid') !== 'true') field.current?.focus();
  }, [fault]);
  return field;
}
