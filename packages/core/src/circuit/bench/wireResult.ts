import type { Build } from '../../document/build'
import { isSaid, traitAt } from '../../document/read'
import type { TraitRef } from '../../judge/completed'
import type { Slot } from '../../parts/slots'
import type { Harness } from '../model/harness'
import { switchStates, type SwitchState } from '../model/switchStates'
import { harnessOf } from '../schemes/harnessOf'
import { leftovers, type Leftover } from './leftovers'
import { judgeReading, predictReading, type PredictedReading } from './readings'
import { topology, type Topology } from './topology'
import { wireList, type WireRow } from './wireList'
import { routesOf } from './wireRoute'

/** One way the switches stand: what sounds, and what a meter at the jack should show with every knob at 10. */
export interface WirePosition extends SwitchState {
  topology: Topology
  reading: PredictedReading
}

/** Everything about the circuit that needs no sweep; `readingsOff`: how many readings are outside their band. */
export type WireResult =
  | {
      ok: true
      harness: Harness
      /** Id of the wiring. */
      recipe: string
      notes: string[]
      positions: WirePosition[]
      wires: WireRow[]
      /** Soldered, and to be taken off first. */
      leftovers: Leftover[]
      readingsOff: number
    }
  | { ok: false; missing: Slot[]; untold: TraitRef[]; says?: string }

export function wireResult(build: Build): WireResult {
  const made = harnessOf(build)
  if (!made.ok) return made
  const { harness, notes, recipe } = made
  const positions = switchStates(harness).map((state) => ({
    ...state,
    topology: topology(harness, state.switches),
    reading: predictReading(build, harness, { switches: state.switches, knobs: {} }),
  }))
  const readingsOff = Object.values(build.readings).filter((r) => judgeReading(build, harness, r)?.inside === false).length
  const { reels, leads } = build.circuit
  const unread = harness.components.some((c) => c.is === 'coil' && c.slot && !isSaid(build, { slot: c.slot, size: 'resistance' }))
  const onHand = { reels, leads, unread, screened: traitAt(build, 'wire', 'type') === 'screened', routes: routesOf(build) }
  const wires = wireList(harness, onHand)
  return { ok: true, harness, recipe: recipe.id, notes, positions, wires, leftovers: leftovers(build, harness, wires), readingsOff }
}
