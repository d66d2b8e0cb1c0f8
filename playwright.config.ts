import { defineConfig } from '@playwright/test';

// Run by scripts/e2e.mjs, which makes the databases: npm run test:e2e

export default defineConfig({
  testDir: './e2e',
  // Each spec file has a database and a server of its own (e2e/house.ts); its tests follow one another.
  fullyParallel: false,
  // One more than cores: each of them waits a quarter of its time.
  workers: 3,
  retries: 0,
  // The longest ones first, so that the two workers end together.
  projects: [
    { name: 'long', testMatch: /(fleet|everywhere)\.spec\.ts/ },
    { name: 'rest', testIgnore: /(fleet|everywhere)\.spec\.ts/ },
  ],
  forbidOnly: !!process.env.CI,
  reporter: [['list'], ['json']],
  outputDir: './test-results/e2e',
  // Generous: a cold machine with two cores may take several times as long as a warm one.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-US',
    timezoneId: 'America/New_York',
    trace: 'off',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
