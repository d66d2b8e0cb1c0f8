// What is changed: one thing in the code (by the well-known instrumenter), or one cell of a table of facts.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { createInstrumenter } from '@stryker-mutator/instrumenter';
import { createInjector } from 'typed-inject';
import ts from 'typescript';
import { ROOT } from '../lib.mjs';

const textOf = (file) => readFileSync(join(ROOT, file), 'utf8');

/** The files of core that are named, or are in the folders that are named. */
export const filesOf = (names) =>
  names.flatMap((one) =>
    one.endsWith('.ts')
      ? [one]
      : readdirSync(join(ROOT, one))
          .filter((name) => name.endsWith('.ts') && name !== 'index.ts')
          .map((name) => `${one}/${name}`),
  );

/**
 * Every change of the code of files, one at a time; texts are left alone: words are held by the tests of messages, codes by their types.
 * @returns the changes, and each file's text with a switch for each, counted (`covering`) and not (`switched`); `counted` says which
 * changes each cell of the count is of
 */
export async function changesOf(names) {
  const silent = new Proxy(
    {},
    { get: (_, name) => (String(name).startsWith('is') ? () => false : () => {}) },
  );
  const make = createInjector()
    .provideValue('logger', silent)
    .provideValue('getLogger', () => silent);
  const found = await make.injectFunction(createInstrumenter).instrument(
    names.map((name) => ({ name, content: textOf(name), mutate: true })),
    { plugins: null, excludedMutations: ['StringLiteral'], ignorers: [], noHeader: false },
  );
  const times = new Map();
  const changes = found.mutants
    .filter(({ status }) => status === undefined)
    .map(({ id, fileName, location, mutatorName, replacement }) => {
      const from = between(textOf(fileName), location);
      const same = `${fileName} | ${from} | ${replacement}`;
      times.set(same, (times.get(same) ?? 0) + 1);
      const line = location.start.line + 1;
      // What it is called does not hang on its line: a run can be gone on with after the file has moved.
      return {
        id,
        file: fileName,
        line,
        mutatorName,
        from,
        to: replacement,
        key: `${same} | ${times.get(same)}`,
      };
    });
  // The instrumenter's own counting is slow where everything is counted: a cell of one array for each place that counts.
  const counted = [];
  const texts = (turned) =>
    Object.fromEntries(found.files.map(({ name, content }) => [name, content.replace(COUNTING, turned)]));
  return {
    changes,
    counted,
    covering: texts((_, ids) => `globalThis.umbrexHits[${counted.push(ids.match(/\d+/g)) - 1}]++`),
    switched: texts(() => '0'),
  };
}

const COUNTING = /stryCov_9fa48\(((?:"\d+"(?:, )?)+)\)/g;

function between(text, { start, end }) {
  const lines = text.split('\n').slice(start.line, end.line + 1);
  lines[lines.length - 1] = lines.at(-1).slice(0, end.column);
  lines[0] = lines[0].slice(start.column);
  return lines.join('\n');
}

/** The cells of the tables of facts: literals in arrays and objects, and what each is changed to. Prose is left out. */
export const cellsOf = (names) =>
  names
    .filter((file) => !/\/(index|service|search|titles)\.ts$/.test(file))
    .flatMap((file) => cellsOfOne(file, textOf(file)));

function cellsOfOne(file, text) {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const cells = [];
  const visit = (node, isCell) => {
    const to = isCell ? changed(node) : undefined;
    if (to !== undefined) {
      const line = source.getLineAndCharacterOfPosition(node.getStart()).line + 1;
      const id = `${file}:${node.getStart()}`;
      const written = text.slice(0, node.getStart()) + to + text.slice(node.getEnd());
      cells.push({ id, file, line, mutatorName: 'Cell', from: node.getText(), to, key: id, text: written });
    }
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
