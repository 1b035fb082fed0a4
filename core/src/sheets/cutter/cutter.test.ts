import { describe, expect, it } from 'vitest';
import { writeDxf } from '../../formats/writers';
import {
  area,
  at,
  boundsOf,
  differenceOf,
  moved,
  random,
  solidDistance,
  type Outline,
  type Vec2,
} from '../../geometry';
import { createDerive, demoProject, type DEMO_IDS } from '../../project';
import { nest } from '../nest';
import { cutFileOf, relieved, type Contour, type CutFile } from './cut-file';
import { machineDrawing } from './drawing';
import { readCutFile } from './read-cut-file';
import { CUT_FAULTS, runCutter, type CutFault } from './simulate';

const SETTINGS = { radius: 3, feed: 2000, tabs: 3 };
const square = (x: number, y: number, side: number): Outline => [
  [x, y],
  [x + side, y],
  [x + side, y + side],
  [x, y + side],
];
const closed = (side: 'outside' | 'inside', points: Outline): Contour => ({ side, points, isClosed: true });
const kinds = (file: CutFile, settings = { ...SETTINGS, tabs: 0 }) =>
  runCutter(file, settings).faults.map(({ kind }) => kind);

/** The sheets of a demo boat as machine files. */
function filesOf(id: (typeof DEMO_IDS)[number]): CutFile[] {
  return createDerive()(demoProject(id, 'x')).sheets.value.batches.flatMap(({ job }) =>
    nest(job, { seed: 1, rounds: 2 }).sheets.map((sheet) => cutFileOf(sheet, job, SETTINGS, [])),
  );
}
const clean = (['tamsel', 'orrin', 'veyra'] as const).flatMap(filesOf);

describe('the simulated cutter', () => {
  it('runs round a square at its radius: four sides and four quarter rounds', () => {
    const { path, seconds, faults } = runCutter(
      { contours: [closed('outside', square(0, 0, 100))] },
      { ...SETTINGS, tabs: 0 },
    );
    const round = at(path, 0).reduce((sum, p, k, all) => {
      const q = at(all, (k + 1) % all.length);
      return sum + Math.hypot(q[0] - p[0], q[1] - p[1]);
    }, 0);
    expect(round).toBeCloseTo(400 + 6 * Math.PI, 1);
    expect(seconds).toBeCloseTo((round / 2000) * 60 + 3, 6);
    expect(faults).toEqual([]);
  });
  it('leaves (√2 − 1) r in a square inside corner, and says so once a corner', () => {
    const run = runCutter({ contours: [closed('inside', square(0, 0, 100))] }, { ...SETTINGS, tabs: 0 });
    expect(run.faults.map(({ kind }) => kind)).toEqual(['tight', 'tight', 'tight', 'tight']);
    expect(run.faults[0]!.amount).toBeCloseTo((Math.SQRT2 - 1) * 3, 2);
    expect(kinds({ contours: [closed('inside', relieved(square(0, 0, 100), 3, 'inside'))] })).toEqual([]);
  });
  it('relieves only corners towards the waste, and by little', () => {
    const notched: Vec2[] = [
      [0, 0],
      [200, 0],
      [200, 100],
      [120, 100],
      [120, 60],
      [80, 60],
      [80, 100],
      [0, 100],
    ];
    const made = relieved(notched, 3, 'outside');
    const taken = differenceOf([notched], [made]).reduce((sum, region) => sum + area(region.outline), 0);
    // a round through the corner: two segments of a quarter turn, (π/2 − 1) r²; it is a little larger, and further in
    const exact = 2 * (Math.PI / 2 - 1) * 9;
    expect(taken).toBeGreaterThan(exact);
    expect(taken).toBeLessThan(1.25 * exact);
    expect(kinds({ contours: [closed('outside', notched)] })).toEqual(['tight', 'tight']);
    expect(kinds({ contours: [closed('outside', made)] })).toEqual([]);
  });
  it('takes two parts at the cutter’s diameter, and no nearer', () => {
    const two = (gap: number) => ({
      contours: [closed('outside', square(0, 0, 100)), closed('outside', square(100 + gap, 0, 100))],
    });
    expect(kinds(two(6))).toEqual([]);
    expect(kinds(two(5.9))).toEqual(['neighbour', 'neighbour']);
  });
  it('lets a part lie in the hole of another', () => {
    const ring = [closed('outside', square(0, 0, 300)), closed('inside', relieved(square(50, 50, 200), 3, 'inside'))];
    expect(kinds({ contours: [...ring, closed('outside', square(70, 70, 120))] })).toEqual([]);
    expect(kinds({ contours: [...ring, closed('outside', square(52, 70, 120))] })).toEqual(['neighbour', 'neighbour']);
  });
  it('finds nothing wrong with the files of the demo boats', () => {
    expect(clean.length).toBeGreaterThan(5);
    expect(clean.flatMap((file) => runCutter(file, SETTINGS).faults)).toEqual([]);
  });
  it('reads back what goes out as a file, and finds nothing wrong with that either', () => {
    const file = clean[0]!;
    const read = readCutFile(writeDxf(machineDrawing(file, { name: 'sheet-1', title: 'Sheet 1', texts: [] })));
    if (!read.ok) throw new Error(read.problem);
    expect(read.file.contours.map(({ side, isClosed }) => [side, isClosed])).toEqual(
      file.contours.map(({ side, isClosed }) => [side, isClosed]),
    );
    expect(runCutter(read.file, SETTINGS).faults).toEqual([]);
  });
  it.each([
    ['no drawing', 'nonsense', /./],
    [
      'nothing to cut',
      '0\nSECTION\n2\nENTITIES\n0\nENDSEC\n0\nEOF\n',
      /nothing to cut: expected layers named outside and inside/,
    ],
  ])('refuses %s', (_what, text, words) => {
    const read = readCutFile(text);
    expect(read.ok ? '' : read.problem).toMatch(words);
  });
});

