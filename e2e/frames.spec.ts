/** A frame shaped, cut and copied; members along the hull; what is too near is told. */
import { expect, test, type Page } from '@playwright/test';
import { expectNoFaults } from './no-faults';
import { unfold } from './slip';

async function openFrames(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('img', { name: /Lines: profile/ })).toBeVisible();
  await page.keyboard.press('3');
  await expect(page.getByRole('main', { name: 'Frames' })).toBeVisible();
}

const slip = (page: Page) => page.getByRole('complementary', { name: 'The slip' });
const field = (page: Page, label: string) => slip(page).getByLabel(label, { exact: true });
async function type(page: Page, label: string, text: string): Promise<void> {
  await field(page, label).fill(text);
  await page.keyboard.press('Enter');
}
async function choose(page: Page, label: string, option: string): Promise<void> {
  await field(page, label).click();
  await page.getByRole('option', { name: option, exact: true }).click();
}
/** The outline of what is cut, as it is drawn. */
const drawn = (page: Page) => page.locator('path[data-part]').first().getAttribute('d');

test('a frame is named, copied, measured from another, and made into a ring', async ({ page }) => {
  await openFrames(page);
  await type(page, 'Name', 'Fore bulkhead');
  await expect(page.getByRole('slider', { name: 'Fore bulkhead', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Copy it' }).click();
  await expect(field(page, 'Name')).toHaveValue('Fore bulkhead 4');
  await choose(page, 'Measured', 'from Bulkhead 2');
  await type(page, 'Its face, from Bulkhead 2', '400');
  await expect(page.getByRole('slider', { name: 'Fore bulkhead 4', exact: true })).toHaveAttribute(
    'aria-valuenow',
    '2800',
  );
  const plate = await drawn(page);
  await choose(page, 'What it is', 'ring frame, plywood');
  await expect.poll(() => drawn(page)).not.toBe(plate);
  await unfold(page, 'Its shape');
  await type(page, 'Rake, top aft, °', '8');
  await expect(field(page, 'Rake, top aft, °')).toHaveValue('8');
  await type(page, 'Rake, top aft, °', '60');
  await expect(slip(page).getByText('Expected a figure from -45 ° to 45 °')).toBeVisible();
  await page.keyboard.press('Escape');
  // a level top begins as high as the sheer, so that nothing vanishes
  await choose(page, 'Its top', 'level at a height');
  await expect(field(page, 'Height of the top')).not.toHaveValue('0.0');
  await expect(page.locator('path[data-part="Fore bulkhead 4"]')).toBeVisible();
  await expectNoFaults(page);
});

test('an opening too near the edge is told, and so is a limber hole off the part', async ({ page }) => {
  await openFrames(page);
  await page.getByRole('slider', { name: 'Bulkhead 3' }).press('Enter');
  await unfold(page, 'Openings, holes and slots');
  await slip(page).getByRole('button', { name: 'Take out opening 1' }).click();
  await slip(page).getByRole('button', { name: 'Add an opening' }).click();
  await expect(slip(page).getByText('Nothing wrong that can be seen from here.')).toBeVisible();
  await type(page, 'Middle, up', '110');
  await expect(slip(page).getByText(/Bulkhead 3: opening 1 leaves .* of plywood to the edge, for 60 mm/)).toBeVisible();
  await page.getByRole('button', { name: /^Undo: Bulkhead 3: opening 1/ }).click();
  await expect(slip(page).getByText('Nothing wrong that can be seen from here.')).toBeVisible();
  await type(page, 'Out along the edge', '900');
  await expect(slip(page).getByText('Bulkhead 3: limber hole 1 lies off the part.')).toBeVisible();
});

test('a member is added once and notches every frame; the bevels along its line are there', async ({ page }) => {
  await openFrames(page);
  await unfold(page, 'Members along the hull', 'Bevels along a line');
  const before = await drawn(page);
  await slip(page).getByRole('button', { name: 'Add a member' }).click();
  await expect(field(page, 'Name').last()).toHaveValue('Stringer 3');
  await expect.poll(() => drawn(page)).not.toBe(before);
  const rows = slip(page).getByRole('table', { name: 'Members' }).getByRole('row');
  await expect(rows).toHaveCount(4);
  await choose(page, 'It lies', 'along the centreline');
  await expect(
    slip(page)
      .getByText(/limber hole 1 and the notch for Stringer 3 are .* apart/)
      .first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Take out stringer 3' }).click();
  await expect(rows).toHaveCount(3);
  await expect(slip(page).getByRole('table', { name: 'Bevels along chine' }).getByRole('row')).not.toHaveCount(0);
  await expect(slip(page).getByText('Rip at')).toBeVisible();
  await expectNoFaults(page);
});

test('on a phone the tape stays at the foot of the screen, and nothing lies under it at the end', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openFrames(page);
  const tape = page.getByRole('region', { name: 'The tape' });
  const last = slip(page).getByRole('region', { name: 'Bevels along a line' });
  await last.getByRole('button').scrollIntoViewIfNeeded();
  const [tapeBox, lastBox] = [await tape.boundingBox(), await last.boundingBox()];
  expect(tapeBox!.y + tapeBox!.height).toBeCloseTo(844, 0); // both are on the page: just scrolled to
  expect(lastBox!.y + lastBox!.height).toBeLessThanOrEqual(tapeBox!.y + 1);
});

test('a frame of timber has its pieces; a girder is added, picked, halved, and stands on the sheets', async ({
  page,
}) => {
  await openFrames(page);
  await choose(page, 'What it is', 'sawn frame, timber');
  await unfold(page, 'Its timbers', 'Girders along the boat', 'Screws and staples');
  const pieces = slip(page).getByRole('table', { name: 'Pieces' });
  await expect(pieces.getByRole('row', { name: /^Floor 2/ })).toBeVisible();
  await expect(pieces.getByRole('row', { name: /^Butt block 2/ })).toBeVisible();
  await choose(page, 'At the corners', 'the floor runs out to the skin');
  await expect(
    slip(page)
      .getByText(/at the skin: .* long inside/)
      .first(),
  ).toBeVisible();
  await slip(page).getByRole('button', { name: 'Add a girder' }).click();
  await expect(page.getByRole('img', { name: 'Girder 1' })).toBeVisible();
  await choose(page, 'At the frames', 'in pieces between them');
  await expect(slip(page).getByRole('row', { name: /^Girder 1 1 [23]/ })).toBeVisible();
  await type(page, 'Screws every, 0: none', '100');
  await expect(
    slip(page)
      .getByRole('table', { name: /^Screws/ })
      .getByRole('row'),
  ).not.toHaveCount(0);
  await type(page, 'Height, fore end', '1');
  await type(page, 'Height, after end', '1');
  await expect(slip(page).getByText(/Nothing is left of Girder 1/)).toBeVisible();
  await page.getByRole('button', { name: 'Take out girder 1' }).click();
  await expect(slip(page).getByText(/Nothing is left of Girder 1/)).toBeHidden();
  await expectNoFaults(page);
});

test('a shape traced from a photo becomes a part, with a cleat along its top', async ({ page }) => {
  await openFrames(page);
  // any picture will do: the rectangle is where it is said to be
  const photo = await page.screenshot();
  await page.getByText('Shapes taken off a boat').click();
  await page.getByRole('button', { name: 'Add a shape' }).click();
  await page.getByRole('button', { name: 'Trace a photo' }).click();
  await page
    .getByLabel('A photo of the template')
    .setInputFiles({ name: 'template.png', mimeType: 'image/png', buffer: photo });
  const picture = page.getByRole('img', { name: 'The photo' });
  await expect(picture).toBeVisible();
  const box = await picture.boundingBox();
  if (!box) throw new Error('no picture');
  const clickAt = (x: number, y: number) => picture.click({ position: { x: x * box.width, y: y * box.height } });
  // a rectangle with its lower inner corner on the centreline, 300 mm by 200
  for (const [x, y] of [
    [0.1, 0.9],
    [0.7, 0.9],
    [0.7, 0.3],
    [0.1, 0.3],
  ] as const)
    await clickAt(x, y);
  await page.getByLabel('Rectangle, athwart').fill('300');
  await page.getByLabel('Rectangle, up').fill('200');
  await page.getByLabel('Rectangle, up').press('Enter');
  for (const [x, y] of [
    [0.1, 0.9],
    [0.7, 0.9],
    [0.7, 0.3],
  ] as const)
    await clickAt(x, y);
  await expect(page.getByRole('status').filter({ hasText: '3 so far' })).toBeVisible();
  await page.getByRole('button', { name: 'Use these points' }).click();
  await page.getByRole('group', { name: 'Point 2' }).getByLabel('corner').check();
  await page.getByLabel('Cut to').click();
  await page.getByRole('option', { name: 'Shape 1' }).click();
  await expect(page.getByRole('img', { name: 'Bulkhead 1' })).toContainText('Shape 1 2');
  // 300 out from the centreline, less the gap of 1.5 on either side
  await page.getByText('Cleats on it').click();
  await expect(page.getByRole('table', { name: /Cleats/ })).toContainText('597.0');
});
