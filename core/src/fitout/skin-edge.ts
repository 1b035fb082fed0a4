/**
 * Where a face of a part meets the skin: half of its edge on the flat sheet, from forward aft, with its bevel.
 *
 * Method: every ruling of the panels, moved square to the skin by `inset`, is met by the face in closed form or by a
 * bracketed root; between the rulings the ends lie on the panel's own edges. Runs of neighbouring panels are joined at
 * their ends, cut back to where they cross or run on to it, and what is over the centreline falls away. A part that
 * lies over the sheer meets the skin as if that ran on upward.
 * Bevel away from square: asin(n·m), n the skin's outward normal, m square to the part towards its other face; positive
 * where the edge falls inward toward that. Of a face that looks up the other one lies under it.
 * Accuracy: exact on cones and cylinders but for the chords between rulings, under 0.02 mm at three hundred a panel.
 */
import {
  at,
  bracketedRoot,
  crossLines,
  distance2,
  distance3,
  dot3,
  lerp2,
  lerp3,
  scale3,
  sub3,
  unit3,
  type Vec2,
  type Vec3,
} from '../geometry';
import { toDeg } from '../measure';
import type { Panel } from '../panels';
import { wholeEnds } from '../surface';
import { flatOf, heightOver, ownDirection, upwardAt, type FaceOfLie, type Lie } from './lie';

export type SkinPoint = {
  readonly flat: Vec2;
  readonly space: Vec3;
  /** Away from square, towards the face underneath. */
  readonly bevelDeg: number;
  /** On the sheet square to the edge, into the boat. */
  readonly inward: Vec2;
  /** Where it is on the inside of which panel, as that lies flat. */
  readonly mark: { readonly panel: string; readonly flat: Vec2 };
};

export type SkinAsked = {
  readonly face: FaceOfLie;
  /** From a panel's lines, into the boat. */
  readonly insetOf: (panel: Panel) => number;
  /** The uppermost panel is taken to run on by this; 0: it ends at the sheer. */
  readonly runOn: number;
  /** On the sheet, kept clear of the skin; negative: beyond it. */
  readonly gap: number;
};

/**
 * Runs whose ends lie further apart are not brought together: there is no skin between. Over a bottom that rises one in
 * forty the inside of a skin begins forty times its thickness abaft its outside: of 6 mm 240 mm.
 */
const MEET_REACH_MM = 250;
const REACH_OF_INSET = 42;

const reachOf = (panels: readonly Panel[], { insetOf }: Pick<SkinAsked, 'insetOf'>): number =>
  Math.max(MEET_REACH_MM, ...panels.map((panel) => REACH_OF_INSET * Math.abs(insetOf(panel))));
/** On the sheet: closer to the centreline is on it. */
const ON_CENTRELINE_MM = 1e-6;

/** Each of the edges that it has, from forward aft: mostly one. */
export function skinEdges(panels: readonly Panel[], lie: Lie, asked: SkinAsked): SkinPoint[][] {
  const runs = panels.flatMap((panel, i) => {
    const isUppermost = i === panels.length - 1;
    return runsOn(panel, lie, { ...asked, runOn: isUppermost ? asked.runOn : 0 });
  });
  const reachMm = reachOf(panels, asked);
  return joined(runs, reachMm)
    .flatMap((run) => onOneSide(run, reachMm))
    .filter((run) => run.length > 1)
    .map((run) => (at(run, 0).flat[0] > at(run, -1).flat[0] ? [...run].reverse() : run))
    .sort((a, b) => at(a, 0).flat[0] - at(b, 0).flat[0]);
}

/** Of a panel that spans the centreline what lies to starboard. */
function halfOf({ rulings, spansCentreline }: Panel): readonly Ruled[] {
  return rulings.map((ruling) => {
    const { p, q, normal } = ruling;
    const [flatP, flatQ] = wholeEnds(ruling);
    const w = spansCentreline && p[1] < 0 && q[1] > 0 ? p[1] / (p[1] - q[1]) : 0;
    return { p: lerp3(p, q, w), q, normal, flatP: lerp2(flatP, flatQ, w), flatQ };
  });
}

/** A ruling, in the boat and on the flat panel. */
type Ruled = {
  readonly p: Vec3;
  readonly q: Vec3;
  readonly normal: Vec3;
  readonly flatP: Vec2;
  readonly flatQ: Vec2;
};
type Moved = Ruled & { readonly overP: number; readonly overQ: number };

