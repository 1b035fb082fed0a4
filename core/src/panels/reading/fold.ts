/**
 * A hull folded up from its flat panels, part of the way: how the panels bend and close on one another.
 *
 * Method (derived here): a developed panel is a strip of flat facets hinged along its rulings. With every hinge
 * turned by the same share of its angle the strip is at every stage a true, unstretched state of the sheet: from the
 * middle ruling outward each facet is carried on by the one before and turned about the ruling between them. The
 * panels hang together at the middle of what they share: all lie level at first, and each swings up from the one
 * below. Accuracy: facets of a panel with twist are not quite flat; folded up wholly such a panel lies off the hull
 * by as much.
 */
import { add3, at, cross3, dot3, length3, lerp3, scale3, sub3, unit3, type Vec3 } from '../../geometry';
import { onEdge, onLine, sharedStretches, type Shared } from '../neighbours';
import type { Panel } from '../panel';
import { layFlat, type LaidRuling } from '../../surface';

export type FoldedRuling = { readonly p: Vec3; readonly q: Vec3 };

/** A turn about the origin and a shift, as three columns and where the origin goes. */
type Motion = { readonly x: Vec3; readonly y: Vec3; readonly z: Vec3; readonly to: Vec3 };

const STILL: Motion = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1], to: [0, 0, 0] };
const turned = ({ x, y, z }: Motion, v: Vec3): Vec3 => add3(add3(scale3(x, v[0]), scale3(y, v[1])), scale3(z, v[2]));
const moved = (motion: Motion, p: Vec3): Vec3 => add3(turned(motion, p), motion.to);
const after = (second: Motion, first: Motion): Motion => ({
  x: turned(second, first.x),
  y: turned(second, first.y),
  z: turned(second, first.z),
  to: moved(second, first.to),
});

/** The rulings of every starboard panel in space. @param share 0 is flat, 1 the hull */
export function foldHull(panels: readonly Panel[], share: number): FoldedRuling[][] {
  let carried = STILL;
  let normal: Vec3 = [0, 0, -1]; // of the bench that all lie on at first
  const shared = sharedStretches(panels);
  const lying = new Map<Panel, readonly FoldedRuling[]>();
  return panels.map((panel) => {
    const hang = shared.find(({ above, below }) => above.panel === panel && below && lying.has(below.panel));
    const k = hang ? hangingRuling(panel, hang) : Math.floor(panel.rulings.length / 2);
    const { p, s } = at(panel.rulings, k);
    const face = at(facetNormals(panel.rulings), Math.min(k, panel.rulings.length - 2));
    // a bottom that spans the centreline lies level already
    if (!panel.spansCentreline) carried = after(carried, swing(p, face, normal, 1 - share));
    const below = hang?.below;
    const place =
      hang &&
      below &&
      edgeAt(below.panel, lying.get(below.panel) ?? [], onEdge(below.stretch, onLine(hang.above.stretch, s)));
    if (place) carried = { ...carried, to: add3(carried.to, sub3(place, moved(carried, p))) };
    normal = face;
    const folded = foldPanel(panel, share, k).map((r) => ({ p: moved(carried, r.p), q: moved(carried, r.q) }));
    lying.set(panel, folded);
    return folded;
  });
}

/**
 * The ruling by which a panel hangs on the one below: its middle one if that lies on what they share, else the
 * nearest to the middle of that.
 */
function hangingRuling({ rulings }: Panel, { above, from, to }: Shared): number {
  const [a, b] = [onEdge(above.stretch, from), onEdge(above.stretch, to)];
  const middle = Math.floor(rulings.length / 2);
  const isOn = ({ s }: LaidRuling) => s >= a && s <= b;
  if (isOn(at(rulings, middle))) return middle;
  const found = rulings.findIndex((r) => r.s >= (a + b) / 2);
  return Math.min(rulings.length - 2, Math.max(1, found));
}

/** Part of the shortest turn about a point that takes one direction to another. */
function swing(through: Vec3, from: Vec3, to: Vec3, share: number): Motion {
  const axis = cross3(from, to);
  const sine = length3(axis);
  return sine < 1e-9 ? STILL : turnRound(through, scale3(axis, 1 / sine), share * Math.atan2(sine, dot3(from, to)));
}

/** Where the upper edge of a folded panel has the line's parameter u. */
function edgeAt({ rulings }: Panel, folded: readonly FoldedRuling[], u: number): Vec3 {
  const found = rulings.findIndex((r) => r.t >= u);
  const k = found === -1 ? rulings.length - 1 : Math.max(1, found);
  const [a, b] = [at(rulings, k - 1), at(rulings, k)];
  return lerp3(at(folded, k - 1).q, at(folded, k).q, b.t > a.t ? (u - a.t) / (b.t - a.t) : 0);
}

