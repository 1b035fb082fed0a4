import { describe, expect, it } from 'vitest';
import { planeOf } from '../../frames';
import { at, random } from '../../geometry';
import { drawLines } from '../../lines';
import { createDerive, DEMO_IDS, demoProject, type Project } from '../../project';
import { assembleSkin } from '../develop';
import { drawnHull } from '../fixtures/drawn-hulls';
import { tableOf } from '../fixtures/exact-shapes';
import { PANEL_DEFAULTS, type Accuracy } from '../schema';
import { skinAsked } from '../skin';
import { foretell, mostOf, spreadOf, worstWithin, type ForetoldSeam, type GapsPart, type Spread } from './foretell';
import { gapsOfBoat } from './ask';
import { fitter } from './fitted';
import { framesOff, gapsWhere } from './frames-off';
import { changed, halve } from './halve';
import { below, NINETEEN, normals, sizeWithin } from './normal';
import { disagreement, simulate } from './simulate';

const derive = createDerive();
const worstOf = (seams: readonly ForetoldSeam[]): number => Math.max(0, ...seams.map(mostOf));
const PERFECT: Accuracy = { marks: 0, rule: 0, cut: 0, planed: 150, thickness: 0, framesOff: 0 };
const PART: GapsPart = { ...PANEL_DEFAULTS, markingStep: 200 };

/** A box without ends: a bottom and two upright sides, `long` by 2·`half` by `high`. */
const LONG = 2000;
const box = (() => {
  const edges = [(w: number) => [LONG * w, 400, 0] as const, (w: number) => [LONG * w, 400, 300] as const];
  const hull = drawLines(tableOf(edges)).value;
  const project = demoProject('tamsel', 'x');
  const { settings, stock } = skinAsked({ ...project.panels, ...PANEL_DEFAULTS }, project);
  return assembleSkin(hull, settings, stock).value.panels;
})();

const boxTold = (part: Partial<GapsPart>) => {
  const whole = { ...PART, ...part };
  const spread = spreadOf(box, whole, []);
  return { spread, seams: foretell(spread, whole.accuracy), accuracy: whole.accuracy };
};

describe('a straight-edged box, worked by hand', () => {
  it('has a seam to each hand, and no gap from one who makes no errors', () => {
    const { seams } = boxTold({ accuracy: PERFECT });
    expect(seams.map(({ hand }) => hand).sort()).toEqual(['port', 'starboard']);
    expect(worstOf(seams)).toBeLessThan(1e-6);
  });

  it('closes by moving the sheets where every edge has two nails, however far these are off', () => {
    const { seams } = boxTold({ markingStep: 5000, markingStray: 0, accuracy: { ...PERFECT, marks: 3 } });
    expect(worstOf(seams)).toBeLessThan(1e-6);
  });

  it('with three nails an edge, gapes as the parabola through them less its best straight line does', () => {
    const marks = 0.8;
    const { seams, spread } = boxTold({ markingStep: LONG / 2, markingStray: 0, accuracy: { ...PERFECT, marks } });
    expect(spread.errors.pieces.every(({ nails }) => nails.length === 3)).toBe(true);
    // by hand: the middle nail’s second difference has a deviation of √6 s; the parabola is half of it times x², the
    // best line takes a third; two edges
    const s = marks / NINETEEN;
    for (const { places } of seams)
      for (const { along, deviation, middle } of places) {
        const x = (2 * along) / LONG - 1;
        // the line of the places looked at, of which there are 51, not of the whole: a third and a little
        const third = places.reduce((sum, place) => sum + ((2 * place.along) / LONG - 1) ** 2, 0) / places.length;
        expect(deviation).toBeCloseTo((Math.sqrt(12) / 2) * s * Math.abs(x * x - third), 6);
        expect(middle).toBeCloseTo(0, 9);
      }
  });

  it('away from its ends, planed alone, is off by the root of two edges', () => {
    const cut = 0.6;
    const { seams } = boxTold({ accuracy: { ...PERFECT, cut, planed: 50 } });
    const s = (Math.SQRT2 * cut) / NINETEEN;
    for (const { places } of seams)
      for (const { deviation } of places.slice(8, -8)) {
        expect(deviation).toBeLessThan(s * 1.0001);
        expect(deviation).toBeGreaterThan(s * 0.93); // what a line of forty such errors takes up
      }
  });

  it('knows what the rule makes of its figures: halves of a millimetre, the same on both hands', () => {
    const whole = { accuracy: { ...PERFECT, rule: 1 } };
    const { seams, spread, accuracy } = boxTold(whole);
    const once = simulate(spread, accuracy, { builds: 20, seed: 3 });
    seams.forEach(({ places }, k) =>
      places.forEach((place, i) => {
        expect(place.deviation).toBe(0);
        expect(at(at(once, k).places, i).nineteen).toBeCloseTo(Math.abs(place.middle), 9);
      }),
    );
  });

  it('laps: a thicker sheet is short by what it is thicker, at a right angle', () => {
    const { spread } = boxTold({ meeting: 'lapped' });
    const columns = spread.errors.chance.filter(({ source }) => source === 'thickness');
    expect(columns.length).toBeGreaterThan(0);
    for (const { gaps } of columns) for (const mm of gaps) expect([0, 1]).toContain(Math.round(mm * 1e6) / 1e6);
    expect(boxTold({}).spread.errors.chance.some(({ source }) => source === 'thickness')).toBe(false);
  });
});

