/**
 * The section of a fillet, and how large it is where it is made by what it covers.
 *
 * Method: a fillet of radius r in an angle θ has the section r²·(cot(θ/2) − (π−θ)/2), the kite between the two sides
 * and the centre less the sector (derived here); it covers the leg r·cot(θ/2) on each side. In a wide corner a round
 * fillet is a smear: there builders go by the leg, and the radius is leg·tan(θ/2).
 */
import type { EpoxyPart } from '../schema';

/** Section of a fillet in an angle, mm²; nought from a straight angle on. */
export function filletArea(radius: number, angleRad: number): number {
  if (angleRad <= 0 || angleRad >= Math.PI) return 0;
  return radius * radius * (1 / Math.tan(angleRad / 2) - (Math.PI - angleRad) / 2);
}

export type FilletRule = {
  readonly radius: number;
  /** On each side at least. */
  readonly leg: number;
  readonly by: EpoxyPart['filletBy'];
};

/** The radius that is made in an angle, and which of the two ruled. */
export function filletIn(
  { radius, leg, by }: FilletRule,
  angleRad: number,
): { radius: number; ruledBy: 'radius' | 'leg' } {
  const byLeg = angleRad <= 0 || angleRad >= Math.PI ? 0 : leg * Math.tan(angleRad / 2);
  const isLeg = by === 'leg' || (by === 'larger' && byLeg > radius);
  return isLeg ? { radius: byLeg, ruledBy: 'leg' } : { radius, ruledBy: 'radius' };
}
