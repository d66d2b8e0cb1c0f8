// npm run mutants:all -- core/src/fit core/src/procedure/turns.ts [--cells] [--of 120] [--seed 1] [--seconds 3] [--state /tmp/m.json]
//   [--again] [--tests core/test/fit,…] [--workers 2]:
// changes one thing at a time in core's code (or, with --cells, one cell of its tables of facts) and looks whether a test notices. Says what
// lived, so that somebody can write the test or say why no test can. Each change is given so many seconds of the tests that come by it,
// quickest first: what then still lives is gone through again with more (--again --seconds 30). With --state a run goes on where another
// stopped; cells are called by their place in the file and take a minute, so they keep none.
import { mkdtempSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fail, ROOT, say } from '../lib.mjs';
import { cannotBeNoticed } from './cannot.mjs';
import { cellsOf, changesOf, filesOf } from './changes.mjs';
import { everyone } from './pool.mjs';

const words = process.argv.slice(2);
const option = (name, usual) => {
  const at = words.indexOf(name);
  return at < 0 ? usual : words.splice(at, 2)[1];
};
const flag = (name) => words.includes(name) && words.splice(words.indexOf(name), 1).length > 0;
const [most, seed, seconds] = [
  Number(option('--of', Infinity)),
  Number(option('--seed', 1)),
  Number(option('--seconds', 3)),
];
const [statePath, workers] = [option('--state', undefined), Number(option('--workers', 2))];
const within = option('--tests', 'core/test').split(',');
const [areCells, isAgain] = [flag('--cells'), flag('--again')];
if (areCells && statePath) fail('Cells keep no state.');
const names = filesOf(
  words.length > 0
    ? words
    : areCells
      ? ['core/src/facts/services', 'core/src/facts/tones', 'core/src/facts']
      : ['core/src/fit', 'core/src/procedure', 'core/src/procedure/device'],
);
/** A test that ends otherwise than it should is ended after its share and this. */
const GRACE_MS = 20_000;

const at = mkdtempSync(join(tmpdir(), 'umbrex-mutants-'));
process.on('exit', () => rmSync(at, { recursive: true, force: true }));
const texts = join(at, 'texts.json');

const state =
  statePath && statSync(statePath, { throwIfNoEntry: false })
    ? JSON.parse(readFileSync(statePath, 'utf8'))
    : {};
const { changes, ...prepared } = areCells
  ? { changes: cellsOf(names), covering: {}, switched: {}, counted: [] }
  : await changesOf(names);
const cannot = areCells ? new Map() : cannotBeNoticed();
const isSettled = ({ key }) => cannot.has(key) || state[key]?.noticed || state[key]?.seconds >= seconds;
const picked = sample(
  changes.filter((one) => !isSettled(one) && (!isAgain || state[one.key])),
  most,
);
say(
  `${changes.length} changes in ${names.length} files, ${picked.length} to be tried; looking which tests come by them`,
);
writeFileSync(texts, JSON.stringify(prepared));

const files = within.flatMap((one) =>
  one.endsWith('.ts')
    ? [one]
    : readdirSync(join(ROOT, one), { recursive: true })
        .filter((name) => name.endsWith('.test.ts'))
        .map((name) => `${one}/${name}`),
);
/** Each change's tests: where, which, how long in milliseconds, how often they come by it. */
const testsOf = new Map();
const everyTest = [];
await look();
/** How often a test noticed something, anywhere and in one file of the core: also what an earlier run of the same state found. */
const kills = new Map();
for (const [key, { noticed: by }] of Object.entries(state)) if (by) credit(key.split(' | ')[0], by);
let noticed = 0;
await every();
say(
  `${noticed} of ${picked.length} were noticed (${Math.round((100 * noticed) / picked.length)} %); seed ${seed}`,
);
if (statePath) sayAll();
process.exit(0);

/** Writes the state beside its place and moves it there: a run that is stopped while it writes loses nothing. */
function keep() {
  writeFileSync(`${statePath}.new`, JSON.stringify(state));
  renameSync(`${statePath}.new`, statePath);
}

/** What is known of all changes of these files as they stand now, with those that nobody can notice and those that nobody noticed so far. */
function sayAll() {
  const listed = changes.filter(({ key }) => cannot.has(key));
  const others = changes.filter(({ key }) => !cannot.has(key));
  const noticedOf = (those) => those.filter(({ key }) => state[key]?.noticed);
  const all = noticedOf(others).length;
  const tried = others.filter(({ key }) => state[key]).length;
  say(`${listed.length} of ${changes.length} changes cannot be noticed (cannot.tsv)`);
  say(`${all} of the ${others.length} others were noticed (${((100 * all) / others.length).toFixed(1)} %)`);
  if (tried < others.length) say(`${others.length - tried} of them were never tried`);
  for (const { file, line, from } of noticedOf(listed)) say(`listed, and noticed: ${file}:${line} ${from}`);
  const there = new Set(changes.map(({ key }) => key));
  const gone = [...cannot.keys()].filter((key) => names.includes(key.split(' | ')[0]) && !there.has(key));
  if (gone.length > 0) say(`${gone.length} listed changes are no more: ${gone.join('; ')}`);
}

