/** The solver of linear programs, with what it is compiled to: fetched once, from the application's own place. */
import { solverFrom, type LinearSolver } from '@kalotrope/core/timber';
import load from 'highs';
import compiled from 'highs/runtime?url';

let loading: Promise<LinearSolver> | undefined;

export function loadSolver(): Promise<LinearSolver> {
  loading ??= load({ locateFile: () => compiled }).then(({ solve }) =>
    solverFrom((text, options) => solve(text, options)),
  );
  return loading;
}
