/**
 * Where tape and cloth lie on the flat panels: every seam that meets a panel, as a line on it, with the width of its
 * tape on this panel.
 *
 * Method: a seam of panels along their own edges. Of one over a panel's face each point between the two rulings that it
 * is nearest to, by its distances from them, at its share along each; points that stand further off than the skin is
 * thick belong to another panel. A tape lies with half its width on either side of the corner. Conventions: the flat
 * panel's own plane. Accuracy: over a face some millimetres at its ends, for a picture.
 */
import { at, distance3, lerp2, polylineLength, type Vec2, type Vec3 } from '../geometry';
import { pointsBetween, thicknessOf, type Panel } from '../panels';
import type { EpoxyPart } from './schema';
import { isWithin, scheduleOf, type Seam, type SeamEdge } from './seams';

export type Zone = {
  readonly seam: string;
  readonly name: string;
  readonly line: readonly Vec2[];
  /** Of the whole tape; half of it lies on this panel on each side of the line. */
  readonly widthMm: number;
  readonly layers: { readonly inside: number; readonly outside: number };
};

/** A stretch shorter than this is a corner that only touches. */
const LEAST_MM = 20;

/** Beyond the skin’s thickness a seam may stand so far off a panel’s face and still lie on it, mm. */
const SPARE_MM = 2;

/** @param thickness of the usual sheet, or the panel's own: what stands inside of it is that far off the face */
export function zonesOn(panel: Panel, seams: readonly Seam[], part: EpoxyPart, thickness: number): Zone[] {
  const off = thicknessOf(panel, thickness) + SPARE_MM;
  return seams.flatMap((seam) => {
    const { inside, outside, tapeWidth } = scheduleOf(seam, part);
    const layers = { inside, outside: isWithin(seam) ? 0 : outside };
    const own = seam.edges
      .filter((edge) => edge.panel === panel.id)
      .flatMap((edge) => onBothHands(edge, panel))
      .map((edge) => lineOf(panel, edge));
    const paths = panel.spansCentreline ? seam.paths.flatMap(withMirror) : seam.paths;
    const lines = seam.edges.length > 0 ? own : paths.flatMap((path) => stretchesOn(panel, path, off));
    return lines
      .filter((line) => polylineLength(line) >= LEAST_MM)
      .map((line): Zone => ({ seam: seam.id, name: seam.name, line, widthMm: tapeWidth, layers }));
  });
}

/** Of a panel that lies across the boat both edges, where the other runs along the same line on the port hand. */
const onBothHands = (edge: SeamEdge, { spansCentreline }: Panel): SeamEdge[] =>
  spansCentreline && 'line' in edge ? [edge, { ...edge, end: edge.end === 'P' ? 'Q' : 'P' }] : [edge];

/** Nearer to the centreline it lies on it. */
const ON_CENTRELINE_MM = 0.5;

/** Seams are told of the starboard hand. */
function withMirror(path: readonly Vec3[]): (readonly Vec3[])[] {
  const isOn = ([, y]: Vec3) => Math.abs(y) < ON_CENTRELINE_MM;
  if (path.length === 0 || path.every(isOn)) return [path];
  const port = path.map(([x, y, z]): Vec3 => [x, -y, z]);
  // one that begins on the centreline goes on over it
  return isOn(at(path, 0)) ? [[...port.reverse(), ...path.slice(1)]] : [path, port];
}

/** Of a line’s parameter this much is none. */
const NONE = 1e-6;

/** A panel’s own edge in the flat. */
function lineOf(panel: Panel, edge: SeamEdge): Vec2[] {
  if (!('line' in edge)) {
    const { flatP, flatQ } = at(panel.rulings, edge.end === 'fore' ? 0 : -1);
    return [flatP, flatQ];
  }
  const { end, line, from, to } = edge;
  const stretch = panel.stretches[end === 'P' ? 0 : 1].find(
    (one) => one.line === line && one.lineFrom <= from + NONE && one.lineTo >= to - NONE,
  );
  return stretch ? pointsBetween({ panel, end, stretch }, [from, to]).map(({ flat }) => flat) : [];
}

/** Both edges of a tape, and the corner that it lies in, in the flat: one of them may lie off the panel. */
export const zoneEdges = ({ line, widthMm }: Pick<Zone, 'line' | 'widthMm'>): Vec2[][] =>
  [-widthMm / 2, 0, widthMm / 2].map((off) =>
    line.map((p, i): Vec2 => {
      const [from, to] = [at(line, Math.max(0, i - 1)), at(line, Math.min(line.length - 1, i + 1))];
      const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
      const along = Math.hypot(dx, dy);
      return along === 0 ? p : [p[0] - (dy / along) * off, p[1] + (dx / along) * off];
    }),
  );

/** Of a path in the boat what lies on a panel, in the flat. */
function stretchesOn(panel: Panel, path: readonly Vec3[], off: number): Vec2[][] {
  const found: Vec2[][] = [];
  let open: Vec2[] | undefined;
  for (const point of path) {
    const flat = flatOf(panel, point, off);
    if (!flat) open = undefined;
    else if (open) open.push(flat);
    else found.push((open = [flat]));
  }
  return found;
}

type Foot = { readonly off: number; readonly flat: Vec2 };

function flatOf({ rulings }: Panel, point: Vec3, off: number): Vec2 | undefined {
  const feet = rulings.map(({ p, q, flatP, flatQ }): Foot => {
    const share = shareAlong(p, q, point);
    const foot = [0, 1, 2].map((k) => p[k]! + share * (q[k]! - p[k]!)) as unknown as Vec3; // three of three
    return { off: distance3(foot, point), flat: lerp2(flatP, flatQ, share) };
  });
  const k = feet.reduce((best, foot, i) => (foot.off < at(feet, best).off ? i : best), 0);
  const near = at(feet, k);
  const beside = [feet[k - 1], feet[k + 1]].filter((foot) => foot !== undefined).sort((a, b) => a.off - b.off)[0];
  if (!beside) return near.off <= off ? near.flat : undefined;
  const apart = Math.hypot(beside.flat[0] - near.flat[0], beside.flat[1] - near.flat[1]);
  // between two rulings: what it stands off both of them is the panel's face that it stands off
  const along = apart === 0 ? 0 : (apart ** 2 + near.off ** 2 - beside.off ** 2) / (2 * apart);
  const from = Math.sqrt(Math.max(0, near.off ** 2 - along ** 2));
  if (from > off || along > apart || -along > off) return undefined;
  return lerp2(near.flat, beside.flat, apart === 0 ? 0 : Math.max(0, along) / apart);
}

function shareAlong(p: Vec3, q: Vec3, point: Vec3): number {
  const [d, e] = [0, 1, 2].reduce(
    ([dot, length], k) => {
      const run = q[k]! - p[k]!;
      return [dot + run * (point[k]! - p[k]!), length + run * run];
    },
    [0, 0] as readonly [number, number],
  );
  return e === 0 ? 0 : Math.min(1, Math.max(0, d / e));
}
