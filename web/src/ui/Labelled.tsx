import { type ReactNode, type RefObject, useId } from 'react';
import { useFault } from './faults';

/** What ties a field to its title, its help and what is wrong with it. */
export interface Tied {
  readonly id: string;
  readonly ref: RefObject<HTMLInputElement | null>;
  readonly 'aria-invalid': boolean;
  readonly 'aria-describedby'?: string;
}

interface Props {
  title: string;
  /** Whose it is, for those who hear the page and do not see the row. */
  of?: string | undefined;
  help?: string | undefined;
  /** What is wrong with it; then the help waits. */
  fault?: string | undefined;
  children: (tied: Tied) => ReactNode;
}

/** A field with its title above it, and below it a word of help or what is wrong. */
export function Labelled({ title, of, help, fault, children }: Props) {
  const id = useId();
  const below = `${id}-below`;
  const ref = useFault(fault);
  const said = fault ?? help;
  return (
    <div>
      <label htmlFor={id} className="muted block text-small">
        {title}
        {of && <span className="sr-only"> ({of})</span>}
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
