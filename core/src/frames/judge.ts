/** All frames of the plan, and what is wrong with where they stand and what is cut in them. */
import {
  at,
  boundsOf,
  contains,
  differenceOf,
  distanceToSegment,
  netArea,
  segmentsCross,
  simplifyRing,
  solidDistance,
  type Box,
  type Outline,
  type Vec2,
} from '../geometry';
import type { Hull } from '../lines';
import type { Panel } from '../panels';
import { makeAnew, type Remember } from '../stage';
import type { Blank } from './blank';
import { outOfReach, type Cut } from './cuts';
import type { FramesFinding, FramesResult } from './findings';
import type { Girder } from './girder/girder';
import { shapeFrame, type Frame, type FrameMaking, type TimberedPlan } from './frame';
import { runMember, type MemberRun, type SkinFaces } from './member';
import type { Planked } from './planked/boards';
import type { RollingBevel } from './rolling-bevel';
import type { ScrewRow } from './fastenings/screws';
import type { FramePlan, FramesPart, Member } from './schema';
import { placeInBoat } from './section';
import type { Taken } from './taken/shape';
import { frameThing, memberThing } from './things';

export type FramesMaking = FrameMaking & { readonly keep: FramesPart['keep'] };

/** Everything of the stage. */
export type FramesValue = {
  readonly frames: readonly Frame[];
  readonly members: readonly MemberRun[];
  readonly screws: readonly ScrewRow[];
  /** Parts that stand along the boat. */
  readonly girders: readonly Girder[];
  /** Along every line that panels meet on, and a straight stem or stern. */
  readonly bevels: readonly RollingBevel[];
  /** Shapes taken off a hull. */
  readonly taken: readonly Taken[];
  /** A bottom laid across the boat; absent: none. */
  readonly planked?: Planked;
};

/** The members along the hull, each remembered by itself; one that cannot run is left out, and told. */
export function runMembers(
  hull: Hull,
  panels: readonly Panel[],
  members: readonly Member[],
  skin: SkinFaces,
  remember: Remember = makeAnew,
): FramesResult<readonly MemberRun[]> {
  const runs = members.map((member) => ({
    member,
    run: remember(`member ${member.id}`, runMember, member, hull, panels, skin),
  }));
  return {
    value: runs.flatMap(({ run }) => run ?? []),
    findings: runs.flatMap(({ member: { id, name }, run }): FramesFinding[] =>
      run
        ? []
        : [
            {
              ...{ severity: 'stop', code: 'member-nowhere', data: { member: name } },
              where: { stage: 'frames', part: memberThing(id) },
            },
          ],
    ),
    assumed: [],
  };
}

/** All frames of the plan: each is remembered by itself. */
export function shapeFrames(
  { fromX, toX }: Pick<Hull, 'fromX' | 'toX'>,
  panels: readonly Panel[],
  plans: readonly TimberedPlan[],
  making: FramesMaking,
  remember: Remember = makeAnew,
): FramesResult<readonly Frame[]> {
  const ends = { fromX, toX };
  const shaped = plans.map((plan) => remember(`frame ${plan.id}`, shapeOne, plan, panels, making, ends));
  const frames = shaped.flatMap(({ frame }) => frame ?? []);
  const findings = [...shaped.flatMap((one) => one.findings), ...judgePlaces(frames, ends)];
  return { value: frames, findings, assumed: [] };
}

type Ends = Pick<Hull, 'fromX' | 'toX'>;
type Judged = { readonly frame: Frame | undefined; readonly findings: readonly FramesFinding[] };

/** A bow worth saying: under this, a plane leaves as much. */
const BOW_WORTH_SAYING_MM = 1;

function shapeOne(plan: TimberedPlan, panels: readonly Panel[], making: FramesMaking, ends: Ends): Judged {
  const where = placeOf(plan);
  const shaped = shapeFrame(plan, panels, making);
  if (!shaped.ok) {
    const data = { frame: plan.name, xMm: plan.x, fromMm: ends.fromX, toMm: ends.toX };
    const codes = { 'no-shape': 'frame-no-shape', 'nothing-left': 'frame-empty' } as const;
    const finding: FramesFinding =
      shaped.why === 'no-section'
        ? { severity: 'stop', code: 'frame-outside', where, data }
        : { severity: 'stop', code: codes[shaped.why], where, data: { frame: plan.name } };
    return { frame: undefined, findings: [finding] };
  }
  const { frame, blank } = shaped;
  const bows = frame.edges.flatMap((edge): FramesFinding[] => {
    if (edge.sectionBow < BOW_WORTH_SAYING_MM) return [];
    const data = { frame: plan.name, panel: edge.panelName, bowMm: edge.sectionBow };
    return [{ severity: 'note', code: 'frame-bow', where: { ...where, panel: edge.panel }, data }];
  });
  return { frame, findings: [...bows, ...judgeCuts(plan, frame, blank, making)] };
}

