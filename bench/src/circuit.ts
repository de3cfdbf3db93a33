import { spawnSync } from 'node:child_process'
import {
  AMPLIFIER,
  CABLE_PER_METRE,
  cabinetOf,
  circuitPicture,
  frequencies,
  harnessOf,
  nextTest,
  predictReading,
  suspects,
  switchStates,
  toleranceBand,
  toNetlist,
  type Cabinet,
  type Evidence,
  type Harness,
  type Load,
} from '@snug/core'
import { toSpice } from '@snug/formats'
import { heron } from '@snug/demo'
import { Simulation } from 'eecircuit-engine'
import { median, row } from './measure'

/** The whole circuit picture of Heron, 5 positions x 11 knob settings x 200 points, beside the SPICE engine on the same netlists. */
export async function benchCircuit(): Promise<void> {
  const build = heron('2026-11-24', '2027-02-15', '2026-12-05')
  const scheme = harnessOf(build)
  if (!scheme.ok) throw new Error('Heron lacks parts for its circuit')
  const load = { cable: 5 * CABLE_PER_METRE, amplifier: AMPLIFIER }
  const curves = 5 * 11
  const mine = await median(60, () => circuitPicture(scheme.harness, load, 'tone', {}))
  const spice = new Simulation()
  await spice.start()
  const sweep = async () => {
    for (let position = 1; position <= 5; position++)
      for (let tone = 0; tone <= 10; tone++) {
        // 66 points a decade over three decades is about 200.
        spice.setNetList(toSpice('Heron', toNetlist(scheme.harness, { switches: { switch: position }, knobs: { tone } }, load), 66).text)
        await spice.runSim()
      }
  }
  const theirs = await median(3, sweep)
  row('circuit picture of Heron, 5 x 11 x 200', mine, `${((mine * 1e3) / (curves * 200)).toFixed(2)} us a frequency`)
  row('  the same in the SPICE engine (WASM)', theirs, `ours is ${(theirs / mine).toFixed(0)} times as fast`)
  const native = nativeSpice(scheme.harness, load)
  if (native)
    row('  the same in the ngspice of this machine, its start included', native, `ours is ${(native / mine).toFixed(0)} times as fast`)
  else console.log('  ngspice is not installed on this machine')

  // What the Wire station shows anew when a knob is let go, without the sweep: every position's reading with its band.
  const states = switchStates(scheme.harness)
  let turn = 0
  const turned = await median(50, () => {
    turn = (turn + 0.5) % 10
    for (const { switches } of states) predictReading(build, scheme.harness, { switches, knobs: { volume: turn, tone: turn } })
  })
  row('knob turn of Heron to every reading and its band', turned, `${states.length} positions`)

  // Find a fault: every single fault and what every test would show of it; the ranking and the next test; two at once.
  row('every fault of Heron and what every test shows of it', await median(5, () => cabinetOf(scheme.harness)))
  const cabinet = cabinetOf(scheme.harness)
  const first = nextTest(cabinet, [])!
  const evidence = [{ test: first.test.id, outcome: cabinet.shown[3]![cabinet.tests.indexOf(first.test)]! }]
  row(
    '  ranking all of them by what was found',
    await median(15, () => suspects(cabinet, evidence)),
    `${cabinet.faults.length} faults, ${cabinet.tests.length} tests`,
  )
  row('  the next test', await median(15, () => nextTest(cabinet, evidence)))
  const counts = cabinet.faults.map((_, i) => testsToName(cabinet, i)).toSorted((a, b) => a - b)
  console.log(
    `  tests until a fault is named, its readings as they should be: median ${counts[Math.floor(counts.length / 2)]}, most ${counts.at(-1)}`,
  )
  const setting = { switches: { switch: 1 }, knobs: {} }
  row('tolerance band of 500 samples', await median(3, () => toleranceBand(build, scheme.harness, setting, load, frequencies(200), 500)))
}

/** How many tests are followed until one fault, or a group no test without an iron can part, is nearly sure. */
function testsToName(cabinet: Cabinet, fault: number): number {
  const evidence: Evidence[] = []
  for (let next = nextTest(cabinet, evidence); next && evidence.length < 40; next = nextTest(cabinet, evidence)) {
    evidence.push({ test: next.test.id, outcome: cabinet.shown[fault]![cabinet.tests.indexOf(next.test)]! })
    if (suspects(cabinet, evidence)[0]!.chance > 0.98) break
  }
  return evidence.length
}

/** The picture's netlists run one after the other by the native engine; nothing where there is none. @returns ms */
function nativeSpice(harness: Harness, load: Load): number | undefined {
  const netlists = Array.from({ length: 5 }, (_, p) =>
    Array.from(
      { length: 11 },
      (__, tone) => toSpice('Heron', toNetlist(harness, { switches: { switch: p + 1 }, knobs: { tone } }, load), 66).text,
    ),
  ).flat()
  const begun = performance.now()
  for (const input of netlists)
    if (spawnSync('ngspice', ['-b', '-'], { input, stdio: ['pipe', 'ignore', 'ignore'] }).error) return undefined
  return performance.now() - begun
}
