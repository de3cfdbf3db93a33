import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt, type SizeRef } from '../../document/read'
import { stringLines } from '../../instrument/strings'
import { tunerPosts } from '../../instrument/tuners'
import { isVibrato } from '../../instrument/vibrato'
import { drawnAt } from '../../judge/known'
import { stringHold } from '../bridge/stringHold'

/** At most so much of a string lies in what holds it, past the place where it goes in, mm. [practice, from memory] */
const IN_HOLD = { stop: 14, 'vibrato-tail': 30, screws: 5 }
/** A locking saddle clamps the string so far behind the saddle line, and its ball with its twist is cut off before, mm. [practice, from memory] */
const CLAMPED = 24
/** A saddle stands at most so far behind the scale line, mm. [practice] */
const SADDLE_BACK = 8
/** Stays straight in the post and sticks out of it, mm. [practice] */
export const THROUGH_POST = 10
/** Turns that hold a string by its wraps: as they are wanted, and the least that hold with a lock of its own. [practice] */
export const TURNS = { wanted: 2, least: 0.75 }
/** A tuner's post, where nobody has measured it: this much of its bushing. [practice, from memory] */
const POST = 0.7

/** What one string has to be long enough for, mm, everything taken at its longest. */
export interface StringRun {
  number: number
  /** From its ball to the nut, and from there to the middle of its post. */
  toNut: number
  toPost: number
  /** One turn round the post; nothing is wound where the post clamps it. */
  turn: number
  clamped: boolean
}

/** From a string's ball to its saddle, mm: over whatever holds it, and through the body where it is held from behind. */
function behindSaddle(build: Build): number {
  const mount = traitAt(build, 'bridge', 'mount')
  if (mount === 'double-locking') return CLAMPED
  const hold = stringHold(build)
  if (hold.by !== 'bridge') return drawnAt(build, hold.refs.distance) + IN_HOLD[hold.by === 'stop' ? 'stop' : 'vibrato-tail']
  const exit = { out: drawnAt(build, hold.refs.distance), up: drawnAt(build, hold.refs.height) }
  const over = Math.hypot(exit.out, drawnAt(build, sizeRef('bridge', 'height.max')) - exit.up)
  if (mount === 'string-through') return over + Math.max(0, drawnAt(build, sizeRef('body', 'thickness')) + exit.up)
  return over + (isVibrato(mount) ? drawnAt(build, sizeRef('bridge', 'block.depth')) : IN_HOLD.screws)
}

/** From a string's ball to the nut, mm. */
export const ballToNut = (build: Build): number =>
  behindSaddle(build) + SADDLE_BACK + (sizeAt(build, sizeRef('neck', 'scale'))?.value ?? build.scale)

/** The runs of all strings, the highest first. @returns mm; usual sizes for what nobody has read */
export function stringRuns(build: Build): StringRun[] {
  const toNut = ballToNut(build)
  const post = sizeAt(build, sizeRef('tuners', 'post.diameter'))?.value ?? POST * drawnAt(build, sizeRef('tuners', 'bushing'))
  const clamped = traitAt(build, 'tuners', 'locking') === 'clamp'
  const spread = build.parts.nut ? drawnAt(build, sizeRef('nut', 'spread')) : 0
  const atNut = stringLines(build.strings, spread, spread).map((l) => l.atNut)
  const posts = tunerPosts(build)
  return atNut.map((across, i) => {
    // Fewer tuners than strings is another joint's to say: such a string is taken to the furthest there is.
    const at = posts[build.strings - 1 - i] ?? posts.at(-1)!
    const gauge = drawnAt(build, { slot: 'strings', size: `gauge.${i + 1}` })
    return { number: i + 1, toNut, toPost: Math.hypot(at.x, at.y - across), turn: Math.PI * (post + gauge), clamped }
  })
}

/** What is left of a string of some length past what reaches through its post, mm; negative where it does not get so far. */
export const leftOver = (run: StringRun, length: number): number => length - run.toNut - run.toPost - THROUGH_POST

/** How long a string is wanted: from its ball through its post, and wound as it should be, mm. */
export const wantedLength = (run: StringRun): number => run.toNut + run.toPost + THROUGH_POST + (run.clamped ? 0 : TURNS.wanted * run.turn)

/** How far past its post a string is cut that is to be wound: the thinnest and the thickest, mm. Nothing where nobody knows the posts. */
export function cutPastPost(build: Build): { from: number; to: number } | undefined {
  if (traitAt(build, 'tuners', 'locking') !== 'wraps' || !build.parts.strings) return undefined
  if (!sizeAt(build, sizeRef('tuners', 'post.diameter')) && !sizeAt(build, sizeRef('tuners', 'bushing'))) return undefined
  const past = stringRuns(build).map((run) => THROUGH_POST + TURNS.wanted * run.turn)
  return { from: Math.min(...past), to: Math.max(...past) }
}

/** Where a string's length is written: its own where it was cut, otherwise that of the set. */
export function lengthRef(build: Build, number: number): SizeRef {
  const own: SizeRef = { slot: 'strings', size: `length.${number}` }
  return sizeAt(build, own) ? own : sizeRef('strings', 'length')
}
