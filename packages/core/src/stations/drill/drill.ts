import type { HoleCard } from '../../drill/holeCard'
import { drawHole, holeCards } from '../../drill/holes'
import { printMm } from '../../quantity/length'
import type { Contribution } from '../contribution'
import { drillSteps } from './steps'

/** A tape flag counts as moved beyond this, mm. [ours] */
const MOVED = 0.05

/** Drill: a card for each hole or row of equal holes. */
export const drill: Contribution<HoleCard[]> = {
  result: (build, _today, _earlier, remember) => remember('drill', build, holeCards),
  steps: drillSteps,
  things: (build, cards) =>
    cards.map((c) => ({ id: c.id, title: c.title, ...(c.places[0] ? { at: c.places[0] } : {}), draw: () => drawHole(build, c.id) })),
  count: (_, cards) => cards.filter((c) => c.state !== 'ready').length,
  moved: (before, after) => {
    const moved = after.filter((now) => {
      const was = before.find((c) => c.id === now.id)
      return was && (was.bit !== now.bit || Math.abs((was.flag ?? 0) - (now.flag ?? 0)) > MOVED)
    })
    return moved.length ? [moved.map((c) => `${c.title.toLowerCase()}: tape at ${printMm(c.flag ?? 0, 1)} mm`).join(', ')] : []
  },
}
