import { readFileSync } from 'node:fs';
import { type Between, hearMatrix, type SetOnAir } from '@umbrex/core/air';
import { type BenchJob, scheduleBench } from '@umbrex/core/bench';
import { reviewPlan } from '@umbrex/core/check';
import { assign, BoardFitter, fitBoard, numberFleet, numberingKinds } from '@umbrex/core/fit';
import { compose, heldAfter, isLoaded, prepare, triedAs } from '@umbrex/core/flow';
import { readPlan } from '@umbrex/core/formats';
import { readLine } from '@umbrex/core/listing';
import { ChannelSchema, type Description, type Plan, type Unit, UnitSchema } from '@umbrex/core/model';
import { fleetOnAir } from '@umbrex/core/onAir';
import { prove, writeSheet } from '@umbrex/core/procedure';
import { NO_GROUNDS } from '@umbrex/core/rules';
import { standingOf } from '@umbrex/core/standing';
import highs from 'highs';
import { z } from 'zod';
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
/** Forty kinds of device: each pattern, and each again as somebody's own. */
const forty: Description[] = descriptions
  .flatMap((one) => [one, { ...one, id: `${one.id}-own` }])
  .slice(0, 40);
const units: Unit[] = Array.from({ length: 1000 }, (_, i) =>
  UnitSchema.parse({
    id: uuid(10_000 + i),
    descriptionId: forty[i % forty.length]?.id ?? '',
    nickname: `Set ${i}`,
    holder: '',
    serial: '',
    firmware: '1.06',
  }),
);

// The result as the board gives it: cells a unit, since that is what a reader of the result gets.
const perUnit = () => {
  const board = fitBoard(plan, units, forty, NO_GROUNDS);
  return board.kinds.flatMap((kind) => kind.unitIds.map((unitId) => ({ unitId, cells: kind.cells })));
};
const result = perUnit();
const text = JSON.stringify(result);
if (JSON.stringify(perUnit()) !== text) throw new Error('two fits of the same plan differ');
if (JSON.stringify(JSON.parse(text)) !== text) throw new Error('the result does not survive JSON');

compare(
  `fit of ${plan.channels.length} channels x ${units.length} units of ${forty.length} kinds / JSON round trip of its result`,
  { name: 'fit', run: perUnit },
  { name: 'JSON', run: () => JSON.parse(JSON.stringify(result)) },
);
const board = fitBoard(plan, units, forty, NO_GROUNDS);
compare(
  'the same, as the board keeps it (cells once a kind) / JSON round trip of the board',
  { name: 'fit', run: () => fitBoard(plan, units, forty, NO_GROUNDS) },
  { name: 'JSON', run: () => JSON.parse(JSON.stringify(board)) },
);

/* One edit, at the size of the demo's fleet: a channel gets another name each time, and the board is made again. */
const fleet = z
  .array(UnitSchema)
  .parse(JSON.parse(readFileSync(new URL('../demo/ostrel-units.json', import.meta.url), 'utf8')));
