import { expect, test, type Page } from '@playwright/test';
import { laidOut, STAGES, unfold } from './slip';
import { expectNoFaults } from './no-faults';

const openStage = async (page: Page, key: string, name: string) => {
  await page.goto('/');
  await expect(page.getByRole('img', { name: /Lines: profile/ })).toBeVisible();
  await page.keyboard.press(key);
  await expect(page.getByRole('main', { name })).toBeVisible();
};

test('nothing is asked of any other machine', async ({ page }) => {
  const outside: string[] = [];
  page.on('request', (request) => {
    const url = new URL(request.url());
    if (!['localhost', ''].includes(url.hostname)) outside.push(request.url());
  });
  await openStage(page, '2', 'Panels');
  await openStage(page, '7', 'Sheets');
  expect(outside).toEqual([]);
});

test('a frame is moved, thickened and turned; its numbers follow; a frame off the boat is said', async ({ page }) => {
  await openStage(page, '3', 'Frames');
  const breadth = page.getByText('Half-breadth inside the skin').locator('..');
  const before = await breadth.textContent();
  await page.getByLabel('Its face, from the stem').fill('1.5 m');
  await page.keyboard.press('Enter');
  await expect(breadth).not.toHaveText(before ?? '');
  await page.getByLabel('Which face that is').click();
  await page.getByRole('option', { name: /^aft/ }).click();
  await expect(page.getByText('AFT face')).toBeVisible();
  await page.getByLabel('Its face, from the stem').fill('9 m');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Bulkhead 1 is at 9000 mm, beyond the hull, which runs from/)).toBeVisible();
  await page.getByRole('button', { name: /^Undo: Bulkhead 1: place/ }).click();
  await expect(page.getByLabel('Its face, from the stem')).toHaveValue('1500.0');
});

test('a thicker skin: tighter bends are said, scarfs grow, frames shrink', async ({ page }) => {
  await openStage(page, '2', 'Panels');
  await unfold(page, 'The sheet and its edges');
  await page.getByLabel('Skin thickness').fill('30');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/sheet takes .* dry/).first()).toBeVisible();
  await page.getByRole('link', { name: /Joints/ }).click();
  await expect(page.getByText('240 mm a joint', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: /Sheets/ }).click();
  await expect(page.getByText(/No sheet of 30 mm in stock/)).toBeVisible();
});

test('a joint is moved by its keys, becomes the builder’s, is judged, made a strap, and let go again', async ({
  page,
}) => {
  await openStage(page, '6', 'Joints');
  const joint = page.getByRole('slider', { name: 'Side, joint 1' });
  await joint.focus();
  const before = Number(await joint.getAttribute('aria-valuenow'));
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(joint).not.toHaveAttribute('aria-valuenow', String(before));
  await page.getByLabel('From the fore end').fill('2510');
  await page.keyboard.press('Enter');
  // farther aft than one sheet reaches: the program joins the fore part once more, and this one is the second
  await expect(page.getByRole('heading', { name: 'Side, joint 2' })).toBeVisible();
  await expect(page.getByText(/It is where you put it|stands on the scarf/).first()).toBeVisible();
  await page.getByLabel('This joint').click();
  await page.getByRole('option', { name: 'Butt strap' }).click();
  await expect(page.getByText('butt strap, yours 96 mm')).toBeVisible();
  await expectNoFaults(page);
  await page.getByRole('link', { name: /Sheets/ }).click();
  await unfold(page, 'Parts to cut');
  await expect(page.getByText('Side, strap').first()).toBeVisible();
  await page.getByRole('link', { name: /Joints/ }).click();
  await page.getByRole('slider', { name: 'Side, joint 2' }).press('Enter');
  await page.getByRole('button', { name: 'Let the program place it' }).first().click();
  await expect(page.getByRole('slider', { name: 'Side, joint 1' })).toHaveAttribute('aria-valuenow', String(before));
});

