/** Parts inside in whole boats: begun where they are usual, judged, and as solids among what else stands there. */
import { describe, expect, it } from 'vitest';
import type { Frame } from '../frames';
import { contains, lerp2, upright, type Vec2, type Vec3 } from '../geometry';
import { placeInPlane } from '../frames';
import { applyEdits, createDerive, demoProject, DEMO_IDS, type Project } from '../project';
import { sectionAt } from '../surface';
import type { EdgePoint } from './fitted';
import { flatOf, heightOver, placeOn } from './lie';
import { newInside, plainInside } from './plans';
import { INSIDE_KINDS, insideAtFirst, type InsidePlan } from './schema';
import type { Fitted } from './value';

const derive = createDerive();
const withParts = (project: Project, parts: InsidePlan[]): Project => ({
  ...project,
  fitout: { ...insideAtFirst(), parts },
});
const begun = (project: Project): InsidePlan[] => {
  const hull = derive(project).lines.value;
  return INSIDE_KINDS.reduce<InsidePlan[]>(
    (all, kind) => [...all, newInside(kind, all, { hull, notation: project.notation })],
    [],
  );
};
const findingsOf = (project: Project) => derive(project).fitout.findings;

describe.each(DEMO_IDS)('parts begun in %s', (id) => {
  const project = demoProject(id, 'x');
  const plans = begun(project);
  const { value, findings } = derive(withParts(project, plans)).fitout;
  it('are taken by the project, each with a name of its own, and something is left of each', () => {
    const edits = [{ path: ['fitout', 'parts'], value: plans }];
    expect(applyEdits(project, edits).ok).toBe(true);
    expect(new Set(plans.map(({ id: own }) => own)).size).toBe(plans.length);
    for (const { name, pieces } of value.parts) expect(pieces.length, name).toBeGreaterThan(0);
    expect(findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
  });
  it('lie on timbers that are told apart by their names', () => {
    for (const { supports } of value.parts)
      expect(new Set(supports.map(({ name }) => name)).size).toBe(supports.length);
  });
  it('lie on the sheer where they are decks: nowhere over it', () => {
    const decks = value.parts.filter(({ fit }) => fit === 'over');
    expect(decks).toHaveLength(2);
    // heights are rounded to the rule
    for (const { sheer } of decks) for (const { offMm } of sheer) expect(offMm).toBeGreaterThan(-1);
    expect(findings.filter(({ code }) => code === 'sheer-short')).toEqual([]);
  });
});

/** Places of a part's outline, on both hands of a pair, at its middle and just within either face. */
function placesOf({ lie, hand, pieces }: Fitted): Vec3[] {
  const depths = [-0.98, 0, 0.98].map((share) => (share * lie.thickness) / 2);
  const on = pieces.flatMap(({ region }) =>
    region.outline.flatMap((flat) => depths.map((over) => placeOn(lie, flat, over))),
  );
  return hand === 'pair' ? [...on, ...on.map(([x, y, z]): Vec3 => [x, -y, z])] : on;
}

/** Its places but the ends, at which it runs into another edge; of a straight edge its middle. */
function betweenEnds(points: readonly EdgePoint[]): { readonly flat: Vec2 }[] {
  const [a, b, ...more] = points;
  if (a && b && more.length === 0) return [{ flat: lerp2(a.flat, b.flat, 0.5) }];
  return points.slice(1, -1);
}

/** How deep a place lies in what is cut of a frame; 0 where it is not in it. */
function isInFrame(frame: Frame, place: Vec3): boolean {
  const [aft, y, up] = placeInPlane(frame, place);
  const body = frame.face === 'fore' ? aft : -aft;
  if (body < 0.05 || body > frame.width - 0.05) return false;
  const sides: Vec2[] = frame.hand === 'pair' ? [[Math.abs(y), up]] : [[y, up]];
  return sides.some((p) => contains(frame.cut.outline, p));
}

describe.each(['tamsel', 'orrin', 'veyra', 'ilven'] as const)('as solids, what lies in %s', (id) => {
  const project = demoProject(id, 'x');
  const { panels, frames, fitout } = derive(project);
  const skin = project.panels.thickness;
  const gapOf = ({ plan }: Fitted) => project.fitout.parts.find((one) => one.id === plan)?.gap ?? 0;
  it.each(fitout.value.parts.map((part) => [part.name, part] as const))('%s runs through no frame', (_, part) => {
    const inside = frames.value.frames.filter(({ kind }) => kind !== 'mould');
    const hit = placesOf(part).filter((place) => inside.some((frame) => isInFrame(frame, place)));
    // a deck's under side may bear on a frame's top by what is planed off
    expect(hit.filter((place) => part.fit === 'inside' || heightOver(part.lie, place, 'under') > 0.6)).toEqual([]);
  });
  it.each(fitout.value.parts.filter(({ fit }) => fit === 'inside').map((part) => [part.name, part] as const))(
    '%s stands off the skin by its gap at the nearer face, nowhere by less',
    (_, part) => {
      // a bevelled edge lies against the skin
      const gap = part.isSquare ? gapOf(part) : 0;
      const near = part.pieces.flatMap(({ atSkin }) =>
        atSkin.flatMap(({ face, points }) =>
          betweenEnds(points).map(({ flat }) => ({
            ...{ face, place: placeOn(part.lie, flat, face === 'top' ? part.thickness / 2 : -part.thickness / 2) },
          })),
        ),
      );
      // one that lies between stringers ends on them, not on the skin
      if (near.length === 0) expect(part.cutFor.length).toBeGreaterThan(0);
      for (const { place } of near) {
        const [x, y, z] = place;
        // the skin's section through the place: how far out it is at that height
        const sections = panels.value.panels.map(({ rulings }) =>
          sectionAt(rulings, x, skin).map(({ space }) => space),
        );
        const outs = sections.flatMap((points) =>
          points.slice(1).flatMap((b, i) => {
            const a = points[i]!; // as many
            if (a[2] > z === b[2] > z) return [];
            return [a[1] + ((z - a[2]) / (b[2] - a[2])) * (b[1] - a[1])];
          }),
        );
        const room = Math.min(...outs.filter((out) => out > 0)) - Math.abs(y);
        // square to the edge on the sheet it is the gap; straight out it is no less
        expect(room).toBeGreaterThan(gap - 0.02);
        expect(room).toBeLessThan(Math.max(8 * gap, 0.1));
      }
    },
  );
  it('runs through nothing else that lies there', () => {
    const isIn = (other: Fitted, place: Vec3) => {
      const over = heightOver(other.lie, place, 'under');
      const flat = flatOf(other.lie, other.hand === 'pair' ? [place[0], Math.abs(place[1]), place[2]] : place);
      const isBetween = over > 0.05 && over < other.thickness - 0.05;
      return isBetween && other.pieces.some(({ region }) => contains(region.outline, flat));
    };
    for (const part of fitout.value.parts)
      for (const other of fitout.value.parts.filter((one) => one !== part))
        expect(
          placesOf(part).filter((place) => isIn(other, place)),
          `${part.name}, ${other.name}`,
        ).toEqual([]);
  });
  it('goes in by the way said: what is broader than the boat over it is told', () => {
    const told = fitout.findings
      .filter(({ code }) => code === 'will-not-go-in')
      .map(({ data }) => ('part' in data ? data.part : ''));
    expect(told).toEqual(fitout.value.parts.filter(({ tooBroad }) => tooBroad).map(({ name }) => name));
  });
});

describe('what is to be looked at', () => {
  const project = demoProject('tamsel', 'x');
  const sole = (given: Partial<InsidePlan>) =>
    plainInside({
      ...{ id: 'p', name: 'Sole', kind: 'sole', from: 2500, to: 3500, height: { fore: 172, aft: 172, of: 'under' } },
      ...given,
    });
  const codes = (parts: InsidePlan[]) => findingsOf(withParts(project, parts)).map(({ code }) => code);
  /** The first remedy of a finding, pressed. */
  const mended = (of: Project, code: string): Project => {
    const [remedy] = findingsOf(of).find((one) => one.code === code)?.remedies ?? [];
    const done = applyEdits(of, remedy?.edits ?? []);
    if (!remedy || !done.ok) throw new Error(`no remedy for ${code}`);
    return done.project;
  };
  it('is nothing of a sole on bearers enough', () => expect(codes([sole({ bearers: 3, isHalved: true })])).toEqual([]));
  it('is a span too wide, and goes with the bearers that are offered', () => {
    const wide = withParts(project, [sole({ isHalved: true, to: 3600 })]);
    expect(findingsOf(wide).map(({ code }) => code)).toContain('span-too-wide');
    expect(findingsOf(mended(wide, 'span-too-wide')).map(({ code }) => code)).not.toContain('span-too-wide');
  });
  it('is a landing too narrow to take a screw, made as broad as it has to be', () => {
    const cleat = { breadth: 12, depth: 20, atSkin: true, atFrames: true };
    const narrow = withParts(project, [sole({ bearers: 3, isHalved: true, cleat })]);
    expect(findingsOf(narrow).map(({ code }) => code)).toEqual(['strips-narrow']);
    expect(findingsOf(mended(narrow, 'strips-narrow'))).toEqual([]);
  });
  it('is a joint on nothing, which goes over the nearest bearer', () => {
    const cut = withParts(project, [sole({ bearers: 3, isHalved: true, cuts: [{ id: 'c', x: 2900 }] })]);
    expect(findingsOf(cut).map(({ code }) => code)).toEqual(['cut-on-nothing']);
    const done = mended(cut, 'cut-on-nothing');
    expect(findingsOf(done)).toEqual([]);
    expect(done.fitout.parts[0]?.cuts[0]?.x).toBe(3000);
  });
  it('is a piece that no sheet has room for, which is cut in two', () => {
    const long = withParts(project, [sole({ from: 1500, bearers: 6 })]);
    expect(findingsOf(long).map(({ code }) => code)).toContain('piece-over-sheet');
    expect(findingsOf(mended(long, 'piece-over-sheet')).map(({ code }) => code)).not.toContain('piece-over-sheet');
  });
  it('is a part broader than the boat over it: a stringer and the clamp stand in its way', () => {
    const under = sole({ height: { fore: 250, aft: 250, of: 'under' }, bearers: 4 });
    const low = withParts(project, [under]);
    // at 250 the sides stand 640 out; the stringer over it comes in to less
    const broad = derive(low).fitout.value.parts[0]?.tooBroad;
    expect(broad?.mm).toBeGreaterThan(1.5);
    expect(findingsOf(mended(low, 'will-not-go-in')).map(({ code }) => code)).not.toContain('will-not-go-in');
  });
  it('is a part that comes out over the sheer, one that ends before it begins, one with no place', () => {
    expect(codes([sole({ height: { fore: 540, aft: 540, of: 'top' }, bearers: 9 })])).toContain('part-over-sheer');
    expect(codes([sole({ from: 3000, to: 2000 })])).toEqual(['part-backwards']);
    expect(codes([sole({ height: { fore: -400, aft: -400, of: 'top' } })])).toEqual(['part-misses-hull']);
  });
  it('is a camber tighter than the sheet bends', () => {
    const deck = (radius: number) => [
      plainInside({
        ...{ id: 'd', name: 'Deck', kind: 'deck', fit: 'over', from: 100, to: 1100, thickness: 6 },
        ...{ height: { fore: 640, aft: 600, of: 'under' }, camber: { radius } },
      }),
    ];
    expect(codes(deck(500))).toContain('camber-too-tight');
    expect(codes(deck(2600))).not.toContain('camber-too-tight');
  });
  it('is a frame that stands through a deck, whose top is cut to lie under it', () => {
    const deck = plainInside({
      ...{ id: 'd', name: 'Deck', kind: 'deck', fit: 'over', from: 0, to: 1212, thickness: 6 },
      ...{ height: { fore: 650, aft: 610, of: 'under' }, camber: { radius: 2520 } },
    });
    const high = withParts(project, [deck]);
    expect(findingsOf(high).map(({ code }) => code)).toEqual(['frame-through']);
    expect(findingsOf(mended(high, 'frame-through'))).toEqual([]);
  });
  it('is a hatch over the edge, or nearer to it than an opening in a frame may be', () => {
    const hatch = {
      id: 'h',
      shape: 'rounded',
      x: 3000,
      out: 0,
      long: 300,
      wide: 200,
      corner: 20,
      isPair: false,
    } as const;
    const at = (own: { readonly out?: number }) =>
      codes([sole({ bearers: 3, hatches: [{ ...hatch, ...own }] })]).filter((code) => code === 'hatch-off');
    expect(at({})).toEqual([]);
    expect(at({ out: 480 })).toEqual(['hatch-off']);
    expect(at({ out: 3000 })).toEqual(['hatch-off']);
  });
});

it('a seat ends on a transom that is bent athwart, all along its hollow face', () => {
  const project = demoProject('tamsel', 'x');
  const radius = 1500;
  const bent = { ...project, panels: { ...project.panels, transomRadius: radius } };
  const { panels, fitout } = derive(bent);
  const [transom] = panels.value.transoms;
  const seat = fitout.value.parts.find(({ plan }) => plan === 'stern')!;
  const [c, s] = [Math.cos(transom!.rakeRad), Math.sin(transom!.rakeRad)];
  // by the cylinder's own equation, of the face that comes nearer to it: the one on top, as the transom leans aft
  const offs = seat.pieces[0]!.region.outline.filter(([u, v]) => u > 4200 && Math.abs(v) < 640).map((flat) => {
    const [x, y, z] = placeOn(seat.lie, flat, -seat.thickness / 2);
    return x * c - z * s + radius - Math.sqrt(radius ** 2 - y ** 2);
  });
  expect(offs.length).toBeGreaterThan(8);
  expect(Math.max(...offs) - Math.min(...offs)).toBeLessThan(0.2);
});

it('a part follows the hull: a broader sheer lets a seat be broader, and its sheet’s outline with it', () => {
  const project = demoProject('tamsel', 'x');
  const seats = (of: Project) => derive(of).fitout.value.parts.find(({ plan }) => plan === 'seats')!;
  const wider = applyEdits(project, [
    { path: ['lines', 'longitudinals', 'sheer', 'points', 6, 'halfBreadth'], value: 735.5 },
  ]);
  if (!wider.ok) throw new Error(wider.reason);
  const breadthAt = ({ pieces }: Fitted) => upright(pieces[0]!.region.outline, 3500)[0]![1];
  expect(breadthAt(seats(wider.project))).toBeGreaterThan(breadthAt(seats(project)) + 5);
  const parts = derive(wider.project).sheets.value.parts.filter(({ id }) => id.startsWith('inside.seats'));
  expect(parts.map(({ isPair, thickness }) => [isPair, thickness])).toEqual([[true, 9]]);
});
