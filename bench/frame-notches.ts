/**
 * A hundred and twenty notches in twelve bulkheads, placed, changed and undone: the gaps between the page's frames, and
 * how long the worker takes. Ten members on the Tamsel's sides and bottom, twelve bulkheads through which they run.
 * Run: npx tsx bench/frame-notches.ts URL, with the application served there.
 */
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../e2e/chromium';
import { plainFrame, plainMember } from '../core/src/frames/index';
import { createDerive, demoProject } from '../core/src/project/index';
import { gapsWhile, report } from './frames';

const BULKHEADS = 12;
const MEMBERS = 10;
/** Until the hull is drawn as at rest. */
const RESTED_MS = 1500;
const base = demoProject('tamsel', 'notches');
const frames = Array.from({ length: BULKHEADS }, (_, i) =>
  plainFrame({ id: `frame.${i + 1}`, name: `Bulkhead ${i + 1}`, x: 900 + 270 * i }),
);
const member = (i: number) =>
  plainMember([], 'mm', {
    ...{ id: `member.${i + 1}`, name: `Stringer ${i + 1}`, width: 20, depth: 15 },
    ...(i < 5 ? { line: 'chine', away: 40 + 55 * i } : { line: 'keel', away: 45 + 45 * (i - 5), to: 4000, from: 850 }),
  });
const project = { ...base, frames: { ...base.frames, frames, members: [] } };
const members = Array.from({ length: MEMBERS }, (_, i) => member(i));

const whole = { ...project, frames: { ...project.frames, members } };
const derive = createDerive();
derive(project);
const start = performance.now();
const { value } = derive(whole).frames;
const placedMs = performance.now() - start;
const notches = value.frames.length * value.members.length;
const again = performance.now();
derive({ ...whole, frames: { ...whole.frames, members: members.map((one) => ({ ...one, depth: 18 })) } });
console.log(
  `${notches} notches in ${value.frames.length} bulkheads: worked out in ${placedMs.toFixed(0)} ms, ` +
    `made deeper in ${(performance.now() - again).toFixed(0)} ms`,
);

const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(process.argv[2] ?? 'http://localhost:4173');
await page.waitForSelector('main');
await page
  .locator('input[type=file]')
  .first()
  .setInputFiles({
    ...{ name: 'notches.kalotrope.json', mimeType: 'application/json' },
    buffer: Buffer.from(JSON.stringify(whole)),
  });
await page.waitForTimeout(2000);
await page.keyboard.press('3');
await page.getByRole('main', { name: 'Frames' }).waitFor();
await page.getByRole('button', { name: 'Members along the hull' }).click();
await page.waitForTimeout(1500);
// found by its name once, and in the page: to look for a label from without costs the page more than the edit
const TAKE_OUT = 'button[aria-label="Take out stringer 1"]';
await page.waitForSelector(TAKE_OUT);
const FOCUS = `(() => { const act = document.querySelector('${TAKE_OUT}'); act?.focus(); return act !== null; })()`;
if (process.argv[3] === 'flat')
  await page
    .getByRole('button', { name: 'Take it off' })
    .click()
    .catch(() => undefined);
await page.evaluate(
  'window.longTasks = []; new PerformanceObserver((list) => list.getEntries().forEach((e) => ' +
    "window.longTasks.push(e.duration))).observe({ entryTypes: ['longtask'] })",
);
report('idle', await gapsWhile(page, () => page.waitForTimeout(3000)));
report(
  'ten members taken out and put in again, twelve notches each',
  await gapsWhile(page, async () => {
    for (let i = 0; i < MEMBERS; i++) {
      // the button goes with its member, and comes back as another
      if (!(await page.evaluate(FOCUS))) throw new Error('there is no stringer to take out');
      await page.keyboard.press('Enter');
      await page.waitForTimeout(300);
      await page.keyboard.press('Control+z');
      await page.waitForTimeout(300);
    }
  }),
);
await page.getByLabel('Deep, off the skin', { exact: true }).focus();
report(
  'changed: its depth, twenty times',
  await gapsWhile(page, async () => {
    for (let i = 0; i < 20; i++) {
      await page.keyboard.press('Control+a');
      await page.keyboard.type(String(15 + (i % 5)));
      await page.keyboard.press('Enter');
      await page.waitForTimeout(300);
    }
    await page.waitForTimeout(RESTED_MS);
  }),
);
report(
  'undone and done again, forty times',
  await gapsWhile(page, async () => {
    for (let i = 0; i < 40; i++) {
      await page.keyboard.press(i % 2 === 0 ? 'Control+z' : 'Control+Shift+z');
      await page.waitForTimeout(100);
    }
    await page.waitForTimeout(RESTED_MS);
  }),
);
const tasks = await page.evaluate<number[]>('window.longTasks');
console.log(
  `tasks of the page's own thread over 50 ms: ${tasks.length}, longest ${Math.max(0, ...tasks).toFixed(0)} ms`,
);
await browser.close();
