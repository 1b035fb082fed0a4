/** The log: what was done is written down, survives the page, is put right, moves the plan, goes along in a file. */
import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { expectNoFaults } from './no-faults';
import { unfold } from './slip';
import { slowPictures } from './slow';

const slipOf = (page: Page) => page.getByRole('complementary', { name: 'The slip', exact: true });
const list = (page: Page) => page.getByRole('list', { name: 'The log, the last day first' });
const form = (page: Page, name = 'Write it down') => slipOf(page).getByRole('group', { name, exact: true });

/** The demos are there when the first page is. */
async function openLog(page: Page, demo: string): Promise<void> {
  await page.goto(`/project/${demo}/log`);
  await expect(page.getByRole('main', { name: 'Log' })).toBeVisible();
}

type Fields = Readonly<Record<string, string>>;

async function write(page: Page, kind: string, fields: Fields, job?: string): Promise<void> {
  await form(page).getByLabel('What', { exact: true }).click();
  await page.getByRole('option', { name: kind, exact: true }).click();
  for (const [label, value] of Object.entries(fields)) await form(page).getByLabel(label, { exact: true }).fill(value);
  if (job !== undefined) {
    await form(page).getByLabel('Job', { exact: true }).fill(job);
    await page.getByRole('option', { name: job, exact: true }).click();
  }
  if (job !== undefined && kind === 'Hours')
    await form(page).getByRole('checkbox', { name: 'The job is done' }).check();
  await form(page).getByRole('button', { name: 'Write it down' }).click();
}

test('what did it take: hours, a receipt, a mistake put right; the plan follows; it goes along in the file', async ({
  page,
}) => {
  await openLog(page, 'demo-tamsel');
  await expect(page.getByRole('main')).toContainText('Nothing is written down yet');
  await unfold(page, 'A new entry');

  // what is missing is said where it is missing, and nothing is lost
  await form(page).getByLabel('Hours', { exact: true }).fill('half a day');
  await form(page).getByRole('button', { name: 'Write it down' }).click();
  await expect(form(page)).toContainText('Expected hours, such as 1:30');
  await page.reload();
  await unfold(page, 'A new entry');
  await expect(form(page).getByLabel('Hours', { exact: true })).toHaveValue('half a day');

  await write(page, 'Hours', { Hours: '9:15' }, 'Mark out and cut side');
  await expect(list(page)).toContainText('9 h 15 min');
  await write(page, 'Money', { Amount: '412,80', Words: 'five sheets from the yard' });
  await expect(list(page)).toContainText('412.80');
  await write(page, 'A mistake', { Words: 'cut to the wrong side of the line' });
  await expect(slipOf(page)).toContainText('Nothing is done yet about the mistake');
  await expect(page.getByRole('figure', { name: 'Hours, drawn' })).toBeVisible();

  // it took longer than planned: the rest of that work is planned so, and can be undone
  await expect(slipOf(page)).toContainText('times the');
  await slipOf(page)
    .getByRole('button', { name: /^Plan the rest of plywood at/ })
    .click();
  await expect(slipOf(page)).not.toContainText('times the');
  await page.keyboard.press('p');
  await expect(slipOf(page).getByRole('region', { name: 'Done' })).toContainText('1 of');
  await page.keyboard.press('l');

  // put right and taken back by new entries; an undo of the design takes nothing out of the log
  await list(page)
    .getByRole('button', { name: /wrong side/ })
    .click();
  await slipOf(page).getByRole('button', { name: 'Change it' }).click();
  await form(page, 'Put it right').getByLabel('What was done about it').fill('made again of the offcut');
  await form(page, 'Put it right').getByRole('button', { name: 'Put it right' }).click();
  await expect(slipOf(page)).toContainText('Done about it: made again of the offcut');
  await expect(slipOf(page)).toContainText('(nothing done about it)');
  await expect(list(page)).toContainText('(put right)');
  await list(page)
    .getByRole('button', { name: /five sheets/ })
    .click();
  await slipOf(page).getByRole('button', { name: 'Take it back' }).click();
  await expect(list(page)).not.toContainText('412.80');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(list(page)).toContainText('9 h 15 min');

  // all of it goes along, and comes back with the boat
  await page.getByRole('button', { name: 'Export' }).click();
  const saving = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'The project with its log, photographs and revisions' }).click();
  const path = await (await saving).path();
  expect(readFileSync(path, 'utf8')).toContain('five sheets from the yard');
  await page.getByLabel('Import a file').setInputFiles({
    ...{ name: 'kept.kalotrope.json', mimeType: 'application/json', buffer: readFileSync(path) },
  });
  await expect(page).not.toHaveURL(/demo-tamsel/);
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Log' }).click();
  await expect(list(page)).toContainText('9 h 15 min');
  await expect(list(page)).toContainText('(put right)');
  await expect(list(page)).not.toContainText('412.80');
  await page.getByRole('heading', { name: 'Log' }).hover();
  await expectNoFaults(page);
});

