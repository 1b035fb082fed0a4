import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { keyOf, STAGES } from './slip';
import { expectNoFaults } from './no-faults';
import DxfParser from 'dxf-parser';
import { strFromU8, unzipSync } from 'fflate';

async function openDemo(page: Page): Promise<string[]> {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
  await page.goto('/');
  await expect(page.getByRole('link', { name: /Tamsel 430/ })).toBeVisible();
  await expect(page.getByRole('img', { name: /Lines: profile/ })).toBeVisible();
  return errors;
}

const stage = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: new RegExp(name) });

const importFile = (page: Page, name: string, text: string) =>
  page.getByLabel('Import a file').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

async function download(page: Page, item: RegExp): Promise<{ name: string; bytes: Buffer }> {
  await page.getByRole('button', { name: 'Export' }).click();
  const waiting = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: item }).click();
  const file = await waiting;
  return { name: file.suggestedFilename(), bytes: readFileSync(await file.path()) };
}

test('a first visit: the demo, every stage, nothing wrong in the page or for axe @round', async ({ page }) => {
  const errors = await openDemo(page);
  for (const [i, name] of STAGES.entries()) {
    await page.keyboard.press(keyOf(i));
    await expect(page.getByRole('main', { name })).toBeVisible();
    await expect(page.getByRole('complementary', { name: 'The slip' })).toBeVisible();
    if (name === 'Sheets') await expect(page.getByRole('button', { name: 'Look for a better layout' })).toBeEnabled();
    await expectNoFaults(page);
  }
  await expect(stage(page, 'Sheets')).toContainText(/\d+ sheets, \d+ %/);
  await expect(stage(page, 'Epoxy')).toContainText('kg mixed');
  expect(errors).toEqual([]);
});

test('a table of one’s own: imported, changed, reloaded, still there; undone and redone', async ({ page }) => {
  await openDemo(page);
  const table = readFileSync(new URL('../docs/samples/tamsel.csv', import.meta.url), 'utf8')
    .replaceAll(',4205,', ',4235,')
    .replaceAll(',4299.8,', ',4329.8,');
  await importFile(page, 'my boat.csv', table);
  await expect(page.getByRole('link', { name: /My boat/ })).toBeVisible();
  await page.getByRole('tab', { name: 'The table' }).click();
  const cell = page.getByLabel('Chine 3, half-breadth', { exact: true });
  await expect(cell).toHaveValue('449.6');
  await cell.fill('1-5-5'); // feet-inches-eighths in a metric project
  await expect(page.getByText('447.68 mm = 1-5-5')).toBeVisible();
  await cell.press('Enter');
  await expect(cell).toHaveValue('447.7');
  await expect(page.getByRole('status')).toHaveText('saved');
  await page.reload();
  await page.getByRole('tab', { name: 'The table' }).click();
  await expect(page.getByLabel('Chine 3, half-breadth', { exact: true })).toHaveValue('447.7');
  await page.getByLabel('Chine 3, half-breadth', { exact: true }).fill('450');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Undo: Chine 3/ }).click();
  await expect(page.getByLabel('Chine 3, half-breadth', { exact: true })).toHaveValue('447.7');
  await page.getByRole('button', { name: /^Redo: Chine 3/ }).click();
  await expect(page.getByLabel('Chine 3, half-breadth', { exact: true })).toHaveValue('450.0');
});

test('a slip is found, and its remedy is one click and one undo', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('tab', { name: 'The table' }).click();
  const cell = page.getByLabel('Sheer 3, half-breadth', { exact: true });
  await cell.fill('431.8'); // 531.8 with a wrong first digit
  await cell.press('Enter');
  await expect(page.getByText(/100 mm more would be fair/)).toBeVisible();
  // what can be pressed stays where it is while the rest is still looked for
  const offer = page.getByRole('button', { name: 'Take the offered value' });
  const place = await offer.boundingBox();
  await expect(page.getByText('Still laying out the sheets.')).toBeHidden();
  expect(await offer.boundingBox()).toEqual(place);
  await offer.click();
  await expect(cell).toHaveValue('531.8');
  await page.getByRole('button', { name: /^Undo: Take the offered value/ }).click();
  await expect(cell).toHaveValue('431.8');
});

