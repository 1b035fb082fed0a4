import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { keyOf, STAGES, unfold } from './slip';

/** The pram: feet-inches-eighths, flat bottom, two transoms, framed. */
async function openOrrin(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('img', { name: /Lines: profile/ })).toBeVisible();
  await page.goto('/projects');
  await page.getByRole('link', { name: 'Orrin pram' }).click();
  await expect(page.getByRole('img', { name: /Lines: profile/ })).toBeVisible();
}

test('the second school and the second unit, through every stage', async ({ page }) => {
  await openOrrin(page);
  await page.getByRole('tab', { name: 'The table' }).click();
  await expect(page.getByLabel('Sheer 4, half-breadth', { exact: true })).toHaveValue(/^\d+-\d+-\d[+]?$/);
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: /Panels/ }).click();
  await expect(page.getByText('one, across the centreline')).toBeVisible();
  await expect(page.getByText('Bow transom', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: /Frames/ }).click();
  await expect(page.getByLabel('Its face, from the stem')).toHaveValue('2-0-0');
  await page.getByRole('link', { name: /Joints/ }).click();
  await unfold(page, 'Joints, panel by panel');
  await expect(page.getByRole('cell', { name: 'none' })).toBeVisible(); // the bottom comes out of one sheet
  await page.getByRole('link', { name: /Sheets/ }).click();
  await expect(page.getByRole('button', { name: 'Look for a better layout' })).toBeEnabled();
  await unfold(page, 'Parts to cut');
  await expect(page.getByRole('row', { name: /Bow transom/ })).toBeVisible();
  // of sawn timber only the gussets are plywood
  await expect(page.getByRole('row', { name: /Frame 1, gusset 1/ })).toHaveCount(2);
  await expect(page.getByRole('row', { name: /Frame 1(?!, gusset)/ })).toBeHidden();
  await page.getByRole('link', { name: /Epoxy/ }).click();
  await expect(page.getByRole('heading', { name: 'Fillets' })).toBeHidden();
});

/** A figure with a unit of the one system or the other, as it stands on the screen. */
const METRIC = /\d ?(mm²?|cm²?|m²?|kg|g|g\/m²)(?![\p{L}\d])/u;
const IMPERIAL = /\d ?(in|ft|yd|oz|lb|in²|ft²|oz\/yd²)(?![\p{L}\d])|\d-\d+-\d/u;
/** Sheets are sold by millimetres everywhere. */
const SHEETS = /\d+(\/\d+)?( \d+\/\d+)? in \([\d.]+ mm\)|thickness \([\d.]+ mm\)/g;

