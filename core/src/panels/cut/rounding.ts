/**
 * A rounded chine: the corner between two panels replaced by a strip of given radius, of thin layers bent over a mould.
 *
 * Method (derived here): at each place along the line the two panels' normals turn by φ about the line. An arc of
 * radius r on the outside that touches both leaves them r'·tan(φ/2) from the line (r' its radius on the surface that
 * the lines lie on; cut.ts takes that off the panels). Its centre lies r'/cos(φ/2) in from the line along the
 * normals' mean. The strip of a layer whose middle has the radius ρ is ρ·φ wide and follows the centres' curve moved
 * out by ρ. As that curve is no straight line, the strip is made of straight pieces: as few of equal length as leave
 * it by no more than the sag allowed. At a joint the curve turns sideways (about the surface's normal) by δ: both
 * ends are cut δ/2 off square. The pieces of every other layer begin half a piece later, so that no two joints lie
 * over one another. The mould: layers glued together spring back by about 1/n² of the bend (methods, rule of thumb),
 * so it is as much tighter. Conventions: fore to aft; `lower` and `upper` are the panels' sides. Where the panels
 * meet in a hollow there is nothing to round and the place counts with a turn of nought.
 */
import {
  add3,
  at,
  cross3,
  distance2,
  distance3,
  dot3,
  lerp3,
  polylineLength3,
  scale3,
  sub3,
  unit3,
  type Vec3,
} from '../../geometry';
import type { PanelsFinding } from '../findings';
import { leastRadius } from '../bending';
import { cornerAt, radiusOnLines, skinOf, type Skin } from './cut';
import { depthOfInside } from './own-sheet';
import { matesOf, onLine, sharedStretches } from '../neighbours';
import type { Panel } from '../panel';
import type { RoundedChine } from '../schema';

/** The rounding at one place along the line, mm. */
type RoundingPlace = {
  /** Share of the line's length, 0 at its fore end. */
  readonly share: number;
  readonly x: number;
  readonly turnRad: number;
  /** On the outside of the skin. */
  readonly radius: number;
  /** From the line to where each panel ends. */
  readonly setback: number;
  /** Round the arc on the outside. */
  readonly outsideWidth: number;
};

type StripPiece = {
  /** Layers count from the mould outward, pieces from the bow; both from 1. */
  readonly layer: number;
  readonly number: number;
  /** Along its middle, end to end. */
  readonly length: number;
  readonly widthFore: number;
  readonly widthAft: number;
  /** Off square; the long side is the lower panel's where positive, the upper's where negative. */
  readonly cutForeRad: number;
  readonly cutAftRad: number;
};

export type RoundedStrip = {
  readonly id: string;
  readonly places: readonly RoundingPlace[];
  /** Of all layers, on one side of the boat. */
  readonly pieces: readonly StripPiece[];
  /** Along the middle of the finished strip. */
  readonly length: number;
  /** Least and most of the finished strip, round its middle. */
  readonly width: { readonly least: number; readonly most: number };
  /** Of the pile's inside, and of the mould that gives it after springing back; at the fore and the after end. */
  readonly insideRadius: readonly [number, number];
  readonly mouldRadius: readonly [number, number];
  /** Of both sides of the boat. */
  readonly buying: StripBuying;
};

type StripBuying = {
  /** Strips of the sheet's length that all pieces are cut from, and how many a sheet gives. */
  readonly strips: number;
  readonly perSheet: number;
  readonly sheets: number;
};

/** What strips are cut from: bent across its width, its length along the chine. Lengths mm. */
export type StripSheet = { readonly length: number; readonly width: number; readonly kerf: number };

/** Places at which the rounding is worked out. */
const PLACES = 121;
/** More pieces than this are not a strip. */
const MOST_PIECES = 60;

