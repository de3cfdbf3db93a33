import { defineConfig } from '@playwright/test'
import { LAUNCH } from './launch'

export default defineConfig({
  testDir: '.',
  globalSetup: './emptyFolder.ts',
  testMatch: 'screenshots.ts',
  workers: 1,
  timeout: 300_000,
  reporter: 'list',
  use: { viewport: { width: 1280, height: 800 }, launchOptions: LAUNCH },
})
