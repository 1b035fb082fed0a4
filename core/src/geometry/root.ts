/** Roots of a function of one variable, safeguarded: they stay in their bracket and always end. */

const MAX_STEPS = 60;

/**
 * The root between `a` and `b`, where f changes sign, by the Illinois variant of regula falsi with bisection as the
 * guard (Dowell and Jarratt 1971). Returns undefined when f has one sign at both ends.
 */
export function bracketedRoot(
  f: (x: number) => number,
  a: number,
  b: number,
  tolerance: number,
): number | undefined {
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
      [b, fb] = [x, fx];
      if (side === -1) fa /= 2;
      side = -1;
    } else {
      [a, fa] = [x, fx];
      if (side === 1) fb /= 2;
      side = 1;
    }
    // the last guess is already this close: regula falsi leaves the far end of its bracket where it was
    if (Math.abs(fx) < 1e-14) return x;
  }
  return Math.abs(fa) < Math.abs(fb) ? a : b;
}

/** The place of the least f in [a, b] by golden section; f should have one valley there. */
export function leastIn(f: (x: number) => number, a: number, b: number, tolerance: number): number {
  const golden = (Math.sqrt(5) - 1) / 2;
  let [low, high] = [a, b];
  let [x1, x2] = [high - golden * (high - low), low + golden * (high - low)];
  let [f1, f2] = [f(x1), f(x2)];
  for (let step = 0; step < MAX_STEPS && high - low > tolerance; step++) {
    if (f1 < f2) {
      high = x2;
      [x2, f2] = [x1, f1];
      x1 = high - golden * (high - low);
      f1 = f(x1);
    } else {
      low = x1;
      [x1, f1] = [x2, f2];
      x2 = low + golden * (high - low);
      f2 = f(x2);
    }
  }
  return (low + high) / 2;
}
