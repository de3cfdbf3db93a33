import { judgeReading, predictReading, type PredictedReading } from '../circuit/bench/readings'
import { topology, type Topology } from '../circuit/bench/topology'
import { wireList, type WireRow } from '../circuit/bench/wireList'
import type { Harness } from '../circuit/model/harness'
import { switchStates, type SwitchState } from '../circuit/model/switchStates'
import { harnessOf } from '../circuit/schemes/harnessOf'
import { newBuild, type Build } from '../document/build'
import type { Station } from '../document/station'
import type { HoleCard } from '../drill/holeCard'
import { holeCards } from '../drill/holes'
import { finishResult, type FinishResult } from '../finish/finishPlan'
import { findJoints } from '../fit/findJoints'
import type { Joint } from '../judge/joint'
import type { Slot } from '../parts/slots'
import { planResult, type PlanResult } from '../plan/planResult'
import { setupResult, type SetupResult } from '../setup/setupResult'
import { stepsOf } from '../stations/steps'

/** One way the switches stand: what sounds, and what a meter at the jack should show with every knob at 10. */
export interface WirePosition extends SwitchState {
  topology: Topology
  reading: PredictedReading
}
/** Everything about the circuit that needs no sweep; `readingsOff`: how many readings are outside their band. */
export type WireResult =
  | { ok: true; harness: Harness; notes: string[]; positions: WirePosition[]; wires: WireRow[]; readingsOff: number }
  | { ok: false; missing: Slot[] }

/** What every station shows, computed from a build. Nothing of it is ever stored. */
export interface Evaluation {
  joints: Joint[]
  holes: HoleCard[]
  wire: WireResult
  finish: FinishResult
  setup: SetupResult
  plan: PlanResult
  /** Stations that could not be worked out, and the words of what went wrong. What stands in their place is of an empty build. */
  failed: Partial<Record<Station, string>>
}

/** Computes all stations; one that fails takes only those with it that stand on it. @param today ISO date, because the plan starts there */
export function evaluate(build: Build, today: string): Evaluation {
  const failed: Evaluation['failed'] = {}
  const empty = newBuild({ name: 'empty', handedness: build.handedness, strings: 6, scale: 648 }, today)
  const attempt = <T>(station: Station, work: (build: Build) => T): T => {
    if (failed[station] === undefined)
      try {
        return work(build)
      } catch (e) {
        failed[station] = e instanceof Error ? `${e.name}: ${e.message}` : String(e)
      }
    return work(empty)
  }
  const joints = attempt('fit', findJoints)
  const holes = attempt('drill', holeCards)
  const finish = attempt('finish', finishResult)
  const wire = attempt('wire', wireResult)
  const setup = attempt('setup', setupResult)
  const under = (['fit', 'drill', 'finish'] as const).find((s) => failed[s] !== undefined)
  if (under) failed.plan = `It stands on ${under}: ${failed[under]}`
  const plan = attempt('plan', (b) => planResult(b, stepsOf(b, { joints, holes, finish }), finish, today))
  return { joints, holes, finish, wire, setup, plan, failed }
}

export function wireResult(build: Build): WireResult {
  const made = harnessOf(build)
  if (!made.ok) return made
  const { harness, notes } = made
  const positions = switchStates(harness).map((state) => ({
    ...state,
    topology: topology(harness, state.switches),
    reading: predictReading(build, harness, { switches: state.switches, knobs: {} }),
  }))
  const readingsOff = Object.values(build.readings).filter((r) => judgeReading(build, harness, r)?.inside === false).length
  return { ok: true, harness, notes, positions, wires: wireList(harness), readingsOff }
}
