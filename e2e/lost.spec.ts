/** Nothing lost, nothing hung: what is typed just before leaving, what is deleted, what is damaged, what dies. */
import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { random } from '@kalotrope/core/geometry';

const FRAMES = '/project/demo-tamsel/frames';
const place = (page: Page) => page.getByLabel('Its face, from the stem');

async function openFrames(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('img', { name: /Lines: profile/ })).toBeVisible();
  await page.goto(FRAMES);
  await expect(place(page)).toBeVisible();
}

const ways: readonly (readonly [string, (page: Page) => Promise<unknown>])[] = [
  ['for the list of projects', (page) => page.getByRole('link', { name: /all projects/ }).click()],
  ['by loading the page again', (page) => page.reload()],
  ['for another page', (page) => page.goto('about:blank')],
  [
    'for another page while it stands still for two seconds',
    async (page) => {
      // begun after the answer, so that the leaving meets it
      await page.evaluate(() => {
        setTimeout(() => {
          for (const end = performance.now() + 2000; performance.now() < end;);
        }, 0);
      });
      await page.goto('about:blank');
    },
  ],
];
for (const [i, [name, leave]] of ways.entries())
  test(`a figure typed and not yet entered is kept when the page is left ${name}`, async ({ page }) => {
    await openFrames(page);
    await place(page).fill(String(1111 + i));
    await leave(page);
    await page.goto(FRAMES);
    await expect(place(page)).toHaveValue(`${1111 + i}.0`);
  });

test('an edit can be taken back after the page was loaded again', async ({ page }) => {
  await openFrames(page);
  const before = await place(page).inputValue();
  await place(page).fill('1234');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status')).toHaveText('saved');
  await page.reload();
  await expect(place(page)).toHaveValue('1234.0');
  await page.getByRole('button', { name: /^Undo: Bulkhead 1: place/ }).click();
  await expect(place(page)).toHaveValue(before);
});

test('two projects deleted come back by one undo, and later from the list', async ({ page }) => {
  await openFrames(page);
  await page.goto('/projects');
  for (const boat of ['Orrin pram', 'Veyra 520']) {
    await page.getByRole('button', { name: `Delete ${boat}` }).click();
    // the rows move up: a click while they do would fall between two
    await expect(page.getByRole('link', { name: boat })).toBeHidden();
  }
  await expect(page.getByText('Orrin pram, Veyra 520 deleted')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  for (const boat of ['Orrin pram', 'Veyra 520']) await expect(page.getByRole('link', { name: boat })).toBeVisible();
  await page.getByRole('button', { name: 'Delete Orrin pram' }).click();
  await expect(page.getByRole('link', { name: 'Orrin pram' })).toBeHidden();
  await page.reload();
  await page.getByRole('button', { name: 'Put back Orrin pram' }).click();
  await expect(page.getByRole('link', { name: 'Orrin pram' })).toBeVisible();
});

test('a window whose project is deleted in another is told, and may keep it', async ({ page, context }) => {
  await openFrames(page);
  const other = await context.newPage();
  await other.goto('/projects');
  await other.getByRole('button', { name: 'Delete Tamsel 430' }).click();
  await expect(page.getByText(/was deleted in another window/)).toBeVisible();
  await place(page).fill('1212');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('status')).toHaveText('saved');
  await other.reload();
  await expect(other.getByRole('link', { name: 'Tamsel 430', exact: true })).toBeVisible();
});

test('damaged drawings are refused or read, one after another, and the page stays alive', async ({ page }) => {
  await openFrames(page);
  const good = readFileSync(new URL('../docs/samples/tamsel-lines.dxf', import.meta.url), 'utf8');
  const chance = random(5);
  const dialog = page.getByRole('dialog', { name: 'The file was not taken' });
  for (let i = 0; i < 6; i++) {
    const at = Math.floor(chance() * good.length);
    const bad = i % 2 === 0 ? good.slice(0, at) : `${good.slice(0, at)}x${good.slice(at + 5)}`;
    await page
      .getByLabel('Import a file')
      .setInputFiles({ name: `bad-${i}.dxf`, mimeType: 'image/vnd.dxf', buffer: Buffer.from(bad) });
    await expect(dialog).toBeVisible();
    await expect(dialog).not.toContainText('no answer'); // as it would of a reader that hangs
    await page.getByRole('button', { name: 'Close' }).click();
    await expect(dialog).toBeHidden();
  }
  await expect(place(page)).toBeVisible();
});

test('a worker that dies is started again, and the last edit worked out', async ({ page }) => {
  // the first worker that is asked anything for the third time dies of it
  await page.addInitScript(`
    const Own = window.Worker;
    let asked = 0;
    window.Worker = class extends Own {
      postMessage(...what) {
        asked += 1;
        if (asked === 3) {
          this.terminate();
          setTimeout(() => this.dispatchEvent(new ErrorEvent('error', { message: 'out of memory' })), 50);
        } else super.postMessage(...what);
      }
    };
  `);
  await page.goto('/');
  await expect(page.getByRole('img', { name: /Lines: profile/ })).toBeVisible();
  await page.goto(FRAMES);
  const breadth = page.getByText('Half-breadth inside the skin').locator('..');
  await expect(breadth).toBeVisible();
  for (const x of [1500, 1600, 1700]) {
    const before = await breadth.textContent();
    await place(page).fill(String(x));
    await page.keyboard.press('Enter');
    await expect(breadth).not.toHaveText(before ?? '');
  }
  await expect(page.getByText(/Working out had stopped \(out of memory\); it was started again/)).toBeVisible();
});
