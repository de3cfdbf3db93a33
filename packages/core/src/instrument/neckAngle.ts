/** The side view's geometry: fret plane, saddle, tilt and shim. Plain numbers, mm and degrees, headstock back positive. */

/** Thickness of a plastic card used as a shim, mm. [published: ISO/IEC 7810 ID-1] */
export const CARD = 0.76
/** Height kept free at either end of the bridge's range, mm. [practice] */
export const SPARE = 0.5
/** Width of a strip laid at the back of the pocket, mm. [practice] */
export const STRIP = 6

const rad = (deg: number) => (deg * Math.PI) / 180
const deg = (r: number) => (r * 180) / Math.PI
/** Rise over a run under an angle in degrees. */
export const riseOver = (run: number, tilt: number): number => run * Math.tan(rad(tilt))

export interface SideView {
  /** Board surface above the body top at the pocket mouth, mm. */
  board: number
  /** The front under the bridge over that at the mouth, mm: an arched one's rise. */
  rise: number
  /** Fret crown height, mm. */
  crown: number
  /** Pocket mouth to saddle, mm. */
  reach: number
  /** Neck tilt, degrees, headstock back positive. */
  tilt: number
  /** Action at fret 12 and string height over the fret plane at the nut, mm. */
  action: number
  nut: number
}

/**
 * Saddle-top height above the front it stands on that gives the action wanted, mm:
 * ys = b + tf + D tan(phi) + 2 a12 - a0 - r. [physics: the fret plane is a straight line, fret 12 lies halfway]
 */
export const saddleHeight = (v: SideView): number => v.board - v.rise + v.crown + riseOver(v.reach, v.tilt) + 2 * v.action - v.nut

/** Action at fret 12 that a saddle height gives, mm: the same line solved the other way. [physics] */
export const actionAt = (v: Omit<SideView, 'action'>, saddle: number): number =>
  (saddle + v.rise - v.board - v.crown - riseOver(v.reach, v.tilt) + v.nut) / 2

/**
 * Tilt in degrees and shim thickness in mm at the back of the pocket that raise the fret plane by `rise` mm at the
 * saddle. Shim t = l tan(phi). [physics]
 * @param reach pocket mouth to saddle, mm
 * @param heel usable heel length, mm
 */
export function shimFor(rise: number, reach: number, heel: number): { tilt: number; shim: number } {
  const phi = Math.atan(rise / reach)
  return { tilt: deg(phi), shim: heel * Math.tan(phi) }
}

/** A strip lies under its front edge alone: t = (l - width) tan(phi), mm. [physics] */
export const stripFor = (tilt: number, heel: number, width = STRIP): number => riseOver(Math.max(0, heel - width), Math.abs(tilt))

/** Angle of a string over the saddle, degrees: from saddle top down to where it is held, mm. [physics] */
export const breakAngle = (saddle: number, held: { height: number; distance: number }): number =>
  deg(Math.atan((saddle - held.height) / held.distance))

/** What a tilt is meant to reach. */
export type TiltGoal = { reach: 'least'; beyond?: number } | { reach: 'middle' } | { reach: 'break'; degrees: number }

export interface SideSetting {
  /** Saddle height the action wanted asks for with the neck as it sits, mm. */
  saddle: number
  /** That action at fret 12, mm. */
  action: number
  /** The bridge's own range, mm. */
  low: number
  high: number
  /** Pocket mouth to saddle and usable heel length, mm. */
  reach: number
  heel: number
  /** Where the string is held behind the saddle, when known. */
  held?: { height: number; distance: number }
}

export interface TiltAnswer {
  /** Tilt to add, degrees; negative tips the headstock forward. */
  tilt: number
  /** Full-length taper and strip, mm, at the pocket's end, or at its mouth for a negative tilt. */
  shim: number
  strip: number
  /** Saddle height the action then asks for, and what is left to either stop, mm. */
  saddle: number
  toLowest: number
  toHighest: number
  /** Degrees over the saddle, where it is known what holds the string. */
  breaks?: number
}

/** Back, the neck turns about the pocket's mouth; forward, by a shim at the mouth, about the heel's end, and is lifted there. [physics] */
const leverOf = ({ reach, heel }: Pick<SideSetting, 'reach' | 'heel'>, tilt: number): number => (tilt < 0 ? reach - heel : reach)

/** How far a shim at the mouth lifts the board there, mm; one at the end lifts nothing. [physics] */
export const mouthLift = (heel: number, tilt: number): number => (tilt < 0 ? riseOver(heel, -tilt) : 0)

/** What a tilt does. [physics] */
export function afterTilt(s: SideSetting, tilt: number): TiltAnswer {
  const saddle = s.saddle + riseOver(leverOf(s, tilt), tilt)
  return {
    tilt,
    shim: riseOver(s.heel, Math.abs(tilt)),
    strip: stripFor(tilt, s.heel),
    saddle,
    toLowest: saddle - s.low,
    toHighest: s.high - saddle,
    ...(s.held ? { breaks: breakAngle(saddle, s.held) } : {}),
  }
}

/** Action at fret 12 with that tilt and the saddles set to a height: half of what they are off shows there, mm. [physics] */
export const actionSet = (s: SideSetting, tilt: number, saddle: number): number => s.action + (saddle - afterTilt(s, tilt).saddle) / 2

/**
 * The tilt a goal asks for: the least that brings the bridge within its range with the usual spare (and so much `beyond`, mm); the one that sets it mid-range; or
 * the least that gives the string at least so many degrees over the saddle. Nothing when the string's hold is not known. [physics]
 */
export function tiltFor(s: SideSetting, goal: TiltGoal): TiltAnswer | undefined {
  const wanted = saddleFor(s, goal)
  return wanted === undefined ? undefined : afterTilt(s, shimFor(wanted - s.saddle, leverOf(s, wanted - s.saddle), s.heel).tilt)
}

function saddleFor(s: SideSetting, goal: TiltGoal): number | undefined {
  if (goal.reach === 'middle') return (s.low + s.high) / 2
  if (goal.reach === 'break') return s.held && Math.max(s.saddle, s.held.height + riseOver(s.held.distance, goal.degrees))
  const spare = SPARE + (goal.beyond ?? 0)
  if (s.high - s.low < 2 * spare) return (s.low + s.high) / 2
  return Math.min(s.high - spare, Math.max(s.low + spare, s.saddle))
}
