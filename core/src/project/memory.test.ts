/** What is derived with a memory is what is derived without one, whatever was changed: every leaf of every project. */
import { describe, expect, it } from 'vitest';
import { emptyCard } from '../bend';
import { faultOf } from '../findings/catalogue';
import { plainGirder, type FramePlan } from '../frames';
import { at, random } from '../geometry';
import { plainInside, plainLine, plainWall } from '../fitout';
import { DIMENSION_KEYS } from '../lines/starter-kinds';
import { panelIdOf, panelInputs } from '../panels';
import { isSame, type Remember } from '../stage';
import type { ChainStage, Derived } from './chain';
import { demoProject, DEMO_IDS, type DemoId } from './demos/index';
import { allFindings, createDerive } from './derive';
import { CHAIN, type Project } from './document';
import { applyEdits } from './edits';
import { leafKinds, leavesOf, type Leaf } from './fixtures/leaves';
import { CATALOGUE, sentence } from './sentences';

const SEED = 41;
/** The slender hull has nothing that is not filled in with the others, and takes as long as two of them. */
const TRIED: readonly DemoId[] = DEMO_IDS.filter((id) => id !== 'ilven');
/** The demo of slips is the first boat with three figures wrong. */
const BOATS: readonly DemoId[] = TRIED.filter((id) => id !== 'slips');

/** A seat with everything cut in it, and a deck over the bow. */
const INSIDE: Project['fitout']['parts'] = [
  plainInside({
    ...{ id: 'seat', name: 'Seat', kind: 'seat', hand: 'pair', from: 1000, to: 1900, outer: 480, bearers: 1 },
    ...{ height: { fore: 230, aft: 250, of: 'top' }, school: 'framed', lining: 5, inner: { fore: 150, aft: 180 } },
    cuts: [{ id: 'c', x: 1450 }],
    hatches: [
      { id: 'h', shape: 'rounded', x: 1250, out: 300, long: 120, wide: 100, corner: 20, isPair: false },
      { id: 'o', shape: 'oval', x: 1700, out: 300, long: 120, wide: 100, corner: 0, isPair: true },
    ],
    ...{ drain: 12, screws: 140, hollow: { fore: 10, aft: 15, inner: 20 } },
    fittings: [{ id: 'f', name: 'Cleat', x: 1600, out: 350, isPair: true, pad: { long: 90, wide: 50, thick: 15 } }],
  }),
  plainInside({
    ...{ id: 'knee', name: 'Knee', kind: 'knee', hand: 'port', from: 1900, to: 2200, isTimber: true, thickness: 20 },
    ...{ height: { fore: 400, aft: 400, of: 'top' }, inner: { fore: 400, aft: 250 } },
  }),
  plainInside({
    ...{ id: 'deck', name: 'Deck', kind: 'deck', fit: 'over', from: 100, to: 900, overhang: 10, thickness: 6 },
    ...{ height: { fore: 600, aft: 590, of: 'under' }, camber: { radius: 2200 }, isHalved: true },
  }),
];

const STEMS: Project['fitout']['stems'] = [
  { id: 'st', name: 'Stem', end: 'fore', face: 22, outer: 9, depth: 30, over: 15, under: 5 },
  { id: 'sn', name: 'Stern', end: 'aft', face: 22, outer: 9, depth: 30, over: 15, under: 5 },
];

const KNEES: Project['fitout']['knees'] = [
  {
    ...{ id: 'up', name: 'Up', hand: 'pair', x: 1600, goes: 'up', onPart: 'seat', height: 300, thickness: 18 },
    ...{ across: 120, along: 110, nose: 20, hollow: 10 },
  },
  {
    ...{ id: 'down', name: 'Down', hand: 'port', x: 2300, goes: 'down', onPart: null, height: 480, thickness: 18 },
    ...{ across: 120, along: 110, nose: 20, hollow: 10 },
  },
];