const placeOf = ({ id, x }: Pick<FramePlan, 'id' | 'x'>) => ({ stage: 'frames', part: frameThing(id), x }) as const;

/** Openings and holes too near to an edge or to one another, or where there is nothing to cut. */
function judgeCuts(plan: FramePlan, frame: Frame, { base, cuts, ring }: Blank, making: FramesMaking): FramesFinding[] {
  const { keep, members = [] } = making;
  const where = placeOf(plan);
  const cutName = (cut: Pick<Cut, 'of' | 'id'>) => nameOfCut(plan, members, cut);
  const found: FramesFinding[] = [];
  if (frame.pieces > 1)
    found.push({ severity: 'stop', code: 'frame-in-pieces', where, data: { frame: plan.name, pieces: frame.pieces } });
  found.push(...judgeSpall(frame, making));
  for (const cut of outOfReach(base, plan)) {
    const data = { frame: plan.name, cut: cutName(cut) };
    found.push({ severity: 'check', code: 'cut-outside', where, data });
  }
  for (const { id, shape, corner } of plan.openings)
    if (shape === 'rounded' && corner < keep.corner) {
      const data = {
        frame: plan.name,
        cut: cutName({ of: 'openings', id }),
        cornerMm: corner,
        leastMm: keep.corner,
      };
      found.push({ severity: 'check', code: 'cut-sharp', where, data });
    }
  const rims = [...base.outlines, ...ring].map(coarse);
  const own = cuts.map((cut) => ({ cut, outline: coarse(cut.outline), box: boundsOf(cut.outline) }));
  own.forEach(({ cut, outline, box }, i) => {
    const least = leastBeside(cut, keep);
    const name = cutName(cut);
    const isAtEdge = isMeantAtEdge(plan, cut);
    if (!isAtEdge && !base.outlines.some((whole) => contains(whole, middleOf(box)))) {
      found.push({ severity: 'check', code: 'cut-outside', where, data: { frame: plan.name, cut: name } });
      return;
    }
    const nearMm = Math.min(...rims.map((rim) => rimDistance(rim, outline, least)));
    if (nearMm < least - DUST_MM && !isAtEdge) {
      const data = { frame: plan.name, cut: name, nearMm, leastMm: least };
      found.push({ severity: 'check', code: 'cut-near-edge', where, data });
    }
    for (const other of own.slice(i + 1)) {
      const room = Math.max(least, leastBeside(other.cut, keep));
      if (isApart(box, other.box, room)) continue;
      const apartMm = solidDistance(outline, other.outline);
      if (apartMm >= room - DUST_MM) continue;
      const data = { frame: plan.name, cut: name, other: cutName(other.cut), nearMm: apartMm, leastMm: room };
      found.push({ severity: 'check', code: 'cuts-near', where, data });
    }
  });
  return [...saidOnce(found), ...judgeFitted(plan, frame, base.outlines)];
}

/** Doublers that reach over the part's edge, lids with nothing to lie on, cleats of which nothing is left. */
function judgeFitted(plan: FramePlan, frame: Frame, outlines: readonly Outline[]): FramesFinding[] {
  const where = placeOf(plan);
  const off = plan.openings.flatMap(({ id }, i): FramesFinding[] => {
    const doubler = frame.rims.find((rim) => rim.id === `${plan.id}.${id}.doubler`);
    if (!doubler || differenceOf([doubler.region.outline], outlines).every((left) => netArea(left) < DUST_MM))
      return [];
    return [
      {
        severity: 'check',
        code: 'doubler-off',
        where,
        data: { frame: plan.name, cut: `${CUT_NAMES.openings} ${i + 1}` },
      },
    ];
  });
  const loose = plan.openings.flatMap(({ id, doubler, lip, room }, i): FramesFinding[] => {
    const data = { frame: plan.name, cut: `${CUT_NAMES.openings} ${i + 1}` };
    if (doubler > 0 && !frame.rims.some((rim) => rim.id === `${plan.id}.${id}.doubler`))
      return [{ severity: 'check', code: 'lip-closes', where, data }];
    if (room === 0 || (doubler > 0 && lip > room)) return [];
    return [{ severity: 'check', code: 'lid-loose', where, data }];
  });
  const lost = plan.cleats.flatMap(({ id }, i): FramesFinding[] =>
    frame.cleats.some((cleat) => cleat.id === id)
      ? []
      : [{ severity: 'check', code: 'cleat-nowhere', where, data: { frame: plan.name, cleat: i + 1 } }],
  );
  return [...off, ...loose, ...lost];
}

