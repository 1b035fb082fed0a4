import { describe, expect, it } from 'vitest';
import { at, contains, crossesItself, crossLines, distance2, distance3, type Vec2, type Vec3 } from '../geometry';
import { bendLines, drawLines, endPlane, linesOf, setEndPlane, type LinesTable, type Longitudinal } from '../lines';
import { applyEdits, demoProject } from '../project';
import { lengthAlong } from '../lines/fixtures/length-along';
import type { Skin } from './cut/cut';
import { cutPanels } from './fixtures/cut-panels';
import { misfit } from './fixtures/exact-shapes';
import { bottomFlat, chineOnSheer, chineOnStem, sideFlat } from './fixtures/run-out-hulls';
import { foldHull } from './reading/fold';
import { sharedStretches } from './neighbours';
import { developPanels } from './develop';
import type { Panel } from './panel';
import { findRemedies } from './remedies/remedy';
import { needsRemedy, standingOf } from './remedies/standing';
import { roundedStrip } from './cut/rounding';
import { cornersOf } from './cut/set-back';
import { seamsOf, stitchesOf } from './reading/seams';
import { findTransoms } from './transom/transom';

const SKIN: Skin = { thickness: 6, linesTo: 'outside', meeting: 'stitched' };
const SHEET = { length: 2440, width: 1220, kerf: 6 };
const hullOf = (table: LinesTable) => bendLines(table).value;
const panelsOf = (table: LinesTable) => developPanels(hullOf(table), { thickness: 6 }).value as [Panel, Panel];
const lengthOf = (table: LinesTable, line: number, from = 0, to = 1) =>
  lengthAlong(at(hullOf(table).lines, line).batten, from, to);
const flatsOf = (panel: Panel) => panel.edges.flatMap(({ points }) => points);
const misfitOf = (panel: Panel, flatOf: (p: Vec3) => Vec2) =>
  misfit(
    flatsOf(panel).map((p) => p.flat),
    flatsOf(panel).map((p) => flatOf(p.space)),
  );
const alongOf = (panel: Panel) => panel.stretches.map((row) => row.map(({ line }) => line));
const put = (table: LinesTable, id: string, change: (line: Longitudinal) => Longitudinal): LinesTable => ({
  longitudinals: table.longitudinals.map((line) => (line.id === id ? change(line) : line)),
});

