/** `kalo`: the computation without a browser. A thin shell over core; formats in docs/formats.md. */
import { run } from './run';
import { searchedBeside, startBeside } from './second-core';

if (!searchedBeside())
  process.exitCode = run(process.argv.slice(2), {
    out: (text) => process.stdout.write(text),
    err: (text) => process.stderr.write(text),
    now: () => performance.now(),
    beside: startBeside,
  });
