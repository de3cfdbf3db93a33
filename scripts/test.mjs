// Every check: build, unit and HTTP tests, browser tests; types, lint and order of the source beside them. Ends with one plain line of
// counts.
import { spawn } from 'node:child_process'
import { readFileSync, rmSync } from 'node:fs'
import { constants, setPriority, tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { chromium } from './chromium.mjs'
import { postgres } from './postgres.mjs'

const root = fileURLToPath(new URL('../', import.meta.url))
const started = Date.now()
const counts = { passed: 0, failed: 0 }
// The laws hold for the same cases each time and for some drawn now.
process.env.DRAWN_SEED ??= String(Math.floor(Math.random() * 2 ** 31))
console.log(`Laws are also held to cases drawn with DRAWN_SEED=${process.env.DRAWN_SEED}`)

// Plain text, on a screen and in a file alike.
const PLAIN = { NO_COLOR: '1', FORCE_COLOR: '0' }

function step(name, command, args, env = {}) {
  console.log(`\n— ${name}`)
  const child = spawn(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...PLAIN, ...env } })
  return ended(child)
}

/** On what the steps leave of the machine: the tests wait now and then, for a disk or for each other. What it says is printed when it is done. */
async function aside(name, command, args) {
  const child = spawn(command, args, { cwd: root, env: { ...process.env, ...PLAIN } })
  setPriority(child.pid, constants.priority.PRIORITY_BELOW_NORMAL)
  let said = ''
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk))
  await ended(child)
  console.log(`\n— ${name}\n${said}`.trimEnd())
}

const ended = (child) =>
  new Promise((done) =>
    child.on('close', (status) => {
      if (status !== 0) counts.failed++
      done(status === 0)
    }),
  )

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

async function onPaper() {
  await aside('types and lint', 'npm', ['run', '-s', 'sound'])
  await aside('format, structure, what nobody uses and licences', 'npm', ['run', '-s', 'order'])
}

const read = onPaper()
const built = await step('build', 'npm', ['run', '-s', 'build'])
postgres()
await step('unit and HTTP tests', 'npx', [
  'vitest',
  'run',
  '--reporter=./scripts/plainReporter.mjs',
  '--reporter=json',
  `--outputFile.json=${unitReport}`,
])
count(unitReport, (r) => ({ passed: r.numPassedTests, failed: r.numFailedTests }))
if (built) {
  await step('browser tests', 'npm', ['run', '-s', 'e2e'], { CHROMIUM: chromium(), PLAYWRIGHT_JSON_OUTPUT_NAME: browserReport })
  count(browserReport, (r) => ({ passed: r.stats.expected, failed: r.stats.unexpected }))
}

await read
console.log(`\n${Math.round((Date.now() - started) / 1000)} s`)
console.log(`${counts.passed} passed, ${counts.failed} failed`)
process.exit(counts.failed ? 1 : 0)