/** The strip along one line, or undefined where no two panels meet on it. Panels lowest first. */
export function roundedStrip(
  panels: readonly Panel[],
  chine: RoundedChine,
  skin: Skin,
  sheet: StripSheet,
): RoundedStrip | undefined {
  const corners = cornersAlong(panels, chine, skin);
  if (!corners) return undefined;
  const pile = chine.layers * chine.layerThickness;
  const middle = arcCurve(corners, -pile / 2);
  const count = pieceCount(middle, chine.sag, sheet.length);
  const pieces = Array.from({ length: chine.layers }, (_, i) =>
    layerPieces({ corners, chine, layer: i + 1, count, half: i % 2 === 1 }),
  ).flat();
  const widths = corners.map(({ turnRad, radius }) => Math.max(0, radius - pile / 2) * turnRad);
  const inside = [chine.radiusFore - pile, chine.radiusAft - pile] as const;
  const spring = 1 - 1 / chine.layers ** 2;
  return {
    id: chine.id,
    places: corners.map(({ share, p, turnRad, radius, setback }) => ({
      share,
      x: p[0],
      turnRad,
      radius,
      setback,
      outsideWidth: radius * turnRad,
    })),
    pieces,
    length: polylineLength3(middle),
    width: { least: Math.min(...widths), most: Math.max(...widths) },
    insideRadius: inside,
    mouldRadius: [inside[0] * spring, inside[1] * spring],
    buying: buyingOf(pieces, sheet),
  };
}

type CornerPlace = {
  readonly share: number;
  readonly p: Vec3;
  /** Mean of the two outward normals. */
  readonly normal: Vec3;
  readonly turnRad: number;
  readonly radius: number;
  readonly onLines: number;
  readonly setback: number;
};

/** The corner at even steps along the line, as the upper panel's rulings and the lower panel see it. */
function cornersAlong(panels: readonly Panel[], chine: RoundedChine, usual: Skin): CornerPlace[] | undefined {
  const along = sharedStretches(panels).filter(({ line, below }) => line === chine.id && below);
  const panel = along[0]?.above.panel;
  if (!panel) return undefined;
  const skin = skinOf(panel, usual);
  const outside = skin.thickness - depthOfInside(skin);
  const mateAt = matesOf(panel, along);
  const rough = panel.rulings.flatMap((ruling): Omit<CornerPlace, 'share'>[] => {
    const mate = mateAt('P', ruling.s);
    if (!mate) return [];
    const corner = cornerAt(ruling, mate);
    const isRound = corner !== undefined && !corner.isHollow;
    const onLines = radiusOnLines(chine, mate.t, skin);
    const turnRad = isRound ? corner.turnRad : 0;
    return [
      {
        p: ruling.p,
        normal: unit3(add3(ruling.normal, corner?.normal ?? ruling.normal)),
        turnRad,
        radius: onLines + outside,
        onLines,
        setback: Math.max(0, onLines) * Math.tan(turnRad / 2),
      },
    ];
  });
  return rough.length > 1 ? evenly(rough) : undefined;
}

/** Where rulings crowd in a fan the line stands still: the same at even steps of its length. */
function evenly(rough: readonly Omit<CornerPlace, 'share'>[]): CornerPlace[] {
  const along = [0];
  for (let k = 1; k < rough.length; k++) along.push(at(along, -1) + distance3(at(rough, k - 1).p, at(rough, k).p));
  const total = at(along, -1);
  let k = 1;
  return Array.from({ length: PLACES }, (_, i) => {
    const share = i / (PLACES - 1);
    while (k < rough.length - 1 && at(along, k) < share * total) k++;
    const [a, b] = [at(rough, k - 1), at(rough, k)];
    const span = at(along, k) - at(along, k - 1);
    const w = span > 0 ? Math.min(1, Math.max(0, (share * total - at(along, k - 1)) / span)) : 1;
    const mix = (of: 'turnRad' | 'radius' | 'onLines' | 'setback') => a[of] + w * (b[of] - a[of]);
    return {
      share,
      p: lerp3(a.p, b.p, w),
      normal: unit3(lerp3(a.normal, b.normal, w)),
      turnRad: mix('turnRad'),
      radius: mix('radius'),
      onLines: mix('onLines'),
      setback: mix('setback'),
    };
  });
}

