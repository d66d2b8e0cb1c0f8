import { Labelled } from './Labelled';

interface Props {
  title: string;
  of?: string;
  /** As YYYY-MM-DD, with a time, or a time alone; what stands for none shows nothing. */
  value: string;
  set: (value: string) => void;
  /** What it is where nobody says it. */
  none?: string;
  type?: 'date' | 'datetime-local' | 'time';
  width?: string;
  least?: string;
  isNeeded?: boolean;
  help?: string;
  fault?: string | undefined;
}

/** A day, a moment, or a time of the day, with its title above it. */
export function LabelledDay({
  title,
  of,
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
  return (
    <Labelled title={title} of={of} help={help} fault={fault}>
      {(tied) => (
        <input
          type={type}
          className={`input input-sm ${width}`}
          value={value === none ? '' : value}
          min={least}
          required={isNeeded}
          onChange={(event) => set(event.target.value || none)}
          {...tied}
        />
      )}
    </Labelled>
  );
}
