import type { Point } from '@snug/core'

/** A peg as it lies on the page, px; its number where it has one to be shown. */
export interface Peg {
  at: Point
  r: number
  number?: number | undefined
}

/** Where a number stands, from its peg's middle, px. */
export interface Spot {
  x: number
  y: number
  anchor: 'start' | 'middle' | 'end'
}

/** Beside it first, as people read; over, under and between where something lies there. */
const spotsOf = (r: number): readonly Spot[] => [
  { x: r + 3, y: 1, anchor: 'start' },
  { x: -r - 3, y: 1, anchor: 'end' },
  { x: 0, y: -r - 6, anchor: 'middle' },
  { x: 0, y: r + 8, anchor: 'middle' },
  { x: r - 2, y: -r - 2, anchor: 'start' },
  { x: r - 2, y: r + 4, anchor: 'start' },
  { x: 2 - r, y: -r - 2, anchor: 'end' },
  { x: 2 - r, y: r + 4, anchor: 'end' },
]

/** Wide of the figures' face at 11 px. */
export const DIGIT = 6.7
const HIGH = 10

interface Patch {
  left: number
  right: number
  top: number
  bottom: number
}

export function patchOf({ at, number = 0 }: Peg, { x, y, anchor }: Spot): Patch {
  const wide = String(number).length * DIGIT
  const left = at.x + x - { start: 0, middle: wide / 2, end: wide }[anchor]
  return { left, right: left + wide, top: at.y + y - HIGH / 2, bottom: at.y + y + HIGH / 2 }
}

const within = (low: number, v: number, high: number) => Math.max(low, Math.min(v, high))

/** Does the patch come onto the disc? */
export const meetsPeg = (p: Patch, { at, r }: Peg): boolean =>
  Math.hypot(within(p.left, at.x, p.right) - at.x, within(p.top, at.y, p.bottom) - at.y) < r

export const meets = (a: Patch, b: Patch): boolean => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom

/**
 * Where each numbered peg's number stands, so that it lies on no peg and on no other number; where nothing round it is free, over what is
 * least in the way.
 * @param sheet size of the page they lie on, px: no number leaves it while another place is free
 */
export function numberSpots(pegs: readonly Peg[], sheet: { width: number; height: number }): (Spot | undefined)[] {
  const taken: Patch[] = []
  return pegs.map((peg, i) => {
    if (peg.number === undefined) return undefined
    const inTheWay = (spot: Spot): number => {
      const patch = patchOf(peg, spot)
      const out = patch.left < 0 || patch.right > sheet.width || patch.top < 0 || patch.bottom > sheet.height
      return (
        pegs.filter((other, j) => j !== i && meetsPeg(patch, other)).length + taken.filter((t) => meets(patch, t)).length + (out ? 4 : 0)
      )
    }
    const best = spotsOf(peg.r).reduce((a, b) => (inTheWay(b) < inTheWay(a) ? b : a))
    taken.push(patchOf(peg, best))
    return best
  })
}
