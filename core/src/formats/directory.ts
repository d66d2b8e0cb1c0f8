import type { Finding } from '../findings/index';
import {
  DIRECTORY_FORMAT,
  DirectoryAnswerSchema,
  type DirectoryEntry,
  DirectoryEntrySchema,
  type NamedPlace,
  PlacesAnswerSchema,
} from '../model/index';
import { bearingDeg, distanceM, type Place } from '../units/index';
import { shapeFindings } from './document';

/** A station of a directory, seen from a place. */
export interface FoundEntry {
  readonly entry: DirectoryEntry;
  readonly distanceM: number;
  readonly bearingDeg: number;
}

/** What a directory’s answer came to: its stations by distance, and what could not be read. */
export interface DirectoryReading {
  readonly source: string;
  /** Nearest first. */
  readonly found: readonly FoundEntry[];
  /** What was wrong with the answer or with single entries; those are left out, the others stay. */
  readonly findings: readonly Finding[];
}

/**
 * Reads what a directory answered and looks at it from a place: good entries by distance, nearest first, the faulty ones as
 * findings with their path. The source's own order and distances are not relied on.
 * @param withinM entries farther away are left out
 */
export function readDirectory(document: unknown, from: Place, withinM: number): DirectoryReading {
  const parsed = DirectoryAnswerSchema.safeParse(document);
  if (!parsed.success) return { source: '', found: [], findings: faults(document, parsed.error) };
  const findings: Finding[] = [];
  const found: FoundEntry[] = [];
  const seen = new Set<string>();
  parsed.data.entries.forEach((raw, i) => {
    const entry = DirectoryEntrySchema.safeParse(raw);
    if (!entry.success) {
      for (const finding of shapeFindings(entry.error))
        findings.push({ ...finding, severity: 'warning', path: `/entries/${i}${finding.path ?? ''}` });
      return;
    }
    if (seen.has(entry.data.id)) {
      findings.push({
        code: 'duplicate-id',
        severity: 'warning',
        path: `/entries/${i}/id`,
        id: entry.data.id,
      });
      return;
    }
    seen.add(entry.data.id);
    const away = distanceM(from, entry.data);
    if (away <= withinM)
      found.push({ entry: entry.data, distanceM: away, bearingDeg: bearingDeg(from, entry.data) });
  });
  found.sort((a, b) => a.distanceM - b.distanceM || (a.entry.id < b.entry.id ? -1 : 1));
  return { source: parsed.data.source, found, findings };
}

/** Reads a directory's answer to a place's name. */
export function readPlaces(document: unknown): {
  places: readonly NamedPlace[];
  findings: readonly Finding[];
} {
  const parsed = PlacesAnswerSchema.safeParse(document);
  return parsed.success
    ? { places: parsed.data.places, findings: [] }
    : { places: [], findings: faults(document, parsed.error) };
}

function faults(document: unknown, error: Parameters<typeof shapeFindings>[0]): readonly Finding[] {
  const found =
    typeof document === 'object' && document !== null && 'format' in document
      ? String(document.format)
      : 'none';
  return found === DIRECTORY_FORMAT
    ? shapeFindings(error)
    : [{ code: 'document-format', severity: 'error', path: '/format', wanted: DIRECTORY_FORMAT, found }];
}
