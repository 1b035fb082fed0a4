/** The box of a small picture around curves that run upwards, with a margin; for its `viewBox`. */
import { boxAround } from './DrawingSurface';

/** Of the width. */
const MARGIN = 0.03;

export function viewBoxAround(points: readonly (readonly [number, number])[]) {
  const { minX, minY, maxX, maxY } = boxAround(points);
  const [width, height] = [maxX - minX, maxY - minY];
  const margin = MARGIN * width;
  const box = [minX - margin, -maxY - margin, width + 2 * margin, height + 2 * margin];
  return { width, viewBox: box.map((n) => n.toFixed(1)).join(' ') };
}
