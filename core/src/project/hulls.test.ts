/** Hulls of all sorts, good and bad, drawn by chance from a seed: whatever comes in, an answer comes out. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { crossesItself, moved } from '../geometry';
import { sentence } from './sentences';
import { type LinesTable, type Longitudinal, bendLines, linesOf } from '../lines';
import { faultsOf, nest } from '../sheets';
import { developPanels, panelsStage, seamsOf, sharedStretches } from '../panels';
import { demoProject } from './demos/index';
import { allFindings, createDerive } from './derive';
import { CHAIN } from './document';
import type { Derived } from './chain';

const base = demoProject('tamsel', 'x');
const derive = (lines: LinesTable): Derived => createDerive()({ ...base, lines: linesOf(lines.longitudinals) });

/** No further than the panels, where nothing else is asked. */
const upToPanels = CHAIN.slice(0, 1 + CHAIN.findIndex(({ name }) => name === panelsStage.name));
const skinOf = (lines: LinesTable) =>
  createDerive(upToPanels)({ ...base, lines: linesOf(lines.longitudinals) }).panels.value.panels;

/** A plausible hull: lengths, breadths, heights, rocker and flare within what gets built. */
const plausible = fc
  .record({
    length: fc.integer({ min: 2200, max: 6000 }),
    beam: fc.integer({ min: 350, max: 800 }),
    depth: fc.integer({ min: 280, max: 600 }),
    rocker: fc.integer({ min: 0, max: 160 }),
    flare: fc.double({ min: 0.05, max: 0.5, noNaN: true }),
    deadrise: fc.double({ min: 0, max: 0.3, noNaN: true }),
    fullness: fc.double({ min: 1.4, max: 2.6, noNaN: true }),
    stations: fc.integer({ min: 5, max: 11 }),
  })
  .map(({ length, beam, depth, rocker, flare, deadrise, fullness, stations }): LinesTable => {
    const points = (f: (w: number) => readonly [number, number]) =>
      Array.from({ length: stations }, (_, i) => {
        const w = i / (stations - 1);
        const [halfBreadth, height] = f(w);
        return { station: String(i), x: w * length, halfBreadth, height };
      });
    const breadth = (w: number) => beam * (1 - (1 - w) ** fullness) * (1 - 0.12 * w) + 8;
    const bottom = (w: number) => rocker * (1.6 * w - 1) ** 2 + 60;
    return {
      longitudinals: [
        { id: 'keel', name: 'Keel', points: points((w) => [0, bottom(w)]) },
        { id: 'chine', name: 'Chine', points: points((w) => [breadth(w), bottom(w) + deadrise * breadth(w)]) },
        {
          id: 'sheer',
          name: 'Sheer',
          points: points((w) => [breadth(w) + flare * depth * (0.4 + 0.6 * w), bottom(w) + depth + 120 * (1 - w) ** 2]),
        },
      ],
    };
  });

const figure = fc.oneof(fc.double({ min: -3000, max: 6000, noNaN: true }), fc.constantFrom(0, 600, 1200));
const wild = fc
  .array(fc.array(fc.tuple(figure, figure, figure), { maxLength: 9 }), { maxLength: 5 })
  .map((lines): LinesTable => ({
    longitudinals: lines.map((points, k) => ({
      id: `line${k}`,
      name: `Line ${k}`,
      points: points.map(([x, halfBreadth, height], i) => ({
        station: i % 2 ? String(i) : '',
        x,
        halfBreadth,
        height,
        isKnuckle: i === 3,
      })),
    })),
  }));

/** A plausible hull whose chine begins on the keel or the sheer, or ends on the sheer. */
const runningOut = fc
  .tuple(
    plausible,
    fc.constantFrom('keel fore', 'sheer fore', 'sheer aft'),
    fc.double({ min: 0.15, max: 0.5, noNaN: true }),
  )
  .map(([lines, where, share]) => {
    const [keel, chine, sheer] = lines.longitudinals as [Longitudinal, Longitudinal, Longitudinal];
    const other = where === 'keel fore' ? keel : sheer;
    const last = chine.points.length - 1;
    const k = Math.min(last - 1, Math.max(1, Math.round(share * last)));
    const end = other.points[where === 'sheer aft' ? last - k : k];
    const left = where === 'sheer aft' ? chine.points.slice(0, last - k) : chine.points.slice(k + 1);
    // eased to the other line, as a builder would draw it
    const eased = left.map((p) => {
      const near = end
        ? Math.max(
            0,
            1 - Math.abs(p.x - end.x) / (0.6 * Math.abs((keel.points[last]?.x ?? 0) - (keel.points[0]?.x ?? 0))),
          ) ** 2
        : 0;
      const there = other.points.find((q) => q.x === p.x);
      const mix = (a: number, b: number) => a + 0.9 * near * (b - a);
      return there
        ? { ...p, halfBreadth: mix(p.halfBreadth, there.halfBreadth), height: mix(p.height, there.height) }
        : p;
    });
    const points = end ? (where === 'sheer aft' ? [...eased, end] : [end, ...eased]) : left;
    return { where, lines: { longitudinals: [keel, { ...chine, points }, sheer] } };
  });

