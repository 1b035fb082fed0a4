/**
 * Whether the page answers while sheets are laid out, and how soon a search stops: the longest time between two turns
 * of the page's own clock, asked every 5 ms, at rest and while it is searched, with pieces picked meanwhile; and from
 * the press of *Stop here* to the button's going.
 * Run: npx tsx bench/search-answers.ts URL, with the application served there.
 */
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../e2e/chromium';

const base = process.argv[2] ?? 'http://localhost:4173';
const STOPS = 5;
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });

/** The longest gap between two turns while something is done, ms. */
async function longestGap(on: Page, act: () => Promise<void>): Promise<{ longest: number; over100: number }> {
  // as text: a function of this file would bring helpers with it that the page does not have
  await on.evaluate(
    'window.turns = []; window.turn = performance.now(); window.ticking = setInterval(function () { ' +
      'const now = performance.now(); window.turns.push(now - window.turn); window.turn = now; }, 5)',
  );
  await act();
  const gaps = await on.evaluate<number[]>('clearInterval(window.ticking); window.turns');
  return { longest: Math.round(Math.max(...gaps)), over100: gaps.filter((ms) => ms > 100).length };
}

for (const boat of ['tamsel', 'orrin', 'veyra']) {
  await page.goto(base);
  await page.getByRole('navigation', { name: 'Stages' }).waitFor();
  await page.goto(`${base}/project/demo-${boat}/sheets`);
  const look = page.getByRole('button', { name: 'Look for a better layout' });
  const stop = page.getByRole('button', { name: 'Stop here' });
  await stop.waitFor({ state: 'hidden' });
  await page.waitForTimeout(12_000);
  const rest = await longestGap(page, () => page.waitForTimeout(3000));
  await look.click();
  const pieces = page.getByLabel('Sheets with their parts').getByRole('button');
  const searched = await longestGap(page, async () => {
    for (let k = 0; k < 10; k++) {
      await pieces.nth(k % (await pieces.count())).focus();
      await page.keyboard.press('Enter');
      await page.waitForTimeout(500);
    }
  });
  const stops: number[] = [];
  for (let k = 0; k < STOPS; k++) {
    if (!(await stop.isVisible())) await look.click();
    await page.waitForTimeout(700);
    stops.push(
      await page.evaluate<number>(
        'new Promise(function (resolve) { const find = () => [...document.querySelectorAll("button")].find((b) => ' +
          'b.textContent === "Stop here"); const start = performance.now(); const button = find(); ' +
          'if (button) button.click(); (function wait() { if (find()) requestAnimationFrame(wait); ' +
          'else resolve(performance.now() - start); })(); })',
      ),
    );
  }
  const median = stops.sort((a, b) => a - b)[Math.floor(STOPS / 2)] ?? 0;
  console.log(
    `| ${boat} | ${rest.longest} | ${searched.longest} | ${searched.over100} | ${Math.round(median)} | ` +
      `${Math.round(Math.max(...stops))} |`,
  );
}
await browser.close();