type Boat = { readonly project: Project; readonly spread: Spread; readonly known: ReturnType<typeof framesOff> };
const boatOf = (project: Project): Boat & { readonly panels: Parameters<typeof spreadOf>[0] } => {
  const { lines, panels, frames } = derive(project);
  const held = {
    ...{ hull: lines.value, ...skinAsked(project.panels, project) },
    frames: frames.value.frames.map((frame) => ({ id: frame.id, plane: planeOf(frame) })),
  };
  const own = panels.value.panels;
  const bare = spreadOf(own, project.panels, []);
  const known = framesOff(bare.facings, held);
  return { project, panels: own, known, spread: spreadOf(own, project.panels, known) };
};

describe('foretelling and building by chance', () => {
  it.each(DEMO_IDS.filter((id) => id !== 'orrin'))('agree within a tenth on %s', (id) => {
    const { project, spread } = boatOf(demoProject(id, 'x'));
    const { accuracy } = project.panels;
    const told = foretell(spread, accuracy);
    expect(worstWithin(spread, accuracy)).toBe(worstOf(told));
    const built = simulate(spread, accuracy, { builds: 800, seed: 5 });
    expect(disagreement(told, built)).toBeLessThan(0.1);
    told.forEach(({ places }, k) => {
      const of = (which: 'half' | 'nineteen') =>
        places.reduce((sum, place, i) => sum + at(at(built, k).places, i)[which] / place[which], 0) / places.length;
      expect(of('nineteen')).toBeGreaterThan(0.9);
      expect(of('nineteen')).toBeLessThan(1.1);
      expect(of('half')).toBeGreaterThan(0.9);
      expect(of('half')).toBeLessThan(1.1);
    });
  });

  it('are the same for the same seed, and others for another', () => {
    const { project, spread } = boatOf(demoProject('tamsel', 'x'));
    const build = (seed: number) => simulate(spread, project.panels.accuracy, { builds: 30, seed });
    expect(build(2)).toEqual(build(2));
    expect(build(2)).not.toEqual(build(3));
  });

  it('tell of a boat all of whose edges are left on that none meet', () => {
    const project = demoProject('tamsel', 'x');
    const proud = { ...project.panels.proud, lower: 10, upper: 10 };
    const left = { ...project, panels: { ...project.panels, proud } };
    const { lines, panels } = derive(left);
    const boat = { project: left, hull: lines.value, value: panels.value, frames: [] };
    const gaps = gapsOfBoat(boat, { builds: 20, seed: 1 });
    expect([gaps.seams, gaps.worst, gaps.hint]).toEqual([[], undefined, undefined]);
  });
});

