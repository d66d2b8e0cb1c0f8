import type { ComponentProps, FormEvent } from 'react';

interface Props extends Omit<ComponentProps<'form'>, 'method' | 'action' | 'onSubmit'> {
  /** What Enter and its button do. */
  send: (event: FormEvent<HTMLFormElement>) => unknown;
}

/**
 * Fields that are sent together. By itself the browser does nothing with it (a form of method `dialog` outside a dialog is not sent, HTML 4.10.22.3):
 * Enter before the page is alive does not load it again, and what was typed stays.
 */
export function Form({ send, ...form }: Props) {
  return (
    <form
      {...form}
      method="dialog"
      onSubmit={(event) => {
        event.preventDefault();
        send(event);
      }}
    />
  );
}
