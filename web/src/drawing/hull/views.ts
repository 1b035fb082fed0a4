/** From where the hull is looked at, and how near: the whole of it, as large as its place allows. */
import { Vector3, type PerspectiveCamera } from 'three';

/** Directions from the hull to the eye, in the picture's axes: aft, up, port. */
export const VIEWS = {
  'three-quarter': [-0.95, 0.72, 1.15],
  side: [0, 0.1, 1],
  'bow on': [-1, 0.22, 0],
} as const;
export type View = keyof typeof VIEWS;
export const VIEW_NAMES = Object.keys(VIEWS) as readonly View[]; // its own keys

export const nextView = (view: View): View => VIEW_NAMES[(VIEW_NAMES.indexOf(view) + 1) % VIEW_NAMES.length]!; // within

/** Of the picture's half, that the hull takes up. */
const FILL = 0.92;

/** Stands the camera off in a direction looking at the middle. */
export function lookFrom(camera: PerspectiveCamera, view: View, length: number): void {
  const [x, y, z] = VIEWS[view];
  camera.position.copy(new Vector3(x, y, z).normalize().multiplyScalar(length * 1.66));
  camera.lookAt(0, 0, 0);
}

/** Zooms until the points fill the picture in one direction. */
export function zoomTo(camera: PerspectiveCamera, points: readonly Vector3[]): void {
  camera.zoom = 1;
  camera.updateProjectionMatrix();
  camera.updateMatrixWorld();
  const seen = points.map((point) => point.clone().project(camera));
  camera.zoom = FILL / Math.max(0.1, ...seen.map(({ x, y }) => Math.max(Math.abs(x), Math.abs(y))));
  camera.updateProjectionMatrix();
}
