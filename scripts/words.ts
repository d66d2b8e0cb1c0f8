import { stepSlips } from '@umbrex/core/procedure';
import { shippedDescriptions } from '../devices/read';

// Holds the words of every shipped description's steps against their keys, and their promises against what changes on the display.
const slips = shippedDescriptions().flatMap((description) =>
  stepSlips(description).map((slip) => ({ device: description.id, ...slip })),
);
for (const { device, path, slip, says, seen } of slips)
  console.error(`${device}${path}: ${slip}: "${says}" (${seen})`);
process.exit(slips.length === 0 ? 0 : 1);
