/**
 * How long the page's own thread and the worker are busy with an edit on the Panels stage: an offset of the sheer,
 * brought to forty other values that were typed before, by undoing them one after another; and to the last of them and
 * the one before by turns. Read off a trace of the browser (all tasks of each thread). Two builds are taken in turn,
 * several times, in one run, so that a ratio holds when the machine's speed drifts. The frames' gaps are those of
 * edit-frames.ts. Run: npx tsx bench/edit-busy.ts URL [OTHER_URL] [rounds], with the application served at each.
 */
import { chromium, type Browser } from '@playwright/test';
import { CHROMIUM } from '../e2e/chromium';

const EDITS = 40;
const GAP_MS = 100;
const urls = process.argv.slice(2).filter((arg) => arg.startsWith('http'));
const rounds = Number(process.argv.slice(2).find((arg) => /^\d+$/.test(arg)) ?? 3);

type TraceEvent = {
  readonly name: string;
  readonly ph: string;
  readonly pid: number;
  readonly tid: number;
  readonly dur?: number;
  readonly args?: { readonly name?: string };
};
type Busy = { readonly page: number; readonly worker: number };
type Measured = { readonly still: Busy; readonly anew: Busy; readonly byTurns: Busy };

async function measure(browser: Browser, url: string): Promise<Measured> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(url);
  await page.getByRole('tab', { name: 'The table' }).click();
  for (let i = 0; i < EDITS; i++) {
    await page.getByLabel('Sheer 3, half-breadth', { exact: true }).fill(String(535 + (i % 2 === 0 ? i : -i) / 10));
    await page.keyboard.press('Enter');
  }
  await page.getByRole('link', { name: /Panels/ }).click();
  await page.waitForTimeout(3000);
  const traced = async (during: () => Promise<void>): Promise<Busy> => {
    await browser.startTracing(page, { categories: ['toplevel', 'devtools.timeline', '__metadata'] });
    await during();
    return busyIn(JSON.parse((await browser.stopTracing()).toString()) as { traceEvents: TraceEvent[] });
  };
  const edits = (keyOf: (i: number) => string) =>
    traced(async () => {
      for (let i = 0; i < EDITS; i++) {
        await page.keyboard.press(keyOf(i));
        await page.waitForTimeout(GAP_MS);
      }
    });
  const still = await traced(() => page.waitForTimeout(EDITS * GAP_MS));
  const byTurns = await edits((i) => (i % 2 === 0 ? 'Control+z' : 'Control+Shift+z'));
  const anew = await edits(() => 'Control+z');
  await page.close();
  return { still, anew, byTurns };
}

/** Of the thread that draws the page, and of the busiest worker, ms. */
function busyIn({ traceEvents }: { readonly traceEvents: readonly TraceEvent[] }): Busy {
  const names = new Map<string, string>();
  for (const event of traceEvents)
    if (event.name === 'thread_name') names.set(`${event.pid} ${event.tid}`, event.args?.name ?? '');
  const busy = new Map<string, number>();
  for (const { name, ph, pid, tid, dur } of traceEvents) {
    if (ph !== 'X' || name !== 'ThreadControllerImpl::RunTask' || dur === undefined) continue;
    busy.set(`${pid} ${tid}`, (busy.get(`${pid} ${tid}`) ?? 0) + dur / 1000);
  }
  const most = (thread: string) =>
    Math.max(0, ...[...busy].filter(([key]) => (names.get(key) ?? '').startsWith(thread)).map(([, ms]) => ms));
  return { page: most('CrRendererMain') / EDITS, worker: most('DedicatedWorker') / EDITS };
}

const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

const all = urls.map((): Measured[] => []);
for (let round = 0; round < rounds; round++)
  for (const [i, url] of urls.entries()) {
    const browser = await chromium.launch(CHROMIUM);
    all[i]?.push(await measure(browser, url));
    await browser.close();
  }
for (const [i, url] of urls.entries()) {
  const runs = all[i] ?? [];
  for (const key of ['anew', 'byTurns', 'still'] as const) {
    const of = (thread: keyof Busy) => `${median(runs.map((run) => run[key][thread])).toFixed(1)} ms`;
    console.log(`${url}, ${key}: page ${of('page')} an edit, worker ${of('worker')}`);
  }
}
