import type { Point } from '@snug/core'
import { numberSpots, within, type Peg } from './numbers'
import { spread } from './spread'

/** So often what is crowded is given more room, so much each time, px. [ours] */
const ROUNDS = 6
const MORE = 5

/**
 * Where pegs lie so that they part from each other and each number has a place beside its own: only those whose number would lie on something
 * move further apart than they must.
 * @param sheet size of the page, px
 * @returns places in the same order
 */
export function layPegs(pegs: readonly Peg[], sheet: { width: number; height: number }): Point[] {
  const radii = pegs.map((peg) => peg.r)
  const places = pegs.map((peg) => peg.at)
  for (let round = 0; ; round++) {
    const at = spread(places, radii).map((p, i) => {
      const { r } = pegs[i]!
      return { x: within(r, p.x, sheet.width - r), y: within(r, p.y, sheet.height - r) }
    })
    const numbers = numberSpots(
      pegs.map((peg, i) => ({ ...peg, at: at[i]! })),
      sheet,
    )
    const crowded = numbers.flatMap((n, i) => (n && !n.clear ? [i] : []))
    if (!crowded.length || round === ROUNDS) return at
    for (const i of crowded) radii[i]! += MORE
  }
}
