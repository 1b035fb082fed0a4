import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { unfold } from './slip';
import { expectNoFaults } from './no-faults';

const cell = (page: Page, name: string) => page.getByLabel(name, { exact: true });
const focused = (page: Page) => page.evaluate(() => document.activeElement?.getAttribute('aria-label'));

async function openTable(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('tab', { name: 'The table' }).click();
  await expect(cell(page, 'Keel 2, height')).toHaveValue('169.1');
}

/** What a spreadsheet puts on the clipboard, put into the focused field. */
const paste = (page: Page, name: string, text: string) =>
  cell(page, name).evaluate((field, data) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text/plain', data);
    field.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
  }, text);

test('the table is typed in the order in which it is read, in any notation', async ({ page }) => {
  await openTable(page);
  await cell(page, 'Sheer 6, height').click();
  await page.keyboard.type('1-8-5');
  await expect(page.getByText(/523.88 mm/)).toBeVisible();
  await page.keyboard.press('Enter');
  expect(await focused(page)).toBe('Sheer transom, height');
  await page.keyboard.press('Enter');
  expect(await focused(page)).toBe('Keel stem, half-breadth');
  await page.keyboard.press('Shift+Enter');
  await page.keyboard.press('Alt+ArrowUp');
  expect(await focused(page)).toBe('Chine transom, height');
  await page.keyboard.press('Alt+ArrowLeft');
  expect(await focused(page)).toBe('Chine 6, height');
  await expect(cell(page, 'Sheer 6, height')).toHaveValue('523.9');
  await page.getByRole('button', { name: /^Undo/ }).click(); // typed once, undone once
  await expect(cell(page, 'Sheer 6, height')).toHaveValue('523.1');
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeVisible();
  await expectNoFaults(page);
});

test('a block is pasted whole, as one thing to undo; what of it is no figure stays in its cell and is told', async ({
  page,
}) => {
  await openTable(page);
  await paste(page, 'Keel 2, height', '170\t99\r\n240\t193\r\n');
  await expect(cell(page, 'Chine 3, height')).toHaveValue('193.0');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(cell(page, 'Chine 3, height')).toHaveValue('192.0');
  await expect(cell(page, 'Keel 2, height')).toHaveValue('169.1');
  await paste(page, 'Keel 2, height', '170\t99\n240\tabout 190\n');
  await expect(page.getByText(/row 2, column 2: found "about 190"/)).toBeVisible();
  await expect(cell(page, 'Keel 2, height')).toHaveValue('170.0');
  await expect(cell(page, 'Chine 3, height')).toHaveValue('about 190');
  await cell(page, 'Chine 3, height').focus();
  await page.keyboard.press('Control+z'); // wherever the focus is
  await expect(cell(page, 'Chine 3, height')).toHaveValue('192.0');
  await expect(cell(page, 'Keel 2, height')).toHaveValue('169.1');
  await paste(
    page,
    'Keel 2, height',
    readFileSync(new URL('../docs/samples/tamsel-table.csv', import.meta.url), 'utf8'),
  );
  await expect(page.getByText(/Read pasted.csv as a table of heights and half-breadths/)).toBeVisible();
});

test('rows, columns, ends and datum: added, named, moved, removed, and all of it undone', async ({ page }) => {
  await openTable(page);
  await unfold(page, 'Add a station, add a line', 'How heights are measured', 'Transom', 'From which end');
  await page.getByLabel('From the stem', { exact: true }).fill('2050');
  await page.getByLabel('From the stem', { exact: true }).press('Enter');
  await page.getByLabel('New station').fill('3a');
  await page.getByRole('button', { name: 'Add the station' }).click();
  await expect(cell(page, 'Station 3a, distance from the stem')).toHaveValue('2050.0');
  await page.getByRole('button', { name: '3a', exact: true }).click();
  await page.getByLabel('Name of the station').fill('mould');
  await page.getByLabel('Name of the station').press('Enter');
  await expect(cell(page, 'Sheer mould, height')).toBeVisible();
  await page.getByRole('button', { name: 'Chine', exact: true }).first().click();
  await page.getByLabel('New line').fill('Rubbing strake');
  await page.getByRole('button', { name: 'Add the line above Chine' }).click();
  await expect(cell(page, 'Rubbing strake 3, height')).toHaveValue('380.4');
  await page.getByRole('button', { name: 'Rubbing strake', exact: true }).first().click();
  await page.getByLabel('Guide line only').check();
  await expect(page.getByRole('link', { name: /Panels 3 shapes/ })).toBeVisible(); // bottom, side, transom as before
  await page.getByLabel('Heights are given').click();
  await page.getByRole('option', { name: 'down from a line above' }).click();
  await expect(cell(page, 'Keel 2, height')).toHaveValue('630.9'); // from 800
  await page.getByLabel('Rake, top aft, °').fill('5');
  await page.getByLabel('Rake, top aft, °').press('Enter');
  await expect(cell(page, 'Sheer transom, distance from the stem')).not.toHaveValue('4300.8');
  for (let i = 0; i < 6; i++) await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByRole('button', { name: 'Nothing to undo' })).toBeVisible();
  await expect(cell(page, 'Sheer transom, distance from the stem')).toHaveValue('4300.8');
});

