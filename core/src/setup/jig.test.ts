import { describe, expect, it } from 'vitest';
import { boundsOf, boxOutline, convexHull, solidDistance, type Vec2 } from '../geometry';
import type { Frame } from '../frames';
import { createDerive, demoProject, DEMO_IDS, type Project } from '../project';
import { floorUnder } from './jig';
import type { SetupPart } from './schema';
import { boxSolid, clashesOf, shareRoom, type Solid } from './solids';

const derive = createDerive();
const withPart = (project: Project, part: Partial<SetupPart>): Project => ({
  ...project,
  setup: { ...project.setup, ...part },
});

/** How far apart two solids are, mm: nought where they touch. Of two that run the same way exactly, else no less. */
function gapBetween(a: Solid, b: Solid): number {
  if (a.runs === b.runs)
    return Math.hypot(
      solidDistance(a.outline, b.outline),
      Math.max(0, Math.max(a.from, b.from) - Math.min(a.to, b.to)),
    );
  const [one, other] = [spaceOf(a), spaceOf(b)];
  return Math.hypot(
    ...one.map(([low, high], k) => Math.max(0, Math.max(low, other[k]![0]) - Math.min(high, other[k]![1]))),
  );
}

/** The box around it. */
function spaceOf({ runs, outline, from, to }: Solid): (readonly [number, number])[] {
  const { minX, maxX, minY, maxY } = boundsOf(outline);
  return runs === 'athwart'
    ? [
        [minX, maxX],
        [from, to],
        [minY, maxY],
      ]
    : [
        [from, to],
        [minX, maxX],
        [minY, maxY],
      ];
}

describe('solids', () => {
  const box = boxSolid('box', [0, 100], [0, 50], [0, 20]);
  it('that only touch share no room, and lie nought apart', () => {
    const beside = boxSolid('beside', [100, 200], [0, 50], [0, 20]);
    expect([shareRoom(box, beside), gapBetween(box, beside)]).toEqual([false, 0]);
    expect(gapBetween(box, boxSolid('off', [103, 200], [54, 60], [0, 20]))).toBeCloseTo(5, 9);
  });
  it('that run across one another meet where their heights do', () => {
    const across = (low: number): Solid => ({
      ...{ name: 'across', runs: 'along', from: 40, to: 60 },
      outline: boxOutline({ minX: -100, maxX: 100, minY: low, maxY: low + 30 }),
    });
    expect([shareRoom(box, across(10)), shareRoom(box, across(20)), shareRoom(across(-31), box)]).toEqual([
      true,
      false,
      false,
    ]);
  });
  it('a brace over a box meets it where its slope comes down to it', () => {
    const brace: Solid = {
      ...{ name: 'brace', runs: 'athwart', from: 10, to: 40 },
      outline: [
        [100, 100],
        [220, -20],
        [220, 20],
        [100, 140],
      ],
    };
    const under = (x: number) => boxSolid('under', [x, x + 20], [0, 50], [-40, 0]);
    expect(clashesOf([brace, under(150)])).toEqual([]);
    expect(clashesOf([brace, under(205)])).toEqual([['brace', 'under']]);
  });
});

describe('an uneven floor', () => {
  const place = (along: number, below: number) => ({ id: `${along}`, along, below });
  it('is straight between where it was measured, level beyond, and as set where it was not', () => {
    const floor = [place(3000, 560), place(0, 540), place(1000, 550)];
    expect([0, 500, 1000, 2000, 3000, 4000].map((x) => floorUnder(floor, 1, x))).toEqual([
      540, 545, 550, 555, 560, 560,
    ]);
    expect(floorUnder([], 545, 700)).toBe(545);
  });
});

/** By what a piece is. */
function shouldTouch(name: string): string[] {
  const rails = ['port rail', 'starboard rail'];
  const [frame = '', what = ''] = name.split(': ');
  if (/leg/.test(name)) return rails.filter((rail) => rail.split(' ')[0] === name.split(' ')[0]);
  if (/upright/.test(what)) return [`${frame}: cross piece`, frame];
  if (/brace$/.test(what))
    return [`${frame}: cross piece of its braces`, `${frame}: ${what.replace('brace', 'upright')}`];
  return /cross piece|Cradle/.test(name) ? rails : [];
}

