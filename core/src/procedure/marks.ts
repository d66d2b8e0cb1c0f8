/** Fills the marks of a text, such as `{number}`; one that nothing is known of stays as it is written, to be seen. */
export function marks(text: string, of: (mark: string) => string | undefined): string {
  return text.replace(/\{(\w+)\}/g, (whole, mark: string) => of(mark) ?? whole);
}
