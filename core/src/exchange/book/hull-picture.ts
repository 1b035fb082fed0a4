/** The boat in the round on paper: what is seen of its skin, ends, frames and inside, from forward and above. */
import {
  at,
  boundsOf,
  seenLines,
  simplifyRing,
  type Outline,
  type Region,
  type SeenSurface,
  type Vec2,
  type Vec3,
} from '../../geometry';
import { placesOf, ringToBend, type InBoat } from '../../fitout';
import { placeInBoat, type Frame } from '../../frames';
import { sheetLine, type Content } from '../../formats';
import { transomTriangles, type Panel, type Transom } from '../../panels';
import type { Values } from '../../project';

/** From the boat to the eye: off the port bow, and above. */
const TO_EYE: Vec3 = [-0.62, -1, 0.62];
/** What of an outline may be left out of so small a picture, mm. */
const UNSEEN_MM = 1;

type Body = {
  readonly surfaces: readonly SeenSurface[];
  readonly lines: readonly (readonly Vec3[])[];
  readonly kind: 'edge' | 'mark';
};

/** As large as its room takes it, in the middle; nothing where there is no hull. */
export function hullPicture(values: Pick<Values, 'panels' | 'frames' | 'fitout'>, room: Room): Content {
  const bodies = bodiesOf(values);
  const drawn = seenLines({
    surfaces: bodies.flatMap(({ surfaces }) => surfaces),
    lines: bodies.flatMap(({ lines, kind }) => lines.map((points) => ({ points, isWithin: kind === 'mark' }))),
    toEye: TO_EYE,
  });
  const kinds = bodies.flatMap(({ lines, kind }) => lines.map(() => kind));
  const points = drawn.flat(2);
  if (points.length === 0) return { paths: [], texts: [] };
  const box = boundsOf(points);
  const over = Math.max(
    (box.maxX - box.minX) / (room.maxX - room.minX),
    (box.maxY - box.minY) / (room.maxY - room.minY),
  );
  const middle: Vec2 = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const put = ([x, y]: Vec2): Vec2 => [
    (room.minX + room.maxX) / 2 + (x - middle[0]) / over,
    (room.minY + room.maxY) / 2 + (y - middle[1]) / over,
  ];
  return {
    paths: drawn.flatMap((stretches, i) => stretches.map((stretch) => sheetLine(at(kinds, i), stretch.map(put)))),
    texts: [],
  };
}

type Room = { readonly minX: number; readonly maxX: number; readonly minY: number; readonly maxY: number };

const bodiesOf = ({ panels, frames, fitout }: Pick<Values, 'panels' | 'frames' | 'fitout'>): Body[] => [
  ...panels.panels.flatMap(skinBodies),
  ...panels.transoms.map(transomBody),
  ...frames.frames.flatMap(frameBodies),
  ...[...fitout.parts, ...fitout.walls].flatMap(insideBodies),
];

const mirrored = (p: Vec3): Vec3 => [p[0], -p[1], p[2]];
const both = (body: Body): Body[] => [
  body,
  {
    ...body,
    surfaces: body.surfaces.map((rings) => rings.map((ring) => ring.map(mirrored))),
    lines: body.lines.map((line) => line.map(mirrored)),
  },
];

function skinBodies({ rulings, spansCentreline, only }: Panel): Body[] {
  const [first, last] = [rulings[0], rulings[rulings.length - 1]];
  if (!first || !last) return [];
  const body: Body = {
    kind: 'edge',
    surfaces: rulings.slice(1).map((next, i) => {
      const { p, q } = at(rulings, i);
      return [[p, next.p, next.q, q]];
    }),
    lines: [rulings.map(({ p }) => p), rulings.map(({ q }) => q), [first.p, first.q], [last.p, last.q]],
  };
  if (spansCentreline) return [body];
  return only === undefined
    ? both(body)
    : both(body)
        .slice(only === 'port' ? 1 : 0)
        .slice(0, 1);
}

const transomBody = (transom: Transom): Body => ({
  kind: 'edge',
  surfaces: transomTriangles(transom).map((triangle) => [[...triangle]]),
  lines: [closed(transom.corners)],
});

const closed = (ring: readonly Vec3[]): Vec3[] => [...ring, ...ring.slice(0, 1)];

/** A flat part as a surface and its rings as lines. */
const flatBody = (
  { outline, holes }: Region,
  place: (p: Vec2) => Vec3,
  rounded: (ring: Outline) => readonly Vec2[],
) => {
  const rings = [outline, ...holes].map((ring) => rounded(simplifyRing(ring, UNSEEN_MM)).map(place));
  return { kind: 'mark' as const, surfaces: [rings], lines: rings.map(closed) };
};

function frameBodies(frame: Frame): Body[] {
  const body = flatBody(
    frame.cut,
    (p) => placeInBoat(frame, p),
    (ring) => ring,
  );
  return frame.hand === 'pair' ? both(body) : [body];
}

function insideBodies(part: InBoat): Body[] {
  const place = placesOf(part);
  const bodies = part.pieces.map(({ region }) =>
    flatBody(
      region,
      (p) => place(p),
      (ring) => ringToBend(part, ring),
    ),
  );
  if (part.hand === 'pair') return bodies.flatMap(both);
  return part.fit === 'wall' && part.hand === 'port' ? bodies.flatMap((body) => both(body).slice(1)) : bodies;
}
