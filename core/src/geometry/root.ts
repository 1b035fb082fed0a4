/** Roots of a function of one variable, safeguarded: they stay in their bracket and always end. */

const MAX_STEPS = 60;
/** Values this small are noughts: of a picometre or a twist that no instrument shows. */
const CLOSE_ENOUGH = 1e-11;

/**
 * The root between `a` and `b`, where f changes sign, by the Illinois variant of regula falsi with bisection as the
 * guard (Dowell and Jarratt 1971). Returns undefined when f has one sign at both ends.
 */
export function bracketedRoot(f: (x: number) => number, a: number, b: number, tolerance: number): number | undefined {
  let fa = f(a);
  let fb = f(b);
  if (fa === 0) return a;
  if (fb === 0) return b;
  if (fa > 0 === fb > 0) return undefined;
  let side = 0;
  for (let step = 0; step < MAX_STEPS && Math.abs(b - a) > tolerance; step++) {
    const guess = (fa * b - fb * a) / (fa - fb);
    const x = step % 6 === 5 || !(guess > Math.min(a, b) && guess < Math.max(a, b)) ? (a + b) / 2 : guess;
    const fx = f(x);
    if (fx === 0) return x;
    if (fx > 0 === fb > 0) {
      b = x;
      fb = fx;
      if (side === -1) fa /= 2;
      side = -1;
    } else {
      a = x;
      fa = fx;
      if (side === 1) fb /= 2;
      side = 1;
    }
    // the last guess is already this close: regula falsi leaves the far end of its bracket where it was
    if (Math.abs(fx) < CLOSE_ENOUGH) return x;
  }
  return Math.abs(fa) < Math.abs(fb) ? a : b;
}
