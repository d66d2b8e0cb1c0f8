/** Makes a value that nobody can change any more, all through; what is kept between two requests has to be so. */
export function frozen<T>(value: T): T {
  if (typeof value !== 'object' || value === null || Object.isFrozen(value)) return value;
  for (const inner of Object.values(value)) frozen(inner);
  return Object.freeze(value);
}

const marks = new WeakMap<object, string>();
let given = 0;

/**
 * A text that two values have in common only if they are alike: of a frozen one a mark of its own, which costs nothing the second time; of any
 * other its JSON.
 */
export function markOf(value: object): string {
  if (!Object.isFrozen(value)) return JSON.stringify(value);
  const known = marks.get(value) ?? `#${++given}`;
  marks.set(value, known);
  return known;
}
