const told = new WeakSet<Element>();

/**
 * Tells a part of a page, by its name, what was written into its fields before it was alive: the fields show it, and the part would not know
 * of it. To be called once it is alive, and not before: nothing would hear it.
 */
export function tellEarly(name: string): void {
  for (const part of document.querySelectorAll(`astro-island[component-export="${name}"]`)) {
    if (told.has(part)) continue;
    told.add(part);
    for (const field of part.querySelectorAll('input, textarea, select')) tell(field);
  }
}

/**
 * What stands in a form is only sent with it: it is told. A box or a choice outside of one may act at once, and a browser that loads a page
 * again may have put it there by itself: it goes back to how the page has it.
 */
function tell(field: Element): void {
  const isSent = field.closest('form') !== null;
  if (field instanceof HTMLSelectElement) {
    const usual = [...field.options].find((option) => option.defaultSelected) ?? field.options[0];
    if (!usual || field.value === usual.value) return;
    if (isSent) field.dispatchEvent(new Event('change', { bubbles: true }));
    else field.value = usual.value;
    return;
  }
  if (field instanceof HTMLInputElement && (field.type === 'checkbox' || field.type === 'radio')) {
    if (field.checked === field.defaultChecked) return;
    field.checked = field.defaultChecked;
    // A click is what its part listens for.
    if (isSent) field.click();
    return;
  }
  if (field instanceof HTMLInputElement && field.type === 'file') {
    if (field.files?.length) field.dispatchEvent(new Event('change', { bubbles: true }));
    return;
  }
  if (!(field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement)) return;
  const { value, defaultValue } = field;
  if (value === defaultValue) return;
  // Only what differs from what the part has seen is told to it, and it sees what is set at the field itself, not by its prototype.
  field.value = defaultValue;
  Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), 'value')?.set?.call(field, value);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}