const PEOPLE: Project['fitout']['people'] = [
  {
    ...{ id: 'one', name: 'One', pose: 'rowing', faces: 'aft', x: 1500, out: 40, height: 300 },
    size: { tall: 1700, sitting: 880, thigh: 580, shin: 430, broad: 500 },
  },
  {
    ...{ id: 'two', name: 'Two', pose: 'lying', faces: 'forward', x: 2500, out: -40, height: 250 },
    size: { tall: 1600, sitting: 850, thigh: 550, shin: 410, broad: 480 },
  },
];

const LIMITS: Project['fitout']['limits'] = {
  ...{
    shopLong: 5000,
    shopWide: 3000,
    walk: 500,
    doorWide: 1000,
    doorHigh: 2000,
    trailerLong: 4000,
    trailerWide: 1400,
  },
};

const point = (id: string, x: number, out: number, height: number) => ({ id, x, out, height });

/** A side that stands on the deck, and a front between points and it. */
const WALLS: Project['fitout']['walls'] = [
  plainWall({
    ...{ id: 'side', name: 'Side', kind: 'cabin-side', isTopStraight: true, below: 12, school: 'framed' },
    lower: plainLine({ follows: 'sheer', from: 300, to: 800, in: 90, up: 5, onPart: 'deck' }),
    upper: plainLine({ follows: 'sheer', from: 310, to: 790, in: 120, up: 220 }),
    openings: [
      { id: 'w', shape: 'rounded', along: 200, up: 90, long: 120, wide: 60, corner: 15 },
      { id: 'o', shape: 'oval', along: 380, up: 90, long: 60, wide: 60, corner: 0 },
    ],
  }),
  plainWall({
    ...{ id: 'front', name: 'Front', kind: 'cabin-front', between: 'side', hand: 'port' },
    lower: plainLine({
      follows: 'points',
      points: [point('a', 420, 0, 620), point('b', 440, 260, 615)],
      onPart: 'deck',
    }),
    upper: plainLine({ follows: 'lower', in: 30, up: 180 }),
  }),
  plainWall({
    ...{ id: 'coaming', name: 'Coaming', kind: 'coaming' },
    lower: plainLine({ follows: 'sheer', from: 1000, to: 1900, in: 150 }),
    upper: plainLine({ follows: 'points', points: [point('a', 1000, 250, 700), point('b', 1900, 400, 700)] }),
  }),
];

const BLOCKS: Project['fitout']['blocks'] = [
  {
    ...{ id: 'wedge', name: 'Wedge', fills: 'out', hand: 'pair', width: 50, clear: 2, isToSkin: false },
    ...{ from: { x: 1500, out: 200, height: 300 }, to: { x: 1900, out: 220, height: 310 } },
  },
  {
    ...{ id: 'pad', name: 'Pad', fills: 'down', hand: 'across', width: 60, clear: 0, isToSkin: true },
    ...{ from: { x: 2000, out: 100, height: 250 }, to: { x: 2000, out: 100, height: 250 } },
  },
];

