// One current picture of each main view, from the demo data, in docs/screenshots/.
import { spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { chromium } from './chromium.mjs'

const root = fileURLToPath(new URL('../', import.meta.url))
const run = (command, args, env = {}) => {
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } })
  if (status !== 0) process.exit(status ?? 1)
}
run('npm', ['run', '-s', 'build'])
run('npx', ['playwright', 'test', '-c', 'e2e/screenshots.config.ts'], { CHROMIUM: chromium() })
