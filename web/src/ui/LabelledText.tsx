import { type HTMLInputAutoCompleteAttribute, useId } from 'react';
import { useFault } from './fault';

interface Props {
  title: string;
  value: string;
  set: (value: string) => void;
  most?: number;
  type?: 'text' | 'password';
  autoComplete?: HTMLInputAutoCompleteAttribute;
  inputMode?: 'numeric' | 'text';
  help?: string;
  width?: string;
  placeholder?: string;
  /** In figures' letters, where it holds figures. */
  figures?: boolean;
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
  help,
  width = 'w-full',
  placeholder,
  figures = false,
  fault,
}: Props) {
  const id = useId();
  const field = useFault(fault);
  return (
    <div>
      <label className="block">
        <span className="muted block text-small">{title}</span>
        <input
          ref={field}
          className={`input input-sm ${width} ${figures ? 'font-mono' : ''}`}
          type={type}
          value={value}
          maxLength={most}
          placeholder={placeholder}
          autoComplete={autoComplete}
          inputMode={inputMode}
          onChange={(event) => set(event.target.value)}
          aria-invalid={fault !== undefined}
          {...((help ?? fault) && { 'aria-describedby': id })}
        />
      </label>
      {fault ? (
        <p id={id} className="text-small font-semibold text-error">
          {fault}
        </p>
      ) : (
        help && (
          <p id={id} className="muted text-tiny">
            {help}
          </p>
        )
      )}
    </div>
  );
}
