import { useId } from 'react';
import { useFault } from './fault';

interface Props {
  title: string;
  /** As YYYY-MM-DD, or with a time; what stands for none shows nothing. */
  value: string;
  set: (value: string) => void;
  /** What it is where nobody says it. */
  none?: string;
  type?: 'date' | 'datetime-local';
  width?: string;
  least?: string;
  isNeeded?: boolean;
  help?: string;
  fault?: string | undefined;
}

/** A day, or a moment, with its title above it. */
export function LabelledDay({
  title,
  value,
  set,
  none = '',
  type = 'date',
  width = 'w-full',
  least,
  isNeeded = false,
  help,
  fault,
}: Props) {
  const id = useId();
  const field = useFault(fault);
  const said = fault ?? help;
  return (
    <div>
      <label className="block">
        <span className="muted block text-small">{title}</span>
        <input
          ref={field}
          type={type}
          className={`input input-sm ${width}`}
          value={value === none ? '' : value}
          min={least}
          required={isNeeded}
          onChange={(event) => set(event.target.value || none)}
          aria-invalid={fault !== undefined}
          {...(said && { 'aria-describedby': id })}
        />
      </label>
      {said && (
        <p id={id} className={fault ? 'text-small font-semibold text-error' : 'muted text-small'}>
          {said}
        </p>
      )}
    </div>
  );
}
