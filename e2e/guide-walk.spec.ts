/** The first hour of the guide, done as it is written: a sentence of its steps that cannot be done fails. */
import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { readPdf } from '../core/src/formats/writers/fixtures/read-pdf';

const guide = readFileSync(new URL('../docs/guide/first-hour.md', import.meta.url), 'utf8');
const sentences = guide
  .split('\n')
  .filter((line) => /^\d+\. /.test(line))
  .flatMap((line) => line.replace(/^\d+\. /, '').split(/(?<=[*`]\.)\s+/));
const blocks = [...guide.matchAll(/```\n([\s\S]*?)\n```/g)].map((match) => match[1] ?? '');
const BLOCK_OF: Readonly<Record<string, number>> = { first: 0, second: 1 };

async function paste(page: Page, text: string, label: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).evaluate((field, words) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text/plain', words);
    field.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
  }, text);
}

/** Whatever is called so and can be pressed: by its whole name, or by how that begins. */
async function press(page: Page, name: string): Promise<void> {
  const begins = new RegExp(`^\\d?\\s*${name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}`);
  const roles = ['button', 'link', 'tab', 'menuitem'] as const;
  const all = roles.map((role) => page.getByRole(role, { name: begins }));
  const [first, ...others] = all as [(typeof all)[number], ...typeof all];
  await others
    .reduce((any, one) => any.or(one), first)
    .first()
    .click();
}

const DOINGS: readonly (readonly [RegExp, (page: Page, ...words: string[]) => Promise<unknown>])[] = [
  [/^Press \*(.+)\*\.$/, (page, name = '') => press(page, name)],
  [/^Click the \*(.+)\*\.$/, (page, part) => page.locator(`path[data-part="${part}"]`).click()],
  [
    /^Type `(.+)` into \*(.+)\*\.$/,
    async (page, text = '', label = '') => {
      await page.getByLabel(label, { exact: true }).fill(text);
      await page.keyboard.press('Tab');
    },
  ],
  [
    /^Paste the (first|second) block into \*(.+)\*\.$/,
    (page, which = '', label = '') => paste(page, blocks[BLOCK_OF[which] ?? 0] ?? '', label),
  ],
  [/^See \*(.+)\*\.$/, (page, text = '') => expect(page.getByText(text).first()).toBeVisible()],
  [
    /^Save \*(.+)\*\.$/,
    async (page, name = '') => {
      const waiting = page.waitForEvent('download');
      await page.getByRole('menuitem', { name, exact: true }).click();
      const words = readPdf(readFileSync(await (await waiting).path())).map((sheet) => sheet.words);
      expect(words.join('\n')).toContain('Marsh skiff');
      expect(words.join('\n')).toContain('FORE');
    },
  ],
];

test('the first hour of the guide, word for word', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('img', { name: /Lines: profile/ })).toBeVisible();
  expect(sentences.length).toBeGreaterThan(14);
  for (const said of sentences) {
    const doing = DOINGS.find(([form]) => form.test(said));
    expect(doing, `a step that nobody can do: ${said}`).toBeDefined();
    const [form, act] = doing!; // just looked at
    await test.step(said, () => act(page, ...(form.exec(said)?.slice(1) ?? [])));
  }
});
