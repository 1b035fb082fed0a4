/** What is done in the shop, held against what the stages worked out. */
import { describe, expect, it } from 'vitest';
import { area, boundsOf, polylineLength, type Outline } from '../geometry';
import { formatFine } from '../measure';
import { markingOf } from '../panels';
import { allKept, areKept, laidBatches, placedOutline } from '../sheets';
import { DEMO_IDS, demoProject } from './demos';
import { createDerive, searchAll } from './derive';
import { applyEdits } from './edits';
import { doneEdits, readEdits, shopTasks, type ShopChapter } from './shop-tasks';
import { wholeOf } from './whole';

const derive = createDerive();
const chaptersOf = (project: ReturnType<typeof demoProject>) => shopTasks(wholeOf(project, derive(project), {}));
const named = (chapters: readonly ShopChapter[], stage: string) =>
  chapters.find((chapter) => chapter.stage === stage)?.tasks ?? [];
const perimeterOf = (outline: Outline) => polylineLength([...outline, outline[0]!]);
const areUnlike = (ids: readonly string[]) => expect(new Set(ids).size).toBe(ids.length);

describe.each(DEMO_IDS.map((id) => [id] as const))('the shop’s tasks of %s', (id) => {
  const project = demoProject(id, 'x');
  const derived = derive(project);
  const chapters = chaptersOf(project);

  it('have ids of their own, a few short figures a step, and words on each', () => {
    for (const { tasks } of chapters) {
      areUnlike(tasks.map((task) => task.id));
      for (const { steps, name } of tasks) {
        expect(steps.length, name).toBeGreaterThan(0);
        areUnlike(steps.map((step) => step.id));
        for (const { say, figures, reading } of steps) {
          expect(say).not.toBe('');
          expect(figures.length).toBeLessThan(3);
          for (const { label, value } of figures) {
            expect(value.length, value).toBeLessThan(12);
            expect(label.length, label).toBeLessThan(30);
          }
          if (reading) expect(Number.isFinite(reading.should)).toBe(true);
        }
      }
    }
  });

  it('never have port and starboard on one step of a task for one hand', () => {
    for (const { hand, steps } of chapters.flatMap(({ tasks }) => tasks)) {
      if (!hand) continue;
      const other = hand === 'port' ? 'starboard' : 'port';
      for (const step of steps) expect(JSON.stringify(step)).not.toContain(other);
    }
  });

  it('mark every panel out by the figures of its table, each hand by itself', () => {
    const tasks = named(chapters, 'panels');
    for (const panel of derived.panels.value.panels) {
      const own = tasks.filter((task) => task.name === panel.name);
      expect(own.map(({ hand }) => hand)).toEqual(
        panel.spansCentreline ? [undefined] : panel.only ? [panel.only] : ['starboard', 'port'],
      );
      const { rows } = markingOf(panel, project.panels);
      for (const { steps } of own)
        expect(
          steps.filter((step) => step.id.startsWith('at ')).map((step) => step.figures.map(({ value }) => value)),
        ).toEqual(rows.map(({ lower, upper }) => [lower, upper].map((mm) => formatFine(mm, project.notation))));
    }
  });

  it('plot every part inside so that its points give its outline back, each hand the mirror image of the other', () => {
    if (project.notation !== 'mm') return;
    const tasks = named(chapters, 'fitout');
    for (const part of derived.fitout.value.all)
      for (const piece of part.pieces) {
        const own = tasks.filter(({ id: task }) => task === piece.id || task.startsWith(`${piece.id}.`));
        expect(own.length).toBe(part.hand === 'pair' ? 2 : 1);
        const wide = boundsOf(piece.region.outline);
        for (const { steps, hand } of own) {
          const points = steps.flatMap(({ id: step, figures: [out, up] }): [number, number][] =>
            step.startsWith('point') ? [[Number(out!.value), Number(up!.value)]] : [],
          );
          const isMirrored = hand === 'port' && part.hand !== 'port';
          const back = points.map(([x, y]): [number, number] => [
            isMirrored ? wide.maxX - x : wide.minX + x,
            wide.minY + y,
          ]);
          // a tenth is what is written down, three tenths how far a batten may lie off
          const lost = area(piece.region.outline) - area(isMirrored ? [...back].reverse() : back);
          expect(Math.abs(lost)).toBeLessThan(0.4 * perimeterOf(piece.region.outline));
        }
      }
  });

  it('cut every scarf to its length where the panel has it, and rip and cut all the timber', () => {
    const joined = derived.joints.value.filter(({ joints }) => joints.length > 0);
    const joins = named(chapters, 'joints');
    expect(joins).toHaveLength(joined.reduce((sum, { isPair }) => sum + (isPair ? 2 : 1), 0));
    for (const { panel, joints } of joined)
      for (const task of joins.filter(({ id: own }) => own === panel || own.startsWith(`${panel}.`)))
        expect(task.steps.filter(({ id: step }) => step.endsWith(' lies'))).toHaveLength(joints.length);
    const { runs, rips } = derived.timber.value;
    expect(named(chapters, 'timber')).toHaveLength(runs.length + rips.length);
    for (const run of runs) {
      const own = named(chapters, 'timber').find(({ id: task }) => task === `run.${run.id}`)!;
      expect(own.steps[0]!.figures[0]!.value).toBe(formatFine(run.length, project.notation));
    }
  });

  it('weigh every pot of the plan, and set every frame by every check', () => {
    expect(named(chapters, 'epoxy')).toHaveLength(derived.epoxy.value.plan.pots.length);
    for (const { pot, steps } of named(chapters, 'epoxy')) {
      const planned = derived.epoxy.value.plan.pots.find((one) => one.job === pot!.job && one.number === pot!.number)!;
      expect(pot!.a + pot!.b + pot!.filler).toBeCloseTo(planned.total, 3);
      // it is in the pot when the last of it is stirred in, and before it is used
      expect(steps.map((step) => step.id).indexOf(pot!.step)).toBe(steps.length - 2);
    }
    const stands = derived.setup.value.frames;
    expect(named(chapters, 'setup').map((task) => task.id)).toEqual(stands.map((frame) => frame.id));
    for (const [i, { steps }] of named(chapters, 'setup').entries())
      expect(steps.filter(({ reading }) => reading)).toHaveLength(stands[i]!.checks.length);
  });
});

