import { Labelled } from './Labelled';

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
  return (
    <Labelled title={title} help={help} fault={fault}>
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
