/** How a panel stands against the limits of what sheet material does. */
import { STRAIN_LIMITS, TWIST_LIMIT_DEG } from '../constants';
import type { Panel } from '../panel';

/** How a panel stands: what the two limits are set against. */
export type Standing = { readonly twistDeg: number; readonly strain: number };

/** A remedy stays this far inside the limits, so that rounding does not undo it. */
const INSIDE = 0.97;

export const standingOf = (panel: Panel): Standing => ({
  twistDeg: panel.maxTwist.value,
  strain: panel.maxStrain.value,
});

/** Over either limit: what a remedy is looked for. */
export const needsRemedy = ({ twistDeg, strain }: Standing): boolean =>
  twistDeg > TWIST_LIMIT_DEG.value || strain > STRAIN_LIMITS.value.joints;

/** Under both limits, with something to spare. */
export const passes = ({ twistDeg, strain }: Standing): boolean =>
  twistDeg <= TWIST_LIMIT_DEG.value * INSIDE && strain <= STRAIN_LIMITS.value.joints * INSIDE;

/** Where a panel was over a limit it may stay as far over. */
export const isNoWorse = (now: Standing, before: Standing): boolean =>
  now.twistDeg <= Math.max(before.twistDeg, TWIST_LIMIT_DEG.value * INSIDE) &&
  now.strain <= Math.max(before.strain, STRAIN_LIMITS.value.joints * INSIDE);
