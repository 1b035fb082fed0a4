/** What the tests share of the bench: its stages in their order, and what is done to the slip. */
import { expect, type Page } from '@playwright/test';

/** The first by the key 1, and so on; the tenth by 0, the last two by their letters. */
export const STAGES = [
  'Lines',
  'Panels',
  'Frames',
  'Set-up',
  'Inside & top',
  'Joints',
  'Sheets',
  'Timber',
  'Epoxy & glass',
  'Weights',
  'Plan',
  'Log',
] as const;

/** The key that goes to a stage. */
export const keyOf = (i: number): string => ['p', 'l'][i - 10] ?? String((i + 1) % 10);

/** Opens sections by their heads. */
export async function unfold(page: Page, ...titles: readonly string[]): Promise<void> {
  for (const title of titles) {
    const head = page
      .getByRole('complementary', { name: 'The slip', exact: true })
      .getByRole('button', { name: title, exact: true });
    // while what stands over it still arrives, a press may land beside it
    await expect(async () => {
      if ((await head.getAttribute('aria-expanded')) === 'false') await head.click();
      await expect(head).toHaveAttribute('aria-expanded', 'true', { timeout: 2000 });
    }).toPass();
  }
}

/** The sheets are laid out, and the search is over. */
export async function laidOut(page: Page): Promise<void> {
  await expect(page.getByText(/^\d sheets, \d\d %$/).first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Stop here' })).toBeHidden();
}