/** The middles of the arc that lies `out` outside (negative: inside) the skin's outer face. */
const arcCurve = (corners: readonly CornerPlace[], out: number): Vec3[] =>
  corners.map(({ p, normal, turnRad, radius, onLines }) =>
    add3(p, scale3(normal, radius + out - onLines / Math.cos(turnRad / 2))),
  );

/** The fewest pieces of equal length that leave the curve by no more than `sag` and come out of a sheet. */
function pieceCount(curve: readonly Vec3[], sag: number, longest: number): number {
  const total = polylineLength3(curve);
  for (let count = Math.max(1, Math.ceil(total / longest)); count < MOST_PIECES; count++) {
    const ends = Array.from({ length: count + 1 }, (_, i) => i / count);
    if (ends.slice(1).every((to, i) => sagOf(curve, at(ends, i), to) <= sag)) return count;
  }
  return MOST_PIECES;
}

/** How far the curve leaves the straight between two shares of its places. */
function sagOf(curve: readonly Vec3[], from: number, to: number): number {
  const [a, b] = [readCurve(curve, from), readCurve(curve, to)];
  const run = unit3(sub3(b, a));
  const last = curve.length - 1;
  return curve.reduce((most, p, i) => {
    if (i / last <= from || i / last >= to) return most;
    const off = sub3(p, a);
    return Math.max(most, distance3(off, scale3(run, dot3(off, run))));
  }, 0);
}

function readCurve(curve: readonly Vec3[], share: number): Vec3 {
  const place = share * (curve.length - 1);
  const i = Math.min(curve.length - 2, Math.floor(place));
  return lerp3(at(curve, i), at(curve, i + 1), place - i);
}

type Layer = {
  readonly corners: readonly CornerPlace[];
  readonly chine: RoundedChine;
  readonly layer: number;
  readonly count: number;
  /** This layer's joints lie half a piece off. */
  readonly half: boolean;
};

function layerPieces({ corners, chine, layer, count, half }: Layer): StripPiece[] {
  const out = (layer - 0.5 - chine.layers) * chine.layerThickness;
  const curve = arcCurve(corners, out);
  const joints = Array.from({ length: half ? count + 2 : count + 1 }, (_, i) =>
    half ? Math.min(1, Math.max(0, (i - 0.5) / count)) : i / count,
  );
  const ends = joints.map((share) => readCurve(curve, share));
  const cuts = joints.map((share, i) =>
    i === 0 || i === joints.length - 1 ? 0 : cutAt(ends, i, at(corners, Math.round(share * (PLACES - 1))).normal),
  );
  const widthAt = (share: number) => {
    const { turnRad, radius } = at(corners, Math.round(share * (PLACES - 1)));
    return Math.max(0, radius + out) * turnRad;
  };
  return joints.slice(1).map((share, i) => ({
    layer,
    number: i + 1,
    length: distance3(at(ends, i), at(ends, i + 1)),
    widthFore: widthAt(at(joints, i)),
    widthAft: widthAt(share),
    cutForeRad: at(cuts, i),
    cutAftRad: at(cuts, i + 1),
  }));
}

/**
 * Half the sideways turn at a joint; positive where the run turns towards the upper panel, and the lower side is
 * long.
 */
function cutAt(ends: readonly Vec3[], i: number, normal: Vec3): number {
  const inPlane = (v: Vec3): Vec3 => unit3(sub3(v, scale3(normal, dot3(v, normal))));
  const before = inPlane(sub3(at(ends, i), at(ends, i - 1)));
  const after = inPlane(sub3(at(ends, i + 1), at(ends, i)));
  // aft × outward points to the upper panel, to starboard of the boat
  const up = cross3(before, normal);
  return Math.atan2(dot3(after, up), dot3(after, before)) / 2;
}

