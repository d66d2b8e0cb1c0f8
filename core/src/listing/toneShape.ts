/** Whether a word looks like the value of a tone: `131.8`, `D251`, `251N`. */
export function looksLikeTone(text: string): boolean {
  return /^\d{2,3}(\.\d{1,3})?$/.test(text) || /^d-?\d{3}-?[nir]?$/i.test(text) || /^\d{3}[nir]$/i.test(text);
}
