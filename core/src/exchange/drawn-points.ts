/**
 * The table's points of a line that was drawn: chosen so that the batten through them follows the drawing.
 *
 * Candidates are the corners of both views, each read in the other view at its x. Where the drawing names stations,
 * those are the points; of a line drawn by few corners every corner is one; of one drawn in many pieces, as few as keep
 * the batten within FIT_MM of every candidate: both ends and the knuckles first, then, in each stretch, the candidate
 * furthest off. What is left between batten and drawing is measured at the candidates and at even steps along the
 * batten, and told where it is over TOLD_MM.
 */
import { at, distance2, distance3, dot3, lerp3, sub3, type Vec2, type Vec3 } from '../geometry';
import { battenAt, bendBatten, type OffsetPoint } from '../lines';
import { curveReader, drawnCurve, isDense, knucklesOf, offDrawn, offPolyline2, type DrawnCurve } from './drawn-curve';

/** A line as its views draw it, from forward aft: (x, height) and (x, half-breadth). */
export type DrawnLine = {
  readonly name: string;
  readonly profile: readonly Vec2[];
  readonly plan: readonly Vec2[] | undefined;
};
export type Place = { readonly label: string; readonly x: number };
export type TakenPoints = { readonly points: OffsetPoint[]; readonly notes: string[] } | { readonly problem: string };

/** Of the batten from what is drawn: what is promised, and what is aimed at, with room for rounding. */
const TOLD_MM = 0.05;
const FIT_MM = 0.02;
/** A table of more points is not read, and the smoothness of the line is lost in their rounding. */
const MOST_FITTED = 60;
/** Corners of two views nearer in x than this are one. */
export const MEET_MM = 0.5;
/** Steps at which the batten is tried between two points. */
const TRIED = 12;
/** Corners tried between two points, spread evenly. */
const MOST_TRIED = 100;

type Candidate = { readonly at: Vec3; readonly isKnuckle: boolean; readonly label?: string };

/** Points at `stations`; without any, where the line itself asks for them. */
export function takePoints(line: DrawnLine, stations: readonly Place[]): TakenPoints {
  const isPath = line.profile.some((p, i) => i > 0 && p[0] <= at(line.profile, i - 1)[0] + SAME_X_MM);
  if (isPath && line.plan)
    return {
      problem:
        `Layer PROFILE ${line.name}: the line turns back or stands upright; expected one that runs aft all through, ` +
        'or one without a plan',
    };
  // on the centreline there is only the profile: it may run as it likes
  if (isPath) return pathPoints(line);
  const views = viewsOf(line);
  if (views.plan && views.plan.points.length < 2)
    return { problem: `Layer PLAN ${line.name}: the line stands upright; expected one that runs aft` };
  const all = candidatesOf(views);
  const chosen = stations.length > 0 ? stationCandidates(views, all, stations) : chosenOf(all, views);
  const notes = departureNotes(line, chosen, offBothViews(views), all);
  const away = views.plan && endsApart(line, views.plan.points);
  return { points: pointsFrom(chosen), notes: away ? [away, ...notes] : notes };
}

const SAME_X_MM = 1e-6;

type Views = { readonly profile: DrawnCurve; readonly plan: DrawnCurve | undefined };

const viewsOf = ({ profile, plan }: DrawnLine): Views => ({
  profile: drawnCurve(profile),
  plan: plan && drawnCurve(plan.filter((p, i) => i === 0 || p[0] > at(plan, i - 1)[0] + SAME_X_MM)),
});

function endsApart({ name, profile }: DrawnLine, plan: readonly Vec2[]): string | undefined {
  const ends = [0, -1] as const;
  const apart = Math.max(...ends.map((end) => Math.abs(at(profile, end)[0] - at(plan, end)[0])));
  if (apart <= MEET_MM) return undefined;
  const range = (points: readonly Vec2[]) => ends.map((end) => Math.round(at(points, end)[0])).join(' to ');
  return (
    `${name}: the profile runs from ${range(profile)} mm, the plan from ${range(plan)}; ` +
    'beyond the plan’s ends its end breadth was taken'
  );
}

