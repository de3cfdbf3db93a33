import type { Point } from '@snug/core'

/** A peg as it lies on the page, px; its number where it has one to be shown. */
export interface Peg {
  at: Point
  r: number
  number?: number | undefined
}

/** Where a number stands, from its peg's middle, px. */
interface Spot {
  x: number
  y: number
  anchor: 'start' | 'middle' | 'end'
}

export interface PlacedNumber extends Spot {
  /** It lies on no peg and on no other number. */
  clear: boolean
}

/** Beside it first, as people read; then on its other side, over and under it, and between these. */
const spotsOf = (r: number): readonly Spot[] => {
  const known = SPOTS.get(r)
  if (known) return known
  const round = (deg: number, anchor: Spot['anchor'], off: number): Spot => ({
    x: (r + off) * Math.cos((deg / 180) * Math.PI),
    y: 1 - (r + off) * Math.sin((deg / 180) * Math.PI),
    anchor,
  })
  const spots = [
    round(0, 'start', 3),
    round(180, 'end', 3),
    round(90, 'middle', 7),
    round(270, 'middle', 7),
    ...[30, -30, 55, -55].flatMap((deg) => [round(deg, 'start', 3), round(180 - deg, 'end', 3)]),
    ...[75, 105, 255, 285].map((deg) => round(deg, 'middle', 7)),
  ]
  SPOTS.set(r, spots)
  return spots
}
/** Pegs come in a few sizes, and are laid anew at every turn of the wheel. */
const SPOTS = new Map<number, readonly Spot[]>()

/** Wide of the figures' face at 11 px. */
export const DIGIT = 6.7
const HIGH = 10
/** Two numbers on either side of two rings meet no further off than this, px. */
const REACH = 80
/** Times each may give way. [ours] */
const ROUNDS = 3

interface Patch {
  left: number
  right: number
  top: number
  bottom: number
}

function patchOf({ at, number = 0 }: Peg, { x, y, anchor }: Spot): Patch {
  const wide = String(number).length * DIGIT
  const left = at.x + x - { start: 0, middle: wide / 2, end: wide }[anchor]
  return { left, right: left + wide, top: at.y + y - HIGH / 2, bottom: at.y + y + HIGH / 2 }
}

export const within = (low: number, v: number, high: number) => Math.max(low, Math.min(v, high))

/** Does the patch come onto the disc? */
const meetsPeg = (p: Patch, { at, r }: Peg): boolean =>
  (within(p.left, at.x, p.right) - at.x) ** 2 + (within(p.top, at.y, p.bottom) - at.y) ** 2 < r * r

const meets = (a: Patch, b: Patch): boolean => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom

/**
 * Where each numbered peg's number stands, so that it lies on no peg and on no other number; where nothing round it is free, over what is
 * least in the way.
 * @param sheet size of the page they lie on, px: no number leaves it while another place is free
 */
export function numberSpots(pegs: readonly Peg[], sheet: { width: number; height: number }): (PlacedNumber | undefined)[] {
  const spots = pegs.map((peg) => (peg.number === undefined ? undefined : spotsOf(peg.r)[0]!))
  const patches = pegs.map((peg, i) => spots[i] && patchOf(peg, spots[i]))
  // What lies further off than a number reaches is never in its way.
  const near = pegs.map((peg, i) =>
    peg.number === undefined
      ? []
      : pegs.flatMap(({ at }, j) => (j !== i && Math.abs(at.x - peg.at.x) < REACH && Math.abs(at.y - peg.at.y) < REACH ? [j] : [])),
  )
  const inTheWay = (patch: Patch, i: number): number => {
    let much = patch.left < 0 || patch.right > sheet.width || patch.top < 0 || patch.bottom > sheet.height ? 8 : 0
    for (const j of near[i]!) {
      if (meetsPeg(patch, pegs[j]!)) much += 2
      if (patches[j] && meets(patch, patches[j])) much += 1
    }
    return much
  }
  // One that gives way makes room for another.
  for (let round = 0; round < ROUNDS; round++)
    pegs.forEach((peg, i) => {
      if (!patches[i] || !inTheWay(patches[i], i)) return
      let least = Infinity
      for (const spot of spotsOf(peg.r)) {
        const patch = patchOf(peg, spot)
        const much = inTheWay(patch, i)
        if (much >= least) continue
        least = much
        spots[i] = spot
        patches[i] = patch
        if (!much) break
      }
    })
  return spots.map((spot, i) => spot && { ...spot, clear: !inTheWay(patches[i]!, i) })
}
