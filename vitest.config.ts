import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'tests/{laws,wire,bundle}/**/*.test.ts'],
    testTimeout: 30_000,
    pool: 'forks',
  },
});
