import { defineConfig } from '@playwright/test'
import { LAUNCH } from './launch'

/** Each worker starts a server of its own on a data folder of its own; see server.ts. */
export default defineConfig({
  testDir: '.',
  globalSetup: './emptyFolder.ts',
  // Far more than any test takes: a busy machine is no fault of what is tested.
  timeout: 180_000,
  expect: { timeout: 45_000 },
  workers: 2,
  fullyParallel: true,
  retries: 0,
  forbidOnly: true,
  reporter: [['./plainReporter.ts'], ['json']],
  use: { viewport: { width: 1280, height: 800 }, launchOptions: LAUNCH, trace: 'off' },
})