const readerOf = ({ profile, plan }: Views) => {
  const [heightAt, breadthAt] = [curveReader(profile), plan ? curveReader(plan) : () => 0];
  return (x: number): Vec3 => [x, breadthAt(x), heightAt(x)];
};

/** Every corner of either view within the profile's ends, in order. */
function candidatesOf(views: Views): Candidate[] {
  const read = readerOf(views);
  const [from, to] = [at(views.profile.points, 0)[0], at(views.profile.points, -1)[0]];
  const corners = [views.profile, ...(views.plan ? [views.plan] : [])]
    .flatMap(({ points, knuckles }) => {
      const broken = new Set(knuckles);
      return points.map(([x], i) => ({ x, isKnuckle: broken.has(i) }));
    })
    .filter(({ x }) => x > from + SAME_X_MM && x < to - SAME_X_MM)
    .sort((a, b) => a.x - b.x);
  const kept: { x: number; isKnuckle: boolean }[] = [{ x: from, isKnuckle: false }];
  for (const corner of corners) {
    const last = at(kept, -1);
    if (corner.x - last.x > MEET_MM) kept.push(corner);
    else if (corner.isKnuckle && kept.length > 1) kept[kept.length - 1] = corner;
  }
  while (kept.length > 1 && to - at(kept, -1).x < MEET_MM) kept.pop();
  kept.push({ x: to, isKnuckle: false });
  return kept.map(({ x, isKnuckle }) => ({ at: read(x), isKnuckle }));
}

function stationCandidates(views: Views, all: readonly Candidate[], stations: readonly Place[]): Candidate[] {
  const read = readerOf(views);
  const [first, last] = [at(all, 0), at(all, -1)];
  const inside = stations.filter(({ x }) => x > first.at[0] + MEET_MM && x < last.at[0] - MEET_MM);
  const knuckles = all.filter(({ isKnuckle }) => isKnuckle);
  const isBroken = (x: number) => knuckles.some((k) => Math.abs(k.at[0] - x) < MEET_MM);
  const atStations = inside.map(({ x, label }): Candidate => ({ at: read(x), isKnuckle: isBroken(x), label }));
  const between = knuckles.filter((k) => !inside.some(({ x }) => Math.abs(k.at[0] - x) < MEET_MM));
  return [first, ...[...atStations, ...between].sort((a, b) => a.at[0] - b.at[0]), last];
}

const chosenOf = (all: readonly Candidate[], { profile, plan }: Views): Candidate[] =>
  profile.isDense || plan?.isDense ? fitted(all) : [...all];

/** As few candidates as keep the batten near all of them, MOST_FITTED at most. */
function fitted(all: readonly Candidate[]): Candidate[] {
  const even = Array.from({ length: 5 }, (_, i) => Math.round(((all.length - 1) * i) / 4));
  const chosen = new Set([...even, ...all.flatMap(({ isKnuckle }, i) => (isKnuckle ? [i] : []))]);
  while (chosen.size < MOST_FITTED) {
    const indices = [...chosen].sort((a, b) => a - b);
    const worst = worstByStretch(all, indices);
    if (worst.length === 0) break;
    // one place more mends its neighbours too: those that are hardly off may need none of their own
    const bad = worst.filter(({ off }) => off >= at(worst, 0).off / 2);
    for (const { index } of bad.slice(0, MOST_FITTED - chosen.size)) chosen.add(index);
  }
  return [...chosen].sort((a, b) => a - b).map((i) => at(all, i));
}

/** In each stretch between chosen candidates the one furthest off the batten, if by over FIT_MM; worst first. */
function worstByStretch(all: readonly Candidate[], chosen: readonly number[]) {
  const stretches = sampledStretches(chosen.map((i) => at(all, i)));
  const found: { index: number; off: number }[] = [];
  for (let k = 1; k < chosen.length; k++) {
    let worst = { index: -1, off: FIT_MM };
    const step = Math.ceil((at(chosen, k) - at(chosen, k - 1)) / MOST_TRIED);
    for (let i = at(chosen, k - 1) + 1; i < at(chosen, k); i += step) {
      const off = offPolyline(at(all, i).at, at(stretches, k - 1));
      if (off > worst.off) worst = { index: i, off };
    }
    if (worst.index >= 0) found.push(worst);
  }
  return found.sort((a, b) => b.off - a.off);
}

