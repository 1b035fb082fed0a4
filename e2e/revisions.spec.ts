/** Revisions: kept under a name and when the next begins, compared, gone back to; nothing is lost on the way. */
import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { expectNoFaults } from './no-faults';

test('a boat is kept, changed, compared and gone back to as a new one', async ({ page }) => {
  await page.goto('/project/demo-tamsel/lines');
  const bar = page.getByRole('banner');
  const dialog = page.getByRole('dialog', { name: 'Revisions' });
  const open = async (rev: number) => {
    await bar.getByRole('button', { name: `Revision ${rev}`, exact: true }).click();
    await page.getByRole('menuitem', { name: 'Revisions: keep, compare, go back' }).click();
  };
  await open(1);
  await expect(dialog).toContainText('None is kept yet');
  await dialog.getByLabel('Name', { exact: true }).fill('As the table has it');
  await dialog.getByLabel('What it is about').fill('before the sheer was touched');
  await dialog.getByRole('button', { name: 'Keep it as it is now' }).click();
  await dialog.getByRole('button', { name: /As the table has it/ }).click();
  await expect(dialog).toContainText('Nothing has changed since');
  await dialog.getByRole('button', { name: 'Close' }).click();

  // the next begins, and the last is kept by itself
  await bar.getByRole('button', { name: 'Revision 1', exact: true }).click();
  await page.getByRole('menuitem', { name: /Begin revision 2/ }).click();
  await page.getByRole('tab', { name: 'The table' }).click();
  const cell = page.getByLabel('Sheer 2, height', { exact: true });
  const before = await cell.inputValue();
  await cell.fill(String(Number(before) + 9));
  await cell.press('Enter');

  await open(2);
  await expect(dialog.getByRole('list', { name: 'Revisions kept' }).getByRole('button')).toHaveCount(2);
  await dialog.getByRole('button', { name: /As the table has it/ }).click();
  await expect(dialog).toContainText('before the sheer was touched');
  await expect(dialog.getByRole('table', { name: 'Figures of the table that changed' })).toContainText('Sheer');
  await expect(dialog.getByRole('table', { name: 'Parts that changed' })).toContainText('Side');
  await expect(dialog.getByRole('img', { name: /The lines of both/ })).toBeVisible();
  await expectNoFaults(page, '[role=dialog]');

  await dialog.getByRole('button', { name: 'Go back to it, as a new one' }).click();
  await expect(bar.getByRole('button', { name: 'Revision 3', exact: true })).toBeVisible();
  await expect(cell).toHaveValue(before);
  await open(3);
  await expect(dialog).toContainText('Revision 2, before going back');
  await dialog.getByRole('button', { name: 'Close' }).click();
  // it can be undone like any edit
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(cell).toHaveValue(String(Number(before) + 9));
});

test('a newer plan of the boat comes as a file: compared, then taken as the next revision, or left', async ({
  page,
}) => {
  await page.goto('/project/demo-tamsel/lines');
  await page.getByRole('tab', { name: 'The table' }).click();
  const cell = page.getByLabel('Sheer 2, height', { exact: true });
  const before = Number(await cell.inputValue());
  await page.getByRole('button', { name: 'Export' }).click();
  const waiting = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'The project, to keep or share' }).click();
  const text = readFileSync(await (await waiting).path(), 'utf8');
  type Plan = { lines: { longitudinals: { name: string; points: { station: string; height: number }[] }[] } };
  const plan = JSON.parse(text) as Plan; // as it was just written
  const sheer = plan.lines.longitudinals.find(({ name }) => name === 'Sheer')!;
  const point = sheer.points.find(({ station }) => station === '2')!;
  point.height += 14;
  const file = {
    name: 'newer.kalotrope.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(plan)),
  };

  const dialog = page.getByRole('dialog', { name: 'Another plan of Tamsel 430' });
  await page.getByLabel('Import a file').setInputFiles(file);
  await expect(dialog.getByRole('table', { name: 'Figures of the table that changed' })).toContainText('Sheer');
  await expect(dialog.getByRole('table', { name: 'Parts that changed' })).toContainText('Side');
  await expectNoFaults(page, '[role=dialog]');
  await dialog.getByRole('button', { name: 'Leave it' }).click();
  await expect(cell).toHaveValue(String(before));

  await page.getByLabel('Import a file').setInputFiles(file);
  await dialog.getByRole('button', { name: 'Take it as revision 2' }).click();
  await expect(page.getByRole('banner').getByRole('button', { name: 'Revision 2', exact: true })).toBeVisible();
  await expect(cell).toHaveValue(String(before + 14));
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(cell).toHaveValue(String(before));
});
