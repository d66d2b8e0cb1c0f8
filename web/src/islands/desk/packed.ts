import { gunzipSync, gzipSync, strFromU8, strToU8 } from 'fflate';

/** A value on its way from a page to its island, small: as an attribute of plain data a plan with its board weighs seven times as much. */
export type Packed<T> = string & { readonly of?: T };

/** Packs plain data for an island. */
export function pack<T>(value: T): Packed<T> {
  return btoa(strFromU8(gzipSync(strToU8(JSON.stringify(value)), { level: 6 }), true));
}

/** What was packed. */
export function unpack<T>(packed: Packed<T>): T {
  return JSON.parse(strFromU8(gunzipSync(strToU8(atob(packed), true)))) as T;
}
