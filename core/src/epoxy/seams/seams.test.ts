import { describe, expect, it } from 'vitest';
import { drawLines, type LinesTable } from '../../lines';
import { developPanels, type Panel } from '../../panels';
import { toDeg, toRad } from '../../measure';
import { epoxyAtFirst, type EpoxyPart, type SeamPlan } from '../schema';
import { takeOff } from '../takeoff';
import { filletArea, filletIn, findSeams, scheduleOf, tapeWidths } from '.';

type Line = readonly [id: string, at: (t: number) => readonly [x: number, halfBreadth: number, height: number]];

const tableOf = (lines: readonly Line[]): LinesTable => ({
  longitudinals: lines.map(([id, at]) => ({
    ...{ id, name: id },
    points: Array.from({ length: 13 }, (_, k) => {
      const [x, halfBreadth, height] = at(k / 12);
      return { station: String(k), x, halfBreadth, height };
    }),
  })),
});
const bare = { transoms: [], frames: [], girders: [], inside: [], school: 'filleted' } as const;
const usual = epoxyAtFirst({}, 'mm');
const none = { members: [], runs: [], scarfs: [], jointed: [] };

/** A V bottom that rises 200 in 400, sides that flare 100 in 300, 2 m long. */
const prism = drawLines(
  tableOf([
    ['keel', (t) => [2000 * t, 0, 0]],
    ['chine', (t) => [2000 * t, 400, 200]],
    ['sheer', (t) => [2000 * t, 500, 500]],
  ]),
).value;
const keelRad = 2 * Math.atan(400 / 200);
const chineRad = Math.PI - (Math.atan(300 / 100) - Math.atan(200 / 400));

const resinOf = (panels: readonly Panel[], part: Partial<EpoxyPart>) =>
  takeOff({ ...bare, ...none, panels, lines: prism.lines, part: { ...usual, waste: 0, ...part } });
const fillets = (panels: readonly Panel[], part: Partial<EpoxyPart>) =>
  resinOf(panels, part)
    .value.lines.filter(({ group }) => group === 'fillets')
    .map(({ resin, filler }) => resin + filler);

describe('a prism', () => {
  const panels = developPanels(prism, { thickness: 6 }).value;
  it('has its angles and lengths all along', () => {
    const seams = findSeams({ ...bare, panels });
    expect(seams.map(({ kind, length }) => [kind, Number(length.toFixed(6))])).toEqual([
      ['keel', 2000],
      ['chine', 4000],
    ]);
    for (const [k, rad] of [keelRad, chineRad].entries())
      for (const { angleRad } of seams[k]!.stretches) expect(angleRad).toBeCloseTo(rad, 9);
  });
  it('takes the fillets of hand calculation: section × length × 1.1 g/ml', () => {
    const [keel, chine] = fillets(panels, { filletBy: 'radius' });
    expect(keel).toBeCloseTo(filletArea(20, keelRad) * 2 * 1.1, 6);
    expect(chine).toBeCloseTo(filletArea(20, chineRad) * 4 * 1.1, 6);
  });
  it('takes four times as much for twice the radius', () => {
    const once = fillets(panels, { filletBy: 'radius', filletRadius: 15 });
    const twice = fillets(panels, { filletBy: 'radius', filletRadius: 30 });
    twice.forEach((grams, k) => expect(grams).toBeCloseTo(4 * once[k]!, 9));
  });
  it('goes by the leg in a wide corner, and says so', () => {
    const { value } = resinOf(panels, { filletBy: 'larger', filletRadius: 20, filletLeg: 12 });
    // 12 mm covered on each side of 126.9° is a radius of 24; of the sharper chine of 134.9° 28.9
    const made = value.lines.filter(({ group }) => group === 'fillets').map(({ from }) => from);
    expect(made).toMatchObject([{ ruledBy: 'leg' }, { ruledBy: 'leg' }]);
    expect(made[0]).toMatchObject({ radius: expect.closeTo(12 * Math.tan(keelRad / 2), 6) as number });
    const narrow = resinOf(panels, { filletBy: 'larger', filletRadius: 40, filletLeg: 12 }).value.lines;
    expect(narrow[0]?.from).toMatchObject({ ruledBy: 'radius', radius: expect.closeTo(40, 9) as number });
  });
  it('takes as much when the bottom is made in two, and the seams keep their angles', () => {
    const halves = developPanels(prism, {
      thickness: 6,
      splits: [{ id: 'keel-chine', fore: 0.5, middle: 0.5, aft: 0.5 }],
    }).value;
    const of = (made: readonly Panel[]) => {
      const { value } = resinOf(made, { filletBy: 'radius' });
      const flat = value.seams.filter(({ angleDeg }) => angleDeg > 179.99).map(({ id }) => id);
      // the new seam between the halves lies in one plane: no fillet, only tape
      return value.lines.filter(({ seam }) => !flat.includes(seam ?? '')).reduce((sum, { resin }) => sum + resin, 0);
    };
    expect(of(halves)).toBeCloseTo(of(panels), 6);
  });
});

