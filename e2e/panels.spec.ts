import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { unfold } from './slip';
import { expectNoFaults } from './no-faults';
import { readPdf } from '../core/src/formats/writers/fixtures/read-pdf';

const openPanels = async (page: Page, boat: string) => {
  await page.goto(`/project/demo-${boat}/panels`);
  await expect(page.getByRole('img', { name: 'Flat panels' })).toBeVisible();
};
const choose = async (page: Page, field: string, option: string | RegExp) => {
  await page.getByRole('combobox', { name: field, exact: true }).click();
  await page.getByRole('option', { name: option }).click();
  await expect(page.getByRole('listbox')).toBeHidden();
};

test('a panel that will not develop: the remedy is found, seen, taken, undone', async ({ page }) => {
  await openPanels(page, 'veyra');
  const finding = page.getByText(/Bottom twists 2\.\d° at/);
  await expect(finding).toBeVisible();
  await page.getByRole('button', { name: 'Find the smallest change', exact: true }).click();
  const cure = page.getByRole('region', { name: 'What would cure it' });
  await expect(cure.getByText(/^Keel: \d+ mm down at station 2.* Twist is then 0\.\d°/)).toBeVisible();
  await expect(cure.getByText(/^Split the panel by a new line/)).toBeVisible();
  await cure.getByRole('button', { name: 'Show' }).first().click();
  await expect(page.locator('[data-preview="keel"] path')).toHaveCount(1);
  await expectNoFaults(page);
  await cure.getByRole('button', { name: 'Take this' }).first().click();
  await expect(finding).toBeHidden();
  await expect(cure).toBeHidden();
  await page.getByRole('button', { name: /^Undo: Move keel/ }).click();
  await expect(finding).toBeVisible();
  // split instead: a panel more a side, and the name of the new line in the table
  await page.getByRole('button', { name: 'Find the smallest change', exact: true }).click();
  await cure.getByRole('button', { name: 'Take this' }).last().click();
  await expect(finding).toBeHidden();
  await expect(page.getByText('Along the chine 2')).toBeVisible();
});

test('how hard it bends, the hand method, holes and a waterline', async ({ page }) => {
  await openPanels(page, 'tamsel');
  await choose(page, 'Show', 'the bend');
  await expect(page.getByText('all that it takes')).toBeVisible();
  await expect(page.getByText(/: tightest \d+ mm$/)).toHaveCount(2);
  await expect(page.locator('[data-field=bend] path').nth(5)).toBeAttached(); // many shades, without a step
  await choose(page, 'Show', 'the twist');
  await expect(page.getByText(/: no twist$/)).toHaveCount(2);
  await choose(page, 'Show', 'the stretch');
  await expect(page.getByText(/: no stretch$/)).toHaveCount(2);
  await expect(page.getByText(/what is lost in the joints/)).toBeVisible();
  await page.getByLabel('By hand').check();
  await expect(page.getByText(/^by hand: \d+\.\d mm off at most/)).toHaveCount(2);
  await page.getByLabel('Holes', { exact: true }).check();
  await unfold(page, 'The sheet and its edges');
  await page.getByRole('button', { name: 'Mark a waterline' }).click();
  await expect(page.getByLabel('Waterline at height')).toHaveValue('150.0');
  await expectNoFaults(page);
});

test('thickness moves the edges, and the base line the figures', async ({ page }) => {
  await openPanels(page, 'tamsel');
  const along = page.getByText('Along the chine', { exact: true }).locator('..');
  const before = await along.textContent();
  await unfold(page, 'The sheet and its edges', 'Edges that meet', 'Mark out', 'True section');
  await choose(page, 'Table measured to', 'inner face');
  await expect(along).not.toHaveText(before ?? '');
  await expect(page.getByRole('table', { name: 'Edges that meet' }).getByText('0.000')).toBeVisible();
  const table = page.getByRole('table', { name: 'Offsets to mark out' });
  await expect(table.getByText('−').or(table.getByText('-'))).toHaveCount(0);
  await choose(page, 'Base line', /shortest square/);
  await expect(table.locator('td').filter({ hasText: /^[−-]/ }).first()).toBeVisible();
  await choose(page, 'At', 'station 2');
  await expect(page.getByText(/Bottom here curves by/)).toBeVisible();
});

