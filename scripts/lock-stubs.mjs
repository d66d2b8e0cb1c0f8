// The package registry here has no copy of some packages made for other platforms (Biome's, Rollup's
// and Tailwind's native parts). `npm install` leaves those out of package-lock.json without a word, and
// `npm ci` then refuses the lock ("Missing: ... from lock file"). This adds an entry for each, as npm
// would where the package is there; `npm ci` skips it on every platform but its own.
// Run it after each `npm install` that changed the lock; it changes nothing when nothing is missing.
import { readFileSync, writeFileSync } from 'node:fs';

const file = new URL('../package-lock.json', import.meta.url);
const lock = JSON.parse(readFileSync(file, 'utf8'));
const { packages } = lock;

const OS = [
  'aix',
  'android',
  'darwin',
  'freebsd',
  'linux',
  'netbsd',
  'openbsd',
  'openharmony',
  'sunos',
  'win32',
];
const CPU = ['arm64', 'arm', 'ia32', 'loong64', 'ppc64', 'riscv64', 's390x', 'x64', 'wasm32'];

const up = (dir) => dir.slice(0, Math.max(0, dir.lastIndexOf('node_modules/'))).replace(/\/$/, '');
const inside = (dir, name) => `${dir ? `${dir}/` : ''}node_modules/${name}`;

function isFound(from, name) {
  for (let dir = from; ; dir = up(dir)) {
    if (packages[inside(dir, name)]) return true;
    if (dir === '') return false;
  }
}

const added = [];
for (const [from, meta] of Object.entries(packages)) {
  for (const [name, version] of Object.entries(meta.optionalDependencies ?? {})) {
    // platform packages are wanted at one exact version; other optional ones are left alone
    if (isFound(from, name) || !/^\d+\.\d+\.\d+$/.test(version)) continue;
    const words = name.split('/').at(-1).split('-');
    const os = OS.find((o) => words.includes(o)) ?? 'none';
    const cpu = CPU.find((c) => words.includes(c)) ?? (words.includes('arm') ? 'arm' : 'none');
    const abi = words.at(-1);
    packages[inside(up(from), name)] = {
      version,
      cpu: [cpu],
      ...(meta.dev && { dev: true }),
      ...(os === 'linux' && /^(gnu|musl)/.test(abi) && { libc: [abi.startsWith('musl') ? 'musl' : 'glibc'] }),
      optional: true,
      os: [os],
    };
    added.push(`${name}@${version}`);
  }
}
if (added.length) {
  lock.packages = Object.fromEntries(
    Object.entries(packages).sort(([a], [b]) => (a < b ? -1 : Number(a > b))),
  );
  writeFileSync(file, `${JSON.stringify(lock, null, 2)}\n`);
}
console.log(`lock-stubs: ${added.length} added`);