test('the clock runs while the page is gone; a photograph is kept; on a telephone all is for fingers', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.clock.install({ time: new Date('2027-03-06T09:00:00') });
  await openLog(page, 'demo-ilven');
  await slipOf(page).getByRole('button', { name: 'Start the clock' }).click();
  await expect(slipOf(page).getByRole('timer')).toBeVisible();
  await slipOf(page).getByRole('button', { name: 'Stop the clock' }).click();
  await expect(page.getByText('It ran for less than a minute: nothing is written down')).toBeVisible();
  await slipOf(page).getByRole('button', { name: 'Start the clock' }).click();
  await expect(slipOf(page).getByRole('timer')).toContainText('under a minute');
  await page.clock.fastForward('01:10:00');
  await page.reload();
  await expect(slipOf(page).getByRole('timer')).toContainText('1 h 10 min');
  await slipOf(page).getByRole('button', { name: 'Stop the clock' }).click();
  await expect(list(page)).toContainText('1 h 10 min');
  await expect(list(page)).toContainText('2027-03-06');

  await unfold(page, 'A new entry');
  const picture = readFileSync('docs/screenshots/lines.png');
  await form(page)
    .getByLabel('A photograph for the log')
    .setInputFiles({ name: 'shed.png', mimeType: 'image/png', buffer: picture });
  await expect(form(page).getByRole('img', { name: 'Photograph 1' })).toBeVisible();
  // a second one takes its time, and one goes on writing meanwhile
  const letPicture = await slowPictures(page);
  await form(page)
    .getByLabel('A photograph for the log')
    .setInputFiles({ name: 'shed.png', mimeType: 'image/png', buffer: readFileSync('docs/screenshots/log.png') });
  await form(page).getByLabel('Words', { exact: true }).fill('the strongback is');
  await letPicture();
  await expect(form(page).getByRole('img', { name: 'Photograph 2' })).toBeVisible();
  await expect(form(page).getByLabel('Words', { exact: true })).toHaveValue('the strongback is');
  await form(page).getByRole('button', { name: 'Take photograph 2 out' }).click();
  await write(page, 'A note', { Words: 'the strongback stands' });
  await expect(list(page)).toContainText('(a photograph)');
  await form(page)
    .getByLabel('A photograph for the log')
    .setInputFiles({ name: 'no.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByText(/not a PNG or JPEG picture/)).toBeVisible();
  await page.reload();
  await list(page)
    .getByRole('button', { name: /strongback stands/ })
    .click();
  await expect(slipOf(page).getByRole('img', { name: 'Photograph 1' })).toBeVisible();
  const small = await page.getByRole('main').evaluate((main) =>
    [...main.querySelectorAll('button, input:not([type=file]):not([type=checkbox]), [role=combobox]')]
      .map((one) => (one.closest('.MuiInputBase-root') ?? one).getBoundingClientRect())
      .filter(({ width, height }) => width > 0 && height > 0 && height < 43.5)
      .map(({ width, height }) => `${Math.round(width)} by ${Math.round(height)}`),
  );
  expect(small).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await expectNoFaults(page);

  // on paper it comes after the sheets, with its words
  const photos = page.locator('.printed-photos');
  await expect(photos).toBeHidden();
  await expect(photos).toContainText('Ilven 640: photographs of the log, 1 of 1');
  await expect(photos.locator('figcaption')).toHaveText(/6 March 2027. the strongback stands/);
  const pdf = Buffer.from(await page.pdf({ preferCSSPageSize: true })).toString('latin1');
  expect(pdf.match(/\/Subtype \/Image/g)?.length).toBe(1);
});

test('a part that was cut and is drawn otherwise now is told, with what to do; ticked on Sheets too', async ({
  page,
}) => {
  await openLog(page, 'demo-tamsel');
  await page.getByRole('tab', { name: 'Parts' }).click();
  const parts = page.getByRole('list', { name: 'Parts and how far they are' });
  const row = parts.getByRole('listitem').filter({ hasText: 'Bulkhead 1' }).first();
  await row.getByRole('button', { name: 'Is cut' }).click();
  await expect(row).toContainText('Bulkhead 1 cut');
  await row.getByRole('button', { name: 'Is sealed' }).click();
  await row.getByRole('button', { name: /Bulkhead 1/ }).click();
  await expect(slipOf(page)).toContainText('at revision 1');
  await expect(slipOf(page)).toContainText('It is as it is drawn now');

  // the bulkhead goes aft by a hand's breadth: what is cut is no longer it
  await page.keyboard.press('3');
  await page
    .getByRole('slider', { name: /Bulkhead 1/ })
    .first()
    .focus();
  await page.keyboard.press('Enter');
  const place = slipOf(page).getByLabel(/^Its face/);
  await place.fill(String(Number(await place.inputValue()) + 60));
  await place.press('Enter');
  await page.keyboard.press('Escape');
  await place.blur();
  await page.keyboard.press('l');
  await expect(slipOf(page)).toContainText(/Bulkhead 1 was cut at revision 1 and is drawn otherwise now/);
  await slipOf(page)
    .getByRole('button', { name: /Bulkhead 1 was cut/ })
    .first()
    .click();
  await expect(slipOf(page).getByRole('img', { name: 'The part as it was cut, on the present drawing' })).toBeVisible();
  await expect(slipOf(page)).toContainText('cut it anew');

  // to be cut again, it is told no more
  await slipOf(page).getByLabel('The part is').click();
  await page.getByRole('option', { name: 'to cut', exact: true }).click();
  await expect(slipOf(page)).not.toContainText('drawn otherwise now');
  await page.getByRole('heading', { name: 'Log' }).hover();
  await expectNoFaults(page);

  await page
    .getByRole('navigation', { name: 'Stages' })
    .getByRole('link', { name: /Sheets/ })
    .click();
  await expect(page.getByRole('main', { name: 'Sheets' })).toBeVisible();
  await unfold(page, 'Parts to cut');
  await slipOf(page)
    .getByRole('row', { name: /Bulkhead 1/ })
    .first()
    .click();
  await slipOf(page).getByLabel('The part is').click();
  await page.getByRole('option', { name: 'cut', exact: true }).click();
  await expect(slipOf(page)).toContainText('at revision 1');

  // and where it is drawn, with what goes on it
  await page
    .getByRole('navigation', { name: 'Stages' })
    .getByRole('link', { name: /^\d+Frames/ })
    .click();
  await unfold(page, 'Made so far');
  const made = slipOf(page).getByRole('region', { name: 'Made so far' });
  await expect(made.getByRole('combobox', { name: 'Bulkhead 1', exact: true })).toHaveText('cut');
  await expect(made).toContainText('1 of 3 cut');
  await made.getByRole('button', { name: '2 more are cut' }).click();
  await expect(made).toContainText('3 of 3 cut');
  await made.getByRole('button', { name: 'All are sealed' }).click();
  await expect(made.getByRole('combobox')).toHaveText(['sealed', 'sealed', 'sealed']);
  await expectNoFaults(page);
});
