/** Frames and transoms as bodies in the round: their outline, as thick as they are. */
import type { Frame } from '@kalotrope/core/frames';
import { at, type Vec3 } from '@kalotrope/core/geometry';
import { transomTriangles, type Transom } from '@kalotrope/core/panels';
import { GRAIN_MM } from './grain';
import { BufferAttribute, BufferGeometry, ExtrudeGeometry, Matrix4, Shape, Vector2, Vector3 } from 'three';

/** The frame's own plane: y athwart, z up, and the third along the boat. */
const ACROSS = new Matrix4().makeBasis(new Vector3(0, 1, 0), new Vector3(0, 0, 1), new Vector3(1, 0, 0));

export function frameBody({ x, width, face, outline }: Frame): BufferGeometry {
  const half = outline.map(([y, z]) => new Vector2(y, z));
  const mirror = [...half].reverse().map(({ x: y, y: z }) => new Vector2(-y, z));
  const geometry = new ExtrudeGeometry(new Shape([...half, ...mirror]), { depth: width, bevelEnabled: false });
  const from = face === 'fore' ? x : x - width;
  return grained(geometry.applyMatrix4(ACROSS).translate(from, 0, 0));
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
