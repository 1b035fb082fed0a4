import { describe, expect, it } from 'vitest';
import { demoProject, DEMO_IDS } from './demos/index';
import { allFindings, createDerive } from './derive';
import { PROJECT_VERSION, projectSchema } from './document';
import { applyEdits, refusalOf, resolvePath } from './edits';
import { readProject } from './read-project';
import { plainFrame, type FramePlan } from '../frames';
import { epoxyAtFirst } from '../epoxy/schema';
import { keptIn, timberIn, screwsIn } from '../frames/plans';
import { jointsAtFirst } from '../joints/schema';
import { PLAIN_SHEET } from '../sheets/schema';
import version1 from './old-versions/version-1.json';
import version2 from './old-versions/version-2.json';
import version3 from './old-versions/version-3.json';
import version4 from './old-versions/version-4.json';
import version5 from './old-versions/version-5.json';
import version6 from './old-versions/version-6.json';
import version7 from './old-versions/version-7.json';
import version8 from './old-versions/version-8.json';
import version9 from './old-versions/version-9.json';
import version10 from './old-versions/version-10.json';
import version11 from './old-versions/version-11.json';
import version12 from './old-versions/version-12.json';
import version13 from './old-versions/version-13.json';
import version14 from './old-versions/version-14.json';
import version15 from './old-versions/version-15.json';
import version16 from './old-versions/version-16.json';
import version17 from './old-versions/version-17.json';
import version18 from './old-versions/version-18.json';
import version19 from './old-versions/version-19.json';
import version20 from './old-versions/version-20.json';
import version21 from './old-versions/version-21.json';
import version22 from './old-versions/version-22.json';
import version23 from './old-versions/version-23.json';
import version24 from './old-versions/version-24.json';
import version25 from './old-versions/version-25.json';
import version26 from './old-versions/version-26.json';
import { emptyCard } from '../bend';
import { insideAtFirst } from '../fitout/schema';
import { planAtFirst } from '../plan/schema';
import { weightsAtFirst } from '../weights/schema';
import { logAtFirst } from '../log/schema';
import { findRemedies, needsRemedy, seamsOf, standingOf } from '../panels';
import { setupAtFirst } from '../setup/schema';
import { PANEL_DEFAULTS, panelsAtFirst } from '../panels/schema';

describe.each(['tamsel', 'orrin'] as const)('the demo %s', (id) => {
  const project = demoProject(id, 'demo');
  const derived = createDerive()(project);
  it('is a valid project', () => expect(projectSchema.safeParse(project).success).toBe(true));
  it('develops with twist under 1° and no stop anywhere', () => {
    for (const panel of derived.panels.value.panels) expect(panel.maxTwist.value).toBeLessThan(1);
    expect(allFindings(derived).filter((finding) => finding.severity === 'stop')).toEqual([]);
  });
  it('has mating edges equal to 0.01 mm', () => {
    for (const seam of seamsOf(derived.panels.value.panels)) expect(Math.abs(seam.difference)).toBeLessThan(0.01);
  });
  it('leaves no figure that is not one', () => {
    expect(JSON.stringify(derived)).not.toMatch(/NaN|Infinity/);
    // JSON writes NaN as null; the only nulls allowed are radii of flat rulings
    const nulls = JSON.stringify(derived, (key, value: unknown) =>
      key === 'bendRadius' || key === 'minBendRadius' || key === 'endRadii' ? 0 : value,
    );
    expect(nulls).not.toContain('null');
  });
});

/** What frames got after the eighth version. */
const LATER = {
  ...{ taken: [], standing: 'each', pins: 0 },
  planked: { panel: '', board: 1220, from: 'aft', breadth: 45, depth: 20 },
};