test('joints: places that take fewer sheets are looked for, and the search can be stopped', async ({ page }) => {
  await openStage(page, '6', 'Joints');
  await unfold(page, 'Fewer sheets by other joints');
  await page.getByRole('button', { name: 'Look for fewer sheets' }).click();
  await expect(page.getByText(/places? tried; as it is, 4 sheets/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop here' }).click();
  await expect(page.getByRole('button', { name: 'Look for fewer sheets' })).toBeEnabled();
});

test('sheets: a change of the margin lays out afresh, and what fits nowhere is said', async ({ page }) => {
  await openStage(page, '7', 'Sheets');
  await expect(page.getByText(/^\d sheets, \d\d %$/).first()).toBeVisible();
  await unfold(page, 'Stock and spacing');
  await page.getByLabel('9 mm sheet, length').fill('1000');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Transom fits on no sheet of 9 mm/)).toBeVisible();
  await page.getByRole('button', { name: /^Undo: Sheet length/ }).click();
  await expect(page.getByText(/Transom fits on no sheet of 9 mm/)).toBeHidden();
});

test('sheets: pairs are cut two at once, one sheet over the other; kept so; and laid out singly again', async ({
  page,
}) => {
  await page.goto('/project/demo-tamsel/sheets');
  await unfold(page, 'Stock and spacing');
  await page.getByRole('checkbox', { name: 'Pairs cut two at once' }).check();
  await expect(page.getByText(/^Sheet 1 over 2: 6 mm/)).toBeVisible();
  await expect(page.getByText(/^Sheet 2 under 1: 6 mm/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Look for a better layout' })).toBeEnabled();
  await expectNoFaults(page);
  await page.locator('path[data-part="Sheet 1"]').click({ position: { x: 3, y: 3 } });
  await expect(page.getByText(/Sheet 2 lies under it, turned over sideways/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep this layout' }).click();
  await expect(page.getByText(/^Sheet 1 over 2: 6 mm/)).toBeVisible();
  await unfold(page, 'Stock and spacing');
  await page.getByRole('checkbox', { name: 'Pairs cut two at once' }).uncheck();
  await expect(page.getByText(/^Sheet 1: 6 mm/)).toBeVisible();
});

test('sheets: a piece is dragged, pinned, the rest laid out again; a spoiled place is kept clear of', async ({
  page,
}) => {
  await openStage(page, '7', 'Sheets');
  await laidOut(page);
  // the smallest part, to the far end of its sheet, which is not full
  const lid = page.getByRole('button', { name: /lid$/ });
  const last = page.locator('path[data-part^="Sheet "]').last();
  const [box, sheet9] = [await lid.boundingBox(), await last.boundingBox()];
  if (!box || !sheet9) throw new Error('the lid lies on a sheet');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(sheet9.x + sheet9.width - 30, sheet9.y + 70, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /^Undo: .*lid moved/ })).toBeVisible();
  await unfold(page, 'By hand');
  await expect(page.getByText(/^1[0-9] pieces lie as put by hand/)).toBeVisible();
  await page.getByRole('button', { name: 'Pin it' }).click();
  await expect(page.getByRole('button', { name: /lid, pinned$/ })).toBeVisible();
  await page.getByRole('button', { name: 'Lay out the rest again' }).click();
  await expect(page.getByText(/^1 piece lies as put by hand/)).toBeVisible();
  // it stands still while the rest is laid out: a press meant for it would go beside it
  const all = page.getByRole('button', { name: 'Let the program lay out all' });
  const stood = await all.boundingBox();
  await expect(page.getByRole('button', { name: 'To another sheet' })).toBeVisible();
  expect(await all.boundingBox()).toEqual(stood);
  await all.click();
  await expect(page.getByText(/as put by hand/)).toBeHidden();
  await expectNoFaults(page);

  await expect(page.getByRole('button', { name: 'Stop here' })).toBeHidden();
  await page.locator('path[data-part="Sheet 1"]').click({ position: { x: 3, y: 3 } });
  await page.getByRole('button', { name: 'Mark a spoiled place' }).click();
  const sheet = await page.locator('path[data-part="Sheet 1"]').boundingBox();
  if (!sheet) throw new Error('sheet 1 is drawn');
  await page.mouse.click(sheet.x + 40, sheet.y + 40);
  await expect(page.getByLabel('Sheets with their parts').locator('circle')).toHaveCount(1);
  await page.mouse.click(sheet.x + 90, sheet.y + 70);
  await expect(page.getByRole('button', { name: /^Undo: Spoiled place/ })).toBeVisible();
  await unfold(page, 'Stock and spacing');
  // the marked sheet has a row of its own, which is used first
  await expect(page.getByLabel('6 mm sheet 2, how many')).toHaveValue('7');
});

test('sheets: what is left goes on the rack, and from there into another boat’s stock', async ({ page }) => {
  await openStage(page, '7', 'Sheets');
  await laidOut(page);
  await page.locator('path[data-part="Sheet 4"]').click({ position: { x: 3, y: 3 } });
  await expect(page.getByRole('list', { name: 'Order of cutting' }).getByRole('listitem').first()).toBeVisible();
  await page.getByRole('button', { name: 'Once cut: put what is left on the rack' }).click();
  await expect(page.getByText('On the rack: Tamsel 430, sheet 4')).toBeVisible();
  // a part that was spoiled is cut again, and what is left of it kept
  await unfold(page, 'Parts to cut');
  await page.getByRole('row', { name: /^Transom/ }).click();
  await page.getByRole('button', { name: 'It was spoiled: cut it again' }).click();
  await expect(page.getByText(/on the rack: Tamsel 430, Transom, spoiled/)).toBeVisible();
  await expect(page.getByLabel('Spares of it')).toHaveValue('1');
  await expect(page.getByRole('row', { name: /^Transom/ })).toContainText('1, 1 spare');
  await unfold(page, 'Stock and spacing');
  await page.reload();
  await unfold(page, 'Stock and spacing');
  const use = page.getByRole('button', { name: 'Use it for this boat' });
  await expect(use).toHaveCount(2);
  await use.first().click();
  // the fourth sheet is of the skin or of what stands within, as the search found it
  await expect(page.getByLabel(/^[69] mm offcut 2, length$/)).toBeVisible();
  await expect(use).toHaveCount(1);
});

test('panels cut proud: larger on the drawing and on the sheets, the order of trimming told', async ({ page }) => {
  await openStage(page, '2', 'Panels');
  await unfold(page, 'Cut proud');
  const side = page.locator('path[data-part="Side"]');
  const before = await side.getAttribute('d');
  await page.getByLabel('Left on, upper edge').fill('20');
  await page.keyboard.press('Enter');
  await expect(side).not.toHaveAttribute('d', before ?? '');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: /Sheets/ }).click();
  await unfold(page, 'Order of trimming');
  await expect(page.getByText(/Side, upper edge: last, sighted along both sides/)).toBeVisible();
  await expectNoFaults(page);
});