test('what is cut measures right: a panel’s DXF read back by another parser equals the program’s figures', async ({
  page,
}) => {
  await openDemo(page);
  await stage(page, 'Panels').click();
  await page.locator('path[data-part="Side"]').click();
  const shown = Number(
    (await page.getByText('Along the sheer').locator('..').textContent())?.match(/([\d.]+) mm/)?.[1],
  );
  const { name, bytes } = await download(page, /^Side, DXF/);
  expect(name).toBe('tamsel-430-chine-sheer.dxf');
  const dxf = new DxfParser().parseSync(bytes.toString('utf8'));
  expect(dxf?.header['$INSUNITS']).toBe(4); // millimetres
  const cut = dxf?.entities.filter((entity) => entity.layer === 'CUT') as unknown as {
    vertices: { x: number; y: number }[];
    shape: boolean;
  }[];
  expect(cut).toHaveLength(1);
  const vertices = cut[0]?.vertices ?? [];
  expect(cut[0]?.shape).toBe(true);
  // going round counter-clockwise the outline turns sharply at its four corners; the longest run between two is the
  // sheer
  const at = (i: number) => vertices[(i + vertices.length) % vertices.length] ?? { x: 0, y: 0 };
  const heading = (i: number) => Math.atan2(at(i + 1).y - at(i).y, at(i + 1).x - at(i).x);
  const turn = (i: number) => Math.abs(((heading(i) - heading(i - 1) + 3 * Math.PI) % (2 * Math.PI)) - Math.PI);
  const corners = vertices.map((_, i) => i).filter((i) => turn(i) > 0.5);
  expect(corners).toHaveLength(4);
  const runs = corners.map((from, k) => {
    const to = (corners[(k + 1) % 4] ?? 0) + (k === 3 ? vertices.length : 0);
    return Array.from({ length: to - from }, (_, i) =>
      Math.hypot(at(from + i + 1).x - at(from + i).x, at(from + i + 1).y - at(from + i).y),
    ).reduce((sum, step) => sum + step, 0);
  });
  const upper = Math.max(...runs);
  expect(Math.abs(upper - shown)).toBeLessThan(1); // the screen rounds to 1 mm
});

test('everything goes out as one zip, and the project file comes back as it was', async ({ page }) => {
  await openDemo(page);
  const { bytes } = await download(page, /one zip/);
  const files = unzipSync(new Uint8Array(bytes));
  const names = Object.keys(files);
  for (const wanted of [
    'tamsel-430-keel-chine.dxf',
    'tamsel-430-chine-sheer.svg',
    'tamsel-430-transom.dxf',
    'tamsel-430-frame-2.svg',
    'tamsel-430-offsets.csv',
    'tamsel-430-epoxy-and-glass.csv',
    'tamsel-430.kalotrope.json',
  ])
    expect(names).toContain(wanted);
  const project = strFromU8(files['tamsel-430.kalotrope.json'] ?? new Uint8Array());
  await importFile(page, 'again.kalotrope.json', project.replace('"Tamsel 430"', '"Tamsel come back"'));
  await expect(page.getByRole('link', { name: /Tamsel come back/ })).toBeVisible();
});

test('a bad file is refused with its place, and nothing is changed', async ({ page }) => {
  await openDemo(page);
  await importFile(
    page,
    'bad.csv',
    '# units=mm\nline,station,x,half_breadth,height\nchine,1,600,twelve,300\nchine,2,1200,400,\n',
  );
  const dialog = page.getByRole('dialog', { name: 'The file was not taken' });
  await expect(dialog).toContainText('row 3, column half_breadth (D): found "twelve"');
  await expect(dialog).toContainText('row 4, column height (E): found nothing');
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('link', { name: /Tamsel 430/ })).toBeVisible();
});

