import { type Description, writtenLists } from '../model/index';

/** What one key of a set does, as the set is configured. */
export interface KeyLine {
  readonly legend: string;
  /** Held at least so long, in milliseconds; a short press without it. */
  readonly heldMs: number | undefined;
  readonly does: string;
  /** How to leave what was pressed by mistake; empty where there is nothing to leave. */
  readonly leave: string;
  /** The setting that decides it, by its title; `null` where the key always does this. */
  readonly setting: string | null;
}

/**
 * The key map of a set as configured, in the description's order.
 * @param settings the set's settings by their ids, as places in their lists; the factory's where one is missing
 */
export function keyLines(description: Description, settings: Readonly<Record<string, number>>): KeyLine[] {
  const { keyMap } = description;
  if (!keyMap) return [];
  const lists = writtenLists(description);
  return keyMap.keys.flatMap(({ key, heldMs, does }): KeyLine[] => {
    const setting =
      typeof does === 'object' ? description.settings.find(({ id }) => id === does.setting) : undefined;
    const chosen = setting && lists[setting.list]?.[settings[setting.id] ?? setting.factory]?.means;
    const found = keyMap.functions[typeof does === 'string' ? does : String(chosen)];
    if (!found) return [];
    const legend = description.keys[key] ?? key;
    return [{ legend, heldMs, does: found.title, leave: found.leave, setting: setting?.title ?? null }];
  });
}
