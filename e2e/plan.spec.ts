/** The plan: jobs in one's own hours, ticked, put off, taken to the telephone and to paper. */
import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { expectNoFaults } from './no-faults';
import { unfold } from './slip';

const slipOf = (page: Page) => page.getByRole('complementary', { name: 'The slip', exact: true });
const days = (page: Page) => page.getByRole('list', { name: 'Day by day' });

async function type(page: Page, label: string, value: string): Promise<void> {
  const field = slipOf(page).getByLabel(label, { exact: true });
  await field.fill(value);
  await field.press('Enter');
}

/** The demos are there when the first page is. */
async function openPlan(page: Page, demo: string): Promise<void> {
  await page.goto(`/project/${demo}/plan`);
  await expect(page.getByRole('main', { name: 'Plan' })).toBeVisible();
}

test('what next: one’s own hours, a job ticked, one put off, a calendar file, kept over a reload', async ({ page }) => {
  await openPlan(page, 'demo-tamsel');
  await expect(
    days(page)
      .getByRole('button', { name: /Mark out and cut/ })
      .first(),
  ).toBeVisible();
  await expect(slipOf(page)).toContainText('Ends');
  await expect(days(page)).toContainText('Week 1, Tuesday');

  // dates come with a first day
  await unfold(page, 'Your hours');
  await type(page, 'First day', '2027-03-01');
  await expect(days(page)).toContainText('Tuesday 2027-03-02');
  // an evening on Monday, by the clock
  await type(page, 'Mon from', '18:30');
  await type(page, 'Mon hours', '1.5');
  await expect(days(page)).toContainText('Monday 2027-03-01');
  await expect(days(page)).toContainText('18:30–20:00');
  await type(page, 'Mon hours', '30');
  await expect(slipOf(page)).toContainText('Expected a figure from 0 h to 24 h');
  await page.keyboard.press('Escape');

  // a wet job says what is looked at before the pot is mixed; ticked, it is planned no more
  const seal = days(page).getByRole('button', { name: /Sealing, coat 1/ });
  await seal.click();
  await expect(slipOf(page)).toContainText('Before the pot is mixed');
  await slipOf(page).getByRole('checkbox', { name: 'Done' }).check();
  await expect(seal).toHaveCount(0);
  await expect(slipOf(page).getByRole('region', { name: 'Done' })).toContainText('1 of');

  // put off to a date
  await days(page)
    .getByRole('button', { name: /Make bulkhead 1/ })
    .first()
    .click();
  await type(page, 'Not before', '2027-04-10');
  await expect(slipOf(page)).toContainText('Saturday 2027-04-10');
  await type(page, 'Takes, hours', '3');
  await expect(slipOf(page)).toContainText('3 h');

  const download = page.waitForEvent('download');
  await slipOf(page).getByRole('button', { name: 'Calendar file' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('tamsel-430-plan.ics');
  expect(readFileSync(await file.path(), 'utf8')).toContain('SUMMARY:Tamsel 430: Make bulkhead 1');

  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(days(page)).toContainText('Saturday 2027-04-10');
  await expect(slipOf(page).getByRole('region', { name: 'Done' })).toContainText('1 of');
  await page.getByRole('heading', { name: 'Plan' }).hover();
  await expectNoFaults(page);
});

test('without hours there is no plan, and that is said; its key comes here', async ({ page }) => {
  await openPlan(page, 'demo-orrin');
  await page.keyboard.press('9');
  await expect(page.getByRole('main', { name: 'Epoxy & glass' })).toBeVisible();
  await page.keyboard.press('p');
  await expect(page.getByRole('main', { name: 'Plan' })).toBeVisible();
  await unfold(page, 'Your hours');
  for (const day of ['Tue', 'Thu', 'Sat', 'Sun']) await type(page, `${day} hours`, '0');
  await expect(slipOf(page)).toContainText('There are no hours to build in');
  await expect(page.getByRole('main')).toContainText('put some into the week');
});

test('an order of one’s own, what a job wants, what the weather spoils; a cold cure is told', async ({ page }) => {
  await openPlan(page, 'demo-tamsel');
  await unfold(page, 'Your hours');
  await type(page, 'First day', '2026-12-01');
  await unfold(page, 'Your hours');
  const job = (name: RegExp) => days(page).getByRole('button', { name }).first();
  await job(/Sheet joints/).click();
  await expect(slipOf(page)).toContainText('clamps or weights');
  await expect(slipOf(page)).toContainText('shop, at least');
  // after the timber, which waits for nothing: it begins later
  await job(/Mark out and cut bottom/).click();
  await slipOf(page).getByLabel('Done after').click();
  await expect(page.getByRole('option', { name: 'Turn her over' })).toHaveCount(0);
  await page.getByRole('option', { name: 'Saw the timber' }).click();
  await expect(slipOf(page)).toContainText('After saw the timber');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(slipOf(page)).not.toContainText('After saw the timber');
  await page.keyboard.press('Escape');

  await unfold(page, 'The weather for it');
  const forecast = slipOf(page).getByLabel('The forecast, a line a time');
  await forecast.fill('2026-12-01 08:00, 14, 60\n2026-12-30 08:00, 14, 60');
  await expect(slipOf(page)).toContainText('spoils none');
  await forecast.fill('2026-12-01 08:00, 3, 60\n2026-12-30 08:00, 3, 60');
  const seal = slipOf(page).getByRole('group', { name: 'Sealing, coat 1 and the weather' });
  await expect(seal).toContainText('too cold');
  await seal.getByRole('button').first().click();
  await expect(slipOf(page)).toContainText('Takes');
  await page.mouse.move(640, 60);
  await expectNoFaults(page);

  // something is mixed, and the shop is colder than its hardener bears
  await page.evaluate(
    () =>
      new Promise<void>((done, fail) => {
        const opening = indexedDB.open('kalotrope');
        opening.onerror = () => fail(new Error('not opened'));
        opening.onsuccess = () => {
          const writing = opening.result.transaction('pots', 'readwrite');
          const pot = { project: 'demo-tamsel', kind: 'mixed', at: Date.now() - 60_000, job: 'Fillets', number: 1 };
          const weighed = { a: 100, b: 50, filler: 0, planned: 150, potLife: 60, shopC: 5, by: 'typed' };
          writing.objectStore('pots').add({ ...pot, ...weighed });
          writing.oncomplete = () => done();
        };
      }),
  );
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Epoxy & glass' }).click();
  await unfold(page, 'The shop');
  await type(page, 'How warm it is, °C', '4');
  await page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: 'Lines' }).click();
  const alert = page.getByRole('alert').filter({ hasText: 'for fillets is not hard' });
  await expect(alert).toBeVisible();
  await page.goto('/project/demo-tamsel/shop');
  await expect(page.getByRole('main', { name: 'Shop view' })).toBeVisible();
  await expect(alert).toBeVisible();
  await alert.getByRole('button', { name: 'I see to it' }).click();
  await expect(alert).toHaveCount(0);
});