for (const [demo, shown, isForeign] of [
  ['Orrin pram', 'feet, inches and eighths', (text: string) => METRIC.test(text.replace(SHEETS, ''))],
  ['Tamsel 430', 'millimetres', (text: string) => IMPERIAL.test(text)],
] as const)
  test(`every screen of the ${demo} is in ${shown} and in nothing else`, async ({ page }) => {
    await page.goto('/');
    await expect(page.getByRole('img', { name: /Lines: profile/ })).toBeVisible();
    await page.goto('/projects');
    await page.getByRole('link', { name: demo }).click();
    await expect(page.getByRole('img', { name: /Lines: profile/ })).toBeVisible();
    /** What is read on the page, of which words a program for cutting is meant in millimetres. */
    const look = async (where: string, within = page.locator('body')) => {
      const lines = (await within.innerText()).split('\n');
      const labels = await within
        .locator('label, [aria-label], [title]')
        .evaluateAll((all) =>
          all.flatMap((one) => [
            one.textContent ?? '',
            one.getAttribute('aria-label') ?? '',
            one.getAttribute('title') ?? '',
          ]),
        );
      const foreign = [...lines, ...labels].filter((text) => text.length < 400 && isForeign(text));
      expect([...new Set(foreign)], where).toEqual([]);
    };
    for (const tab of ['Three views', 'The table', 'Mark out']) {
      await page.getByRole('tab', { name: tab }).click();
      await look(tab);
    }
    for (const [i, stage] of STAGES.entries()) {
      if (i === 0) continue; // looked at above, tab by tab
      await page.keyboard.press('Escape');
      await page.keyboard.press(keyOf(i));
      await expect(page.getByRole('main', { name: stage })).toBeVisible();
      if (stage === 'Sheets')
        await expect(page.getByRole('button', { name: 'Look for a better layout' })).toBeVisible();
      await look(stage);
      if (stage === 'Panels') await page.locator('path[data-part="Side"]').click();
      if (stage === 'Panels') await look('Panels, a side picked');
    }
    // what was chosen last is what the next boat begins in
    if (demo === 'Orrin pram') for (const key of 'uuu') await page.keyboard.press(key);
    await page.goto('/projects');
    await page.getByRole('button', { name: 'From a few dimensions' }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await look('a few dimensions', page.getByRole('dialog'));
  });

test('a laid-out sheet goes out as SVG at true scale', async ({ page }) => {
  await openOrrin(page);
  await page.getByRole('link', { name: /Sheets/ }).click();
  await expect(page.getByRole('button', { name: 'Look for a better layout' })).toBeEnabled();
  await page.getByRole('button', { name: 'Export' }).click();
  const waiting = page.waitForEvent('download');
  await page.getByRole('menuitemradio', { name: 'SVG' }).click();
  await page.getByRole('menuitem', { name: 'Sheet 1, 1/4 in (6 mm), SVG' }).click();
  const svg = readFileSync(await (await waiting).path(), 'utf8');
  // the page: a sheet of 96 × 48 in, 20 mm round it, and the 100 mm check square below
  expect(svg).toContain('width="2478.4mm" height="1379.2mm" viewBox="0 0 2478.4 1379.2"');
  expect(svg.match(/class="cut"/g)?.length).toBeGreaterThan(0);
});

/** What the browser prints, and its words, read while it prints: they are in the page neither before nor after. */
async function printed(page: Page): Promise<{ pdf: string; words: string }> {
  await page.evaluate(() => {
    const read = () => {
      document.body.dataset['printed'] = document.querySelector('.printed-sheets')?.textContent ?? '';
    };
    window.addEventListener('beforeprint', read, { once: true });
  });
  const pdf = Buffer.from(await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  return { pdf, words: (await page.evaluate(() => document.body.dataset['printed'])) ?? '' };
}

test('what the browser prints of each stage are its sheets, on the paper of the boat’s unit', async ({ page }) => {
  await openOrrin(page);
  for (const [key, stage, said] of [
    ['1', 'Lines', 'Table of offsets'],
    ['2', 'Panels', 'Transom, 1 to cut'],
    ['3', 'Frames', 'from the stem'],
    ['4', 'Set-up', 'set in this order'],
    ['6', 'Joints', 'distances from the fore end'],
    ['8', 'Timber', 'Chine log'],
    ['9', 'Epoxy & glass', 'to buy'],
  ] as const) {
    await page.keyboard.press('Escape');
    await page.keyboard.press(key);
    await expect(page.getByRole('main', { name: stage })).toBeVisible();
    await expect(page.getByText('Working it out.')).toBeHidden();
    const { pdf, words } = await printed(page);
    expect(words).toContain(said);
    expect(words).toContain('Orrin pram');
    // 279.4 × 215.9 mm, on its side
    const boxes = [...pdf.matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)];
    expect(boxes.length).toBeGreaterThan(0);
    for (const [, wide, high] of boxes) {
      expect(Number(wide)).toBeCloseTo(792, 0);
      expect(Number(high)).toBeCloseTo(612, 0);
    }
    await expect(page.locator('.printed-sheets')).toHaveCount(0);
  }
});

test('nothing is printed of a boat that is not worked out yet; the print asked for comes when it is', async ({
  page,
}) => {
  await openOrrin(page);
  let go = () => {};
  const held = new Promise<void>((resolve) => (go = resolve));
  await page.route(/worker.*\.js$/, async (route) => {
    await held;
    await route.continue();
  });
  await page.addInitScript(() => {
    window.print = () => {
      document.body.dataset['prints'] = `${Number(document.body.dataset['prints'] ?? 0) + 1}`;
    };
  });
  await page.reload();
  await expect(page.getByText('Working it out.')).toBeVisible();
  const { words } = await printed(page);
  expect(words).toBe('Orrin pram, rev 1: nothing is printed. Working it out. Print it again then.');
  await page.getByRole('button', { name: 'Print this stage' }).click();
  await page.keyboard.press('Control+p'); // the same one asked for again
  await expect(page.getByText('It is printed when the boat is worked out.')).toBeVisible();
  await expect(page.locator('body')).not.toHaveAttribute('data-prints');
  go();
  await expect(page.locator('body')).toHaveAttribute('data-prints', '1');
  expect((await printed(page)).words).toContain('Table of offsets');
});

test('a place in the address is opened, and one that is none says so', async ({ page }) => {
  await openOrrin(page);
  await page.goto('/project/demo-orrin/frames');
  await expect(page.getByRole('main', { name: 'Frames' })).toBeVisible();
  await page.goto('/project/demo-orrin/nowhere');
  await expect(page.getByRole('main', { name: 'Lines' })).toBeVisible();
  await page.goto('/project/not-there/lines');
  await expect(page.getByText('This project is not in this browser.')).toBeVisible();
  await page.getByRole('link', { name: 'All projects' }).click();
  await expect(page.getByRole('link', { name: 'Orrin pram' })).toBeVisible();
});