/** A demo with something in every list and at every choice that it leaves empty: its second line is the rounded one. */
function filled(demo: DemoId): Project {
  const project = demoProject(demo, 'x');
  const { lines, panels, frames, setup, joints, timber, sheets, epoxy, weights, plan } = project;
  const hull = createDerive()(project).lines.value;
  const view = { widthPx: 800, heightPx: 400, left: -100, top: 700, mmPerPx: 6, turnDeg: 0, opacity: 0.5 };
  const rounding = { radiusFore: 60, radiusAft: 90, layers: 2, layerThickness: 3, sag: 5 };
  // the flat-bottomed boat’s bottom is laid across; elsewhere the choice is refused
  const bottom = panelIdOf(at(panelInputs(hull), 0));
  const split = { id: panelIdOf(at(panelInputs(hull), 1)), fore: 0.4, middle: 0.5, aft: 0.6 };
  return {
    ...project,
    lines: {
      ...lines,
      heightsFrom: 800,
      underlays: [{ id: 'scan', name: 'Scan', view: 'body', ...view }],
      plotted: ['3|port|chine|449.6|192.0'],
      stations: [{ label: '7', x: 4000, isOwn: false }],
      starter: {
        kind: 'two-chine',
        dimensions: Object.fromEntries(DIMENSION_KEYS.map((key) => [key, 100])),
      },
      card: { ...emptyCard(), lines: { lower: 'chine', upper: 'sheer' } },
      openCells: [{ line: 'chine', column: '7', quantity: 'height', mm: 150, text: '15o' }],
    },
    frames: {
      ...frames,
      girders: [busyGirder],
      screws: { spacing: 90, ends: 20, use: 'drawn', diameter: 3, staples: 50, own: [{ id: 'log', use: 'plugged' }] },
      relief: 3,
      standing: 'no-bevel',
      taken: [
        {
          ...{ id: 't', name: 'T', way: 'two', plumb: 0, fairBy: 2, corner: 20, bevelDeg: 5 },
          ...{ first: { out: 0, up: 0 }, second: { out: 0, up: 400 } },
          points: [200, 300, 400].map((a, i) => ({ id: `p${i}`, a, b: 500 - 100 * i, isCorner: i === 1 })),
        },
      ],
      planked: { ...frames.planked, panel: bottom },
      sawn: { ...frames.sawn, corner: 'floor', spall: { height: 200, breadth: 50 } },
      moulds: { ...frames.moulds, spall: { height: 250, breadth: 60 } },
      // two are enough for what one does to the other
      frames: frames.frames.slice(0, 2).map((frame, i) => ({ ...frame, ...[{}, busyFrame(split.id)][i] })),
      members: [
        {
          ...{
            id: 'log',
            name: 'Log',
            line: at(lines.longitudinals, 1).id,
            on: 'above',
            away: 0,
            side: 'inside',
          },
          ...{ width: 40, depth: 20, from: 500, to: 3500, isThrough: true, clearance: 0.5 },
        },
      ],
    },
    setup: {
      ...setup,
      rails: { ...setup.rails, long: 5000 },
      floor: [{ id: 'f', along: 1000, below: 560 }],
      sides: [{ id: 's', line: at(lines.longitudinals, -1).id, along: 1500, breadth: 900, over: 420 }],
      faults: [{ id: 'g', frame: at(frames.frames, 0).id, edge: bottom, kind: 'short', value: 3, choice: 'open' }],
      readings: [
        { id: 'r', frame: at(frames.frames, 0).id, what: 'along', isTrue: false, value: 1500, turn: 1, firstTurn: 1 },
      ],
    },
    fitout: {
      parts: INSIDE,
      walls: WALLS,
      blocks: BLOCKS,
      stems: STEMS,
      knees: KNEES,
      people: PEOPLE,
      limits: LIMITS,
      lengthsAt: 250,
    },
    weights: {
      ...weights,
      ...{ fittings: 3, onPanels: true },
      loads: [{ id: 'one', name: 'One', kg: 60, x: 2000, out: 40, up: 250, isAboard: true }],
    },
    plan: {
      ...plan,
      starts: '2027-03-01',
      days: [{ id: 'd', date: '2027-03-06', from: 10, hours: 3, hands: 2 }],
      jobs: [{ id: 'turn', hours: 2, notBefore: '2027-03-20', after: 'saw', isDone: false }],
    },
    timber: {
      ...timber,
      stock: [...timber.stock, { id: 'own', width: 40, depth: 18, length: 4000, qty: 3, price: 12 }],
      saw: { depth: 60, room: 9000 },
      own: [{ id: 'rail', name: 'Rail', width: 40, depth: 18, length: 5200, qty: 2, mayScarf: true }],
    },
    joints: { ...joints, strapUse: 'plugged', own: [{ id: 'j', panel: bottom, at: 1700, kind: 'strap' }] },
    sheets: {
      ...sheets,
      stock: sheets.stock.map((sheet) => ({
        ...{ ...sheet, onHand: 1, price: 80, zones: [{ id: 'z', x: 900, y: 0, width: 100, height: 60 }] },
        outline: [
          { x: 0, y: 0 },
          { x: sheet.width, y: 0 },
          { x: 0, y: sheet.height },
        ],
      })),
      scribed: [{ id: 'frame.1', extra: 15 }],
      spares: [{ id: 'frame.1', qty: 1 }],
      laid: [{ id: `${bottom}.1.port`, sheet: 'sheet-6', index: 0, x: 40, y: 40, rotationDeg: 0, isPinned: true }],
    },
    epoxy: {
      ...epoxy,
      packs: epoxy.packs.map((pack) => ({ ...pack, onHand: 1 })),
      tabs: { length: 80, apart: 250 },
      flat: [{ id: 'f', of: 'frame', part: at(frames.frames, 0).id, faces: 'both' }],
      glass: { ...epoxy.glass, peelPly: true, film: true },
      glues: [
        {
          ...{ id: 'g', name: 'Foaming glue', packMl: 500, price: 12, onHand: 0, kind: 'expanding' },
          ...{ spread: 180, openMinutes: 20, clampHours: 2, cleanMinutes: 10 },
        },
      ],
      gluedWith: { blanks: '', skin: 'g', layers: 'g', cleats: 'g', doublers: 'g', edges: 'g' },
      finishes: [
        {
          ...{ id: 'f', name: 'Grey primer', packMl: 750, price: 20, onHand: 1, kind: 'primer', where: 'all' },
          ...{ coats: 2, covers: 10, fromHours: 8, untilHours: 72 },
        },
      ],
      seams: [{ id: 's', of: 'one', seam: 'keel', radius: 30, leg: 15, inside: 2, outside: 2, tapeWidth: 100 }],
    },
    panels: {
      ...panels,
      waterline: 220,
      ownProud: [{ id: bottom, lower: 3, upper: 4, fore: 10, aft: 12 }],
      transomRadius: 1500,
      roundedChines: [{ id: at(lines.longitudinals, 1).id, ...rounding }],
      splits: [split],
    },
  };
}

