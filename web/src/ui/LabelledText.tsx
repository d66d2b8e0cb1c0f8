import type { HTMLInputAutoCompleteAttribute } from 'react';
import { Labelled, type Titled } from './Labelled';

interface Props extends Titled {
  value: string;
  set: (value: string) => void;
  most?: number;
  type?: 'text' | 'password';
  autoComplete?: HTMLInputAutoCompleteAttribute;
  inputMode?: 'numeric' | 'text';
  width?: string;
  /** In figures' letters, and spelt as it is typed: what stands on a display, or in a listing. */
  isExact?: boolean;
  /** What a display shows in capitals: a phone offers those first. */
  isCapitals?: boolean;
  /** What may be written there. */
  hint?: string;
  /** The list of what is known already, by its id. */
  list?: string | undefined;
}

/** A line of text with its title. */
export function LabelledText({
  value,
  set,
  most = 400,
  type = 'text',
  autoComplete = 'off',
  inputMode = 'text',
  width = 'w-full',
  isExact = false,
  isCapitals = false,
  hint,
  list,
  ...titled
}: Props) {
  return (
    <Labelled {...titled}>
      {(tied) => (
        <input
          className={`input input-sm ${width} ${isExact ? 'font-mono' : ''}`}
          type={type}
          value={value}
          maxLength={most}
          autoComplete={autoComplete}
          inputMode={inputMode}
          placeholder={hint}
          list={list}
          onChange={(event) => set(event.target.value)}
          {...(isExact && { spellCheck: false, autoCapitalize: isCapitals ? 'characters' : 'off' })}
          {...tied}
        />
      )}
    </Labelled>
  );
}
