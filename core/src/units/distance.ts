/** A place on the earth: degrees north and east. */
export interface Place {
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
}

/** Mean radius of the earth in metres. Source: IUGG, R1 = (2a + b) / 3 of the GRS 80 ellipsoid. */
export const EARTH_RADIUS_M = 6_371_008.8;

const rad = (degrees: number) => (degrees * Math.PI) / 180;

/**
 * The great-circle distance between two places in metres, on the mean sphere: within 0.6 % of the ellipsoid.
 * Source: the haversine formula (Sinnott, Virtues of the Haversine, 1984).
 */
export function distanceM(from: Place, to: Place): number {
  const half = (a: number, b: number) => Math.sin(rad(b - a) / 2) ** 2;
  const h =
    half(from.latitudeDeg, to.latitudeDeg) +
    Math.cos(rad(from.latitudeDeg)) *
      Math.cos(rad(to.latitudeDeg)) *
      half(from.longitudeDeg, to.longitudeDeg);
  return 2 * EARTH_RADIUS_M * Math.asin(Math.min(1, Math.sqrt(h)));
}

/** The direction in which one sets out for another place on the great circle, in degrees from north, 0 to below 360. */
export function bearingDeg(from: Place, to: Place): number {
  const [a, b] = [rad(from.latitudeDeg), rad(to.latitudeDeg)];
  const east = rad(to.longitudeDeg - from.longitudeDeg);
  const y = Math.sin(east) * Math.cos(b);
  const x = Math.cos(a) * Math.sin(b) - Math.sin(a) * Math.cos(b) * Math.cos(east);
  return ((Math.atan2(y, x) * 180) / Math.PI + 360) % 360;
}

const POINTS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const;

/** One of the eight points of the compass for a direction in degrees. */
export function compassPoint(degrees: number): (typeof POINTS)[number] {
  return POINTS[Math.round(degrees / 45) % 8] ?? 'N';
}
