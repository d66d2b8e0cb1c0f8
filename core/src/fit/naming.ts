import { canErase, knownOf } from '../memory/index';
import {
  type Description,
  isLoadedByProgram,
  isOnAir,
  type Memory,
  type Naming,
  type Plan,
  slotsOf,
  type Unit,
} from '../model/index';
import { isAdapted } from './fit';
import type { Cell, Fit } from './image';

/** The marks of a display that tell one place from another, besides its name. */
const TELLS_PLACE = /\{(?:number|label|position|receive)(?::\d+)?\}/;

/** What the plan, or the set itself, says of names. */
export function namingOf(
  { naming }: Partial<Pick<Plan, 'naming'>>,
  { id }: Pick<Description, 'id'>,
  names: Unit['names'] = 'plan',
): Naming {
  return names === 'plan' ? (naming?.kinds[id] ?? naming?.all ?? 'now') : names;
}

/** Whether the sheet of a set writes names. A program writes them at no cost, so only `never` keeps it from that. */
export function writesNames(
  plan: Partial<Pick<Plan, 'naming'>>,
  description: Description,
  names?: Unit['names'],
): boolean {
  const naming = namingOf(plan, description, names);
  if (naming === 'now' || naming === 'never') return naming === 'now';
  if (isLoadedByProgram(description)) return true;
  return naming === 'needed' && !showsPlaces(description);
}

/** Whether names cost presses on a kind of set, so that whether they are written is a choice. */
export function namesAreByKeys({ recipes, fields }: Pick<Description, 'recipes' | 'fields'>): boolean {
  const field = fields.find(({ holds }) => holds === 'name')?.id;
  return field !== undefined && (recipes?.order.includes(field) ?? false);
}

/** A channel on a set that does not write its name: nothing of the name had to give either. */
export function unnamed(cell: Cell): Cell {
  const findings = cell.findings.filter(({ code }) => code !== 'name-shortened' && code !== 'name-twice');
  const isWhole = cell.verdict === 'adapted' && !isAdapted(findings);
  return { ...cell, name: null, findings, verdict: isWhole ? 'full' : cell.verdict };
}

/** Whether the display tells places apart without names; where nobody knows what it shows, it may not. */
function showsPlaces({ behaviour }: Pick<Description, 'behaviour'>): boolean {
  return behaviour?.modes[behaviour.start]?.screen.some((line) => TELLS_PLACE.test(line)) ?? false;
}

/**
 * A fit that leaves names for another day: a place that is empty, or is emptied first, or has no name stays without. A name that is known
 * to be another one, or may be, is written all the same: it would lead astray.
 */
export function withoutNames(fit: Fit, description: Description, now: Memory): Fit {
  const field = description.fields.find(({ holds }) => holds === 'name')?.id;
  if (field === undefined) return fit;
  const nameless = new Set<string>();
  const slots = new Map(fit.image.slots);
  for (const slot of slotsOf(description)) {
    const wanted = slots.get(slot.number);
    if (!wanted || wanted.values[field] === undefined || wanted.channelIds.length === 0) continue;
    const { state, unknown } = knownOf(description, slot, now);
    const isEmptied = (state === 'unknown' || unknown.length > 0) && canErase(description, slot);
    const name = now.slots.get(slot.number)?.[field];
    if (state !== 'empty' && !isEmptied && (name === undefined || String(name).trim() !== '')) continue;
    slots.set(slot.number, {
      ...wanted,
      values: { ...wanted.values, [field]: '' },
      content: isOnAir(wanted.content) ? { ...wanted.content, name: '' } : wanted.content,
    });
    for (const id of wanted.channelIds) nameless.add(id);
  }
  const cells = fit.cells.map((cell) => (nameless.has(cell.channelId) ? unnamed(cell) : cell));
  return { ...fit, cells, image: { ...fit.image, slots } };
}
