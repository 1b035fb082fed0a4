import { describe, expect, it } from 'vitest';
import { drawLines, type LinesTable } from '../lines';
import { developPanels } from '../panels';
import { findTransoms } from '../panels/transom/transom';
import { epoxyConstants } from '.';
import { filletArea } from './seams';
import { takeOff } from './takeoff';
import { epoxyAtFirst, type EpoxyPart } from './schema';

const part: EpoxyPart = {
  ...epoxyAtFirst({}, 'mm'),
  filletBy: 'radius',
  filletRadius: 20,
  tapeWidth: 100,
  tapeLayersInside: 1,
  tapeLayersOutside: 1,
  tapeWeight: 300,
  sheathingWeight: 200,
  sheathe: 'bottom',
  sheatheTo: null,
  sealingCoats: 2,
  waste: 0.2,
  fillerShare: 0.25,
};

describe('filletArea', () => {
  it('in a right angle is the square less the quarter circle', () => {
    expect(filletArea(20, Math.PI / 2)).toBeCloseTo(400 - (Math.PI * 400) / 4, 9);
  });
  it('goes to nought as the angle opens, and never below', () => {
    expect(filletArea(20, Math.PI - 1e-6)).toBeLessThan(1e-9);
    expect(filletArea(20, Math.PI)).toBe(0);
  });
});

describe('the take-off of a box', () => {
  // A punt 2 m long, 1 m wide, upright sides 0.3 m high, square ends: every quantity can be done in the head.
  const box: LinesTable = {
    longitudinals: [
      ['chine', 0],
      ['sheer', 300],
    ].map(([id, height]) => ({
      id: String(id),
      name: String(id),
      points: [0, 500, 1000, 1500, 2000].map((x) => ({
        station: String(x),
        x,
        halfBreadth: 500,
        height: Number(height),
      })),
    })),
  };
  const hull = drawLines(box).value;
  const panels = developPanels(hull, { thickness: 6 }).value;
  const { transoms } = findTransoms(hull);
  const taken = takeOff({
    lines: hull.lines,
    panels,
    transoms,
    frames: [],
    girders: [],
    inside: [],
    members: [],
    runs: [],
    scarfs: [],
    jointed: [],
    school: 'filleted',
    part,
  });
  const { value } = taken;
  const of = (group: string, item: string) => value.lines.find((line) => line.group === group && line.item === item);

  it('finds both chines and both ends, at their lengths and angles', () => {
    const chine = value.seams.find((seam) => seam.id === 'chine');
    expect(chine?.length).toBeCloseTo(4000, 6);
    expect(chine?.angleDeg).toBeCloseTo(90, 6);
    expect(value.seams.filter(({ kind }) => kind === 'transom').map((s) => s.length)).toEqual([1600, 1600]);
  });
  it('counts the fillet: 4 m of 85.8 mm² at 1.1 g/ml, a quarter of it filler', () => {
    const mass = ((400 - 100 * Math.PI) * 4000 * 1.1) / 1000;
    expect(of('fillets', 'Bottom to side')?.resin).toBeCloseTo(mass * 0.75, 6);
    expect(of('fillets', 'Bottom to side')?.filler).toBeCloseTo(mass * 0.25, 6);
  });
  it('counts tapes, sheathing and sealing from their areas', () => {
    const tapes = value.lines.filter(({ group, item }) => group === 'tapes' && item === 'Bottom to side');
    expect(tapes.map(({ clothM2 }) => Number(clothM2.toFixed(6)))).toEqual([0.4, 0.4]); // inside and outside
    expect(of('sheathing', 'Bottom')?.resin).toBeCloseTo(2 * (200 + 200), 6);
    expect(of('sealing', 'Bottom')?.resin).toBeCloseTo(4 * 230, 6);
    expect(of('sealing', 'Side')?.resin).toBeCloseTo(2 * 2 * 0.6 * 230, 6);
  });
  it('sheathes the bottom whatever it is cut into, and says what is left bare', () => {
    const split = { id: 'chine-chine', fore: 0.5, middle: 0.5, aft: 0.5 };
    const halves = developPanels(hull, { thickness: 6, splits: [split] }).value;
    expect(halves.map(({ partOf }) => partOf?.part)).toEqual(['half', undefined]);
    const { lines } = hull;
    const cut = takeOff({
      lines,
      panels: halves,
      transoms,
      frames: [],
      girders: [],
      inside: [],
      members: [],
      runs: [],
      scarfs: [],
      jointed: [],
      school: 'filleted',
      part,
    });
    const sheathed = cut.value.lines.filter(({ group }) => group === 'sheathing');
    expect(sheathed.reduce((sum, { clothM2 }) => sum + clothM2, 0)).toBeCloseTo(2, 6);
    expect(cut.findings[1]).toMatchObject({ code: 'sheathed-up-to', data: { line: 'chine', bare: 'side' } });
  });
  it('adds waste as a share of what is mixed, and sums to the total', () => {
    expect(value.resin).toBeCloseTo(
      value.lines.reduce((sum, line) => sum + line.resin, 0),
      9,
    );
    expect(value.resinWithWaste).toBeCloseTo(value.resin / 0.8, 9);
  });
  it('says the cautions once', () => {
    expect(taken.findings.filter(({ code }) => code === 'epoxy-safety')).toHaveLength(1);
  });
});

