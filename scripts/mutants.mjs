// Plants small faults in core, one at a time, and counts how many a test sees: npm run mutants -- judge physics. A folder with a
// share behind it, as in fit=0.1, is judged by a sample of its declarations; finish/c* are the folder's files that begin so, for a folder too
// large to be done at once. Not part of the checks: it takes hours.
import { Stryker } from '@stryker-mutator/core'
import { readdirSync, rmSync } from 'node:fs'
import { fileURLToPath } from 'node:url'

const root = fileURLToPath(new URL('../', import.meta.url))
/** What holds the cards of holes and is done in a second or two. */
const OF_HOLES = ['besideGuard', 'bodyRoutes', 'bridgeWindow', 'hollowBody', 'jackCup', 'onArch', 'onPlate', 'passages', 'pilotCases']
  .concat('placeCases', 'rowsAndRims', 'sharedScrews', 'switchSlot', 'thereOrPlanned', 'tunerScrewCases', 'unread', 'wanted')
  .map((t) => `drill/${t}.test.ts`)
/** Which tests a folder answers to, where they are not its own alone. */
const TESTS = {
  'drill/cards': OF_HOLES,
  judge: ['judge', 'fit/*.test.ts', 'fit/neck', 'fit/controls'],
  stations: ['stations', 'plan', 'evaluate'],
  drawing: ['drawing', 'instrument', 'fit'],
  fit: ['fit'],
  setup: ['setup', 'stations/setup', 'stations/log'],
}
/**
 * What is judged by sizes answers to the laws of all joints too: to those that are done in seconds. Each mutant nobody sees costs a run of
 * all of them.
 */
const OF_ALL_JOINTS = ['alternatives', 'clearance', 'inHand', 'laws', 'toldWhatever', 'trial'].map((t) => `fit/${t}.test.ts`)
// A body and a neck of one piece are chosen together: that has a test of its own beside the joints.
TESTS['fit/choose'] = ['fit/choose', 'fit/inOnePiece.test.ts', ...OF_ALL_JOINTS]
// Its laws over builds of every kind take a minute for each mutant nobody sees: what is done in seconds has to see it.
const LAWS_OF_HOLES = ['cautions', 'heldTemplates', 'hollowsMeet', 'laws', 'refusals', 'saidAndDrawn', 'untoldKinds']
TESTS.drill = readdirSync(`${root}/packages/core/src/drill`, { recursive: true })
  .filter((t) => t.endsWith('.test.ts') && !LAWS_OF_HOLES.some((law) => t === `${law}.test.ts`))
  .map((t) => `drill/${t}`)
// Under everything: all that reads it takes longer than a first run may.
TESTS.instrument = ['instrument', ...OF_ALL_JOINTS, ...OF_HOLES, 'setup']
const asked = process.argv.slice(2)
if (!asked.length) throw new Error('Name the folders of core to try, as in: npm run mutants -- quantity physics')

process.chdir(`${root}/packages/core`)
const rows = []
for (const one of asked) {
  const [folder, share = '1'] = one.split('=')
  const whole = folder.includes('*') ? folder.slice(0, folder.lastIndexOf('/')) : folder
  const own = whole.startsWith('fit/') ? [whole, ...OF_ALL_JOINTS] : [whole]
  const tests = (TESTS[whole] ?? own).map((t) => (t.endsWith('.ts') ? `src/${t}` : `src/${t}/**/*.test.ts`))
  process.env.MUTANT_TESTS = tests.join(',')
  process.env.MUTANT_SHARE = share
  const results = await new Stryker({
    mutate: [folder === whole ? `src/${folder}/**/*.ts` : `src/${folder}.ts`, '!src/**/*.test.ts', '!src/**/index.ts'],
    testRunner: 'vitest',
    vitest: { configFile: `${root}/scripts/mutants/vitest.config.mjs`, related: false },
    plugins: ['@stryker-mutator/vitest-runner', `${root}/scripts/mutants/sample.mjs`],
    ignorers: ['sample'],
    coverageAnalysis: 'perTest',
    reporters: [],
    concurrency: Number(process.env.MUTANTS_AT_ONCE ?? 2),
    timeoutMS: 20_000,
    tempDirName: `.mutants-${process.pid}`,
    logLevel: 'error',
    // Words are no rules: a test that knew each sentence by heart would find nothing worth finding.
    mutator: { excludedMutations: ['StringLiteral', 'ObjectLiteral', 'Regex'] },
  }).runMutationTest()
  for (const r of results.filter((m) => m.status === 'Survived' || m.status === 'NoCoverage'))
    console.log(
      `  ${r.fileName.split('/src/').at(-1)}:${r.location.start.line + 1} ${r.mutatorName}: ${r.replacement.replaceAll(/\s+/g, ' ').slice(0, 90)}`,
    )
  const count = (...states) => results.filter((r) => states.includes(r.status)).length
  const [seen, missed] = [count('Killed', 'Timeout'), count('Survived', 'NoCoverage')]
  rows.push(
    `${folder.padEnd(18)} ${seen} of ${seen + missed} seen, ${((100 * seen) / Math.max(1, seen + missed)).toFixed(0)} %${share === '1' ? '' : `, a sample of ${share}`}`,
  )
  console.log(rows.at(-1))
}
rmSync(`.mutants-${process.pid}`, { recursive: true, force: true })
