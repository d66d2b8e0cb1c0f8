import type { Area } from './area';

/** What a written area code comes to. */
export type AreaReading =
  | { readonly kind: 'everywhere' }
  | { readonly kind: 'state'; readonly state: string }
  /** `part` names a ninth of the county, where it is not the whole. */
  | {
      readonly kind: 'county';
      readonly county: string;
      readonly state: string;
      readonly part: string | null;
      /** The areas that share a border with it. */
      readonly beside: readonly Pick<Area, 'code' | 'county' | 'state'>[];
    }
  /** Of the right shape, and not in the table: tables age. */
  | { readonly kind: 'unknown' }
  /** No code: with the slip it looks like, and what was probably meant. */
  | {
      readonly kind: 'slip';
      readonly of: 'frequency' | 'swapped' | 'no-part' | 'shape';
      readonly meant: string | null;
    };

/** The first digit: which part of the county. Source: 47 CFR 11.31(c), location code P; from memory. */
const PARTS = [
  null,
  'northwest',
  'north',
  'northeast',
  'west',
  'central',
  'east',
  'southwest',
  'south',
  'southeast',
] as const;

/**
 * Reads an area code as alert radios store it, PSSCCC. Only what has another shape is refused, with the slip it looks like; a weather
 * frequency and a code whose state and county stand the wrong way round have the right shape and are asked about all the same.
 */
export function readArea(text: string, all: readonly Area[]): AreaReading {
  const written = text.trim();
  const slip = (of: 'frequency' | 'swapped' | 'no-part' | 'shape', meant: string | null = null) =>
    ({ kind: 'slip', of, meant }) as const;
  // 162.400 to 162.550 MHz: no state has the number 62.
  if (/^162[.,]?[45]\d\d?$/.test(written)) return slip('frequency');
  const known = (code: string) => all.find((area) => area.code.slice(1) === code.slice(1));
  if (/^\d{5}$/.test(written)) {
    const whole = `0${written}`;
    return slip('no-part', known(whole) ? whole : null);
  }
  if (!/^\d{6}$/.test(written)) return slip('shape');
  if (written === '000000') return { kind: 'everywhere' };
  const area = known(written);
  if (area)
    return {
      kind: 'county',
      county: area.county,
      state: area.state,
      part: PARTS[Number(written[0])] ?? null,
      beside: area.beside.flatMap((code) => {
        const other = known(code);
        return other ? [{ code, county: other.county, state: other.state }] : [];
      }),
    };
  const state = all.find(({ code }) => code.slice(1, 3) === written.slice(1, 3))?.state;
  if (state && written.endsWith('000')) return { kind: 'state', state };
  const turned = `${written[0]}${written.slice(4)}${written.slice(1, 4)}`;
  return !state && known(turned) ? slip('swapped', turned) : { kind: 'unknown' };
}
