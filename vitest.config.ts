import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      { test: { name: 'core', root: './core', include: ['test/**/*.test.ts'], environment: 'node' } },
      { test: { name: 'cli', root: './cli', include: ['test/**/*.test.ts'], environment: 'node' } },
    ],
  },
});