test('sheets: a cutter is run over them, finds nothing with its gap, and says where it would cut a neighbour', async ({
  page,
}) => {
  await openStage(page, '7', 'Sheets');
  await expect(page.getByText(/^\d sheets, \d\d %$/).first()).toBeVisible();
  await unfold(page, 'Machine cutting');
  await page.getByRole('button', { name: 'Run the cutter', exact: true }).click();
  await expect(page.getByText(/^Sheet 1: \d+ min, nothing wrong$/)).toBeVisible();
  await page.getByLabel('Machine’s cutter, radius').fill('5');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^Sheet 1: \d+ min/)).toBeHidden();
  await page.getByRole('button', { name: 'Run the cutter', exact: true }).click();
  await expect(page.getByText(/the cutter would cut into the part beside it/).first()).toBeVisible();
  await expectNoFaults(page);
});

test('timber: members are planned on sticks; a rail of one’s own is scarfed, or said to be too long', async ({
  page,
}) => {
  // a boat of few short pieces: of many no plan is soon proven the best
  await page.goto('/project/demo-ilven/timber');
  await expect(page.getByText('No other plan takes less.')).toBeVisible();
  await expect(page.getByRole('img', { name: 'Sticks with what is cut from them' })).toBeVisible();
  await unfold(page, 'Pieces of your own');
  await page.getByRole('button', { name: 'Add a long piece' }).click();
  await page.getByLabel('Length', { exact: true }).fill('5300');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/^\d+: 40 mm × 20 mm/).first()).toBeVisible();
  // what one asks for at the yard
  await unfold(page, 'Saw and joints');
  await page.getByRole('combobox', { name: 'Sections sold' }).click();
  await page.getByRole('option', { name: 'as sawn, planed' }).click();
  await expect(page.getByText(/^from \d+ × \d+ sawn \(\d+ mm × \d+ mm planed\)/).first()).toBeVisible();
  await unfold(page, 'All long pieces');
  await page.getByRole('button', { name: 'Piece 1', exact: true }).click();
  await expect(page.getByText('Scarf of number 2 at')).toBeVisible();
  await expectNoFaults(page);
  await page.getByLabel('May be scarfed').click();
  await expect(page.getByText(/Piece 1 is 5300 mm long, the longest stick 4800 mm/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: false }).first().click();
  await expect(page.getByText(/Piece 1 is 5300 mm long/)).toBeHidden();
});

