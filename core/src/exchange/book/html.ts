/**
 * The book as one page for a browser: the same sheets, and what there is to do step by step with ticks and readings,
 * which it gives back as a file. It needs no server, no network and nothing else.
 *
 * A step's ids are those of the application's own tasks, so that what comes back finds its place.
 */
import { boatWord, escapeXml, latin, type Drawing, type DrawnPath, type DrawnText } from '../../formats';
import { unbroken, unitLabel } from '../../measure';
import { shopTasks, wholeOf, type ShopChapter, type Whole, type Project } from '../../project';
import type { Task, TaskStep } from '../../stage';
import type { Work } from '../export-files';
import { bookOf, chaptersOf, type Book } from './book';
import { CAUTIONS } from './cautions';
import { PAGE_SCRIPT } from './page-script';

export type HtmlBook = { readonly file: string; readonly text: string };

export function htmlBook(work: Work): HtmlBook {
  const { project, derived, found, printing } = work;
  const whole = wholeOf(project, derived, found, printing);
  const book = bookOf(work);
  const word = boatWord(project.name);
  const told = {
    ...{ project: project.id, name: project.name, revision: project.revision, notation: project.notation },
    file: `${word}-done.json`,
  };
  const head = `${project.name}, rev ${project.revision}`;
  const text = [
    '<!doctype html>',
    '<html lang="en"><head><meta charset="utf-8">',
    '<meta name="viewport" content="width=device-width, initial-scale=1">',
    `<title>${escapeXml(head)}: the book</title><style>${STYLE}</style></head><body>`,
    `<header><h1>${escapeXml(project.name)}</h1>`,
    `<p>${escapeXml(saidBefore(whole))}</p></header><main>`,
    `<section><h2>Before you begin</h2><ol>${CAUTIONS.map(itemHtml).join('')}</ol></section>`,
    `<section><h2>To do</h2>${kindsOf(shopTasks(whole)).map(kindHtml).join('')}</section>`,
    `<section><h2>The sheets</h2>${sheetsHtml(book, whole)}</section>`,
    NOTE_HTML,
    '</main>',
    // no tag can end the data early
    `<script type="application/json" id="book">${JSON.stringify(told).replace(/</g, '\\u003c')}</script>`,
    `<script>${PAGE_SCRIPT}</script></body></html>`,
    '',
  ].join('\n');
  return { file: `${word}-book.html`, text };
}

const itemHtml = (words: string): string => `<li>${escapeXml(words)}</li>`;

function saidBefore({ sheetHead: { revision, notation, date } }: Whole<Project>): string {
  const printed = date === '' ? '' : `, of ${date}`;
  return (
    `Revision ${revision}${printed}; lengths in ${unitLabel(notation)}. Ticks and readings stay in this browser; ` +
    'give them back at the end.'
  );
}

const NOTE_HTML = [
  '<section><h2>Give back</h2>',
  '<label for="note">What else there is to say</label><textarea id="note" rows="4" maxlength="4000"></textarea>',
  '<button type="button" id="give">Save ticks, readings and note as a file</button>',
  '<p>In the application, with this boat open: Import, and that file. It goes into the log.</p>',
  '<details><summary>If nothing is saved: the same to copy</summary>',
  '<label for="text">The file, to copy whole</label><textarea id="text" rows="6" readonly></textarea></details>',
  '</section>',
].join('');

type Kind = { readonly kind: string; readonly tasks: readonly { readonly key: string; readonly task: Task }[] };

function kindsOf(chapters: readonly ShopChapter[]): Kind[] {
  const all = chapters.flatMap(({ stage, tasks }) => tasks.map((task) => ({ key: `${stage}/${task.id}`, task })));
  return [...new Set(all.map(({ task }) => task.kind))].map((kind) => ({
    kind,
    tasks: all.filter(({ task }) => task.kind === kind),
  }));
}

const kindHtml = ({ kind, tasks }: Kind): string =>
  `<details class="kind"><summary>${escapeXml(kind)} <span>${tasks.length}</span></summary>` +
  `${tasks.map(taskHtml).join('')}</details>`;

// one at a time is open: what is for port and what is for starboard never both
const taskHtml = ({ key, task }: Kind['tasks'][number]): string =>
  `<details name="task" data-task="${escapeXml(key)}" data-steps="${task.steps.length}">` +
  `<summary>${escapeXml([task.name, task.hand].filter(Boolean).join(', '))} <span class="count"></span></summary>` +
  `<ol>${task.steps.map(stepHtml).join('')}</ol></details>`;

const shown = (words: string): string => unbroken(escapeXml(words));

