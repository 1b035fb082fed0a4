/** Mixing: a pot weighed by keys on a narrow screen, a scale that cannot be believed, clocks that outlive the page. */
import { expect, test, type Page } from '@playwright/test';
import { expectNoFaults } from './no-faults';

const NARROW = { width: 390, height: 800 };
/** What a gloved finger and an eye at arm's length need. */
const [LEAST_TARGET_PX, LEAST_TEXT_PX] = [44, 18];

async function openMixing(page: Page) {
  await page.goto('/project/demo-tamsel/epoxy');
  await page.getByRole('tab', { name: 'To mix' }).click();
}

const onScale = (page: Page, change: object) => page.request.post('/devices/scale', { data: change });
const said = async (page: Page) =>
  Number(
    (
      await page
        .getByText(/^\d+ g$/)
        .first()
        .textContent()
    )?.replace(' g', ''),
  );

test('a pot: tare, A, B 6 % over, put right, filler, the clock, the log; by keyboard, 390 wide', async ({ page }) => {
  await page.setViewportSize(NARROW);
  await openMixing(page);
  await page.getByRole('combobox', { name: 'What is done now' }).press('Enter');
  await page.getByRole('option', { name: /Tacking/ }).press('Enter');
  await page.getByRole('button', { name: 'Weigh this pot' }).press('Enter');
  const weighing = page.getByRole('region', { name: 'Weighing' });
  await onScale(page, { load: 24, fault: 'none' });
  await page.getByRole('button', { name: 'Listen to the stand-in scale' }).press('Enter');
  const shown = page.getByRole('status', { name: 'The scale shows' });
  await expect(shown).toHaveText('24 g');
  await page.getByRole('button', { name: 'Set it to nought' }).press('Enter');
  await expect(shown).toHaveText('0 g');
  const field = weighing.getByLabel('The scale shows, g');
  const pour = async (grams: number, shows: number) => {
    await onScale(page, { add: grams });
    await expect(shown).toHaveText(`${Math.round(shows)} g`);
    await field.press('Enter');
  };
  const a = await said(page);
  await pour(a, a);
  await expect(weighing.getByText('Pour hardener until the scale shows')).toBeVisible();
  const b = 1.06 * ((await said(page)) - a);
  await pour(b, a + b);
  await expect(weighing.getByText(/More than 3 % off the ratio. It can be put right: add resin/)).toBeVisible();
  const more = (await said(page)) - a - b;
  expect(more / a).toBeGreaterThan(0.03);
  await pour(more, a + b + more);
  await expect(weighing.getByText(/Stir two minutes, then add filler/)).toBeVisible();
  await expectRoomForGloves(page);
  await expectNoFaults(page);
  const whole = await said(page);
  await pour(whole - a - b - more, whole);
  await weighing.getByRole('button', { name: 'Mixed: start the clock' }).press('Enter');
  await expect(page.getByRole('timer', { name: 'Use it up within' })).toBeVisible();
  await page.reload();
  await page.getByRole('tab', { name: 'To mix' }).click();
  const clocks = page.getByRole('region', { name: 'Clocks of Tacking, pot 1' });
  await expect(clocks.getByRole('timer', { name: 'Stir, scrape the sides' })).toHaveText(/1:\d\d/);
  await clocks.getByLabel('Left in it, g').fill('7');
  await page.keyboard.press('Enter');
  await expect(clocks).toBeHidden();
  await page.getByRole('button', { name: 'Mixed so far' }).click();
  await expect(page.getByRole('row', { name: /Tacking 1 .* 7$/ })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(NARROW.width);
});

/** Everything to press is 44 px high, and no text of the weighing is smaller than 18 px. */
async function expectRoomForGloves(page: Page) {
  const small = await page.getByRole('region', { name: 'Weighing' }).evaluate(
    (section, [target, text]) => {
      const sizes = [...section.querySelectorAll('button, input')].filter(
        (one) => one.getBoundingClientRect().height < target!,
      );
      const words = [...section.querySelectorAll('p, :not(legend) > span, h2, button')].filter(
        (one) => one.textContent?.trim() && parseFloat(getComputedStyle(one).fontSize) < text!,
      );
      return [...sizes, ...words].map((one) => one.outerHTML.slice(0, 120));
    },
    [LEAST_TARGET_PX, LEAST_TEXT_PX],
  );
  expect(small).toEqual([]);
}

test('a scale that cannot be believed is told of, and nothing is taken from it', async ({ page }) => {
  await openMixing(page);
  await page.getByRole('button', { name: /Sheet joints/ }).click();
  await page.getByRole('button', { name: 'Weigh this pot' }).click();
  await onScale(page, { load: 200, fault: 'none' });
  await page.getByRole('button', { name: 'Listen to the stand-in scale' }).click();
  const take = page.getByRole('button', { name: 'That is in' });
  await expect(take).toBeEnabled();
  await onScale(page, { fault: 'freeze' });
  await expect(page.getByText(/it is frozen/)).toBeVisible();
  await expect(take).toBeDisabled();
  await onScale(page, { fault: 'dropout' });
  await expect(page.getByText(/Nothing comes from the scale/)).toBeVisible();
  await expect(take).toBeDisabled();
  await onScale(page, { fault: 'spike' });
  await expect(page.getByText(/The scale jumped/)).toBeVisible();
  await onScale(page, { fault: 'drift' });
  await expect(page.getByText(/The scale drifts/)).toBeVisible();
  await expect(take).toBeDisabled();
  await page.getByLabel('The scale shows, g').fill('33');
  await take.click();
  await expect(page.getByText('Pour hardener until the scale shows')).toBeVisible();
  await onScale(page, { load: 0, fault: 'none' });
});

test('a page that slept tells the right time when it wakes, and what went off meanwhile', async ({ page }) => {
  await page.clock.install();
  await openMixing(page);
  await page.getByRole('button', { name: /Sheet joints/ }).click();
  await page.getByRole('button', { name: 'Weigh this pot' }).click();
  for (const grams of ['33', '47', '52']) {
    await page.getByLabel('The scale shows, g').fill(grams);
    await page.keyboard.press('Enter');
  }
  await page.getByRole('button', { name: 'Mixed: start the clock' }).click();
  const life = page.getByRole('timer', { name: 'Use it up within' });
  await expect(life).toHaveText(/4\d:\d\d/);
  // as when the lid is shut: no second ticks meanwhile
  await page.clock.fastForward('20:00');
  await expect(life).toHaveText(/2\d:\d\d/);
  await expect(page.getByRole('timer', { name: 'Stirred' })).toBeVisible();
  await page.clock.fastForward('25:00');
  await expect(page.getByText('Gone off: throw it away outdoors')).toBeVisible();
});

test('hours: what a typed forecast lets be done, and what of it is not understood', async ({ page }) => {
  await openMixing(page);
  await page.getByRole('tab', { name: 'When' }).click();
  await expect(page.getByText('Nothing speaks against mixing now')).toBeVisible();
  const forecast = page.getByLabel('The forecast, a line a time');
  await forecast.fill('2126-05-02 08:00, warm');
  await expect(page.getByText('line 1: found "warm"; expected a temperature in °C')).toBeVisible();
  await forecast.fill('2126-05-02 08:00, 4, 60\n2126-05-02 20:00, 28, 60\n2126-05-03 20:00, 28, 60');
  await expect(page.getByText(/A coat may go on from Thu.?,? 2 May 11:00/)).toBeVisible();
  await expectNoFaults(page);
  await page.reload();
  await page.getByRole('tab', { name: 'When' }).click();
  await expect(page.getByRole('img', { name: 'Temperatures to come' })).toBeVisible();
});
