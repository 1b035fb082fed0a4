import { describe, expect, it } from 'vitest';
import { drawLines, type LinesTable } from '../lines';
import { developPanels } from '../panels';
import { findTransoms } from '../panels/transom/transom';
import { epoxyConstants } from '.';
import { filletArea, takeOff } from './takeoff';
import type { EpoxyPart } from './schema';

const part: EpoxyPart = {
  filletRadius: 20,
  tapeWidth: 100,
  tapeLayersInside: 1,
  tapeLayersOutside: 1,
  tapeWeight: 300,
  sheathingWeight: 200,
  sheathe: 'bottom',
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
  const { value } = takeOff({
    panels,
    transoms,
    frames: [],
    jointed: [],
    school: 'filleted',
    part,
  });
  const of = (group: string, item: string) => value.lines.find((line) => line.group === group && line.item === item);

  it('finds both chines and both ends, at their lengths and angles', () => {
    const chine = value.seams.find((seam) => seam.id === 'chine');
    expect(chine?.length).toBeCloseTo(4000, 6);
    expect(chine?.angleDeg).toBeCloseTo(90, 6);
    expect(value.seams.filter((seam) => seam.id.includes('transom')).map((s) => s.length)).toEqual([1600, 1600]);
  });
  it('counts the fillet: 4 m of 85.8 mm² at 1.1 g/ml, a quarter of it filler', () => {
    const mass = ((400 - 100 * Math.PI) * 4000 * 1.1) / 1000;
    expect(of('fillets', 'Bottom to side')?.resin).toBeCloseTo(mass * 0.75, 6);
    expect(of('fillets', 'Bottom to side')?.filler).toBeCloseTo(mass * 0.25, 6);
  });
  it('counts tapes, sheathing and sealing from their areas', () => {
    expect(of('tapes', 'Bottom to side')?.clothM2).toBeCloseTo(4 * 2 * 0.1, 6);
    expect(of('sheathing', 'Bottom')?.resin).toBeCloseTo(2 * (200 + 200), 6);
    expect(of('sealing', 'Bottom')?.resin).toBeCloseTo(4 * 230, 6);
    expect(of('sealing', 'Side')?.resin).toBeCloseTo(2 * 2 * 0.6 * 230, 6);
  });
  it('adds waste as a share of what is mixed, and sums to the total', () => {
    expect(value.resin).toBeCloseTo(
      value.lines.reduce((sum, line) => sum + line.resin, 0),
      9,
    );
    expect(value.resinWithWaste).toBeCloseTo(value.resin / 0.8, 9);
  });
  it('says the cautions once', () => {
    expect(takeOff({ panels, transoms, frames: [], jointed: [], school: 'framed', part }).findings).toHaveLength(1);
  });
});

it('every rate has a unit and a source', () => {
  for (const [name, entry] of Object.entries(epoxyConstants))
    expect([name, entry.unit && entry.source && entry.note]).not.toContain('');
});