/** Spoils a file in one way: which contour, and the fault that is to be found there. */
function planted(file: CutFile, kind: CutFault['kind'], next01: () => number): { file: CutFile; contour: number } {
  const cuts = file.contours.flatMap(({ side, points }, k) => (side === 'outside' && points.length > 3 ? [k] : []));
  const contour = at(cuts, Math.floor(next01() * cuts.length));
  const own = at(file.contours, contour);
  const put = (changed: Contour) => file.contours.map((other, k) => (k === contour ? changed : other));
  switch (kind) {
    case 'open':
      return { contour, file: { contours: put({ ...own, isClosed: false }) } };
    case 'double':
      return { contour: file.contours.length, file: { contours: [...file.contours, own] } };
    case 'tight':
      return { contour, file: { contours: put({ ...own, points: slit(own.points, next01) }) } };
    case 'neighbour': {
      // another part laid a millimetre beside it
      let [near, far] = [0, 2 * boundsOf(own.points).maxY];
      for (let k = 0; k < 40; k++) {
        const middle = (near + far) / 2;
        if (solidDistance(own.points, moved(own.points, 0, middle)) > 1) far = middle;
        else near = middle;
      }
      const beside = closed('outside', moved(own.points, 0, far));
      return { contour: file.contours.length, file: { contours: [...file.contours, beside] } };
    }
    case 'tabs': {
      const large = cuts.filter((k) => runCutter({ contours: [at(file.contours, k)] }, SETTINGS).faults.length > 0);
      return { contour: at(large, 0), file: { contours: file.contours.filter(({ side }) => side !== 'tab') } };
    }
  }
}

/** A cut of a saw's width, as deep, into the middle of a side. */
function slit(outline: Outline, next01: () => number): Outline {
  const sides = outline.map((a, k) => ({ k, a, b: at(outline, (k + 1) % outline.length) }));
  const { k, a, b } = sides.sort((p, q) => long(q) - long(p))[Math.floor(next01() * 2)] ?? at(sides, 0);
  const [x, y] = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  const length = long({ a, b });
  const [dx, dy] = [(b[0] - a[0]) / length, (b[1] - a[1]) / length];
  const deep = Math.min(12, length / 2);
  const cut: Vec2[] = [
    [x - 1.5 * dx, y - 1.5 * dy],
    [x - deep * dy, y + deep * dx],
    [x + 1.5 * dx, y + 1.5 * dy],
  ];
  return [...outline.slice(0, k + 1), ...cut, ...outline.slice(k + 1)];
}
const long = ({ a, b }: { a: Vec2; b: Vec2 }) => Math.hypot(b[0] - a[0], b[1] - a[1]);

describe('faults planted in clean files are found', () => {
  it.each(Array.from({ length: 50 }, (_, seed) => [seed + 1, at(CUT_FAULTS, seed % CUT_FAULTS.length)] as const))(
    'seed %i: %s',
    (seed, kind) => {
      const next01 = random(seed);
      const { file, contour } = planted(at(clean, Math.floor(next01() * clean.length)), kind, next01);
      const found = runCutter(file, SETTINGS).faults;
      expect(found.filter((fault) => fault.kind === kind).map((fault) => fault.contour)).toContain(contour);
    },
  );
});
