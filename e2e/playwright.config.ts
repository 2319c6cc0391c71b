import { defineConfig } from '@playwright/test';

/** Debian's Chromium; every test has a server and a database of its own. The limits are for a machine that others load too. */
export default defineConfig({
  testDir: 'src',
  testMatch: '*.spec.ts',
  workers: 2,
  fullyParallel: false,
  forbidOnly: true,
  retries: 0,
  timeout: 420_000,
  expect: { timeout: 45_000 },
  outputDir: '../test-results',
  reporter: [['list']],
  use: {
    viewport: { width: 1280, height: 800 },
    actionTimeout: 45_000,
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-dev-shm-usage',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
});
