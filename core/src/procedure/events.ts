/** One thing that happens to a set: a key goes down for so long, or nothing happens for so long (milliseconds). */
export type KeyEvent =
  | { readonly kind: 'key'; readonly key: string; readonly heldMs: number }
  | { readonly kind: 'wait'; readonly ms: number };

/** How long an ordinary press lasts, in milliseconds (common practice). */
export const TAP_MS = 120;