test('projects: new from a demo, duplicated, deleted and brought back', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: /all projects/ }).click();
  await page.getByRole('button', { name: /^From a demo/ }).click();
  await page.getByRole('menuitem', { name: 'Orrin pram' }).click();
  await expect(page.getByRole('link', { name: /Orrin pram/ })).toBeVisible();
  await expect(page.getByText(/1-4-2\+|ft-in-8ths/).first()).toBeVisible();
  await page.getByRole('link', { name: /all projects/ }).click();
  await expectNoFaults(page);
  await page.getByRole('button', { name: 'Duplicate Tamsel 430' }).click();
  await page.getByLabel('Name of the boat').fill('Tamsel, lengthened');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Undo: Renamed/ }).click();
  await expect(page.getByLabel('Name of the boat')).toHaveValue('Tamsel 430, copy');
  await page.getByRole('link', { name: /all projects/ }).click();
  await page.getByRole('button', { name: 'Delete Tamsel 430, copy' }).click();
  await expect(page.getByRole('link', { name: 'Tamsel 430, copy' })).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Tamsel 430, copy' })).toBeVisible();
  await expectNoFaults(page);
});

test('two windows on one project: the later is told, and overwrites nothing', async ({ page, context }) => {
  await openDemo(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await other.getByRole('tab', { name: 'The table' }).click();
  await page.getByRole('tab', { name: 'The table' }).click();
  const edit = async (window: Page, value: string) => {
    await window.getByLabel('Keel 2, height', { exact: true }).fill(value);
    await window.keyboard.press('Enter');
  };
  await edit(page, '170');
  await expect(page.getByRole('status')).toHaveText('saved');
  await edit(other, '168');
  await expect(other.getByText('changed in another window')).toBeVisible();
  await other.getByRole('button', { name: 'Load the newer one' }).click();
  await other.getByRole('tab', { name: 'The table' }).click();
  await expect(other.getByLabel('Keel 2, height', { exact: true })).toHaveValue('170.0');
});

test('by keyboard alone: find a panel, walk the tape, change the unit, list the keys', async ({ page }) => {
  await openDemo(page);
  await page.keyboard.press('/');
  await page.keyboard.type('Panel: Side');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('main', { name: 'Panels' })).toBeVisible();
  const tape = page.getByRole('slider', { name: /Side, along sheer/ });
  await tape.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(tape).toHaveAttribute('aria-valuetext', /^100 mm of/);
  await page.keyboard.press('u');
  await expect(tape).toHaveAttribute('aria-valuetext', /^0\.100 m of/);
  await page.keyboard.press('Shift+?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await expectNoFaults(page, '[role=dialog]');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeHidden();
  // where a slash is typed with Shift, as on other keyboards
  await page.evaluate(() => {
    const slash = { key: '/', code: 'Digit7', shiftKey: true, bubbles: true };
    document.body.dispatchEvent(new KeyboardEvent('keydown', slash));
  });
  const find = page.getByRole('combobox', { name: /Find/ });
  await expect(find).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(find).toBeHidden();
  await page.keyboard.press('/');
  await find.fill('Station: 3');
  await expectNoFaults(page, '[role=dialog]');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('main', { name: 'Lines' })).toBeVisible();
  await expect(page.getByText('Station 3', { exact: true })).toBeVisible();
});

test('what is asked before the boat is worked out is done once it is', async ({ page }) => {
  let release = () => {};
  const held = new Promise<void>((resolve) => (release = resolve));
  await page.route(/worker.*\.js$/, async (route) => {
    await held;
    await route.continue();
  });
  await openDemo(page);
  await page.keyboard.press('/');
  await page.keyboard.type('Panel: Side');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Still working the boat out')).toBeVisible();
  release();
  await expect(page.getByRole('main', { name: 'Panels' })).toBeVisible();
  await expect(page.getByRole('slider', { name: /Side, along sheer/ })).toBeVisible();
});