/** What panels got after the versions of the first year. */
/** As epoxy was before it had a resin of its own. */
const BEFORE_RESIN = { filletBy: 'radius', tapeStep: 0, glueFillerShare: 0.3 };
/** Cloth cut to the edge, as before there was any to trim. */
const atEdge = <T extends object>(glass: T) => ({ ...glass, trim: 0, film: false });
const BEFORE_GLASS = { ...epoxyAtFirst({}, 'mm'), glass: atEdge(epoxyAtFirst({}, 'mm').glass) };
const NOT_PROUD = {
  ...{ proud: { lower: 0, upper: 0, fore: 0, aft: 0 }, ownProud: [], transomProud: { skin: 0, top: 0 } },
};

/** Marked at even steps, as before there were others, by one who works as most do. */
const evenly = <T extends object>(panels: T) => ({
  ...panels,
  ...{ markingStray: 0, accuracy: PANEL_DEFAULTS.accuracy, layered: [], ownThickness: [] },
});
const asDrawn = <T extends object>(timber: T) => ({ ...timber, sold: 'drawn' });
/** Of its own version all is as it was but what every one of those got since. */
const cutAlone = <T extends object>(sheets: T) => ({ ...sheets, stacked: false });
const ofToday = <T extends { readonly timber: object; readonly sheets: object }>(project: T) => ({
  ...project,
  ...{ version: PROJECT_VERSION, timber: asDrawn(project.timber), sheets: cutAlone(project.sheets) },
});
const ofOneSheet = <T extends object>(panels: T) => ({ ...panels, ownThickness: [] });
const inOneSheet = <T extends object>(panels: T) => ofOneSheet({ ...panels, layered: [] });

/** As a boat that had none begins with them. */
const PLAN_AND_LOG = { weights: weightsAtFirst(), plan: planAtFirst(), log: logAtFirst() };

describe('derive', () => {
  it('recomputes only what an edit touches', () => {
    const derive = createDerive();
    const project = demoProject('tamsel', 'x');
    derive(project);
    const after = (edits: Parameters<typeof applyEdits>[1]) => {
      const result = applyEdits(project, edits);
      if (!result.ok) throw new Error(result.reason);
      derive(project);
      derive(result.project);
      return derive.lastComputed();
    };
    expect(derive(project) && derive.lastComputed()).toEqual([]);
    expect(after([{ path: ['epoxy', 'waste'], value: 0.2 }])).toEqual(['epoxy', 'weights', 'wants', 'wanted', 'plan']);
    expect(after([{ path: ['lines', 'plotted'], value: ['3|port|chine|449.6|192.0'] }])).toEqual([]);
    expect(after([{ path: ['lines', 'fairingTolerance'], value: 5 }])).toEqual([]);
    expect(after([{ path: ['sheets', 'gap'], value: 7 }])).not.toContain('panels');
    const moved = after([{ path: ['lines', 'longitudinals', 'sheer', 'points', 3, 'halfBreadth'], value: 530 }]);
    expect(moved).toContain('panel chine-sheer');
    expect(moved).not.toContain('panel keel-chine');
  });
  it('gives the same answer with memory as without', () => {
    const [first, second] = DEMO_IDS.map((id) => demoProject(id, 'x'));
    if (!first || !second) throw new Error('two demos are needed');
    const remembering = createDerive();
    remembering(second);
    remembering(first);
    expect(remembering(second)).toEqual(createDerive()(second));
  });
  it('answers for hulls that are none: no lines, one line, all points in one place', () => {
    const project = demoProject('tamsel', 'x');
    const point = { station: '1', x: 5, halfBreadth: 5, height: 5 };
    const tables = [
      [],
      project.lines.longitudinals.slice(0, 1),
      project.lines.longitudinals.map((line) => ({ ...line, points: line.points.map(() => point) })),
      project.lines.longitudinals.map((line) => ({ ...line, points: line.points.slice(0, 2) })),
      [project.lines.longitudinals[1], { ...project.lines.longitudinals[1], id: 'twin' }].map(
        (line) => line as (typeof project.lines.longitudinals)[number],
      ),
      project.lines.longitudinals.map((line) => ({ ...line, points: [...line.points].reverse() })),
    ];
    for (const longitudinals of tables) {
      const derived = createDerive()({ ...project, lines: { ...project.lines, longitudinals } });
      expect(allFindings(derived).length).toBeGreaterThan(0);
    }
  });
});

