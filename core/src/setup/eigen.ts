/**
 * Eigenvalues and vectors of a small symmetric matrix.
 *
 * Method: cyclic rotations after Jacobi (Golub and Van Loan, Matrix Computations, 8.5). To rounding in a few sweeps.
 */
const SWEEPS = 40;
const SMALL = 1e-15;

/** `vectors[k]` belongs to `values[k]`; not in any order. */
export function eigenOf(matrix: readonly (readonly number[])[]): { values: number[]; vectors: number[][] } {
  const n = matrix.length;
  const a = matrix.map((row) => [...row]);
  const v = a.map((_, i) => a.map((__, j) => (i === j ? 1 : 0)));
  const scale = Math.max(...a.flat().map(Math.abs), Number.MIN_VALUE);
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    let off = 0;
    for (let p = 0; p < n; p++)
      for (let q = p + 1; q < n; q++) {
        off = Math.max(off, Math.abs(a[p]![q]!));
        if (Math.abs(a[p]![q]!) > SMALL * scale) rotate(a, v, p, q);
      }
    if (off <= SMALL * scale) break;
  }
  return { values: a.map((row, k) => row[k]!), vectors: a.map((_, k) => v.map((row) => row[k]!)) };
}

/** Makes a[p][q] nought; indices are within by the loops above. */
function rotate(a: number[][], v: number[][], p: number, q: number): void {
  const theta = (a[q]![q]! - a[p]![p]!) / (2 * a[p]![q]!);
  const t = Math.sign(theta || 1) / (Math.abs(theta) + Math.hypot(theta, 1));
  const c = 1 / Math.hypot(t, 1);
  const s = t * c;
  for (const rows of [a, v])
    for (const row of rows) {
      const [x, y] = [row[p]!, row[q]!];
      row[p] = c * x - s * y;
      row[q] = s * x + c * y;
    }
  for (let k = 0; k < a.length; k++) {
    const [x, y] = [a[p]![k]!, a[q]![k]!];
    a[p]![k] = c * x - s * y;
    a[q]![k] = s * x + c * y;
  }
}
