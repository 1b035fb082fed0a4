/**
 * The rolling bevel of a long member in a corner: chine log, keelson, sheer clamp, stem.
 *
 * Method (derived here): at a place of a line each panel that meets there leaves along its own ruling. What is left
 * of that direction square to the line's tangent lies in the panel's tangent plane and in the plane square to the
 * line; the angle between the two, on the side of the hull's inside, is the dihedral. Between rulings their
 * directions are blended by the line's parameter. Along the centreline the other panel is the mirror; along a line
 * that only one panel reaches (a sheer) it is a deck that lies straight athwart. A straight stem or stern has the
 * side's last ruling for its line: both panels leave it as the side does by its normal.
 * The rip: a saw tilted by a bevel takes off a wedge, and tilted less it takes off less; so the tilt that leaves
 * wood everywhere is the bevel nearest to square (nought where some lean one way and some the other).
 * Accuracy: rulings are some 20 mm apart; on cones 0.01° (rolling-bevel.test.ts).
 */
import { at, cross3, distance3, dot3, lerp3, polylineLength3, scale3, sub3, unit3, type Vec3 } from '../geometry';
import { battenAt, CENTRELINE_MM, crossingsOfX, type Hull, type HullLine } from '../lines';
import { toDeg, toRad } from '../measure';
import { onEdge, sharedStretches, type EdgeOfPanel, type Panel, type Shared } from '../panels';
import { oncePer, type Remember } from '../stage';
import type { LaidRuling } from '../surface';

export type BevelRow = {
  /** Along the line from its forward end, mm. */
  readonly s: number;
  readonly at: Vec3;
  /** Between the two faces that the member lies against, on its own side. */
  readonly dihedralDeg: number;
  readonly bevelDeg: number;
  /** The station that the row is at. */
  readonly station?: string;
};

export type RollingBevel = {
  readonly line: string;
  readonly name: string;
  /** It lies on the centreline: the member is bevelled to both hands alike. */
  readonly isOnCentreline: boolean;
  readonly length: number;
  readonly rows: readonly BevelRow[];
  /** The one saw tilt that leaves the least to plane and takes nothing off that is wanted. */
  readonly ripDeg: number;
  /** The most that is left to plane after it, as an angle, and on a face of 20 mm. */
  readonly leftToPlaneDeg: number;
  readonly wedgeMm: number;
};

/**
 * Off square, of the edges of two sheets that meet at an inside angle, planed so that they meet face to face. A sheet
 * that butts against the inside of the other is planed by the bevel of a log there.
 */
export const mitreDeg = (dihedralDeg: number): number => (180 - dihedralDeg) / 2;

export type RollingBevelAsked = {
  /** A line of the hull, or `stem` or `stern` where the sides end on each other straight. */
  readonly line: string;
  readonly step: number;
};

/** Names of the ends that are no lines of the table. */
export const STRAIGHT_ENDS = { stem: 'fore', stern: 'aft' } as const;
/** The face on which a wedge is told, mm. */
const FACE_MM = 20;
/** Rows nearer to one another than this are one. */
const SAME_ROW_MM = 0.01;

const END_NAMES: Readonly<Record<string, string>> = { stem: 'Stem', stern: 'Stern' };

/** Of all lines of the hull and of its straight ends, each remembered by itself. */
export function bevelsOf(hull: Hull, panels: readonly Panel[], step: number, remember: Remember): RollingBevel[] {
  const { lines, stations } = hull;
  const names = [...lines.map(({ id }) => id), ...Object.keys(STRAIGHT_ENDS)];
  return [...new Set(names)].flatMap(
    (line) => remember(`bevel ${line}`, rollingBevel, { lines, stations }, panels, { line, step }) ?? [],
  );
}

/** Undefined where there is no such line, or no panel along it. */
export function rollingBevel(
  hull: Pick<Hull, 'lines' | 'stations'>,
  panels: readonly Panel[],
  { line: name, step }: RollingBevelAsked,
): RollingBevel | undefined {
  const line = hull.lines.find(({ id }) => id === name);
  const run = line ? lineRun(line, panels) : endRun(name, panels);
  if (!run) return undefined;
  const { length, placeAt, dihedralAt, sAtX } = run;
  const even = Array.from({ length: Math.max(1, Math.ceil(length / step)) }, (_, i) => i * step);
  type Wanted = { readonly s: number; readonly station?: string };
  // of the hull, and what the line's own points are called: of lines that bend out of them at a raked end, too
  const own = (line?.points ?? []).map(({ station, x }) => ({ label: station, x }));
  const stations = [...hull.stations, ...own.filter(({ label }) => label !== '')].flatMap(({ label, x }) =>
    sAtX(x).map((s): Wanted => ({ s, station: label })),
  );
  const wanted = [...stations, ...[...even, length].map((s): Wanted => ({ s }))].sort((a, b) => a.s - b.s);
  const rows: BevelRow[] = [];
  for (const row of wanted) {
    const before = rows[rows.length - 1];
    if (before && row.s - before.s < SAME_ROW_MM) {
      // a station goes before an even step at the same place
      if (row.station !== undefined) rows[rows.length - 1] = { ...before, station: row.station };
      continue;
    }
    const dihedralRad = dihedralAt(row.s);
    if (dihedralRad === undefined) continue;
    const dihedralDeg = toDeg(dihedralRad);
    rows.push({ ...row, at: placeAt(row.s), dihedralDeg, bevelDeg: dihedralDeg - 90 });
  }
  if (rows.length === 0) return undefined;
  const isOnCentreline = line ? line.isOnCentreline : true;
  return {
    line: name,
    name: line?.name ?? END_NAMES[name] ?? name,
    isOnCentreline,
    length,
    rows,
    ...ripOf(rows.map(({ bevelDeg }) => bevelDeg)),
  };
}