/** A ring with all that can be decided of a frame. */
const busyFrame = (panel: string): Partial<FramePlan> => ({
  ...{ kind: 'ring', rakeDeg: 3, lining: 4, bounds: { hand: 'across', inner: 10, outer: 900, bottom: -50 } },
  ...{ top: { kind: 'rise', mm: 40, below: 10 }, ring: { breadth: 60, floor: 80, beam: 50, corner: 30 } },
  edges: [{ id: panel, school: 'framed' }],
  openings: [
    {
      ...{ id: 'o', shape: 'rounded', out: 0, up: 300, width: 80, height: 60, corner: 10 },
      ...{ isPair: true, doubler: 20, lid: 10, lip: 6, room: 2 },
    },
  ],
  slots: [{ id: 's', edge: 'top', out: 60, width: 20, depth: 15, isPair: true }],
  cleats: [{ id: 'c', edge: 'top', face: 'fore', setIn: 6, breadth: 20, depth: 20 }],
  limbers: [{ id: 'l', out: 120, diameter: 25, setIn: 10, isPair: true }],
});

/** Through the frames, aslant, with a hole in it. */
const busyGirder = plainGirder(
  [],
  { fromX: 0, toX: 2600 },
  {
    ...{ hand: 'pair', from: 900, to: 2300, out: 60, outAft: 160, school: 'framed' },
    top: { kind: 'straight', fore: 330, aft: 300, below: 5 },
    openings: [
      {
        ...{ id: 'o', shape: 'oval', out: 200, up: 260, width: 60, height: 40, corner: 0 },
        ...{ isPair: false, doubler: 15, lid: 8, lip: 5, room: 1 },
      },
    ],
  },
);