test('epoxy: rates are the builder’s; a bad figure is refused and the old one kept', async ({ page }) => {
  await openStage(page, '9', 'Epoxy & glass');
  const total = page.getByText('Epoxy, mixed').locator('..');
  const before = await total.textContent();
  await unfold(page, 'Rates');
  await page.getByLabel('Waste, %', { exact: true }).fill('30');
  await page.keyboard.press('Enter');
  await expect(total).not.toHaveText(before ?? '');
  await page.getByLabel('Waste, %', { exact: true }).fill('none');
  await expect(page.getByText('Expected a number')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByLabel('Waste, %', { exact: true })).toHaveValue('30');
  await page.getByLabel('Waste, %', { exact: true }).fill('99');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Expected a share from 0 % to 80 %')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByLabel('Waste, %', { exact: true })).toHaveValue('30');
});

test('other glues, finishes and fastenings: counted, bought, timed; a tape is picked on its flat panel', async ({
  page,
}) => {
  await openStage(page, '9', 'Epoxy & glass');
  await unfold(page, 'Other glues', 'Finishes');
  await page.getByRole('button', { name: 'Add a glue' }).click();
  await page.getByLabel('Where sheets join', { exact: true }).click();
  await page.getByRole('option', { name: 'Another glue' }).click();
  const others = page.getByRole('table', { name: 'Other glues and finishes' });
  await expect(others.getByRole('row', { name: /^Another glue Scarfs, bottom/ })).toBeVisible();
  await page.getByLabel('How it holds', { exact: true }).click();
  await page.getByRole('option', { name: 'seals and stays soft' }).click();
  await expect(page.getByText(/Another glue is no glue for what holds the boat together/)).toBeVisible();
  const primer = page.getByRole('group', { name: 'Grey primer' });
  await primer.getByLabel('Its coats', { exact: true }).fill('3');
  await page.keyboard.press('Enter');
  await expect(others.getByRole('row', { name: /^Grey primer Bottom .* outside, 3 coats/ })).toBeVisible();
  await page.getByRole('button', { name: 'On the flat panels' }).click();
  await page.getByRole('button', { name: 'Keel, on Bottom' }).click({ force: true });
  await expect(page.getByRole('heading', { name: 'Keel' })).toBeVisible();
  // half of the cloth by rule: both hands of the bottom lie beside each other
  await page.getByRole('button', { name: 'On the roll' }).click();
  const lengths = page.getByRole('table', { name: 'Cloth to cut' }).getByRole('row');
  await expect(lengths).toHaveText([/cloth for/, /Bottom, starboard/, /Bottom, port/]);
  await expect(page.getByText(/^[67]\.\d m off a roll 1000 mm wide, cut 25 mm over the edge/)).toBeVisible();
  // glassed flat: a length of its own for each face, in the tables too
  await unfold(page, 'Glassed flat');
  await page.getByRole('combobox', { name: 'Bulkhead 2, glassed flat' }).click();
  await page.getByRole('option', { name: 'both faces' }).click();
  await expect(lengths).toHaveText([/cloth for/, /Bottom/, /Bottom/, /Bulkhead 2, one face/, /Bulkhead 2, other face/]);
  await page.getByRole('button', { name: /^Undo: Bulkhead 2 glassed flat/ }).click();
  await expect(lengths).toHaveCount(3);
  const wide = page.getByLabel('Width of the cloth', { exact: true });
  await unfold(page, 'Glass');
  await wide.fill('400');
  await wide.press('Enter');
  await expect(lengths).toHaveCount(5);
  await expect(page.getByText(/m off a roll 400 mm wide/)).toBeVisible();
  await page.getByLabel('Lap of the cloth', { exact: true }).fill('400');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/A panel would take more than 12 widths of this roll/)).toBeVisible();
  await page.getByRole('tab', { name: 'When' }).click();
  await expect(page.getByRole('row', { name: /^Grey primer/ })).toBeVisible();
  await page.keyboard.press('3');
  await unfold(page, 'Screws and staples');
  await page.getByLabel('Screws every, 0: none', { exact: true }).fill('100');
  await page.keyboard.press('Enter');
  await page.getByLabel('What becomes of them', { exact: true }).click();
  await page.getByRole('option', { name: 'staples drawn again' }).click();
  await page.getByRole('button', { name: 'Equal spacing' }).click();
  const spacing = page.getByRole('dialog', { name: 'Equal spacing' });
  await spacing.getByLabel('Length of the run', { exact: true }).fill('50');
  await page.keyboard.press('Enter');
  await expect(spacing.getByRole('alert')).toHaveText(/Nothing is left between the ends/);
  await spacing.getByLabel('Length of the run', { exact: true }).fill('1050');
  await page.keyboard.press('Enter');
  await expect(spacing.getByText('143 mm')).toBeVisible(); // seven gaps in a metre
  await page.keyboard.press('Escape');
  await page.keyboard.press('9');
  await page.getByRole('tab', { name: 'Shopping list' }).click();
  await expect(page.getByRole('row', { name: /Staples, no longer than/ }).first()).toBeVisible();
  await expect(page.getByRole('row', { name: /Finish: Grey primer/ })).toBeVisible();
  await expectNoFaults(page);
});

