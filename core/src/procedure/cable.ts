import type { Finding } from '../findings/index';
import { type MemoryDocument, readMemory, writeMemory } from '../formats/memory';
import type { Wanted } from '../memory/index';
import {
  canHear,
  type Description,
  type Field,
  factoryMemory,
  factoryValues,
  fieldsBy,
  isFleetId,
  type ListItem,
  type Memory,
  type Native,
  type Slot,
  type SlotValues,
  slotsOf,
  writtenLists,
} from '../model/index';

/**
 * A virtual set on a cable or an app: it takes a data file by its own rules, holds it, and gives back what it holds. It knows
 * nothing of plans or fits. A file that it cannot hold is refused whole, as the programs for such sets do.
 */
export class CableSet {
  private values: Map<number, SlotValues>;
  private settings: Readonly<Record<string, number>>;
  private readonly slots: ReadonlyMap<number, Slot>;
  private readonly lists: Readonly<Record<string, readonly ListItem[]>>;

  /** @param memory what it holds at the start; as from the factory where nothing is given */
  constructor(
    private readonly description: Description,
    memoryBefore: Memory = factoryMemory(description),
  ) {
    this.values = new Map(memoryBefore.slots);
    this.settings = memoryBefore.settings;
    this.slots = new Map(slotsOf(description).map((slot) => [slot.number, slot]));
    this.lists = writtenLists(description);
  }

  /** Takes a file in, or says what of it this set cannot hold, with the path. */
  take(document: MemoryDocument): Finding[] {
    const findings: Finding[] = [];
    const no = (path: string, detail: string) =>
      findings.push({ code: 'document-shape', severity: 'error', path, detail });
    if (document.descriptionId !== this.description.id)
      no('/descriptionId', `of ${document.descriptionId}, not of ${this.description.id}`);
    const next = new Map(this.values);
    document.slots.forEach(({ number, values }, i) => {
      const slot = this.slots.get(number);
      if (!slot) {
        no(`/slots/${i}`, `no place ${number} in this kind of set`);
        return;
      }
      if (values === null) {
        if (slot.fixed) no(`/slots/${i}`, `place ${number} cannot be empty`);
        else next.set(number, null);
        return;
      }
      const before = this.values.get(number) ?? null;
      const taken: Record<string, Native> = {
        ...(before ?? factoryValues(this.description, 0, slot.region)),
      };
      for (const [id, value] of Object.entries(values)) {
        const field = this.description.fields.find((candidate) => candidate.id === id);
        const known =
          field && fieldsBy(slot.region, 'file').includes(id) ? this.valueOf(field, value) : undefined;
        if (known === undefined) no(`/slots/${i}/values/${id}`, `${value} cannot be set here`);
        else taken[id] = known;
      }
      next.set(number, taken);
    });
    const settings: Record<string, number> = { ...this.settings };
    for (const [id, shown] of Object.entries(document.settings)) {
      const list = this.description.settings.find((setting) => setting.id === id)?.list;
      const index = this.lists[list ?? '']?.findIndex((item) => item.shown === shown) ?? -1;
      if (index < 0) no(`/settings/${id}`, `${shown} cannot be set here`);
      else settings[id] = index;
    }
    const filled = [...next].filter(
      ([number, values]) => values && this.slots.get(number)?.region.content.kind === 'free',
    ).length;
    const { capacity } = this.description;
    if (capacity !== undefined && filled > capacity) no('/slots', `${filled} memories, ${capacity} at most`);
    if (findings.length > 0) return findings;
    this.values = next;
    this.settings = settings;
    return [];
  }

  /** What it holds now, as it is read back. */
  memory(): Memory {
    return { slots: new Map(this.values), settings: { ...this.settings } };
  }

  private valueOf(field: Field, value: string | number): Native | undefined {
    if (field.list !== undefined) {
      const index = this.lists[field.list]?.findIndex(({ shown }) => shown === String(value)) ?? -1;
      return index < 0 ? undefined : index;
    }
    const { names } = this.description;
    if (field.holds === 'name') {
      if (typeof names !== 'object') return undefined;
      const text = String(value);
      return [...text].every((char) => names.characters.includes(char))
        ? text.slice(0, names.length)
        : undefined;
    }
    if (field.holds === 'fleetId')
      return isFleetId(this.description, String(value)) ? String(value) : undefined;
    return typeof value === 'number' && canHear(this.description, value) ? value : undefined;
  }
}

/** Sends what is wanted to a virtual set as a file, written and read again as text, and returns what the set then holds. */
export function loadByFile(
  description: Description,
  before: Memory,
  wanted: Wanted,
): { memory: Memory; refused: Finding | undefined } {
  const set = new CableSet(description, before);
  const file = readMemory(JSON.stringify(writeMemory(description, wanted)));
  const findings = file.ok ? set.take(file.value) : file.findings;
  return { memory: set.memory(), refused: findings[0] };
}
