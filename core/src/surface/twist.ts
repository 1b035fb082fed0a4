/** The twist of a ruling: nought where it lies in a developable surface. */
import type { Vec3 } from '../geometry';

/** Rulings this short have no direction: the panel comes to a point there. */
const SHORT_RULING_MM = 1e-3;

/**
 * Signed angle between the tangent planes at the two ends of a ruling, rad; π/2 where one is undefined.
 * (P'×R)×(Q'×R) = R·det(P', Q', R), so its sine needs one determinant and its cosine three dot products.
 */
export function twistOf(p: Vec3, dp: Vec3, q: Vec3, dq: Vec3): number {
  const rx = q[0] - p[0];
  const ry = q[1] - p[1];
  const rz = q[2] - p[2];
  const r2 = rx * rx + ry * ry + rz * rz;
  if (r2 < SHORT_RULING_MM * SHORT_RULING_MM) return 0;
  const determinant =
    dp[0] * (dq[1] * rz - dq[2] * ry) + dp[1] * (dq[2] * rx - dq[0] * rz) + dp[2] * (dq[0] * ry - dq[1] * rx);
  const dpR = dp[0] * rx + dp[1] * ry + dp[2] * rz;
  const dqR = dq[0] * rx + dq[1] * ry + dq[2] * rz;
  const dpdq = dp[0] * dq[0] + dp[1] * dq[1] + dp[2] * dq[2];
  const sine = determinant * Math.sqrt(r2);
  const cosine = dpdq * r2 - dpR * dqR;
  // a line running along the ruling has no tangent plane of its own there
  if (Math.abs(sine) + Math.abs(cosine) < 1e-9 * r2) return Math.PI / 2;
  return Math.atan2(sine, cosine);
}
