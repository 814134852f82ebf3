import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'tests/{laws,wire,bundle,schema,db,kinds,wording}/**/*.test.ts'],
    testTimeout: 180_000, // only against what never ends: a law may take its time on a busy machine
    pool: 'forks',
    maxWorkers: 2, // of itself it would leave one of two cores alone
  },
});
