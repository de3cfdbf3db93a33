import { defineConfig } from 'vitest/config'
import react from '@vitejs/plugin-react'

const node = (name: string, root: string, more: object = {}) => ({
  test: { name, root, environment: 'node' as const, include: ['src/**/*.test.ts'], ...more },
})

export default defineConfig({
  test: {
    projects: [
      node('core', 'packages/core'),
      node('formats', 'packages/formats'),
      node('contract', 'packages/contract', { setupFiles: ['reflect-metadata'] }),
      node('demo', 'demo'),
      node('server', 'apps/server', { testTimeout: 20000, hookTimeout: 60000, setupFiles: ['reflect-metadata'] }),
      {
        plugins: [react()],
        test: { name: 'web', root: 'apps/web', environment: 'jsdom', testTimeout: 20000, include: ['src/**/*.test.{ts,tsx}'] },
      },
    ],
  },
})
