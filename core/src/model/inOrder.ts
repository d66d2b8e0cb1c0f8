/** A value with its keys in the order of the alphabet, however a database gives them back: two states compare by their text. */
export function inOrder<T>(value: T): T {
  if (Array.isArray(value)) return value.map(inOrder) as T;
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1));
  return Object.fromEntries(entries.map(([key, inner]) => [key, inOrder(inner)])) as T;
}
