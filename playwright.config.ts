import { execSync } from 'node:child_process';
import { defineConfig } from '@playwright/test';

const port = Number(process.env.NIMBLE_E2E_PORT ?? 4179);
const executablePath =
  process.env.CHROMIUM ?? execSync('command -v chromium', { shell: '/bin/sh' }).toString().trim();

export default defineConfig({
  testDir: 'e2e',
  testMatch: '**/*.spec.ts',
  timeout: 180_000,
  expect: { timeout: 30_000 },
  fullyParallel: true,
  workers: 2,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    acceptDownloads: true,
    // Saving the whole app on the device in every test would take its time; the tests that need it allow it.
    serviceWorkers: 'block',
    locale: 'en-GB',
    // A trace of every step costs a third of a run: ask for one with NIMBLE_TRACE=1.
    trace: process.env.NIMBLE_TRACE ? 'retain-on-failure' : 'off',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath,
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
    // What an engine computes does not depend on the size of its page.
    {
      name: 'phone',
      testIgnore: '**/sameEverywhere.spec.ts',
      use: { viewport: { width: 390, height: 844 }, deviceScaleFactor: 2, hasTouch: true },
    },
    // Nor does what is tagged @once depend on it.
    { name: 'wide', grepInvert: /@once/, use: { viewport: { width: 1280, height: 800 } } },
  ],
  webServer: {
    command: `node build/server.mjs --port ${port} --strict-port --feed simulated --call-out`,
    url: `http://127.0.0.1:${port}/healthz`,
    reuseExistingServer: false,
  },
});
