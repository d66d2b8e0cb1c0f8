import { placeText, readPlace } from '@umbrex/core/units';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';

describe('a place as people write it', () => {
  it.each([
    ['41.28, -38.5', { latitudeDeg: 41.28, longitudeDeg: -38.5 }],
    [' 41.28;-38.50 ', { latitudeDeg: 41.28, longitudeDeg: -38.5 }],
    ['-33 151', { latitudeDeg: -33, longitudeDeg: 151 }],
    ['', null],
    ['  ', null],
    ['91, 0', undefined],
    ['0, 181', undefined],
    ['somewhere', undefined],
    ['41.28', undefined],
    ['41.28, -38.5, 12', undefined],
  ])('%s', (text, place) => expect(readPlace(text)).toEqual(place));
  it('comes back as it was written', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: -9000, max: 9000 }),
        fc.integer({ min: -18000, max: 18000 }),
        (north, east) => {
          const place = { latitudeDeg: north / 100, longitudeDeg: east / 100 };
          expect(readPlace(placeText(place))).toEqual(place);
        },
      ),
    ));
});
