import type { Build } from '../build'
import {
  predictReading,
  threePickupHarness,
  topology,
  wireList,
  type Harness,
  type PredictedReading,
  type Topology,
  type WireRow,
} from '../circuit'
import { finishResult, type FinishResult } from '../finish'
import { findJoints, type Joint } from '../fit'
import { holeCards, type HoleCard } from '../layout'
import type { Slot } from '../parts'
import { planResult, stepsOf, type PlanResult } from '../plan'
import { setupResult, type SetupResult } from '../setup'

export interface WirePosition {
  topology: Topology
  reading: PredictedReading
}
/** Everything about the circuit that needs no sweep. */
export type WireResult =
  { ok: true; harness: Harness; notes: string[]; positions: WirePosition[]; wires: WireRow[] } | { ok: false; missing: Slot[] }

/** What every station shows, computed from a build. Nothing of it is ever stored. */
export interface Evaluation {
  joints: Joint[]
  holes: HoleCard[]
  wire: WireResult
  finish: FinishResult
  setup: SetupResult
  plan: PlanResult
}

/** Computes all stations. @param today ISO date, because the plan starts there */
export function evaluate(build: Build, today: string): Evaluation {
  const joints = findJoints(build)
  const holes = holeCards(build)
  const finish = finishResult(build)
  const steps = stepsOf(build, { joints, holes, finish })
  return { joints, holes, finish, wire: wireResult(build), setup: setupResult(build), plan: planResult(build, steps, finish, today) }
}

export function wireResult(build: Build): WireResult {
  const scheme = threePickupHarness(build)
  if (!scheme.ok) return scheme
  const { harness, notes } = scheme
  const table = harness.components.find((c) => c.is === 'switch')!.table
  const { volume, tone } = build.circuit
  const positions = table.positions.map((_, i) => ({
    topology: topology(harness, i + 1),
    reading: predictReading(build, harness, { position: i + 1, volume, tone }),
  }))
  return { ok: true, harness, notes, positions, wires: wireList(harness) }
}
