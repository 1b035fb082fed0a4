import { readFile } from 'node:fs/promises';
import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { readPdf } from '../core/src/exchange/fixtures/read-pdf';

const openPanels = async (page: Page, boat: string) => {
  await page.goto('/');
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
  await page.goto(`/project/demo-${boat}/panels`);
  await expect(page.getByRole('img', { name: 'Flat panels' })).toBeVisible();
};
const choose = async (page: Page, field: string, option: string | RegExp) => {
  await page.getByLabel(field, { exact: true }).click();
  await page.getByRole('option', { name: option }).click();
};
const noFaults = async (page: Page) => {
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
};

test('a panel that will not develop: the remedy is found, seen, taken, undone', async ({ page }) => {
  await openPanels(page, 'veyra');
  const finding = page.getByText(/Bottom twists 2\.\d° at/);
  await expect(finding).toBeVisible();
  await page.getByRole('button', { name: 'Find the smallest change' }).click();
  const cure = page.getByRole('region', { name: 'What would cure it' });
  await expect(cure.getByText(/^Keel: \d+ mm down at station 2.* Twist is then 0\.\d°/)).toBeVisible();
  await expect(cure.getByText(/^Split the panel by a new line/)).toBeVisible();
  await cure.getByRole('button', { name: 'Show' }).first().click();
  await expect(page.locator('[data-preview="keel"] path')).toHaveCount(1);
  await noFaults(page);
  await cure.getByRole('button', { name: 'Take this' }).first().click();
  await expect(finding).toBeHidden();
  await expect(cure).toBeHidden();
  await page.getByRole('button', { name: /^Undo: Move keel/ }).click();
  await expect(finding).toBeVisible();
  // split instead: a panel more a side, and the name of the new line in the table
  await page.getByRole('button', { name: 'Find the smallest change' }).click();
  await cure.getByRole('button', { name: 'Take this' }).last().click();
  await expect(finding).toBeHidden();
  await expect(page.getByText('Along the chine 2')).toBeVisible();
});

test('how hard it bends, the hand method, holes and a waterline', async ({ page }) => {
  await openPanels(page, 'tamsel');
  await choose(page, 'Show', 'the bend');
  await expect(page.getByText(/^tightest, radius/)).toHaveCount(2);
  await expect(page.getByText('to all that it takes')).toBeVisible();
  await page.getByLabel('By hand').check();
  await expect(page.getByText(/^by hand: \d+\.\d mm off at most/)).toHaveCount(2);
  await page.getByLabel('Holes', { exact: true }).check();
  await page.getByRole('button', { name: 'Mark a waterline' }).click();
  await expect(page.getByLabel('Waterline at height')).toHaveValue('150.0');
  await noFaults(page);
  await choose(page, 'Show', 'the stretch');
  await expect(page.getByText(/what is lost in the joints/)).toBeVisible();
});

test('thickness moves the edges, and the base line the figures', async ({ page }) => {
  await openPanels(page, 'tamsel');
  const along = page.getByText('Along the chine', { exact: true }).locator('..');
  const before = await along.textContent();
  await choose(page, 'Lines: skin’s', 'inside');
  await expect(along).not.toHaveText(before ?? '');
  await expect(page.getByRole('table', { name: 'Edges that meet' }).getByText('0.000')).toBeVisible();
  const table = page.getByRole('table', { name: 'Offsets to mark out' });
  await expect(table.getByText('−').or(table.getByText('-'))).toHaveCount(0);
  await choose(page, 'Base line', /shortest square/);
  await expect(table.locator('td').filter({ hasText: /^[−-]/ }).first()).toBeVisible();
  await choose(page, 'At', 'station 2');
  await expect(page.getByText(/Bottom here is bowed/)).toBeVisible();
});

test('the hull folds up by a slider, by keyboard too', async ({ page }) => {
  await openPanels(page, 'orrin');
  await page.getByRole('tab', { name: 'Fold it up' }).click();
  const slider = page.getByRole('slider', { name: 'Folded up' });
  await slider.focus();
  await page.keyboard.press('PageUp');
  await expect(slider).toHaveAttribute('aria-valuetext', '10 %');
  await page.keyboard.press('End');
  await expect(slider).toHaveAttribute('aria-valuetext', '100 %');
  await expect(page.getByRole('group', { name: /The hull in the round/ })).toBeVisible();
  await noFaults(page);
});

test('a card model as a file that is true to size', async ({ page }) => {
  await openPanels(page, 'orrin');
  await page.getByRole('tab', { name: 'Card model' }).click();
  await choose(page, 'Scale', '1:12');
  await expect(page.getByText(/^\d+ parts on/)).toBeVisible();
  await noFaults(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the pages as PDF' }).click(),
  ]);
  const pages = readPdf(new Uint8Array(await readFile(await download.path())));
  expect(pages.length).toBeGreaterThan(0);
  for (const { widthMm, words } of pages) {
    expect(widthMm).toBeCloseTo(297, 0);
    expect(words).toContain('card model 1:12');
  }
});

test('what is marked out goes out as a table, from the line that was chosen', async ({ page }) => {
  await openPanels(page, 'tamsel');
  await choose(page, 'Base line', /ends of the lower edge/);
  await page.getByLabel('Step', { exact: true }).fill('150');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Strike a straight line from end to end/)).toBeVisible();
  const row = page.getByRole('table', { name: 'Offsets to mark out' }).getByRole('row').nth(3);
  const shown = (await row.getByRole('cell').allTextContents()).map((text) => text.replace('−', '-'));
  await page.getByRole('button', { name: 'Export' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Bottom, offsets to mark out, CSV' }).click(),
  ]);
  const lines = (await readFile(await download.path(), 'utf8')).trim().split('\n');
  expect(lines[0]).toBe('along,lower_edge,upper_edge');
  const written = (lines[3] ?? '').split(',').map(Number);
  shown.forEach((text, i) => expect(Math.abs(Number.parseFloat(text) - (written[i] ?? NaN))).toBeLessThan(1));
  expect(written[0]).toBe(300);
});

test('on a narrow screen the page does not scroll sideways, whichever view', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 800 });
  await openPanels(page, 'veyra');
  for (const view of ['Flat shapes', 'Fold it up', 'Card model']) {
    await page.getByRole('tab', { name: view }).click();
    await expect(page.getByRole('tab', { name: view })).toHaveAttribute('aria-selected', 'true');
    expect(await page.evaluate('document.documentElement.scrollWidth')).toBeLessThanOrEqual(390);
  }
});
