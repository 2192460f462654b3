import { defineConfig, devices } from '@playwright/test';

const port = Number(process.env.BANTER_TEST_PORT ?? 8099);

/** The browser is Debian's Chromium; `npm test` starts a Banter of its own for these journeys. */
export default defineConfig({
  testDir: 'e2e',
  fullyParallel: true,
  workers: 2,
  retries: 0,
  // Long, so that a busy machine is no failure; what is there is seen at once.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  reporter: [['list'], ['json', { outputFile: process.env.BANTER_TEST_REPORT ?? 'test-results/browser.json' }]],
  use: {
    baseURL: process.env.BANTER_TEST_ADDRESS ?? `http://127.0.0.1:${port}`,
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    actionTimeout: 120_000,
    trace: 'off',
    // Laying all pages on the device anew for each journey takes longer than the journey; those in the field ask for it.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-dev-shm-usage',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
  projects: [
    { name: 'desk', testIgnore: /phone\.spec\.ts/, use: { ...devices['Desktop Chrome'], viewport: { width: 1280, height: 800 } } },
    { name: 'phone', testMatch: /phone\.spec\.ts/, use: { viewport: { width: 390, height: 844 }, hasTouch: true } },
  ],
});