function credit(file, by) {
  for (const name of [by, `${file} | ${by}`]) kills.set(name, (kills.get(name) ?? 0) + 1);
}

/** Runs every test once without any change. */
async function look() {
  let ran = 0;
  const queue = files.map((file) => ({ what: 'cover', file, limitMs: 600_000 }));
  await everyone(
    workers,
    texts,
    () => queue.shift(),
    (work, answer) => {
      if (answer === undefined) fail(`${work.file} does not come to an end, or ended its worker`);
      const { file, atLoad, each } = answer;
      const wrong = each.find((one) => one.wrong !== undefined);
      if (wrong) fail(`Without any change ${file} fails: ${wrong.name}: ${wrong.wrong}`);
      ran += 1;
      if (ran % 20 === 0) say(`… ${ran} of ${files.length} files of tests`);
      each.forEach(({ name, ms, hits }, i) => {
        const test = { file, at: i, ms, name: `${file} ${name}` };
        everyTest.push(test);
        for (const [id, times] of Object.entries(hits)) add(id, test, times);
        for (const [id, times] of Object.entries(atLoad)) if (hits[id] === undefined) add(id, test, times);
      });
    },
  );
}

function add(id, test, times) {
  if (!testsOf.has(id)) testsOf.set(id, []);
  testsOf.get(id).push({ ...test, times });
}

/** One change after another: quick tests first, those of the same room before others, and those that noticed others before. */
async function every() {
  const queue = [...picked];
  let since = Date.now();
  const next = () => {
    const change = queue.shift();
    if (!change) return undefined;
    const chosen = chosenFor(change);
    const hitLimit = 10_000 + 20 * chosen.reduce((sum, { times = 0 }) => sum + times, 0);
    return {
      what: 'look',
      change,
      id: change.id,
      file: change.file,
      text: change.text,
      runs: chosen,
      hitLimit,
      limitMs: seconds * 3000 + GRACE_MS,
    };
  };
  await everyone(workers, texts, next, ({ change, runs }, answer) => {
    const isNoticed = answer === undefined || answer.by !== undefined;
    if (isNoticed) noticed += 1;
    else tellLived(change, runs.length);
    if (answer?.by) credit(change.file, answer.by);
    state[change.key] = isNoticed ? { noticed: answer?.by ?? 'time' } : { seconds, line: change.line };
    if (statePath && Date.now() - since > 20_000) {
      since = Date.now();
      keep();
      say(`… ${picked.length - queue.length} of ${picked.length}, ${noticed} noticed`);
    }
  });
  if (statePath) keep();
}

/** The tests for a change, up to so many seconds: of each file of tests a few before many of one. */
function chosenFor({ id, file }) {
  const room = file.replace('core/src', 'core/test').replace(/\.ts$/, '');
  const cost = (test) =>
    (test.ms + 2) /
    (1 + (kills.get(test.name) ?? 0) + 8 * (kills.get(`${file} | ${test.name}`) ?? 0)) /
    (test.file.startsWith(room) ? 20 : test.file.startsWith(room.slice(0, room.lastIndexOf('/'))) ? 3 : 1);
  const turnOf = new Map();
  const ranked = (areCells ? everyTest : (testsOf.get(id) ?? []))
    .map((test) => ({ test, cost: cost(test) }))
    .sort((a, b) => a.cost - b.cost)
    .map(({ test, cost: own }) => {
      const turn = turnOf.get(test.file) ?? 0;
      turnOf.set(test.file, turn + 1);
      return { test, rank: own * (1 + turn / 4) };
    })
    .sort((a, b) => a.rank - b.rank);
  let left = seconds * 1000;
  return ranked.flatMap(({ test }) => {
    if (test.ms > left) return [];
    left -= test.ms;
    return [test];
  });
}

/** Says at once what lived: a long run may be stopped. */
function tellLived(change, tests) {
  const { file, line, mutatorName, from, to } = change;
  const short = (text) => text.replaceAll(/\s+/g, ' ').slice(0, 80);
  say(`lived  ${file}:${line}  ${mutatorName}  ${short(from)}  =>  ${short(to)}  (${tests} tests)`);
}

/** So many, at chance that can be repeated. */
function sample(list, n) {
  let is = seed;
  const chance = () => {
    is = (Math.imul(is, 1_664_525) + 1_013_904_223) >>> 0;
    return is / 2 ** 32;
  };
  return list
    .map((one) => [chance(), one])
    .sort(([a], [b]) => a - b)
    .slice(0, n)
    .map(([, one]) => one);
}