test('a bottom thicker than the sides: what stands on it, what is cut of it, and undone', async ({ page }) => {
  await openPanels(page, 'tamsel');
  await unfold(page, 'Its own sheet and layers');
  const field = page.getByLabel('Panel’s thickness', { exact: true });
  await expect(field).toHaveValue('6.0');
  await field.fill('90');
  await field.press('Enter');
  await expect(page.getByText('Expected a length from 1.0 mm to 40.0 mm')).toBeVisible();
  await field.fill('9');
  await field.press('Enter');
  await expectNoFaults(page);
  await page.getByRole('link', { name: /Frames/ }).click();
  await expect(page.getByTitle(/each panel by its own thickness/)).toBeVisible();
  await page.getByRole('link', { name: /Sheets/ }).click();
  await expect(page.getByText(/^Sheet \d: 9 mm/).first()).toBeVisible();
  await page.getByRole('link', { name: /Panels/ }).click();
  await page.getByRole('button', { name: 'As thick as all others' }).click();
  await expect(page.getByLabel('Panel’s thickness', { exact: true })).toHaveValue('6.0');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Panel’s thickness', { exact: true })).toHaveValue('9.0');
  await expectNoFaults(page);
});

test('a bottom too thick for its bend is laid in layers: each marked out, butted, of thin sheets; one again', async ({
  page,
}) => {
  await openPanels(page, 'veyra');
  await unfold(page, 'The sheet and its edges');
  const thickness = page.getByLabel('Skin thickness', { exact: true });
  await thickness.fill('9');
  await thickness.press('Enter');
  await page.getByRole('button', { name: 'Lay it in 3 layers' }).first().click();
  await unfold(page, 'Its own sheet and layers', 'Mark out');
  await expect(page.getByText('3 of 3 mm', { exact: true })).toBeVisible();
  const table = page.getByRole('table', { name: 'Offsets to mark out' });
  const inside = await table.textContent();
  await choose(page, 'Which layer', /outer layer$/);
  await expect(table).not.toHaveText(inside ?? '');
  await expectNoFaults(page);
  await page.getByRole('link', { name: /Joints/ }).click();
  await expect(page.getByRole('slider', { name: /^Bottom, inner layer, joint/ }).first()).toBeVisible();
  await page
    .getByRole('slider', { name: /^Bottom, middle layer, joint/ })
    .first()
    .press('Enter');
  await expect(page.getByLabel('This joint')).toHaveText('Butt');
  await expectNoFaults(page);
  await page.getByRole('link', { name: /Sheets/ }).click();
  await expect(page.getByText(/No sheet of 3 mm in stock/)).toBeVisible();
  await page.getByRole('button', { name: 'Buy such sheets' }).click();
  await expect(page.getByText(/No sheet of 3 mm in stock/)).toBeHidden();
  await page.getByRole('link', { name: /Epoxy/ }).click();
  await page.getByRole('link', { name: /Panels/ }).click();
  const layers = page.getByLabel('Layers', { exact: true });
  await layers.fill('7');
  await layers.press('Enter');
  await expect(page.getByText(/1 to 4/)).toBeVisible();
  await layers.fill('1');
  await layers.press('Enter');
  await expect(page.getByRole('button', { name: 'Lay it in 3 layers' }).first()).toBeVisible();
});

test('the hull folds up by a slider, by keyboard too @round', async ({ page }) => {
  await openPanels(page, 'orrin');
  await page.getByRole('tab', { name: 'Fold it up' }).click();
  const slider = page.getByRole('slider', { name: 'Folded up' });
  await slider.focus();
  await page.keyboard.press('PageUp');
  await expect(slider).toHaveAttribute('aria-valuetext', '10 %');
  await page.keyboard.press('End');
  await expect(slider).toHaveAttribute('aria-valuetext', '100 %');
  await expect(page.getByRole('group', { name: /The hull in the round/ })).toBeVisible();
  await expectNoFaults(page);
});

test('a card model as a file that is true to size', async ({ page }) => {
  await openPanels(page, 'orrin');
  await page.getByRole('tab', { name: 'Card model' }).click();
  await choose(page, 'Scale', '1:12');
  await expect(page.getByText(/^\d+ parts on/)).toBeVisible();
  await expectNoFaults(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the pages as PDF' }).click(),
  ]);
  const pages = readPdf(new Uint8Array(await readFile(await download.path())));
  expect(pages.length).toBeGreaterThan(0);
  for (const { widthMm, words } of pages) {
    expect(widthMm).toBeCloseTo(279.4, 0); // Letter: a boat in feet and inches
    expect(words).toContain('card model 1:12');
  }
});

