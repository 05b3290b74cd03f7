import { execSync } from 'node:child_process';
import { defineConfig } from '@playwright/test';

const port = Number(process.env.NIMBLE_E2E_PORT ?? 4179);
const executablePath =
  process.env.CHROMIUM ?? execSync('command -v chromium', { shell: '/bin/sh' }).toString().trim();

export default defineConfig({
  testDir: 'e2e',
  testMatch: '**/*.spec.ts',
  timeout: 90_000,
  expect: { timeout: 20_000 },
  fullyParallel: true,
  workers: 2,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    acceptDownloads: true,
    locale: 'en-GB',
    trace: 'retain-on-failure',
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
    command: `npx tsx server/main.ts --port ${port} --strict-port`,
    url: `http://127.0.0.1:${port}/healthz`,
    reuseExistingServer: false,
  },
});
