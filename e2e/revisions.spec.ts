/** Revisions: kept under a name and when the next begins, compared, gone back to; nothing is lost on the way. */
import { expect, test } from '@playwright/test';
import { expectNoFaults } from './no-faults';

test('a boat is kept, changed, compared and gone back to as a new one', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
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
