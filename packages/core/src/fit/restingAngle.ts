import { pt, type Point } from '../drawing'

/** Strap from button to button over a shoulder, mm, and how far round the shoulder it goes, radians. [practice] */
const STRAP = 1150
const WRAP = 2.6
/** Friction of a strap on a shirt: suede or cotton, and smooth nylon. [practice] */
export const GRIPPY = 0.9
export const SLIPPERY = 0.35
const STEP = 0.5
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
  for (let deg = STEP; deg <= MOST; deg += STEP) {
    const odds = pullOdds(centre, upper, lower, strap, way * deg)
    if (odds !== undefined && way * odds <= holds) return way * deg
  }
  return way * MOST
}

/** Where the shoulder is, in the instrument's frame, with the neck down by so many degrees: straight over the centre of mass. */
function over(centre: Point, upper: Point, lower: Point, strap: number, deg: number): Point | undefined {
  const t = (deg * Math.PI) / 180
  // The neck points towards negative x; when it drops, what is up turns towards the tail.
  const up = pt(Math.sin(t), Math.cos(t))
  const length = (s: number) => {
    const p = pt(centre.x + s * up.x, centre.y + s * up.y)
    return Math.hypot(p.x - upper.x, p.y - upper.y) + Math.hypot(p.x - lower.x, p.y - lower.y)
  }
  let [low, high] = [0, strap]
  if (length(low) > strap) return undefined
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (length(middle) < strap) low = middle
    else high = middle
  }
  return pt(centre.x + low * up.x, centre.y + low * up.y)
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
