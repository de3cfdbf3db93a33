import type { Build } from '../../document/build'
import { predictReading } from '../bench/readings'
import type { Harness } from '../model/harness'
import { harnessOf } from '../schemes/harnessOf'
import type { BenchTest } from './benchTests'
import { checkList, expected, type CheckLine } from './checkList'
import { nextTest } from './nextTest'
import { weighBy } from './repairs'
import { evidenceOf, symptomsOf, type Symptom } from './symptoms'
import { pairSuspects } from './pairs'
import { cabinetOf, suspects, type Cabinet, type Evidence } from './rank'

/** What a hunt stands at, as plain data: it is worked out where nothing waits for it. */
export interface Hunt {
  suspects: { id: string; says: string; cure: string; chance: number; alike: string[]; at: string[] }[]
  next?: { test: BenchTest; minutes: number; expect: string }
  /** Two at once, where no single one explains it. */
  pairs: { says: [string, string]; explains: number }[]
  tests: BenchTest[]
  /** What can be complained of. */
  symptoms: readonly Symptom[]
  /** Lines of the check before closing. */
  checks: Omit<CheckLine, 'finds'>[]
}

/** The last cabinet: it is asked again and again while a build stands as it does. */
let kept: { key: string; cabinet: Cabinet } | undefined

/** The cabinet of a build, every reading as surely known as its parts are; nothing while it has no circuit. */
export function cabinetFor(build: Build): Cabinet | undefined {
  const made = harnessOf(build)
  if (!made.ok) return undefined
  const key = JSON.stringify([made.harness, build.parts])
  if (kept?.key !== key) kept = { key, cabinet: cabinetOf(made.harness, (t) => spreadOf(build, made.harness, t)) }
  return kept.cabinet
}

function spreadOf(build: Build, harness: Harness, { setting, probes }: BenchTest): number {
  const { ohm, doubt } = predictReading(build, harness, setting, probes!)
  return ohm > 1 && Number.isFinite(ohm) ? doubt / ohm / 2 : 0
}

/** Where the search for a fault stands by what was found out, complained of and mended. */
export function hunt(build: Build, found: readonly Evidence[]): Hunt | undefined {
  const c = cabinetFor(build)
  if (!c) return undefined
  const { complaints = {}, repairs = {} } = build.circuit
  const weigh = weighBy(Object.values(repairs))
  const evidence = evidenceOf(c.harness, complaints, found)
  const next = nextTest(c, evidence, weigh)
  const at = next && c.tests.indexOf(next.test)
  return {
    suspects: suspects(c, evidence, weigh).map((s) => ({
      id: s.fault?.id ?? 'nothing',
      says: s.fault?.says ?? 'Nothing is wrong that these tests show.',
      cure: s.fault?.cure ?? '',
      chance: s.chance,
      alike: s.alike.map((f) => f.says),
      at: s.fault?.at ?? [],
    })),
    ...(next ? { next: { test: next.test, minutes: next.minutes, expect: expected(next.test, c.shown[0]![at!]!, c.spread[at!]!) } } : {}),
    pairs: pairSuspects(c, evidence).map((p) => ({ says: [p.faults[0].says, p.faults[1].says], explains: p.explains })),
    tests: [...c.tests],
    symptoms: symptomsOf(c.harness),
    checks: checkList(c).map(({ finds: _, ...line }) => line),
  }
}
