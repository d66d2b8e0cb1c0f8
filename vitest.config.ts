import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // Both cores: the default leaves one of them idle. Times are generous: they are there for what hangs, and a machine may be held back.
    maxWorkers: 2,
    projects: [
      {
        test: {
          name: 'core',
          root: './core',
          include: ['test/**/*.test.ts'],
          environment: 'node',
          // Nothing in core keeps state: files may share a worker, and what it has loaded.
          isolate: false,
          testTimeout: 600_000,
          hookTimeout: 240_000,
        },
      },
      {
        test: {
          name: 'cli',
          root: './cli',
          include: ['test/**/*.test.ts'],
          environment: 'node',
          testTimeout: 600_000,
          hookTimeout: 240_000,
        },
      },
      {
        resolve: { alias: { '@': fileURLToPath(new URL('./web/src', import.meta.url)) } },
        test: {
          name: 'web',
          root: './web',
          include: ['test/**/*.test.ts'],
          environment: 'node',
          globalSetup: ['./test/database.ts'],
          setupFiles: ['./test/ownDatabase.ts'],
          testTimeout: 600_000,
          hookTimeout: 240_000,
        },
      },
    ],
  },
});
