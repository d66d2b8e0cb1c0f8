import { bearingDeg, compassPoint, distanceM, EARTH_RADIUS_M } from '@umbrex/core/units';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';

const at = (latitudeDeg: number, longitudeDeg: number) => ({ latitudeDeg, longitudeDeg });
const place = fc.record({
  latitudeDeg: fc.double({ min: -89, max: 89, noNaN: true }),
  longitudeDeg: fc.double({ min: -180, max: 180, noNaN: true }),
});

describe('great-circle distance and direction', () => {
  it('a quarter of the equator, and a degree of a meridian, on the IUGG mean radius: 10,007,557 m and 111,195 m', () => {
    expect(distanceM(at(0, 0), at(0, 90))).toBeCloseTo(10_007_557, -1);
    expect(distanceM(at(40, 10), at(41, 10))).toBeCloseTo(111_195, -1);
  });
  it('half the circumference to the other side of the earth, also where the formula meets its edge', () =>
    expect(distanceM(at(30, 40), at(-30, -140))).toBeCloseTo(Math.PI * EARTH_RADIUS_M, 0));
  it('agrees with the spherical law of cosines, an independent formula', () =>
    fc.assert(
      fc.property(place, place, (a, b) => {
        const rad = (d: number) => (d * Math.PI) / 180;
        const cosine =
          Math.sin(rad(a.latitudeDeg)) * Math.sin(rad(b.latitudeDeg)) +
          Math.cos(rad(a.latitudeDeg)) *
            Math.cos(rad(b.latitudeDeg)) *
            Math.cos(rad(b.longitudeDeg - a.longitudeDeg));
        // The law of cosines loses its digits on short ways: a few metres of tolerance.
        const other = EARTH_RADIUS_M * Math.acos(Math.max(-1, Math.min(1, cosine)));
        return Math.abs(distanceM(a, b) - other) < 10 && Math.abs(distanceM(a, b) - distanceM(b, a)) < 1e-3;
      }),
    ));
  it('north is 0, east 90, and the points of the compass go round', () => {
    expect(bearingDeg(at(0, 0), at(1, 0))).toBeCloseTo(0);
    expect(bearingDeg(at(0, 0), at(0, 1))).toBeCloseTo(90);
    expect([0, 46, 180, 269, 338, 359].map(compassPoint)).toEqual(['N', 'NE', 'S', 'W', 'N', 'N']);
  });
});
