import { pt, type Point } from '../geometry/point'
import { lowestAt } from '../quantity/goldenSection'

export const PLACES = ['neck', 'middle', 'bridge'] as const
export type PickupPlace = (typeof PLACES)[number]

/** Where a guard lies: mm along the centre line (towards the tail positive), mm across (bass side positive), degrees of turn. */
export interface Pose {
  along: number
  across: number
  /** About the middle of the neck cut-out; a positive turn carries the tail end towards the bass side. */
  turn: number
}

/** One pickup's share in where the guard may lie. Lengths in mm; the frame is the guard's own, bass side positive. */
export interface OpeningFit {
  place: PickupPlace
  /** Middle of the guard's opening. */
  opening: Point
  /** Middle of the body's route with the guard against the heel and on the centre line. */
  route: Point
  /** What the cover may move to either side, in its opening and in its route together. */
  play: { along: number; across: number }
  /** Half the cover: what a turned guard takes from the play. */
  half: { along: number; across: number }
}

/** How far the guard may be pushed: from the heel, to either side of the centre line, and turned. */
export interface GuardRoom {
  along: number
  across: number
  turn: number
}

export type Edge = 'neck side' | 'bridge side' | 'bass side' | 'treble side'

export interface EdgeFiling {
  place: PickupPlace
  edge: Edge
  /** mm that have to go from that edge. */
  amount: number
}

export interface GuardFit {
  /** The place that asks for the least filing, and of those the straightest and nearest to the heel. */
  pose: Pose
  /** EdgeFiling left at the worst edge there, mm; zero or less: goes as it is. */
  worst: number
  worstAt: PickupPlace
  file: EdgeFiling[]
}

interface Demand {
  place: PickupPlace
  /** Shift the pickup would like, and how far the guard may stay from it, mm. */
  wants: number
  play: number
}
interface Stretch {
  from: number
  to: number
}

const rad = (deg: number) => (deg * Math.PI) / 180
/** A turn that saves less filing than this is not worth a guard that looks crooked, mm. [ours] */
const WORTH_TURNING = 0.02

/** Each pickup's demand along and across with the guard turned by `turn` degrees (small turns: sine as the angle). [physics] */
function demands(fits: readonly OpeningFit[], turn: number): { along: Demand[]; across: Demand[] } {
  const t = rad(turn)
  return {
    along: fits.map((f) => ({
      place: f.place,
      wants: f.route.x - (f.opening.x - t * f.opening.y),
      play: f.play.along - Math.abs(t) * f.half.across,
    })),
    across: fits.map((f) => ({
      place: f.place,
      wants: f.route.y - (f.opening.y + t * f.opening.x),
      play: f.play.across - Math.abs(t) * f.half.along,
    })),
  }
}

const clamp = (v: number, { from, to }: Stretch) => Math.min(to, Math.max(from, v))
/** Shifts at which no demand lacks more than `level`; empty (from above to) when there is none. */
function within(list: readonly Demand[], level: number): Stretch {
  let from = -Infinity
  let to = Infinity
  for (const { wants, play } of list) {
    from = Math.max(from, wants - play)
    to = Math.min(to, wants + play)
  }
  return { from: from - level, to: to + level }
}

/** Least possible lack along one axis: half of how far the extreme demands overlap the wrong way, or what a stop leaves. [physics] */
function leastLack(list: readonly Demand[], room: Stretch): number {
  const { from, to } = within(list, 0)
  const shift = clamp((from + to) / 2, room)
  return Math.max(from - shift, shift - to)
}

/** The shift nearest to none that lacks no more than it must. */
function nearest(list: readonly Demand[], room: Stretch): number {
  const level = Math.max(0, leastLack(list, room)) + 1e-12
  const allowed = within(list, level)
  return clamp(clamp(0, { from: Math.min(allowed.from, allowed.to), to: Math.max(allowed.from, allowed.to) }), room)
}

/**
 * Places the guard: first whether any shift and turn lets every cover through, then the place that leaves the least filing at the
 * worst edge (minimax), then the straightest of those, nearest to heel and centre line. For a given turn the axes part and each has a
 * closed answer; the least over all turns is found by golden section, which is exact because the lack is convex in the turn. [physics]
 */
export function placeGuard(fits: readonly OpeningFit[], room: GuardRoom): GuardFit {
  const { turn, worst, stretch } = bestPlace(fits, room)
  const d = demands(fits, turn)
  const pose: Pose = { along: nearest(d.along, stretch.along), across: nearest(d.across, stretch.across), turn }
  // An edge lacks what the shift lies beyond the play on its side; a cover tighter than its opening lacks on both.
  const edges = (list: readonly Demand[], shift: number, low: Edge, high: Edge) =>
    list.flatMap((x) => [
      { place: x.place, edge: low, amount: shift - x.wants - x.play },
      { place: x.place, edge: high, amount: x.wants - shift - x.play },
    ])
  const all = [...edges(d.along, pose.along, 'neck side', 'bridge side'), ...edges(d.across, pose.across, 'treble side', 'bass side')]
  return {
    pose,
    worst,
    worstAt: all.reduce((a, b) => (b.amount > a.amount ? b : a)).place,
    file: all.filter((x) => x.amount > 1e-9),
  }
}

/** Only how much is left at the worst edge in the best place, mm. */
export const leastFiling = (fits: readonly OpeningFit[], room: GuardRoom): number => bestPlace(fits, room).worst

function bestPlace(fits: readonly OpeningFit[], room: GuardRoom) {
  const stretch = { along: { from: 0, to: room.along }, across: { from: -room.across, to: room.across } }
  const parts = (turn: number) => {
    const d = demands(fits, turn)
    return { along: leastLack(d.along, stretch.along), across: leastLack(d.across, stretch.across) }
  }
  const worstAt = (turn: number) => {
    const p = parts(turn)
    return Math.max(p.along, p.across)
  }
  const turn = bestTurn(fits, room.turn, parts, worstAt)
  return { turn, worst: worstAt(turn), stretch }
}

function bestTurn(
  fits: readonly OpeningFit[],
  most: number,
  parts: (turn: number) => { along: number; across: number },
  worstAt: (turn: number) => number,
): number {
  const straight = parts(0)
  // With the openings in one line a turn only takes room along; it can help across alone.
  const inLine = fits.every((f) => f.opening.y === fits[0]!.opening.y)
  if (most === 0 || fits.length < 2 || (inLine && straight.along >= straight.across)) return 0
  const now = Math.max(straight.along, straight.across)
  // A turn gains no more than there is.
  if (now <= WORTH_TURNING) return 0
  const turn = lowestAt(worstAt, -most, most, 1e-5)
  const gain = Math.max(0, now) - Math.max(0, worstAt(turn))
  return gain > WORTH_TURNING ? turn : 0
}

/** A place in the guard's own frame, laid on the body: mm from the heel's end, bass side positive. */
export function laid(pose: Pose, p: Point): Point {
  const t = rad(pose.turn)
  return pt(p.x - t * p.y + pose.along, p.y + t * p.x + pose.across)
}

/** The way back: a place on the body in the guard's own frame; exact to the square of a small turn. */
export function seenFrom(pose: Pose, p: Point): Point {
  const t = rad(pose.turn)
  const [x, y] = [p.x - pose.along, p.y - pose.across]
  return pt(x + t * y, y - t * x)
}
