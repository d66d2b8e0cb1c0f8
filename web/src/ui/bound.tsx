import type { FieldPath, FieldValues, RegisterOptions, UseFormReturn } from 'react-hook-form';
import { Labelled, type Tied } from './Labelled';
import { Options } from './LabelledSelect';

/* Fields of a form that react-hook-form keeps: a title above, what is wrong below, and the two tied together. */

interface Bound<F extends FieldValues> {
  // biome-ignore lint/suspicious/noExplicitAny: what a form hands on when it is sent is its own
  form: UseFormReturn<F, any, any>;
  name: FieldPath<F>;
  title: string;
  /** What is wrong, where the form does not say it under this name. */
  fault?: string | undefined;
  options?: RegisterOptions<F>;
}

/** What a field says of itself, and what ties its control to the form. */
function boundTo<F extends FieldValues>({ form, name, title, fault, options }: Bound<F>) {
  return {
    titled: { title, fault: fault ?? form.getFieldState(name, form.formState).error?.message },
    control: form.register(name, options as never),
  };
}

/** Ties a control to its title and to the form, which focuses the first field that is wrong by itself. */
const tied = ({ ref: _, ...by }: Tied<HTMLElement>) => by;

/** A line of text, in figures' letters where it holds figures; or a day. */
export function LineField<F extends FieldValues>({
  figures = false,
  type = 'text',
  placeholder,
  initial,
  ...bound
}: Bound<F> & { figures?: boolean; type?: 'text' | 'date'; placeholder?: string; initial?: string }) {
  const { titled, control } = boundTo(bound);
  return (
    <Labelled {...titled}>
      {(by) => (
        <input
          type={type}
          className={`input input-sm w-full ${figures ? 'font-mono' : ''}`}
          placeholder={placeholder}
          defaultValue={initial}
          {...(figures && { inputMode: 'decimal' as const })}
          {...tied(by)}
          {...control}
        />
      )}
    </Labelled>
  );
}

/** One of several. @param choices each with its words; one that cannot be chosen now is shown all the same */
export function ChoiceField<F extends FieldValues>({
  choices,
  ...bound
}: Bound<F> & { choices: readonly (readonly [value: string, words: string, isOff?: boolean])[] }) {
  const { titled, control } = boundTo(bound);
  return (
    <Labelled<HTMLSelectElement> {...titled}>
      {(by) => (
        <select className="select select-sm w-full" {...tied(by)} {...control}>
          <Options options={choices} />
        </select>
      )}
    </Labelled>
  );
}

/** A box to tick, its title beside it: on or off, neither of them wrong. */
export function CheckField<F extends FieldValues>({
  form,
  name,
  title,
}: Pick<Bound<F>, 'form' | 'name' | 'title'>) {
  return (
    <label className="flex min-h-7 items-center gap-2 text-plain">
      <input type="checkbox" className="checkbox checkbox-sm" {...form.register(name)} />
      {title}
    </label>
  );
}

/** What has a name, as choices; with words for none of them. */
export function named(
  list: readonly { readonly id: string; readonly name: string }[],
  none?: string,
): (readonly [string, string])[] {
  const all = list.map(({ id, name }) => [id, name] as const);
  return none === undefined ? all : [['', none] as const, ...all];
}
