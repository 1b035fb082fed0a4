import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['{core,cli,server,web}/src/**/*.test.{ts,tsx}'],
    environment: 'node',
    testTimeout: 60_000,
  },
});
