/** The shop view, by touch alone and by keys alone; the book on a phone without a server, and what it gives back. */
import { readFileSync } from 'node:fs';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { expectNoFaults } from './no-faults';
import { laidOut, unfold } from './slip';

const PHONE = { width: 390, height: 844 } as const;
const shop = (page: Page) => page.getByRole('main', { name: 'Shop view' });
const logged = (page: Page) => page.getByRole('list', { name: 'The log, the last day first' });

async function openDemo(page: Page, demo: string, stage: string): Promise<void> {
  await page.goto(`/project/${demo}/${stage}`);
}

/** Letters and what is touched are large enough, and nothing runs off to the side. */
async function expectLarge(page: Page): Promise<void> {
  const small = await page.evaluate(() => {
    const main = document.querySelector('main')!;
    const shown = [...main.querySelectorAll('*')].filter(
      (one): one is HTMLElement =>
        one instanceof HTMLElement && one.checkVisibility() && one.offsetWidth > 1 && one.offsetHeight > 1,
    );
    const letters = shown
      .filter((one) => [...one.childNodes].some((node) => node.nodeType === 3 && node.textContent?.trim()))
      .filter((one) => parseFloat(getComputedStyle(one).fontSize) < 18);
    // a box is ticked by its label
    const touched = shown
      .filter((one) => one.matches('button, a, input, summary'))
      .map((one) => one.closest('label') ?? one)
      .filter((one) => Math.min(one.offsetWidth, one.offsetHeight) < 44);
    return [...letters, ...touched].map((one) => one.outerHTML.slice(0, 120));
  });
  expect(small).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(PHONE.width);
}

test.describe('by touch alone', () => {
  test.use({ viewport: PHONE, hasTouch: true });

  test('a panel is marked out point by point, a frame is read by the pad; both hands apart; axe finds nothing', async ({
    page,
  }) => {
    await openDemo(page, 'demo-tamsel', 'setup');
    await page.getByRole('button', { name: 'Menu' }).tap();
    await page.getByRole('link', { name: 'Shop view' }).tap();
    await expect(shop(page)).toContainText('Tamsel 430');
    await expectLarge(page);
    await expectNoFaults(page);

    await page.getByRole('button', { name: /^Mark out \d/ }).tap();
    await page.getByRole('button', { name: /^Side, port/ }).tap();
    await expect(shop(page)).toContainText('the fore end to your right');
    await expect(shop(page)).not.toContainText('STARBOARD');
    await expectLarge(page);
    await page.getByRole('button', { name: /Tap anywhere here/ }).tap();
    await expect(shop(page)).toContainText('step 2 of');
    await expect(shop(page)).toContainText('upper edge');
    await expectNoFaults(page);

    // what is ticked is kept: a reload goes on there, and the list says what is begun
    await page.reload();
    await expect(shop(page)).toContainText('step 2 of');
    await page.getByRole('button', { name: 'All tasks' }).tap();
    await expect(page.getByRole('region', { name: 'Begun' })).toContainText('Side, port');

    await page.getByRole('button', { name: 'Left-handed' }).tap();
    await page.getByRole('button', { name: /^Set it true/ }).tap();
    await page.getByRole('button', { name: /^Bulkhead 2/ }).tap();
    await page.getByRole('button', { name: /Tap anywhere here/ }).tap();
    await expect(shop(page)).toContainText('Tape to its foot');
    for (const key of ['2', '5', '8', '9', 'Point', '5'])
      await page.getByRole('button', { name: key, exact: true }).tap();
    await expect(shop(page)).toContainText('Understood: 2590 mm');
    await page.getByRole('button', { name: 'Wipe out the last one' }).tap();
    await page.getByRole('button', { name: '2', exact: true }).tap();
    await expectLarge(page);
    await expectNoFaults(page);
    await page.getByRole('button', { name: 'Keep it' }).tap();
    await expect(shop(page)).toContainText('step 3 of');
    await page.getByRole('button', { name: 'On its mark' }).tap();
    await expect(shop(page)).toContainText('step 4 of');

    // what a label leads to
    await page.goto('/project/demo-tamsel/shop?part=Side%2C%20port');
    await expect(page.getByRole('region', { name: 'This part' })).toContainText('Mark out: Side, port');
    await expect(page.getByRole('region', { name: 'This part' })).not.toContainText('starboard');

    // the set-up has it, and the log
    await page.getByRole('link', { name: 'Back to the bench' }).tap();
    await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
    await page.goto('/project/demo-tamsel/log');
    await expect(logged(page)).toContainText('Tape to its foot');
    await page.goto('/project/demo-tamsel/setup');
    await expect(page.getByRole('complementary', { name: 'The slip', exact: true })).toContainText(
      'The readings of Bulkhead 2',
    );
  });
});

