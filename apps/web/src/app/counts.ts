import { openSlots, outOfTune, type Build, type Evaluation, type Station } from '@snug/core'

/** How many things at each station need a person. */
export function counts(build: Build, e: Evaluation): Partial<Record<Station, number>> {
  const { wire } = e
  return {
    parts: openSlots(build.parts).length,
    fit: e.joints.filter((j) => j.verdict !== 'snug' && j.verdict !== 'loose').length,
    drill: e.holes.filter((h) => h.state !== 'ready').length,
    wire: wire.ok ? wire.readingsOff : wire.missing.length,
    finish: (e.finish.weather.ok ? 0 : 1) + (e.finish.trouble ? 1 : 0),
    setup: outOfTune(e.setup) + e.setup.moves.filter((m) => m.measured && !m.done).length,
    plan: e.plan.ready.length,
  }
}
