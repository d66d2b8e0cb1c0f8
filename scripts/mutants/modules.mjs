// Core's code and tests as modules of our own, so that they can be loaded anew for each change in a tenth of a second: every file is turned
// into a function once, and each load runs the functions afresh. What is not core's (packages, Node) is loaded once.
import { readFileSync, statSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join, relative } from 'node:path';
import { pathToFileURL } from 'node:url';
import vm from 'node:vm';
import { transformSync } from 'esbuild';
import { ROOT } from '../lib.mjs';

const { exports: rooms } = JSON.parse(readFileSync(join(ROOT, 'core/package.json'), 'utf8'));

/** The path of what a file of core imports; nothing where it is a package's. */
function pathOf(name, from) {
  const room = name.startsWith('@umbrex/core') ? rooms[`.${name.slice('@umbrex/core'.length)}`] : undefined;
  const at = room ? join(ROOT, 'core', room) : name.startsWith('.') ? join(dirname(from), name) : undefined;
  if (at === undefined) return undefined;
  return ['', '.ts', '/index.ts']
    .map((end) => at + end)
    .find((path) => statSync(path, { throwIfNoEntry: false })?.isFile());
}

/**
 * A loader of core's files.
 * @param given packages that are replaced, by name (the test runner's)
 * @param textOf the text of a file where it is not the one on disk (with switches in it), by its path from the root
 */
export function loader(given, textOf = () => undefined) {
  const scripts = new Map();
  const packages = new Map(Object.entries(given));
  const requires = new Map();
  let loaded = new Map();

  const scriptOf = (path) => {
    const name = relative(ROOT, path);
    const text = textOf(name);
    const key = text === undefined ? name : text;
    if (!scripts.has(key)) scripts.set(key, compiled(path, text ?? readFileSync(path, 'utf8')));
    return scripts.get(key);
  };

  const packageOf = (name, from) => {
    if (!packages.has(name)) {
      if (!requires.has(from)) requires.set(from, createRequire(from));
      packages.set(name, requires.get(from)(name));
    }
    return packages.get(name);
  };

  const load = (path) => {
    const had = loaded.get(path);
    if (had) return had.exports;
    const module = { exports: {} };
    loaded.set(path, module);
    if (path.endsWith('.json')) module.exports = JSON.parse(readFileSync(path, 'utf8'));
    else
      scriptOf(path).runInThisContext()(
        module.exports,
        (name) => {
          const inner = pathOf(name, path);
          return inner === undefined ? packageOf(name, path) : load(inner);
        },
        module,
      );
    return module.exports;
  };

  return { load, forget: () => (loaded = new Map()) };
}

/** A file as a function of its exports and what it requires. */
function compiled(path, text) {
  const { code } = transformSync(
    text.replaceAll('import.meta.url', JSON.stringify(pathToFileURL(path).href)),
    {
      loader: 'ts',
      format: 'cjs',
      target: 'node20',
      sourcefile: path,
    },
  );
  return new vm.Script(`(function (exports, require, module) {${code}\n})`, { filename: path });
}