describe('the take-off of a sharp-ended punt of several chines', () => {
  // A wedge: every line from the upright stem at x = 0, its half-breadth 0.3, 0.35 and 0.4 of the length, at a height
  // of 0, 150 and 400 all along. Side strakes end on their mirrors along the stem.
  const wedge: LinesTable = {
    longitudinals: [
      ['chine', 0.3, 0],
      ['upper', 0.35, 150],
      ['sheer', 0.4, 400],
    ].map(([id, slope, height]) => ({
      id: String(id),
      name: String(id),
      points: [0, 500, 1000, 1500, 2000].map((x) => ({
        station: String(x),
        x,
        halfBreadth: Number(slope) * x,
        height: Number(height),
      })),
    })),
  };
  const hull = drawLines(wedge).value;
  const panels = developPanels(hull, { thickness: 4 }).value;
  const none = {
    transoms: [],
    frames: [],
    girders: [],
    inside: [],
    members: [],
    runs: [],
    scarfs: [],
    jointed: [],
    school: 'filleted' as const,
  };
  const taken = (own: Partial<EpoxyPart>) => takeOff({ lines: hull.lines, panels, ...none, part: { ...part, ...own } });

  it('fillets and tapes the stem, once, by its own length', () => {
    const { seams, lines } = taken({}).value;
    const stem = seams.filter(({ name }) => name.startsWith('Stem'));
    expect(stem.map(({ length }) => Number(length.toFixed(6)))).toEqual([150, 250]);
    const on = (group: string) => lines.filter((line) => line.group === group && line.item.startsWith('Stem'));
    expect(on('fillets')).toHaveLength(2);
    expect(on('tapes').reduce((sum, { tapeM }) => sum + tapeM, 0)).toBeCloseTo(0.4 * 2, 9);
  });
  it('meets there at the angle between the two sides: by their slopes in plan, at its foot or its head', () => {
    const angles = taken({})
      .value.seams.filter(({ name }) => name.startsWith('Stem'))
      .map(({ angleDeg }) => angleDeg);
    const at = (slope: number) => (2 * Math.atan(slope) * 180) / Math.PI;
    expect(angles[0]).toBeGreaterThan(at(0.3) - 1e-6);
    expect(angles[0]).toBeLessThan(at(0.35) + 1e-6);
    expect(angles[1]).toBeGreaterThan(at(0.35) - 1e-6);
    expect(angles[1]).toBeLessThan(at(0.4) + 1e-6);
  });
  it('sheathes up to the chine that was chosen, to the uppermost unless told', () => {
    const clothOf = (own: Partial<EpoxyPart>) =>
      taken(own)
        .value.lines.filter(({ group }) => group === 'sheathing')
        .reduce((sum, { clothM2 }) => sum + clothM2, 0);
    const areas = panels.map(({ areaM2, spansCentreline }) => areaM2 * (spansCentreline ? 1 : 2));
    expect(areas[0]).toBeCloseTo(0.5 * 2 * 1.2, 6); // a triangle 2 m long, 1.2 m wide
    expect(clothOf({})).toBeCloseTo(areas[0]! + areas[1]!, 9);
    expect(clothOf({ sheatheTo: 'chine' })).toBeCloseTo(areas[0]!, 9);
    expect(clothOf({ sheathe: 'all' })).toBeCloseTo(
      areas.reduce((sum, m2) => sum + m2, 0),
      9,
    );
    expect(clothOf({ sheatheTo: 'a chine that is gone' })).toBeCloseTo(areas[0]! + areas[1]!, 9);
  });
});

it('every rate has a unit and a source', () => {
  for (const [name, entry] of Object.entries(epoxyConstants))
    expect([name, entry.unit && entry.source && entry.note]).not.toContain('');
});
