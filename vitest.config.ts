import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'core',
          root: './core',
          include: ['test/**/*.test.ts'],
          environment: 'node',
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
          fileParallelism: false,
          testTimeout: 120_000,
        },
      },
    ],
  },
});