test('a field: Esc restores, arrows step by the rule, nonsense stays and is marked', async ({ page }) => {
  await openStage(page, '1', 'Lines');
  await page.getByRole('tab', { name: 'The table' }).click();
  const cell = page.getByLabel('Keel 3, height', { exact: true });
  const before = await cell.inputValue();
  await cell.fill('nonsense');
  await expect(page.getByText(/Expected a length such as/)).toBeVisible();
  await cell.press('Enter');
  await expect(cell).toHaveValue('nonsense');
  await expect(cell).toHaveAttribute('aria-invalid', 'true');
  await expect(page.getByText(/Keel, station 3: the height "nonsense" is not understood/)).toBeVisible();
  await cell.press('Escape');
  await expect(cell).toHaveValue(before);
  await cell.fill('77');
  await cell.press('Escape');
  await expect(cell).toHaveValue(before);
  await cell.press('ArrowUp');
  await expect(cell).toHaveValue(String((Number(before) + 1).toFixed(1)));
});

test('picking is in step: a point in the drawing, its line in the slip, the tape along it @round', async ({ page }) => {
  await openStage(page, '1', 'Lines');
  await page.keyboard.press(']');
  await expect(page.getByRole('slider', { name: 'Tape along Keel' })).toBeVisible();
  await page.keyboard.press(']');
  await expect(page.getByRole('slider', { name: 'Tape along Chine' })).toBeVisible();
  await expect(page.getByRole('complementary').getByRole('heading', { name: 'Chine' })).toBeVisible();
  await page.getByRole('button', { name: 'Make the hull large' }).click();
  await expect(page.getByRole('button', { name: 'Make the hull small' })).toBeVisible();
});