describe('what frames off their places do', () => {
  it('adds up to what the hull lacks with all of them off at once, developed anew', () => {
    const project = demoProject('tamsel', 'x');
    const { lines, frames } = derive(project);
    const { spread, known } = boatOf(project);
    const held = {
      ...{ hull: lines.value, ...skinAsked(project.panels, project) },
      frames: frames.value.frames.map((frame) => ({ id: frame.id, plane: planeOf(frame) })),
    };
    const fit = fitter(spread.facings);
    for (const seed of [9, 10]) {
      const draw = normals(random(seed));
      const offs = new Map(held.frames.map(({ id }) => [id, [draw(), draw(), draw()] as const]));
      const all = fit(gapsWhere(spread.facings, held, offs));
      const sum = fit(
        Float64Array.from(spread.facings.places, (_, row) =>
          known.reduce((total, { frame, motion, gaps }) => {
            const [x, y, z] = offs.get(frame) ?? [0, 0, 0];
            return total + { along: x, aside: y, up: z }[motion] * (gaps[row] ?? 0);
          }, 0),
        ),
      );
      const most = Math.max(...all.map(Math.abs));
      expect(most).toBeGreaterThan(0.1);
      all.forEach((mm, row) => expect(Math.abs(mm - (sum[row] ?? 0))).toBeLessThan(0.1 * most));
    }
  });
});

describe('what would halve it', () => {
  it('does, built by chance, in nine of ten hulls of which it says so', () => {
    const next = random(41);
    let [said, kept] = [0, 0];
    for (let seed = 1; seed <= 14; seed++) {
      const hull = drawLines(drawnHull(seed).table).value;
      const between = (a: number, b: number) => a + (b - a) * next();
      const project = demoProject('tamsel', 'x');
      const accuracy = {
        ...{ marks: between(0.1, 2), rule: between(0.3, 2), cut: between(0.1, 2) },
        ...{ planed: 150, thickness: 0.3, framesOff: 0 },
      };
      const panelsPart = { ...project.panels, markingStep: between(150, 900), markingStray: 0, accuracy };
      const { settings, stock } = skinAsked(panelsPart, { ...project, frames: { ...project.frames, members: [] } });
      const { panels } = assembleSkin(hull, settings, stock).value;
      const now = { spread: spreadOf(panels, panelsPart, []), known: [] };
      const hint = halve(panels, panelsPart, now);
      if (!hint?.halves) continue;
      said++;
      const widest = (spread: Spread, own: Accuracy) =>
        Math.max(
          ...simulate(spread, own, { builds: 300, seed }).map(({ places }) =>
            Math.max(...places.map(({ nineteen }) => nineteen)),
          ),
        );
      const then = changed(panelsPart, hint.changes);
      const left = widest(spreadOf(panels, then, []), then.accuracy) / widest(now.spread, accuracy);
      if (left <= 0.53) kept++; // the worst of hundreds of quantiles of 300 builds is uncertain by so much
    }
    expect(said).toBeGreaterThanOrEqual(6);
    expect(kept).toBeGreaterThanOrEqual(0.9 * said);
  });

  it('is closer marks where it is the batten that strays, and says where', () => {
    const hull = drawLines(drawnHull(3).table).value;
    const project = demoProject('tamsel', 'x');
    const part = { ...project.panels, markingStep: 1000, markingStray: 0 };
    const { settings, stock } = skinAsked(part, project);
    const { panels } = assembleSkin(hull, settings, stock).value;
    const hint = halve(panels, part, { spread: spreadOf(panels, part, []), known: [] });
    expect(hint?.changes.map(({ what }) => what)).toContain('stray');
  });
});

describe('the normal distribution', () => {
  it('has its table’s figures, within what is folded over nought', () => {
    expect(below(0)).toBeCloseTo(0.5, 6);
    expect(below(1)).toBeCloseTo(0.8413447, 6);
    expect(below(-1.959964)).toBeCloseTo(0.025, 6);
    expect(sizeWithin(0.95, 0, 1)).toBeCloseTo(NINETEEN, 5);
    expect(sizeWithin(0.5, 0, 2)).toBeCloseTo(2 * 0.6744898, 5);
    expect(sizeWithin(0.95, -100, 1)).toBeCloseTo(101.6449, 3); // one tail of it
    expect(sizeWithin(0.95, -3, 0)).toBe(3);
  });
  it('is drawn with its middle and its deviation', () => {
    const draw = normals(random(1));
    const all = Array.from({ length: 20_000 }, draw);
    const mean = all.reduce((sum, x) => sum + x, 0) / all.length;
    const spread = all.reduce((sum, x) => sum + x * x, 0) / all.length;
    expect(Math.abs(mean)).toBeLessThan(0.02);
    expect(Math.abs(spread - 1)).toBeLessThan(0.03);
  });
});
