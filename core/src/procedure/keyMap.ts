import { type Description, writtenLists } from '../model/index';

/** What one key of a set does, as the set is configured. */
export interface KeyLine {
  readonly legend: string;
  /** Held at least so long, in milliseconds; a short press without it. */
  readonly heldMs: number | undefined;
  /** `null` where its setting decides it, and nobody knows how that stands. */
  readonly does: string | null;
  /** How to leave what was pressed by mistake; empty where there is nothing to leave. */
  readonly leave: string;
  /** The setting that decides it, by its title; `null` where the key always does this. */
  readonly setting: string | null;
}

/**
 * The key map of a set as configured, in the description's order.
 * @param settings the set's settings by their ids, as places in their lists; nobody knows those that are missing
 */
export function keyLines(description: Description, settings: Readonly<Record<string, number>>): KeyLine[] {
  const { keyMap } = description;
  if (!keyMap) return [];
  const lists = writtenLists(description);
  return keyMap.keys.flatMap(({ key, heldMs, does }): KeyLine[] => {
    const setting =
      typeof does === 'object' ? description.settings.find(({ id }) => id === does.setting) : undefined;
    const legend = description.keys[key] ?? key;
    const at = setting && settings[setting.id];
    if (setting && at === undefined)
      return [{ legend, heldMs, does: null, leave: '', setting: setting.title }];
    const chosen = setting && at !== undefined ? lists[setting.list]?.[at]?.means : undefined;
    const found = keyMap.functions[typeof does === 'string' ? does : String(chosen)];
    if (!found) return [];
    return [{ legend, heldMs, does: found.title, leave: found.leave, setting: setting?.title ?? null }];
  });
}

/** How the keys of a set are locked and freed again, in its legends; `null` where nobody described it. The function is called `lock` in its key map. */
export function lockOf({ keyMap, keys }: Pick<Description, 'keyMap' | 'keys'>): {
  readonly legend: string;
  readonly heldMs: number | undefined;
  readonly leave: string;
} | null {
  const line = keyMap?.keys.find(({ does }) => does === 'lock');
  if (!line) return null;
  return {
    legend: keys[line.key] ?? line.key,
    heldMs: line.heldMs,
    leave: keyMap?.functions.lock?.leave ?? '',
  };
}