const set = (project: Project, { edit }: Leaf): Project => {
  const made = applyEdits(project, [edit]);
  if (!made.ok) throw new Error(made.reason);
  return made.project;
};
const said = (derived: Derived) => allFindings(derived).map((finding) => [finding, sentence(finding, 'mm')]);
const isOfPoint = ({ kind }: Leaf) => kind.startsWith('lines.longitudinals.*.points');
/** Frames are one like another, and each has many leaves: those of the second stand for all. */
const isOfOtherFrame = ({ kind, edit: { path } }: Leaf) => kind.startsWith('frames.frames.*') && path[2] !== 1;
/** One pack is like another. */
const isOfOtherPack = ({ edit: { path } }: Leaf) => path[1] === 'packs' && path[2] !== 0;
/** As with points: each line's first and every sixteenth after it. */
const isOfOtherPoint = (leaf: Leaf) => isOfPoint(leaf) && Number(leaf.edit.path[4]) % 16 !== 0;
const tried = (project: Project, seed: number) =>
  leavesOf(project, random(seed)).filter(
    (leaf) => !isOfOtherFrame(leaf) && !isOfOtherPack(leaf) && !isOfOtherPoint(leaf),
  );
/** One leaf of each kind. */
const oneOfEach = (leaves: readonly Leaf[]) => [...new Map(leaves.map((leaf) => [leaf.kind, leaf])).values()];
/** Another share of the leaves in each boat. */
const dealt = (demo: DemoId, leaves: readonly Leaf[], shares: number) =>
  leaves.filter((_, i) => i % shares === BOATS.indexOf(demo));
/** Every point, and some of the settings: all of those are tried in the boats where everything is filled. */
const inPlain = (demo: DemoId, leaves: readonly Leaf[]) => [
  ...leaves.filter(isOfPoint),
  ...dealt(
    demo,
    leaves.filter((leaf) => !isOfPoint(leaf)),
    2 * BOATS.length,
  ),
];

/** The first stage that reads each part, of this project: those before it cannot know of a change in that part. */
function firstReaders(project: Project): Map<string, number> {
  const first = new Map<string, number>();
  const noting = CHAIN.map((stage, index): ChainStage<Project> => ({
    ...stage,
    run: (part, { project: whole, values }, remember) => {
      const note = (key: string | symbol) => {
        if (typeof key === 'string' && !first.has(key)) first.set(key, index);
      };
      note(stage.name);
      const seen = new Proxy({ ...whole }, { get: (target, key) => (note(key), Reflect.get(target, key)) as unknown });
      return stage.run(part, { project: seen, values }, remember);
    },
  }));
  createDerive(noting)(project);
  return first;
}

/**
 * Works out a project with one leaf changed without a memory. Stages before the first that reads what is changed give
 * again what they gave, without a memory, of the project as it was: worked out anew for each of some thousand leaves
 * they would take minutes.
 */
function createAnew(project: Project): (changed: Project) => Derived {
  const made = createDerive()(project);
  const first = firstReaders(project);
  return (changed) => {
    const parts = Object.entries(changed).flatMap(([part, value]) =>
      value === project[part as keyof Project] ? [] : [part],
    );
    const from = Math.min(...parts.map((part) => first.get(part) ?? CHAIN.length));
    const chain = CHAIN.map((stage, index) => (index < from ? { ...stage, run: () => made[stage.name] } : stage));
    return createDerive(chain)(changed);
  };
}

/**
 * The leaves after whose change, from the project as it is, the memory's answer is not what comes without one, or
 * something found has not the data of its code.
 */
function wrongLeaves(project: Project, leaves: readonly Leaf[], remembering = createDerive()): Leaf[] {
  const anewOf = createAnew(project);
  return leaves.filter((leaf) => {
    remembering(project);
    const changed = set(project, leaf);
    const [quick, anew] = [remembering(changed), anewOf(changed)];
    const isWhole = allFindings(anew).every((finding) => faultOf(finding, CATALOGUE) === null);
    return !isWhole || !isSame(quick, anew) || !isSame(said(quick), said(anew));
  });
}

/** A stage that keeps what it made by everything that it was made from but the skin’s thickness. */
function forgetful(stage: ChainStage<Project>): ChainStage<Project> {
  const kept = new Map<string, unknown>();
  const remember: Remember = (id, make, ...args) => {
    const key = id + JSON.stringify(args, (name, value: unknown) => (name === 'thickness' ? undefined : value));
    if (!kept.has(key)) kept.set(key, make(...args));
    return kept.get(key) as ReturnType<typeof make>;
  };
  return { ...stage, run: (part, before) => stage.run(part, before, remember) };
}
const pathsOf = (leaves: readonly Leaf[]) => leaves.map(({ edit }) => edit.path.join('.'));

