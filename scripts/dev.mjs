// For developers: server rebuilt and restarted on change, interface served by Vite with hot reload.
import { spawn, spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('../', import.meta.url))
spawnSync('npm', ['run', '-s', 'build', '-w', '@snug/server'], { cwd: root, stdio: 'inherit' })
const env = { ...process.env, SNUG_DATA: process.env.SNUG_DATA ?? 'demo-data', SNUG_DEMO: '1' }
const run = (command, args) => spawn(command, args, { cwd: root, stdio: 'inherit', env })
const children = [
  run('npm', ['run', '-s', 'dev', '-w', '@snug/server']),
  run(process.execPath, ['--watch-path=apps/server/dist', 'apps/server/dist/main.js']),
  run('npm', ['run', '-s', 'dev', '-w', '@snug/web']),
]
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => children.forEach((c) => c.kill(signal)))
