import type { HTMLInputAutoCompleteAttribute } from 'react';
import { Labelled } from './Labelled';

interface Props {
  title: string;
  value: string;
  set: (value: string) => void;
  most?: number;
  type?: 'text' | 'password';
  autoComplete?: HTMLInputAutoCompleteAttribute;
  inputMode?: 'numeric' | 'text';
  width?: string;
  help?: string;
  /** What is wrong with it. */
  fault?: string | undefined;
}

/** A line of text with its title above it, and a word of help below where there is one. */
export function LabelledText({
  title,
  value,
  set,
  most = 400,
  type = 'text',
  autoComplete = 'off',
  inputMode = 'text',
  width = 'w-full',
  help,
  fault,
}: Props) {
  return (
    <Labelled title={title} help={help} fault={fault}>
      {(tied) => (
        <input
          className={`input input-sm ${width}`}
          type={type}
          value={value}
          maxLength={most}
          autoComplete={autoComplete}
          inputMode={inputMode}
          onChange={(event) => set(event.target.value)}
          {...tied}
        />
      )}
    </Labelled>
  );
}
