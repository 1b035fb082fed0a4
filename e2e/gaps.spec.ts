import { expect, test, type Page } from '@playwright/test';
import { expectNoFaults } from './no-faults';
import { unfold } from './slip';

const slipOf = (page: Page) => page.getByRole('complementary', { name: 'The slip', exact: true });
const figure = (page: Page, name: string) =>
  slipOf(page).locator('.figure-line', { hasText: name }).locator('.figure').innerText();
const millimetres = async (page: Page) => Number.parseFloat(await figure(page, 'Nineteen times of twenty'));

async function openGaps(page: Page) {
  await page.goto('/');
  const stages = page.getByRole('navigation', { name: 'Stages' });
  await expect(stages).toBeVisible();
  await stages.getByRole('link', { name: 'Panels' }).click();
  await page.getByRole('tab', { name: 'Will they meet?' }).click();
  await expect(slipOf(page)).toContainText('What would halve it');
}

test('gaps foretold: what they come of, working truer and taking it back, a gap measured and found in the log', async ({
  page,
}) => {
  await openGaps(page);
  const before = await millimetres(page);
  expect(before).toBeGreaterThan(0.5);
  await expect(page.getByText('worst: within')).toBeVisible();
  await slipOf(page).getByRole('button', { name: 'Plan to work so' }).click();
  await expect.poll(() => millimetres(page)).toBeLessThan(before);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect.poll(() => millimetres(page)).toBe(before);
  await unfold(page, 'How true you work', 'Gaps measured', 'All seams');
  await page.getByLabel('Frames set within').fill('many');
  await expect(slipOf(page)).toContainText(/Expected/);
  await page.getByLabel('Frames set within').fill('0');
  await page.getByLabel('Frames set within').press('Enter');
  await expect.poll(() => millimetres(page)).toBeLessThan(before);
  await page.getByLabel('From its fore end').fill('99999');
  await page.getByLabel('From its fore end').press('Enter');
  await expect(slipOf(page).getByRole('alert')).toContainText('The seam is');
  await page.getByLabel('From its fore end').fill('1200');
  await page.getByLabel('From its fore end').press('Enter');
  await page.getByLabel('It gapes').fill('0.7');
  await page.getByLabel('It gapes').press('Enter');
  await slipOf(page).getByRole('button', { name: 'Write the gap down' }).click();
  await expect(page.getByRole('table', { name: 'Gaps measured and foretold' })).toContainText('1200');
  await expectNoFaults(page);
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Log' }).click();
  await expect(page.getByText('Gap at the keel, 1200 mm from its fore end').first()).toBeVisible();
});

test('on a telephone the seam stands under the panels, and nothing scrolls sideways', async ({ page }) => {
  await openGaps(page);
  await page.setViewportSize({ width: 390, height: 844 });
  await expect(page.getByRole('img', { name: /Gap along the/ })).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
});
