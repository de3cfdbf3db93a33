import { pt, type Point } from '../geometry/point'

/** Strap from button to button over a shoulder, mm, and how far round the shoulder it goes, radians. [practice] */
const STRAP = 1150
const WRAP = 2.6
/** Friction of a strap on a shirt: suede or cotton, and smooth nylon. [practice] */
export const GRIPPY = 0.9
export const SLIPPERY = 0.35
const COARSE = 5
const FINE = 0.1
const MOST = 85

/**
 * How far the neck drops before the strap stops sliding over the shoulder, degrees from level. [physics]
 *
 * The shoulder lies on the strap with the centre of mass straight below it, so seen from the instrument it lies on an ellipse round the
 * two buttons. The two lengths of strap pull with forces whose level parts cancel; the strap slides while their ratio is over
 * exp(friction x wrap). The neck goes down from level until it holds.
 * @param centre centre of mass @param upper @param lower buttons, mm, x towards the tail, y towards the player's face
 * @returns degrees, neck down positive; 85 either way when it never holds
 */
export function restingAngle(centre: Point, upper: Point, lower: Point, friction: number, strap = STRAP): number {
  const holds = friction * WRAP
  const start = pullOdds(centre, upper, lower, strap, 0)
  if (start !== undefined && Math.abs(start) <= holds) return 0
  // It slides towards the length that pulls harder, and has gone far enough once the odds are small or have turned round.
  const way = start === undefined || start > 0 ? 1 : -1
  const slides = (deg: number) => {
    const odds = pullOdds(centre, upper, lower, strap, way * deg)
    return odds === undefined || way * odds > holds
  }
  for (let deg = COARSE; deg <= MOST; deg += COARSE) {
    if (slides(deg)) continue
    let [from, to] = [deg - COARSE, deg]
    while (to - from > FINE) {
      const middle = (from + to) / 2
      if (slides(middle)) from = middle
      else to = middle
    }
    return way * to
  }
  return way * MOST
}

/** Where the shoulder is, in the instrument's frame, with the neck down by so many degrees: straight over the centre of mass. */
function over(centre: Point, upper: Point, lower: Point, strap: number, deg: number): Point | undefined {
  const t = (deg * Math.PI) / 180
  // The neck points towards negative x; when it drops, what is up turns towards the tail.
  const up = pt(Math.sin(t), Math.cos(t))
  // Both distances as one root: a + b is the strap's length and a2 - b2 runs straight along the line, so a does too.
  const [ux, uy, lx, ly] = [centre.x - upper.x, centre.y - upper.y, centre.x - lower.x, centre.y - lower.y]
  const [fixed, slope] = [ux * ux + uy * uy - lx * lx - ly * ly, 2 * ((ux - lx) * up.x + (uy - ly) * up.y)]
  const [a0, a1] = [(strap + fixed / strap) / 2, slope / strap / 2]
  // (a0 + a1 s)2 = u2 + 2 (u . up) s + s2
  const [qa, qb, qc] = [1 - a1 * a1, 2 * (ux * up.x + uy * up.y) - 2 * a0 * a1, ux * ux + uy * uy - a0 * a0]
  const root = qb * qb - 4 * qa * qc
  if (qc > 0 || root < 0) return undefined
  const s = (-qb + Math.sqrt(root)) / (2 * qa)
  return pt(centre.x + s * up.x, centre.y + s * up.y)
}

/** Natural logarithm of the upper length's pull over the lower one's; nothing when both lengths hang on one side. */
function pullOdds(centre: Point, upper: Point, lower: Point, strap: number, deg: number): number | undefined {
  const shoulder = over(centre, upper, lower, strap, deg)
  if (!shoulder) return undefined
  const t = (deg * Math.PI) / 180
  const sideways = (b: Point) => {
    const [dx, dy] = [b.x - shoulder.x, b.y - shoulder.y]
    return (dx * Math.cos(t) - dy * Math.sin(t)) / Math.hypot(dx, dy)
  }
  const [a, b] = [sideways(upper), sideways(lower)]
  return a * b >= 0 ? undefined : Math.log(Math.abs(b / a))
}