function stepHtml({ id, say, figures, hint, reading, minutes }: TaskStep): string {
  const clock = minutes === undefined ? '' : ` (${minutes} min by the clock)`;
  const rows = figures.map(({ label, value }) => `<div><dt>${escapeXml(label)}</dt><dd>${shown(value)}</dd></div>`);
  return [
    `<li data-step="${escapeXml(id)}"><label><input type="checkbox"> <span>${shown(say + clock)}</span></label>`,
    rows.length > 0 ? `<dl>${rows.join('')}</dl>` : '',
    hint === undefined ? '' : `<p>${shown(hint)}</p>`,
    reading
      ? `<label class="read">reads <input type="text" maxlength="40" autocomplete="off"` +
        ` aria-label="${escapeXml(`${say}: reads`)}"></label>`
      : '',
    '</li>',
  ].join('');
}

/** The same pages, each behind its name. */
function sheetsHtml({ pages, size }: Book, whole: Whole<Project>): string {
  const count = chaptersOf(whole)
    .flatMap(({ sheets }) => sheets)
    .reduce((sum, sheet) => sum + sheet.pages.length, 0);
  return (
    pages
      .map((page, i) => ({ page, number: i + 1 }))
      // its own cover and contents stand for those of the paper one
      .slice(pages.length - count)
      .map(({ page, number }) => pageHtml(page, number, size))
      .join('')
  );
}

const pageHtml = (page: Drawing, number: number, { width, height }: Book['size']): string =>
  `<details name="page"><summary>${escapeXml(page.name)} <span>page ${number}</span></summary><div class="page">` +
  `<button type="button" class="zoom">Larger</button><div>` +
  `<svg viewBox="0 0 ${width} ${height}" role="img" aria-label="${escapeXml(page.name)}, page ${number}">` +
  page.paths.map((path) => pathSvg(path, height)).join('') +
  page.texts.map((text) => textSvg(text, height)).join('') +
  '</svg></div></div></details>';

function pathSvg({ points, isClosed, widthMm }: DrawnPath, height: number): string {
  const d = points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${figure(x)} ${figure(height - y)}`).join('');
  return `<path d="${d}${isClosed ? 'Z' : ''}" stroke-width="${widthMm ?? 0.35}"/>`;
}

const ANCHORS = { left: '', center: ' text-anchor="middle"', right: ' text-anchor="end"' } as const;

const textSvg = ({ at: [x, y], text, heightMm, align = 'left' }: DrawnText, height: number): string =>
  `<text x="${figure(x)}" y="${figure(height - y)}" font-size="${heightMm}"${ANCHORS[align]}>` +
  `${escapeXml(latin(text))}</text>`;

const figure = (value: number): string => String(Number(value.toFixed(2)));

const STYLE = `
:root{color-scheme:light;--ink:#1D2C36;--quiet:#4E5D67;--line:#D9D3C4;--main:#0E5A61}
*{box-sizing:border-box}
body{margin:0;background:#F5F2EA;color:var(--ink);font:18px/1.4 "Atkinson Hyperlegible Next",Arial,sans-serif}
header,main{max-width:900px;margin:0 auto;padding:12px}
main{display:grid;grid-template-columns:minmax(0,1fr);gap:20px}
h1{font-size:30px;margin:0}h2{font-size:22px;margin:0 0 8px}p{margin:4px 0}
summary{min-height:48px;padding:10px 12px;cursor:pointer;border:1px solid var(--line);background:#fff;border-radius:3px}
.kind>summary{font-weight:650;background:transparent}
summary span{color:var(--quiet);font-weight:400}
details{margin:4px 0}ol{padding-left:26px;margin:8px 0}li{margin:0 0 14px}
label{display:flex;align-items:center;gap:12px;min-height:44px;font-weight:600}
input[type=checkbox]{width:32px;height:32px;flex:none;accent-color:var(--main)}
input[type=text],textarea{font:inherit;width:100%;min-height:48px;padding:8px;color:inherit;background:#fff}
input[type=text],textarea{border:1px solid var(--quiet);border-radius:3px}
.read{font-weight:400}
dl{margin:0;display:flex;flex-wrap:wrap;gap:6px 28px}dt{color:var(--quiet)}
dd{margin:0;font:600 34px/1.1 "Atkinson Hyperlegible Mono",monospace}
button{font:inherit;font-weight:600;min-height:48px;padding:8px 16px;background:#fff;color:var(--main)}
button{border:2px solid var(--main);border-radius:3px}
:focus-visible{outline:3px solid #B9501B;outline-offset:2px}
.page>div{overflow:auto;background:#fff;border:1px solid var(--line);margin-top:6px}
.page svg{display:block;width:100%}.page.large svg{width:1500px}
svg path{fill:none;stroke:#000}svg text{font-family:Helvetica,Arial,sans-serif}
`;