test('the dark shade holds its contrast, and a phone’s width does not scroll sideways', async ({ page }) => {
  await openStage(page, '6', 'Joints');
  await page.keyboard.press('/');
  await page.keyboard.type('Light or dark');
  await page.keyboard.press('Enter');
  await expect(page.locator('body')).toHaveCSS('background-color', 'rgb(20, 28, 34)');
  await page.waitForTimeout(1500); // colours change over a quarter of a second, drawn in software
  await expectNoFaults(page);
  await page.setViewportSize({ width: 390, height: 780 });
  for (const key of ['1', '2', '8']) {
    await page.keyboard.press(key);
    await page.waitForTimeout(300);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  }
});

test('on a phone every stage, menu and list is for fingers, and axe finds nothing', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openStage(page, '1', 'Lines');
  /** What is smaller than a finger, of what is seen and neither a cell of the table nor a word within a sentence. */
  const small = () =>
    page
      .locator('button, a[href]:not(.term), [role=tab], [role=menuitem], [role=menuitemradio], [role=combobox]')
      .evaluateAll((all) =>
        all.flatMap((one) => {
          const touched = one.closest('.MuiInputBase-root') ?? one;
          const { width, height } = touched.getBoundingClientRect();
          const isSeen = width > 0 && getComputedStyle(one).visibility !== 'hidden';
          return isSeen && (height < 43.5 || width < 43.5)
            ? [`${one.outerHTML.slice(0, 120)} ${width} × ${height}`]
            : [];
        }),
      );
  for (const title of STAGES) {
    if (title !== 'Lines') {
      await page.getByRole('button', { name: 'All stages' }).click();
      await page
        .getByRole('navigation', { name: 'Stages' })
        .getByRole('link', { name: new RegExp(title) })
        .click();
    }
    await expect(page.getByRole('main', { name: title })).toBeVisible();
    await page.waitForTimeout(700);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    expect(await small(), title).toEqual([]);
    await expectNoFaults(page);
  }
  await page.getByRole('button', { name: 'All stages' }).click();
  expect(await small()).toEqual([]);
  await page.getByRole('button', { name: 'Close the list of stages' }).click();
  await page.getByRole('button', { name: 'Menu' }).click();
  const menu = page.getByRole('dialog', { name: 'Menu' });
  await expect(menu).toBeVisible();
  expect(await small()).toEqual([]);
  await expectNoFaults(page);
  await menu.getByRole('button', { name: 'Export' }).click();
  await expect(page.getByRole('menuitem', { name: 'Everything, as one zip' })).toBeVisible();
  await page.waitForTimeout(500);
  expect(await small()).toEqual([]);
  await expectNoFaults(page);
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(menu).toBeHidden();
  await page.goto('/projects');
  await page.getByRole('button', { name: 'From a few dimensions' }).click();
  await page.waitForTimeout(500);
  await expectNoFaults(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

// Ten kinds of file that are no boat: each refused in words, none of them touching what is there.
const BAD: readonly (readonly [string, string, RegExp])[] = [
  ['empty.csv', '', /row 1, column A/],
  ['unit.csv', '# units=cubits\nline,station,x,half_breadth,height\n', /row 1, column units \(A\)/],
  ['column.csv', 'line,station,x,half_breadth\nkeel,1,2,3\n', /row 1, column height/],
  ['word.csv', 'line,station,x,half_breadth,height\nkeel,1,2,3,high\n', /row 2, column height \(E\): found "high"/],
  ['hole.csv', 'line,station,x,half_breadth,height\nkeel,1,,3,4\n', /row 2, column x \(C\): found nothing/],
  ['ragged.csv', 'line,station,x,half_breadth,height\nkeel,1,2,3,4,5\n', /row 2, column F/],
  ['wide.csv', `${'a,'.repeat(9_999)}a\n`, /column GS/],
  ['block.csv', 'station,1\nx,5\nheights\nkeel,1\n', /a block headed half-breadths/],
  ['half.kalotrope.json', '{"format": "kalotrope-project", ', /not a project file/],
  ['other.json', '{"format": "something"}', /"format" is "something"/],
];

test('ten bad files, each refused with its place', async ({ page }) => {
  await openStage(page, '1', 'Lines');
  for (const [name, text, wanted] of BAD) {
    await page.getByLabel('Import a file').setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
    const dialog = page.getByRole('dialog', { name: 'The file was not taken' });
    await expect(dialog).toContainText(wanted);
    await dialog.getByRole('button', { name: 'Close' }).click();
    await expect(dialog).toBeHidden();
  }
  await expect(page.getByRole('link', { name: /Tamsel 430/ })).toBeVisible();
});

test('a browser that cannot draw in the round loses that picture and nothing else @round', async ({ page }) => {
  await page.addInitScript(() => {
    const whole = HTMLCanvasElement.prototype.getContext;
    const without = function (this: HTMLCanvasElement, kind: string, ...rest: unknown[]) {
      const isOff = sessionStorage.getItem('webgl') !== 'on' && kind.startsWith('webgl');
      return isOff ? null : Reflect.apply(whole, this, [kind, ...rest]);
    };
    Object.assign(HTMLCanvasElement.prototype, { getContext: without });
  });
  await page.goto('/');
  await expect(page.getByText(/does not draw in the round/)).toBeVisible();
  await expect(page.getByRole('img', { name: /Lines: profile/ })).toBeVisible();
  await page.keyboard.press('2');
  await expect(page.getByRole('main', { name: 'Panels' })).toContainText(/does not draw in the round/);
  await expect(page.getByRole('img', { name: 'Flat panels' })).toBeVisible();
  await page.getByRole('tab', { name: 'Fold it up' }).click();
  await expect(page.getByRole('slider', { name: 'Folded up' })).toBeVisible();
  await page.evaluate(() => sessionStorage.setItem('webgl', 'on'));
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('group', { name: /hull in the round/ })).toBeVisible();
  await expect(page.getByText(/does not draw in the round/)).toBeHidden();
});

test('a browser that keeps nothing says so, and what would help', async ({ page }) => {
  await page.addInitScript(`
    IDBFactory.prototype.open = () => { throw new DOMException('storage is blocked', 'SecurityError'); };
  `);
  await page.goto('/');
  await expect(page.getByRole('alert')).toContainText(/does not keep projects .*Allow it to store data/s);
  await page.getByRole('button', { name: /^From a demo/ }).click();
  await page.getByRole('menuitem', { name: 'Orrin pram' }).click();
  // it is opened all the same, kept in this window, and offered as a file
  await expect(page.getByRole('alert')).toContainText(/Not saved: .*blocked.*kept in this window/s);
  await expect(page.getByRole('img', { name: /Lines: profile/ })).toBeVisible();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the file' }).click();
  expect((await saved).suggestedFilename()).toBe('orrin-pram.kalotrope.json');
});
