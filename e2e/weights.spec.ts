import { expect, test, type Page } from '@playwright/test';
import { expectNoFaults } from './no-faults';
import { unfold } from './slip';

const slipOf = (page: Page) => page.getByRole('complementary', { name: 'The slip', exact: true });
const figure = async (page: Page, name: string) =>
  (await slipOf(page).locator('.figure-line', { hasText: name }).locator('.figure').innerText()).trim();

test('afloat: a load moved by keys and by dragging, a standard loading, what is told, undone; on paper', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Weights' }).click();
  await expect(slipOf(page)).toContainText('Bare weight');
  await expect(page.getByText('It approves nothing')).toBeVisible();
  const disc = page.getByRole('button', { name: 'Nets and basket, from above' });
  await disc.focus();
  await page.keyboard.press('Enter');
  await expect(slipOf(page).getByRole('heading', { name: 'Nets and basket' })).toBeVisible();
  for (let k = 0; k < 10; k++) await page.keyboard.press('ArrowDown');
  await expect(page.getByLabel('It, to starboard')).toHaveValue('310.0');
  await expect.poll(() => figure(page, 'Heel')).toMatch(/to starboard/);
  // dragged forward, the bow goes down
  const before = await page.getByLabel('From the stem to it').inputValue();
  const box = (await page.getByRole('button', { name: 'Nets and basket, from the side' }).boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 60, box.y + box.height / 2, { steps: 5 });
  await page.mouse.up();
  await expect.poll(() => page.getByLabel('From the stem to it').inputValue()).not.toBe(before);
  expect(Number(await page.getByLabel('From the stem to it').inputValue())).toBeLessThan(Number(before));
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByLabel('From the stem to it')).toHaveValue(before);
  await page.getByLabel('It weighs, kg').fill('2000');
  await page.getByLabel('It weighs, kg').press('Enter');
  await expect(slipOf(page)).toContainText('sinks to her sheer');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(slipOf(page)).not.toContainText('sinks to her sheer');
  await page.keyboard.press('Escape');
  await unfold(page, 'Aboard', 'What weighs what', 'What things weigh');
  await slipOf(page).getByRole('button', { name: 'One aboard, amidships' }).click();
  await expect(page.getByRole('button', { name: 'Nets and basket, from above' })).toHaveCount(0);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(disc).toBeVisible();
  await page.getByLabel('Float line on the panels').check();
  await page.mouse.move(640, 60);
  await expectNoFaults(page);
  await page.getByRole('button', { name: 'Export' }).click();
  const saving = page.waitForEvent('download');
  await page
    .getByRole('menuitem', { name: /Weights and float line/ })
    .first()
    .click();
  expect((await saving).suggestedFilename()).toMatch(/weights/);
});

test('on a telephone the boat and its figures stand under one another, and nothing scrolls sideways', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/project/demo-tamsel/weights');
  await expect(slipOf(page)).toContainText('Bare weight');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await expectNoFaults(page);
});