/** One panel, the ruling that it hangs by staying where it is on the hull. */
function foldPanel({ rulings }: Panel, share: number, middle: number): FoldedRuling[] {
  const flat = layFlat(
    rulings.map((r) => r.p),
    rulings.map((r) => r.q),
  );
  const folded: FoldedRuling[] = rulings.map(({ p, q }) => ({ p, q }));
  const onBench = (k: number, end: 'p' | 'q'): Vec3 => [at(flat[end], k)[0], at(flat[end], k)[1], 0];
  const normals = facetNormals(rulings);
  for (const way of [1, -1] as const) {
    // the facet next to the middle lies as on the hull; both ways start from the facet aft of the middle
    let motion = layOn(onBench, rulings, middle, at(normals, middle));
    folded[middle] = { p: moved(motion, onBench(middle, 'p')), q: moved(motion, onBench(middle, 'q')) };
    if (way === -1) motion = hinge(motion, onBench, middle, -share * foldAt(rulings, normals, middle));
    for (let k = middle + way; k >= 0 && k < rulings.length; k += way) {
      const here: FoldedRuling = { p: moved(motion, onBench(k, 'p')), q: moved(motion, onBench(k, 'q')) };
      folded[k] = here;
      const isInner = k > 0 && k < rulings.length - 1;
      if (isInner) motion = hinge(motion, onBench, k, way * share * foldAt(rulings, normals, k));
    }
  }
  return folded;
}

type Bench = (k: number, end: 'p' | 'q') => Vec3;

/** Takes the bench's plane to the hull so that ruling k falls on itself and the bench's face on the given normal. */
function layOn(bench: Bench, rulings: readonly LaidRuling[], k: number, normal: Vec3): Motion {
  const ruling = at(rulings, k);
  const [a, b] = [bench(k, 'p'), bench(k, 'q')];
  const up = unit3(sub3(b, a));
  const upThere = unit3(sub3(ruling.q, ruling.p));
  const face = unit3(sub3(normal, scale3(upThere, dot3(normal, upThere))));
  // bench axes: along the ruling, its face (0, 0, -1: outside down), and the third square to both
  const [f, s] = [[0, 0, -1] as Vec3, cross3(up, [0, 0, -1])];
  const there = cross3(upThere, face);
  const image = (axis: 0 | 1 | 2): Vec3 => {
    const e: Vec3 = [axis === 0 ? 1 : 0, axis === 1 ? 1 : 0, axis === 2 ? 1 : 0];
    return add3(add3(scale3(upThere, dot3(e, up)), scale3(face, dot3(e, f))), scale3(there, dot3(e, s)));
  };
  const motion: Motion = { x: image(0), y: image(1), z: image(2), to: [0, 0, 0] };
  return { ...motion, to: sub3(ruling.p, turned(motion, a)) };
}

/** The motion of the next facet: this one's, turned about ruling k as it lies now. */
function hinge(motion: Motion, bench: Bench, k: number, angle: number): Motion {
  const [a, b] = [moved(motion, bench(k, 'p')), moved(motion, bench(k, 'q'))];
  return length3(sub3(b, a)) < 1e-6 ? motion : after(turnRound(a, unit3(sub3(b, a)), angle), motion);
}

/** A turn about a line through `through` (Rodrigues). */
function turnRound(through: Vec3, axis: Vec3, angle: number): Motion {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const image = (v: Vec3): Vec3 =>
    add3(add3(scale3(v, c), scale3(cross3(axis, v), s)), scale3(axis, dot3(axis, v) * (1 - c)));
  const motion: Motion = { x: image([1, 0, 0]), y: image([0, 1, 0]), z: image([0, 0, 1]), to: [0, 0, 0] };
  return { ...motion, to: sub3(through, turned(motion, through)) };
}

/** Normals of the facets between successive rulings; one without an area has its neighbour's. */
function facetNormals(rulings: readonly LaidRuling[]): Vec3[] {
  return rulings.slice(1).map((b, k) => {
    const a = at(rulings, k);
    const [along, up] = [sub3(add3(b.p, b.q), add3(a.p, a.q)), sub3(add3(a.q, b.q), add3(a.p, b.p))];
    const normal = cross3(up, along);
    if (length3(normal) < 1e-6) return a.normal;
    const unit = unit3(normal);
    return dot3(unit, a.normal) < 0 ? scale3(unit, -1) : unit;
  });
}

/** The turn from facet k−1 to facet k about ruling k, from P to Q. */
function foldAt(rulings: readonly LaidRuling[], normals: readonly Vec3[], k: number): number {
  const { p, q } = at(rulings, k);
  if (k < 1 || k > normals.length - 1 || length3(sub3(q, p)) < 1e-6) return 0;
  return turnAbout(unit3(sub3(q, p)), at(normals, k - 1), at(normals, k));
}

const turnAbout = (axis: Vec3, from: Vec3, to: Vec3): number =>
  Math.atan2(dot3(axis, cross3(from, to)), dot3(from, to));
