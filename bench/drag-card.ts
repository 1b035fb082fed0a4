/**
 * How soon a card follows the hand: from each move of the pointer to the boat's new drawing, over three goings to and
 * fro of a hold and of an edge, the first drawing of a drag left out and said by itself; and what the worker takes.
 * Run: npx tsx bench/drag-card.ts URL, with the application served there.
 */
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../e2e/chromium';

const base = process.argv[2] ?? 'http://localhost:4173';
/** Between two moves, ms, and how far each goes, px; a drag begins with as much as tells it from a press. */
const EVERY_MS = 120;
const STEP_PX = 0.6;
const BEGIN_PX = 4;
const ROUNDS = 3;

type Told = readonly [at: number, what: string];

const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
// as text: a function of this file would bring helpers with it that the page does not have
await page.addInitScript(`
  window.told = [];
  const tell = (what) => window.told.push([performance.now(), what]);
  const Plain = Worker;
  window.Worker = class extends Plain {
    constructor(url, options) {
      super(url, options);
      this.isBend = options && options.name === 'kalotrope-bend';
      this.addEventListener('message', () => this.isBend && tell('answer'));
    }
    postMessage(...all) {
      if (this.isBend) tell('ask');
      return super.postMessage(...all);
    }
  };
  addEventListener('pointermove', () => tell('move'), true);
  const watch = new PerformanceObserver((list) => list.getEntries().forEach(() => tell('long')));
  watch.observe({ entryTypes: ['longtask'] });
`);
await page.goto(base);
await page.getByRole('navigation', { name: 'Stages' }).waitFor();
await page.goto(`${base}/project/demo-tamsel/lines`);
await page.getByRole('tab', { name: 'Bend a card' }).click();
await page.getByRole('button', { name: 'Begin with a card' }).click();
await page.getByText(/makes a boat of/).waitFor();
await page.waitForTimeout(4000);
await page.evaluate(
  'new MutationObserver(() => window.told.push([performance.now(), "drawn"])).observe(' +
    'document.querySelector(\'[aria-label="The boat that it makes, from above and from the side"]\'), ' +
    '{ subtree: true, attributes: true, attributeFilter: ["d"] })',
);

const sorted = (list: readonly number[]) => [...list].sort((a, b) => a - b);
const share = (list: readonly number[], of: number) => Math.round(list[Math.floor(list.length * of)] ?? NaN);

for (const { handle, up, steps } of [
  { handle: 'Breadth of frame 1 at the sheer', up: -1, steps: 25 },
  { handle: 'Point 2 of the sheer', up: 1, steps: 14 },
]) {
  const box = await page.locator(`[data-handle="${handle}"]`).boundingBox();
  if (!box) throw new Error(`no handle ${handle}`);
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.evaluate('window.told.length = 0');
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let k = 1; k <= 2 * steps * ROUNDS; k++) {
    const phase = k % (2 * steps);
    await page.mouse.move(x, y + up * (BEGIN_PX + STEP_PX * Math.min(phase, 2 * steps - phase)));
    await page.waitForTimeout(EVERY_MS);
  }
  const told = await page.evaluate<Told[]>('window.told');
  await page.mouse.up();
  const times = (what: string) => told.filter(([, one]) => one === what).map(([at]) => at);
  const [drawn, asked, answered] = [times('drawn'), times('ask'), times('answer')];
  const next = (list: readonly number[], after: number) => (list.find((at) => at > after) ?? NaN) - after;
  const [first] = drawn;
  if (first === undefined || asked[0] === undefined) throw new Error(`${handle} was not dragged`);
  const moves = times('move').filter((at) => at > first);
  const waits = sorted(moves.map((at) => next(drawn, at)).filter(Number.isFinite));
  const works = sorted(asked.slice(1).map((at) => next(answered, at))).filter(Number.isFinite);
  console.log(
    `| ${handle} | ${waits.length} | ${share(waits, 0.5)} | ${share(waits, 0.95)} | ${share(waits, 0.9999)} | ` +
      `${Math.round(first - asked[0])} | ${share(works, 0.5)} | ${times('long').length} |`,
  );
  await page.waitForTimeout(4000);
}
await browser.close();
