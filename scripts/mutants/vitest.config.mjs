import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

/** Core's tests alone, of the folders that are to find the mutants. */
export default defineConfig({
  test: {
    environment: 'node',
    include: (process.env.MUTANT_TESTS ?? 'src/**/*.test.ts').split(','),
    setupFiles: [fileURLToPath(new URL('../seed.mjs', import.meta.url))],
    maxWorkers: 1,
    // Instrumented code takes several times as long.
    testTimeout: 120_000,
  },
})
