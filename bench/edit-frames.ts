/**
 * How smoothly the page redraws while offsets change: the gaps between frames in the browser during forty edits on the
 * Panels stage (an offset of the sheer, undone and redone), beside the gaps while nothing is done, in the same run; and
 * how long the page's own thread is busy with each. The gaps hold the software drawing too, where there is no graphics
 * processor.
 * Run: npx tsx bench/edit-frames.ts URL, with the application served there.
 */
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../e2e/chromium';
import { gapsWhile, report } from './frames';

const EDITS = 40;
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(process.argv[2] ?? 'http://localhost:4173');
await page.getByRole('tab', { name: 'The table' }).click();
await page.getByLabel('Sheer 3, half-breadth', { exact: true }).fill('535');
await page.keyboard.press('Enter');
await page.getByRole('link', { name: /Panels/ }).click();
await page.waitForTimeout(2000);

const gaps = (during: () => Promise<void>) => gapsWhile(page, during);
const devtools = await page.context().newCDPSession(page);
await devtools.send('Performance.enable');
const busyMs = async (): Promise<number> => {
  const { metrics } = await devtools.send('Performance.getMetrics');
  return 1000 * (metrics.find(({ name }) => name === 'TaskDuration')?.value ?? NaN);
};

report('idle', await gaps(() => page.waitForTimeout(4000)));
const before = await busyMs();
report(
  'forty edits',
  await gaps(async () => {
    for (let i = 0; i < EDITS; i++) {
      await page.keyboard.press(i % 2 === 0 ? 'Control+z' : 'Control+Shift+z');
      await page.waitForTimeout(100);
    }
  }),
);
console.log(`the page's own thread: ${(((await busyMs()) - before) / EDITS).toFixed(1)} ms busy an edit`);
await browser.close();
