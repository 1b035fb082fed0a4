/**
 * How smoothly a point follows the hand: the gaps between frames while a point of the sheer is dragged up and down in
 * the plan of each demo boat, beside the gaps while nothing is done, in the same run. The three views and the hull in
 * the round follow; without a graphics processor the gaps hold the software drawing too. The baseline is a bare page
 * on which the hand moves one end of one line: what the browser takes on this machine to show anything that moves.
 * Run: npx tsx bench/drag-frames.ts URL, with the application served there.
 */
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../e2e/chromium';
import { gapsWhile, report } from './frames';

const MOVES = 240;
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });

/** The gaps while the pointer goes up and down from a place with its button held. */
async function drag(x: number, y: number): Promise<number[]> {
  await page.mouse.move(x, y);
  await page.mouse.down();
  const gaps = await gapsWhile(page, async () => {
    for (let i = 0; i < MOVES; i++) {
      await page.mouse.move(x, y - 12 * Math.sin(i / 12));
      await page.waitForTimeout(12);
    }
  });
  await page.mouse.up();
  return gaps;
}

await page.setContent(`<svg width="1270" height="790"><path d="M100 400L600 400" stroke="#123" stroke-width="2"/></svg>
<script>
  const line = document.querySelector('path');
  addEventListener('pointermove', (e) => line.setAttribute('d', 'M100 400L' + e.clientX + ' ' + e.clientY));
</script>`);
report('baseline: a bare page, one line moved', await drag(600, 400));
for (const boat of ['tamsel', 'orrin']) {
  await page.goto(`${process.argv[2] ?? 'http://localhost:4173'}/`);
  await page.getByRole('navigation', { name: 'Stages' }).waitFor();
  await page.goto(`${process.argv[2] ?? 'http://localhost:4173'}/project/demo-${boat}/lines`);
  await page.getByRole('group', { name: /The hull in the round/ }).waitFor();
  await page.waitForTimeout(2500);
  report(`${boat}, idle`, await gapsWhile(page, () => page.waitForTimeout(3000)));
  const grip = await page.locator('[data-grip="sheer 3"]').nth(1).boundingBox();
  if (!grip) throw new Error('the point is not drawn');
  const [x, y] = [grip.x + grip.width / 2, grip.y + grip.height / 2];
  report(`${boat}, dragged`, await drag(x, y));
}
await browser.close();
