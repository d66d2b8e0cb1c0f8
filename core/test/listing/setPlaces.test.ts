import { placesOfSet, readOnSet } from '@umbrex/core/listing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';

/*
 * Lines of somebody with a set in hand. What each label holds was taken from the words of the set's description (repeater pairs 15 to 22 and
 * channels 1 to 22 of 47 CFR 95.1763, from memory), before the reading was asked.
 */
const read = (id: string, line: string) => readOnSet(line, 'US', placesOfSet(shipped(id)));

describe('the labels of a set', () => {
  it.each([
    ['page-handheld', 'R3', 462.6, 467.6],
    ['page-handheld', 'r3', 462.6, 467.6],
    ['page-handheld', 'R 3', 462.6, 467.6],
    ['page-handheld', 'repeater 3', 462.6, 467.6],
    ['page-handheld', 'Kelp R3 141.3', 462.6, 467.6],
    ['page-handheld', 'rpt 3 in 131.8', 462.6, 467.6],
    ['page-handheld', 'page 2 place 7', 462.7125, 462.7125],
    ['page-handheld', 'page 1, place 8', 462.725, 467.725],
    ['page-handheld', 'S19', 462.65, 462.65],
    ['page-handheld', 'R3 462.600', 462.6, 467.6],
    ['plain-handheld', '27R', 462.65, 467.65],
    ['plain-handheld', 'repeater 27', 462.65, 467.65],
    ['plain-handheld', '3', 462.6125, 462.6125],
    ['plain-handheld', 'place 3', 462.6125, 462.6125],
    ['bank-handheld', 'D3', 462.6125, 462.6125],
    ['bank-handheld', 'bank A place 2', 462.575, 467.575],
    ['bank-handheld', 'bank D position 1', 462.5625, 462.5625],
    // Another country's service is only heard here.
    ['cb-mobile', 'zone 2 channel 19', 476.875, null],
  ] as const)('%s: %s', (id, line, receiveMHz, transmitMHz) => {
    const { ok, channel, questions } = read(id, line);
    expect(ok).toBe(true);
    expect([channel?.receiveHz, channel?.transmitHz]).toEqual([
      Math.round(receiveMHz * 1e6),
      transmitMHz === null ? null : Math.round(transmitMHz * 1e6),
    ]);
    expect(questions[0]?.code).toBe('place-of-set');
  });
  it('says place, pair and the number of its service together', () =>
    expect(read('page-handheld', 'R3').questions[0]?.about).toBe(
      'R3 of Page hand-held: 462.6000 and 467.6000 MHz, General Mobile Radio Service 17',
    ));
  it.each([
    ['page-handheld', 'place 7', 'place-of-several'],
    ['page-handheld', 'page 9 place 7', 'place-not-there'],
    ['page-handheld', 'page 2 place 99', 'place-not-there'],
    ['page-handheld', 'M45', 'place-is-free'],
    ['page-handheld', 'R3 462.650 Kelp', 'place-contradicts'],
  ])('%s: %s is asked about', (id, line, code) => {
    const { ok, questions } = read(id, line);
    expect([ok, questions[0]?.code, questions[0]?.blocking]).toEqual([false, code, true]);
    for (const offered of questions[0]?.lines ?? [])
      expect(read(id, offered).questions[0]?.code).not.toBe(code);
  });
  it.each([
    ['ch 3', 462.6125],
    ['channel 17', 462.6],
    ['GMRS 17', 462.6],
    ['Gannet 462.675 rpt 131.8', 462.675],
    ['"R3 house" 462.5625', 462.5625],
  ])('%s is read as without a set', (line, receiveMHz) => {
    const reading = read('page-handheld', line);
    expect(reading).toEqual(readOnSet(line, 'US', null));
    expect(reading.channel?.receiveHz).toBe(Math.round(receiveMHz * 1e6));
  });
});

describe('every label of every shipped kind', () => {
  it('that holds a channel is read as that channel, by itself and with a name and a tone', () => {
    for (const description of SHIPPED) {
      const set = placesOfSet(description);
      const once = set.places.filter(
        ({ label, pair }) =>
          pair &&
          /[a-z]/i.test(label) &&
          /\d/.test(label) &&
          set.places.filter((p) => p.label === label).length === 1,
      );
      for (const { label, pair } of once) {
        const { channel } = readOnSet(`Kelp Stairs ${label} 131.8`, 'US', set);
        expect([label, channel?.name, channel?.receiveHz]).toEqual([label, 'Kelp Stairs', pair?.receiveHz]);
      }
    }
  });
  it('any text is read or asked about, never thrown at', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...SHIPPED),
        fc.oneof(
          fc.string(),
          fc.stringMatching(
            /^(page|bank|R|repeater|place) ?[A-Z0-9]{1,3}( place [0-9]{1,3})?( [0-9.]{2,8})?$/,
          ),
        ),
        (description, line) => {
          const { ok, channel, questions } = readOnSet(line, 'US', placesOfSet(description));
          expect(ok).toBe(channel !== null && questions.every(({ blocking }) => !blocking));
        },
      ),
    ));
});
