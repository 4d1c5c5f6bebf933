import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: '.',
  timeout: 120_000,
  expect: { timeout: 20_000 },
  workers: 2,
  fullyParallel: true,
  forbidOnly: true,
  reporter: [['list']],
  use: {
    browserName: 'chromium',
    locale: 'en-GB',
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
    trace: 'off',
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
        // A name that is not loopback's, though it leads there: a page of it is not trusted with all a browser has.
        '--host-resolver-rules=MAP shed.test 127.0.0.1'
      ]
    }
  }
});
