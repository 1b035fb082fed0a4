/**
 * The figures of docs/measurements.md, each beside a named baseline of the same run. Run: npx tsx bench/measure.ts
 *
 * Baselines: for the development, the plain full-grid search (400 × 400 samples, every ruling taken from the grid's
 * path, none refined); for the sum of two outlines, the plain sweep of every edge along every other.
 */
import { spawnSync } from 'node:child_process';
import { minkowskiSum, solidSum, type Vec2 } from '@kalotrope/core/geometry';
import { bendLines, startLines } from '@kalotrope/core/lines';
import { FIELDS, developPanel, fieldBands, panelInputs } from '@kalotrope/core/panels';
import { createDerive, demoProject } from '@kalotrope/core/project';
import { faultsOf, nest } from '@kalotrope/core/sheets';
import { cone, misfit, obliqueCylinder, tableOf, tangentDevelopable } from '../core/src/panels/fixtures/exact-shapes';
import { edgesOf } from '../core/src/panels/inputs';
import { findRulings } from '../core/src/surface/rulings';
import { layStrip } from '../core/src/surface/strip';

const shapes = [
  cone({
    apex: [1800, -4300, 3300],
    leanRad: 0.3,
    halfAngleRad: 0.9,
    phi: [-0.36, 0.36],
    rP: [7400, 150],
    rQ: [6900, -90],
  }),
  cone({
    apex: [2600, -1900, -9000],
    leanRad: 2.9,
    halfAngleRad: 0.25,
    phi: [-0.7, 0.7],
    rP: [9100, 80],
    rQ: [9700, 60],
  }),
  obliqueCylinder({ radius: 6000, leanRad: 0.5, arcRad: 0.68, height: 500 }),
  tangentDevelopable({ radius: 3000, pitch: 9000, turnRad: 1.1, near: 1500, far: 2300 }),
  obliqueCylinder({ radius: 900, leanRad: 0.35, arcRad: 1.6, height: 450 }),
  cone({
    apex: [900, -300, 1500],
    leanRad: 0.2,
    halfAngleRad: 0.5,
    phi: [-0.8, 0.8],
    rP: [1800, 60],
    rQ: [1350, 40],
  }),
];

const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;
function timed(run: () => unknown, times: number): number {
  return median(
    Array.from({ length: times }, () => {
      const start = performance.now();
      run();
      return performance.now() - start;
    }),
  );
}

console.log('## Flat edges against the closed form, 21 points a line');
console.log('| shape | exact table, mm | rounded to 1 mm | to 1/16 in | greatest twist, exact, ° |');
console.log('| --- | --- | --- | --- | --- |');
for (const shape of shapes) {
  const cells = [0, 1, 25.4 / 16].map((step) => {
    const [input] = panelInputs(bendLines(tableOf([shape.p, shape.q], 21, step)).value).filter(
      (other) => !other.spansCentreline,
    );
    const panel = input && developPanel(input);
    if (!panel || 'reason' in panel) throw new Error(`${shape.name} was not developed`);
    const points = panel.edges.flatMap((edge) => edge.points);
    return {
      off: misfit(
        points.map((p) => p.flat),
        points.map((p) => shape.flatOf(p.space)),
      ),
      twist: panel.maxTwist.value,
    };
  });
  console.log(
    `| ${shape.name} | ${cells.map((cell) => cell.off.toFixed(4)).join(' | ')} | ${cells[0]?.twist.toExponential(1)} |`,
  );
}

const project = demoProject('tamsel', 'bench');
const started = startLines('two-chine', {});
if (!started.ok) throw new Error('the usual dimensions are within their range');
const limits = Array.from({ length: 20 }, (_, i) => (i + 1) / 20);
const FULL = { grids: [400], rulingCount: 200 };
console.log('\n## Developing (medians, warm; equal accuracy: every ruling refined to the same root)');
for (const [name, lines] of [
  ['the Tamsel 430, two panels a side', project.lines],
  ['a hull of two chines, three panels a side', started.lines],
] as const) {
  const inputs = panelInputs(bendLines(lines).value);
  const search = (options?: typeof FULL) => () =>
    inputs.forEach((input) => layStrip(...edgesOf(input), findRulings(...edgesOf(input), options)));
  const whole = () =>
    inputs.forEach((input) => {
      const panel = developPanel(input);
      if ('reason' in panel) throw new Error(panel.reason);
      for (const field of FIELDS) fieldBands(panel, field, { thickness: 6, limits });
    });
  for (const run of [whole, search(), whole, search()]) run();
  const [all, ours, plain] = [timed(whole, 41), timed(search(), 41), timed(search(FULL), 7)];
  console.log(
    `${name}: developed with strain and all three fields ${all.toFixed(1)} ms; rulings and layout alone ` +
      `${ours.toFixed(1)} ms, by the full grid of 400 ${plain.toFixed(1)} ms, ratio ${(plain / ours).toFixed(1)}`,
  );
}

const derive = createDerive();
derive(project);
const edit = (x: number) => ({
  ...project,
  lines: {
    ...project.lines,
    longitudinals: project.lines.longitudinals.map((line) =>
      line.id === 'sheer'
        ? {
            ...line,
            points: line.points.map((p, i) => (i === 3 ? { ...p, halfBreadth: p.halfBreadth + x } : p)),
          }
        : line,
    ),
  },
});
let count = 0;
const oneEdit = timed(() => derive(edit((count += 0.1))), 21);
const whole = timed(() => createDerive()(edit(5)), 9);
console.log('\n## One offset of the sheer changed, all stages (medians, warm)');
console.log(
  `with memory ${oneEdit.toFixed(1)} ms; everything anew ${whole.toFixed(1)} ms; ratio ${(whole / oneEdit).toFixed(1)}`,
);

const arc = (n: number, r: number): Vec2[] =>
  Array.from({ length: n }, (_, i) => [r * 4 * (i / n), r * Math.sin((i / n) * 3)] as const);
const band: Vec2[] = [
  ...arc(24, 500),
  ...arc(24, 500)
    .reverse()
    .map(([x, y]): Vec2 => [x, y - 400]),
].reverse();
const fast = timed(() => solidSum(band, band), 9);
const slow = timed(() => minkowskiSum(band, band), 3);
console.log('\n## Sum of two curved parts of 48 corners (medians)');
console.log(`convolution ${fast.toFixed(1)} ms; plain sweep ${slow.toFixed(1)} ms; ratio ${(slow / fast).toFixed(0)}`);

console.log('\n## Layout of the Tamsel 430, 40 rounds, seed 1');
for (const { thickness, job } of derive(project).sheets.value.batches) {
  const result = nest(job, { seed: 1, rounds: 40 });
  console.log(
    `${thickness} mm: ${result.sheetsUsed} sheets, ${(result.density * 100).toFixed(1)} %, ` +
      `${result.unplaced.length} unplaced, faults ${faultsOf(job, result).length}`,
  );
}

const cold = Array.from({ length: 9 }, () => {
  const { stderr } = spawnSync('node', ['bin/kalo.mjs', 'panels', 'docs/samples/tamsel.csv', '--json', '--time'], {
    encoding: 'utf8',
    maxBuffer: 1e8,
  });
  return Number(/computed in ([\d.]+)/.exec(stderr)?.[1]);
});
console.log('\n## kalo panels on the Tamsel 430, first computing of a new process');
console.log(
  `median ${median(cold).toFixed(0)} ms, least ${Math.min(...cold).toFixed(0)}, most ${Math.max(...cold).toFixed(0)}`,
);
