import { pt, type Point } from '../geometry/point'

/** One string over a plate that turns, mm, N, kg/m, Hz. Its saddle's place is that at angle 0. */
export interface PlateString {
  saddle: Point
  nut: Point
  hertz: number
  mass: number
  /** E A of the core, N. */
  stretching: number
  /** Free string behind nut and saddle that shares the stretch. */
  behind: number
}

/** A plate on a knife edge at the origin, from the side: x to the tail, y up; positive angles lift its back edge. */
export interface Plate {
  strings: readonly PlateString[]
  springs: { count: number; rate: number; preload: number; closed: number }
  /** Where springs hook on the claw, and in the block at angle 0. */
  claw: Point
  block: Point
  /** Lower back edge at angle 0. */
  back: Point
  /** The plate cannot fall below this, degrees. */
  deck: number
  /** The claw's way a turn of both its screws, mm. */
  pitch: number
}

const RAD = Math.PI / 180
const turned = (p: Point, deg: number): Point => {
  const [c, s] = [Math.cos(deg * RAD), Math.sin(deg * RAD)]
  return pt(p.x * c - p.y * s, p.x * s + p.y * c)
}
/** Torque about the edge of a pull along a line from one point to another, N mm; positive lifts the back edge. */
const torqueOf = (at: Point, to: Point, pull: number): number => {
  const length = Math.hypot(to.x - at.x, to.y - at.y)
  return (pull * (at.x * (to.y - at.y) - at.y * (to.x - at.x))) / length
}

const lengthAt = (s: PlateString, deg: number): number => {
  const p = turned(s.saddle, deg)
  return Math.hypot(s.nut.x - p.x, s.nut.y - p.y)
}
/** Tension at pitch at an angle, N. */
const pulledTo = (s: PlateString, deg: number, hertz = s.hertz): number => s.mass * (2 * (lengthAt(s, deg) / 1000) * hertz) ** 2

/** A string whose tuner is left alone from an angle at which it was at pitch: its pull and pitch at another, nothing where it is slack. */
function leftAlone(s: PlateString, from: number, deg: number): { pull: number; hertz: number } | undefined {
  const then = lengthAt(s, from) + s.behind
  const now = lengthAt(s, deg) + s.behind
  const unstretched = then / (1 + pulledTo(s, from) / s.stretching)
  const pull = s.stretching * (now / unstretched - 1)
  if (pull <= 0) return undefined
  // The mass between the fixings stays while the length changes.
  return { pull, hertz: Math.sqrt(pull / ((s.mass * then) / now)) / (2 * (lengthAt(s, deg) / 1000)) }
}

/** Pull of one spring, N: its preload holds it shut until something pulls harder. */
function springPull(p: Plate, deg: number, turns: number): { pull: number; at: Point; claw: Point } {
  const at = turned(p.block, deg)
  const claw = pt(p.claw.x - turns * p.pitch, p.claw.y)
  const stretched = Math.hypot(claw.x - at.x, claw.y - at.y) - p.springs.closed
  return { pull: stretched > 0 ? p.springs.preload + p.springs.rate * stretched : 0, at, claw }
}

const springTorque = (p: Plate, deg: number, turns: number): number => {
  const s = springPull(p, deg, turns)
  return p.springs.count * torqueOf(s.at, s.claw, s.pull)
}

/** What of the strings is kept: their pitch, or their tuners since an angle; one may be held at a pitch of its own. */
type Kept = { pitch: true } | { from: number; bent?: { string: number; hertz: number } }

const stringTorque = (p: Plate, deg: number, kept: Kept): number =>
  p.strings.reduce((sum, s, i) => {
    const bent = 'from' in kept && kept.bent?.string === i ? kept.bent.hertz : undefined
    const pull =
      'pitch' in kept ? pulledTo(s, deg) : bent !== undefined ? pulledTo(s, deg, bent) : (leftAlone(s, kept.from, deg)?.pull ?? 0)
    return sum + torqueOf(turned(s.saddle, deg), s.nut, pull)
  }, 0)

/** Net torque on the plate, N mm. @param turns of both claw screws, + tighter */
const netTorque = (p: Plate, deg: number, turns: number, kept: Kept): number => stringTorque(p, deg, kept) + springTorque(p, deg, turns)

const MOST = 35
const STEP = 0.05
const HALVINGS = 50

/** First angle upwards from one (the deck's) at which the net torque no longer lifts; nothing within 35 degrees. */
function restWhere(p: Plate, turns: number, kept: Kept, from = p.deck): number | undefined {
  const net = (deg: number) => netTorque(p, deg, turns, kept)
  if (from === p.deck && net(from) <= 0) return from
  for (let deg = from + STEP; deg <= p.deck + MOST; deg += STEP) {
    if (net(deg) > 0) continue
    let [low, high] = [deg - STEP, deg]
    for (let i = 0; i < HALVINGS; i++) {
      const middle = (low + high) / 2
      if (net(middle) > 0) low = middle
      else high = middle
    }
    return (low + high) / 2
  }
  return undefined
}

