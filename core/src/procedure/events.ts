/**
 * One thing that happens to a set: a key goes down, or is let go; one goes down for so long and is let go; nothing happens for so long
 * (milliseconds); or it is switched off and on.
 */
export type KeyEvent =
  | { readonly kind: 'down'; readonly key: string }
  | { readonly kind: 'up'; readonly key: string }
  | { readonly kind: 'key'; readonly key: string; readonly heldMs: number }
  | { readonly kind: 'wait'; readonly ms: number }
  | { readonly kind: 'power' };

/** How long an ordinary press lasts, in milliseconds (common practice). */
export const TAP_MS = 120;
/** How long it takes to switch a set off and on, in milliseconds (common practice). */
export const POWER_MS = 3000;
