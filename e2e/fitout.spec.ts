/** Inside and on top of one's own hull: a sole, two seats and a foredeck, through to the sheets and the paper. */
import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { expectNoFaults } from './no-faults';
import { unfold } from './slip';

const slipOf = (page: Page) => page.getByRole('complementary', { name: 'The slip', exact: true });

async function add(page: Page, kind: string): Promise<void> {
  await page.getByRole('button', { name: 'Add a part' }).first().click();
  await page.getByRole('menuitem', { name: kind, exact: true }).click();
  await expect(slipOf(page).getByRole('textbox', { name: 'Name', exact: true })).toHaveValue(kind);
}

async function type(page: Page, label: string, value: string): Promise<void> {
  const field = slipOf(page).getByRole('textbox', { name: label, exact: true });
  await field.fill(value);
  await field.press('Enter');
}

test('a sole, two seats and a foredeck in one’s own hull: cut, supported, laid out, marked, printed', async ({
  page,
}) => {
  await page.goto('/');
  const table = readFileSync(new URL('../docs/samples/tamsel.csv', import.meta.url), 'utf8');
  await page
    .getByLabel('Import a file')
    .setInputFiles({ name: 'my boat.csv', mimeType: 'text/csv', buffer: Buffer.from(table) });
  await expect(page.getByRole('link', { name: /My boat/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('5');
  await expect(page.getByRole('main', { name: 'Inside & top' })).toBeVisible();
  await expect(slipOf(page)).toContainText('Nothing lies inside yet');

  await add(page, 'Sole');
  const drawn = page.locator('path[data-part]');
  await expect(drawn.first()).toBeVisible();
  // it spans too far, and says how many bearers are wanting: one press puts them there
  await expect(slipOf(page)).toContainText('lies free over');
  await slipOf(page)
    .getByRole('button', { name: /^Put .* under it$/ })
    .click();
  await expect(slipOf(page)).not.toContainText('lies free over');
  await unfold(page, 'What it lies on');
  await expect(slipOf(page).getByRole('table', { name: /^Under it/ })).toContainText('bearer 5');

  await add(page, 'Side seat');
  await expect(slipOf(page)).toContainText('a pair, port and starboard');
  await add(page, 'Foredeck');
  await unfold(page, 'What it lies on');
  await expect(slipOf(page).getByRole('table', { name: /^Planed off the sheer/ })).toContainText('station 1');
  await expect(slipOf(page)).toContainText('kg a metre');
  // higher than the sheer is told, and undone
  await type(page, 'Height, after end', '700');
  await expect(slipOf(page)).toContainText('under foredeck');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(slipOf(page)).not.toContainText('under foredeck');

  await page.getByRole('tab', { name: 'As it is cut' }).click();
  await expect(page.locator('path[data-part="Foredeck"]')).toBeVisible();
  await page.getByRole('tab', { name: 'Across' }).click();
  await page.getByRole('textbox', { name: 'Across at, from the stem' }).fill('2800');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Side seat: \d+ mm up$/)).toBeVisible();
  await expect(page.getByText(/^Sole: \d+ mm up$/)).toBeVisible();
  await expectNoFaults(page);

  // kept over a reload, and found by name from another stage
  await page.reload();
  await expect(page.locator('path[data-part="Foredeck"]').first()).toBeVisible();
  await page.keyboard.press('2');
  await page.keyboard.press('/');
  await page.keyboard.type('Side seat');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('main', { name: 'Inside & top' })).toBeVisible();
  await expect(slipOf(page).getByRole('textbox', { name: 'Name', exact: true })).toHaveValue('Side seat');

  await page.keyboard.press('Escape');
  await page.keyboard.press('7');
  await expect(page.getByRole('main', { name: 'Sheets' })).toBeVisible();
  await unfold(page, 'Parts to cut');
  for (const part of ['Foredeck', 'Side seat', 'Sole'])
    await expect(slipOf(page).getByRole('table').filter({ hasText: part }).first()).toBeVisible();
  await page.keyboard.press('8');
  await expect(page.getByRole('main', { name: 'Timber' })).toContainText(/cleat|bearer/);
});

test('in a boat of feet and inches its parts are in them and in nothing else', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('main')).toBeVisible();
  await page.goto('/project/demo-orrin/fitout');
  await expect(page.getByRole('main', { name: 'Inside & top' })).toBeVisible();
  for (const kind of ['Sole', 'Foredeck', 'Thwart']) {
    await add(page, kind);
    await unfold(page, 'Its edges', 'What it lies on', 'In pieces', 'Hatches', 'Along the skin');
    if (kind === 'Foredeck') await expect(slipOf(page)).toContainText(/a foot/);
    await expect(slipOf(page)).toContainText(/\d ft²/);
    await expect(slipOf(page)).not.toContainText(/\d (mm|m|m²|kg|g)\b/);
  }
});
