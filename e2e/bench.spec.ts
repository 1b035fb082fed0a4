/** The bench itself: the strip above the drawing, and the slip made wider, folded and opened. */
import { expect, test, type Page } from '@playwright/test';
import { expectNoFaults } from './no-faults';
import { keyOf, STAGES, unfold } from './slip';

async function openFrames(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('img', { name: /Lines: profile/ })).toBeVisible();
  await page.keyboard.press('3');
  await expect(page.getByRole('main', { name: 'Frames' })).toBeVisible();
}

const markOf = (page: Page, name: string) => page.getByRole('slider', { name, exact: true });
const undo = (page: Page) => page.getByRole('button', { name: /^Undo: / }).click();

test('frames on the strip: dragged, moved by keys, added, taken out, each one thing to undo', async ({ page }) => {
  await openFrames(page);
  const mark = markOf(page, 'Bulkhead 2');
  await expect(mark).toHaveAttribute('aria-valuenow', '2400');
  const box = (await mark.boundingBox())!; // it has just been seen
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (const step of [4, 12, 20, 30]) await page.mouse.move(x + step, y);
  await page.mouse.up();
  await expect(page.getByLabel('Frame', { exact: true })).toHaveText('Bulkhead 2');
  await expect(mark).not.toHaveAttribute('aria-valuenow', '2400');
  await undo(page);
  await expect(mark).toHaveAttribute('aria-valuenow', '2400');
  await mark.press('ArrowRight');
  await expect(page.getByLabel('Its face, from the stem')).toHaveValue('2410.0');
  await mark.press('Shift+ArrowLeft');
  await expect(mark).toHaveAttribute('aria-valuenow', '2310');
  // off its end no frame is moved
  for (let i = 0; i < 30; i++) await mark.press('Shift+ArrowLeft');
  await expect(mark).toHaveAttribute('aria-valuenow', await mark.getAttribute('aria-valuemin').then(String));
  await page.getByRole('button', { name: 'Add a frame' }).click();
  await expect(markOf(page, 'Bulkhead 4')).toBeVisible();
  await expect(page.getByLabel('Frame', { exact: true })).toHaveText('Bulkhead 4');
  await expectNoFaults(page);
  await page.getByRole('button', { name: 'Take it out' }).click();
  await expect(page.getByText('Bulkhead 4 is taken out. Ctrl+Z puts it back.')).toBeVisible();
  await expect(markOf(page, 'Bulkhead 4')).toHaveCount(0);
  await undo(page);
  await expect(markOf(page, 'Bulkhead 4')).toBeVisible();
  // the last frame taken out leaves a place from which one is added
  for (const name of ['Bulkhead 4', 'Bulkhead 3', 'Bulkhead 2', 'Bulkhead 1']) {
    await markOf(page, name).press('Enter');
    await page.getByRole('button', { name: 'Take it out' }).click();
    await expect(markOf(page, name)).toHaveCount(0);
  }
  await expect(page.getByText('No frame stands in this hull. Add one where the boat needs it.')).toBeVisible();
  await page.getByRole('button', { name: 'Add a frame' }).click();
  await expect(markOf(page, 'Frame 1')).toBeVisible();
});

test('joints on the strip: one picked is picked on the panels', async ({ page }) => {
  await openFrames(page);
  await page.keyboard.press('6');
  const scarf = page.getByRole('group', { name: 'Joints along the boat' }).getByRole('button', { name: 'Bottom' });
  await scarf.press('Enter');
  await expect(scarf).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('slider', { name: /^Tape along Bottom/ })).toBeVisible();
  await expectNoFaults(page);
});

