/**
 * How long the page's own thread stands still at a stretch while everything is exported: the longest task that the
 * browser reports (tasks over 50 ms), from the click until the archive is saved. Run: npx tsx bench/export-block.ts URL
 * [times], with the application served there.
 */
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../e2e/chromium';

const [url = 'http://localhost:4173', times = '5'] = process.argv.slice(2);
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(url);
await page.getByRole('img', { name: /Lines: profile/ }).waitFor();
await page.keyboard.press('7');
await page.waitForTimeout(12_000); // the layout has ended
const longest: number[] = [];
for (let i = 0; i < Number(times); i++) {
  await page.getByRole('button', { name: 'Export' }).click();
  await page.waitForTimeout(2500); // the menu has opened and its list has come
  await page.evaluate(`
    window.tasks = [];
    window.watch = new PerformanceObserver((list) => window.tasks.push(...list.getEntries().map((e) => e.duration)));
    window.watch.observe({ type: 'longtask' });
  `);
  const saved = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: /one zip/ }).click();
  await saved;
  await page.waitForTimeout(300);
  longest.push(await page.evaluate<number>('window.watch.disconnect(), Math.max(0, ...window.tasks)'));
}
await browser.close();
const middle = [...longest].sort((a, b) => a - b)[Math.floor(longest.length / 2)] ?? NaN;
console.log(`the page's longest task: ${middle} ms in the middle of ${times}, ${Math.max(...longest)} ms at most`);
