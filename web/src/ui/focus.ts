/** What can have the focus by Tab, or in a list by its arrows. */
const STOPS = 'a[href], button, input, select, textarea, summary';
/** Where a neighbour is looked for, from the nearest box outwards. */
const BOXES = 'li, tr, fieldset, form, ul, table, section, aside, dialog, main';

/** What had the focus, and at which place it stood in each box around it. */
interface Stood {
  readonly element: Element;
  readonly boxes: readonly { readonly box: Element; readonly at: number }[];
}

const stopsIn = (box: Element): HTMLElement[] => [...box.querySelectorAll<HTMLElement>(STOPS)];
/** What takes something away for good is never where the focus comes to by itself. */
const canBe = (one: HTMLElement) => !one.matches(':disabled, .btn-error') && one.checkVisibility();

function stoodOf(element: Element): Stood {
  const boxes: { box: Element; at: number }[] = [];
  for (let box = element.parentElement?.closest(BOXES); box; box = box.parentElement?.closest(BOXES))
    boxes.push({ box, at: stopsIn(box).indexOf(element as HTMLElement) });
  return { element, boxes };
}

let isKept = false;

/**
 * Keeps the focus on the page where what had it goes away: a row that is removed, a form that begins anew once it was saved. It goes to what
 * now stands in its place, in the nearest box that is left; a browser would let it fall to the page's body, and Tab would begin at the top.
 */
export function keepFocus(): void {
  if (isKept) return;
  isKept = true;
  let stood: Stood | undefined;
  document.addEventListener('focusin', ({ target }) => {
    stood = target instanceof Element ? stoodOf(target) : undefined;
  });
  // Enter that is held presses once: the next row, or the button that asks again, may stand under it by then.
  document.addEventListener('keydown', (event) => {
    const isPress = event.target instanceof Element && event.target.matches('button, a, summary');
    if (event.repeat && event.key === 'Enter' && isPress) event.preventDefault();
  });
  // Somebody who presses beside everything leaves it on purpose; what goes away is out of the page by then.
  document.addEventListener('focusout', ({ target, relatedTarget }) => {
    if (relatedTarget) return;
    setTimeout(() => {
      if (stood?.element === target && stood.element.isConnected && isLost()) stood = undefined;
    });
  });
  new MutationObserver(() => {
    if (!stood || stood.element.isConnected || !isLost()) return;
    for (const { box, at } of stood.boxes) {
      const now = box.isConnected && at >= 0 ? stopsIn(box) : [];
      const next = now.slice(at).find(canBe) ?? now.slice(0, at).findLast(canBe);
      if (next) return next.focus();
    }
    stood = undefined;
  }).observe(document.body, { childList: true, subtree: true });
}

const isLost = () => document.activeElement === null || document.activeElement === document.body;