/** A cross-spall that is wanted at a height to which the part does not reach. */
function judgeSpall(frame: Frame, { sawn, moulds }: FramesMaking): FramesFinding[] {
  const upMm = (frame.kind === 'mould' ? moulds : sawn).spall.height;
  if (upMm === null || !frame.timbered || frame.timbered.spall || frame.hand !== 'across') return [];
  const [fromMm, toMm] = heightsOf(frame);
  const data = { frame: frame.name, upMm, fromMm, toMm };
  return [{ severity: 'check', code: 'spall-nowhere', where: placeOf(frame), data }];
}

/** What is true of both of a pair is said once: of the same cuts, in the same words. */
function saidOnce(found: readonly FramesFinding[]): FramesFinding[] {
  const key = ({ code, data }: FramesFinding) =>
    [code, 'cut' in data ? data.cut : '', 'other' in data ? data.other : ''].join('|');
  return found.filter((finding, i) => found.findIndex((one) => key(one) === key(finding)) === i);
}

const middleOf = ({ minX, maxX, minY, maxY }: Box): Vec2 => [(minX + maxX) / 2, (minY + maxY) / 2];

/** Rounds are drawn by chords: what is short by less is not short. */
const DUST_MM = 0.1;
/** Outlines are compared with so much of their points left out. */
const COARSE_MM = 0.05;

const coarse = (outline: Outline): Outline => simplifyRing(outline, COARSE_MM);

const leastBeside = ({ of }: Cut, { opening, hole }: FramesPart['keep']): number =>
  of === 'openings' ? opening : hole;

/** A notch and a half-moon are cut out of the edge. */
const isMeantAtEdge = ({ limbers }: FramePlan, { of, id }: Cut): boolean =>
  of === 'members' || of === 'slots' || (of === 'limbers' && limbers.find((limber) => limber.id === id)?.setIn === 0);

const CUT_NAMES = { openings: 'opening', limbers: 'limber hole', slots: 'slot' } as const;

/** `Opening 2`, as it is listed; of a notch the member's name. */
function nameOfCut(plan: FramePlan, members: readonly MemberRun[], { of, id }: Pick<Cut, 'of' | 'id'>): string {
  if (of === 'members') return `the notch for ${members.find((run) => run.id === id)?.name ?? id}`;
  const place = plan[of].findIndex((one) => one.id === id) + 1;
  return `${CUT_NAMES[of]} ${place}`;
}

/**
 * Between the rims of two outlines, of which one may lie in the other; no more than a limit: only what of the first
 * comes so near to the second is looked at.
 */
function rimDistance(whole: Outline, cut: Outline, limitMm: number): number {
  const box = boundsOf(cut);
  const [minX, maxX] = [box.minX - limitMm, box.maxX + limitMm];
  const [minY, maxY] = [box.minY - limitMm, box.maxY + limitMm];
  let least = limitMm;
  whole.forEach((a, i) => {
    const b = at(whole, (i + 1) % whole.length);
    if (Math.max(a[0], b[0]) < minX || Math.min(a[0], b[0]) > maxX) return;
    if (Math.max(a[1], b[1]) < minY || Math.min(a[1], b[1]) > maxY) return;
    cut.forEach((p, k) => {
      const q = at(cut, (k + 1) % cut.length);
      least = segmentsCross(a, b, p, q) ? 0 : Math.min(least, distanceToSegment(p, a, b), distanceToSegment(a, p, q));
    });
  });
  return least;
}

/** Whether two boxes are further from each other than a limit, along either axis. */
const isApart = (a: Box, b: Box, limitMm: number): boolean =>
  a.minX - b.maxX > limitMm || b.minX - a.maxX > limitMm || a.minY - b.maxY > limitMm || b.minY - a.maxY > limitMm;