it('a frame of one hand is plotted out to that hand, once', () => {
  const project = demoProject('tamsel', 'x');
  const made = applyEdits(project, [{ path: ['frames', 'frames', 'frame.1', 'bounds', 'hand'], value: 'port' }]);
  if (!made.ok) throw new Error(made.reason);
  const own = named(chaptersOf(made.project), 'frames').filter((task) => task.name === 'Bulkhead 1');
  const plots = own.filter((task) => task.steps.some((step) => step.id.startsWith('point')));
  expect(plots.map((task) => task.hand)).toEqual(['port']);
  for (const { id, figures } of plots.flatMap((task) => task.steps))
    if (id.startsWith('point')) expect(figures[0]!.label).toBe('out to port');
});

it('of a frame that ends lower than the sheer no bevel is told over its top', () => {
  const orrin = demoProject('orrin', 'x');
  const [frame] = orrin.frames.frames;
  const made = applyEdits(orrin, [
    { path: ['frames', 'frames', frame!.id, 'top', 'below'], value: 150 },
    { path: ['notation'], value: 'mm' },
  ]);
  if (!made.ok) throw new Error(made.reason);
  const cut = derive(made.project).frames.value.frames.find(({ id }) => id === frame!.id)!;
  const bevels = named(chaptersOf(made.project), 'frames').find((task) => task.id === `${frame!.id}.bevels`)!;
  const top = Math.max(...cut.cut.outline.map(([, z]) => z));
  const ups = bevels.steps.map((step) => Number(/([-\d.]+) up$/.exec(step.say)![1]));
  expect(ups.length).toBeGreaterThan(3);
  expect(Math.max(...cut.edges.flatMap(({ points }) => points.map(({ z }) => z)))).toBeGreaterThan(top + 100);
  for (const up of ups) expect(up).toBeLessThan(top + 50);
});

describe('what a tick and a reading change', () => {
  const project = demoProject('tamsel', 'x');
  const chapters = chaptersOf(project);
  const made = (edits: Parameters<typeof applyEdits>[1]) => {
    const result = applyEdits(project, edits);
    if (!result.ok) throw new Error(result.reason);
    return result.project;
  };

  it('a job that is ticked is done, and no task any more', () => {
    const [job] = named(chapters, 'plan');
    const after = made(doneEdits(project, 'plan', job!.id));
    expect(derive(after).plan.value.done).toContain(job!.id);
    expect(named(chaptersOf(after), 'plan').map((task) => task.id)).not.toContain(job!.id);
  });
  it('a reading of a frame is one of the set-up’s; one that is on its mark has no figure', () => {
    const [frame] = named(chapters, 'setup');
    const read = (value: number | 'true') =>
      made(readEdits(project, 'setup', { task: frame!.id, step: 'along', value })).setup.readings;
    expect(read(1234.5)).toMatchObject([{ frame: frame!.id, what: 'along', isTrue: false, value: 1234.5 }]);
    expect(read('true')).toMatchObject([{ what: 'along', isTrue: true, value: 0 }]);
    expect(readEdits(project, 'setup', { task: frame!.id, step: 'stand', value: 3 })).toEqual([]);
  });
  it('of a stage that keeps none nothing is changed', () => {
    const [panel] = named(chapters, 'panels');
    expect(readEdits(project, 'panels', { task: panel!.id, step: 'upper edge', value: 3 })).toEqual([]);
    expect(doneEdits(project, 'panels', panel!.id)).toEqual([]);
  });
});