test.describe('by keys alone', () => {
  test.use({ viewport: PHONE });

  const press = async (page: Page, target: Locator) => {
    await target.focus();
    await page.keyboard.press('Enter');
  };

  /** A key pressed before the step is there would go nowhere. */
  const onStep = async (page: Page, key: string) => {
    await expect(page.locator('.shop-next')).toBeFocused();
    await page.keyboard.press(key);
  };

  test('a pot is weighed with its clock running on, a job is ticked and taken back', async ({ page }) => {
    await openDemo(page, 'demo-tamsel', 'shop');
    await press(page, page.getByRole('button', { name: /^Mix a pot/ }));
    await press(page, page.getByRole('button', { name: /pot 1 of/ }).first());
    await expect(shop(page)).toContainText('Gloves on');
    const pot = ((await page.locator('.shop-of').textContent()) ?? '').replace(/, pot (\d+) of \d+$/, ' $1');
    await onStep(page, 'Space');
    await expect(shop(page)).toContainText('the scale shows, g');
    await onStep(page, 'Enter');
    await expect(shop(page)).toContainText('Hardener');
    await page.keyboard.press('ArrowLeft');
    await expect(shop(page)).toContainText('step 2 of');
    await onStep(page, 'Enter');
    await expect(shop(page)).toContainText('step 3 of');
    await onStep(page, 'Enter');
    await expect(shop(page)).toContainText('Stir');
    await press(page, page.getByRole('button', { name: /^Start the clock/ }));
    await expect(page.getByRole('timer')).toContainText(/^1:/);
    await page.reload();
    await expect(page.getByRole('timer')).toContainText(/^1:/);
    await onStep(page, 'Enter');
    // back and ticked again it is the same pot
    await expect(shop(page)).toContainText('Use it');
    await page.keyboard.press('ArrowLeft');
    await onStep(page, 'Enter');
    await expect(shop(page)).toContainText('Use it');
    await page.keyboard.press('Escape');

    await press(page, page.getByRole('button', { name: /^Do a job \d/ }));
    const jobs = page.getByRole('region', { name: 'Do a job', exact: true });
    const first = jobs.locator('.shop-task').filter({ hasText: '2 steps' }).first();
    const name = (await first.locator('span').first().textContent()) ?? '';
    await press(page, first);
    // what is got ready, then the work itself
    await expect(shop(page)).toContainText('Have it ready');
    await onStep(page, 'Enter');
    await expect(shop(page)).toContainText('step 2 of 2');
    await onStep(page, 'Enter');
    await expect(shop(page)).toContainText(`${name}: done`);
    await press(page, page.getByRole('button', { name: 'All tasks' }));
    await press(page, page.getByRole('button', { name: /^Do a job \d/ }));
    await expect(page.getByRole('button', { name: `${name} 2 steps` })).toHaveCount(0);
    await page.goto('/project/demo-tamsel/plan');
    await expect(page.getByRole('main', { name: 'Plan' })).toContainText(/Done\s*1 of/);

    await page.goto('/project/demo-tamsel/epoxy');
    await unfold(page, 'Mixed so far');
    const mixed = page.getByRole('table', { name: 'Pots mixed' });
    await expect(mixed.getByRole('row', { name: `${pot} ` })).toHaveCount(1);
  });
});

