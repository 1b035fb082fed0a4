import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';

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
  await expect(page.getByRole('cell', { name: 'none' })).toBeVisible(); // the bottom comes out of one sheet
  await page.getByRole('link', { name: /Sheets/ }).click();
  await expect(page.getByRole('button', { name: 'Lay out sheets again' })).toBeEnabled();
  await expect(page.getByRole('row', { name: /Bow transom/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Frame 1/ })).toBeHidden(); // sawn timber, not plywood
  await page.getByRole('link', { name: /Epoxy/ }).click();
  await expect(page.getByRole('heading', { name: 'Fillets' })).toBeHidden();
});

test('a laid-out sheet goes out as SVG at true scale', async ({ page }) => {
  await openOrrin(page);
  await page.getByRole('link', { name: /Sheets/ }).click();
  await expect(page.getByRole('button', { name: 'Lay out sheets again' })).toBeEnabled();
  await page.getByRole('button', { name: 'Export' }).click();
  const waiting = page.waitForEvent('download');
  await page.getByRole('menuitemradio', { name: 'SVG' }).click();
  await page.getByRole('menuitem', { name: /^Sheet 1, 6 mm, SVG/ }).click();
  const svg = readFileSync(await (await waiting).path(), 'utf8');
  // the page: a sheet of 2440 × 1220, 20 mm round it, and the 100 mm check square below
  expect(svg).toContain('width="2480mm" height="1380mm" viewBox="0 0 2480 1380"');
  expect(svg.match(/class="cut"/g)?.length).toBeGreaterThan(0);
});

test('what the browser prints of each stage are its sheets, on the paper of the boat’s unit', async ({ page }) => {
  await openOrrin(page);
  for (const [key, stage, said] of [
    ['1', 'Lines', 'Table of offsets'],
    ['2', 'Panels', 'Transom, 1 to cut'],
    ['3', 'Frames', 'from the stem'],
    ['4', 'Joints', 'distances from the fore end'],
    ['6', 'Epoxy & glass', 'to buy'],
  ] as const) {
    await page.keyboard.press('Escape');
    await page.keyboard.press(key);
    await expect(page.getByRole('main', { name: stage })).toBeVisible();
    // the words are read while it prints: nothing of them is in the page before or after
    await page.evaluate(() => {
      const read = () => {
        document.body.dataset['printed'] = document.querySelector('.printed-sheets')?.textContent ?? '';
      };
      window.addEventListener('beforeprint', read, { once: true });
    });
    const pdf = Buffer.from(await page.pdf({ preferCSSPageSize: true })).toString('latin1');
    const words = await page.evaluate(() => document.body.dataset['printed']);
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