describe.each([
  [
    'on the stem',
    chineOnStem,
    [
      [['keel'], ['chine']],
      [['keel', 'chine'], ['sheer']],
    ],
  ],
  [
    'on the sheer',
    chineOnSheer,
    [
      [['keel'], ['sheer', 'chine']],
      [['chine'], ['sheer']],
    ],
  ],
] as const)('a chine that begins %s', (_name, table, along) => {
  const panels = panelsOf(table());
  it('has the panel beyond it go on along the other line', () => expect(panels.map(alongOf)).toEqual(along));

  it('gives both panels in their closed form, to 0.001 mm, without twist and with their true areas', () => {
    panels.forEach((panel, i) => {
      expect(misfitOf(panel, i === 0 ? bottomFlat : sideFlat)).toBeLessThan(0.001);
      expect(panel.maxTwist.value).toBeLessThan(0.02);
      expect(panel.maxStrain.value).toBeLessThan(1e-5);
      expect(Math.abs(panel.areaM2 / panel.spaceAreaM2 - 1)).toBeLessThan(1e-5);
      expect(crossesItself(panel.outline)).toBe(false);
    });
  });

  it('has the rulings of the surfaces themselves, within 0.5°', () => {
    panels.forEach((panel, i) => {
      for (const { p, q } of panel.rulings.filter((r) => !r.fan && distance3(r.p, r.q) > 10)) {
        const [a, b] = [p, q].map(i === 0 ? bottomFlat : sideFlat) as [Vec2, Vec2];
        // along the cylinder's axis, or from the cone's apex, which lies at the origin
        const [x, y] = i === 0 ? [0, 1] : a;
        const sine = ((b[0] - a[0]) * y - (b[1] - a[1]) * x) / (distance2(a, b) * Math.hypot(x, y));
        expect(Math.abs(Math.asin(sine))).toBeLessThan((0.5 * Math.PI) / 180);
      }
    });
  });

  it.each([
    ['a millimetre', 1, 1],
    ['a sixteenth of an inch', 25.4 / 16, 1.3],
  ])('stays near that from a table rounded to %s', (_step, step, most) => {
    panelsOf(table(step)).forEach((panel, i) =>
      expect(misfitOf(panel, i === 0 ? bottomFlat : sideFlat)).toBeLessThan(most),
    );
  });

  it('has the chine equally long on both, as long as the line, and holes that face each other', () => {
    const [seam, ...others] = seamsOf(panels);
    expect(others).toEqual([]);
    expect(seam?.line).toBe('chine');
    for (const length of seam?.lengths ?? []) expect(Math.abs(length - lengthOf(table(), 1))).toBeLessThan(0.001);
    expect(Math.abs(seam?.difference ?? 1)).toBeLessThan(0.005);
    const cut = cutPanels(panels, SKIN);
    const [below, above] = cut.map((panel) =>
      stitchesOf(panel, cut, { stitches: { spacing: 120, inset: 0 }, roundedChines: [] }).filter(
        ({ line }) => line === 'chine',
      ),
    );
    expect(above?.length).toBeGreaterThan(20);
    expect(above?.map(({ number }) => number)).toEqual(below?.map(({ number }) => number));
    // the inset is nought: they lie on the cut edges, each where the line is as far along from its neighbour
    above?.slice(1).forEach((hole, i) => {
      const there = at(below ?? [], i + 1);
      expect(Math.abs(distance2(hole.at, at(above, i).at) - distance2(there.at, at(below ?? [], i).at))).toBeLessThan(
        0.6,
      );
    });
  });

  it('still has the same seams once cut, its edges set back by what they meet', () => {
    const cut = cutPanels(panels, SKIN);
    const [before, after] = [seamsOf(panels), seamsOf(cut)];
    after.forEach((seam, i) => {
      expect(seam.lengths[0]).toBeCloseTo(at(before, i).lengths[0], 6);
      expect(seam.lengths[1]).toBeCloseTo(at(before, i).lengths[1], 6);
    });
    for (const panel of cut) expect(crossesItself(panel.outline)).toBe(false);
  });

  it('folds up from the bench to the hull', () => {
    foldHull(panels, 1).forEach((rulings, i) =>
      rulings.forEach(({ p, q }, k) => {
        const there = at(at(panels, i).rulings, k);
        expect(Math.max(distance3(p, there.p), distance3(q, there.q))).toBeLessThan(0.2);
      }),
    );
    const heights = foldHull(panels, 0).flatMap((rulings) => rulings.flatMap(({ p, q }) => [p[2], q[2]]));
    expect(Math.max(...heights) - Math.min(...heights)).toBeLessThan(0.1);
  });

  it('is no corner of a transom', () => {
    expect(findTransoms(hullOf(table())).transoms.map(({ id }) => id)).toEqual(['transom']);
  });
});