test('a layout that is kept lies so after a reload, and its sheets are marked out by two crosses a part', async ({
  page,
}) => {
  await openDemo(page, 'demo-tamsel', 'sheets');
  await laidOut(page);
  const keep = page.getByRole('button', { name: 'Keep this layout' });
  await keep.click();
  await expect(page.getByText(/Kept with the boat as it lies/)).toBeVisible();
  // nothing is looked for any more, and it is said why
  await expect(page.getByText(/Every piece lies as it is kept/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Stop here' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Look for a better layout' })).toBeDisabled();
  await expect(keep).toBeHidden();
  // where each begins: how many points a curve is drawn by goes by its size on the screen
  const lying = () =>
    page
      .locator('path[data-part]')
      .evaluateAll((paths) => paths.map((path) => /^M[^A-Z]*/.exec(path.getAttribute('d') ?? '')?.[0]));
  const before = await lying();
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByText(/^\d sheets, \d\d %$/).first()).toBeVisible();
  expect(await lying()).toEqual(before);
  await expect(keep).toBeHidden();
  await expectNoFaults(page);

  await page.setViewportSize(PHONE);
  await page.goto('/project/demo-tamsel/shop');
  await page.getByRole('button', { name: /^Mark out a sheet \d/ }).click();
  await page.getByRole('button', { name: /^Sheet 1, 6 mm plywood/ }).click();
  await expect(shop(page)).toContainText('its left and its lower edge');
  await page.getByRole('button', { name: /Tap anywhere here/ }).click();
  await expect(shop(page)).toContainText(/the left cross.*from the left.*from below/);
  // the part as it lies on the sheet
  await expect(page.locator('.shop-picture .shape')).toHaveCount(1);
  await expectLarge(page);
  await expectNoFaults(page);
});

test('the book opens from a file at 390 without a server; its ticks and readings come back into the log', async ({
  page,
  browser,
}) => {
  await openDemo(page, 'demo-tamsel', 'lines');
  await page.getByRole('button', { name: 'Export' }).click();
  const waiting = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'The book for a phone, HTML' }).click();
  const path = await (await waiting).path();
  const html = `${path}.html`;
  const { copyFileSync } = await import('node:fs');
  copyFileSync(path, html);

  const phone = await browser.newContext({ viewport: PHONE, hasTouch: true, acceptDownloads: true });
  await phone.setOffline(true);
  const book = await phone.newPage();
  const faults: string[] = [];
  book.on('pageerror', (error) => faults.push(error.message));
  book.on(
    'request',
    (request) => !request.url().startsWith('file:') && !request.url().startsWith('blob:') && faults.push(request.url()),
  );
  await book.goto(`file://${html}`);
  await expect(book.getByRole('heading', { name: 'Tamsel 430' })).toBeVisible();
  await expectNoFaults(book);
  await expectLarge(book);
  await book.locator('.kind > summary', { hasText: 'Set it true' }).tap();
  await book.locator('[data-task^="setup/"] > summary', { hasText: 'Bulkhead 2' }).tap();
  await book.getByRole('textbox', { name: 'Tape to its foot, level: reads' }).fill('2591');
  await book.locator('summary', { hasText: 'Do a job' }).tap();
  await book.locator('[data-task^="plan/"] > summary').first().tap();
  for (const box of await book.locator('[data-task^="plan/"]').first().getByRole('checkbox').all()) await box.check();
  await book.getByLabel('What else there is to say').fill('The tape was two short');
  await expectLarge(book);
  // it is still there when the page was closed
  await book.reload();
  await expect(book.getByLabel('What else there is to say')).toHaveValue('The tape was two short');
  const giving = book.waitForEvent('download');
  await book.getByRole('button', { name: /^Save ticks/ }).tap();
  const given = await giving;
  const back = {
    name: given.suggestedFilename(),
    mimeType: 'application/json',
    buffer: readFileSync(await given.path()),
  };
  expect(back.name).toBe('tamsel-430-done.json');
  expect(faults).toEqual([]);
  await phone.close();

  await page.getByLabel('Import a file').setInputFiles(back);
  await expect(page.getByText(/^From the book of Tamsel 430: .* 1 reading, 2 new in the log/)).toBeVisible();
  await page.goto('/project/demo-tamsel/log');
  await expect(logged(page)).toContainText('The tape was two short');
  await expect(logged(page)).toContainText('Tape to its foot');
  // of another boat it is refused, by name
  await page.goto('/project/demo-orrin/lines');
  await expect(page.getByRole('main', { name: 'Lines' })).toBeVisible();
  await page.getByLabel('Import a file').setInputFiles(back);
  await expect(page.getByRole('dialog')).toContainText('the book of Tamsel 430');
});