/** A bottom that cannot be planked as it is asked, and timbers too many to be worked out. */
export function judgePlanked(
  { panel, depth }: Pick<FramesPart['planked'], 'panel' | 'depth'>,
  laid: Planked | undefined,
  most: number,
): FramesFinding[] {
  if (panel === '') return [];
  if (!laid) return [{ severity: 'check', code: 'planked-nowhere', where: { stage: 'frames' }, data: {} }];
  const seams = laid.seams.length;
  if (seams <= most || depth === 0) return [];
  const where = { stage: 'frames', panel } as const;
  return [{ severity: 'check', code: 'planked-many', where, data: { seams, most } }];
}

type Standing = Pick<Frame, 'x' | 'width' | 'face' | 'rakeRad'>;

/** At a height over the base line: from its forward face to its after one. */
function bodyAt({ x, width, face, rakeRad }: Standing, height: number): readonly [number, number] {
  const station = x + height * Math.tan(rakeRad);
  const along = width / Math.cos(rakeRad);
  return face === 'fore' ? [station, station + along] : [station - along, station];
}

/** From its foremost point to its aftmost. */
function bodyOf(frame: Standing & Pick<Frame, 'outline'>): readonly [number, number] {
  const bodies = heightsOf(frame).map((height) => bodyAt(frame, height));
  return [Math.min(...bodies.map(([fore]) => fore)), Math.max(...bodies.map(([, aft]) => aft))];
}

/** The least and the greatest height over the base line. */
function heightsOf(frame: Standing & Pick<Frame, 'outline'>): readonly [number, number] {
  const heights = frame.outline.map((p) => placeInBoat(frame, p)[2]);
  return [Math.min(...heights), Math.max(...heights)];
}

/** Faces this near touch. */
const TOUCH_MM = 1e-6;

/** Frames that reach out of the hull or into one another. */
function judgePlaces(frames: readonly Frame[], { fromX, toX }: Ends): FramesFinding[] {
  const inOrder = [...frames].sort((a, b) => bodyOf(a)[0] - bodyOf(b)[0]);
  return inOrder.flatMap((frame, i): FramesFinding[] => {
    const where = placeOf(frame);
    const [fore, aft] = bodyOf(frame);
    const found: FramesFinding[] = [];
    if (fore < fromX - TOUCH_MM || aft > toX + TOUCH_MM) {
      const toMm = fore < fromX - TOUCH_MM ? fore : aft;
      const data = { frame: frame.name, toMm, fromMm: fromX, endMm: toX };
      found.push({ severity: 'stop', code: 'frame-beyond', where, data });
    }
    for (const other of inOrder.slice(i + 1)) {
      const overlapMm = overlapOf(frame, other);
      if (overlapMm <= TOUCH_MM) continue;
      const data = { frame: frame.name, other: other.name, overlapMm };
      found.push({ severity: 'stop', code: 'frames-overlap', where, data });
    }
    return found;
  });
}

/** Along the boat, at the height at which they stand in one another most; negative: apart. */
function overlapOf(a: Frame, b: Frame): number {
  if (!sharesWidth(a, b)) return -Infinity;
  const [lowA, highA] = heightsOf(a);
  const [lowB, highB] = heightsOf(b);
  const [low, high] = [Math.max(lowA, lowB), Math.min(highA, highB)];
  if (low > high) return -Infinity;
  // between their ends they overlap most where two of their faces cross
  const lean = Math.tan(a.rakeRad) - Math.tan(b.rakeRad);
  const crossings =
    lean === 0
      ? []
      : bodyAt(a, 0).flatMap((one) => bodyAt(b, 0).map((other) => Math.min(high, Math.max(low, (other - one) / lean))));
  return Math.max(
    ...[low, high, ...crossings].map((height) => {
      const [one, other] = [bodyAt(a, height), bodyAt(b, height)];
      return Math.min(one[1], other[1]) - Math.max(one[0], other[0]);
    }),
  );
}

/** Whether two frames have a place athwart in common: halves to either side, and parts beside a trunk, have not. */
function sharesWidth(a: Frame, b: Frame): boolean {
  const spans = [a, b].map(({ cut, hand }) => {
    const ys = cut.outline.map(([y]) => y);
    const span = [Math.min(...ys), Math.max(...ys)] as const;
    return hand === 'pair' ? [span, [-span[1], -span[0]] as const] : [span];
  }) as [(readonly [number, number])[], (readonly [number, number])[]]; // two
  return spans[0].some(([from, to]) =>
    spans[1].some((other) => Math.min(to, other[1]) - Math.max(from, other[0]) > TOUCH_MM),
  );
}
