/** An outer stem as a solid and as it is seen. */
import { at, type Vec2, type Vec3 } from '../../geometry';
import type { FittedStem } from './stem';

/** Round it at each of its corners from above down: against the boat from port to starboard, and ahead of it back. */
export const stemCorners = ({
  inner,
  ahead,
  face,
  outer,
}: FittedStem): readonly (readonly [Vec3, Vec3, Vec3, Vec3])[] =>
  inner.map(([x, z], i) => {
    const [ax, az] = at(ahead, i);
    return [
      [x, -face / 2, z],
      [x, face / 2, z],
      [ax, outer / 2, az],
      [ax, -outer / 2, az],
    ];
  });

/** In profile, all round. */
export const stemFromSide = ({ inner, ahead }: Pick<FittedStem, 'inner' | 'ahead'>): Vec2[] => [
  ...inner,
  ...[...ahead].reverse(),
];

/** From above: its upper end, and how far it reaches. */
export function stemFromAbove(stem: FittedStem): Vec2[] {
  const all = [...stem.inner, ...stem.ahead].map(([x]) => x);
  if (all.length === 0) return [];
  const [first, last] = [Math.min(...all), Math.max(...all)];
  const half = Math.max(stem.face, stem.outer) / 2;
  return [
    [first, -half],
    [last, -half],
    [last, half],
    [first, half],
  ];
}
