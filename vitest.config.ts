import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    // Both cores: the default leaves one of them idle.
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
          testTimeout: 120_000,
        },
      },
      {
        test: {
          name: 'cli',
          root: './cli',
          include: ['test/**/*.test.ts'],
          environment: 'node',
          testTimeout: 120_000,
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
          testTimeout: 120_000,
        },
      },
    ],
  },
});