/** The batten through the candidates, sampled between each two. */
function sampledStretches(chosen: readonly Candidate[]): Vec3[][] {
  const points = chosen.map((c) => c.at);
  const batten = bendBatten(
    points,
    chosen.flatMap(({ isKnuckle }, i) => (isKnuckle ? [i] : [])),
  );
  const along = [0];
  for (let i = 1; i < points.length; i++) along.push(at(along, -1) + distance3(at(points, i - 1), at(points, i)));
  return along.slice(1).map((end, k) => {
    const start = at(along, k);
    return Array.from({ length: TRIED + 1 }, (_, j) => {
      const t = (start + ((end - start) * j) / TRIED) / at(along, -1);
      return battenAt(batten, Math.min(1, t), j === TRIED ? -1 : 1).position;
    });
  });
}

function offPolyline(p: Vec3, line: readonly Vec3[]): number {
  let least = Infinity;
  for (let i = 1; i < line.length; i++) least = Math.min(least, offStretch(p, at(line, i - 1), at(line, i)));
  return least;
}

function offStretch(p: Vec3, a: Vec3, b: Vec3): number {
  const d = sub3(b, a);
  const square = dot3(d, d);
  const w = square > 0 ? Math.min(1, Math.max(0, dot3(sub3(p, a), d) / square)) : 0;
  return distance3(p, lerp3(a, b, w));
}

type OffDrawing = (p: Vec3) => number;

const offBothViews =
  ({ profile, plan }: Views): OffDrawing =>
  ([x, y, z]) =>
    Math.max(offDrawn(profile, [x, z]), plan ? offDrawn(plan, [x, y]) : 0);

/** What to say where the batten through the chosen points leaves the drawing. */
function departureNotes(
  { name }: DrawnLine,
  chosen: readonly Candidate[],
  off: OffDrawing,
  all: readonly Candidate[],
): string[] {
  let worst = { off: TOLD_MM, x: NaN };
  const stretches = sampledStretches(chosen);
  for (const p of stretches.flat()) if (off(p) > worst.off) worst = { off: off(p), x: p[0] };
  let k = 0;
  for (const candidate of all) {
    while (k < stretches.length - 1 && at(chosen, k + 1).at[0] <= candidate.at[0]) k += 1;
    const distance = offPolyline(candidate.at, at(stretches, k));
    if (distance > worst.off) worst = { off: distance, x: candidate.at[0] };
  }
  if (Number.isNaN(worst.x)) return [];
  const mm = worst.off.toFixed(worst.off < 1 ? 2 : 1);
  return [
    `${name}: a fair curve through the points taken lies up to ${mm} mm off the drawn line, ` +
      `at x ${Math.round(worst.x)}`,
  ];
}

/** A line on the centreline that turns back or stands upright: points by their order along it. */
function pathPoints(line: DrawnLine): TakenPoints {
  const points = line.profile.filter((p, i) => i === 0 || distance2(p, at(line.profile, i - 1)) > MEET_MM / 10);
  const broken = new Set(knucklesOf(points));
  const all = points.map(([x, z], i): Candidate => ({ at: [x, 0, z], isKnuckle: broken.has(i) }));
  const chosen = isDense(points) ? fitted(all) : all;
  const off: OffDrawing = ([x, , z]) => offPolyline2(points, [x, z]);
  const notes = chosen.length < 2 ? [] : departureNotes(line, chosen, off, []);
  return { points: pointsFrom(chosen).map((p) => ({ ...p, station: '' })), notes };
}

const pointsFrom = (chosen: readonly Candidate[]): OffsetPoint[] =>
  chosen.map(({ at: [x, y, z], isKnuckle, label }, i) => ({
    station: label ?? (i === 0 ? 'fore end' : i === chosen.length - 1 ? 'aft end' : ''),
    x: hundredth(x),
    halfBreadth: hundredth(y),
    height: hundredth(z),
    ...(isKnuckle ? { isKnuckle } : {}),
  }));

export const hundredth = (mm: number) => Math.round(mm * 100) / 100;
