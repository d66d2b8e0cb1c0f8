import { defineConfig } from 'vitest/config';

/** The tests that hold the rules and the judgement of a channel, for `npm run mutants`. */
export default defineConfig({
  test: {
    include: [
      'core/test/rules/**/*.test.ts',
      'core/test/facts/**/*.test.ts',
      'core/test/check/**/*.test.ts',
      'core/test/fit/{fit,right,reasons,refusals,limits,says,toneModes,networks,patterns}.test.ts',
    ],
    environment: 'node',
    isolate: false,
    testTimeout: 60_000,
  },
});
