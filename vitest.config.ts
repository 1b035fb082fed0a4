import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** Those that take minutes first: begun last, one processor would wait for the other. */
class LongestFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const usual = await super.sort(files);
    const isLong = ({ moduleId }: TestSpecification) => /memory[^/]*\.test\.ts$/.test(moduleId);
    return [...usual.filter(isLong), ...usual.filter((file) => !isLong(file))];
  }
}

export default defineConfig({
  test: {
    include: ['{core,cli,server,web}/src/**/*.test.{ts,tsx}'],
    environment: 'node',
    // a busy machine stands still for many seconds at a time
    testTimeout: 300_000,
    // the browser's store, before whatever test comes first reads a module that wants it
    setupFiles: ['fake-indexeddb/auto'],
    // all processors, and modules read once a worker: no test changes what another sees
    maxWorkers: availableParallelism(),
    pool: 'threads',
    isolate: false,
    sequence: { sequencer: LongestFirst },
    coverage: {
      include: ['{core,cli,server,web}/src/**/*.{ts,tsx}'],
      exclude: ['**/*.test.{ts,tsx}', '**/fixtures/**'],
      reporter: ['text-summary'],
      reportsDirectory: '.reports/coverage',
    },
  },
});
