/** What the tests do to the slip. */
import { type Page } from '@playwright/test';

/** Opens sections by their heads. */
export async function unfold(page: Page, ...titles: readonly string[]): Promise<void> {
  for (const title of titles) {
    const head = page
      .getByRole('complementary', { name: 'The slip', exact: true })
      .getByRole('button', { name: title, exact: true });
    if ((await head.getAttribute('aria-expanded')) === 'false') await head.click();
  }
}