function runsOn(panel: Panel, lie: Lie, { face, insetOf, runOn, gap }: SkinAsked): SkinPoint[][] {
  const inset = insetOf(panel);
  const over = (place: Vec3) => heightOver(lie, place, face);
  const moved = halfOf(panel).map((ruling): Moved => {
    const [a, b] = [ruling.p, ruling.q].map((end) => sub3(end, scale3(ruling.normal, inset))) as [Vec3, Vec3]; // two
    const on = runOn > 0 ? 1 + runOn / Math.max(1, distance3(a, b)) : 1;
    const far = lerp3(a, b, on);
    const flatQ = lerp2(ruling.flatP, ruling.flatQ, on);
    return { ...ruling, p: a, q: far, flatQ, overP: over(a), overQ: over(far) };
  });
  const runs: SkinPoint[][] = [[]];
  const put = ({ place, normal, flat }: Crossed) =>
    at(runs, -1).push(pointAt(lie, { place, normal, gap, mark: { panel: panel.id, flat } }));
  moved.forEach((ruling, k) => {
    const isOn = ruling.overP > 0 !== ruling.overQ > 0;
    const isWithin = at(runs, -1).length > 0;
    const before = moved[k - 1];
    const ends = before && (isOn !== isWithin || !isOn) ? edgeCrossings(before, ruling, over) : [];
    // rulings that lie along the face are passed between two of them
    if (!isOn && !isWithin && ends.length < 2) return;
    if (!isWithin) ends.forEach(put);
    if (isOn) put(crossingOn(ruling, over));
    else {
      if (isWithin) ends.forEach(put);
      runs.push([]);
    }
  });
  return runs.filter((run) => run.length > 1);
}

type Crossed = { readonly place: Vec3; readonly normal: Vec3; readonly flat: Vec2 };

/** Where a ruling passes through the face. */
function crossingOn({ p, q, normal, flatP, flatQ }: Moved, over: (place: Vec3) => number): Crossed {
  const w = shareTo(p, q, over);
  return { place: lerp3(p, q, w), normal, flat: lerp2(flatP, flatQ, w) };
}

const shareTo = (a: Vec3, b: Vec3, over: (place: Vec3) => number): number =>
  bracketedRoot((t) => over(lerp3(a, b, t)), 0, 1, SHARE_TOLERANCE) ?? 0;
const SHARE_TOLERANCE = 1e-12;

/** Between two rulings, where an edge of the panel passes through the face. */
function edgeCrossings(a: Moved, b: Moved, over: (place: Vec3) => number): Crossed[] {
  const edges = [
    { isThere: a.overP > 0 !== b.overP > 0, from: a.p, to: b.p, flats: [a.flatP, b.flatP] as const },
    { isThere: a.overQ > 0 !== b.overQ > 0, from: a.q, to: b.q, flats: [a.flatQ, b.flatQ] as const },
  ];
  return edges
    .filter(({ isThere }) => isThere)
    .map(({ from, to, flats }) => {
      const w = shareTo(from, to, over);
      return { place: lerp3(from, to, w), normal: unit3(lerp3(a.normal, b.normal, w)), flat: lerp2(...flats, w) };
    });
}

type Told = { readonly place: Vec3; readonly normal: Vec3; readonly gap: number; readonly mark: SkinPoint['mark'] };

function pointAt(lie: Lie, { place, normal, gap, mark }: Told): SkinPoint {
  const [u, v] = flatOf(lie, place);
  const n = ownDirection(lie, normal);
  const up = upwardAt(lie, v);
  const athwart: Vec3 = [0, up[2], -up[1]];
  const out: Vec2 = [n[0], dot3(n, athwart)];
  const length = Math.hypot(...out) || 1;
  const inward: Vec2 = [-out[0] / length, -out[1] / length];
  return {
    flat: [u + gap * inward[0], v + gap * inward[1]],
    space: place,
    bevelDeg: toDeg(Math.asin(Math.max(-1, Math.min(1, -dot3(n, up))))),
    inward,
    mark,
  };
}

/** Nearest ends first. */
function joined(runs: readonly SkinPoint[][], reachMm: number): SkinPoint[][] {
  const left = [...runs];
  for (;;) {
    const near = nearestEnds(left, reachMm);
    if (!near) return left;
    const [a, b] = [at(left, near.one), at(left, near.other)];
    const first = near.isStartOfOne ? [...a].reverse() : a;
    const second = near.isEndOfOther ? [...b].reverse() : b;
    left.splice(near.other, 1);
    left.splice(near.one, 1, meet(first, second, reachMm));
  }
}