describe('edits', () => {
  const project = demoProject('tamsel', 'x');
  it('enter lists by id, leave the rest the same object, and can be resolved for undo', () => {
    const path = ['frames', 'frames', 'frame.2', 'x'];
    const result = applyEdits(project, [{ path, value: 2500 }]);
    expect(result.ok && result.project.frames.frames[1]?.x).toBe(2500);
    expect(result.ok && result.project.lines).toBe(project.lines);
    expect(resolvePath(project, path)).toEqual({ path: ['frames', 'frames', 1, 'x'], value: 2400 });
  });
  it.each([
    [['frames', 'frames', 'frame.9', 'x'], 1],
    [['nothing'], 1],
    [['__proto__'], 1],
    [['lines', 'constructor'], 1],
    [['panels', 'toString', 'length'], 1],
    [['lines', 'longitudinals', -1, 'name'], 'x'],
    [['lines', 'longitudinals', 'length'], 1],
    [['lines', 'longitudinals', 99], 1],
    [['panels', 'stitches', 'spacing', 'deep'], 1],
    [['panels', 'thickness'], -4],
    [['panels', 'thickness'], 'thick'],
  ])('refuse %j = %j with a reason', (path, value) => {
    const result = applyEdits(project, [{ path, value }]);
    expect(result.ok ? '' : result.reason).toMatch(/\w/);
  });
});

describe('what is refused', () => {
  const project = demoProject('tamsel', 'x');
  const inches = { ...project, notation: 'in-16' as const };
  it.each([
    [
      project,
      ['panels', 'thickness'],
      0.5,
      'Skin thickness: 0.5 mm is not taken; expected a length from 1.0 mm to 40.0 mm',
    ],
    [project, ['epoxy', 'waste'], 0.99, 'Waste: 99 % is not taken; expected a share from 0 % to 80 %'],
    [project, ['joints', 'scarfRatio'], 0, 'Scarf ratio: 0 is not taken; expected a figure from 4 to 20'],
    [project, ['joints', 'scarfRatio'], NaN, 'Scarf ratio: expected a figure from 4 to 20'],
    [
      project,
      ['panels', 'stitches', 'spacing'],
      0.01,
      'Holes every: 0.01 mm is not taken; expected a length from 20.0 mm to 1000.0 mm, or 0 for none',
    ],
    [project, ['epoxy', 'sealingCoats'], 2.5, 'Sealing coats: 2.5 is not taken; expected a whole number from 0 to 6'],
    [project, ['epoxy', 'sealingCoats'], 1e300, 'expected a whole number from 0 to 6'],
    [inches, ['sheets', 'gap'], 254, 'Gap for the cut: 10 in is not taken; expected a length from 0 in to 3 15/16 in'],
    [project, ['panels', 'linesTo'], 'sideways', 'expected one of outside, middle, inside'],
  ])('is so by its name on the screen, in the boat’s unit (%#)', (of, path, value, words) => {
    const said = refusalOf(of, { path, value })?.sentence;
    expect(said).toContain(words);
    expect(words).toContain(refusalOf(of, { path, value })?.expected.slice(0, 10) ?? '');
    expect(said).not.toMatch(/NaN|received|<=|>=|9007199254740991|e\+/);
  });
  it('in a file is told with its place too', () => {
    const read = readProject({ ...project, epoxy: { ...project.epoxy, waste: 9 } });
    expect(read.ok ? '' : read.problems.join()).toBe(
      'epoxy.waste: Waste: 900 % is not taken; expected a share from 0 % to 80 %',
    );
  });
});

describe('the demo veyra', () => {
  const project = demoProject('veyra', 'demo');
  const { panels } = createDerive()(project);
  it('has one panel that will not develop, and says which', () => {
    expect(panels.value.panels.filter((panel) => needsRemedy(standingOf(panel))).map(({ id }) => id)).toEqual([
      'keel-chine',
    ]);
    expect(panels.findings.map(({ code }) => code)).toContain('panel-twist-high');
  });
  it('is cured by the smallest change offered, as edits of the project', () => {
    const [first] = findRemedies(project.lines, 'keel-chine');
    const cured = applyEdits(project, first?.edits ?? []);
    expect(cured.ok && createDerive()(cured.project).panels.findings).toEqual([]);
  });
});