test('what is marked out goes out as a table, from the line that was chosen', async ({ page }) => {
  await openPanels(page, 'tamsel');
  await unfold(page, 'Mark out');
  await choose(page, 'Base line', /ends of the lower edge/);
  await page.getByLabel('Step', { exact: true }).fill('150');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Strike a straight line from end to end/)).toBeVisible();
  const row = page.getByRole('table', { name: 'Offsets to mark out' }).getByRole('row', { name: /^300 / });
  await expect(row).toBeVisible();
  const shown = (await row.getByRole('cell').allTextContents()).map((text) => text.replace('−', '-'));
  await page.getByRole('button', { name: 'Export' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Bottom, offsets to mark out, CSV' }).click(),
  ]);
  const lines = (await readFile(await download.path(), 'utf8')).trim().split('\n');
  expect(lines[0]).toBe('along,lower_edge,upper_edge,corner');
  const written = (lines.find((line) => line.startsWith('300,')) ?? '').split(',').map(Number);
  expect(shown).toHaveLength(4);
  for (const [i, text] of shown.slice(0, 3).entries())
    expect(Math.abs(Number.parseFloat(text) - (written[i] ?? NaN))).toBeLessThan(1);
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

test('a chine made round: the panels stand back, the strip is listed, frames turn round too', async ({ page }) => {
  await openPanels(page, 'tamsel');
  const along = page.getByText('Along the chine', { exact: true }).locator('..');
  const sharp = await along.textContent();
  await unfold(page, 'Rounded chines');
  await page.getByRole('button', { name: 'Round the chine' }).click();
  const rounding = page.getByRole('group', { name: 'Rounding of the chine' });
  await expect(rounding.getByText(/^4018 mm long, 183\.\d to 230\.\d wide$/)).toBeVisible();
  await expect(along).not.toHaveText(sharp ?? '');
  const pieces = rounding.getByRole('table', { name: 'Pieces of the strip' }).locator('tbody tr');
  await expect(pieces).toHaveCount(46); // four layers, every other begun half a piece later
  await expect(page.getByText(/Rounding the chine takes/)).toBeVisible();
  // tapered to the bow there is room
  await rounding.getByLabel('Radius, fore').fill('60');
  await rounding.getByLabel('Radius, fore').press('Enter');
  await expect(rounding.getByText(/^Strip/).locator('..')).toContainText('long');
  await rounding.getByLabel('Layers').fill('40');
  await expect(rounding.getByText('Expected a whole number from 2 to 8')).toBeVisible();
  await rounding.getByLabel('Layers').press('Enter');
  await expect(rounding.getByLabel('Layers')).toHaveValue('40');
  await rounding.getByLabel('Layers').press('Escape');
  await expect(rounding.getByLabel('Layers')).toHaveValue('4');
  await expectNoFaults(page);
  await page.getByRole('link', { name: /Frames/ }).click();
  await expect(page.getByRole('slider', { name: 'Bulkhead 1' })).toBeVisible();
  await page.getByRole('link', { name: /Panels/ }).click();
  await page.getByRole('button', { name: 'Make it sharp' }).click();
  await expect(along).toHaveText(sharp ?? '');
});

test('a panel cut in two along a line that is dragged, and made whole again', async ({ page }) => {
  await openPanels(page, 'tamsel');
  await page.locator('path[data-part="Side"]').click();
  await unfold(page, 'Cut in two', 'Edges that meet');
  await page.getByRole('button', { name: 'Cut the side in two' }).click();
  await expect(page.locator('path[data-part="Side, lower"]')).toBeVisible();
  await expect(page.locator('path[data-part="Side, upper"]')).toBeVisible();
  const aft = page.getByLabel('Aft %');
  await expect(aft).toHaveValue('50');
  const handle = await page.locator('[data-cut-handle="aft"]').boundingBox();
  if (!handle) throw new Error('no handle');
  const [x, y] = [handle.x + handle.width / 2, handle.y + handle.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y - 12, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => Number(await aft.inputValue())).toBeGreaterThan(53);
  await page.getByRole('button', { name: 'Make the line straight' }).click();
  await expect(page.getByRole('table', { name: 'Edges that meet' }).getByText('Line of the cut')).toBeVisible();
  await expectNoFaults(page);
  await page.reload();
  await expect(page.locator('path[data-part="Side, upper"]')).toBeVisible();
  await page.locator('path[data-part="Side, upper"]').click();
  await page.getByRole('button', { name: 'Make it whole again' }).click();
  await expect(page.locator('path[data-part="Side"]')).toBeVisible();
});

