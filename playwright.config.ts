import { defineConfig } from '@playwright/test';

const PORT = Number(process.env.UPLANDIA_PORT ?? 8123);
const screenshots = process.env.UPLANDIA_SCREENSHOTS === '1';

export default defineConfig({
  testDir: 'tests/Browser',
  outputDir: 'test-results',
  // Generous: a machine that others share may give us half its time. What is right is right a little later, too.
  timeout: 240_000,
  expect: { timeout: 20_000 },
  workers: 1,
  retries: 0,
  forbidOnly: true,
  reporter: [['list']],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
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
    : [{ name: 'ways', testMatch: /\.spec\.ts/ }],
  webServer: {
    command: './uplandia serve-for-tests',
    url: `http://127.0.0.1:${PORT}/up`,
    timeout: 180_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 5_000 },
    reuseExistingServer: false,
    // The server's own access lines; what went wrong is in storage/logs.
    stdout: 'ignore',
    stderr: 'ignore',
  },
});
