import { pt, type Point } from '../geometry/point'
import { brightness, type GreyPicture } from './picture'

/** How far from a pick an edge is looked for, pixels. */
export const NEAR = 9
/** Brightness that changes less than this over two pixels is no edge. */
const FAINT = 12
const WAYS = 24

/**
 * The edge nearest to a pick: along lines through it in every direction, where brightness changes most, nearer ones first. Between pixels.
 * @returns nothing where there is no edge in reach
 */
export function edgeNear(picture: GreyPicture, at: Point): Point | undefined {
  let best: { at: Point; worth: number } | undefined
  for (let w = 0; w < WAYS; w++) {
    const turn = (Math.PI * w) / WAYS
    const way = pt(Math.cos(turn), Math.sin(turn))
    const value = (t: number) => brightness(picture, at.x + way.x * t, at.y + way.y * t)
    const slope = (t: number) => Math.abs(value(t + 1) - value(t - 1))
    for (let t = -NEAR; t <= NEAR; t += 0.5) {
      const here = slope(t)
      if (here < FAINT) continue
      const worth = here * (1 - Math.abs(t) / (2 * NEAR))
      if (best && worth <= best.worth) continue
      const [before, after] = [slope(t - 0.5), slope(t + 0.5)]
      const bow = before + after - 2 * here
      const peak = bow < 0 ? t + (0.25 * (before - after)) / bow : t
      best = { at: pt(at.x + way.x * peak, at.y + way.y * peak), worth }
    }
  }
  return best?.at
}
