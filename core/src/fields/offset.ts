import type { Finding } from '../findings/index';
import { hzFromMHzText, mhzText } from '../units/index';
import type { Column } from './field';

/** Columns in which a table of channels may say where it sends by how far that is from where it hears, and which way. */
export const OFFSET_COLUMNS: readonly Column[] = [
  { title: 'Offset', synonyms: ['shift', 'split', 'offset mhz', 'tx offset', 'offset frequency'] },
  { title: 'Duplex', synonyms: ['direction', 'offset direction', 'shift direction', '+/-', 'duplex mode'] },
];

const WANTED = 'an offset in MHz with its direction, as +5.000 or -0.600, or 0 where it sends where it hears';

/**
 * Works out where a channel sends from an offset, in the cell of the transmit frequency. What is only half said is asked: a sign without its size, a
 * size without its sign, an empty cell; and what contradicts the cell of the transmit frequency.
 * @returns the cells without the offset's, and what is to be asked
 */
export function withOffset(
  cells: Readonly<Record<string, string>>,
  line: number,
): { cells: Record<string, string>; findings: Finding[] } {
  const { Offset: offset, Duplex: duplex, ...rest } = cells;
  if (offset === undefined && duplex === undefined) return { cells: { ...rest }, findings: [] };
  const asked = (column: string, value: string, wanted = WANTED) => ({
    cells: { ...rest },
    findings: [{ code: 'cell-unreadable', severity: 'error', line, column, value, wanted } as const],
  });
  const sends = (rest.Transmit ?? '').trim();
  const size = readSize(offset ?? '');
  const way = readWay(duplex ?? '');
  if (size === undefined) return asked('Offset', offset ?? '');
  if (way === undefined) return asked('Duplex', duplex ?? '', '+, -, simplex, or nothing');
  if (size === null && way === null)
    return sends === '' ? asked('Offset', offset ?? '') : { cells: { ...rest }, findings: [] };
  // Simplex is said by either; a size needs its direction, a direction its size.
  const isSimplex = way === 0 || (size !== null && size.hz === 0);
  if (isSimplex && (way === 1 || way === -1 || (size !== null && size.hz !== 0)))
    return asked('Offset', offset ?? '');
  const direction = size?.sign ?? (way === 0 ? null : way);
  if (!isSimplex && (size === null || direction === null)) return asked('Offset', offset ?? '');
  if (size?.sign && way && way !== size.sign)
    return asked('Duplex', duplex ?? '', 'the same direction as the offset');
  const hears = hzFromMHzText(
    (rest.Receive ?? '')
      .trim()
      .replace(/\s*MHz$/i, '')
      .replace(',', '.'),
  );
  // What is wrong with where it hears is said of that cell.
  if (hears === undefined) return { cells: { ...rest }, findings: [] };
  const hz = isSimplex ? hears : hears + (direction ?? 0) * (size?.hz ?? 0);
  if (hz <= 0) return asked('Offset', offset ?? '');
  const text = mhzText(hz);
  const said = sends === '' ? hz : hzFromMHzText(sends.replace(/\s*MHz$/i, '').replace(',', '.'));
  if (said !== hz) return asked('Transmit', sends, `${text}, as the offset says; or no offset`);
  return { cells: { ...rest, Transmit: text }, findings: [] };
}

/** A size in hertz with its sign where it has one; `null` for an empty cell, `undefined` for what is none. */
function readSize(cell: string): { hz: number; sign: 1 | -1 | null } | null | undefined {
  const text = cell
    .trim()
    .replace(/\s*MHz$/i, '')
    .replace('−', '-');
  if (text === '') return null;
  if (/^(simplex|none)$/i.test(text)) return { hz: 0, sign: null };
  const kilo = /^([+-]?)\s*(\d+(?:[.,]\d+)?)\s*kHz$/i.exec(text);
  const mega = /^([+-]?)\s*(\d+(?:[.,]\d+)?)$/.exec(text);
  const [, sign = '', figures = ''] = kilo ?? mega ?? [];
  if (figures === '') return undefined;
  const hz = Math.round(Number(figures.replace(',', '.')) * (kilo ? 1e3 : 1e6));
  return { hz, sign: sign === '' ? null : sign === '-' ? -1 : 1 };
}

/** Which way, 0 for none; `null` for an empty cell, `undefined` for what is no direction. */
function readWay(cell: string): 1 | -1 | 0 | null | undefined {
  const text = cell.trim().toLowerCase().replace('−', '-');
  if (text === '') return null;
  if (/^(\+|plus|up|high|dup\+|duplex\+)$/.test(text)) return 1;
  if (/^(-|minus|down|low|dup-|duplex-)$/.test(text)) return -1;
  if (/^(simplex|none|off|0)$/.test(text)) return 0;
  return undefined;
}
