/** Inside and on top of one's own hull: a sole, two seats and a foredeck, through to the sheets and the paper. */
import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { expectNoFaults } from './no-faults';
import { unfold } from './slip';

const slipOf = (page: Page) => page.getByRole('complementary', { name: 'The slip', exact: true });

async function add(page: Page, kind: string): Promise<void> {
  await page.getByRole('button', { name: 'Add a part' }).first().click();
  await page.getByRole('menuitem', { name: kind, exact: true }).click();
  await expect(slipOf(page).getByRole('textbox', { name: 'Name', exact: true })).toHaveValue(kind);
}

async function type(page: Page, label: string, value: string): Promise<void> {
  const field = slipOf(page).getByRole('textbox', { name: label, exact: true });
  await field.fill(value);
  await field.press('Enter');
}

test('a hanging knee under the sheer: its board, its bevel, moved, its corner told', async ({ page }) => {
  await page.goto('/project/demo-tamsel/fitout');
  await add(page, 'Hanging knee');
  await expect(slipOf(page)).toContainText('Sawn from');
  await unfold(page, 'Against the skin');
  await expect(
    slipOf(page).getByRole('table', { name: 'Hanging knee, against the skin' }).getByRole('row'),
  ).toHaveCount(6);
  await type(page, 'Thickness', '40');
  await type(page, 'Hollowed by', '110');
  await expect(slipOf(page)).toContainText('through from its corner to its free edge');
  await slipOf(page).getByRole('button', { name: 'Hollow it less' }).click();
  await expect(slipOf(page)).not.toContainText('through from its corner to its free edge');
  await page.getByRole('tab', { name: 'As it is cut' }).click();
  await expect(page.getByText('On its board, the after face of the starboard one up')).toBeVisible();
  // where the side does not come up so high that is told
  await type(page, 'Level', '2000');
  await expect(slipOf(page)).toContainText('has no corner');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(slipOf(page)).not.toContainText('has no corner');
  await page.getByRole('heading', { name: 'Hanging knee' }).hover();
  await expectNoFaults(page);
});

test('a sole, two seats and a foredeck in one’s own hull: cut, supported, laid out, marked, printed', async ({
  page,
}) => {
  await page.goto('/');
  const table = readFileSync(new URL('../docs/samples/tamsel.csv', import.meta.url), 'utf8');
  await page
    .getByLabel('Import a file')
    .setInputFiles({ name: 'my boat.csv', mimeType: 'text/csv', buffer: Buffer.from(table) });
  await expect(page.getByRole('link', { name: /My boat/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('5');
  await expect(page.getByRole('main', { name: 'Inside & top' })).toBeVisible();
  await expect(slipOf(page)).toContainText('Nothing lies inside yet');

  await add(page, 'Sole');
  const drawn = page.locator('path[data-part]');
  await expect(drawn.first()).toBeVisible();
  // it spans too far, and says how many bearers are wanting: one press puts them there
  await expect(slipOf(page)).toContainText('lies free over');
  await slipOf(page)
    .getByRole('button', { name: /^Put .* under it$/ })
    .click();
  await expect(slipOf(page)).not.toContainText('lies free over');
  await unfold(page, 'What it lies on');
  await expect(slipOf(page).getByRole('table', { name: /^Under it/ })).toContainText('bearer 5');

  await add(page, 'Side seat');
  await expect(slipOf(page).getByRole('combobox', { name: 'On which side' })).toHaveText('a pair');
  await add(page, 'Foredeck');
  await unfold(page, 'What it lies on');
  await expect(slipOf(page).getByRole('table', { name: /^Planed off the sheer/ })).toContainText('station 1');
  await expect(slipOf(page)).toContainText('kg a metre');
  // higher than the sheer is told, and undone
  await type(page, 'Height, after end', '700');
  await expect(slipOf(page)).toContainText('under foredeck');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(slipOf(page)).not.toContainText('under foredeck');

  await page.getByRole('tab', { name: 'As it is cut' }).click();
  await expect(page.locator('path[data-part="Foredeck"]')).toBeVisible();
  await page.getByRole('tab', { name: 'Across' }).click();
  await page.getByRole('textbox', { name: 'Across at, from the stem' }).fill('2800');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Side seat: \d+ mm up$/)).toBeVisible();
  await expect(page.getByText(/^Sole: \d+ mm up$/)).toBeVisible();
  await expectNoFaults(page);

  // kept over a reload, and found by name from another stage
  await page.reload();
  await expect(page.locator('path[data-part="Foredeck"]').first()).toBeVisible();
  await page.keyboard.press('2');
  await page.keyboard.press('/');
  await page.keyboard.type('Side seat');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('main', { name: 'Inside & top' })).toBeVisible();
  await expect(slipOf(page).getByRole('textbox', { name: 'Name', exact: true })).toHaveValue('Side seat');

  await page.keyboard.press('Escape');
  await page.keyboard.press('7');
  await expect(page.getByRole('main', { name: 'Sheets' })).toBeVisible();
  await unfold(page, 'Parts to cut');
  for (const part of ['Foredeck', 'Side seat', 'Sole'])
    await expect(slipOf(page).getByRole('table').filter({ hasText: part }).first()).toBeVisible();
  await page.keyboard.press('8');
  await expect(page.getByRole('main', { name: 'Timber' })).toContainText(/cleat|bearer/);
});

