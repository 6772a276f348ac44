import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';
import { LONG } from './tests/runs';

const port = process.env['PORT'] ?? '4410';
const dist = process.env['DIST'] ?? 'dist-test';

export default defineConfig({
  testDir: 'tests/e2e',
  // A whole task of a teacher takes half a minute, and several times that on a busy machine.
  timeout: 150_000,
  // How long a page may take to show something: far longer than it does, as both cores may be busy with tests.
  expect: { timeout: 20_000 },
  workers: 2,
  // Whole tasks of many minutes, and what is proven elsewhere too: in the long run.
  grepInvert: LONG ? [] : /@long/,
  fullyParallel: true,
  forbidOnly: true,
  reporter: [['list']],
  outputDir: 'test-results',
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    locale: 'en-GB',
    timezoneId: 'Europe/Berlin',
    viewport: { width: 1280, height: 800 },
    actionTimeout: 20_000,
    trace: 'off',
    // What one test keeps of the application is no other one's: the test of that asks for it.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium-headless-shell',
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
  webServer: {
    command: 'node server.mjs',
    // Doors of an earlier run open nothing in this one.
    env: { PORT: port, DIST: dist, DATA: join(tmpdir(), `yentrel-doors-${process.pid}`) },
    url: `http://127.0.0.1:${port}/api/about`,
    reuseExistingServer: false,
  },
});
