/**
 * How much of its place each stage's drawing covers, by the boxes around what is drawn, alone and together with the
 * hull in the round, at two sizes of window. Run: npx tsx bench/drawing-share.ts URL [folder for pictures], with the
 * application served there.
 */
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../e2e/chromium';

const [url = 'http://localhost:4173', folder] = process.argv.slice(2);
const SIZES = [
  { width: 1280, height: 800 },
  { width: 1920, height: 1080 },
  { width: 390, height: 844 },
] as const;
const STAGES = ['lines', 'panels', 'frames', 'joints', 'sheets', 'epoxy'];

/** In the page, where a compiled function would lack its helpers: the boxes of the place, the drawing and the hull. */
const BOXES = `(() => {
  const surface = document.querySelector('.drawing-surface');
  if (!surface) return null;
  const box = (element) => {
    if (!element) return null;
    const { left, top, right, bottom } = element.getBoundingClientRect();
    return { left, top, right, bottom };
  };
  const hull = surface.querySelector('[role=group][aria-label*="in the round"]');
  return { place: box(surface), drawing: box(surface.querySelector('svg > g')), hull: box(hull) };
})()`;

type Box = { readonly left: number; readonly top: number; readonly right: number; readonly bottom: number };
type Boxes = { readonly place: Box; readonly drawing: Box; readonly hull: Box | null } | null;

const area = ({ left, top, right, bottom }: Box) => Math.max(0, right - left) * Math.max(0, bottom - top);
const common = (a: Box, b: Box): Box => ({
  left: Math.max(a.left, b.left),
  top: Math.max(a.top, b.top),
  right: Math.min(a.right, b.right),
  bottom: Math.min(a.bottom, b.bottom),
});

const browser = await chromium.launch(CHROMIUM);
const context = await browser.newContext({ serviceWorkers: 'block', reducedMotion: 'reduce' });
const page = await context.newPage();
await page.goto(url);
await page.getByRole('img', { name: /Lines: profile/ }).waitFor();
for (const size of SIZES) {
  await page.setViewportSize(size);
  for (const stage of STAGES) {
    await page.goto(`${url}/project/demo-tamsel/${stage}`);
    if (stage === 'sheets') await page.getByRole('button', { name: 'Lay out sheets again' }).waitFor();
    await page.waitForTimeout(stage === 'sheets' ? 6000 : 2000);
    if (folder !== undefined) await page.screenshot({ path: join(folder, `${stage}-${size.width}.png`) });
    // as BOXES has it
    const boxes = (await page.evaluate(BOXES)) as Boxes;
    if (!boxes) {
      console.log(`${size.width} ${stage}: no drawing`);
      continue;
    }
    const { place } = boxes;
    const drawing = common(boxes.drawing, place);
    const hull = boxes.hull && common(boxes.hull, place);
    const both = area(drawing) + (hull ? area(hull) - area(common(hull, drawing)) : 0);
    const share = (part: number) => (part / area(place)).toFixed(2);
    console.log(`${size.width} ${stage}: drawing ${share(area(drawing))}, with the hull ${share(both)}`);
  }
}
await browser.close();