/** What a part had not before the nineteenth version. */
const PLAIN_PART = { isTimber: false, hollow: { fore: 0, aft: 0, inner: 0 }, drain: 0, screws: 0, fittings: [] };

describe('readProject', () => {
  it('brings the frozen first version up to the present', () => {
    const read = readProject(version1);
    expect(
      read.ok && [read.fromVersion, read.project.version, read.project.school, read.project.frames.filletGap],
    ).toEqual([1, PROJECT_VERSION, 'filleted', 1.5]);
  });
  it('brings the frozen second version up: the lines get their datum, tolerance and drawing', () => {
    const read = readProject(version2);
    expect(read.ok && [read.fromVersion, read.project.version]).toEqual([2, PROJECT_VERSION]);
    expect(read.ok && read.project.lines).toMatchObject({ heightsFrom: null, fairingTolerance: 3, underlays: [] });
    expect(read.ok && read.project.lines.longitudinals).toEqual(version2.lines.longitudinals);
  });
  it('brings the frozen third version up: what panels had to be told is at its usual value', () => {
    const read = readProject(version3);
    expect(read.ok && [read.fromVersion, read.project.version]).toEqual([3, PROJECT_VERSION]);
    expect(read.ok && read.project.panels).toEqual(evenly({ ...version3.panels, ...PANEL_DEFAULTS }));
  });
  it('brings the frozen fifth version up: transoms cap, the bottom is sheathed to the uppermost chine', () => {
    const read = readProject(version5);
    expect(read.ok && [read.fromVersion, read.project.version]).toEqual([5, PROJECT_VERSION]);
    expect(read.ok && read.project.panels).toEqual({
      ...{ ...evenly(version5.panels), transomFit: 'caps', transomEnds: 'inner' },
      ...NOT_PROUD,
    });
    expect(read.ok && read.project.epoxy).toEqual({ ...BEFORE_GLASS, ...BEFORE_RESIN, ...version5.epoxy });
  });
  it('brings the frozen sixth version up: every frame is the whole upright section, as it was', () => {
    const read = readProject(version6);
    expect(read.ok && read.project.frames).toEqual({
      ...version6.frames,
      frames: version6.frames.frames.map((frame) => plainFrame(frame as FramePlan)),
      keep: keptIn('mm'),
      members: [],
      bevelStep: 300,
      datum: { kind: 'fore', of: '' },
      girders: [],
      relief: 0,
      screws: screwsIn('mm'),
      ...timberIn('mm'),
      ...LATER,
    });
  });
  it('brings the frozen seventh version up: sawn frames and moulds have their stock', () => {
    const read = readProject(version7);
    expect(read.ok && read.project.frames).toEqual({
      ...version7.frames,
      frames: version7.frames.frames.map((frame) => ({ ...frame, shape: '', slots: [], cleats: [] })),
      girders: [],
      relief: 0,
      screws: { ...screwsIn('in-16'), ends: 25 },
      ...timberIn('mm'),
      ...LATER,
    });
  });
  it('brings the frozen eighth version up: no slots, cleats, doublers or lids, frames stand as each is told', () => {
    const read = readProject(version8);
    const bare = { doubler: 0, lid: 0, lip: 0, room: 0 };
    expect(read.ok && read.project.frames).toEqual({
      ...version8.frames,
      screws: screwsIn('mm'),
      ...LATER,
      frames: version8.frames.frames.map((frame) => ({ ...frame, shape: '', slots: [], cleats: [] })),
      girders: version8.frames.girders.map((girder) => ({
        ...girder,
        openings: girder.openings.map((opening) => ({ ...opening, ...bare })),
      })),
    });
  });
  it('brings the frozen ninth version up: no lips, no lids within, no pins', () => {
    const read = readProject(version9);
    expect(read.ok && read.project.frames).toEqual({
      ...version9.frames,
      screws: screwsIn('mm'),
      pins: 0,
      frames: version9.frames.frames.map((frame) => ({
        ...frame,
        openings: frame.openings.map((opening) => ({ ...opening, lip: 0, room: 0 })),
      })),
    });
  });
  it('brings the frozen tenth version up: all joints are scarfs where the program puts them', () => {
    const read = readProject(version10);
    expect(read.ok && read.project.joints).toEqual({ ...jointsAtFirst('mm'), ...version10.joints, strapUse: 'none' });
    expect(read.ok && read.project.frames).toEqual({ ...version10.frames, screws: screwsIn('mm') });
  });
  it('brings the frozen eleventh version up: cut to the line, sheets of no kind with nothing spoiled', () => {
    const read = readProject(version11);
    const nothing = { skin: '', transoms: '', inside: '' };
    expect(read.ok && read.project.joints).toEqual({
      ...{ ...version11.joints, way: 'pieces', toFrames: 'clear', strapUse: 'none' },
    });
    expect(read.ok && read.project.sheets).toEqual({
      ...version11.sheets,
      stock: version11.sheets.stock.map((sheet) => ({ ...sheet, ...PLAIN_SHEET })),
      ...{ kinds: nothing, scribed: [], spares: [], laid: [], stacked: false },
    });
    expect(read.ok && read.project.panels).toEqual({ ...evenly(version11.panels), ...NOT_PROUD });
  });
  it('brings the frozen twelfth version up: fillets by radius, tapes of one width, a usual resin', () => {
    const read = readProject(version12);
    expect(read.ok && read.project.epoxy).toEqual({ ...BEFORE_GLASS, ...BEFORE_RESIN, ...version12.epoxy });
    expect(read.ok && read.project.sheets).toEqual(cutAlone({ ...version12.sheets, spares: [] }));
    const inches = readProject({ ...version12, notation: 'in-16' });
    const { filletLeg, glass, packs, resin } = epoxyAtFirst({}, 'in-16');
    expect(inches.ok && inches.project.epoxy).toMatchObject({ filletLeg, glass: atEdge(glass), packs, resin });
  });
  it('brings the frozen thirteenth version up: screws are left in, all is glued with epoxy, nothing is painted', () => {
    const read = readProject(version13);
    const { glues, gluedWith, finishes, fillers, tabs, flat } = epoxyAtFirst({}, 'mm');
    expect(read.ok && read.project.epoxy).toEqual({
      ...{ ...version13.epoxy, glues, gluedWith, finishes, fillers, tabs, flat },
      glass: atEdge(version13.epoxy.glass),
    });
    expect(read.ok && read.project.frames).toEqual({ ...version13.frames, screws: screwsIn('mm') });
    expect(read.ok && read.project.setup).toEqual(setupAtFirst({}, 'mm'));
    const inches = readProject({ ...version13, notation: 'in-16' });
    expect(inches.ok && inches.project.setup).toEqual(setupAtFirst({}, 'in-16'));
    const { diameter, staples } = screwsIn('in-16');
    expect(inches.ok && inches.project.frames.screws).toMatchObject({ diameter, staples });
  });
  it('brings the frozen fourteenth version up: readings stay, a level floor, panels as drawn, nothing wrong', () => {
    const read = readProject(version14);
    const { floor, sides, asBuilt, limits, faults } = setupAtFirst({}, 'mm');
    const rails = { ...version14.setup.rails, long: 0 };
    expect(read.ok && read.project.setup).toEqual({ ...version14.setup, rails, floor, sides, asBuilt, limits, faults });
    const inches = readProject({ ...version14, notation: 'in-16' });
    expect(inches.ok && inches.project.setup.limits).toEqual(setupAtFirst({}, 'in-16').limits);
  });
  it('brings the frozen fifteenth version up: nothing more is counted, cloth cut to the edge', () => {
    const read = readProject(version15);
    const { tabs, flat } = epoxyAtFirst({}, 'mm');
    const glass = atEdge(version15.epoxy.glass);
    expect(read.ok && read.project.epoxy).toEqual({ ...version15.epoxy, glass, tabs, flat });
    expect(read.ok && read.project.joints).toEqual({ ...version15.joints, strapUse: 'none' });
    expect(read.ok && read.project.sheets).toEqual(cutAlone({ ...version15.sheets, spares: [] }));
    const inches = readProject({ ...version15, notation: 'in-16' });
    expect(inches.ok && inches.project.epoxy.tabs).toEqual(epoxyAtFirst({}, 'in-16').tabs);
  });
  it('brings the frozen sixteenth version up: nothing lies inside, and all else is as it was', () => {
    const read = readProject(version16);
    expect(read.ok && read.project).toEqual({
      ...ofToday(version16),
      panels: evenly(version16.panels),
      fitout: insideAtFirst(),
      ...PLAN_AND_LOG,
    });
  });
  it('brings the frozen seventeenth version up: nothing stands over the deck, and all else is as it was', () => {
    const read = readProject(version17);
    const fitout = { ...insideAtFirst(), parts: version17.fitout.parts.map((part) => ({ ...part, ...PLAIN_PART })) };
    expect(read.ok && read.project).toEqual({
      ...ofToday(version17),
      panels: evenly(version17.panels),
      fitout,
      ...PLAN_AND_LOG,
    });
  });
  it('brings the frozen eighteenth version up: no one is in the boat, no edge is hollowed, all else as it was', () => {
    const read = readProject(version18);
    const { walls, blocks } = version18.fitout;
    const parts = version18.fitout.parts.map((part) => ({ ...part, ...PLAIN_PART }));
    const fitout = { ...insideAtFirst(), parts, walls, blocks };
    expect(read.ok && read.project).toEqual({
      ...ofToday(version18),
      panels: evenly(version18.panels),
      fitout,
      ...PLAN_AND_LOG,
    });
  });
  it('brings the frozen nineteenth version up: no knee hangs in the boat, and all else is as it was', () => {
    const read = readProject(version19);
    const fitout = { ...version19.fitout, knees: [] };
    expect(read.ok && read.project).toEqual({
      ...ofToday(version19),
      panels: evenly(version19.panels),
      fitout,
      ...PLAN_AND_LOG,
    });
  });
  it('brings the frozen twentieth version up: rates as usual, no budget, and all else is as it was', () => {
    const read = readProject(version20);
    const plan = { ...version20.plan, rates: planAtFirst().rates };
    expect(read.ok && read.project).toEqual({
      ...ofToday(version20),
      panels: evenly(version20.panels),
      ...PLAN_AND_LOG,
      plan,
    });
  });
  it('brings the frozen twenty-first version up: no job after another, she floats bare, all else as it was', () => {
    const read = readProject(version21);
    expect(read.ok && read.project).toEqual({
      ...ofToday(version21),
      panels: evenly(version21.panels),
      weights: weightsAtFirst(),
    });
    const job = { id: 'turn', hours: 2, notBefore: '', isDone: true };
    const own = readProject({ ...version21, plan: { ...version21.plan, jobs: [job] } });
    expect(own.ok && own.project.plan.jobs).toEqual([{ ...job, after: '' }]);
  });
  it('brings the frozen twenty-second version up: marked at even steps as before, in its own rule', () => {
    const read = readProject(version22);
    expect(read.ok && read.project).toEqual({
      ...ofToday(version22),
      panels: evenly(version22.panels),
    });
    const inches = readProject({ ...version22, notation: 'in-16' });
    expect(inches.ok && inches.project.panels.accuracy.rule).toBe(panelsAtFirst({}, 'in-16').accuracy.rule);
  });
  it('brings the frozen twenty-third version up: without a card, and takes one', () => {
    const read = readProject(version23);
    expect(read.ok && read.project).toEqual({
      ...ofToday(version23),
      panels: inOneSheet(version23.panels),
    });
    const { hasBowTransom: _has, bow: _bow, ...older } = emptyCard();
    const carded = readProject({ ...version23, lines: { ...version23.lines, card: older } });
    expect(carded.ok && carded.project.lines.card).toEqual(emptyCard());
  });
  it('brings the frozen twenty-fourth version up: a card of it comes together at the bow', () => {
    const read = readProject(version24);
    expect(read.ok && read.project).toEqual({
      ...ofToday(version24),
      panels: inOneSheet(version24.panels),
    });
    const { hasBowTransom: _has, bow: _bow, ...older } = { ...emptyCard(), stem: 30 };
    const carded = readProject({ ...version24, lines: { ...version24.lines, card: older } });
    expect(carded.ok && carded.project.lines.card).toEqual({ ...emptyCard(), stem: 30 });
  });
  it('brings the frozen twenty-fifth version up: each panel one sheet thick', () => {
    const read = readProject(version25);
    expect(read.ok && read.project).toEqual({
      ...ofToday(version25),
      panels: inOneSheet(version25.panels),
    });
  });
  it('brings the frozen twenty-sixth version up: every panel of the skin’s own sheet', () => {
    const read = readProject(version26);
    expect(read.ok && read.project).toEqual({
      ...ofToday(version26),
      panels: ofOneSheet(version26.panels),
    });
  });
  it('opens one of the fifth version that today’s rules would refuse: two of one id, holes too near', () => {
    const [frame, ...others] = version5.frames.frames;
    const odd = {
      ...version5,
      frames: { ...version5.frames, frames: [frame, { ...frame, name: 'Twin' }, ...others] },
      panels: { ...version5.panels, stitches: { spacing: 0.01, inset: 9 } },
    };
    const read = readProject(odd);
    expect(read.ok && read.project.frames.frames.map(({ id }) => id).slice(0, 2)).toEqual([
      frame!.id,
      `${frame!.id}-2`,
    ]);
    expect(read.ok && read.project.panels.stitches).toEqual({ spacing: 0, inset: 9 });
  });
  it('brings the frozen fourth version up: no rounding, no split, a flat transom, the first revision', () => {
    const read = readProject(version4);
    expect(read.ok && [read.fromVersion, read.project.version, read.project.revision]).toEqual([4, PROJECT_VERSION, 1]);
    expect(read.ok && read.project.panels).toEqual({
      ...evenly(version4.panels),
      accuracy: panelsAtFirst({}, 'in').accuracy, // a boat of inches
      roundedChines: [],
      splits: [],
      transomRadius: null,
      transomFit: 'caps',
      transomEnds: 'inner',
      ...NOT_PROUD,
    });
  });
  it.each<[string, unknown, RegExp]>([
    ['a list', [], /not a Kalotrope project/],
    ['another format', { format: 'x' }, /"format" is "x"/],
    ['no version', { format: 'kalotrope-project' }, /"version" is missing/],
    [
      'a heap of figures',
      { format: 'kalotrope-project', version: 1, lines: Array.from({ length: 400_000 }, () => 1) },
      /no boat has/,
    ],
    [
      'a well of lists',
      {
        format: 'kalotrope-project',
        version: 1,
        lines: JSON.parse(`${'['.repeat(5000)}${']'.repeat(5000)}`) as unknown,
      },
      /lines/,
    ],
    [
      'two frames of one id',
      (() => {
        const own = demoProject('tamsel', 'x');
        const [frame, ...others] = own.frames.frames;
        return { ...own, frames: { ...own.frames, frames: [frame, { ...frame, x: 9 }, ...others] } };
      })(),
      /frames\.frames: the id "frame\.1" is there twice/,
    ],
    ['a later version', { format: 'kalotrope-project', version: 99 }, /later Kalotrope/],
    ['a broken first version', { format: 'kalotrope-project', version: 1, frames: 7 }, /lines/],
    ['a wrong figure', { ...demoProject('tamsel', 'x'), panels: { thickness: 'six' } }, /panels\.thickness/],
  ])('refuses %s and says where', (_name, data, wanted) => {
    const read = readProject(data);
    expect(read.ok ? '' : read.problems.join('; ')).toMatch(wanted);
  });
});
