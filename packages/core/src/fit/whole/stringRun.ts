import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt, type SizeRef } from '../../document/read'
import { stringLines } from '../../instrument/strings'
import { postDiameter, tunerPosts } from '../../instrument/tuners'
import { isVibrato } from '../../instrument/vibrato'
import { drawnAt } from '../../judge/known'
import { stringHold } from '../bridge/stringHold'

/** From least to most, mm: nobody measures it, and nothing bought says it. */
type Range = readonly [least: number, most: number]
/** So much of a string lies in what holds it, past the place where it goes in. [practice, from memory] */
const IN_HOLD: Record<'stop' | 'vibrato-tail' | 'screws', Range> = { stop: [4, 14], 'vibrato-tail': [4, 30], screws: [2, 5] }
/** A locking saddle clamps the string so far behind the saddle line, and its ball with its twist is cut off before. [practice, from memory] */
const CLAMPED: Range = [10, 24]
/** Round a bar, from the hole at its front to the saddle line on top. [practice, from memory] */
const ROUND_BAR: Range = [10, 35]
/** A saddle stands so far behind the scale line. [practice] */
const SADDLE_BACK: Range = [0, 8]
/** Stays straight in the post and sticks out of it, mm. [practice] */
export const THROUGH_POST = 10
/** Turns that hold a string by its wraps: as they are wanted, and the least that hold with a lock of its own. [practice] */
export const TURNS = { wanted: 2, least: 0.75 }

/** What one string has to be long enough for, mm, everything taken at its longest. */
export interface StringRun {
  number: number
  /** From its ball to the nut, and from there to the middle of its post. */
  toNut: number
  toPost: number
  /** So much less it may really be to the nut. */
  slack: number
  /** Its post's diameter, and one turn round it; nothing is wound where the post clamps it. */
  post: number
  turn: number
  clamped: boolean
}

/** From a string's ball to its saddle, mm: over whatever holds it, and through the body where it is held from behind. */
function behindSaddle(build: Build): Range {
  const mount = traitAt(build, 'bridge', 'mount')
  if (mount === 'double-locking') return CLAMPED
  if (mount === 'bar') return ROUND_BAR
  const hold = stringHold(build)
  if (hold.by !== 'bridge') return further(drawnAt(build, hold.refs.distance), IN_HOLD[hold.by === 'stop' ? 'stop' : 'vibrato-tail'])
  const exit = { out: drawnAt(build, hold.refs.distance), up: drawnAt(build, hold.refs.height) }
  const over = Math.hypot(exit.out, drawnAt(build, sizeRef('bridge', 'height.max')) - exit.up)
  if (mount === 'string-through') return further(over + Math.max(0, drawnAt(build, sizeRef('body', 'thickness')) + exit.up), [0, 0])
  if (isVibrato(mount)) return further(over + drawnAt(build, sizeRef('bridge', 'block.depth')), [0, 0])
  return further(over, IN_HOLD.screws)
}

const further = (by: number, [least, most]: Range): Range => [by + least, by + most]

/** From a string's ball to the nut, mm: at its longest, and so much less it may be. */
export function ballToNut(build: Build): { most: number; slack: number } {
  const scale = sizeAt(build, sizeRef('neck', 'scale'))?.value ?? build.scale
  const [least, most] = further(scale + SADDLE_BACK[1], behindSaddle(build))
  return { most, slack: most - least + SADDLE_BACK[1] - SADDLE_BACK[0] }
}

/** The runs of all strings, the highest first. @returns mm; usual sizes for what nobody has read */
export function stringRuns(build: Build): StringRun[] {
  const { most: toNut, slack } = ballToNut(build)
  const post = postDiameter(build)
  const clamped = traitAt(build, 'tuners', 'locking') === 'clamp'
  const spread = build.parts.nut ? drawnAt(build, sizeRef('nut', 'spread')) : 0
  const atNut = stringLines(build.strings, spread, spread).map((l) => l.atNut)
  const posts = tunerPosts(build)
  return atNut.map((across, i) => {
    // Fewer tuners than strings is another joint's to say: such a string is taken to the furthest there is.
    const at = posts[build.strings - 1 - i] ?? posts.at(-1)!
    const gauge = drawnAt(build, { slot: 'strings', size: `gauge.${i + 1}` })
    return { number: i + 1, toNut, slack, toPost: Math.hypot(at.x, at.y - across), post, turn: Math.PI * (post + gauge), clamped }
  })
}

/** What is left of a string of some length past what reaches through its post, mm; negative where it does not get so far. */
export const leftOver = (run: StringRun, length: number): number => length - run.toNut - run.toPost - THROUGH_POST

/** How long a string is wanted: from its ball through its post, and wound as it should be, mm. */
export const wantedLength = (run: StringRun): number => run.toNut + run.toPost + THROUGH_POST + (run.clamped ? 0 : TURNS.wanted * run.turn)

/** Which strings have to be longest and shortest, and how long; nothing before it is known where they run. */
export function wantedSpan(build: Build): { longest: StringRun; shortest: StringRun } | undefined {
  const { neck, bridge, tuners, body, strings } = build.parts
  if (!neck || !bridge || !tuners || !body || !strings) return undefined
  const sorted = stringRuns(build).toSorted((a, b) => wantedLength(b) - wantedLength(a))
  return { longest: sorted[0]!, shortest: sorted.at(-1)! }
}

/** A string that is wound in so many turns is cut so far past its post, mm. */
export interface CutLength {
  n: number
  turns: number
  past: number
}

/** How far past its post each string is cut that is to be wound, the highest first. Nothing where nobody knows the posts. */
export function cutPastPost(build: Build, more: readonly { n: number; turns: number }[] = []): CutLength[] {
  if (traitAt(build, 'tuners', 'locking') !== 'wraps' || !build.parts.strings) return []
  if (!sizeAt(build, sizeRef('tuners', 'post.diameter')) && !sizeAt(build, sizeRef('tuners', 'bushing'))) return []
  return stringRuns(build).map(({ number, turn }) => {
    const turns = TURNS.wanted + (more.find((w) => w.n === number)?.turns ?? 0)
    return { n: number, turns, past: THROUGH_POST + turns * turn }
  })
}

/** Where a string's length is written: its own where it was cut, otherwise that of the set. */
export function lengthRef(build: Build, number: number): SizeRef {
  const own: SizeRef = { slot: 'strings', size: `length.${number}` }
  return sizeAt(build, own) ? own : sizeRef('strings', 'length')
}