test('the slip is made wider, folded away and opened, and lies on the next boat as it lay', async ({ page }) => {
  await openFrames(page);
  const edge = page.getByRole('separator', { name: 'Width of the slip' });
  const slip = page.getByRole('complementary', { name: 'The slip', exact: true });
  const width = async () => Math.round((await slip.boundingBox())?.width ?? 0);
  expect(await width()).toBe(344);
  await edge.press('ArrowLeft');
  expect(await width()).toBe(364);
  const box = (await edge.boundingBox())!; // just used
  await page.mouse.move(box.x + 3, 400);
  await page.mouse.down();
  await page.mouse.move(box.x - 77, 400, { steps: 4 });
  await page.mouse.up();
  expect(await width()).toBe(444);
  await unfold(page, 'Edges and bevels');
  await expect(page.getByRole('table', { name: 'Edges and bevels' })).toBeVisible();
  await page.waitForTimeout(500); // it is kept once it lies still
  await page.reload();
  await expect(page.getByRole('table', { name: 'Edges and bevels' })).toBeVisible();
  expect(await width()).toBe(444);
  await edge.dblclick();
  expect(await width()).toBe(344);
  for (let i = 0; i < 40; i++) await edge.press('ArrowRight');
  expect(await width()).toBe(264);
  await page.getByRole('button', { name: 'Fold the slip away' }).click();
  const folded = page.getByRole('complementary', { name: 'The slip, folded away' });
  await expect(folded).toContainText('Bulkhead 1');
  await expect(slip).toHaveCount(0);
  await expectNoFaults(page);
  await page.keyboard.press('2');
  await expect(folded).toContainText('Bottom');
  await page.getByRole('button', { name: 'Open the slip' }).click();
  await expect(slip).toBeVisible();
});

async function find(page: Page, words: string): Promise<void> {
  await page.keyboard.press('/');
  await page.getByRole('combobox', { name: /Find/ }).fill(words);
  await page.keyboard.press('Enter');
}

