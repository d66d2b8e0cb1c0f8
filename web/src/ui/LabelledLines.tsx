import { Labelled, type Titled } from './Labelled';

interface Props extends Titled {
  value: string;
  /** Without it the text is there to be read and copied. */
  set?: (value: string) => void;
  most?: number;
  rows?: number;
  /** In figures' letters, and spelt as it is typed. */
  isExact?: boolean;
  isOff?: boolean;
  hint?: string;
}

/** A text of several lines, with its title. */
export function LabelledLines({
  value,
  set,
  most,
  rows = 6,
  isExact = false,
  isOff = false,
  hint,
  ...titled
}: Props) {
  return (
    <Labelled<HTMLTextAreaElement> {...titled}>
      {(tied) => (
        <textarea
          className={`textarea w-full ${isExact ? 'font-mono text-small' : 'text-plain'}`}
          rows={rows}
          value={value}
          maxLength={most}
          placeholder={hint}
          disabled={isOff}
          readOnly={!set}
          spellCheck={!isExact}
          onChange={(event) => set?.(event.target.value)}
          {...tied}
        />
      )}
    </Labelled>
  );
}
