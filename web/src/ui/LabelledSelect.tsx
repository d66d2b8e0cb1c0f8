import { Labelled, type Titled } from './Labelled';

/** Each value with its words; one that cannot be chosen now is shown all the same. */
type Options<V extends string> = readonly (readonly [value: V, words: string, isOff?: boolean])[];

interface Props<V extends string> extends Titled {
  value: V;
  options: Options<V>;
  /** More of them, below a word each. */
  groups?: readonly { readonly title: string; readonly options: Options<V> }[];
  set: (value: V) => void;
  width?: string;
  isSmall?: boolean;
}

/** A choice with its title. */
export function LabelledSelect<V extends string>({
  value,
  options,
  groups = [],
  set,
  width = 'w-full',
  isSmall = false,
  ...titled
}: Props<V>) {
  const isAmong = [options, ...groups.map((group) => group.options)].flat().some(([one]) => one === value);
  return (
    <Labelled<HTMLSelectElement> {...titled}>
      {(tied) => (
        <select
          className={`select ${isSmall ? 'select-xs' : 'select-sm'} ${width}`}
          value={value}
          onChange={(event) => set(event.target.value as V)}
          {...tied}
        >
          {/* Without a line of its own a browser would show the first, which nobody chose. */}
          {!isAmong && <option value={value}>{value === '' ? 'choose one' : 'no longer listed'}</option>}
          <Options options={options} />
          {groups.map(
            (group) =>
              group.options.length > 0 && (
                <optgroup key={group.title} label={group.title}>
                  <Options options={group.options} />
                </optgroup>
              ),
          )}
        </select>
      )}
    </Labelled>
  );
}

/** The lines of a choice. */
export function Options({ options }: { options: Options<string> }) {
  return options.map(([value, words, isOff = false]) => (
    <option key={value} value={value} disabled={isOff}>
      {words}
    </option>
  ));
}
