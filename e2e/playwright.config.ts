import { defineConfig } from '@playwright/test';

/** The real app in Debian's Chromium, at a phone's size, against a real server of each story's own. */
export default defineConfig({
  testDir: '.',
  globalSetup: './globalSetup.ts',
  testMatch: '*.spec.ts',
  timeout: 180_000,
  expect: { timeout: 10_000 },
  workers: 2,
  fullyParallel: false,
  reporter: [['list'], ['json', { outputFile: '../.cache/e2e.json' }]],
  outputDir: '../test-results',
  use: {
    viewport: { width: 390, height: 844 },
    locale: 'en-GB',
    actionTimeout: 10_000,
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