test('the drawing by keyboard: walk to a point, move it by the rule, sight along, comb', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByText('Nothing wrong that can be seen from here.')).toBeVisible();
  await page.keyboard.press(']');
  await page.keyboard.press(']');
  const drawing = page.getByRole('group', { name: /arrows walk and move points/ });
  await drawing.focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowRight');
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('239.6'); // chine, station 2
  for (let i = 0; i < 3; i++) await page.keyboard.press('ArrowUp');
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('242.6');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByLabel('Half-breadth', { exact: true })).toHaveValue('307.9');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('239.6');
  const end = page.locator('[data-grip="chine 7"]').first();
  const before = Number(await end.getAttribute('cx'));
  await page.getByLabel('Sight along').check();
  await expect.poll(async () => Number(await end.getAttribute('cx'))).toBeLessThan(before / 4);
  await page.getByLabel('Curvature comb').click();
  await page.getByRole('option', { name: 'of the true curve' }).click();
  await expectNoFaults(page);
});

test('a boat from a few dimensions keeps them: changed later, asked for once the table was edited by hand', async ({
  page,
}) => {
  await page.goto('/projects');
  await page.getByRole('button', { name: 'From a few dimensions' }).click();
  await page.getByLabel('Flare amidships, °').fill('13');
  await page.getByLabel('Flare amidships, °').press('Enter');
  await expect(page.getByLabel('Flare amidships, °')).toHaveValue(/^1[23](\.\d)?$/);
  await page.getByLabel('Flare amidships, °').fill('50');
  await page.getByLabel('Flare amidships, °').press('Enter');
  await expect(page.getByRole('alert')).toContainText(/The nearest that works is 1\d\.\d°/);
  await page.getByRole('alert').getByRole('button', { name: 'Take it' }).click();
  await page.getByRole('button', { name: 'Draw it' }).click();
  await expect(page.getByRole('img', { name: /Lines: profile/ })).toBeVisible();
  await unfold(page, 'Drawn from');
  const length = page.getByLabel(/^Length, 1800 to 8000/);
  await length.fill('5 m');
  await length.press('Enter');
  // the beam was chosen for a shorter boat: the nearest that works is offered, and the length stays as it was typed
  await expect(page.getByRole('alert')).toContainText(/The nearest that works is \d+ mm/);
  await page.getByRole('alert').getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByRole('button', { name: 'Undo: Drawn from other dimensions' })).toBeVisible();
  await length.fill('30 m');
  await length.press('Enter');
  await expect(page.getByRole('alert').first()).toContainText('The nearest that works is 8000');
  await page.reload();
  await unfold(page, 'Drawn from');
  await expect(length).toHaveValue('5000.0');
  await page.getByRole('tab', { name: 'The table' }).click();
  const sheer = page.getByLabel('Sheer 3, height', { exact: true });
  const drawn = await sheer.inputValue();
  await sheer.fill('777');
  await sheer.press('Enter');
  await expect(page.getByText(/changed by hand since/)).toBeVisible();
  await expect(length).toHaveCount(0);
  await page.getByRole('button', { name: 'Change a dimension all the same' }).click();
  await length.fill('4900');
  await length.press('Enter');
  await expect(sheer).not.toHaveValue('777.0');
  await page.getByRole('button', { name: 'Undo: Drawn from other dimensions' }).click();
  await expect(sheer).toHaveValue('777.0');
  await page.getByRole('button', { name: /^Undo: / }).click();
  await expect(sheer).toHaveValue(drawn);
  await expect(length).toHaveValue('5000.0');
});
