/** Axe finds nothing to say of the page, or of what `within` picks in it. */
import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

export async function expectNoFaults(page: Page, within = 'html'): Promise<void> {
  // without frames of other origins there is no need of the second page that is opened for them, which takes seconds
  const { violations } = await new AxeBuilder({ page }).include(within).setLegacyMode().analyze();
  expect(violations.map((v) => `${page.url()}: ${v.id} ${v.nodes[0]?.html ?? ''}`)).toEqual([]);
}