/** Rise of the back edge over where it lies when decked, mm. */
export const backGap = (p: Plate, deg: number): number => turned(p.back, deg).y - turned(p.back, p.deck).y

/** The angle at which the back edge stands up by so much. */
export function angleFor(p: Plate, gap: number): number {
  let [low, high] = [p.deck, p.deck + MOST]
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2
    if (backGap(p, middle) < gap) low = middle
    else high = middle
  }
  return (low + high) / 2
}

export interface Rest {
  angle: number
  gap: number
  floats: boolean
  /** What presses it on the deck, N mm; 0 where it floats. */
  contact: number
  /** Pull of each string there, N. */
  pulls: number[]
  /** Rise of each saddle over where it is when decked, mm. */
  rises: number[]
}

/**
 * Where the plate comes to rest with every string tuned to pitch there; nothing where it runs away. [physics]
 * @param turns of the claw from where it is @param from the angle it rises from: the deck's, or where it was before the claw was loosened
 */
export function restOf(p: Plate, turns = 0, from = p.deck): Rest | undefined {
  const angle = restWhere(p, turns, { pitch: true }, from)
  if (angle === undefined) return undefined
  const floats = angle > p.deck + 1e-9
  return {
    angle,
    gap: backGap(p, angle),
    floats,
    contact: floats ? 0 : -netTorque(p, angle, turns, { pitch: true }),
    pulls: p.strings.map((s) => pulledTo(s, angle)),
    rises: p.strings.map((s) => turned(s.saddle, angle).y - turned(s.saddle, p.deck).y),
  }
}

/** Turns of both claw screws at which the plate is in balance at an angle with the strings at pitch there. [physics] */
export function turnsFor(p: Plate, deg: number): number {
  const wanted = stringTorque(p, deg, { pitch: true })
  // A tighter claw pulls harder; the springs are shut below some turns and give nothing there.
  let [low, high] = [-60, 60]
  for (let i = 0; i < 80; i++) {
    const middle = (low + high) / 2
    if (wanted + springTorque(p, deg, middle) > 0) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/** A quarter turn, a bend, a dive: what the other strings do. Nothing for a slack one. */
export interface Moved {
  angle: number
  gap: number
  cents: (number | undefined)[]
}

export interface Balance {
  angle: number
  turns: number
  /** Turns to loosen before a decked plate lifts at all. */
  dead: number
  /** Slope of the net torque, N mm/rad: with strings kept at pitch, and with tuners left alone. */
  slope: { atPitch: number; alone: number }
  /** Retuning comes to an end; where it does not, each round makes it worse. */
  stable: boolean
  /** Of the error in the plate's height, what a round of retuning leaves. */
  errorLeft: number
  /** Semitones of each string pulled up to the deck, and dived to an angle; nothing where it is slack. */
  up: (number | undefined)[]
  dive: (number | undefined)[]
}

const cents = (a: number, b: number) => 1200 * Math.log2(a / b)

/** The plate floated to a gap under its back edge: how to get there and what it does there. [physics] @param diveTo degrees */
export function balanceAt(p: Plate, gap: number, diveTo = 6): Balance {
  const angle = angleFor(p, gap)
  const turns = turnsFor(p, angle)
  const slopeOf = (kept: Kept) => {
    const d = 0.001
    return (netTorque(p, angle + d, turns, kept) - netTorque(p, angle - d, turns, kept)) / (2 * d * RAD)
  }
  const slope = { atPitch: slopeOf({ pitch: true }), alone: slopeOf({ from: angle }) }
  const semitones = (deg: number) =>
    p.strings.map((s) => {
      const now = leftAlone(s, angle, deg)
      return now && cents(now.hertz, s.hertz) / 100
    })
  return {
    angle,
    turns,
    dead: Math.max(0, -turnsFor(p, p.deck)),
    slope,
    stable: slope.atPitch < 0,
    errorLeft: 1 - slope.atPitch / slope.alone,
    up: semitones(p.deck),
    dive: semitones(diveTo),
  }
}

function movedTo(p: Plate, from: number, turns: number, bent?: { string: number; hertz: number }): Moved | undefined {
  const angle = restWhere(p, turns, { from, ...(bent ? { bent } : {}) })
  if (angle === undefined) return undefined
  return {
    angle,
    gap: backGap(p, angle),
    cents: p.strings.map((s, i) => {
      if (i === bent?.string) return undefined
      const now = leftAlone(s, from, angle)
      return now && cents(now.hertz, s.hertz)
    }),
  }
}

/** One string bent up by semitones and held there: the plate gives and the others sag. @param string from 0 */
export const bendFrom = (p: Plate, b: Pick<Balance, 'angle' | 'turns'>, string: number, semitones: number): Moved | undefined =>
  movedTo(p, b.angle, b.turns, { string, hertz: p.strings[string]!.hertz * 2 ** (semitones / 12) })

/** Both claw screws turned on from balance, tuners left alone. @param by turns, + tighter */
export const clawFrom = (p: Plate, b: Pick<Balance, 'angle' | 'turns'>, by: number): Moved | undefined => movedTo(p, b.angle, b.turns + by)
