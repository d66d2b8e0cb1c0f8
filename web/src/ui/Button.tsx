import type { ButtonHTMLAttributes } from 'react';

interface Props extends Omit<ButtonHTMLAttributes<HTMLButtonElement>, 'disabled' | 'aria-disabled'> {
  type: 'button' | 'submit';
  /** It cannot be pressed now: what it needs is missing, or what it does is under way. */
  isOff: boolean;
}

/**
 * A button that at times cannot be pressed. It keeps the focus all the same: one that the browser switches off drops it, and who pressed *Save* by
 * keyboard would begin again at the top of the page. Enter in a field presses it as ever, and does nothing while it is off.
 */
export function Button({ isOff, onClick, ...rest }: Props) {
  return (
    <button
      {...rest}
      aria-disabled={isOff || undefined}
      onClick={(event) => {
        if (isOff) event.preventDefault();
        else onClick?.(event);
      }}
    />
  );
}