const fitter = new BoardFitter();
// As the worker has them: without their keys.
const fitParts = descriptions.map(({ behaviour: _, recipes: __, ...rest }): Description => rest);
fitter.board(plan, fleet, fitParts, NO_GROUNDS);
let edits = 0;
const edited = () => {
  edits++;
  const channels = plan.channels.map((c, i) =>
    i === edits % plan.channels.length ? { ...c, name: `Edit ${edits}` } : c,
  );
  return { ...plan, channels };
};
compare(
  `one edit of ${plan.channels.length} channels x ${fleet.length} units, only what it touches judged anew / the whole fit`,
  { name: 'edit', run: () => fitter.board(edited(), fleet, fitParts, NO_GROUNDS) },
  { name: 'whole', run: () => fitBoard(edited(), fleet, fitParts, NO_GROUNDS) },
);
for (const description of descriptions) {
  const { now, wanted, changes, sheet, proof } = prepare(demo, description);
  if (sheet.way !== 'keys') continue;
  if (!proof.proven) throw new Error(`${description.id} is not proven`);
  compare(
    `proof of the demo plan on ${description.id} / writing its sheet`,
    { name: 'proof', run: () => prove(description, now, wanted, sheet) },
    { name: 'sheet', run: () => writeSheet(description, changes) },
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

const kinds = numberingKinds(fleet, descriptions, NO_GROUNDS, {});
const none = { last: {}, pins: {} };
const numbering = numberFleet(plan, kinds, none);
if (numbering.bound !== numbering.total) throw new Error('the numbering is not proven');
compare(
  `numbering of 250 channels across ${fleet.length} units / fitting the same (${numbering.total} points, gap 0, first fit ${numbering.firstFit})`,
  { name: 'number', run: () => numberFleet(plan, kinds, none) },
  { name: 'fit', run: () => fitBoard(plan, fleet, descriptions, NO_GROUNDS) },
);

/* How 1,000 sets stand towards five revisions, each loaded with one of them: once for all that are alike, as the server does it. */
const five = [1, 2, 3, 4, 5].map((number): { number: number; plan: Plan } => ({
  number,
  plan: {
    ...demo,
    channels: demo.channels.map((channel, i) =>
      i % 5 < number || channel.transmitHz === null ? channel : { ...channel, transmitTone: '151.4' },
    ),
  },
}));
const FACTORY = UnitSchema.shape.holds.parse({ what: 'factory', on: 'unknown', rest: 'factory' });
const kindOf = new Map(forty.map((description) => [description.id, description]));
const loadedAs = new Map<string, Unit['holds']>();
const thousand = units.map((unit, i): Unit => {
  const { number, plan: of } = five[Math.floor(i / forty.length) % 5] as (typeof five)[number];
  const description = kindOf.get(unit.descriptionId) as Description;
  const key = `${unit.descriptionId} ${number}`;
  const blank = { keeps: [], accepts: [], ...triedAs(description, of), holds: FACTORY };
  const holds =
    loadedAs.get(key) ??
    heldAfter(description, compose(of, description, blank), FACTORY, number, '2026-11-20');
  loadedAs.set(key, holds);
  return { ...unit, holds, carries: blank.carries ?? null };
});
const rollout = () => {
  const known = new Map<string, boolean>();
  return thousand.map((unit) => {
    const description = kindOf.get(unit.descriptionId) as Description;
    const { keeps, accepts, holds, carries } = unit;
    const alike = JSON.stringify([description.id, holds, keeps, carries]);
    const isAt = (number: number) => {
      const key = `${number} ${alike}`;
      const is =
        known.get(key) ??
        isLoaded(five[number - 1]?.plan ?? demo, description, { keeps, accepts, holds, carries });
      known.set(key, is);
      return is;
    };
    const asked = {
      unit,
      planId: demo.id,
      described: '',
      stops: [],
      wantsAnything: true,
      holds: isAt,
      heldThen: () => false,
      toTry: () => undefined,
    };
    return standingOf(asked, 5, [4, 3, 2, 1], '2026-11-29');
  });
};
compare(
  `rollout of ${thousand.length} sets against 5 revisions / one full fit of the plan on them`,
  { name: 'rollout', run: rollout },
  { name: 'fit', run: () => fitBoard(demo, thousand, forty, NO_GROUNDS) },
);

/* A bench day of 60 sets, 8 people, 3 stands. */
const job: BenchJob = {
  format: 'umbrex/bench@1',
  untilMin: 480,
  people: Array.from({ length: 8 }, (_, i) => ({ id: `p${i}`, fromMin: (i % 3) * 30, toMin: 480 })),
  stands: ['a', 'b', 'c'].map((id) => ({ id })),
  masters: [],
  sets: Array.from({ length: 60 }, (_, i) => ({
    id: `s${i}`,
    personId: i % 7 === 0 ? `p${i % 8}` : null,
    ways: [
      { way: 'keys', minutes: 10 + ((i * 37) % 45), masterIds: [] },
      ...(i % 3 === 0 ? [{ way: 'file' as const, minutes: 6, masterIds: [] }] : []),
    ],
  })),
};
const worked = scheduleBench(job);
compare(
  `a bench day of 60 sets (done after ${worked.finishMin} min, never before ${worked.lowerBoundMin}) / one full fit of 1,000 sets`,
  { name: 'day', run: () => scheduleBench(job) },
  { name: 'fit', run: () => fitBoard(demo, thousand, forty, NO_GROUNDS) },
);

/* The same assignment by an independent solver: 60 channels at 90 numbers, gains of a fixed sequence. */
const ROWS = 60;
const COLUMNS = 90;
const gain = Array.from({ length: ROWS }, (_, i) =>
  Array.from({ length: COLUMNS }, (_v, j) => (i * 7919 + j * 104_729 + i * j * 31) % 97),
);
const cells = gain.flatMap((row, i) => row.map((value, j) => ({ value, name: `x${i}_${j}` })));
const sum = (names: readonly string[]) => names.join(' + ');
const model = [
  'Maximize',
  ` obj: ${sum(cells.map(({ value, name }) => `${value} ${name}`))}`,
  'Subject To',
  ...gain.map((row, i) => ` r${i}: ${sum(row.map((_, j) => `x${i}_${j}`))} = 1`),
  ...Array.from({ length: COLUMNS }, (_, j) => ` c${j}: ${sum(gain.map((_row, i) => `x${i}_${j}`))} <= 1`),
  'End',
].join('\n');
const solver = await highs();
const [ours, theirs] = [assign(gain, COLUMNS).total, Math.round(solver.solve(model).ObjectiveValue)];
if (ours !== theirs) throw new Error(`assignment ${ours}, HiGHS ${theirs}`);
compare(
  `assignment of ${ROWS} rows to ${COLUMNS} columns / HiGHS on the same (both ${ours}, gap 0)`,
  { name: 'assignment', run: () => assign(gain, COLUMNS) },
  { name: 'HiGHS', run: () => solver.solve(model) },
);

/* Who hears whom: all pairs of sets that are each different from all others, as the worst there is, and of a fleet as fleets are. */
const distinct = (count: number): SetOnAir[] =>
  Array.from({ length: count }, (_, i) => ({
    isOn: true,
    place: {
      kind: 'channel',
      receiveHz: 462_650_000,
      transmitHz: i % 7 === 0 ? null : 467_650_000,
      transmitTone: i % 3 === 0 ? 'off' : '131.8',
      receiveTone: i % 5 === 0 ? '127.3' : 'off',
      bandwidth: i % 2 === 0 ? 'wide' : 'narrow',
    },
    maySend: i % 11 !== 0,
    picked: 'off',
    // Told apart by something that decides nothing here.
    mode: `FM${i}`,
  }));
const tower: Between = {
  inputHz: 467_650_000,
  outputHz: 462_650_000,
  inputTone: '131.8',
  outputTone: '127.3',
  answer: 'tail',
  talkLimitS: 180,
  status: 'on-air',
};
const hearAll = (sets: readonly SetOnAir[]) => {
  const { at } = hearMatrix(sets, [tower]);
  let heard = 0;
  for (const i of sets.keys()) for (const j of sets.keys()) if (at(i, j).hears === true) heard++;
  return heard;
};
const [eighty, thousandSets] = [distinct(80), distinct(1000)];
compare(
  'who hears whom, 1,000 sets all different / 80 (156 times the pairs)',
  { name: '1,000', run: () => hearAll(thousandSets) },
  { name: '80', run: () => hearAll(eighty) },
);
const [gannet] = demo.channels;
if (!gannet) throw new Error('the demo plan is empty');
const eightyUnits = thousand.slice(0, 80);
const matrixAfterEdit = () => {
  const plan = { ...demo, channels: [{ ...gannet, note: String(performance.now()) }] };
  const around = { plan, units: eightyUnits, descriptions: forty, grounds: NO_GROUNDS, stations: [] };
  return hearAll(fleetOnAir(around)(gannet, 'planned').map(({ set }) => set));
};
compare(
  'the matrix of 80 sets after an edit, their fit of that channel with it / the matrix alone',
  { name: 'with fit', run: matrixAfterEdit },
  { name: 'alone', run: () => hearAll(eighty) },
);
