import { Labelled, type Titled } from './Labelled';

interface Props extends Titled {
  /** As YYYY-MM-DD, with a time, or a time alone; what stands for none shows nothing. */
  value: string;
  set: (value: string) => void;
  /** What it is where nobody says it. */
  none?: string;
  type?: 'date' | 'datetime-local' | 'time';
  width?: string;
  least?: string;
  isNeeded?: boolean;
}

/** A day, a moment, or a time of the day, with its title. */
export function LabelledDay({
  value,
  set,
  none = '',
  type = 'date',
  width = 'w-full',
  least,
  isNeeded = false,
  ...titled
}: Props) {
  return (
    <Labelled {...titled}>
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
