// npm run mutants:cells [-- --of 100 --seed 1]: changes one cell of a table of facts at a time (a number, a text, yes or no, nothing), at chance,
// and looks whether the tests of facts and rules notice. Prints what lived. Prose is left out: citations, titles, uses, names.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import ts from 'typescript';
import { fail, ROOT, say } from './lib.mjs';

const words = process.argv.slice(2);
const figure = (name, usual) => {
  const at = words.indexOf(name);
  return at < 0 ? usual : Number(words[at + 1]);
};
const [most, seed] = [figure('--of', 100), figure('--seed', 1)];
const TABLES = ['core/src/facts/services', 'core/src/facts/tones', 'core/src/facts'];
/** The tests of the tables first: where they say nothing, those that live by them. */
const TESTS = [['test/facts'], ['test/rules', 'test/check', 'test/listing']];

const at = mkdtempSync(join(tmpdir(), 'umbrex-cells-'));
process.on('exit', () => rmSync(at, { recursive: true, force: true }));
for (const folder of [
  'core',
  'cli',
  'demo',
  'devices',
  'docs',
  'sim',
  'web/package.json',
  'package.json',
  'tsconfig.base.json',
])
  cpSync(join(ROOT, folder), join(at, folder), { recursive: true });
symlinkSync(join(ROOT, 'node_modules'), join(at, 'node_modules'));
TESTS.forEach((folders, i) => {
  const include = JSON.stringify(folders.map((folder) => `${folder}/**/*.test.ts`));
  writeFileSync(
    join(at, `vitest.${i}.config.ts`),
    `import { defineConfig } from 'vitest/config';
export default defineConfig({ test: { root: './core', include: ${include}, isolate: false, maxWorkers: 1, bail: 1, testTimeout: 120_000 } });`,
  );
});

const all = TABLES.flatMap((folder) =>
  readdirSync(join(ROOT, folder))
    .filter((file) => file.endsWith('.ts') && !/^(index|service|search|titles)\.ts$/.test(file))
    .flatMap((file) => cellsOf(join(folder, file))),
);
const picked = sample(all, most);
say(`${picked.length} of ${all.length} cells`);
if (!(await areRight())) fail('The tests fail as they are.');
const lived = [];
for (const cell of picked) {
  const path = join(at, cell.file);
  const text = readFileSync(path, 'utf8');
  writeFileSync(path, text.slice(0, cell.start) + cell.to + text.slice(cell.end));
  if (await areRight()) {
    lived.push(cell);
    say(`lived  ${cell.file}:${cell.line}  ${cell.from} => ${cell.to}`);
  }
  writeFileSync(path, text);
}
const noticed = picked.length - lived.length;
say(
  `${noticed} of ${picked.length} were noticed (${Math.round((100 * noticed) / picked.length)} %); seed ${seed}`,
);

/** The cells of the tables of a file: literals in arrays and objects, and what each is changed to. */
function cellsOf(file) {
  const text = readFileSync(join(ROOT, file), 'utf8');
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const cells = [];
  const visit = (node, isCell) => {
    const to = isCell ? changed(node) : undefined;
    if (to !== undefined)
      cells.push({
        file,
        start: node.getStart(),
        end: node.getEnd(),
        line: source.getLineAndCharacterOfPosition(node.getStart()).line + 1,
        from: node.getText(),
        to,
      });
    const isProse =
      ts.isPropertyAssignment(node) && /citation$|^(title|use|note|name|words)$/i.test(node.name.getText());
    if (isProse || ts.isImportDeclaration(node) || ts.isTypeNode(node)) return;
    const holds =
      ts.isArrayLiteralExpression(node) ||
      ts.isPropertyAssignment(node) ||
      (ts.isVariableDeclaration(node) && /^[A-Z_]+$/.test(node.name.getText()));
    ts.forEachChild(node, (child) => visit(child, holds && child !== node.name));
  };
  visit(source, false);
  return cells;
}

/** What a cell is changed to; nothing for prose. */
function changed(node) {
  if (ts.isNumericLiteral(node)) {
    const value = Number(node.text.replaceAll('_', ''));
    return String(value > 1e6 ? value + 12_500 : value + 1);
  }
  if (node.kind === ts.SyntaxKind.TrueKeyword) return 'false';
  if (node.kind === ts.SyntaxKind.FalseKeyword) return 'true';
  if (node.kind === ts.SyntaxKind.NullKeyword) return '1';
  if (ts.isStringLiteral(node) && !/\s/.test(node.text)) return `'${node.text}9'`;
  return undefined;
}

/** So many of them, at chance that can be repeated. */
function sample(list, n) {
  let state = seed;
  const next = () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
  return list
    .map((one) => [next(), one])
    .sort(([a], [b]) => a - b)
    .slice(0, n)
    .map(([, one]) => one);
}

/** Runs the tests until one of them fails; answers whether all are right. */
async function areRight() {
  for (const i of TESTS.keys()) {
    const child = spawn(
      join(ROOT, 'node_modules/.bin/vitest'),
      ['run', '--config', `vitest.${i}.config.ts`],
      { cwd: at, stdio: 'ignore', env: { ...process.env, UMBREX_NEAR: '1' } },
    );
    const [code] = await once(child, 'exit');
    if (code !== 0) return false;
  }
  return true;
}