/** What stands there besides the jig: frames as prisms of what is cut, and members by their rings’ boxes. */
function boatSolids(project: Project): { frames: Solid[]; members: Solid[] } {
  const { frames, setup } = derive(project);
  const { from, sign } = setup.value.heights;
  const up = ([y, z]: Vec2): Vec2 => [y, from + sign * z];
  const standing = new Set(setup.value.frames.map(({ id }) => id));
  const prism = (frame: Frame): Solid[] => {
    const [fore, aft] = frame.face === 'fore' ? [frame.x, frame.x + frame.width] : [frame.x - frame.width, frame.x];
    const half = frame.cut.outline.map(up);
    return [{ name: frame.name, runs: 'along', outline: half, from: fore, to: aft }];
  };
  const members = frames.value.members.flatMap(({ name, rings, isPair, side }) =>
    side === 'outside'
      ? []
      : rings.slice(1).flatMap((b, i) => {
          const points = [rings[i]!, b].flatMap(({ near, far, nearOff, farOff }) => [near, far, nearOff, farOff]);
          const xs = points.map(([x]) => x);
          return (isPair ? [1, -1] : [1]).map((hand): Solid => {
            const outline = convexHull(points.map(([, y, z]) => up([hand * y, z])));
            return { name, runs: 'along', outline, from: Math.min(...xs), to: Math.max(...xs) };
          });
        }),
  );
  return { frames: frames.value.frames.filter(({ id }) => standing.has(id)).flatMap(prism), members };
}

describe.each(
  DEMO_IDS.filter((id) => id !== 'slips').flatMap((id) => [[id, 'upside-down'] as const, [id, 'upright'] as const]),
)('what %s stands on, %s', (id, way) => {
  const project = withPart(demoProject(id, 'x'), { way });
  const { jig, frames, solids } = derive(project).setup.value;
  const boat = boatSolids(project);

  it('runs through nothing: not itself, no frame, no timber along the boat', () => {
    expect(jig.clashes).toEqual([]);
    const through = solids.flatMap((piece) =>
      [...boat.frames, ...boat.members].flatMap((other) => (shareRoom(piece, other) ? [[piece.name, other.name]] : [])),
    );
    expect(through).toEqual([]);
  });
  it('touches what it should within 1 mm', () => {
    const all = new Map([...solids, ...boat.frames].map((solid) => [solid.name, solid]));
    const touches = solids.flatMap(({ name }) => shouldTouch(name).map((other) => [name, other] as const));
    expect(touches.length).toBeGreaterThan(4);
    for (const [one, other] of touches) {
      expect([one, other, all.has(other)]).toEqual([one, other, true]);
      expect(gapBetween(all.get(one)!, all.get(other)!)).toBeLessThan(1);
    }
  });
  it('holds every frame upside down by two uprights, or a boat the right way up by two cradles', () => {
    const count = (words: string) => solids.filter(({ name }) => name.includes(words)).length;
    if (way === 'upside-down') {
      expect(jig.unheld).toEqual([]);
      const narrow = count('middle upright');
      expect(count('upright')).toBe(2 * frames.length - narrow);
      expect(narrow).toBe(id === 'ilven' ? 1 : 0);
    } else expect(count('Cradle under')).toBe(2);
  });
  it('has every solid among the pieces, as long as it is', () => {
    const cut = jig.pieces.reduce((sum, { qty }) => sum + qty, 0);
    expect(cut).toBe(solids.length);
  });
});

describe('a strongback that one has', () => {
  it('is as long as it is, and is told where it is too short', () => {
    const project = demoProject('tamsel', 'x');
    const rails = { ...project.setup.rails, long: 3000 };
    const { value, findings } = derive(withPart(project, { rails })).setup;
    expect(value.jig.pieces[0]!.lengthMm).toBe(3000);
    expect(findings.map(({ code }) => code)).toContain('jig-short');
    const enough = derive(withPart(project, { rails: { ...rails, long: 6000 } })).setup;
    expect(enough.value.jig.toX - enough.value.jig.fromX).toBe(6000);
    expect(enough.findings.map(({ code }) => code)).not.toContain('jig-short');
  });
});
