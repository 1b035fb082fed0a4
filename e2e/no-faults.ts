/** Axe finds nothing to say of the page, or of what `within` picks in it. */
import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

export async function expectNoFaults(page: Page, within = 'html'): Promise<void> {
  // a name shown beside a button under the mouse is no part of the page; menus and dialogs stay when the mouse leaves
  await page.mouse.move(0, 0);
  await expect(page.getByRole('tooltip')).toHaveCount(0);
  // without frames of other origins there is no need of the second page that is opened for them, which takes seconds
  const { violations } = await new AxeBuilder({ page }).include(within).setLegacyMode().analyze();
  expect(violations.map((v) => `${page.url()}: ${v.id} ${v.nodes[0]?.html ?? ''}`)).toEqual([]);
}
