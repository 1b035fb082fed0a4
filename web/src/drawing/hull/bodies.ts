/** Frames, transoms and what lies inside as bodies in the round: their outline, as thick as they are. */
import {
  placeInBoat,
  placeOnGirder,
  plyPartsOfFrame,
  type Frame,
  type Girder,
  type MemberRun,
} from '@kalotrope/core/frames';
import {
  at,
  boundsOf,
  boxOutline,
  differenceOf,
  intersectionOf,
  simplify,
  type Region,
  type Vec2,
  type Vec3,
} from '@kalotrope/core/geometry';
import {
  cornersOf,
  facesOf,
  kneeCorners,
  placesOf,
  ringToBend,
  stemCorners,
  type FittedBlock,
  type FittedKnee,
  type FittedStem,
  type InBoat,
} from '@kalotrope/core/fitout';
import { transomTriangles, type Transom } from '@kalotrope/core/panels';
import { GRAIN_MM } from './grain';
import {
  BufferAttribute,
  BufferGeometry,
  ExtrudeGeometry,
  Matrix4,
  Path,
  Shape,
  ShapeGeometry,
  Vector2,
  Vector3,
} from 'three';

/** The frame's own axes in the boat: athwart, up along its plane, and aft square to it from so far aft of the plane. */
function axesOf(frame: Frame, aftMm: number): Matrix4 {
  const at = (place: Vec2, aft = 0) => new Vector3(...placeInBoat(frame, place, aft));
  const from = at([0, 0]);
  const axes = [at([1, 0]).sub(from), at([0, 1]).sub(from), at([0, 0], 1).sub(from)] as const;
  return new Matrix4().makeBasis(...axes).setPosition(at([0, 0], aftMm));
}

/** Of its two faces the forward one, from the plane that it stands on. */
const foremostOf = ({ face, width }: Pick<Frame, 'face' | 'width'>): number => (face === 'fore' ? 0 : -width);

/** What of an outline may be left out of its body. */
const UNSEEN_MM = 0.4;

export function frameBody(frame: Frame): BufferGeometry {
  const shapes = shapesOf(frame.cut, frame.hand === 'pair');
  const geometry = new ExtrudeGeometry(shapes, { depth: frame.width, bevelEnabled: false });
  return grained(geometry.applyMatrix4(axesOf(frame, foremostOf(frame))));
}

/** A region, and its mirror image where there are two of it. */
function shapesOf({ outline, holes }: Region, isPair: boolean): Shape[] {
  const ring = (points: readonly Vec2[], side: 1 | -1) =>
    simplify([...points, ...points.slice(0, 1)], UNSEEN_MM)
      .slice(0, -1)
      .map(([y, z]) => new Vector2(side * y, z));
  return (isPair ? ([1, -1] as const) : ([1] as const)).map((side) => {
    const shape = new Shape(ring(outline, side));
    shape.holes = holes.map((hole) => new Path(ring(hole, side)));
    return shape;
  });
}

/** What lies on a frame's faces: cleats, gussets, and doublers on its station face. Undefined where nothing does. */
export function fittedBody(frame: Frame): BufferGeometry | undefined {
  const fitted = [
    ...frame.cleats.flatMap(({ face, depthMm, pieces }) =>
      pieces.map(({ outline, isPair }) => ({ region: { outline, holes: [] }, isPair, thick: depthMm, faces: [face] })),
    ),
    ...plyPartsOfFrame(frame).flatMap(({ region, isPair, thicknessMm, faces }) => {
      const isLid = faces.length === 0 && region.holes.length === 0;
      return isLid ? [] : [{ region, isPair, thick: thicknessMm, faces: faces.length > 0 ? faces : [frame.face] }];
    }),
  ];
  const bodies = fitted.flatMap(({ region, isPair, thick, faces }) =>
    faces.map((face) => {
      const body = new ExtrudeGeometry(shapesOf(region, isPair), { depth: thick, bevelEnabled: false });
      const from = face === 'fore' ? foremostOf(frame) - thick : foremostOf(frame) + frame.width;
      return body.applyMatrix4(axesOf(frame, from));
    }),
  );
  return bodies.length === 0 ? undefined : grained(merged(bodies));
}

function merged(bodies: readonly BufferGeometry[]): BufferGeometry {
  const position = bodies.flatMap((body) => [...body.toNonIndexed().getAttribute('position').array]);
  const made = new BufferGeometry();
  made.setAttribute('position', new BufferAttribute(new Float32Array(position), 3));
  made.computeVertexNormals();
  return made;
}

