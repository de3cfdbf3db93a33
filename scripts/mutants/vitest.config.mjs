import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

/** Core's tests alone, of the folders that are to find the mutants. */
export default defineConfig({
  test: {
    environment: 'node',
    include: (process.env.MUTANT_TESTS ?? 'src/**/*.test.ts').split(','),
    // The table of joints is read in docs, which a copy of core has not.
    exclude: ['**/fit/table.test.ts'],
    setupFiles: [fileURLToPath(new URL('../seed.mjs', import.meta.url))],
    maxWorkers: 1,
    // Instrumented code takes several times as long.
    testTimeout: 120_000,
  },
})