describe('the side that goes on up the stem', () => {
  const table = chineOnStem();
  const [bottom, side] = panelsOf(table);
  const join = at(side.stretches[0], 0);
  it('has a lower edge as long as stem and chine, the bottom what is left of the keel', () => {
    expect(side.edges[0].length - lengthOf(table, 0, 0, join.lineTo) - lengthOf(table, 1)).toBeCloseTo(0, 3);
    expect(bottom.edges[0].length - lengthOf(table, 0, join.lineTo)).toBeCloseTo(0, 3);
  });
  it('is the panel that one line with a knuckle would give', () => {
    const [keel, chine, sheer] = table.longitudinals as [Longitudinal, Longitudinal, Longitudinal];
    const foot = keel.points.findIndex(({ isKnuckle }) => isKnuckle);
    const along = { ...keel, points: [...keel.points.slice(0, foot + 1), ...chine.points.slice(1)] };
    const same = panelsOf({ longitudinals: [along, sheer] }).find((panel) => !panel.spansCentreline) as Panel;
    expect(
      misfit(
        side.rulings.flatMap((r) => [r.flatP, r.flatQ]),
        same.rulings.flatMap((r) => [r.flatP, r.flatQ]),
      ),
    ).toBeLessThan(1e-4);
  });
  it(
    'meets its mirror on the stem: stitched there and set back as a keel is, the numbers running on to the ' + 'bottom',
    () => {
      const cut = cutPanels([bottom, side], SKIN);
      const [low, high] = cut.map((panel) =>
        stitchesOf(panel, cut, { stitches: { spacing: 100, inset: 9 }, roundedChines: [] }).filter(
          ({ line }) => line === 'keel',
        ),
      );
      const stem = lengthOf(table, 0, 0, join.lineTo);
      expect(high?.map(({ number }) => number)).toEqual(
        Array.from({ length: Math.round((stem - 80) / 100) + 1 }, (_, i) => i + 1),
      );
      expect(low?.[0]?.number).toBe((high?.length ?? 0) + 1);
      // square to the stem the side's normal leans forward by as much as a keel's corner is half turned
      const ruling = at(side.rulings, 10);
      const halfTurn = Math.asin(Math.hypot(ruling.normal[0], ruling.normal[2]));
      const off = Math.min(
        ...at(cut, 1).edges[0].points.map(({ flat }) => distance2(flat, at(at(cut, 1).rulings, 10).flatP)),
      );
      expect(off).toBeLessThan(1e-9);
      expect(at(cut, 1).allowances?.[0].setback.most).toBeGreaterThan(6 * Math.tan(Math.PI / 2 - halfTurn) - 0.5);
    },
  );
  it.each([4, 6, 9])(
    'has one corner at the foot of the stem once cut, where both sides of it cross: %i mm',
    (thickness) => {
      const cut = at(cutPanels([bottom, side], { ...SKIN, thickness }), 1);
      const edge = cut.rulings.map((r) => r.flatP);
      const corners = cornersOf(
        edge,
        cut.rulings.map((r) => r.s),
        cut.knuckles[0],
      );
      expect(corners).toHaveLength(1);
      const { from, to } = at(corners, 0);
      const crossing = crossLines(at(edge, from - 2), at(edge, from - 1), at(edge, to + 1), at(edge, to + 2));
      expect(distance2(crossing?.point ?? [0, 0], at(edge, from))).toBeLessThan(0.1);
    },
  );
  it('rounds its chine along the chine alone', () => {
    const chine = { id: 'chine', radiusFore: 60, radiusAft: 60, layers: 2, layerThickness: 3, sag: 3 };
    const skin = { ...SKIN, roundedChines: [chine] };
    const strip = roundedStrip([bottom, side], chine, skin, SHEET);
    expect(at(strip?.places ?? [], 0).x).toBeCloseTo(at(at(table.longitudinals, 1).points, 0).x, 3);
    const plain = cutPanels([bottom, side], SKIN);
    const cut = cutPanels([bottom, side], skin);
    const stemOf = (panel: Panel | undefined) =>
      panel?.allowances?.[0].stretches.find(({ line }) => line === 'keel')?.longerBy ?? NaN;
    // the rounding takes some of the foot of the stem, holes and all, and only there
    expect(Math.abs(stemOf(cut[1]) - stemOf(plain[1]))).toBeLessThan(60);
    const wide = { ...chine, radiusFore: 150 };
    const taken = cutPanels([bottom, side], { ...SKIN, roundedChines: [wide] });
    const stitches = { spacing: 30, inset: 9 };
    const whole = stitchesOf(side, [bottom, side], { stitches, roundedChines: [] }).filter(
      ({ line }) => line === 'keel',
    );
    const left = stitchesOf(at(taken, 1), taken, { stitches, roundedChines: [wide] });
    expect(left.length).toBeLessThan(whole.length);
    expect(left.map(({ number }) => number)).toEqual(left.map((_, i) => i + 1));
    for (const hole of left) expect(contains(at(taken, 1).outline, hole.at)).toBe(true);
  });
});

