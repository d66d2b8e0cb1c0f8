import { type Description, DescriptionSchema, isLoadedByProgram } from '@umbrex/core/model';
import { shippedDescriptions } from '../../../devices/read';

export const SHIPPED = shippedDescriptions();

/** The shipped ones whose keys are described, so that sheets can be written and proven. */
export const KEYED = SHIPPED.filter(({ recipes }) => recipes !== undefined);

/** The shipped ones that are proven: by keys, or by the file that a program sends. */
export const PROVABLE = SHIPPED.filter(
  (description) => description.recipes !== undefined || isLoadedByProgram(description),
);

/** A shipped description, to be changed freely. */
export function shipped(id: string): Description {
  const found = SHIPPED.find((description) => description.id === id);
  if (!found) throw new RangeError(`no shipped description ${id}`);
  return structuredClone(found);
}

/**
 * A description that exists only here: one code for both ways, and repeater pairs it can send on. It shows what becomes of a
 * paired device that reaches a repeater's input.
 */
export function pairedRepeaterRadio(): Description {
  const base = shipped('pocket-radio');
  const { behaviour: _, recipes: __, ...rest } = base;
  return DescriptionSchema.parse({
    ...rest,
    id: 'paired-test',
    certifiedFor: ['gmrs'],
    transmit: { bands: [{ fromHz: 462_550_000, toHz: 467_725_000 }], fixedPowerW: 2 },
    regions: [
      {
        id: 'pairs',
        title: 'Pairs',
        first: 1,
        count: 8,
        size: 8,
        stride: 8,
        banks: [],
        label: 'R{position}',
        ways: [{ by: ['keys'], fields: ['code'] }],
        content: {
          kind: 'fixed',
          channels: Array.from({ length: 8 }, (_v, k) => ({
            receiveHz: 462_550_000 + 25_000 * k,
            transmitHz: 467_550_000 + 25_000 * k,
            bandwidth: 'wide',
          })),
        },
      },
    ],
  });
}