/** See the head of this file. */
export function ripOf(bevelsDeg: readonly number[]) {
  const [least, most] = [Math.min(...bevelsDeg), Math.max(...bevelsDeg)];
  const ripDeg = least > 0 ? least : Math.min(0, most);
  const leftToPlaneDeg = Math.max(most - ripDeg, ripDeg - least);
  return { ripDeg, leftToPlaneDeg, wedgeMm: FACE_MM * Math.tan(toRad(leftToPlaneDeg)) };
}

/** A line that a member follows, by length along it. */
type Run = {
  readonly length: number;
  readonly placeAt: (s: number) => Vec3;
  readonly dihedralAt: (s: number) => number | undefined;
  readonly sAtX: (x: number) => readonly number[];
};

/** Steps in which a line is measured: on a bend of 2 m radius 5 m of it come out short by 0.004 mm. */
const MEASURED = 600;

function lineRun(line: HullLine, panels: readonly Panel[]): Run | undefined {
  const corner = cornerAlong(line, panels);
  if (!corner) return undefined;
  const { batten } = line;
  const lengths = [0];
  let before = battenAt(batten, 0).position;
  for (let i = 1; i <= MEASURED; i++) {
    const here = battenAt(batten, i / MEASURED).position;
    lengths.push(at(lengths, -1) + distance3(before, here));
    before = here;
  }
  const tOf = (s: number): number => {
    const next = Math.max(
      1,
      lengths.findIndex((length) => length >= s - SAME_ROW_MM / 1000),
    );
    const [a, b] = [at(lengths, next - 1), at(lengths, next)];
    return Math.min(1, (next - 1 + (b > a ? Math.max(0, s - a) / (b - a) : 0)) / MEASURED);
  };
  const sOf = (t: number): number => {
    const k = Math.min(MEASURED - 1, Math.floor(t * MEASURED));
    return at(lengths, k) + (t * MEASURED - k) * (at(lengths, k + 1) - at(lengths, k));
  };
  return {
    length: at(lengths, -1),
    placeAt: (s) => battenAt(batten, tOf(s)).position,
    dihedralAt: (s) => corner.dihedralAt(tOf(s)),
    sAtX: (x) => crossingsOfX(batten, x).map(sOf),
  };
}

/** The corner that a line lies in, by the line's own parameter. */
export type Corner = {
  /** Inside angle, radians; undefined where no panel is. */
  readonly dihedralAt: (t: number) => number | undefined;
  /** What lies against a panel there; undefined where nothing does. */
  readonly beside: (panel: Panel, t: number) => Panel | undefined;
  /** Only one panel reaches it: the other face is a deck that lies straight athwart. */
  readonly isUnderDeck: boolean;
};

/** Undefined where no panel runs along the line. */
export function cornerAlong(line: HullLine, panels: readonly Panel[]): Corner | undefined {
  const along = sharedStretches(panels).filter((shared) => shared.line === line.id);
  const lonely = along.length === 0 ? lonelyEdge(line, panels) : undefined;
  if (along.length === 0 && !lonely) return undefined;
  return {
    dihedralAt: (t) => dihedralOn(line, { along, lonely }, t),
    beside: (panel, t) => {
      const shared = sharedAt(along, t);
      return shared?.above.panel === panel ? shared.below?.panel : shared?.above.panel;
    },
    isUnderDeck: lonely !== undefined,
  };
}

/** The one panel that runs along a line which no other does: below a sheer. */
function lonelyEdge(line: HullLine, panels: readonly Panel[]): EdgeOfPanel | undefined {
  for (const panel of panels)
    for (const [side, end] of [
      [1, 'Q'],
      [0, 'P'],
    ] as const) {
      const stretch = panel.stretches[side].find((one) => one.line === line.id);
      if (stretch) return { panel, end, stretch };
    }
  return undefined;
}

type Beside = { readonly along: readonly Shared[]; readonly lonely: EdgeOfPanel | undefined };

/** Inside angle, radians; undefined where no panel is. */
function dihedralOn(line: HullLine, { along, lonely }: Beside, t: number): number | undefined {
  const tangent = unit3(battenAt(line.batten, t).first);
  if (lonely) return angleInside(leaving(lonely, t, tangent), ATHWART_IN, tangent, outwardOf(lonely, t));
  const shared = sharedAt(along, t);
  if (!shared) return undefined;
  const one = leaving(shared.above, t, tangent);
  const other = shared.below ? leaving(shared.below, t, tangent) : mirroredY(one);
  return angleInside(one, other, tangent, outwardOf(shared.above, t));
}

