import { wireResult, type WireResult } from '../../circuit/bench/wireResult'
import type { Contribution } from '../contribution'
import { helpSheet, listenSheet } from './helpSheet'
import { wireSheet } from './sheet'
import { wireSteps } from './steps'

/** A reading counts as moved beyond this share of itself. [ours] */
const MOVED = 0.002

/** Wire: the circuit, what a meter should show, and the wires in soldering order. */
export const wire: Contribution<WireResult> = {
  result: (build, _today, _earlier, remember) => remember('wire', build, wireResult),
  steps: wireSteps,
  sheets: (build, w) => (w.ok ? [wireSheet(build, w), listenSheet(build, w), helpSheet(build, w)] : []),
  count: (_, w) => (w.ok ? w.readingsOff : w.missing.length + w.untold.length),
  moved: (before, after) => {
    const [was, now] = [before, after].map((w) => (w.ok ? w.positions[0]?.reading.ohm : undefined))
    if (was === undefined || now === undefined || Math.abs(was / now - 1) <= MOVED) return []
    return [`jack reading ${(was / 1000).toFixed(2)} → ${(now / 1000).toFixed(2)} k`]
  },
}
