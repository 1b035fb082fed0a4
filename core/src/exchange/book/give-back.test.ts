/** The page of a book, and what comes back from it. */
import { describe, expect, it } from 'vitest';
import { latin } from '../../formats/letters';
import { formatField } from '../../measure';
import { drawnHull } from '../../panels/fixtures/drawn-hulls';
import { applyEdits, createDerive, DEMO_IDS, demoProject, newProject, shopTasks, wholeOf } from '../../project';
import { bookOf } from './book';
import { isGivenBackOf, readGivenBack, takeBack, type GivenBack } from './give-back';
import { htmlBook } from './html';

const derive = createDerive();
const DATE = '2026-01-31';
const NOW = Date.UTC(2026, 0, 31);

const plain = (html: string) =>
  html
    .replace(/&quot;/g, '"')
    .replace(/&gt;/g, '>')
    .replace(/&lt;/g, '<')
    .replace(/&amp;/g, '&');

describe.each(DEMO_IDS.map((id) => [id] as const))('the book of %s for a browser', (id) => {
  const project = demoProject(id, 'x');
  const work = { project, derived: derive(project), found: {}, printing: { date: DATE } };
  const { text } = htmlBook(work);

  it('asks for nothing from elsewhere, and closes what it opens', () => {
    expect(text).not.toMatch(/\b(?:src|href)\s*=\s*["'](?!#)/);
    expect(text).not.toMatch(/https?:|@import|url\(/);
    for (const tag of ['details', 'li', 'ol', 'svg', 'label', 'section', 'div', 'button', 'dl'])
      expect(text.split(`<${tag}>`).length + text.split(`<${tag} `).length - 2, tag).toBe(
        text.split(`</${tag}>`).length - 1,
      );
  });
  it('breaks no length over two lines', () => {
    const [, after = ''] = text.split('<h2>To do</h2>');
    const [steps = ''] = after.split('<h2>The sheets</h2>');
    for (const said of steps.matchAll(/>([^<]+)</g)) expect(said[1]).not.toMatch(/\d-\d/);
  });
  it('has every step of every task, and every word of every sheet', () => {
    const chapters = shopTasks(wholeOf(project, work.derived, {}));
    const steps = chapters.flatMap(({ stage, tasks }) => tasks.map((task) => ({ key: `${stage}/${task.id}`, task })));
    const keys = [...text.matchAll(/data-task="([^"]*)" data-steps="(\d+)"/g)].map(([, key = '', count]) => [
      plain(key),
      Number(count),
    ]);
    expect(new Map(keys as [string, number][])).toEqual(
      new Map(steps.map(({ key, task }) => [key, task.steps.length])),
    );
    const words = new Set([...text.matchAll(/<text[^>]*>([^<]*)<\/text>/g)].map(([, said = '']) => plain(said)));
    const sheets = bookOf(work).pages.slice(3);
    for (const said of sheets.flatMap((page) => page.texts.map((one) => latin(one.text))))
      expect(words).toContain(said);
  });
});

describe.each([1, 2, 3, 4, 5, 6])('the books of a hull drawn by chance (seed %i)', (seed) => {
  it('are there whatever the hull is, and every figure in them is one', () => {
    const { table } = drawnHull(seed);
    const notation = seed % 2 === 0 ? 'ft-in-8ths' : 'mm';
    const begun = newProject({ id: 'x', name: 'By chance', notation });
    const project = { ...begun, lines: { ...begun.lines, ...table } };
    const work = { project, derived: derive(project), found: {} };
    expect(htmlBook(work).text).not.toMatch(/NaN|Infinity|undefined/);
    const points = bookOf(work).pages.flatMap(({ paths }) => paths.flatMap((path) => path.points));
    expect(points.every(([x, y]) => Number.isFinite(x) && Number.isFinite(y))).toBe(true);
  });
});

describe('what a book gives back', () => {
  const project = demoProject('tamsel', 'x');
  const chapters = shopTasks(wholeOf(project, derive(project), {}));
  const given: GivenBack = {
    ...{ kalotrope: 'book', version: 1, project: 'x', name: project.name, revision: 1, notation: 'mm', day: DATE },
    ...{ ticks: {}, readings: [], note: '' },
  };
  const into = { project, chapters, entries: [], now: NOW };
  const read = (task: string, step: string, text: string) => ({ task, step, text, day: DATE });
  const [frame] = chapters.find(({ stage }) => stage === 'setup')!.tasks;
  const [panel] = chapters.find(({ stage }) => stage === 'panels')!.tasks;
  const [job] = chapters.find(({ stage }) => stage === 'plan')!.tasks;

  it('is known as such, with what is wrong with it; another file is not', () => {
    expect(readGivenBack(JSON.stringify(given))).toEqual({ ok: true, given });
    expect(readGivenBack(JSON.stringify({ ...given, day: 'soon' }))).toMatchObject({ ok: false, problem: /day/ });
    expect(readGivenBack(JSON.stringify({ ...given, readings: [{}] }))).toMatchObject({ ok: false });
    for (const text of ['', '[]', 'null', '{"kalotrope":"boat"}', 'x,y']) expect(readGivenBack(text)).toBeUndefined();
  });
  it('is of a boat by its id or its name', () => {
    expect(isGivenBackOf(given, { id: 'x', name: 'Renamed' })).toBe(true);
    expect(isGivenBackOf(given, { id: 'other', name: project.name })).toBe(true);
    expect(isGivenBackOf(given, { id: 'other', name: 'Other' })).toBe(false);
  });
  it('a length goes into the set-up and the log, one of a panel into the log alone', () => {
    const readings = [read(`setup/${frame!.id}`, 'along', '2580,5'), read(`panels/${panel!.id}`, 'upper edge', '4000')];
    const taken = takeBack({ ...given, readings }, into);
    expect(taken).toMatchObject({ placed: 2, unplaced: 0 });
    const made = applyEdits(project, taken.edits);
    expect(made.ok && made.project.setup.readings).toMatchObject([{ frame: frame!.id, what: 'along', value: 2580.5 }]);
    expect(taken.entries).toMatchObject([
      { kind: 'measured', found: 2580.5, day: DATE, parts: [frame!.name], written: NOW },
      { kind: 'measured', found: 4000, parts: [panel!.name] },
    ]);
    const { reading } = panel!.steps.find((step) => step.id === 'upper edge')!;
    expect(taken.entries[1]!.drawn).toBe(reading!.should);
  });
  it('lengths are read in the unit of the book', () => {
    const readings = [read(`setup/${frame!.id}`, 'along', formatField(2540, 'ft-in-8ths'))];
    const taken = takeBack({ ...given, notation: 'ft-in-8ths', readings }, into);
    expect(taken.entries[0]!.found).toBeCloseTo(2540, 0);
  });
  it('what finds no place, or cannot be read, stands in the log in its own words', () => {
    const readings = [read('setup/gone', 'along', '12'), read(`setup/${frame!.id}`, 'along', 'about a foot or so')];
    const taken = takeBack({ ...given, readings }, into);
    expect(taken).toMatchObject({ placed: 0, unplaced: 2, edits: [] });
    expect(taken.entries.map(({ kind }) => kind)).toEqual(['note', 'note']);
    expect(taken.entries[1]!.words).toContain('about a foot or so');
  });
  it('a job is done when all its steps are ticked, and not before', () => {
    const all = job!.steps.map((step) => step.id);
    const ticked = (steps: string[]) => takeBack({ ...given, ticks: { [`plan/${job!.id}`]: steps } }, into);
    const made = applyEdits(project, ticked(all).edits);
    expect(made.ok && made.project.plan.jobs).toContainEqual(expect.objectContaining({ id: job!.id, isDone: true }));
    expect(ticked(all.slice(1)).edits).toEqual([]);
  });
  it('taken twice adds nothing', () => {
    const whole = {
      ...{ ...given, note: 'Glue ran short' },
      readings: [read(`setup/${frame!.id}`, 'along', '2580'), read('setup/gone', 'along', '3')],
    };
    const once = takeBack(whole, into);
    expect(once.entries).toHaveLength(3);
    const again = takeBack(whole, { ...into, entries: once.entries });
    expect(again.entries).toEqual([]);
    expect(again.edits).toEqual([]);
  });
});