/** As wild, with ends of lines put on points of others. */
const knotted = fc
  .tuple(wild, fc.array(fc.tuple(fc.nat(4), fc.nat(4), fc.nat(8), fc.boolean()), { minLength: 1, maxLength: 4 }))
  .map(([{ longitudinals }, knots]): LinesTable => {
    const lines = longitudinals.map((line) => ({ ...line, points: [...line.points] }));
    for (const [own, other, k, isFore] of knots) {
      const point = lines[other]?.points[k];
      const points = lines[own]?.points;
      if (point && points?.length) points[isFore ? 0 : points.length - 1] = point;
    }
    return { longitudinals: lines };
  });

const text = (derived: Derived): string =>
  allFindings(derived)
    .map((finding) => sentence(finding, 'mm'))
    .join(' ');

describe('plausible hulls', () => {
  it('develop without crossing rulings or outlines, areas and mating edges agreeing (seed 12)', () => {
    fc.assert(
      fc.property(plausible, (lines) => {
        const { value: panels } = developPanels(bendLines(lines).value, { thickness: 6 });
        expect(panels).toHaveLength(2);
        for (const cut of skinOf(lines)) expect(crossesItself(cut.outline)).toBe(false);
        for (const panel of panels) {
          expect(crossesItself(panel.outline)).toBe(false);
          panel.rulings.slice(1).forEach((ruling, i) => {
            const before = panel.rulings[i];
            expect(before && ruling.s >= before.s && ruling.t >= before.t).toBe(true);
          });
          // without strain the flat has the area of the space; with some it may differ by about so much
          expect(Math.abs(panel.areaM2 / panel.spaceAreaM2 - 1)).toBeLessThan(1e-4 + panel.maxStrain.value);
        }
        expect(Math.abs((panels[0]?.edges[1].length ?? 0) - (panels[1]?.edges[0].length ?? 0))).toBeLessThan(0.01);
      }),
      { seed: 12, numRuns: 60 },
    );
  });

  it('stay the same boat when moved aft or drawn from another base line (seed 13)', () => {
    fc.assert(
      fc.property(plausible, (lines) => {
        const shifted = {
          longitudinals: lines.longitudinals.map((line) => ({
            ...line,
            points: line.points.map((p) => ({ ...p, x: p.x + 500, height: p.height - 90 })),
          })),
        };
        const [one, two] = [skinOf(lines), skinOf(shifted)];
        one.forEach((panel, k) => {
          expect(Math.abs(panel.areaM2 - (two[k]?.areaM2 ?? 0))).toBeLessThan(1e-6);
          expect(panel.edges.map((edge) => edge.length.toFixed(4))).toEqual(
            two[k]?.edges.map((edge) => edge.length.toFixed(4)),
          );
        });
      }),
      { seed: 13, numRuns: 15 },
    );
  });

  it('come off the sheets as valid layouts (seed 14)', () => {
    fc.assert(
      fc.property(plausible, (lines) => {
        for (const { job } of derive(lines).sheets.value.batches)
          expect(faultsOf(job, nest(job, { seed: 1, rounds: 1 }))).toEqual([]);
      }),
      { seed: 14, numRuns: 6 },
    );
  });
});

describe('plausible hulls whose chine runs out on another line', () => {
  it('have panels that go on along that, closing on one another (seed 18)', () => {
    fc.assert(
      fc.property(runningOut, ({ where, lines }) => {
        const { value: panels } = developPanels(bendLines(lines).value, { thickness: 6 });
        expect(panels).toHaveLength(2);
        expect(panels[where === 'keel fore' ? 1 : 0]?.stretches[where === 'keel fore' ? 0 : 1]).toHaveLength(2);
        for (const panel of [...panels, ...derive(lines).panels.value.panels]) {
          expect(crossesItself(panel.outline)).toBe(false);
          panel.rulings.slice(1).forEach((ruling, i) => {
            const before = panel.rulings[i];
            expect(before && ruling.s >= before.s && ruling.t >= before.t).toBe(true);
          });
        }
        for (const { lengths, difference } of seamsOf(panels)) {
          expect(Math.min(...lengths)).toBeGreaterThan(500);
          // panels that keep a twist lie a little off their edges
          expect(Math.abs(difference)).toBeLessThan(0.01 + 0.005 * Math.max(...panels.map((p) => p.maxTwist.value)));
        }
        const keel = sharedStretches(panels).filter(({ line }) => line === 'keel');
        expect(keel.reduce((sum, { from, to }) => sum + to - from, 0)).toBeCloseTo(1, 6);
      }),
      { seed: 18, numRuns: 40 },
    );
  });
});

describe('hulls that are none', () => {
  it('never throw with their lines in a knot (seed 17)', () => {
    fc.assert(
      fc.property(knotted, (lines) => {
        expect(text(derive(lines))).not.toMatch(/NaN|undefined|Infinity/);
      }),
      { seed: 17, numRuns: 120 },
    );
  });
  it('never throw, and whatever is said is a sentence (seed 15)', () => {
    fc.assert(
      fc.property(wild, (lines) => {
        const said = text(derive(lines));
        expect(said).not.toMatch(/NaN|undefined|Infinity/);
      }),
      { seed: 15, numRuns: 120 },
    );
  });
  it('leave their drawings measurable: no figure that is not one in any outline', () => {
    fc.assert(
      fc.property(wild, (lines) => {
        const { parts } = derive(lines).sheets.value;
        for (const part of parts)
          for (const [x, y] of moved(part.outline, 1, 1)) expect(Number.isFinite(x + y)).toBe(true);
      }),
      { seed: 16, numRuns: 60 },
    );
  });
});
