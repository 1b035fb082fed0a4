/** The solver of linear programs, loaded with what it is compiled to. */
import { solverFrom, type LinearSolver } from '@kalotrope/core/timber';

export async function loadSolver(): Promise<LinearSolver> {
  const { default: load } = await import('highs');
  const { solve } = await load();
  return solverFrom((text, options) => solve(text, options));
}
