import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

const PLACES = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];
const CI = Boolean(process.env.CI);

export default defineConfig({
  testDir: '.',
  globalSetup: './support/demo.ts',
  timeout: 240_000,
  expect: { timeout: 30_000 },
  workers: 2,
  fullyParallel: true,
  /** A flaky test is a defect of the test or of the product. */
  retries: 0,
  forbidOnly: CI,
  outputDir: '../test-results',
  reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ? [['json'], ['line']] : 'line',
  use: {
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    // The kept shell would answer in the server's place; its own test lets it in.
    serviceWorkers: 'block',
    // A click on what still zooms into its place presses on one spot and lets go on another.
    contextOptions: { reducedMotion: 'reduce' },
    actionTimeout: 30_000,
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? PLACES.find((path) => existsSync(path)),
      args: [
        '--no-sandbox',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
});
