import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results',
  workers: 2,
  fullyParallel: true,
  retries: 0,
  // Generous: the machine is shared, and stalls for long at times.
  timeout: 900_000,
  expect: { timeout: 90_000 },
  use: {
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    // Said at the step that hangs, and not by the whole test's time.
    navigationTimeout: 90_000,
    // Tracing slows every step; ask for it with --trace on.
    screenshot: 'only-on-failure',
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
});
