import { availableParallelism } from 'node:os';
import { defineConfig } from 'vitest/config';

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
    coverage: {
      include: ['{core,cli,server,web}/src/**/*.{ts,tsx}'],
      exclude: ['**/*.test.{ts,tsx}', '**/fixtures/**'],
      reporter: ['text-summary'],
      reportsDirectory: '.reports/coverage',
    },
  },
});
