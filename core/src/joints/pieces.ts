/**
 * A panel cut into pieces at its joints, and the straps that go behind them. Lengths mm, in the panel's own u, v.
 *
 * A scarf, or a joint that is bought ready cut, laps: each piece goes half the lap past the joint's middle. At a strap
 * the pieces meet. Tongues reach into each other: each piece ends in its own edge (tongues.ts).
 */
import {
  area,
  at,
  boundsOf,
  boxOutline,
  counterClockwise,
  crossings,
  intersectionOf,
  type Box,
  type Outline,
  type Vec2,
} from '../geometry';
import type { DrawnPath } from '../formats';
import { cutLineOf, type Panel } from '../panels';
import { reachOf } from './kinds';
import type { Around, Placed } from './placing';
import type { JointsPart } from './schema';
import { tongueEdge, type TongueLine } from './tongues';

export type Piece = {
  readonly id: string;
  readonly name: string;
  readonly outline: Outline;
};

export type Joint = Placed & {
  /** Among its panel's: the builder's own by its id, others by their number. */
  readonly key: string;
  readonly around: Around;
  /** The panel's lower and upper edge there, and the depth between them. */
  readonly low: number;
  readonly high: number;
  readonly depth: number;
  /** Where tongues are cut, their line. */
  readonly tongues?: TongueLine;
};

/** The joint as it is cut: tongues become none where the panel is too narrow for them. */
export function jointAt(
  panel: Panel,
  placed: Placed & Pick<Joint, 'around' | 'key'>,
  number: number,
  part: JointsPart,
): Joint {
  const edges = edgesAt(panel.outline, placed.u);
  const line: TongueLine = {
    ...{ u: placed.u, low: edges.low, high: edges.high, number },
    ...{ reach: reachOf(part), cutterRadius: part.cutterRadius, fit: part.fit },
  };
  const hasTongues = placed.kind === 'tongues' && tongueEdge(line, 0, 0) !== undefined;
  return { ...placed, ...edges, ...(hasTongues && { tongues: line }) };
}

/**
 * The pieces between the joints. Where the blank is joined first they are rectangles, as deep as the panel, which make
 * the smallest blank that holds it; the panel is marked on the blank, and cut from it.
 */
export function cutPieces(panel: Panel, joints: readonly Joint[], way: JointsPart['way'] = 'pieces'): Piece[] {
  const net = cutLineOf(panel);
  if (joints.length === 0) return [{ id: panel.id, name: panel.name, outline: net }];
  const box = boundsOf(net);
  const cut: Outline = way === 'blank' ? boxOutline(box) : net;
  return Array.from({ length: joints.length + 1 }, (_, k) => k).flatMap((k): Piece[] => {
    const [before, after] = [joints[k - 1], joints[k]];
    const fore = before ? edgeAt(before, 1, box) : straightEdge(box.minX - 1, box);
    const aft = after ? edgeAt(after, -1, box) : straightEdge(box.maxX + 1, box);
    const strip = [...fore, ...[...aft].reverse()];
    // a panel of an impossible hull may cross itself; its largest part there is the piece, and none may be left
    const [outline] = [...intersectionOf([cut], [strip])].sort((a, b) => area(b) - area(a));
    if (!outline) return [];
    const word = way === 'blank' ? `${panel.name} blank` : panel.name;
    const name = `${word} ${k + 1} of ${joints.length + 1}`;
    return [{ id: `${panel.id}.${k + 1}`, name, outline: counterClockwise(outline) }];
  });
}

/** Where a piece ends at a joint, from below the panel to above it: side 1 is the piece aft of it, −1 the fore one. */
function edgeAt(joint: Joint, side: -1 | 1, box: Box): Vec2[] {
  const tongued = joint.tongues && tongueEdge(joint.tongues, side, box.maxY - box.minY + 1);
  return tongued ?? straightEdge(joint.u - (side * joint.lap) / 2, box);
}

const straightEdge = (u: number, box: Box): Vec2[] => [
  [u, box.minY - 1],
  [u, box.maxY + 1],
];

/** Where the two pieces meet, from edge to edge: the middle of a lap, or the line of the tongues. */
export function lineOfJoint({ u, low, high, tongues }: Joint): DrawnPath {
  return {
    layer: 'mark',
    points: (tongues && tongueEdge(tongues, 0, 0)) ?? [
      [u, low],
      [u, high],
    ],
    isClosed: false,
  };
}

/** The strap behind a joint, short of the panel's edges; none where the panel is too narrow for one. */
export function strapOf(panel: Panel, joint: Joint, short: number): Outline | undefined {
  if (joint.kind !== 'strap') return undefined;
  const [from, to] = [joint.u - joint.width / 2, joint.u + joint.width / 2];
  const corners = [edgesAt(panel.outline, from), edgesAt(panel.outline, to)];
  const low = Math.max(...corners.map((edge) => edge.low), joint.low) + short;
  const high = Math.min(...corners.map((edge) => edge.high), joint.high) - short;
  if (high - low < short || high <= low) return undefined;
  return [
    [from, low],
    [to, low],
    [to, high],
    [from, high],
  ];
}

/** The lowest and the highest edge of an outline at u. */
function edgesAt(outline: Outline, u: number): { low: number; high: number; depth: number } {
  const vs = crossings([...outline, at(outline, 0)], 0, u).map((p) => p[1]);
  if (vs.length < 2) return { low: 0, high: 0, depth: 0 };
  const [low, high] = [Math.min(...vs), Math.max(...vs)];
  return { low, high, depth: high - low };
}
