/** A text as it is compared: without its letters’ size and its blanks. */
export const alike = (text: string) => text.trim().toLowerCase().replace(/\s+/g, ' ');
