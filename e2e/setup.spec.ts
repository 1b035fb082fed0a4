/** The set-up, by touch on a phone: every reading, one correction, the re-check. */
import { expect, test } from '@playwright/test';
import { expectNoFaults } from './no-faults';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

for (const [id, from] of [
  ['demo-tamsel', 'Bulkhead'],
  ['demo-orrin', 'Frame'],
  ['demo-veyra', 'Bulkhead'],
  ['demo-ilven', 'Bulkhead'],
] as const)
  test(`the set-up of ${id} by touch: every reading, a rack told and undone, the first frame looked at again`, async ({
    page,
  }) => {
    await page.goto(`/project/${id}/setup`);
    const work = page.getByRole('region', { name: 'Setting up' });
    const frames = work.getByRole('group', { name: 'Frames, middle first' }).getByRole('button');
    await expect(frames.first()).toBeVisible();
    const count = await frames.count();
    expect(count).toBeGreaterThan(1);
    const drawn = page.getByRole('group', { name: 'The set-up, from the side and from above' }).locator('text');
    const boxes = await drawn.evaluateAll((all) => all.map((one) => one.getBoundingClientRect().toJSON() as DOMRect));
    const isOver = (a: DOMRect, b: DOMRect) =>
      a.left < b.right && b.left < a.right && a.top < b.y + b.height / 2 && b.top < a.y + a.height / 2;
    expect(
      boxes.filter((a, i) => boxes.some((b, k) => k > i && isOver(a, b))),
      'names over one another',
    ).toEqual([]);
    // one of them comes with readings of an evening, out of true
    const anew = work.getByRole('button', { name: 'It was moved: read anew' });
    for (const k of id === 'demo-veyra' ? [1, 0] : []) {
      await frames.nth(k).tap();
      await expect(work.getByRole('alert')).toBeVisible();
      await anew.tap();
      await expect(frames.nth(k)).toContainText('○');
    }
    await expect(frames.first()).toContainText('○');
    // the first by its readings one by one, its diagonals out by 8 mm either way
    const marks = work.getByRole('button', { name: /: on its mark$/ });
    await expect(marks).toHaveCount(8);
    for (let i = 0; i < 6; i++) {
      const mark = marks.nth(i);
      const box = await mark.boundingBox();
      expect(box!.height).toBeGreaterThanOrEqual(44);
      await mark.tap();
      await expect(mark).toHaveAttribute('aria-pressed', 'true');
    }
    const type = async (label: string, by: string) => {
      const field = work.getByRole('textbox', { name: label, exact: true });
      await field.tap();
      await field.fill(by);
      await field.press('Enter');
    };
    const isImperial = id === 'demo-orrin';
    const diagonal = async (label: string) =>
      Number(
        (await marks
          .filter({ hasText: /./ })
          .nth(label === 'port' ? 6 : 7)
          .textContent())!.trim(),
      );
    if (isImperial) {
      const [feet, inches, eighths] = (await marks.nth(6).textContent())!
        .trim()
        .replace('+', '')
        .split('-')
        .map(Number);
      const mm = (feet! * 12 + inches! + eighths! / 8) * 25.4;
      await type('Diagonal to port', `${mm + 9} mm`);
      await type('Diagonal to starboard', `${mm - 9} mm`);
    } else {
      await type('Diagonal to port', String((await diagonal('port')) + 8));
      await type('Diagonal to starboard', String((await diagonal('starboard')) - 8));
    }
    const advice = work.getByRole('alert');
    await expect(advice).toHaveText(new RegExp(`Swing the starboard side of ${from} \\d .*, keeping the centre`, 'i'));
    await expect(frames.first()).toContainText('▲');
    // what was measured goes into the log once
    const intoLog = work.getByRole('button', { name: /^Readings into the log/ });
    await expect(intoLog).toHaveText('Readings into the log: 2 new');
    await intoLog.evaluate((button: HTMLElement) => {
      button.click();
      button.click(); // pressed twice at once
    });
    await expect(intoLog).toBeDisabled();
    // it is swung back, and read anew
    await anew.tap();
    await expect(frames.first()).toContainText('○');
    await work.getByRole('button', { name: 'All on their marks' }).tap();
    await expect(frames.first()).toContainText('✓');
    // all others; the first is looked at again after each
    for (let i = 1; i < count; i++) {
      await work.getByRole('button', { name: /^Next: / }).tap();
      await work.getByRole('button', { name: 'All on their marks' }).tap();
      await expect(frames.nth(i)).toContainText('✓');
      await expect(frames.first()).toContainText('↻');
    }
    for (let i = 0; i < count - 1; i++) {
      await frames.nth(i).tap();
      await work.getByRole('button', { name: 'All on their marks' }).tap();
      await expect(frames.nth(i)).toContainText('✓');
    }
    for (let i = 0; i < count; i++) await expect(frames.nth(i)).toContainText('✓');
    await expectNoFaults(page);
    await page.goto(`/project/${id}/log`);
    const log = page.getByRole('list', { name: 'The log, the last day first' });
    await expect(log.getByRole('button', { name: /: Diagonal to (port|starboard)/ })).toHaveCount(2);
  });

