// The long runs whose figures stand in docs/reliability.md: `npm run soak`, or some of them: `npm run soak -- kill powerLoss fuzz`.
import { spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { postgres } from './postgres.mjs'

const root = fileURLToPath(new URL('../', import.meta.url))
const named = process.argv.slice(2)
const run = (command, args, env = {}) =>
  spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, NO_COLOR: '1', FORCE_COLOR: '0', ...env } }).status ?? 1
const tests = (project, files, env) =>
  run('npx', ['vitest', 'run', '--project', project, '--maxWorkers', '1', '--reporter', './scripts/plainReporter.mjs', ...files], env)

postgres()
let bad = run('npm', ['run', '-s', 'build'])
const soaks = named.filter((n) => n !== 'fuzz' && n !== 'laws')
if (!bad && (!named.length || soaks.length)) bad += tests('soak', soaks, { SOAK: '1' })
// A hundred thousand requests, twenty thousand files.
if (!bad && (!named.length || named.includes('fuzz'))) bad += tests('server', ['fuzz'], { FUZZ: '100', FUZZ_FILES: '200' })
// Every law of the core held to all its cases and to as many drawn now.
if (!bad && (!named.length || named.includes('laws'))) bad += tests('core', ['packages/core'], { LAWS: 'long' })
process.exit(bad ? 1 : 0)