test('a cabin on side decks: sides with a window, a front between them, marked out, cut and printed', async ({
  page,
}) => {
  await page.goto('/project/demo-tamsel/fitout');
  await expect(page.getByRole('main', { name: 'Inside & top' })).toBeVisible();
  await add(page, 'Side deck');
  await type(page, 'Thickness', '6');
  await unfold(page, 'Its edges');
  await type(page, 'Inner edge, fore end', '100');
  await type(page, 'Inner edge, after end', '100');

  await add(page, 'Cabin side');
  await unfold(page, 'How it stands', 'Lower edge', 'Upper edge', 'Windows and ports', 'Marked out', 'Along its foot');
  await expect(slipOf(page).getByRole('combobox', { name: 'It stands on' })).toContainText('Side deck');
  await slipOf(page).getByRole('button', { name: 'Add an opening' }).click();
  await expect(slipOf(page).getByRole('group', { name: 'Opening 1' })).toBeVisible();
  // too near to its top is told in words, and put right
  await type(page, 'Middle, over the foot', '260');
  await expect(slipOf(page)).toContainText('Opening 1 of cabin side leaves');
  await type(page, 'Middle, over the foot', '150');
  await expect(slipOf(page)).not.toContainText('Opening 1 of cabin side leaves');
  // nonsense stays in its field, and says what is taken
  await type(page, 'Lower edge, in', 'wide');
  await expect(slipOf(page).getByRole('textbox', { name: 'Lower edge, in' })).toHaveAttribute('aria-invalid', 'true');
  await page.keyboard.press('Escape');
  await expect(slipOf(page).getByRole('table', { name: 'Cabin side, marked out' })).toBeVisible();
  await expect(slipOf(page).getByRole('table', { name: 'Along its foot' })).toBeVisible();
  await page.getByRole('tab', { name: 'As it is cut' }).click();
  await expect(page.locator('path[data-part="Cabin side"]')).toBeVisible();

  await add(page, 'Cabin front');
  await expect(slipOf(page).getByRole('combobox', { name: 'Between' })).toContainText('Cabin side');
  // between the decks nothing is under it
  await expect(slipOf(page)).toContainText('Cabin front stands beside side deck');
  // its lines drawn back, it does not reach the sides; undone, it does
  await unfold(page, 'Lower edge');
  await type(page, 'Point 2, out', '60');
  await expect(slipOf(page)).toContainText('does not reach cabin side');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(slipOf(page)).not.toContainText('does not reach cabin side');
  await page.mouse.move(2, 2); // off the button, whose hint would stand there
  await expect(page.getByRole('tooltip')).toHaveCount(0);
  await expectNoFaults(page);

  // a wedge against the side: its thickness, and told in words where it cannot be
  await add(page, 'Block or wedge');
  await expect(slipOf(page)).toContainText('Sawn from');
  await unfold(page, 'Its thickness');
  await expect(slipOf(page).getByRole('table', { name: 'Its thickness' })).toBeVisible();
  await page.getByRole('tab', { name: 'As it is cut' }).click();
  await expect(page.locator('path[data-part="Block or wedge"]')).toBeVisible();
  await type(page, 'First end, out', '900');
  await expect(slipOf(page)).toContainText('Block or wedge meets nothing the way it fills');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(slipOf(page)).not.toContainText('meets nothing the way it fills');

  await page.reload();
  await page.getByRole('tab', { name: 'From above' }).click();
  await expect(page.locator('path[data-part="Cabin front"]').first()).toBeVisible();
  await page.getByRole('tab', { name: 'Across' }).click();
  await page.getByRole('textbox', { name: 'Across at, from the stem' }).fill('2000');
  await page.keyboard.press('Enter');
  await expect(page.locator('path[data-part="Cabin side"]')).toHaveCount(2);
  await page.getByRole('link', { name: /Sheets/ }).click();
  await expect(page.getByRole('main', { name: 'Sheets' })).toBeVisible();
  await unfold(page, 'Parts to cut');
  for (const part of ['Cabin front', 'Cabin side', 'Spray board'])
    await expect(slipOf(page).getByRole('table').filter({ hasText: part }).first()).toBeVisible();
});

