/**
 * How smoothly the page redraws while offsets change: the gaps between frames in the browser during forty edits on the
 * Panels stage (an offset of the sheer, undone and redone), beside the gaps while nothing is done, in the same run; and
 * how long the page's own thread is busy with each. The gaps hold the software drawing too, where there is no graphics
 * processor.
 * Run: npx tsx bench/edit-frames.ts URL, with the application served there.
 */
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../e2e/chromium';

const EDITS = 40;
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(process.argv[2] ?? 'http://localhost:4173');
await page.getByRole('tab', { name: 'The table' }).click();
await page.getByLabel('Sheer 3, half-breadth', { exact: true }).fill('535');
await page.keyboard.press('Enter');
await page.getByRole('link', { name: /Panels/ }).click();
await page.waitForTimeout(2000);

const gaps = (during: () => Promise<void>) => measure(page, during);
async function measure(target: Page, during: () => Promise<void>): Promise<number[]> {
  // as text: a function of this file would bring helpers with it that the page does not have
  await target.evaluate(
    'window.frameTimes = []; (function tick(now) { window.frameTimes.push(now); requestAnimationFrame(tick); })(performance.now())',
  );
  await during();
  return target.evaluate<number[]>('window.frameTimes.slice(1).map((time, i) => time - window.frameTimes[i])');
}
const share = (values: readonly number[], part: number) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length * part)] ?? NaN;
const report = (name: string, values: readonly number[]) =>
  console.log(
    `${name}: median ${share(values, 0.5).toFixed(1)} ms, 95th percentile ${share(values, 0.95).toFixed(1)} ms, longest ${Math.max(...values).toFixed(1)} ms, ${values.length} frames`,
  );

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
