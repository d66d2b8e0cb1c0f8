/** What an id stands for in words. */
export interface Named {
  readonly id: string;
  readonly name: string;
}
/** What has names that ids stand for. */
export type NamedKind = 'plan' | 'person' | 'team' | 'group' | 'channel' | 'kind' | 'unit';
/** The names of what ids stand for, both ways. What is not here is not known by name. */
export type Names = Readonly<Partial<Record<NamedKind, readonly Named[]>>>;

/** How the value of a field stands in the cell of a spreadsheet, and in words. */
export interface Form<V> {
  /** As a spreadsheet's cell holds it, such that `read` gives the same again. */
  readonly write: (value: V, names: Names) => string;
  /** The value of a cell; `undefined` where it is none. An empty cell is what nobody said. */
  readonly read: (cell: string, names: Names) => V | undefined;
  /** Blanks at its ends belong to it; elsewhere they do not. */
  readonly exact?: true;
  /** What a cell should hold. */
  readonly wanted: string;
  /** As people read it, so that two versions can be told apart. */
  readonly words: (value: V, names: Names) => string;
}

/** Everything that is said of one field of a thing; nothing of it is said anywhere else. */
export interface Field<T, V> extends Form<V> {
  /** What it is called, within a sentence. */
  readonly title: string;
  /** The title of its column; two fields may share one. */
  readonly column: string;
  /** How else people title that column. */
  readonly synonyms: readonly string[];
  /** What those see who are not members; `shown` where it is no secret. */
  readonly hidden: 'shown' | ((thing: T) => V);
  /** Whether a set's sheet depends on it. */
  readonly sheet: boolean;
}

/** The fields of a thing: all of them, or it does not compile. Its id is no field: in a table it gets a fresh one. */
export type Fields<T> = { readonly [K in Exclude<keyof T, 'id'>]-?: Field<T, T[K]> };

/** A field of a form: its names and what depends on it. */
export function field<T, V, const S extends boolean>(
  title: string,
  form: Form<V>,
  sheet: S,
  more: { column?: string; synonyms?: readonly string[]; hidden?: (thing: T) => V } = {},
): Field<T, V> & { readonly sheet: S } {
  const {
    column = `${title.charAt(0).toUpperCase()}${title.slice(1)}`,
    synonyms = [],
    hidden = 'shown',
  } = more;
  const read: Form<V>['read'] = (cell, names) => form.read(form.exact ? cell : cell.trim(), names);
  return { ...form, read, title, column, synonyms, hidden, sheet };
}

/** A column of a table: its title, which is its key, and what else people call it. */
export interface Column {
  readonly title: string;
  readonly synonyms: readonly string[];
}