describe('lines that run out in other ways', () => {
  const stem = chineOnStem();
  const keelPoint = (k: number) => at(at(stem.longitudinals, 0).points, k);
  const faults = (table: LinesTable) => {
    const panels = panelsOf(table);
    for (const panel of panels) {
      expect(crossesItself(panel.outline)).toBe(false);
      expect(Math.abs(panel.areaM2 / panel.spaceAreaM2 - 1)).toBeLessThan(1e-3);
    }
    for (const seam of seamsOf(panels)) expect(Math.abs(seam.difference)).toBeLessThan(0.5);
    return panels;
  };
  it('two chines begin on one stem, the upper on the stretch that is left of it', () => {
    const second: Longitudinal = {
      id: 'second',
      name: 'second',
      points: [
        keelPoint(4),
        ...at(stem.longitudinals, 1)
          .points.slice(1)
          .map((p, i) => ({ ...p, halfBreadth: p.halfBreadth + 4 * i, height: p.height + 130 })),
      ],
    };
    const [keel, chine, sheer] = stem.longitudinals as [Longitudinal, Longitudinal, Longitudinal];
    const panels = faults({ longitudinals: [keel, chine, second, sheer] });
    expect(panels.map(alongOf)).toEqual([
      [['keel'], ['chine']],
      [['keel', 'chine'], ['second']],
      [['keel', 'second'], ['sheer']],
    ]);
    const keels = sharedStretches(panels).filter(({ line }) => line === 'keel');
    const total = keels.reduce((sum, { from, to }) => sum + to - from, 0);
    expect(keels.every(({ below }) => below === null)).toBe(true);
    expect(total).toBeCloseTo(1, 9);
  });
  it('a chine goes from the keel to the keel, the side on along it at both ends', () => {
    const inner = at(stem.longitudinals, 1).points.slice(1, -1);
    const table = put(stem, 'chine', (line) => ({
      ...line,
      points: [keelPoint(10), ...inner.slice(2, -3), keelPoint(25)],
    }));
    expect(faults(table).map(alongOf)).toEqual([
      [['keel'], ['chine']],
      [['keel', 'chine', 'keel'], ['sheer']],
    ]);
    expect(findTransoms(hullOf(table)).transoms).toHaveLength(1);
  });
  it('a chine goes from the keel to the sheer', () => {
    const sheer = at(stem.longitudinals, 2).points;
    const inner = at(stem.longitudinals, 1)
      .points.slice(1, -5)
      .map((p, i) => ({ ...p, height: p.height + 3 * i * i }));
    const table = put(stem, 'chine', (line) => ({ ...line, points: [at(line.points, 0), ...inner, at(sheer, -3)] }));
    const panels = panelsOf(table);
    expect(panels.map(alongOf)).toEqual([
      [['keel'], ['chine', 'sheer']],
      [['keel', 'chine'], ['sheer']],
    ]);
    for (const seam of seamsOf(panels)) expect(Math.abs(seam.difference)).toBeLessThan(1);
  });
  it(
    'a second chine begins on the first, off the centreline: the bottom meets first the one panel, then the ' + 'other',
    () => {
      const flat = (w: number, y: number, z: number, station = '') => ({
        station,
        x: 100 + 4000 * w,
        halfBreadth: y,
        height: z,
      });
      const ws = Array.from({ length: 11 }, (_, i) => i / 10);
      const low = ws.map((w) => flat(w, 260 + 900 * w * (1 - w), 60 * (1 - w) ** 2));
      const top = ws.map((w) => flat(w, 330 + 1000 * w * (1 - w), 420 + 60 * (1 - w) ** 2));
      const middle = [at(low, 3), ...ws.slice(4).map((w, i) => flat(w, 275 + 930 * w * (1 - w) + 6 * i, 30 + 12 * i))];
      const line = (id: string, points: Longitudinal['points']) => ({ id, name: id, points });
      const panels = faults({ longitudinals: [line('low', low), line('middle', middle), line('top', top)] });
      expect(panels.map((panel) => panel.spansCentreline)).toEqual([true, false, false]);
      const cut = cutPanels(panels, SKIN);
      const holes = cut.map((panel) =>
        stitchesOf(panel, cut, { stitches: { spacing: 150, inset: 9 }, roundedChines: [] }).filter(
          (hole) => hole.line === 'low',
        ),
      );
      const [bottom, strake, side] = holes.map((all) => all.map(({ number }) => number));
      // to starboard and to port
      expect(bottom?.length).toBe(2 * ((strake?.length ?? 0) + (side?.length ?? 0)));
      expect([...(side ?? []), ...(strake ?? [])].sort((a, b) => a - b)).toEqual([...new Set(bottom)]);
    },
  );
});

