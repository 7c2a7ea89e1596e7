import { defineConfig } from '@playwright/test';

const screenshots = process.env.UPLANDIA_SCREENSHOTS === '1';
const WORKERS = screenshots ? 1 : Number(process.env.UPLANDIA_PROCESSES ?? 2);
/** Each worker has a server and a database of its own; this file is read in each. */
const addressOf = (worker: number) => `http://127.0.0.1:${Number(process.env.UPLANDIA_PORT ?? 8123) + worker}`;

export default defineConfig({
  testDir: 'tests/Browser',
  outputDir: 'test-results',
  // Generous: a machine that others share may give us half its time. What is right is right a little later, too.
  timeout: 240_000,
  expect: { timeout: 20_000 },
  workers: WORKERS,
  retries: 0,
  forbidOnly: true,
  reporter: [['list']],
  use: {
    baseURL: addressOf(Number(process.env.TEST_PARALLEL_INDEX ?? 0)),
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
    timezoneId: 'UTC',
    locale: 'en-GB',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
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
  projects: screenshots
    ? [{ name: 'screenshots', testMatch: /screenshots\.ts/ }]
    : [
        { name: 'ways', testMatch: /\.spec\.ts/, testIgnore: /update\.spec\.ts/ },
        { name: 'update', testMatch: /update\.spec\.ts/, dependencies: ['ways'] },
      ],
  webServer: Array.from({ length: WORKERS }, (_, worker) => ({
    command: `./uplandia serve-for-tests ${worker}`,
    url: `${addressOf(worker)}/up`,
    timeout: 300_000,
    gracefulShutdown: { signal: 'SIGTERM' as const, timeout: 5_000 },
    reuseExistingServer: false,
    // The server's own access lines; what went wrong is in storage/logs.
    stdout: 'ignore',
    stderr: 'ignore',
  })),
});
