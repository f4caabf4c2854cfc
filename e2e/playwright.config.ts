import { defineConfig } from '@playwright/test';

/** The real app in Debian's Chromium, at a phone's size, against a real server of each story's own. */
export default defineConfig({
  testDir: '.',
  globalSetup: './globalSetup.ts',
  testMatch: '*.spec.ts',
  // Long enough for a machine that is busy with others: a story fails by what it sees, not by how long it took.
  timeout: 480_000,
  expect: { timeout: 45_000 },
  workers: 2,
  fullyParallel: false,
  reporter: [['list'], ['json', { outputFile: '../.cache/e2e.json' }]],
  outputDir: '../test-results',
  use: {
    viewport: { width: 390, height: 844 },
    locale: 'en-GB',
    actionTimeout: 45_000,
    launchOptions: {
      executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
      ],
    },
  },
});