/** All pieces of a girder, of a pair both. */
export function girderBody({ plane, faces, hand, pieces }: Girder): BufferGeometry {
  const ring = (points: readonly Vec2[]) =>
    simplify([...points, ...points.slice(0, 1)], UNSEEN_MM)
      .slice(0, -1)
      .map(([s, z]) => new Vector2(s, z));
  const shapes = pieces.map(({ outline, holes }) => {
    const shape = new Shape(ring(outline));
    shape.holes = holes.map((hole) => new Path(ring(hole)));
    return shape;
  });
  const body = new ExtrudeGeometry(shapes, { depth: faces[1] - faces[0], bevelEnabled: false });
  const place = (on: Vec2, out: number) => new Vector3(...placeOnGirder(plane, on, out));
  const from = place([0, 0], 0);
  const axes = [place([1, 0], 0).sub(from), place([0, 1], 0).sub(from), place([0, 0], 1).sub(from)] as const;
  body.applyMatrix4(new Matrix4().makeBasis(...axes).setPosition(place([0, 0], faces[0])));
  const over = new Matrix4().makeScale(1, -1, 1);
  if (hand === 'port') body.applyMatrix4(over);
  if (hand !== 'pair') return alongGrain(body);
  return alongGrain(merged([body, body.clone().applyMatrix4(over)]));
}

/** Rings of a member drawn: closer ones are not seen. */
const RING_STEP = 4;
/** Corners of a cross-section, in order round it. */
const CORNERS = ['near', 'far', 'farOff', 'nearOff'] as const;

/** Strips that a bent part is drawn in, mm across the bend. */
const STRIP_MM = 60;

/** All pieces of a part inside or on top, of a pair both: its two faces, and the edge all round. */
export function insideBody(part: InBoat): BufferGeometry | undefined {
  const place = placesOf(part);
  const [top, under] = facesOf(part);
  // who looks at a wall as it lies flat sees its inside, at any other part its upper face
  const isFromUnder = part.fit === 'wall';
  const positions = part.pieces.flatMap(({ region }) => {
    const faces = stripsOf(region, part).flatMap((strip) =>
      shapesOf(strip, false).flatMap((shape) => {
        const flat = new ShapeGeometry(shape).toNonIndexed().getAttribute('position');
        const on = (over: number, isTurned: boolean) =>
          Array.from({ length: flat.count }, (_, i) => {
            // the other way round: what looks up on one face looks down on the other
            const k = isTurned ? 3 * Math.floor(i / 3) + 2 - (i % 3) : i;
            return place([flat.getX(k), flat.getY(k)], over);
          });
        return [...on(top, isFromUnder), ...on(under, !isFromUnder)];
      }),
    );
    const rim = [region.outline, ...region.holes]
      .map((ring) => ringToBend(part, ring))
      .flatMap((ring) =>
        ring.flatMap((a, i) => {
          const b = at(ring, (i + 1) % ring.length);
          const corners = [place(a, under), place(b, under), place(b, top), place(a, top)];
          return [0, 1, 2, 0, 2, 3].map((k) => at(corners, isFromUnder ? 3 - k : k));
        }),
      );
    return [...faces, ...rim];
  });
  if (positions.length === 0) return undefined;
  const body = new BufferGeometry();
  body.setAttribute('position', new BufferAttribute(new Float32Array(positions.flat()), 3));
  body.computeVertexNormals();
  const port = () => body.clone().applyMatrix4(new Matrix4().makeScale(1, -1, 1));
  if (part.hand === 'pair') return alongGrain(merged([body, port()]));
  return alongGrain(part.fit === 'wall' && part.hand === 'port' ? port() : body);
}

/** A block from place to place along it, of a pair both. */
export const blockBody = (block: FittedBlock) => barBody(cornersOf(block), block.hand === 'pair');

/** An outer stem, from its upper end down. */
export const stemBody = (stem: FittedStem) => barBody(stemCorners(stem), false);

/** A hanging knee, from the end of one arm to the end of the other. */
export function kneeBody(knee: FittedKnee): BufferGeometry | undefined {
  const body = barBody(kneeCorners(knee), knee.hand === 'pair');
  return knee.hand === 'port' ? body?.applyMatrix4(new Matrix4().makeScale(1, -1, 1)) : body;
}

type FourCorners = ReturnType<typeof cornersOf>[number];

/** From ring to ring of four corners. */
function barBody(rings: readonly FourCorners[], isPair: boolean): BufferGeometry | undefined {
  if (rings.length < 2) return undefined;
  const quad = (a: Vec3, b: Vec3, c: Vec3, d: Vec3) => [a, b, c, a, c, d];
  const sides = rings.slice(1).flatMap((next, i) => {
    const ring = at(rings, i);
    return [0, 1, 2, 3].flatMap((k) => {
      const j = (k + 1) % 4;
      return quad(at(ring, k), at(next, k), at(next, j), at(ring, j));
    });
  });
  const ends = [at(rings, 0), at(rings, -1)].flatMap(([a, b, c, d]) => quad(a, b, c, d));
  const body = new BufferGeometry();
  body.setAttribute('position', new BufferAttribute(new Float32Array([...sides, ...ends].flat()), 3));
  body.computeVertexNormals();
  if (!isPair) return alongGrain(body);
  return alongGrain(merged([body, body.clone().applyMatrix4(new Matrix4().makeScale(1, -1, 1))]));
}

