/**
 * Keeps what was computed last, by a text that says all it depends on; the oldest goes when there is no more room. For results that
 * are the same for everybody who asks with the same text.
 */
export class Kept<T> {
  private readonly entries = new Map<string, T>();

  constructor(private readonly most: number) {}

  /** What is kept, if anything. */
  at(key: string): T | undefined {
    return this.entries.get(key);
  }

  of(key: string, compute: () => T): T {
    const known = this.entries.get(key);
    if (known !== undefined) {
      this.entries.delete(key);
      this.entries.set(key, known);
      return known;
    }
    const made = compute();
    this.entries.set(key, made);
    const [oldest] = this.entries.keys();
    if (this.entries.size > this.most && oldest !== undefined) this.entries.delete(oldest);
    return made;
  }
}
