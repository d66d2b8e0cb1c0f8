import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import type { Finding, Result } from '@umbrex/core/findings';
import { readDescription, shapeFindings } from '@umbrex/core/formats';
import {
  DaySchema,
  type Description,
  type Person,
  PersonSchema,
  type Station,
  StationSchema,
  type Unit,
  UnitSchema,
} from '@umbrex/core/model';
import { z } from 'zod';
import { shippedDescriptions } from '../../devices/read';

/** What a command came to: a JSON value and whether it is fine. */
export interface Outcome {
  readonly json: unknown;
  readonly ok: boolean;
}

export class UsageError extends Error {}

/** A day, today's where none is said. @throws UsageError for one that is none */
export function dayOf(text: string | undefined): string {
  const read = DaySchema.safeParse(text ?? new Date().toISOString().slice(0, 10));
  if (!read.success) throw new UsageError();
  return read.data;
}

export function parseOptions(words: readonly string[]) {
  try {
    return parseArgs({
      args: [...words],
      options: {
        service: { type: 'string' },
        channel: { type: 'string' },
        fleet: { type: 'string' },
        read: { type: 'string' },
        device: { type: 'string', multiple: true },
        pair: { type: 'boolean' },
        licence: { type: 'string', multiple: true },
        today: { type: 'string' },
        stations: { type: 'string' },
        people: { type: 'string' },
        on: { type: 'string' },
        as: { type: 'string' },
        sets: { type: 'string' },
        call: { type: 'string' },
      },
    });
  } catch {
    throw new UsageError();
  }
}

export function readFile<T>(path: string, read: (text: string) => Result<T>): Result<T> {
  try {
    return read(readFileSync(path, 'utf8'));
  } catch (error) {
    const detail = error instanceof Error ? error.message : String(error);
    const finding: Finding = { code: 'file-unreadable', severity: 'error', path: '', detail };
    return { ok: false, findings: [finding] };
  }
}

/** The descriptions in the files, or the shipped ones where none is named. */
export function readDevices(
  paths: readonly string[],
): { ok: true; value: Description[] } | { ok: false; outcome: Outcome } {
  const value: Description[] = paths.length === 0 ? shippedDescriptions() : [];
  for (const path of paths) {
    const device = readFile(path, readDescription);
    if (!device.ok)
      return {
        ok: false,
        outcome: { ok: false, json: { ok: false, file: path, findings: device.findings } },
      };
    value.push(device.value);
  }
  return { ok: true, value };
}

/** A JSON document of a schema. */
export function readDocument<T>(text: string, schema: z.ZodType<T>): Result<T> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    const detail = error instanceof Error ? error.message : String(error);
    return { ok: false, findings: [{ code: 'document-not-json', severity: 'error', path: '', detail }] };
  }
  const read = schema.safeParse(value);
  return read.success
    ? { ok: true, value: read.data, findings: [] }
    : { ok: false, findings: shapeFindings(read.error) };
}

export const readUnitFile = (text: string): Result<Unit[]> => readDocument(text, UnitSchema.array());

/** A list of things, by itself or under the name of what they are, as the demo and the exports have it. */
function readList<T>(text: string, key: string, schema: z.ZodType<T>): Result<T[]> {
  const list = z.array(schema);
  return readDocument(
    text,
    z.union([list, z.looseObject({ [key]: list }).transform((of) => of[key] as T[])]),
  );
}

export const readPeopleFile = (text: string): Result<Person[]> => readList(text, 'people', PersonSchema);
export const readStationsFile = (text: string): Result<Station[]> =>
  readList(text, 'stations', StationSchema);

/** A set of a kind that is not among the descriptions, as a finding. */
export function strayUnit(units: readonly Unit[], descriptions: readonly Description[]): Finding | undefined {
  const known = new Set(descriptions.map(({ id }) => id));
  const at = units.findIndex(({ descriptionId }) => !known.has(descriptionId));
  const unit = units[at];
  return (
    unit && {
      code: 'dangling-reference',
      severity: 'error',
      path: `/${at}/descriptionId`,
      what: 'description',
      id: unit.descriptionId,
    }
  );
}
