/** Small dense systems of linear equations. */
import { at } from './vec';

/** Solves A·x = b by elimination with row exchange. A must not be singular; it and b are left alone. */
export function solveDense(matrix: readonly (readonly number[])[], right: readonly number[]): number[] {
  const n = right.length;
  const rows = matrix.map((row, i) => [...row, at(right, i)]);
  for (let k = 0; k < n; k++) {
    let pivot = k;
    for (let i = k + 1; i < n; i++) if (Math.abs(at(at(rows, i), k)) > Math.abs(at(at(rows, pivot), k))) pivot = i;
    [rows[k], rows[pivot]] = [at(rows, pivot), at(rows, k)];
    const head = at(rows, k);
    if (at(head, k) === 0) throw new Error(`The equations are singular at row ${k} of ${n}`);
    for (let i = k + 1; i < n; i++) {
      const row = at(rows, i);
      const factor = at(row, k) / at(head, k);
      for (let j = k; j <= n; j++) row[j] = at(row, j) - factor * at(head, j);
    }
  }
  const x = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--) {
    const row = at(rows, i);
    let sum = at(row, n);
    for (let j = i + 1; j < n; j++) sum -= at(row, j) * at(x, j);
    x[i] = sum / at(row, i);
  }
  return x;
}
