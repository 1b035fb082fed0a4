/** The application without its server, and after the server was built anew. */
import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test, type Page } from '@playwright/test';
import { keyOf, STAGES } from './slip';

test.use({ serviceWorkers: 'allow' });

const root = fileURLToPath(new URL('..', import.meta.url));
const PORT = Number(process.env['E2E_PORT'] ?? 4199) + 1;
const ADDRESS = `http://localhost:${PORT}`;

/** A copy of the built application, to be changed as a new build would be. */
let folder: string;
let server: ChildProcess | undefined;
test.beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'kalotrope-offline-'));
  cpSync(join(root, 'web/dist'), folder, { recursive: true });
});
test.afterEach(async () => {
  await stop();
  rmSync(folder, { recursive: true, force: true });
});

async function start(): Promise<void> {
  const code =
    `import { createApp } from './server/src/app.ts';` +
    `createApp(${JSON.stringify(folder)}).listen(${PORT}, '127.0.0.1');`;
  server = spawn(process.execPath, ['--import', 'tsx', '--input-type=module', '--eval', code], { cwd: root });
  await expect
    .poll(() =>
      fetch(`${ADDRESS}/healthz`).then(
        ({ ok }) => ok,
        () => false,
      ),
    )
    .toBe(true);
}

async function stop(): Promise<void> {
  const running = server;
  server = undefined;
  if (!running || running.exitCode !== null) return;
  const gone = new Promise((resolve) => running.once('exit', resolve));
  running.kill('SIGKILL');
  await gone;
}

async function openAndKeep(page: Page): Promise<string[]> {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  await start();
  await page.goto(ADDRESS);
  await expect(page.getByRole('img', { name: /Lines: profile/ })).toBeVisible();
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true);
  return errors;
}

test('with the server gone: loaded again, every stage opened, edited, exported, loaded again', async ({ page }) => {
  const errors = await openAndKeep(page);
  await stop();
  await page.reload();
  for (const [i, name] of STAGES.entries()) {
    await page.keyboard.press(keyOf(i));
    await expect(page.getByRole('main', { name })).toBeVisible();
    await expect(page.getByRole('complementary', { name: 'The slip' })).toBeVisible();
  }
  await page.keyboard.press('3');
  const place = page.getByLabel('Its face, from the stem');
  await place.fill('1234');
  await place.press('Enter');
  await expect(page.getByRole('status')).toHaveText('saved');
  await page.getByRole('button', { name: 'Export' }).click();
  const waiting = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Everything, as one zip' }).click();
  expect((await waiting).suggestedFilename()).toBe('tamsel-430.zip');
  await page.reload();
  await expect(place).toHaveValue('1234.0');
  expect(errors).toEqual([]);
});

test('a new version is offered and not forced; until it is taken the old one has all its parts', async ({ page }) => {
  const errors = await openAndKeep(page);
  await stop();
  // built anew: another page, and other names for all that it loads
  const page2 = readFileSync(join(folder, 'index.html'), 'utf8').replace('<title>Kalotrope', '<title>Kalotrope anew');
  writeFileSync(join(folder, 'index.html'), page2);
  const worker = readFileSync(join(folder, 'sw.js'), 'utf8');
  const anew = worker
    .replace(/(url:"index.html",revision:")\w+/, '$1anew')
    .replace(/(revision:")\w+(",url:"index.html")/, '$1anew$2');
  expect(anew).not.toBe(worker);
  writeFileSync(join(folder, 'sw.js'), anew);
  await start();
  await page.reload();
  await expect(page.getByText('A new version of Kalotrope is ready.', { exact: false })).toBeVisible();
  await expect(page).toHaveTitle('Kalotrope');
  await page.keyboard.press('2');
  await expect(page.getByRole('main', { name: 'Panels' })).toBeVisible();
  await page.getByRole('button', { name: 'Load it' }).click();
  await expect(page).toHaveTitle('Kalotrope anew');
  await expect(page.getByRole('main', { name: 'Panels' })).toBeVisible();
  expect(errors).toEqual([]);
});
