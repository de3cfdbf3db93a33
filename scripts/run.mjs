// Builds what is out of date and starts the server: `--demo` with the demo builds in a folder of their own, otherwise with
// the person's own data folder; with `--share`, for the other devices on the network too; with `--benches`, for several benches that sign in.
import { spawn, spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('../', import.meta.url))
const demo = process.argv.includes('--demo')

console.log('Building…')
const built = spawnSync('npm', ['run', '-s', 'build'], { cwd: root, encoding: 'utf8' })
if (built.status !== 0) {
  process.stderr.write(`${built.stdout}${built.stderr}\n`)
  process.exit(1)
}
console.log(demo ? 'Starting with the demo builds (the first start takes some seconds)…' : 'Starting…')
const passed = process.argv.filter((a) => a === '--share' || a === '--benches')
const server = spawn(process.execPath, ['apps/server/dist/main.js', ...passed], {
  cwd: root,
  stdio: 'inherit',
  // A Ctrl-C reaches every process of the terminal's group; on its own, the server hears of it once, from here.
  detached: true,
  env: { ...process.env, SNUG_DATA: process.env.SNUG_DATA ?? (demo ? 'demo-data' : 'data'), ...(demo ? { SNUG_DEMO: '1' } : {}) },
})
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => server.kill(signal === 'SIGHUP' ? 'SIGTERM' : signal))
server.on('exit', (code) => process.exit(code ?? 0))
