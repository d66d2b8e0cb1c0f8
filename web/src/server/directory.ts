import type { Finding } from '@umbrex/core/findings';
import { readDirectory, readPlaces } from '@umbrex/core/formats';
import type { Place } from '@umbrex/core/units';
import type { DirectorySearch } from '../contract/routes';
import { getConfig } from './config';
import { log } from './log';

const ANSWER_WITHIN_MS = 8000;
const MOST_BYTES = 4_000_000;

/**
 * Asks the directory at UMBREX_DIRECTORY_URL for stations around a place. Any source that answers the two requests of
 * docs/directory.md can stand there. It is asked once, with a time limit; nothing it sends is trusted before it is checked.
 * @param near a place's name as the directory knows it, or coordinates
 */
export async function searchDirectory(near: string | Place, withinM: number): Promise<DirectorySearch> {
  const base = getConfig().UMBREX_DIRECTORY_URL;
  const no = (...findings: Finding[]): DirectorySearch => ({ ok: false, findings, places: [] });
  if (!base) return no({ code: 'directory-not-set', severity: 'error' });
  try {
    const place =
      typeof near === 'string' ? await findPlace(base, near) : { name: coordinates(near), ...near };
    if ('findings' in place) return { ok: false, ...place };
    const document = await ask(base, 'stations', {
      latitudeDeg: String(place.latitudeDeg),
      longitudeDeg: String(place.longitudeDeg),
      withinM: String(withinM),
    });
    const reading = readDirectory(document, place, withinM);
    return reading.source === '' ? no(...reading.findings) : { ok: true, place, reading };
  } catch (error) {
    log.warn({ err: error }, 'directory does not answer');
    const detail = error instanceof Error ? error.message : String(error);
    return no({ code: 'directory-no-answer', severity: 'error', detail });
  }
}

async function findPlace(base: string, name: string) {
  const { places, findings } = readPlaces(await ask(base, 'places', { name }));
  const exact = places.filter((place) => place.name.toLowerCase() === name.trim().toLowerCase());
  const [only] = exact.length === 1 ? exact : places;
  if (only && (exact.length === 1 || places.length === 1)) return only;
  if (findings.length > 0) return { findings, places: [] };
  const finding: Finding = { code: 'place-not-found', severity: 'error', path: '/near', place: name };
  return { findings: [finding], places };
}

async function ask(base: string, path: string, query: Record<string, string>): Promise<unknown> {
  const url = new URL(`${base.replace(/\/$/, '')}/${path}`);
  for (const [key, value] of Object.entries(query)) url.searchParams.set(key, value);
  const response = await fetch(url, {
    signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
    headers: { accept: 'application/json' },
    redirect: 'error',
  });
  if (!response.ok) throw new Error(`it answered with ${response.status}`);
  const text = await response.text();
  if (text.length > MOST_BYTES) throw new Error('it answered with more than 4 MB');
  return JSON.parse(text);
}

function coordinates({ latitudeDeg, longitudeDeg }: Place): string {
  const side = (value: number, plus: string, minus: string) =>
    `${Math.abs(value).toFixed(3)}° ${value < 0 ? minus : plus}`;
  return `${side(latitudeDeg, 'N', 'S')} ${side(longitudeDeg, 'E', 'W')}`;
}
