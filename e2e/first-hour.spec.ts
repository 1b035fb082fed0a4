/** From an empty browser to a boat of one\u2019s own: typed by keyboard, pasted, its mistake found. */
import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { unfold } from './slip';
import { readPdf } from '../core/src/formats/writers/fixtures/read-pdf';
import { expectNoFaults } from './no-faults';

/** The rows of the sample: line, station, x, half-breadth, height. */
const points = readFileSync(new URL('../docs/samples/tamsel.csv', import.meta.url), 'utf8')
  .split('\n')
  .map((row) => row.split(','))
  .filter(([line]) => /^(keel|chine|sheer)$/i.test(line ?? ''));
const LINES = ['keel', 'chine', 'sheer'];
const STATIONS = ['stem', '1', '2', '3', '4', '5', '6', 'transom'];
const COLUMN = { x: 2, halfBreadth: 3, height: 4 } as const;
const figure = (line: string, station: string, key: keyof typeof COLUMN) =>
  points.find(([l, s]) => l?.toLowerCase() === line && s === station)?.[COLUMN[key]] ?? '';
const rowsOf = (key: 'height' | 'halfBreadth') =>
  LINES.map((line) => STATIONS.map((station) => figure(line, station, key)));
const ENDS = ['stem', 'transom'];
const focused = (page: Page) => page.evaluate(() => document.activeElement?.getAttribute('aria-label'));
const cell = (page: Page, name: string) => page.getByLabel(name, { exact: true });

/** Tab, until what is focused is called so. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let i = 0; i < 60; i++) {
    await page.keyboard.press('Tab');
    const now = await page.evaluate(
      () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? '',
    );
    if (name.test(now)) return;
  }
  throw new Error(`nothing called ${String(name)} is reached by Tab`);
}

/** A new table of six stations and two ends, by keyboard alone; the first empty cell has the focus. */
async function beginTable(page: Page, boat: string): Promise<void> {
  await page.goto('/projects');
  await expect(page.getByRole('button', { name: /^From a table/ })).toBeVisible();
  await tabTo(page, /^From a table/);
  await page.keyboard.press('Enter');
  await page.keyboard.type(boat);
  await expectNoFaults(page, '[role=dialog]');
  await page.keyboard.press('Tab'); // the unit
  await page.keyboard.press('Tab');
  await page.keyboard.type('6');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'The table of offsets' })).toBeVisible();
  await expect(cell(page, 'Keel stem, height')).toBeFocused();
}

test('a table typed by keyboard alone, one entry bad and one an inch out: both are kept, told and cured', async ({
  page,
}) => {
  await beginTable(page, 'Own skiff');
  await expect(page.getByText(/The table is still to be filled in: Keel, Chine, Sheer/)).toBeVisible();
  const ends = LINES.map((line) => ENDS.map((end) => figure(line, end, 'x')));
  const heights = rowsOf('height');
  const breadths = rowsOf('halfBreadth');
  heights[1]![3] = '19z2';
  breadths[1]![3] = String(449.6 - 25.4);
  for (const text of [...heights, ...breadths, ...ends].flat()) {
    await page.keyboard.type(text);
    await page.keyboard.press('Enter');
  }
  await expect(cell(page, 'Chine 3, height')).toHaveValue('19z2');
  await expect(page.getByText(/Chine, station 3: the height "19z2" is not understood/)).toBeVisible();
  await page.reload();
  await page.getByRole('tab', { name: 'The table' }).click();
  await expect(cell(page, 'Chine 3, height')).toHaveValue('19z2');
  await cell(page, 'Chine 3, height').focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('192');
  await page.keyboard.press('Enter');
  expect(await focused(page)).toBe('Chine 4, height');
  await expect(page.getByText(/One inch more would be fair: 450 mm/)).toBeVisible();
  await page.getByRole('button', { name: 'Take the offered value' }).press('Enter');
  await expect(cell(page, 'Chine 3, half-breadth')).toHaveValue('449.6');
  await expect(page.getByText('Nothing wrong that can be seen from here.')).toBeVisible();
  await expect(page.getByRole('link', { name: /Panels 3 shapes/ })).toBeVisible();
  await expectNoFaults(page);
  // what one takes to the shop: the side's sheet, with all that stands in the table on the screen
  await page.getByRole('link', { name: /Panels/ }).click();
  await page.locator('path[data-part="Side"]').click();
  await unfold(page, 'Mark out');
  const rows = await page.getByRole('table', { name: 'Offsets to mark out' }).getByRole('cell').allTextContents();
  await page.getByRole('button', { name: 'Export' }).click();
  const waiting = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Side, marking-out sheet, PDF' }).click();
  const file = await waiting;
  expect(file.suggestedFilename()).toBe('own-skiff-marking-chine-sheer.pdf');
  const words = readPdf(readFileSync(await file.path())).flatMap((sheet) => sheet.words.split('\n'));
  expect(rows.length).toBeGreaterThan(40);
  // whole millimetres on the screen, tenths on paper
  const onPaper = words.map(Number);
  for (const figure of rows.filter((text) => /^\d+$/.test(text)))
    expect(onPaper.some((mm) => Math.abs(mm - Number(figure)) < 0.56)).toBe(true);
  expect(words).toEqual(expect.arrayContaining(['Own skiff', 'FORE', 'rev 1', 'figures in mm', 'sheet 1 of 1']));
});

test('the same pasted in two blocks; a cell that is emptied stays empty; undone from within a cell', async ({
  page,
}) => {
  await beginTable(page, 'Pasted skiff');
  const paste = (name: string, rows: readonly (readonly string[])[]) =>
    cell(page, name).evaluate(
      (field, text) => {
        const clipboardData = new DataTransfer();
        clipboardData.setData('text/plain', text);
        field.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
      },
      rows.map((row) => row.join('\t')).join('\n'),
    );
  await paste('Keel stem, height', [...rowsOf('height'), ...rowsOf('halfBreadth')]);
  await paste(
    'Keel stem, distance from the stem',
    LINES.map((line) => STATIONS.map((station) => (ENDS.includes(station) ? figure(line, station, 'x') : ''))),
  );
  await expect(page.getByRole('link', { name: /Panels 3 shapes/ })).toBeVisible();
  await cell(page, 'Sheer 4, height').fill('');
  await page.keyboard.press('Enter');
  await expect(cell(page, 'Sheer 4, height')).toHaveValue('');
  await expect(page.getByText(/Sheer, station 4: no height yet/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(cell(page, 'Sheer 4, height')).not.toHaveValue('');
  await expect(page.getByText('Nothing wrong that can be seen from here.')).toBeVisible();
});

test('the unit is kept with the boat, and is the first choice for the next', async ({ page }) => {
  await beginTable(page, 'Foot boat');
  await page.getByRole('tab', { name: 'Three views' }).focus();
  for (let i = 0; i < 5; i++) await page.keyboard.press('u');
  await expect(page.getByRole('combobox', { name: 'Unit', exact: true })).toHaveText('ft-in-8ths');
  await page.reload();
  await expect(page.getByRole('combobox', { name: 'Unit', exact: true })).toHaveText('ft-in-8ths');
  await page.getByRole('button', { name: /^Undo: Unit/ }).click();
  await expect(page.getByRole('combobox', { name: 'Unit', exact: true })).toHaveText('in, 32nds');
  await page.goto('/projects');
  await page.getByRole('button', { name: /^From a table/ }).click();
  await expect(page.getByLabel('The first, from the stem')).toHaveValue(/-/);
});
