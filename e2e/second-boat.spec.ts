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
  await page.getByRole('menuitem', { name: /^sheet-6mm-sheet-6-1, SVG/ }).click();
  const svg = readFileSync(await (await waiting).path(), 'utf8');
  // the page: a sheet of 2440 × 1220, 20 mm round it, and the 100 mm check square below
  expect(svg).toContain('width="2480mm" height="1380mm" viewBox="0 0 2480 1380"');
  expect(svg.match(/class="cut"/g)?.length).toBeGreaterThan(0);
});

test('what is printed is the stage, not the bench round it', async ({ page }) => {
  await openOrrin(page);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeHidden();
  await expect(page.getByRole('slider')).toBeHidden();
  await expect(page.getByRole('img', { name: /Lines: profile/ })).toBeVisible();
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
