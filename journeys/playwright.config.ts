import { defineConfig } from '@playwright/test';

const report = process.env.OPEN_LARDER_JOURNEY_REPORT;

/** The real interface in Debian's Chromium, at a phone's size and wide. Two cores: two workers. */
export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  globalSetup: './begin.ts',
  workers: 2,
  // A machine that is busy with others may stay in still for a minute. What passes only the second
  // time is named by whoever runs the tests, and looked into.
  retries: 1,
  timeout: 300_000,
  expect: { timeout: 45_000 },
  reporter: [['list'], ...(report ? [['json', { outputFile: report }] as ['json', object]] : [])],
  use: {
    browserName: 'chromium',
    locale: 'en-GB',
    trace: 'on-first-retry',
    // What a page asks for is seen and held up by the journeys; without a connection is a journey of its own.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env.OPEN_LARDER_CHROMIUM ?? '/usr/bin/chromium',
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
  projects: [
    {
      name: 'phone',
      use: { viewport: { width: 390, height: 844 }, hasTouch: true },
      // A board is dragged where it is wide; what a phone has of it is tested with its components.
      testIgnore: /planTheWeek/,
    },
    {
      name: 'wide',
      use: { viewport: { width: 1280, height: 800 } },
      // Every view is opened once: what it holds, at its limits too, does not change with its width.
      testIgnore: /everyLimit|agreement|behindAProxy|faults/,
    },
  ],
});
