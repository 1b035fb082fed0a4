/** Frames and transoms as bodies in the round: their outline, as thick as they are. */
import { placeInBoat, type Frame } from '@kalotrope/core/frames';
import { at, type Vec2, type Vec3 } from '@kalotrope/core/geometry';
import { transomTriangles, type Transom } from '@kalotrope/core/panels';
import { GRAIN_MM } from './grain';
import { BufferAttribute, BufferGeometry, ExtrudeGeometry, Matrix4, Path, Shape, Vector2, Vector3 } from 'three';

/** The frame's own axes in the boat: athwart, up along its plane, and aft square to it. */
function axesOf(frame: Frame): Matrix4 {
  const at = (place: Vec2, aft = 0) => new Vector3(...placeInBoat(frame, place, aft));
  const from = at([0, 0]);
  const axes = [at([1, 0]), at([0, 1]), at([0, 0], 1)].map((end) => end.sub(from)) as [Vector3, Vector3, Vector3]; // three
  const foremost = at([0, 0], frame.face === 'fore' ? 0 : -frame.width);
  return new Matrix4().makeBasis(...axes).setPosition(foremost);
}

export function frameBody(frame: Frame): BufferGeometry {
  const ring = (points: readonly Vec2[], side: 1 | -1) => points.map(([y, z]) => new Vector2(side * y, z));
  const shapes = (frame.hand === 'pair' ? ([1, -1] as const) : ([1] as const)).map((side) => {
    const shape = new Shape(ring(frame.cut.outline, side));
    shape.holes = frame.cut.holes.map((hole) => new Path(ring(hole, side)));
    return shape;
  });
  const geometry = new ExtrudeGeometry(shapes, { depth: frame.width, bevelEnabled: false });
  return grained(geometry.applyMatrix4(axesOf(frame)));
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