describe('a corner that another line begins on', () => {
  const bent = put(chineOnStem(), 'keel', (line) => ({
    ...line,
    points: line.points.map(({ isKnuckle: _, ...p }) => p),
  }));
  it('is asked about where a batten is bent round it, and broken there by the remedy', () => {
    const found = bendLines(bent).findings.find((finding) => finding.code === 'corner-not-broken');
    expect(found?.severity).toBe('check');
    expect(found?.data.turnDeg).toBeGreaterThan(40);
    const project = { ...demoProject('tamsel', 'x'), lines: linesOf(bent.longitudinals) };
    const made = applyEdits(project, found?.remedies?.[0]?.edits ?? []);
    expect(drawLines(bent).findings.map(({ code }) => code)).not.toContain('slip');
    expect(made.ok && made.project.lines.longitudinals).toEqual(chineOnStem().longitudinals);
    expect(bendLines(chineOnStem()).findings.map(({ code }) => code)).toEqual(['line-runs-out']);
  });
});

describe('a transom moved aft', () => {
  it('leaves the end of a line that runs out before it where it is', () => {
    const stem = chineOnStem();
    const sheer = at(stem.longitudinals, 2).points;
    const table = put(stem, 'chine', (line) => ({ ...line, points: [...line.points.slice(0, -5), at(sheer, -3)] }));
    const plane = endPlane(table.longitudinals, 'aft');
    const moved = setEndPlane(table.longitudinals, 'aft', {
      atBase: (plane?.atBase ?? 0) + 40,
      rakeDeg: plane?.rakeDeg ?? 0,
    });
    if (!moved.ok) throw new Error(moved.reason);
    expect(at(at(moved.lines, 1).points, -1)).toEqual(at(sheer, -3));
    expect(at(at(moved.lines, 0).points, -1).x).toBeCloseTo(at(at(stem.longitudinals, 0).points, -1).x + 40, 1);
  });
});

describe('the end of a line that lies a little off another', () => {
  const lift = (mm: number) =>
    put(chineOnStem(), 'chine', (line) => ({
      ...line,
      points: line.points.map((p, i) => (i === 0 ? { ...p, x: p.x + mm, halfBreadth: mm } : p)),
    }));
  const said = (table: LinesTable) => bendLines(table).findings.map(({ code, severity }) => `${code} ${severity}`);
  it('is set on it where it is within 3 mm, so that both panels end in one point', () => {
    expect(said(lift(0.3))).toEqual(['line-runs-out note']);
    expect(said(lift(1.6))).toEqual(['line-set-on-line note']);
    const [bottom] = panelsOf(lift(1.6));
    expect(distance3(at(bottom.rulings, 0).p, at(bottom.rulings, 0).q)).toBeLessThan(1e-6);
  });
  it('is asked about from there to 25 mm, with its end on the other line as the remedy', () => {
    const table = lift(9);
    expect(said(table)).toEqual(['line-stops-short check']);
    const [remedy] = bendLines(table).findings[0]?.remedies ?? [];
    const cured = put(table, 'chine', (line) => ({
      ...line,
      points: line.points.map((p, i) =>
        i === 0 ? { ...p, ...Object.fromEntries((remedy?.edits ?? []).map(({ path, value }) => [path[5], value])) } : p,
      ),
    }));
    expect(said(cured)).toEqual(['line-runs-out note']);
    expect(said(lift(60))).toEqual([]);
  });
});

describe('a remedy where a chine runs out', () => {
  // the keel pushed up amidships, so that the bottom twists
  const push = (i: number) => 50 * Math.exp(-(((i - 16) / 3) ** 2));
  const table = put(chineOnStem(), 'keel', (line) => ({
    ...line,
    points: line.points.map((p, i) => (i % 28 === 0 ? p : { ...p, height: p.height + push(i) })),
  }));
  const worst = panelsOf(table).find((panel) => needsRemedy(standingOf(panel)));
  it('is what the panel really does, with the end still on the other line', () => {
    const remedies = findRemedies(table, worst?.id ?? '').filter(({ kind }) => kind === 'move');
    expect(new Set(remedies.map(({ line }) => line))).toEqual(new Set(['chine', 'keel']));
    for (const remedy of remedies) {
      const cured = { longitudinals: [...remedy.lines] };
      expect(panelsOf(cured).map(alongOf)).toEqual(panelsOf(table).map(alongOf));
      const panel = panelsOf(cured).find(({ id }) => id === worst?.id) as Panel;
      expect(standingOf(panel)).toEqual(remedy.after);
      expect(needsRemedy(standingOf(panel))).toBe(false);
    }
  });
});