test('panels as built, a fault told and decided, a boat with no jig', async ({ page }) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/project/demo-veyra/setup');
  const slip = page.getByRole('complementary', { name: 'The slip' });
  // what was read of an evening changes the panels, on one side more than on the other; taken back at will
  await slip.getByRole('button', { name: 'As built' }).click();
  const asBuilt = slip.getByRole('button', { name: 'Develop the panels as built' });
  await asBuilt.click();
  const changes = slip.getByRole('table', { name: /Panels as built, edge by edge/ });
  await expect(changes.getByRole('row', { name: /Side, port: upper/ })).toBeVisible();
  await page.getByRole('button', { name: 'Export' }).click();
  await expect(page.getByRole('menuitem', { name: /Side, port, as built/ }).first()).toBeVisible();
  await page.keyboard.press('Escape');
  // these are what is cut: one for each hand
  await page.getByRole('link', { name: /Sheets/ }).click();
  await page.getByRole('button', { name: /^Parts to cut/ }).click();
  await expect(page.getByRole('row', { name: /Side, port/ }).first()).toBeVisible();
  await page.getByRole('link', { name: /Set-up/ }).click();
  await page.getByRole('button', { name: 'Undo: Panels as built' }).click();
  await expect(changes).toHaveCount(0);
  // a frame cut short is told until something is decided
  await slip.getByRole('button', { name: 'Is it good enough?' }).click();
  await slip.getByRole('button', { name: /^Something is wrong with Bulkhead 2/ }).click();
  const fault = slip.getByRole('group', { name: /^Bulkhead 2, cut short/ });
  await expect(fault).toContainText('Leave it.');
  await fault.getByRole('textbox', { name: 'How much' }).fill('9');
  await fault.getByRole('textbox', { name: 'How much' }).press('Enter');
  await expect(fault).toContainText('Fill it');
  const told = /Bulkhead 2 stands [\d.]+ mm off the bottom/;
  await expect(slip).toContainText(told);
  await fault.getByRole('combobox', { name: 'What is done' }).click();
  await page.getByRole('option', { name: 'filled' }).click();
  await expect(slip).not.toContainText(told);
  // with no jig: spreaders in place of a strongback
  await slip.getByRole('button', { name: 'How it is set up' }).click();
  await slip.getByRole('combobox', { name: 'Which way up' }).click();
  await page.getByRole('option', { name: 'with no jig' }).click();
  await slip.getByRole('button', { name: 'With no jig' }).click();
  await expect(slip.getByRole('table', { name: /^Spreaders/ }).getByRole('row')).toHaveCount(5);
  await expectNoFaults(page);
});
