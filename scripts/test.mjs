// Every check, in the order that finds trouble soonest: types, lint, build, unit and HTTP tests, browser tests. Ends with one
// plain line of counts.
import { spawn, spawnSync } from 'node:child_process'
import { readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { chromium } from './chromium.mjs'
import { postgres } from './postgres.mjs'

const root = fileURLToPath(new URL('../', import.meta.url))
const started = Date.now()
const counts = { passed: 0, failed: 0 }
// What an earlier run made ready to run is not this one's.
rmSync(join(root, 'node_modules/.ready-for-tests'), { recursive: true, force: true })
// The laws hold for the same cases each time and for some drawn now.
process.env.DRAWN_SEED ??= String(Math.floor(Math.random() * 2 ** 31))
console.log(`Laws are also held to cases drawn with DRAWN_SEED=${process.env.DRAWN_SEED}`)

function step(name, command, args, env = {}) {
  console.log(`\n— ${name}`)
  // Plain text, on a screen and in a file alike.
  const { status } = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, NO_COLOR: '1', FORCE_COLOR: '0', ...env },
  })
  if (status !== 0) counts.failed++
  return status === 0
}

/** Adds the counts a runner wrote to its JSON report. */
function count(file, read) {
  try {
    const { passed, failed } = read(JSON.parse(readFileSync(file, 'utf8')))
    counts.passed += passed
    // The step itself already counted as one failure when any test failed.
    counts.failed += Math.max(0, failed - 1)
  } catch {
    counts.failed++
  }
  rmSync(file, { force: true })
}

const unitReport = join(tmpdir(), `snug-unit-${process.pid}.json`)
const browserReport = join(tmpdir(), `snug-e2e-${process.pid}.json`)

/** Two steps at a time, each on a core of its own; what each says is printed when it is done. */
async function together(...steps) {
  const results = await Promise.all(
    steps.map(
      ([name, command, args]) =>
        new Promise((done) => {
          const child = spawn(command, args, { cwd: root, env: { ...process.env, NO_COLOR: '1', FORCE_COLOR: '0' } })
          let said = ''
          for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk))
          child.on('close', (status) => {
            console.log(`\n— ${name}\n${said}`.trimEnd())
            if (status !== 0) counts.failed++
            done(status === 0)
          })
        }),
    ),
  )
  return results.every(Boolean)
}

// The two take about as long.
const checked = await together(
  ['types, lint and format', 'npm', ['run', '-s', 'sound']],
  ['structure, what nobody uses and licences', 'npm', ['run', '-s', 'order']],
)
const sound = step('build', 'npm', ['run', '-s', 'build']) && checked
postgres()
step('unit and HTTP tests', 'npx', [
  'vitest',
  'run',
  '--reporter=./scripts/plainReporter.mjs',
  '--reporter=json',
  `--outputFile.json=${unitReport}`,
])
count(unitReport, (r) => ({ passed: r.numPassedTests, failed: r.numFailedTests }))
if (sound) {
  step('browser tests', 'npm', ['run', '-s', 'e2e'], { CHROMIUM: chromium(), PLAYWRIGHT_JSON_OUTPUT_NAME: browserReport })
  count(browserReport, (r) => ({ passed: r.stats.expected, failed: r.stats.unexpected }))
}

console.log(`\n${Math.round((Date.now() - started) / 1000)} s`)
console.log(`${counts.passed} passed, ${counts.failed} failed`)
process.exit(counts.failed ? 1 : 0)
