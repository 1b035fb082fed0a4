/** `kalo`: the computation without a browser. A thin shell over core; formats in docs/formats.md. */
import type { LinearSolver } from '@kalotrope/core/timber';
import { loadSolver } from './load-solver';
import { needsSolver, run } from './run';
import { searchedBeside, startBeside } from './second-core';

const args = process.argv.slice(2);

function answer(solve?: LinearSolver): void {
  process.exitCode = run(args, {
    out: (text) => process.stdout.write(text),
    err: (text) => process.stderr.write(text),
    now: () => performance.now(),
    beside: startBeside,
    ...(solve && { solve }),
  });
}

if (!searchedBeside()) {
  if (needsSolver(args)) void loadSolver().then(answer);
  else answer();
}
