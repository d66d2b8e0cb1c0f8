import { readFileSync } from 'node:fs';
import { reviewPlan } from '@umbrex/core/check';
import { fitBoard, fitDevice, fitPlan } from '@umbrex/core/fit';
import { readPlan } from '@umbrex/core/formats';
import { readLine } from '@umbrex/core/listing';
import { ChannelSchema, type Plan, type Unit } from '@umbrex/core/model';
import { prove, writeSheet } from '@umbrex/core/procedure';
import { shippedDescriptions } from '../devices/read';

/*
 * Ratios within one run: both sides run in turn in this process, medians of nine rounds after two to warm up. The absolute
 * figures stand beside each ratio for whoever wants them; no test reads them.
 */
const ROUNDS = 9;

function compare(
  title: string,
  left: { name: string; run: () => unknown },
  right: { name: string; run: () => unknown },
): void {
  const times = { left: [] as number[], right: [] as number[] };
  for (let i = -2; i < ROUNDS; i++)
    for (const side of ['left', 'right'] as const) {
      const start = performance.now();
      (side === 'left' ? left : right).run();
      if (i >= 0) times[side].push(performance.now() - start);
    }
  const median = (list: number[]) =>
    list.toSorted((a, b) => a - b)[Math.floor(list.length / 2)] ?? Number.NaN;
  const [l, r] = [median(times.left), median(times.right)];
  process.stdout.write(
    `${title}: ${(l / r).toFixed(2)}  (${left.name} ${l.toFixed(1)} ms, ${right.name} ${r.toFixed(1)} ms)\n`,
  );
}

const read = readPlan(readFileSync(new URL('../demo/ostrel-plan.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(JSON.stringify(read.findings));
const demo = read.value;
const descriptions = shippedDescriptions();
const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

const plan: Plan = {
  ...demo,
  channels: Array.from({ length: 250 }, (_, i) => {
    const channel = demo.channels[i % demo.channels.length];
    if (!channel) throw new Error('the demo plan is empty');
    return { ...channel, id: uuid(i), name: `${channel.name} ${i}` };
  }),
};
const units: Unit[] = Array.from({ length: 300 }, (_, i) => ({
  id: uuid(10_000 + i),
  descriptionId: descriptions[i % descriptions.length]?.id ?? '',
  nickname: `Set ${i}`,
  holder: '',
  serial: '',
  firmware: '1.06',
}));

// The result as the board gives it: cells a unit, since that is what a reader of the result gets.
const perUnit = () => {
  const board = fitBoard(plan, units, descriptions);
  return board.kinds.flatMap((kind) => kind.unitIds.map((unitId) => ({ unitId, cells: kind.cells })));
};
const result = perUnit();
const text = JSON.stringify(result);
if (JSON.stringify(perUnit()) !== text) throw new Error('two fits of the same plan differ');
if (JSON.stringify(JSON.parse(text)) !== text) throw new Error('the result does not survive JSON');

compare(
  'fit of 250 channels x 300 units of 3 kinds / JSON round trip of its result',
  { name: 'fit', run: perUnit },
  { name: 'JSON', run: () => JSON.parse(JSON.stringify(result)) },
);
const board = fitBoard(plan, units, descriptions);
compare(
  'the same, as the board keeps it (cells once a kind) / JSON round trip of the board',
  { name: 'fit', run: () => fitBoard(plan, units, descriptions) },
  { name: 'JSON', run: () => JSON.parse(JSON.stringify(board)) },
);
for (const description of descriptions) {
  const fit = fitPlan(demo, fitDevice(description));
  const sheet = writeSheet(description, fit.image);
  if (!prove(description, fit.image, sheet).proven) throw new Error(`${description.id} is not proven`);
  compare(
    `proof of the demo plan on ${description.id} / writing its sheet`,
    { name: 'proof', run: () => prove(description, fit.image, sheet) },
    { name: 'sheet', run: () => writeSheet(description, fit.image) },
  );
}

const large: Plan = {
  ...plan,
  channels: [
    ...plan.channels,
    ...plan.channels.map((c, i) => ({ ...c, id: uuid(5000 + i), name: `${c.name} again` })),
  ],
};
compare(
  'check of a 500-channel plan / JSON round trip of the plan',
  { name: 'check', run: () => reviewPlan(large, { today: '2026-11-25' }) },
  { name: 'JSON', run: () => JSON.parse(JSON.stringify(large)) },
);
const lines = demo.channels.map(
  (c) =>
    `${c.name} ${(c.receiveHz / 1e6).toFixed(4)} ${c.transmitHz === null ? 'rx only' : 'direct'} ${c.transmitTone}`,
);
compare(
  `reading ${lines.length} entry lines / checking their drafts against the schema`,
  { name: 'read', run: () => lines.map((line) => readLine(line)) },
  { name: 'schema', run: () => demo.channels.map((c) => ChannelSchema.parse(c)) },
);
