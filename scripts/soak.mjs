// The long runs whose figures stand in docs/reliability.md: `npm run soak`, or some of them: `npm run soak -- kill powerLoss`.
import { spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { postgres } from './postgres.mjs'

const root = fileURLToPath(new URL('../', import.meta.url))
const run = (command, args, env = {}) =>
  spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, NO_COLOR: '1', FORCE_COLOR: '0', ...env } }).status ?? 1

postgres()
const built = run('npm', ['run', '-s', 'build'])
const more = ['--project', 'soak', '--maxWorkers', '1', '--reporter', './scripts/plainReporter.mjs', ...process.argv.slice(2)]
process.exit(built || run('npx', ['vitest', 'run', ...more], { SOAK: '1' }))
