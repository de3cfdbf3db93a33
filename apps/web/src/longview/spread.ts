import type { Point } from '@snug/core'

/** Rounds of pushing apart; more change nothing that is seen. */
const ROUNDS = 24

/**
 * Moves marks that lie on each other apart until each keeps `apart` pixels from the next, as far as a few rounds bring it. Marks
 * that touch nothing stay exactly where they are.
 */
export function spread(places: readonly Point[], radii: readonly number[]): Point[] {
  const out = places.map((p) => ({ ...p }))
  for (let round = 0; round < ROUNDS; round++) {
    let moved = false
    for (let i = 0; i < out.length; i++)
      for (let j = i + 1; j < out.length; j++) {
        const a = out[i]!
        const b = out[j]!
        // Two on the same spot part sideways, in an order that never changes.
        const dx = b.x - a.x || 0.01 * (j - i)
        const dy = b.y - a.y
        const want = radii[i]! + radii[j]!
        if (dx * dx + dy * dy >= want * want) continue
        const gap = Math.hypot(dx, dy)
        const push = (want - gap) / 2 / gap
        a.x -= dx * push
        a.y -= dy * push
        b.x += dx * push
        b.y += dy * push
        moved = true
      }
    if (!moved) break
  }
  return out
}
