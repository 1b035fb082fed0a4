import { expect, test, type Page } from '@playwright/test';
import { expectNoFaults } from './no-faults';
import { unfold } from './slip';

const slipOf = (page: Page) => page.getByRole('complementary', { name: 'The slip', exact: true });
const figure = async (page: Page, name: string) =>
  Number.parseFloat(await slipOf(page).locator('.figure-line', { hasText: name }).locator('.figure').innerText());
const set = async (page: Page, label: string, value: string) => {
  await page.getByLabel(label, { exact: true }).fill(value);
  await page.getByLabel(label, { exact: true }).press('Enter');
};
const stage = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: new RegExp(`^\\d+${name}`) });

/** What is shown is of the card as it is now, not of one on the way to it: only then it goes into the table. */
const atRest = (page: Page) => expect(page.getByRole('button', { name: 'Put its lines into the table' })).toBeEnabled();

async function beginWithCard(page: Page) {
  await page.goto('/');
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
  await page.goto('/projects');
  await page.getByRole('button', { name: /^From a card/ }).click();
  await expect(page.getByText(/makes a boat of/)).toBeVisible();
}

test('an empty card, bent to a 4.3 m skiff with flare, on to panels, frames, sheets, gaps, float line, book', async ({
  page,
}) => {
  await beginWithCard(page);
  await expectNoFaults(page);
  await unfold(page, 'Frames on the card', 'Its edges');
  // cut shorter, and broader at the sheer
  await set(page, 'Sheer 3 along', '4420');
  await set(page, 'Chine 3 along', '4330');
  await set(page, 'Out at the sheer', '720');
  await expect.poll(() => figure(page, 'Length over all')).toBeLessThan(4320);
  await atRest(page);
  expect(await figure(page, 'Length over all')).toBeGreaterThan(4200);
  expect(await figure(page, 'Flare at most')).toBeGreaterThan(20);
  // what cannot be is said, and undone
  await set(page, 'Out at the chine', '200');
  await expect(page.getByRole('alert').filter({ hasText: 'apart; the sheet is' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Put its lines into the table' })).toBeDisabled();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'apart; the sheet is' })).toBeHidden();
  await page.getByRole('button', { name: 'Put its lines into the table' }).click();
  await page.getByRole('tab', { name: 'Three views' }).click();
  await expect(page.getByRole('img', { name: /Lines: profile/ })).toContainText(/4[23]\d\d mm/);
  await stage(page, 'Panels').click();
  await expect(page.locator('path[data-part="Side"]')).toBeVisible();
  await page.getByRole('tab', { name: 'Will they meet?' }).click();
  await expect(slipOf(page)).toContainText('Nineteen times of twenty');
  await stage(page, 'Frames').click();
  await expect(page.getByRole('main', { name: 'Frames' })).toBeVisible();
  await stage(page, 'Sheets').click();
  await expect(page.getByRole('button', { name: 'Look for a better layout' })).toBeEnabled();
  await stage(page, 'Weights').click();
  await expect(slipOf(page)).toContainText(/Least freeboard/);
  await page.getByRole('button', { name: 'Export' }).click();
  const waiting = page.waitForEvent('download');
  await page
    .getByRole('menuitem', { name: /^The book/ })
    .first()
    .click();
  expect((await waiting).suggestedFilename()).toMatch(/book/);
});

test('fields stepped faster than the slip is drawn all keep what they were set to', async ({ page }) => {
  await beginWithCard(page);
  await unfold(page, 'Frames on the card', 'Its edges');
  const fields = ['Sheer 3 along', 'Chine 3 along', 'Out at the sheer'];
  const figures = () =>
    Promise.all(fields.map(async (label) => Number(await page.getByLabel(label, { exact: true }).inputValue())));
  const before = await figures();
  // no frame is drawn between them: what the slip shows at the second is of before the first
  await page.evaluate(async (labels) => {
    for (const label of labels) {
      const field = document.querySelector(`input[aria-label="${label}"]`);
      field?.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp', bubbles: true }));
      await Promise.resolve();
    }
  }, fields);
  await expect.poll(figures).toEqual(before.map((mm) => mm + 1));
  await atRest(page);
  for (const left of [2, 1, 0]) {
    await page.keyboard.press('Control+z');
    await expect.poll(async () => (await figures()).filter((mm, k) => mm !== before[k]).length).toBe(left);
  }
});

test('a handle dragged: the boat follows and keeps its place under the pointer; one drag is one thing to undo', async ({
  page,
}) => {
  await beginWithCard(page);
  await atRest(page);
  const before = await figure(page, 'Length over all');
  const handle = page.getByRole('button', { name: /^Breadth of frame 1 at the sheer/ });
  const box = await handle.boundingBox();
  if (!box) throw new Error('no handle');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let k = 1; k <= 8; k++) await page.mouse.move(x, y - k);
  await expect.poll(() => figure(page, 'Length over all')).toBeLessThan(before);
  await page.mouse.up();
  await atRest(page);
  const after = await figure(page, 'Length over all');
  // eight pixels are some eighty millimetres: not a runaway
  expect(before - after).toBeLessThan(200);
  await handle.focus();
  await page.keyboard.press('Shift+ArrowDown');
  await expect.poll(() => figure(page, 'Length over all')).toBeGreaterThan(after);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect.poll(() => figure(page, 'Length over all')).toBe(before);
  await page.reload();
  await expect(page.getByText(/makes a boat of/)).toBeVisible();
  // the slip is filled a moment after the page on a busy machine
  await expect.poll(() => figure(page, 'Length over all')).toBe(before);
});

test('a boat of a table is offered a card, and her table stays; on a telephone nothing scrolls sideways', async ({
  page,
}) => {
  await page.goto('/');
  await stage(page, 'Lines').click();
  await page.getByRole('tab', { name: 'Bend a card' }).click();
  await page.getByRole('button', { name: 'Begin with a card' }).click();
  await expect(page.getByText(/makes a boat of/)).toBeVisible();
  await page.setViewportSize({ width: 390, height: 844 });
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.getByRole('tab', { name: 'Three views' }).click();
  await expect(page.getByRole('img', { name: /Lines: profile/ })).toContainText('4279 mm');
});

test('a side of the boat as a card: its edge dragged, the boat bent to follow, her other lines as they were', async ({
  page,
}) => {
  await page.goto('/');
  await stage(page, 'Lines').click();
  await page.getByRole('tab', { name: 'Bend a card' }).click();
  await page.getByRole('button', { name: 'Take the side' }).click();
  await expect(page.getByText(/makes a boat of/)).toBeVisible();
  await expectNoFaults(page);
  await atRest(page);
  const before = await figure(page, 'Hollow of the sheer');
  const point = page.getByRole('button', { name: /^Point 5 of the sheer/ });
  await point.focus();
  for (let k = 0; k < 3; k++) await page.keyboard.press('Shift+ArrowDown');
  await expect.poll(() => figure(page, 'Hollow of the sheer')).toBeGreaterThan(before + 15);
  await page.getByRole('button', { name: 'Put its lines into the table' }).click();
  await page.getByRole('tab', { name: 'The table' }).click();
  await expect(page.getByRole('rowheader', { name: 'Keel' }).first()).toBeVisible();
  await page.getByRole('tab', { name: 'Bend a card' }).click();
  await page.getByRole('button', { name: 'Take the card away' }).click();
  await expect(page.getByRole('button', { name: 'Begin with a card' })).toBeVisible();
});

test('a pram: the bow spread on a transom of its own, broadened, put into the table, and cut', async ({ page }) => {
  await beginWithCard(page);
  const slip = page.getByRole('complementary', { name: 'The slip', exact: true });
  await slip.getByRole('button', { name: /^Her ends/ }).click();
  await slip.getByRole('checkbox', { name: 'Bow is a transom' }).click();
  const handle = page.getByRole('button', { name: /^Breadth of the bow at the sheer/ });
  await expect(handle).toBeVisible();
  await atRest(page);
  const before = await figure(page, 'Length over all');
  // a straighter sheet is a longer boat
  await handle.focus();
  await page.keyboard.press('Shift+ArrowUp');
  await page.keyboard.press('Shift+ArrowUp');
  await expect(slip.getByRole('textbox', { name: 'Bow, sheer' })).toHaveValue(/^320/);
  await expect.poll(() => figure(page, 'Length over all')).toBeGreaterThan(before);
  await expectNoFaults(page);
  await page.getByRole('button', { name: 'Put its lines into the table' }).click();
  await page.getByRole('tab', { name: 'The table' }).click();
  await expect(page.getByRole('columnheader', { name: /bow/ }).first()).toBeVisible();
  await stage(page, 'Panels').click();
  await expect(page.getByText('Bow transom').first()).toBeVisible();
});