const sharedAt = (along: readonly Shared[], t: number): Shared | undefined =>
  along.find(({ from, to }) => t >= from - 1e-9 && t <= to + 1e-9);

/** A deck lies straight athwart: from the sheer it leaves inward. */
const ATHWART_IN: Vec3 = [0, -1, 0];
const mirroredY = ([x, y, z]: Vec3): Vec3 => [x, -y, z];

/** What of a direction is square to the tangent, at length one. */
const square = (direction: Vec3, tangent: Vec3): Vec3 =>
  unit3(sub3(direction, scale3(tangent, dot3(direction, tangent))));

/** From one face to the other through the inside: over a straight angle where the corner is hollow. */
function angleInside(one: Vec3, other: Vec3, tangent: Vec3, outward: Vec3): number {
  const [a, b] = [square(one, tangent), square(other, tangent)];
  const angle = Math.atan2(Math.hypot(...cross3(a, b)), dot3(a, b));
  // the other face lies behind the first, as one looks out of the hull, or before it
  return dot3(b, outward) > 0 ? 2 * Math.PI - angle : angle;
}

/** The direction in which a panel leaves its edge at the line's parameter t. */
function leaving({ panel, end, stretch }: EdgeOfPanel, t: number, tangent: Vec3): Vec3 {
  const { a, b, w } = rulingsAt(panel.rulings, end, onEdge(stretch, t));
  const away = ({ p, q }: LaidRuling): Vec3 => square(end === 'P' ? sub3(q, p) : sub3(p, q), tangent);
  return lerp3(away(a), away(b), w);
}

function outwardOf({ panel, end, stretch }: EdgeOfPanel, t: number): Vec3 {
  const { a, b, w } = rulingsAt(panel.rulings, end, onEdge(stretch, t));
  return unit3(lerp3(a.normal, b.normal, w));
}

/** A ruling shorter than this has no sure direction: where a panel runs to a point. */
const SHORT_MM = 1;

const longOnes = oncePer((all: readonly LaidRuling[]): readonly LaidRuling[] => {
  const long = all.filter(({ p, q }) => distance3(p, q) > SHORT_MM);
  return long.length > 1 ? long : all;
});

/** The two rulings between which an edge has the parameter u, and how far on from the first. */
function rulingsAt(all: readonly LaidRuling[], end: 'P' | 'Q', u: number) {
  const rulings = longOnes(all);
  const place = (r: LaidRuling) => (end === 'P' ? r.s : r.t);
  // the first that has come to u, by halves: they follow one another along the edge
  let [low, k] = [0, rulings.length - 1];
  while (k - low > 1) {
    const middle = (low + k) >> 1;
    if (place(at(rulings, middle)) < u) low = middle;
    else k = middle;
  }
  const [a, b] = [at(rulings, k - 1), at(rulings, k)];
  const step = place(b) - place(a);
  return { a, b, w: step > 0 ? Math.min(1, Math.max(0, (u - place(a)) / step)) : 0.5 };
}

/** A straight piece of a stem or stern: where a panel ends on the centreline, and the panel's own normal there. */
export type EndPart = {
  readonly from: Vec3;
  readonly to: Vec3;
  readonly length: number;
  readonly normal: Vec3;
  readonly panel: Panel;
};

/** A straight stem or stern: the last rulings of the panels that end on the centreline, from the highest down. */
export const straightEnd = (panels: readonly Panel[], end: 'fore' | 'aft'): EndPart[] =>
  [...panels].reverse().flatMap((panel) => {
    const { p, q, normal } = at(panel.rulings, end === 'fore' ? 0 : -1);
    if (panel.only === 'port' || panel.spansCentreline || distance3(p, q) < SHORT_MM) return [];
    if (Math.max(Math.abs(p[1]), Math.abs(q[1])) > CENTRELINE_MM) return [];
    return [{ from: q, to: p, length: distance3(p, q), normal, panel }];
  });

function endRun(name: string, panels: readonly Panel[]): Run | undefined {
  const end = Object.entries(STRAIGHT_ENDS).find(([key]) => key === name)?.[1];
  const parts = end ? straightEnd(panels, end) : [];
  if (parts.length === 0) return undefined;
  const length = polylineLength3([at(parts, 0).from, ...parts.map(({ to }) => to)]);
  const partAt = (s: number) => {
    let before = 0;
    for (const part of parts) {
      if (s <= before + part.length || part === at(parts, -1)) return { part, w: (s - before) / part.length };
      before += part.length;
    }
    return { part: at(parts, -1), w: 1 };
  };
  return {
    length,
    placeAt: (s) => {
      const { part, w } = partAt(s);
      return lerp3(part.from, part.to, w);
    },
    // the normal is the same all along a ruling: twice its angle from straight ahead of the stem
    dihedralAt: (s) => Math.PI - 2 * Math.asin(Math.min(1, Math.abs(at(partAt(s).part.normal, 1)))),
    sAtX: () => [],
  };
}