test('quick arrow keys in a field are all counted, and are undone one by one', async ({ page }) => {
  await openPanels(page, 'tamsel');
  await unfold(page, 'The sheet and its edges');
  const field = page.getByLabel('Holes every');
  await expect(field).toHaveValue('150.0');
  await field.focus();
  for (let i = 0; i < 40; i++) await page.keyboard.press('ArrowUp');
  await expect(field).toHaveValue('190.0');
  await page.keyboard.press('Control+z');
  await expect(field).toHaveValue('189.0');
});

test('a transom bent, the lines ended on it, and a new revision printed on what is cut', async ({ page }) => {
  await openPanels(page, 'tamsel');
  await unfold(page, 'The sheet and its edges');
  await page.getByRole('button', { name: 'Bend the transom' }).click();
  await page.getByRole('button', { name: 'End the lines on the bent transom' }).click();
  await expect(page.getByText('Nothing wrong that can be seen from here.')).toBeVisible();
  await page.getByRole('button', { name: 'Revision 1' }).click();
  await page.getByRole('menuitem', { name: /^Begin revision 2/ }).click();
  await page.getByRole('button', { name: 'Export' }).click();
  const saved = page.waitForEvent('download');
  await page.getByRole('menuitemradio', { name: 'SVG' }).click();
  await page.getByRole('menuitem', { name: 'Transom, SVG' }).click();
  const drawing = await readFile(await (await saved).path(), 'utf8');
  expect(drawing).toContain('Transom, seen from aft, rev 2');
});

test('a chine that begins on the stem: imported, its corner broken, developed, moved with the keel', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page.getByRole('img', { name: /Lines: profile/ })).toBeVisible();
  const table = await readFile(new URL('../docs/samples/sedge.csv', import.meta.url));
  await page.getByLabel('Import a file').setInputFiles({ name: 'sedge.csv', mimeType: 'text/csv', buffer: table });
  await expect(page.getByText(/Chine begins on Keel at 395 mm from the stem: forward of there/)).toBeVisible();
  // the batten is bent round the foot of the stem until its point is a knuckle
  await page.getByRole('button', { name: 'Break keel there' }).click();
  await expect(page.getByText(/a batten is bent round it/)).toBeHidden();
  await expectNoFaults(page);
  await page.keyboard.press('2');
  await expect(page.getByRole('img', { name: 'Flat panels' })).toBeVisible();
  await page.locator('path[data-part="Side"]').click();
  await expect(page.getByText('Along the keel and chine')).toBeVisible();
  await expect(page.getByText(/twists \d/)).toBeHidden();
  // two figures typed one after the other both stay, though the slip follows the drawing
  await unfold(page, 'Rounded chines');
  await page.getByRole('button', { name: 'Round the chine' }).click();
  for (const [field, mm] of [
    ['Radius, fore', '40'],
    ['Radius, aft', '60'],
  ] as const) {
    await page.getByLabel(field).fill(mm);
    await page.getByLabel(field).press('Enter');
  }
  await expect(page.getByLabel('Radius, aft')).toHaveValue('60.0');
  await expect(page.getByLabel('Radius, fore')).toHaveValue('40.0');
  await page.getByRole('button', { name: 'Make it sharp' }).click();
  await unfold(page, 'Mark out');
  const rows = page.getByRole('table', { name: 'Offsets to mark out' }).getByRole('row');
  await expect(rows.filter({ hasText: /lower$|upper$|both$/ })).toHaveCount(4);
  // the foot of the stem goes down in the table, and the chine's end with it
  await page.keyboard.press('1');
  await page.getByRole('tab', { name: 'The table' }).click();
  const height = (line: string) => page.getByRole('textbox', { name: `${line} foot, height` });
  await height('Keel').fill('160');
  await height('Keel').press('Enter');
  await expect(height('Chine')).toHaveValue('160.0');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(height('Chine')).toHaveValue('173.0');
});