describe('the memory of what is derived', () => {
  it.each(TRIED)(
    'of %s: any kind of leaf changed gives what it gives anew, findings with their data and sentences included',
    (demo) => {
      const project = demoProject(demo, 'x');
      expect(pathsOf(wrongLeaves(project, inPlain(demo, tried(project, SEED))))).toEqual([]);
    },
  );
  // in halves: there are hundreds, and each works a whole boat out anew
  it.each(BOATS.flatMap((demo) => [0, 1].map((half) => [demo, half] as const)))(
    'of %s with every list and choice filled: likewise, half %i',
    (demo, half) => {
      const project = filled(demo);
      const kinds = oneOfEach(tried(project, SEED + 1).filter((leaf) => !isOfPoint(leaf)));
      const leaves = dealt(demo, kinds, BOATS.length).filter((_, i) => i % 2 === half);
      expect(pathsOf(wrongLeaves(project, leaves))).toEqual([]);
    },
  );
  it('fails this when it leaves the skin’s thickness out of what it compares', () => {
    const project = demoProject('tamsel', 'x');
    const leaves = leavesOf(project, random(SEED)).filter(({ kind }) => kind.startsWith('panels.'));
    expect(pathsOf(wrongLeaves(project, leaves))).toEqual([]);
    // the thickness of each part goes by the same name: a transom's is forgotten too
    expect(pathsOf(wrongLeaves(project, leaves, createDerive(CHAIN.map(forgetful))))).toEqual([
      'panels.thickness',
      'panels.transomThickness',
    ]);
  });
  it('is tried with every kind of leaf that the schema has', () => {
    const kinds = new Set(tried(filled('tamsel'), SEED).map(({ kind }) => kind));
    expect(leafKinds().filter((kind) => !kinds.has(kind))).toEqual([]);
  });
});

describe('a line renamed', () => {
  const renamed = (project: Project, name: string): Project =>
    set(project, { kind: '', edit: { path: ['lines', 'longitudinals', 'chine', 'name'], value: name } });
  const sentencesAfter = (project: Project): string => {
    const derive = createDerive();
    derive(project);
    return allFindings(derive(renamed(project, 'Knuckle line')))
      .map((finding) => sentence(finding, 'mm'))
      .join(' ');
  };
  it('has its new name in what is said of how the panels turn along it', () => {
    const before = allFindings(createDerive()(demoProject('veyra', 'x')));
    expect(before.map((finding) => sentence(finding, 'mm')).join(' ')).toMatch(/chine turns/i);
    expect(sentencesAfter(demoProject('veyra', 'x'))).toMatch(/knuckle line turns/i);
    expect(sentencesAfter(demoProject('veyra', 'x'))).not.toMatch(/(?<!upper )chine/i);
  });
  it('has it in what is said of its rounding', () => {
    const project = filled('tamsel');
    const rounded = { ...project.panels.roundedChines[0], id: 'chine', radiusFore: 4000, radiusAft: 4000 };
    const wide = { ...project, panels: { ...project.panels, roundedChines: [rounded] } } as Project;
    expect(sentencesAfter(wide)).toMatch(/knuckle line/i);
    expect(sentencesAfter(wide)).not.toMatch(/chine/i);
  });
});

describe('frames', () => {
  it('are filleted on two faces whatever their ids are', () => {
    const project = demoProject('tamsel', 'x');
    const frames = project.frames.frames.map((frame, i) => ({ ...frame, id: `bulkhead/${'abc'.charAt(i)}` }));
    const other = { ...project, frames: { ...project.frames, frames } };
    const [usual, renamed] = [project, other].map((one) => createDerive()(one).epoxy.value.filler);
    expect(renamed).toBeGreaterThan(400);
    expect(renamed).toBe(usual);
  });
});