/** Of one that is bent strips along its generators, so that the bend is seen: along the boat, or up a wall. */
function stripsOf(region: Region, part: InBoat): Region[] {
  if (!part.isBent) return [region];
  const { minX, maxX, minY, maxY } = boundsOf(region.outline);
  const isUp = part.fit === 'wall';
  const [from, to] = isUp ? [minX, maxX] : [minY, maxY];
  const count = Math.ceil((to - from) / STRIP_MM);
  return Array.from({ length: count }, (_, i) => {
    const [low, high] = [from + i * STRIP_MM, from + (i + 1) * STRIP_MM];
    const box = isUp
      ? { minX: low, maxX: high, minY: minY - 1, maxY: maxY + 1 }
      : { minX: minX - 1, maxX: maxX + 1, minY: low, maxY: high };
    return differenceOf(intersectionOf([region.outline], [boxOutline(box)]), region.holes);
  }).flat();
}

/** All members as bent bars in one body, and their corners as lines. */
export function memberBodies(runs: readonly MemberRun[]): {
  readonly solid: BufferGeometry;
  readonly edges: BufferGeometry;
} {
  const bars = runs.flatMap((run) =>
    (run.isPair ? ([1, -1] as const) : ([1] as const)).map((side) => ({ side, rings: coarse(run.rings) })),
  );
  const steps = bars.reduce((sum, { rings }) => sum + rings.length - 1, 0);
  // four faces a step and two ends a bar, of two triangles each; four corners a step
  const solid = new Filling(6 * (4 * steps + 2 * bars.length));
  const edges = new Filling(2 * 4 * steps);
  for (const { side, rings } of bars) {
    const put = (into: Filling, ring: Ring, corner: number) => into.put(ring[at(CORNERS, corner % 4)], side);
    const quad = (a: Ring, b: Ring, corners: readonly [number, number, number, number]) => {
      for (const k of [0, 1, 2, 0, 2, 3] as const) put(solid, k < 2 ? a : b, corners[k]);
    };
    for (let i = 1; i < rings.length; i++) {
      const [a, b] = [at(rings, i - 1), at(rings, i)];
      for (let k = 0; k < 4; k++) {
        quad(a, b, [k, k + 1, k + 1, k]);
        put(edges, a, k);
        put(edges, b, k);
      }
    }
    for (const end of [at(rings, 0), at(rings, -1)]) quad(end, end, [0, 1, 2, 3]);
  }
  const geometry = solid.geometry();
  geometry.computeVertexNormals();
  return { solid: alongGrain(geometry), edges: edges.geometry() };
}

type Ring = MemberRun['rings'][number];

const coarse = (rings: readonly Ring[]): readonly Ring[] =>
  rings.filter((_, i) => i % RING_STEP === 0 || i === rings.length - 1);

/** Places one after another in a row of a known length. */
class Filling {
  private readonly row: Float32Array;
  private next = 0;
  constructor(places: number) {
    this.row = new Float32Array(3 * places);
  }
  put([x, y, z]: Vec3, side: 1 | -1): void {
    this.row.set([x, side * y, z], this.next);
    this.next += 3;
  }
  geometry(): BufferGeometry {
    const made = new BufferGeometry();
    return made.setAttribute('position', new BufferAttribute(this.row, 3));
  }
}

/** Sawn timber: its grain runs along the boat. */
function alongGrain<T extends BufferGeometry>(geometry: T): T {
  const position = geometry.getAttribute('position');
  const uv = new Float32Array(2 * position.count);
  for (let i = 0; i < position.count; i++) {
    uv[2 * i] = position.getX(i) / GRAIN_MM.along;
    uv[2 * i + 1] = (position.getY(i) + position.getZ(i)) / GRAIN_MM.across;
  }
  geometry.setAttribute('uv', new BufferAttribute(uv, 2));
  return geometry;
}

/** As thick as its sheet: outward of the panels' ends where it caps them, inward where it stands between. */
export function transomBody(transom: Transom, thickness: number): BufferGeometry {
  const out = (transom.end === 'aft' ? 1 : -1) * (transom.fit === 'caps' ? 1 : -1) * thickness;
  const by: Vec3 = [out * Math.cos(transom.rakeRad), 0, -out * Math.sin(transom.rakeRad)];
  const moved = (p: Vec3): Vec3 => [p[0] + by[0], p[1] + by[1], p[2] + by[2]];
  const face = transomTriangles(transom);
  const { corners } = transom;
  const rim = corners.flatMap((a, i) => {
    const b = at(corners, (i + 1) % corners.length);
    return [
      [a, b, moved(a)],
      [b, moved(b), moved(a)],
    ] as const;
  });
  const back = face.map(([a, b, c]) => [moved(a), moved(c), moved(b)] as const);
  const positions = [...face, ...back, ...rim].flatMap((triangle) => triangle.flatMap((p) => [...p]));
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(new Float32Array(positions), 3));
  geometry.computeVertexNormals();
  return grained(geometry);
}

/** Its grain runs athwart. */
function grained<T extends BufferGeometry>(geometry: T): T {
  const position = geometry.getAttribute('position');
  const uv = Array.from({ length: position.count }, (_, i) => [
    position.getY(i) / GRAIN_MM.along,
    position.getZ(i) / GRAIN_MM.across,
  ]);
  geometry.setAttribute('uv', new BufferAttribute(new Float32Array(uv.flat()), 2));
  return geometry;
}
