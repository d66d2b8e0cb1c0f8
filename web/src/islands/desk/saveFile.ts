/** Gives a text to the browser to keep as a file; letters that no file system likes become dashes. */
export function saveFile(name: string, text: string, type: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type }));
  link.download = name.replace(/[^\p{L}\p{N}.-]+/gu, '-');
  link.click();
  URL.revokeObjectURL(link.href);
}
