/**
 * What is lost when the browser is killed: an edit is typed on the Frames stage, and 0.05 to 2 s later, by seeded
 * chance, every process of the browser is ended at once; it is started again on the same folder, and what the field
 * shows is compared. An edit counts where the page said "saved", or where it was older than 1 s. Between kills other
 * ways of leaving are tried: a reload, another page of the application, the window closed, each at once after typing,
 * with the figure not yet entered. Run: npx tsx bench/kills.ts URL [kills] [seed], with the application served there.
 */
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { random } from '@kalotrope/core/geometry';
import { CHROMIUM } from '../e2e/chromium';

const [url = 'http://localhost:4173', kills = '100', seed = '1'] = process.argv.slice(2);
const chance = random(Number(seed));
const folder = mkdtempSync(join(tmpdir(), 'kalotrope-kills-'));
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

type Running = { readonly child: ChildProcess; readonly page: Page };

async function start(): Promise<Running> {
  const own = ['--headless=new', '--remote-debugging-port=0', `--user-data-dir=${folder}`, 'about:blank'];
  const child = spawn(CHROMIUM.executablePath, [...CHROMIUM.args, ...own], { detached: true });
  const address = await new Promise<string>((resolve, reject) => {
    let said = '';
    child.stderr?.on('data', (part: Buffer) => {
      said += part.toString();
      const found = /DevTools listening on (ws:\S+)/.exec(said)?.[1];
      if (found) resolve(found);
    });
    child.once('exit', () => reject(new Error(`The browser did not start: ${said.slice(-400)}`)));
  });
  const browser = await chromium.connectOverCDP(address);
  const page = browser.contexts()[0]?.pages()[0] ?? (await browser.newPage());
  // the first page, so that the demo boats are there
  await page.goto(url);
  await page.getByRole('img', { name: /Lines: profile/ }).waitFor();
  await page.goto(`${url}/project/demo-tamsel/frames`);
  await page.getByLabel('Its face, from the stem').waitFor();
  return { child, page };
}

/** Ends the browser that was started here, and all that it started. */
async function kill({ child }: Running): Promise<void> {
  const gone = new Promise((resolve) => child.once('exit', resolve));
  if (child.pid !== undefined) process.kill(-child.pid, 'SIGKILL');
  await gone;
  await pause(200);
}

const shown = async (page: Page) => Number(await page.getByLabel('Its face, from the stem').inputValue());
const type = async (page: Page, x: number) => {
  await page.getByLabel('Its face, from the stem').fill(String(x));
};

let running = await start();
const counts = { killed: 0, counted: 0, kept: 0, young: 0, youngKept: 0, left: 0, leftKept: 0 };
for (let i = 0; i < Number(kills); i++) {
  const x = 1000 + i;
  await type(running.page, x);
  await running.page.keyboard.press('Enter');
  const after = 50 + Math.floor(chance() * 1950);
  await pause(after);
  const isSaved = (await running.page.getByRole('status').first().textContent()) === 'saved';
  await kill(running);
  running = await start();
  const isKept = (await shown(running.page)) === x;
  counts.killed += 1;
  if (isSaved || after > 1000) {
    counts.counted += 1;
    counts.kept += isKept ? 1 : 0;
    if (!isKept) console.log(`lost: edit ${i}, ${after} ms old, ${isSaved ? 'said to be saved' : 'not yet'}`);
  } else {
    counts.young += 1;
    counts.youngKept += isKept ? 1 : 0;
  }
  if (i % 4 === 0) await leave(2000 + i, i / 4);
}
await kill(running);
rmSync(folder, { recursive: true, force: true, maxRetries: 5 });
console.log(
  `${counts.killed} kills: of ${counts.counted} edits said to be saved or over 1 s old ${counts.kept} kept; ` +
    `of ${counts.young} younger ones ${counts.youngKept}; left with a field half typed ${counts.left} times, ` +
    `${counts.leftKept} kept`,
);

/** Leaves at once after typing, without Enter, one way after another. */
async function leave(x: number, turn: number): Promise<void> {
  const { page } = running;
  await type(page, x);
  if (turn % 3 === 0) await page.reload();
  else if (turn % 3 === 1) await page.getByRole('link', { name: /all projects/ }).click();
  else await page.goto('about:blank');
  await page.goto(`${url}/project/demo-tamsel/frames`);
  await page.getByLabel('Its face, from the stem').waitFor();
  counts.left += 1;
  counts.leftKept += (await shown(page)) === x ? 1 : 0;
}
