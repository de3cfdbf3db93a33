import { defineConfig } from 'vitest/config'
import react from '@vitejs/plugin-react'
import { fileURLToPath } from 'node:url'

const template = fileURLToPath(new URL('apps/server/src/testing/template.ts', import.meta.url))
const postgres = fileURLToPath(new URL('apps/server/src/testing/postgres.ts', import.meta.url))
const seed = fileURLToPath(new URL('scripts/seed.mjs', import.meta.url))
/** Slow parts of the document of the tests, made quick; and how long they wait. */
const quicker = ['labels', 'styles', 'stacks', 'patience'].map((name) =>
  fileURLToPath(new URL(`apps/web/src/testing/${name}.ts`, import.meta.url)),
)

/** Thrown away before every whole run. */
const ready = fileURLToPath(new URL('node_modules/.ready-for-tests', import.meta.url))

const SERVER = 'apps/server/src'
/** What is about the database server itself, or moving to one. */
const NEEDS_SERVER = [`${SERVER}/db/postgres.test.ts`, `${SERVER}/backup/move.test.ts`]

const QUICK_WASM = ['--liftoff-only', '--wasm-lazy-compilation']

const node = (name: string, ...include: string[]) => ({
  name,
  // One root for all of them: what was made ready for one is ready for the next.
  root: '.',
  environment: 'node' as const,
  // Nothing in these tests is global: each worker reads the code once, not once a file.
  isolate: false,
  include,
  // Far more than any test takes: a busy machine is no fault of what is tested.
  testTimeout: 300_000,
  hookTimeout: 300_000,
  setupFiles: [seed, 'reflect-metadata'],
})

export default defineConfig({
  test: {
    // Every core: the default leaves one idle.
    maxWorkers: '100%',
    // A file of the source is made ready to run once, not once a project.
    experimental: { fsModuleCache: true, fsModuleCachePath: ready },
    projects: [
      // All that stands on the core alone, so that each worker reads it once.
      { test: node('core', '{packages/*,demo}/src/**/*.test.ts') },
      {
        // The database's program is run a few times by each process: quick to compile matters more than quick to run.
        test: {
          ...node('server', `${SERVER}/**/*.test.ts`),
          exclude: NEEDS_SERVER,
          globalSetup: [template],
          execArgv: QUICK_WASM,
        },
      },
      {
        // What is said over HTTP must hold on either kind of database.
        test: {
          ...node('postgres', `${SERVER}/{benches,builds,bundle,links,log,news,photos,stock}/**/*.test.ts`, ...NEEDS_SERVER),
          // Neither asks a database anything.
          exclude: [`${SERVER}/builds/idFor.test.ts`, `${SERVER}/photos/stripped.test.ts`],
          globalSetup: [postgres, template],
          env: { SNUG_TEST_ON: 'postgres' },
        },
      },
      // Long runs in short (SOAK=1 for their full length): each by itself, since they cut down what they stand on.
      { test: { ...node('soak', 'soak/src/**/*.test.ts'), globalSetup: [template] } },
      {
        plugins: [react()],
        test: {
          name: 'web',
          root: 'apps/web',
          environment: 'jsdom',
          // Each file has a world of its own, made far sooner than a process of its own.
          pool: 'vmThreads',
          testTimeout: 300_000,
          hookTimeout: 300_000,
          setupFiles: [seed, ...quicker],
          include: ['src/**/*.test.{ts,tsx}'],
        },
      },
    ],
  },
})