test('find reaches transoms, sheets and parts: each is picked, and its figures are on the slip', async ({ page }) => {
  await openFrames(page);
  await expect(page.getByText('Half-breadth inside the skin')).toBeVisible();
  const slip = page.getByRole('complementary', { name: 'The slip' });
  await find(page, 'Transom: Transom');
  await expect(page.getByRole('main', { name: 'Panels' })).toBeVisible();
  await expect(slip.getByRole('heading', { name: 'Transom', exact: true })).toBeVisible();
  await expect(slip.getByText('over the panels’ ends').or(slip.getByText('between the panels'))).toBeVisible();
  await page.locator('path[data-part="Side"]').click();
  await expect(slip.getByRole('heading', { name: 'Side', exact: true })).toBeVisible();
  await page.locator('path[data-part="Transom"]').click();
  await expect(slip.getByRole('heading', { name: 'Transom', exact: true })).toBeVisible();
  await find(page, 'Part: Side 1 of 2, port');
  await expect(page.getByRole('main', { name: 'Sheets' })).toBeVisible();
  await expect(slip.getByRole('heading', { name: 'Side 1 of 2, port' })).toBeVisible();
  await expect(slip.getByText(/^sheet \d$/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Look for a better layout' })).toBeEnabled();
  await find(page, 'Sheet 2');
  await expect(slip.getByRole('heading', { name: 'Sheet 2' })).toBeVisible();
  await expect(slip.getByText('Parts on it')).toBeVisible();
  await expectNoFaults(page);
});

test('find reaches every setting, folded away or not: the focus is in its field', async ({ page }) => {
  await openFrames(page);
  await expect(page.getByText('Half-breadth inside the skin')).toBeVisible();
  await page.getByRole('button', { name: 'Fold the slip away' }).click();
  await page.keyboard.press('/');
  await page.getByRole('combobox', { name: /Find/ }).fill('Setting:');
  // the list follows what is typed a moment later
  await expect(page.getByRole('option').filter({ hasNotText: /^Setting: / })).toHaveCount(0);
  const all = await page.getByRole('option').allTextContents();
  expect(all.length).toBeGreaterThan(25);
  await page.keyboard.press('Escape');
  for (const words of all) {
    await find(page, words);
    const label = words.replace('Setting: ', '');
    await expect(page.getByRole('complementary').getByLabel(label, { exact: true }).first()).toBeFocused();
    await page.keyboard.press('Escape');
    await page.evaluate('document.activeElement.blur()');
  }
});

test('a word of the trade says what it means, and opens with its drawing; find reaches every one', async ({ page }) => {
  await openFrames(page);
  const slip = page.getByRole('complementary', { name: 'The slip' });
  const skin = slip.locator('a', { hasText: 'skin' }).first();
  await expect(skin).toHaveAttribute('title', /plywood, without frames/);
  await skin.click();
  const words = page.getByRole('dialog', { name: 'The words' });
  await expect(words.getByRole('heading', { name: 'Skin' })).toBeVisible();
  await expect(words.getByRole('img', { name: 'A frame’s edge under the skin' })).toBeVisible();
  await expectNoFaults(page, '[role=dialog]');
  await words.getByRole('button', { name: 'Scarf' }).click();
  await expect(words.getByText(/Two sheets joined by long tapers/)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(words).toBeHidden();
  await find(page, 'Word: Deadrise');
  await expect(words.getByRole('heading', { name: 'Deadrise' })).toBeVisible();
  await words.getByRole('button', { name: 'Close' }).click();
  await expect(words).toBeHidden();
  expect(new URL(page.url()).hash).toBe('');
});

test('a small edit leaves the hull’s picture where it is: another place would be another picture @round', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('tab', { name: 'The table' }).click();
  const cell = page.getByLabel('Sheer 3, half-breadth', { exact: true });
  await cell.fill('538');
  await cell.press('Enter');
  await page.getByRole('link', { name: /Panels/ }).click();
  const hull = page.getByRole('group', { name: /The hull in the round/ });
  await expect(hull).toBeVisible();
  const area = page.getByText('Area', { exact: true }).locator('..');
  await page.locator('path[data-part="Side"]').click();
  await expect(area).toContainText('m²');
  const place = () => hull.evaluate((one) => JSON.stringify(one.getBoundingClientRect()));
  const before = await place();
  const length = await page.locator('path[data-part="Side"]').getAttribute('d');
  await page.keyboard.press('Control+z');
  await expect(page.locator('path[data-part="Side"]')).not.toHaveAttribute('d', length ?? '');
  expect(await place()).toBe(before);
});

test('axe finds nothing on any stage, dialog or menu of a wide screen', async ({ page }) => {
  await openFrames(page);
  for (const [i, name] of STAGES.entries()) {
    await page.keyboard.press(keyOf(i));
    await expect(page.getByRole('main', { name })).toBeVisible();
    // all that is folded away too
    const folded = page.locator('.slip-part > h2 > button[aria-expanded=false]');
    while ((await folded.count()) > 0) await folded.first().click();
    await page.waitForTimeout(400);
    await expectNoFaults(page);
  }
  await page.getByRole('button', { name: 'Export' }).click();
  await expect(page.getByRole('menuitem', { name: 'Everything, as one zip' })).toBeVisible();
  await expectNoFaults(page);
  await page.keyboard.press('Escape');
  await page.keyboard.press('2');
  await page.getByRole('button', { name: 'Export' }).click();
  await page.getByRole('menuitemradio', { name: 'PDF, pages to join' }).click();
  await page.getByRole('menuitem', { name: 'Side, PDF, pages to join' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await expectNoFaults(page, '[role=dialog]');
  await page.keyboard.press('Escape');
  for (const open of [
    () => page.getByRole('button', { name: 'Revision 1' }).click(),
    () => page.getByLabel('Unit').click(),
    () => page.keyboard.press('/'),
    () => page.keyboard.press('?'),
  ]) {
    await open();
    await page.waitForTimeout(300);
    await expectNoFaults(page, '.MuiModal-root');
    await page.keyboard.press('Escape');
    await page.waitForTimeout(300);
  }
  await page.goto('/projects');
  await expectNoFaults(page);
  for (const way of [/^From a table/, /^From a few dimensions/]) {
    await page.getByRole('button', { name: way }).click();
    await expectNoFaults(page, '[role=dialog]');
    await page.keyboard.press('Escape');
  }
});
