/**
 * Takes one picture of each main view, from demo data, for the README and the guide. Needs a running server: URL as
 * argument.
 */
import { chromium } from '@playwright/test';
import { CHROMIUM } from './chromium';

const base = process.argv[2] ?? 'http://localhost:4173';
const folder = process.argv[3] ?? 'docs/screenshots';
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
page.on('console', (message) => message.type() === 'error' && console.error('page:', message.text()));
page.on('pageerror', (error) => console.error('page:', error.message));
await page.goto(base);
await page.getByRole('navigation', { name: 'Stages' }).waitFor();
const settle = () => page.waitForTimeout(1800);
const shoot = async (name: string) => {
  await settle();
  await page.screenshot({ path: `${folder}/${name}.png` });
};
await shoot('lines');
await page.getByRole('tab', { name: 'The table' }).click();
await shoot('lines-table');
await page.getByRole('tab', { name: 'Mark out' }).click();
await page.getByLabel('The next station').click();
await shoot('mark-out');
for (const [key, name] of [
  ['2', 'panels'],
  ['3', 'frames'],
  ['4', 'setup'],
  ['5', 'fitout'],
  ['6', 'joints'],
  ['7', 'sheets'],
  ['8', 'timber'],
  ['9', 'epoxy'],
  ['0', 'weights'],
  ['p', 'plan'],
] as const) {
  await page
    .locator('main')
    .focus()
    .catch(() => undefined);
  await page.keyboard.press('Escape');
  await page.keyboard.press(key);
  if (name === 'setup') {
    await page.getByRole('button', { name: 'All on their marks' }).click();
    for (const [label, by] of [
      ['Diagonal to port', 8],
      ['Diagonal to starboard', -8],
    ] as const) {
      const field = page.getByRole('textbox', { name: label, exact: true });
      await field.fill(String(Number(await field.inputValue()) + by));
      await field.press('Enter');
      // or the keys of the next stages go into it
      await field.blur();
    }
    await page.getByRole('region', { name: 'Setting up' }).evaluate((region) => region.scrollTo(0, 0));
  }
  if (name === 'fitout') await page.locator('path[data-part="Sole 1"]').click();
  if (name === 'plan') await page.getByRole('button', { name: 'Sealing, coat 1' }).first().click();
  if (name === 'sheets') await page.waitForTimeout(11_000);
  if (name === 'timber') {
    await settle();
    await page.getByText('Planning the sticks.').waitFor({ state: 'hidden' });
  }
  if (name === 'panels') {
    await settle();
    await page.locator('path[data-part="Side"]').click();
    await page.getByRole('slider').hover({ position: { x: 700, y: 20 } });
  }
  await shoot(name);
  if (name !== 'panels') continue;
  await page.getByRole('tab', { name: 'Card model' }).click();
  await page.getByText(/parts on/).waitFor();
  await shoot('card-model');
}
await page.goto(`${base}/project/demo-veyra/panels`);
await page.getByRole('tab', { name: 'Will they meet?' }).click();
await page.getByText('What would halve it').waitFor();
await shoot('gaps');
await page.goto(`${base}/projects`);
await shoot('projects');
await page.goto(`${base}/project/demo-orrin/log`);
await page.getByRole('figure', { name: 'Hours, drawn' }).waitFor();
await shoot('log');
await page.goto(`${base}/project/demo-tamsel/lines`);
await page.getByRole('tab', { name: 'Bend a card' }).click();
await page.getByRole('button', { name: 'Begin with a card' }).click();
await page.getByText(/makes a boat of/).waitFor();
await shoot('bend-card');
// on a tablet
await page.setViewportSize({ width: 1024, height: 768 });
await page.goto(`${base}/project/demo-tamsel/shop?task=${encodeURIComponent('panels/chine-sheer.port')}&step=6`);
await page.getByRole('main', { name: 'Shop view' }).getByText('upper edge', { exact: true }).waitFor();
await shoot('shop');
await browser.close();