function nearestEnds(runs: readonly SkinPoint[][], reachMm: number) {
  let best = { far: reachMm, one: -1, other: -1, isStartOfOne: false, isEndOfOther: false };
  for (let one = 0; one < runs.length; one++)
    for (let other = one + 1; other < runs.length; other++)
      for (const isStartOfOne of [false, true])
        for (const isEndOfOther of [false, true]) {
          const [a, b] = [at(at(runs, one), isStartOfOne ? 0 : -1), at(at(runs, other), isEndOfOther ? -1 : 0)];
          // over the centreline nothing is left of either: they do not meet there, but end
          if (Math.max(a.flat[1], b.flat[1]) <= ON_CENTRELINE_MM) continue;
          const far = distance2(a.flat, b.flat);
          if (a.mark.panel !== b.mark.panel && far < best.far) best = { far, one, other, isStartOfOne, isEndOfOther };
        }
  return best.one < 0 ? undefined : best;
}

/** The end of the first and the start of the second, cut back or run on to where they cross. */
function meet(first: readonly SkinPoint[], second: readonly SkinPoint[], reachMm: number): SkinPoint[] {
  const end = at(first, -1).flat;
  for (let i = first.length - 1; i > 0; i--) {
    if (distance2(at(first, i).flat, end) > 2 * reachMm) break;
    for (let j = 1; j < second.length; j++) {
      if (distance2(at(second, j - 1).flat, end) > 2 * reachMm) break;
      const found = crossLines(at(first, i - 1).flat, at(first, i).flat, at(second, j - 1).flat, at(second, j).flat);
      if (!found) continue;
      const { w, v } = found;
      const isWithin = w >= 0 && v <= 1 && (i === first.length - 1 || w <= 1) && (j === 1 || v >= 0);
      if (!isWithin || distance2(found.point, end) > reachMm) continue;
      const corner = between(at(first, i - 1), at(first, i), w);
      const next = between(at(second, j - 1), at(second, j), v);
      return [...first.slice(0, i), corner, next, ...second.slice(j)];
    }
  }
  return [...first, ...second];
}

/** A share of the way from one place of an edge to the next. */
export const between = (a: SkinPoint, b: SkinPoint, w: number): SkinPoint => ({
  flat: [a.flat[0] + w * (b.flat[0] - a.flat[0]), a.flat[1] + w * (b.flat[1] - a.flat[1])],
  space: lerp3(a.space, b.space, w),
  bevelDeg: w <= 0.5 ? a.bevelDeg : b.bevelDeg,
  inward: w <= 0.5 ? a.inward : b.inward,
  mark: markBetween(a.mark, b.mark, w),
});

/** Over the edge from one panel to the next the mark stays on the first. */
const markBetween = (a: SkinPoint['mark'], b: SkinPoint['mark'], w: number): SkinPoint['mark'] =>
  a.panel === b.panel ? { panel: a.panel, flat: lerp2(a.flat, b.flat, w) } : a;

/**
 * What lies to starboard, cut at the centreline; an end that comes near it is run on to it. At a fine end of a thick
 * skin the inside of a bottom may come over the centreline where the sides leave no room: a stretch by itself.
 */
function onOneSide(run: readonly SkinPoint[], reachMm: number): SkinPoint[][] {
  const isOver = (k: number) => at(run, k).flat[1] > ON_CENTRELINE_MM;
  const stretches: SkinPoint[][] = [];
  for (let first = 0; first < run.length; first++) {
    if (!isOver(first)) continue;
    let last = first;
    while (last + 1 < run.length && isOver(last + 1)) last++;
    const own = run.slice(first, last + 1);
    if (own.length > 1)
      stretches.push([
        ...toCentreline(run[first - 1], at(own, 0), at(own, 1), reachMm),
        ...own,
        ...toCentreline(run[last + 1], at(own, -1), at(own, -2), reachMm),
      ]);
    first = last;
  }
  return stretches;
}

function toCentreline(beyond: SkinPoint | undefined, end: SkinPoint, within: SkinPoint, reachMm: number): SkinPoint[] {
  if (beyond) return [between(end, beyond, end.flat[1] / (end.flat[1] - beyond.flat[1]))];
  const fall = within.flat[1] - end.flat[1];
  if (fall <= 0) return [];
  const reached = between(end, within, -end.flat[1] / fall);
  return distance2(reached.flat, end.flat) < reachMm ? [reached] : [];
}