describe('sheets marked out as they are laid out', () => {
  const bare = demoProject('tamsel', 'x');
  const found = searchAll(bare, derive(bare), 2);
  const searched = laidBatches(derive(bare).sheets.value.batches, found.sheets!);
  const project = { ...bare, sheets: { ...bare.sheets, laid: allKept([], searched) } };
  const { batches } = derive(project).sheets.value;
  const tasks = named(chaptersOf(project), 'sheets');
  const sheets = laidBatches(batches, []).flatMap(({ batch, result }) =>
    result!.sheets.map((sheet) => ({ ...sheet, job: batch.job })),
  );

  it('is a task a sheet, as it was found and kept; of a layout that may be another tomorrow there is none', () => {
    expect(tasks).toHaveLength(sheets.length);
    const lying = (laid: typeof searched) =>
      laid.flatMap(({ result }) => result!.sheets.flatMap(({ placements }) => placements)).map((one) => ({ ...one }));
    const byPart = (a: { readonly part: string }, b: { readonly part: string }) => (a.part < b.part ? -1 : 1);
    expect(lying(laidBatches(batches, [])).sort(byPart)).toEqual(lying(searched).sort(byPart));
    expect([areKept(batches), areKept(derive(bare).sheets.value.batches)]).toEqual([true, false]);
    expect(named(shopTasks(wholeOf(bare, derive(bare), found)), 'sheets')).toEqual([]);
  });
  it('has two crosses a part, on its outline as it lies, and each part is cut once', () => {
    for (const [k, { steps }] of tasks.entries()) {
      const { placements, job } = sheets[k]!;
      const crosses = steps.filter(({ say }) => /: the (left|right) cross$/.test(say));
      const cuts = steps.filter(({ say }) => say.startsWith('Cut out '));
      expect(crosses).toHaveLength(2 * placements.length);
      expect(cuts).toHaveLength(placements.length);
      expect(new Set(cuts.map(({ say }) => say)).size).toBe(placements.length);
      const outlines = placements.map((placement) =>
        placedOutline(job.parts.find(({ id }) => id === placement.part)!.outline, placement),
      );
      for (let i = 0; i < crosses.length; i += 2) {
        const [a, b] = [crosses[i]!, crosses[i + 1]!].map(({ figures }) => figures.map(({ value }) => Number(value)));
        const own = outlines.filter((outline) =>
          [a!, b!].every(([x, y]) => outline.some((p) => Math.hypot(p[0] - x!, p[1] - y!) < 0.08)),
        );
        // of a part with rounded corners the box's stand for them
        const boxed = outlines.map(boundsOf).filter(({ minX, minY, maxX, maxY }) => {
          const off = [a![0]! - minX, a![1]! - minY, b![0]! - maxX, b![1]! - maxY];
          return off.every((mm) => Math.abs(mm) < 0.08);
        });
        expect(own.length + boxed.length).toBeGreaterThan(0);
        // with both the part is shown as it lies, as with its cutting out
        const shown = boundsOf([...crosses[i]!.shape!]);
        expect(crosses[i + 1]!.shape).toEqual(crosses[i]!.shape);
        expect(cuts[i / 2]!.shape).toEqual(crosses[i]!.shape);
        const isWhole = outlines.map(boundsOf).some((box) => {
          const keys = ['minX', 'minY', 'maxX', 'maxY'] as const;
          return keys.every((key) => Math.abs(box[key] - shown[key]) < 5);
        });
        expect(isWhole).toBe(true);
        expect(a![0]!).toBeLessThanOrEqual(b![0]!);
      }
    }
  });
});

describe('transoms marked out', () => {
  it.each(DEMO_IDS.filter((id) => id !== 'orrin'))('of %s by points of its outline, and to its breadth', (id) => {
    const project = demoProject(id, 'x');
    const { panels } = derive(project);
    for (const transom of panels.value.transoms) {
      const task = named(chaptersOf(project), 'panels').find((one) => one.id === transom.id)!;
      const points = task.steps.flatMap(({ id: step, figures }) =>
        step.startsWith('point') ? [figures.map(({ value }) => Number(value))] : [],
      );
      const toEdge = ([u, v]: readonly number[]) =>
        Math.min(...transom.outline.map((p) => Math.hypot(p[0] - u!, p[1] - v!)));
      for (const point of points) expect(toEdge(point)).toBeLessThan(0.08);
      const { minX, maxX } = boundsOf(transom.outline);
      expect(task.steps.find(({ reading }) => reading)!.reading!.should).toBeCloseTo(maxX - minX, 6);
    }
  });
});
