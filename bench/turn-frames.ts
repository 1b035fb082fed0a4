/**
 * Frames while the hull in the round is turned, made large, on the demo boats: gaps between frames as the page is given
 * them, beside those of a bare page. Run: npx tsx bench/turn-frames.ts URL, with the application served there.
 */
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../e2e/chromium';

const [url = 'http://localhost:4173'] = process.argv.slice(2);
const TURNS = 120;

/** In the page: the gaps of so many frames, the pointer moving over the picture with its button held. */
const gaps = (isTurning: boolean) => `(async () => {
  const canvas = document.querySelector('canvas');
  const box = canvas?.getBoundingClientRect();
  const fire = (type, x, y) => canvas?.dispatchEvent(new PointerEvent(type, {
    clientX: box.left + x, clientY: box.top + y, pointerId: 1, button: 0, buttons: 1, bubbles: true,
    pointerType: 'mouse',
  }));
  if (canvas) { canvas.setPointerCapture = () => {}; canvas.releasePointerCapture = () => {}; }
  if (${isTurning}) fire('pointerdown', 300, 200);
  const taken = [];
  let last = await new Promise(requestAnimationFrame);
  for (let i = 0; i < ${TURNS}; i++) {
    if (${isTurning}) fire('pointermove', 300 + 3 * i, 200 + 0.3 * i);
    const now = await new Promise(requestAnimationFrame);
    taken.push(now - last);
    last = now;
  }
  if (${isTurning}) fire('pointerup', 300, 200);
  return taken.sort((a, b) => a - b);
})()`;

const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const tell = async (name: string, isTurning: boolean) => {
  const taken = (await page.evaluate(gaps(isTurning))) as number[]; // as the page returns them
  const share = (of: number) => taken[Math.floor(of * taken.length)]?.toFixed(1);
  console.log(`${name}: median ${share(0.5)} ms, 95th percentile ${share(0.95)} ms`);
};
await page.goto('about:blank');
await tell('a bare page', false);
await page.goto(url);
await page.getByRole('img', { name: /Lines: profile/ }).waitFor();
for (const demo of ['tamsel', 'orrin', 'veyra']) {
  await page.goto(`${url}/project/demo-${demo}/panels`);
  await page.getByRole('button', { name: 'Make the hull large' }).click();
  await page.waitForTimeout(2500);
  // how finely it is drawn while it moves is found out by moving it
  await page.evaluate(gaps(true));
  await tell(demo, true);
}
await browser.close();
