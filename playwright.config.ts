import { defineConfig } from '@playwright/test';

const PORT = 4410;
/** The address of a second server, whose company has nothing yet. */
export const EMPTY_COMPANY = `http://127.0.0.1:${String(PORT + 1)}`;
/** What that server prints: the link of its first manager stands there. */
export const EMPTY_PRINTED = 'data/e2e-empty.log';

const served = (command: string, port: number, database: string) => ({
  command,
  url: `http://127.0.0.1:${String(port)}/api/clock`,
  reuseExistingServer: false,
  timeout: 60_000,
  env: { PORT: String(port), ABACUS_TODAY: '2026-11-23', ABACUS_DATABASE: database },
});

export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results/browser',
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  // A shared machine can be ten times slower for a minute; a test that hangs still ends.
  timeout: 150_000,
  expect: { timeout: 15_000 },
  // Tests meet in one server but each has its own site: two files run side by side on two cores.
  workers: 2,
  use: {
    baseURL: `http://127.0.0.1:${String(PORT)}`,
    actionTimeout: 15_000,
    // A trace costs a quarter of the time: `npm run e2e -- --trace retain-on-failure` where one is wanted.
    screenshot: 'only-on-failure',
    contextOptions: { reducedMotion: 'reduce' },
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
  // A journey is made once, at a desk; a title says @phone where it is made on a phone instead, @both where on each.
  projects: [
    { name: 'desk', use: { viewport: { width: 1280, height: 800 } }, grepInvert: /@phone/ },
    { name: 'phone', use: { viewport: { width: 390, height: 844 }, hasTouch: true }, grep: /@phone|@both/ },
  ],
  webServer: [
    served('npm run --silent demo:data && npm run --silent serve', PORT, 'file:data/e2e.db'),
    served(
      `mkdir -p data && rm -f data/e2e-empty.* && npm run --silent serve > ${EMPTY_PRINTED}`,
      PORT + 1,
      'file:data/e2e-empty.db',
    ),
  ],
});
