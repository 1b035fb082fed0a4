/** The normal distribution: numbers drawn from it, and the size that one keeps within. */

/** Draws from it, two at a time (Box and Muller). */
export function normals(next: () => number): () => number {
  let kept: number | undefined;
  return () => {
    if (kept !== undefined) {
      const one = kept;
      kept = undefined;
      return one;
    }
    const size = Math.sqrt(-2 * Math.log(1 - next()));
    const turn = 2 * Math.PI * next();
    kept = size * Math.sin(turn);
    return size * Math.cos(turn);
  };
}

/** Within so many standard deviations nineteen of twenty lie. */
export const NINETEEN = 1.959964;

/** Share of a standard normal below z: Abramowitz and Stegun, 7.1.26, within 1.5e-7. */
export function below(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const tail =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
    Math.exp(-x * x);
  return z < 0 ? tail / 2 : 1 - tail / 2;
}

const HALVINGS = 40;

/** The size within which a normal of this mean and standard deviation lies with a probability. */
export function sizeWithin(share: number, mean: number, deviation: number): number {
  const off = Math.abs(mean);
  if (deviation <= 0) return off;
  let [low, high] = [0, off + 6 * deviation];
  for (let k = 0; k < HALVINGS; k++) {
    const middle = (low + high) / 2;
    if (below((middle - off) / deviation) - below((-middle - off) / deviation) < share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
