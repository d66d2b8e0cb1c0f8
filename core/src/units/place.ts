import type { Place } from './distance';

/** A place as people write it, degrees north then east: `41.28, -38.5`. Empty for no place. */
export function placeText(place: Place | null): string {
  return place ? `${place.latitudeDeg}, ${place.longitudeDeg}` : '';
}

/** Reads `41.28, -38.50`: a place, `null` for an empty text, `undefined` for what is no place on the earth. */
export function readPlace(text: string): Place | null | undefined {
  if (text.trim() === '') return null;
  const match = /^\s*(-?\d{1,2}(?:\.\d+)?)\s*[,; ]\s*(-?\d{1,3}(?:\.\d+)?)\s*$/.exec(text);
  const [latitudeDeg, longitudeDeg] = [Number(match?.[1]), Number(match?.[2])];
  const isOnEarth = Math.abs(latitudeDeg) <= 90 && Math.abs(longitudeDeg) <= 180;
  return match && isOnEarth ? { latitudeDeg, longitudeDeg } : undefined;
}
