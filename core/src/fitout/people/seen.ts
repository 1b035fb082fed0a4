/** A person as rings to draw: from the side, from above, and across where the body is. */
import { at, type Vec2 } from '../../geometry';
import type { Body } from './body';

/** Corners of a half circle in a drawing. */
const CORNERS = 10;

/** Round both ends of the straight from one place to another. */
function capsule(from: Vec2, to: Vec2, thick: number): Vec2[] {
  const turn = Math.atan2(to[1] - from[1], to[0] - from[0]);
  const half = ([x, y]: Vec2, start: number): Vec2[] =>
    Array.from({ length: CORNERS + 1 }, (_, i): Vec2 => {
      const a = start + (Math.PI * i) / CORNERS;
      return [x + (thick / 2) * Math.cos(a), y + (thick / 2) * Math.sin(a)];
    });
  return [...half(to, turn - Math.PI / 2), ...half(from, turn + Math.PI / 2)];
}

const circle = (middle: Vec2, radius: number): Vec2[] => capsule(middle, middle, 2 * radius);

/** x aft and z up. */
export const personFromSide = ({ limbs, head }: Body): Vec2[][] => [
  ...limbs.map(({ from, to, thick }) => capsule(from, to, thick)),
  circle(head.at, head.radius),
];

/** Of what one is broad at the elbows the trunk, and each leg beside the middle. */
const TRUNK_SHARE = 0.85;
const LEG_SHARE = 0.2;

/** x aft and y to starboard. */
export function personFromAbove({ limbs, head, hip, knee, toe, out, broad, pose }: Body): Vec2[][] {
  const leg = (at(limbs, 1).thick + at(limbs, 2).thick) / 2;
  const across = (TRUNK_SHARE * broad) / 2 - at(limbs, 0).thick / 2;
  const shoulders = pose === 'lying' ? at(limbs, 0).from[0] : hip[0];
  const trunk =
    pose === 'lying'
      ? capsule([shoulders, out], [hip[0], out], TRUNK_SHARE * broad)
      : capsule([shoulders, out - across], [shoulders, out + across], at(limbs, 0).thick);
  const legs = [-1, 1].flatMap((side) => {
    const y = out + side * LEG_SHARE * broad;
    return [capsule([hip[0], y], [knee[0], y], leg), capsule([knee[0], y], [toe[0], y], 0.7 * leg)];
  });
  return [...legs, trunk, circle([head.at[0], out], head.radius)];
}

/** y to starboard and z up, where a plane across the boat passes the body; none elsewhere. */
export function personAcross({ limbs, head, out, broad, height, pose, span }: Body, x: number): Vec2[][] {
  if (x < span[0] || x > span[1]) return [];
  const trunk = at(limbs, 0);
  if (pose === 'lying') {
    const z = height + trunk.thick / 2;
    const across = (TRUNK_SHARE * broad - trunk.thick) / 2;
    return [capsule([out - across, z], [out + across, z], trunk.thick)];
  }
  const wide = 0.7 * broad;
  const low = height + wide / 2;
  const elbow = height + trunk.thick;
  return [
    capsule([out, low], [out, Math.max(low, trunk.to[1] - wide / 2)], wide),
    ...[-1, 1].map((side) =>
      capsule([out + side * (wide / 2), trunk.to[1] - wide / 3], [out + side * (broad / 2 - ARM / 2), elbow], ARM),
    ),
    circle([out, head.at[1]], head.radius),
  ];
}

const ARM = 90;
