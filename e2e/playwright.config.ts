import { defineConfig } from '@playwright/test';
import { CHROMIUM, FLAT_CHROMIUM } from './chromium';

const PORT = Number(process.env['E2E_PORT'] ?? 4199);

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  // a busy machine stands still for many seconds at a time; what waits ends as soon as it can
  timeout: 480_000,
  expect: { timeout: 120_000 },
  workers: 2,
  reporter: [['list'], ['json', { outputFile: '../.reports/e2e.json' }]],
  outputDir: '../test-results',
  use: {
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    acceptDownloads: true,
    // every page would fetch all of the application to keep it; offline.spec.ts is about that
    serviceWorkers: 'block',
    // contrast is judged at rest, not halfway through a change of colour
    contextOptions: { reducedMotion: 'reduce' },
  },
  // the processor draws the hull in the round, which takes as long as all else together
  projects: [
    { name: 'flat', grepInvert: /@round/, use: { launchOptions: FLAT_CHROMIUM } },
    { name: 'round', grep: /@round/, use: { launchOptions: CHROMIUM } },
  ],
  webServer: {
    command: `PORT=${PORT} node --import tsx server/src/main.ts`,
    url: `http://localhost:${PORT}/healthz`,
    cwd: '..',
    reuseExistingServer: false,
  },
});
