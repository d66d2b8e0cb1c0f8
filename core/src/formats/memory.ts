import { z } from 'zod';
import type { Finding, Result } from '../findings/index';
import { diff, heldMemory, heldOf, shownWriter, type Wanted } from '../memory/index';
import { type Description, type Held, HeldSettingsSchema, slotsOf, writtenLists } from '../model/index';
import { shapeFindings } from './document';

/** What a memory file says of itself. */
export const MEMORY_FORMAT = 'umbrex/memory@1';

/** What a set's memory holds, place by place, in the set's own words; frequencies in hertz. For programs that load sets by cable or app. */
export const MemoryDocumentSchema = z.strictObject({
  format: z.literal(MEMORY_FORMAT),
  descriptionId: z.string().min(1).max(42),
  slots: z
    .array(
      z.strictObject({
        number: z.number().int().min(0),
        label: z.string().max(32),
        /** `null` for a place that is empty, or shall be. */
        values: z.record(z.string().max(41), z.union([z.string().max(40), z.number()])).nullable(),
      }),
    )
    .max(10_000),
  /** Settings of the whole set, where they were read, in its own words. */
  settings: HeldSettingsSchema.default({}),
});
export type MemoryDocument = z.infer<typeof MemoryDocumentSchema>;

/** Writes what a set shall hold as a document; only fields that can be set in the way this set is loaded are in it. */
export function writeMemory(description: Description, wanted: Wanted): MemoryDocument {
  const shown = shownWriter(description);
  const lists = writtenLists(description);
  return {
    format: MEMORY_FORMAT,
    descriptionId: description.id,
    settings: Object.fromEntries(
      description.settings.flatMap(({ id, list }) => {
        const item = lists[list]?.[wanted.settings[id] ?? -1];
        return item ? [[id, item.shown]] : [];
      }),
    ),
    slots: slotsOf(description).flatMap((slot): MemoryDocument['slots'] => {
      const values = wanted.slots.get(slot.number);
      if (values === undefined) return [];
      if (values === null) return [{ number: slot.number, label: slot.label, values: null }];
      const kept = Object.entries(values).filter(([field]) => slot.settable.includes(field));
      return [
        {
          number: slot.number,
          label: slot.label,
          values: Object.fromEntries(kept.map(([field, value]) => [field, shown(field, value)])),
        },
      ];
    }),
  };
}

/** Reads a document that came back from a set. */
export function readMemory(text: string): Result<MemoryDocument> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    const detail = error instanceof Error ? error.message : String(error);
    return { ok: false, findings: [{ code: 'document-not-json', severity: 'error', path: '', detail }] };
  }
  const parsed = MemoryDocumentSchema.safeParse(value);
  return parsed.success
    ? { ok: true, value: parsed.data, findings: [] }
    : { ok: false, findings: shapeFindings(parsed.error) };
}

/**
 * One value in which a set differs from what it should hold, at a place or, without a number, of the whole set. `has` is `null` where the
 * place or the value is missing.
 */
export interface MemoryDifference {
  readonly number: number | null;
  readonly label: string;
  readonly title: string;
  readonly wanted: string;
  readonly has: string | null;
}

/**
 * Compares what was read back with what should be there. Places that the plan does not use are the holder's own and are passed
 * over. A document of another kind of set is a finding.
 */
export function compareMemory(
  description: Description,
  wanted: Wanted,
  read: MemoryDocument,
): { findings: Finding[]; differences: MemoryDifference[]; same: number } {
  const other = otherKind(description, read);
  if (other) return { findings: [other], differences: [], same: 0 };
  const titles = new Map(
    [...description.fields, ...description.settings].map(({ id, title }) => [id, title]),
  );
  const shown = shownWriter(description);
  const lists = writtenLists(description);
  const { memory } = heldMemory(description, {
    rest: 'unknown',
    places: read.slots,
    settings: read.settings,
  });
  const changes = diff(description, memory, wanted);
  // What came back, in its own words: also what the description knows nothing of.
  const has = new Map(read.slots.map(({ number, values }) => [number, values]));
  let differing = 0;
  const ofPlaces = changes.places.flatMap(({ slot, was, to, fields }): MemoryDifference[] => {
    const { number, label } = slot;
    const there = has.get(number);
    if (to === null) {
      differing++;
      return [
        { number, label, title: '', wanted: '', has: there ? String(Object.values(there)[0] ?? '') : null },
      ];
    }
    // Of an empty place nothing is there, also where the factory would put the same. A place of which one value is not understood counts
    // as not known, but what came back as it shall be is no difference.
    const missing = (was === 'empty' ? Object.keys(to) : fields).filter(
      (id) => slot.settable.includes(id) && !(there && there[id] === shown(id, to[id] ?? '')),
    );
    if (missing.length > 0) differing++;
    return missing.map((id) => ({
      number,
      label,
      title: titles.get(id) ?? id,
      wanted: String(shown(id, to[id] ?? '')),
      has: there?.[id] === undefined ? null : String(there[id]),
    }));
  });
  const ofSet = changes.settings.map(
    ({ id, to }): MemoryDifference => ({
      number: null,
      label: '',
      title: titles.get(id) ?? id,
      wanted: lists[description.settings.find((setting) => setting.id === id)?.list ?? '']?.[to]?.shown ?? '',
      has: read.settings[id] ?? null,
    }),
  );
  return { findings: [], differences: [...ofPlaces, ...ofSet], same: wanted.slots.size - differing };
}

/**
 * Takes what was read from a set as what it holds now. Refuses a document of another kind of set, and one that holds what this kind
 * cannot, with the path of each.
 * @param rest what the places that it does not name count as
 */
export function heldFrom(
  description: Description,
  read: MemoryDocument,
  rest: Held['rest'] = 'unknown',
): Result<Held> {
  const other = otherKind(description, read);
  if (other) return { ok: false, findings: [other] };
  const index = new Map(read.slots.map(({ number }, i) => [number, i]));
  const titles = new Map(
    [...description.fields, ...description.settings].map(({ id, title }) => [id, title]),
  );
  const { memory, notUnderstood } = heldMemory(description, {
    rest,
    places: read.slots,
    settings: read.settings,
  });
  const findings = notUnderstood.map(
    ({ number, field, value }): Finding => ({
      code: 'document-shape',
      severity: 'error',
      path:
        number === null ? `/settings/${field}` : `/slots/${index.get(number)}${field && `/values/${field}`}`,
      detail:
        field === ''
          ? `no place ${number} in this kind of set`
          : `“${value || 'nothing'}” cannot be its ${titles.get(field) ?? `${field}, which it does not have`}`,
    }),
  );
  if (findings.length > 0) return { ok: false, findings: findings.slice(0, 20) };
  return { ok: true, value: heldOf(description, memory, rest), findings: [] };
}

function otherKind(description: Description, read: MemoryDocument): Finding | undefined {
  if (read.descriptionId === description.id) return undefined;
  return {
    code: 'document-shape',
    severity: 'error',
    path: '/descriptionId',
    detail: `of ${read.descriptionId}, not of ${description.id}`,
  };
}
