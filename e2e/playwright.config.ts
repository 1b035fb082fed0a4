import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './chromium';

const PORT = Number(process.env['E2E_PORT'] ?? 4199);

export default defineConfig({
  testDir: '.',
  testMatch: '*.spec.ts',
  timeout: 90_000,
  expect: { timeout: 15_000 },
  workers: 1,
  reporter: [['list'], ['json', { outputFile: '../.reports/e2e.json' }]],
  outputDir: '../test-results',
  use: {
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
    acceptDownloads: true,
    // contrast is judged at rest, not halfway through a change of colour
    contextOptions: { reducedMotion: 'reduce' },
  },
  webServer: {
    command: `PORT=${PORT} node --import tsx server/src/main.ts`,
    url: `http://localhost:${PORT}/healthz`,
    cwd: '..',
    reuseExistingServer: false,
  },
});
