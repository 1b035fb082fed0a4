import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { slowPictures } from './slow';
import { unfold } from './slip';
import { expectNoFaults } from './no-faults';

async function openDemo(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByText('Nothing wrong that can be seen from here.')).toBeVisible();
}

/** A place of the drawing as the screen has it. */
async function gripAt(page: Page, name: string, view: number): Promise<{ x: number; y: number }> {
  const box = await page.locator(`[data-grip="${name}"]`).nth(view).boundingBox();
  if (!box) throw new Error(`${name} is not drawn`);
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

test('a drawing under the profile: brought to size and level, points taken from it, kept and carried along', async ({
  page,
}) => {
  await openDemo(page);
  const picture = await page.screenshot();
  await unfold(page, 'A drawing to work from');
  const input = page.getByLabel('A picture of the drawing');
  await input.setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('no picture at all') });
  await expect(page.getByText(/notes.png: not a PNG or JPEG picture/)).toBeVisible();
  await input.setInputFiles({ name: 'lines.png', mimeType: 'image/png', buffer: picture });
  await expect(page.getByText('lines.png, under the profile')).toBeVisible();
  const image = page.locator('svg image');
  await expect(image).toHaveAttribute('transform', /scale\(3\.3/); // 4279 mm over 1280 pixels
  const [from, to] = [await gripAt(page, 'sheer 1', 0), await gripAt(page, 'sheer 6', 0)];
  await page.mouse.click(from.x, from.y);
  await expect(page.getByText('Click the second')).toBeVisible();
  await page.mouse.click(to.x, to.y);
  await page.getByLabel('They are apart by').fill('6000');
  await page.getByLabel('They are apart by').press('Enter');
  await page.getByRole('button', { name: 'Bring it to size' }).click();
  await expect(image).toHaveAttribute('transform', /scale\(6\.6/); // stations 1 and 6 are 3 m apart: twice as large
  await page.getByRole('button', { name: 'Place it' }).click();
  const stem = await gripAt(page, 'keel 0', 0);
  await page.mouse.click(stem.x, stem.y);
  await page.getByRole('button', { name: 'Put it there' }).click();
  await page.getByRole('button', { name: 'Take points' }).click();
  await page.mouse.click(to.x, to.y - 5);
  await expect(page.getByText('Pick the line that the points belong to first')).toBeVisible();
  await page.keyboard.press('['); // the last line: the sheer
  await page.mouse.click(to.x, to.y - 5);
  await page.getByRole('button', { name: 'Take points' }).click();
  await page.mouse.click(to.x, to.y - 5);
  await expect(page.getByText('Read off a drawing, to')).toBeVisible();
  await expect(page.getByLabel('Height', { exact: true })).not.toHaveValue('523.1');
  await expectNoFaults(page);

  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Export' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'The project, to keep or share' }).click(),
  ]);
  const file = readFileSync(await download.path(), 'utf8');
  expect(file).toContain('"pictures"');
  await page.reload();
  await expect(image).toHaveAttribute('href', /^blob:/);
  await page.evaluate(() => indexedDB.deleteDatabase('kalotrope'));
  await page.goto('/projects');
  await page
    .getByLabel('Import a file')
    .setInputFiles({ name: 'kept.kalotrope.json', mimeType: 'application/json', buffer: Buffer.from(file) });
  await expect(image).toHaveAttribute('href', /^blob:/);
});

test('a picture is worked from by keyboard: the arrows move a cross, Enter is the click', async ({ page }) => {
  await openDemo(page);
  await unfold(page, 'A drawing to work from');
  await page
    .getByLabel('A picture of the drawing')
    .setInputFiles({ name: 'lines.png', mimeType: 'image/png', buffer: await page.screenshot() });
  await page.getByRole('button', { name: 'Take points' }).press('Enter');
  await page.keyboard.press('Escape');
  await page.keyboard.press(']'); // the keel
  await page.getByRole('group', { name: /arrows walk and move points/ }).focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Undo: Keel: a point off the drawing/ })).toBeVisible();

  // another is read slowly, and the first is taken away meanwhile: it does not come back with it
  const letPicture = await slowPictures(page);
  await page
    .getByLabel('A picture of the drawing')
    .setInputFiles({ name: 'again.png', mimeType: 'image/png', buffer: readFileSync('docs/screenshots/lines.png') });
  await page.getByRole('button', { name: 'Take it away' }).click();
  await expect(page.getByText('lines.png, under the profile')).toBeHidden();
  await letPicture();
  await expect(page.getByText('again.png, under the profile')).toBeVisible();
  await expect(page.getByText('lines.png, under the profile')).toBeHidden();
});

test('a section is marked out: a tick a point, both halves; a point that moves loses its tick', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('tab', { name: 'Mark out' }).click();
  await page.getByLabel('The next station').click();
  await expect(page.getByRole('table', { name: 'Points of station 2' })).toContainText('391'); // √(309² + 240²)
  await page.getByLabel('Keel marked out').check();
  await expect(page.getByText('Next: Chine. 2 of 3 to go.')).toBeVisible();
  await page.getByLabel('Chine marked out').check();
  await page.getByLabel('Sheer marked out').check();
  await expect(page.getByText('All on the board.')).toBeVisible();
  await page.getByRole('button', { name: 'Mirrored half' }).click();
  await expect(page.getByText('3 of 3 to go')).toBeVisible();
  await page.getByRole('button', { name: 'The half', exact: true }).click();
  await expectNoFaults(page);
  await page.getByRole('tab', { name: 'The table' }).click();
  await page.getByLabel('Chine 2, height', { exact: true }).fill('241');
  await page.keyboard.press('Enter');
  await page.getByRole('tab', { name: 'Mark out' }).click();
  await expect(page.getByText('Next: Chine. 1 of 3 to go.')).toBeVisible();
});

test('the lines go out as a drawing and come in again as a boat', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Export' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'The lines, DXF' }).click(),
  ]);
  await page
    .getByLabel('Import a file')
    .setInputFiles({ name: 'again.dxf', mimeType: 'image/vnd.dxf', buffer: readFileSync(await download.path()) });
  await expect(page.getByRole('link', { name: /Again/ })).toBeVisible();
  await page.getByRole('tab', { name: 'The table' }).click();
  await expect(page.getByLabel('Chine 3, half-breadth', { exact: true })).toHaveValue('449.6');
});
