import { type ReactNode, type RefObject, useId } from 'react';
import { useFault } from './faults';

/** What ties a field to its title, its help and what is wrong with it. */
export interface Tied<E extends HTMLElement> {
  readonly id: string;
  readonly ref: RefObject<E | null>;
  readonly 'aria-invalid': boolean;
  readonly 'aria-describedby'?: string;
}

/** What every part with a title can be told. */
export interface Titled {
  title: string;
  /** Whose it is, for those who hear the page and do not see the row. */
  of?: string | undefined;
  /** Where the title stands; what is around a field may say it to the eye, then it is only heard. */
  at?: 'above' | 'beside' | 'heard';
  help?: string | undefined;
  /** What is wrong with it; then the help waits. */
  fault?: string | undefined;
  /** Of the whole part, as in a row of them. */
  className?: string;
}

const PLACES = {
  above: { box: '', title: 'muted block text-small' },
  beside: { box: 'flex flex-wrap items-center gap-x-2', title: 'muted text-small' },
  heard: { box: 'relative', title: 'sr-only' },
} as const;

/** A field with its title, and below it a word of help or what is wrong. */
export function Labelled<E extends HTMLElement = HTMLInputElement>({
  title,
  of,
  at = 'above',
  help,
  fault,
  className = '',
  children,
}: Titled & { children: (tied: Tied<E>) => ReactNode }) {
  const id = useId();
  const below = `${id}-below`;
  const ref = useFault<E>(fault);
  const said = fault ?? help;
  return (
    <div className={`${PLACES[at].box} ${className}`}>
      <label htmlFor={id} className={PLACES[at].title}>
        {title}
        {of && <span className="sr-only">, {of}</span>}
      </label>
      {children({ id, ref, 'aria-invalid': fault !== undefined, ...(said && { 'aria-describedby': below }) })}
      {said && (
        <p id={below} className={fault ? 'text-small font-semibold text-error' : 'muted text-tiny'}>
          {said}
        </p>
      )}
    </div>
  );
}