/** Pieces of both sides laid into strips of the sheet's length, longest first into the first strip with room. */
function buyingOf(pieces: readonly StripPiece[], sheet: StripSheet): StripBuying {
  const widest = Math.max(...pieces.map((piece) => Math.max(piece.widthFore, piece.widthAft)));
  const perSheet = Math.floor((sheet.width + sheet.kerf) / (widest + sheet.kerf));
  const rooms: number[] = [];
  const both = pieces.flatMap((piece) => [needOf(piece), needOf(piece)]).sort((a, b) => b - a);
  for (const need of both) {
    const i = rooms.findIndex((room) => room >= need);
    if (i === -1) rooms.push(sheet.length - need - sheet.kerf);
    else rooms[i] = at(rooms, i) - need - sheet.kerf;
  }
  return { strips: rooms.length, perSheet, sheets: perSheet > 0 ? Math.ceil(rooms.length / perSheet) : 0 };
}

/** A piece's length with what its slanting ends take. */
const needOf = ({ length, widthFore, widthAft, cutForeRad, cutAftRad }: StripPiece): number =>
  length + (widthFore * Math.abs(Math.tan(cutForeRad)) + widthAft * Math.abs(Math.tan(cutAftRad))) / 2;

/** The rounding may take this share of a panel's breadth, so that two roundings leave something between them. */
const MOST_OF_BREADTH = 0.45;

type Judged = { readonly chine: RoundedChine; readonly name: string; readonly strip: RoundedStrip | undefined };

/** What will not go: more than a panel has, layers too thick for the radius, a corner that is hollow all along. */
export function judgeRounding(panels: readonly Panel[], { chine, name, strip }: Judged): PanelsFinding[] {
  const where = { stage: 'panels', line: chine.id } as const;
  if (!strip) return [{ severity: 'check', code: 'rounding-without-corner', where, data: { line: name } }];
  if (strip.places.every(({ turnRad }) => turnRad === 0))
    return [{ severity: 'check', code: 'rounding-hollow', where, data: { line: name } }];
  const findings: PanelsFinding[] = [];
  const wide = widestTake(panels, chine, strip);
  if (wide && wide.takesMm > MOST_OF_BREADTH * wide.hasMm)
    findings.push({
      severity: wide.takesMm < wide.hasMm ? 'check' : 'stop',
      code: 'rounding-wide',
      where: { ...where, panel: wide.panel.id, x: wide.xMm },
      data: { line: name, panel: wide.panel.name, xMm: wide.xMm, takesMm: wide.takesMm, hasMm: wide.hasMm },
    });
  const radiusMm = Math.min(...strip.mouldRadius);
  const leastMm = leastRadius(chine.layerThickness, Math.PI / 2); // the grain runs along the chine
  if (radiusMm < leastMm)
    findings.push({
      severity: 'check',
      code: 'rounding-tight',
      where,
      data: { line: name, radiusMm, leastMm, layerMm: chine.layerThickness, layers: chine.layers },
    });
  return findings;
}

/** Where the rounding takes the largest share of a panel; the ends, where panels run out, are let be. */
function widestTake(panels: readonly Panel[], chine: RoundedChine, strip: RoundedStrip) {
  const takes = panels.flatMap((panel) =>
    ([0, 1] as const).flatMap((edge) => {
      const stretch = panel.stretches[edge].find(({ line }) => line === chine.id);
      if (!stretch) return [];
      const opposite = panel.edges[edge === 0 ? 1 : 0].points;
      return panel.rulings
        .filter((_, k) => k % EVERY === 0)
        .map((ruling) =>
          edge === 0
            ? { u: onLine(stretch, ruling.s), p: ruling.p, flat: ruling.flatP }
            : { u: onLine(stretch, ruling.t), p: ruling.q, flat: ruling.flatQ },
        )
        .filter(({ u }) => u > END_SHARE && u < 1 - END_SHARE)
        .map(({ u, p, flat }) => ({
          panel,
          xMm: p[0],
          takesMm: at(strip.places, Math.round(u * (PLACES - 1))).setback,
          hasMm: Math.min(...opposite.map((other) => distance2(other.flat, flat))),
        }));
    }),
  );
  return takes.sort((a, b) => b.takesMm / b.hasMm - a.takesMm / a.hasMm)[0];
}

const END_SHARE = 0.1;
/** One ruling in so many is looked at. */
const EVERY = 5;