describe('a hull whose sides are one cone', () => {
  // The chine runs round a circle of 1.5 m in a level bottom; the sheer lies on the same cone, 0.36 m up and 0.3 m out.
  const [radius, grow, high, from] = [1500, 1.2, 360, 1000];
  const round = (size: number, height: number) => (t: number) => {
    const turn = -0.4 + 0.8 * t;
    return [size * radius * Math.sin(turn), size * radius * Math.cos(turn) - from, height] as const;
  };
  const hull = drawLines(
    tableOf([
      ['chine', round(1, 0)],
      ['sheer', round(grow, high)],
    ]),
  ).value;
  const panels = developPanels(hull, { thickness: 4 }).value;
  it('keeps one angle and the length of the arc', () => {
    const chine = findSeams({ ...bare, panels }).find(({ kind }) => kind === 'chine');
    const flare = toDeg(Math.atan(((grow - 1) * radius) / high));
    expect(chine?.length).toBeCloseTo(2 * 0.8 * radius, 0);
    for (const { angleRad } of chine?.stretches ?? []) expect(Math.abs(toDeg(angleRad) - 90 - flare)).toBeLessThan(0.3);
    expect(Math.abs((chine?.angleDeg ?? 0) - 90 - flare)).toBeLessThan(0.05);
  });
});

describe('what goes on a seam', () => {
  const own = (more: Partial<SeamPlan>): SeamPlan => ({
    ...{ id: 'x', of: 'one', seam: '', radius: null, leg: null, inside: null, outside: null, tapeWidth: null },
    ...more,
  });
  it('is its own, or else its kind’s, or else that of all', () => {
    const seams = [own({ of: 'chine', radius: 30, inside: 2 }), own({ id: 'y', seam: 'chine', radius: 35 })];
    const part = { ...usual, seams };
    expect(scheduleOf({ id: 'chine', kind: 'chine' }, part)).toMatchObject({ fillet: { radius: 35 }, inside: 2 });
    expect(scheduleOf({ id: 'upper', kind: 'chine' }, part)).toMatchObject({ fillet: { radius: 30 }, inside: 2 });
    expect(scheduleOf({ id: 'keel', kind: 'keel' }, part)).toMatchObject({ fillet: { radius: 20 }, inside: 1 });
  });
  it('is taped in layers each narrower than the one under it, and never less than nothing', () => {
    const schedule = { ...scheduleOf({ id: 'k', kind: 'keel' }, usual), tapeWidth: 75, tapeStep: 30 };
    expect(tapeWidths(4, schedule)).toEqual([75, 45, 15, 0]);
  });
});

it('a fillet covers on each side what its leg says', () => {
  for (const deg of [60, 90, 130, 170])
    // r·cot(θ/2), from the centre's kite
    expect(filletIn({ radius: 0, leg: 15, by: 'leg' }, toRad(deg)).radius / Math.tan(toRad(deg) / 2)).toBeCloseTo(
      15,
      9,
    );
});