test('in a boat of feet and inches its parts are in them and in nothing else', async ({ page }) => {
  await page.goto('/project/demo-orrin/fitout');
  await expect(page.getByRole('main', { name: 'Inside & top' })).toBeVisible();
  for (const kind of ['Sole', 'Foredeck', 'Breasthook']) {
    await add(page, kind);
    await unfold(page, 'Its edges', 'What it lies on', 'In pieces', 'Hatches', 'Along the skin');
    if (kind === 'Foredeck') await expect(slipOf(page)).toContainText(/a foot/);
    await expect(slipOf(page)).toContainText(/\d ft²/);
    await expect(slipOf(page)).not.toContainText(/\d (mm|m|m²|kg|g)\b/);
  }
  await add(page, 'Crew, rowing');
  await unfold(page, 'Sizes', 'Lengths along the boat', 'Shop, door and trailer');
  await expect(slipOf(page)).toContainText('An oar');
  await expect(slipOf(page)).not.toContainText(/\d (mm|m|m²|kg|g)\b/);
});

test('a breasthook, drains, screws, a fitting, an outer stem, who sits where, and the door', async ({ page }) => {
  await page.goto('/project/demo-tamsel/fitout');
  await expect(page.getByRole('main', { name: 'Inside & top' })).toBeVisible();
  const slip = slipOf(page);
  const pick = async (name: string) => {
    await page.getByRole('slider', { name, exact: true }).focus();
    await page.keyboard.press('Enter');
    await expect(slip.getByRole('textbox', { name: 'Name', exact: true })).toHaveValue(name);
  };
  await add(page, 'Breasthook');
  await expect(slip.getByRole('combobox', { name: 'Made of' })).toHaveText('solid timber');
  await unfold(page, 'Its edges');
  await type(page, 'After end hollowed by', '45');
  await page.getByRole('tab', { name: 'As it is cut' }).click();
  await expect(page.locator('path[data-part="Breasthook"]')).toBeVisible();

  await pick('Stern seat');
  await unfold(page, 'Hatches');
  await type(page, 'Drain holes, radius', '10');
  await expect(slip).toContainText('lies level');
  await unfold(page, 'What it lies on');
  await type(page, 'Screwed down every', '150');
  await expect(slip.getByRole('table', { name: /^Screws/ })).toContainText('cleat');
  // begun in the middle, where the bearer is
  await unfold(page, 'Fittings');
  await slip.getByRole('button', { name: 'Add a fitting' }).click();
  await slip.getByRole('button', { name: 'Move it clear of bearer 1' }).click();
  await expect(slip).not.toContainText('runs into');

  await add(page, 'Outer stem');
  await expect(slip).toContainText('Sawn from');
  await expect(page.locator('path[data-part="Outer stem"]')).toBeVisible();

  await add(page, 'Crew, seated');
  await type(page, 'Back, from the stem', '2600');
  await slip.getByRole('button', { name: /^Put it on sole/ }).click();
  await expect(slip).not.toContainText('sits on nothing');
  await page.getByRole('tab', { name: 'Along', exact: true }).click();
  await expect(page.locator('[data-person="Crew, seated"]')).toBeVisible();
  await unfold(page, 'Lengths along the boat');
  await expect(slip.getByRole('table', { name: 'Lengths along' })).toContainText('in all');
  await unfold(page, 'Shop, door and trailer');
  await type(page, 'Door, wide', '650');
  await type(page, 'Door, high', '1200');
  await expect(slip).toContainText('does not come through the door');
  await page.mouse.move(640, 20);
  await expectNoFaults(page);

  await page.reload();
  await expect(slip).toContainText('does not come through the door');
  await page.getByRole('link', { name: /Timber/ }).click();
  await expect(page.getByRole('main', { name: 'Timber' })).toContainText('board');
});
