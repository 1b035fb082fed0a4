/** Symmetric equations whose matrix is a band: kept by rows, the diagonal last. */

export type Band = {
  readonly size: number;
  /** Entries to the left of the diagonal. */
  readonly half: number;
  readonly rows: Float64Array;
};

export const emptyBand = (size: number, half: number): Band => ({
  size,
  half,
  rows: new Float64Array(size * (half + 1)),
});

/** Adds to an entry on or left of the diagonal. */
export function addTo({ half, rows }: Band, i: number, j: number, by: number): void {
  const k = i * (half + 1) + half - i + j;
  rows[k] = rows[k]! + by; // within the band, as asked
}

/**
 * Cholesky's factor of a band with a shift on its diagonal (a share of each entry of it); undefined where it is not
 * positive definite.
 */
export function factor({ size, half, rows }: Band, shift = 0): Band | undefined {
  const wide = half + 1;
  const out = Float64Array.from(rows);
  for (let i = 0; i < size; i++) {
    const from = Math.max(0, i - half);
    const row = i * wide + half - i;
    out[row + i] = out[row + i]! * (1 + shift); // all in bounds, here and below
    for (let j = from; j <= i; j++) {
      const other = j * wide + half - j;
      // four sums side by side: one would wait for itself at each step
      let sum = out[row + j]!;
      let a = 0;
      let b = 0;
      let c = 0;
      let k = Math.max(from, j - half);
      for (; k + 3 < j; k += 4) {
        sum -= out[row + k]! * out[other + k]!;
        a += out[row + k + 1]! * out[other + k + 1]!;
        b += out[row + k + 2]! * out[other + k + 2]!;
        c += out[row + k + 3]! * out[other + k + 3]!;
      }
      for (; k < j; k++) sum -= out[row + k]! * out[other + k]!;
      sum -= a + b + c;
      if (j < i) out[row + j] = sum / out[other + j]!;
      else {
        if (!(sum > 0)) return undefined;
        out[row + i] = Math.sqrt(sum);
      }
    }
  }
  return { size, half, rows: out };
}

/** Solves with a factor. */
export function solveFactored({ size, half, rows }: Band, right: Float64Array): Float64Array {
  const wide = half + 1;
  const x = Float64Array.from(right);
  for (let i = 0; i < size; i++) {
    const row = i * wide + half - i;
    let sum = x[i]!; // all in bounds
    for (let k = Math.max(0, i - half); k < i; k++) sum -= rows[row + k]! * x[k]!;
    x[i] = sum / rows[row + i]!;
  }
  for (let i = size - 1; i >= 0; i--) {
    const row = i * wide + half - i;
    const value = x[i]! / rows[row + i]!;
    x[i] = value;
    for (let k = Math.max(0, i - half); k < i; k++) x[k] = x[k]! - rows[row + k]! * value;
  }
  return x;
}
