import { layWires, type Build, type Mark, type WireResult } from '@snug/core'

/** Wires on the instrument, each along its way. */
export const wireMarks = (build: Build, wire: Extract<WireResult, { ok: true }>): Mark[] =>
  layWires(build, wire.harness).map(({ wire: w, points }) => ({ mark: 'line', role: w.role === 'ground' ? 'ground' : 'hot', points }))
