import { POST_EDGE } from '../../fit/head/tunerRow'
import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt, type SizeRef } from '../../document/read'
import { pt, type Point } from '../../geometry/point'
import { insideBy } from '../../fit/guard/guardRooms'
import { outlinePoints } from '../../instrument/outline'
import { courses } from '../../instrument/strings'
import { postsInRows, tunerPosts, untoldLay, type PostRow } from '../../instrument/tuners'
import { withoutGuesses } from '../told'
import { lowestOver, type Range } from './lowest'

/** A straight row, or two that mirror each other: the four sizes a neck keeps of it. */
export type Row = PostRow

/** What a headstock and its tuners ask of posts. */
export interface HeadTask {
  rows: 'one' | 'two'
  /** Which side a single row stands on. */
  side: 'bass' | 'treble'
  count: number
  /** Places of the strings at the nut, the lowest first. */
  strings: readonly number[]
  outline: readonly Point[]
  /** Housing along its row and across it, mm. */
  housing: { width: number; length: number }
  /** Where posts are pencilled or stand now, the lowest string's first. */
  marks: readonly Point[]
  now: Row
}

/** One post as it stands. */
export interface PostView {
  at: Point
  /** To the headstock's edge, mm. */
  edge: number
  /** Sideways bend of its string at the nut, degrees. */
  bend: number
  /** To the nearest string that passes it, mm; nothing where none does. */
  passes?: number
  /** From the person's mark, mm: along the head away from the nut, and towards the headstock's middle. */
  move?: { along: number; inwards: number }
}

/** Strings pass a post so far from its middle; housings stand so far apart, mm. [practice] */
const PASSES = 4.5
const APART = 0.3
/** Radius of a post where the string leaves it, mm. [practice] */
const POST = 3

const SIZES = {
  first: sizeRef('neck', 'tuner.first'),
  pitch: sizeRef('neck', 'tuner.pitch'),
  offset: sizeRef('neck', 'tuner.offset'),
  spread: sizeRef('nut', 'spread'),
  width: sizeRef('tuners', 'housing.width'),
}

/** What there is to lay out, or what it waits for. */
export function headTask(build: Build): { task: HeadTask } | { missing: SizeRef[]; lacks?: string } {
  const told = withoutGuesses(build)
  const { neck, tuners } = told.parts
  if (!neck || !tuners) return { missing: [], lacks: 'a neck and tuners' }
  if (!neck.outline || neck.outline.length < 3) return { missing: [], lacks: 'the headstock’s outline' }
  const missing = Object.values(SIZES).filter((r) => told.parts[r.slot] && !sizeAt(told, r))
  if (missing.length || !told.parts.nut) return { missing, ...(told.parts.nut ? {} : { lacks: 'a nut' }) }
  // Laid out in one row instead of two, or on the other side, every move it tells is a wrong one.
  const untold = untoldLay(told)
  if (untold.length)
    return {
      missing: [],
      lacks: untold[0]!.trait === 'head' ? 'whether the tuners stand in one row or in two' : 'the side the row stands on',
    }
  const value = (r: SizeRef) => sizeAt(told, r)!.value
  const count = sizeAt(told, sizeRef('tuners', 'count'))?.value ?? told.strings
  return {
    task: {
      rows: traitAt(told, 'neck', 'head') === 'two-rows' ? 'two' : 'one',
      side: traitAt(told, 'neck', 'row') === 'treble' ? 'treble' : 'bass',
      count,
      strings: courses(told.strings, value(SIZES.spread)).toReversed(),
      outline: outlinePoints(neck.outline),
      housing: { width: value(SIZES.width), length: sizeAt(told, sizeRef('tuners', 'housing.length'))?.value ?? 14 },
      marks: tunerPosts(told),
      now: {
        first: value(SIZES.first),
        pitch: value(SIZES.pitch),
        offset: value(SIZES.offset),
        slant: sizeAt(told, sizeRef('neck', 'tuner.slant'))?.value ?? 0,
      },
    },
  }
}

/** Posts of a row, the lowest string's first; the same places the rest of the instrument takes from its sizes. */
export const postsOf = (task: Pick<HeadTask, 'rows' | 'side' | 'count'>, row: Row): Point[] =>
  postsInRows(task.count, row, task.rows === 'two' ? 'two-rows' : task.side)

/** Which side of its post a string leaves: the side towards the strings' middle. */
const inner = (task: HeadTask, i: number): number => {
  const bassRow = task.rows === 'two' ? i < Math.ceil(task.count / 2) : task.side === 'bass'
  return bassRow ? -1 : 1
}

/** Every post with its numbers. */
export function viewed(task: HeadTask, posts: readonly Point[]): PostView[] {
  const lines = posts.map((p, i) => ({ from: pt(0, task.strings[i] ?? 0), to: pt(p.x, p.y + inner(task, i) * POST) }))
  return posts.map((at, i): PostView => {
    const { from, to } = lines[i]!
    const passing = lines.flatMap((l, j) => (j === i || l.to.x >= at.x ? [] : [Math.abs(at.y - yAt(l, at.x))]))
    const mark = task.marks[i]
    const away = inner(task, i)
    return {
      at,
      edge: insideBy(task.outline, at),
      bend: (Math.atan2(to.y - from.y, -to.x) * 180) / Math.PI,
      ...(passing.length ? { passes: Math.min(...passing) } : {}),
      ...(mark ? { move: { along: mark.x - at.x, inwards: (at.y - mark.y) * away } } : {}),
    }
  })
}
const yAt = ({ from, to }: { from: Point; to: Point }, x: number) => from.y + ((to.y - from.y) * x) / to.x

/**
 * How bad a row is: the strings' sideways bends, and far more than those what must not be: posts too near the edge, housings that touch or
 * overhang, strings that touch a post they pass. A row that runs along the edge looks better than one that does not. [ours]
 */
export function cost(task: HeadTask, row: Row): number {
  const posts = postsOf(task, row)
  const views = viewed(task, posts)
  const short = (lack: number) => 60 * Math.max(0, lack) ** 2
  const edges = views.map((v) => v.edge)
  const bends = views.reduce((sum, v) => sum + v.bend ** 2, 0) / views.length
  const near = views.reduce((sum, v) => sum + short(POST_EDGE - v.edge) + (v.passes === undefined ? 0 : short(PASSES - v.passes)), 0)
  const parallel = 0.02 * (Math.max(...edges) - Math.min(...edges)) ** 2
  return bends + near + parallel + short(task.housing.width + APART - row.pitch) + overhang(task, row, posts)
}

/** Corners of housings that stand out over the edge, on the side the buttons are not. */
function overhang(task: HeadTask, row: Row, posts: readonly Point[]): number {
  const a = task.rows === 'two' ? 0 : (row.slant * Math.PI) / 180
  const along = {
    x: (-Math.cos(a) * task.housing.width) / 2,
    y: ((task.side === 'treble' ? 1 : -1) * Math.sin(a) * task.housing.width) / 2,
  }
  return posts.reduce((sum, p, i) => {
    const deep = (inner(task, i) * task.housing.length) / 2
    return (
      sum + [1, -1].reduce((s, w) => s + 20 * Math.max(0, -insideBy(task.outline, pt(p.x + w * along.x, p.y + w * along.y + deep))) ** 2, 0)
    )
  }, 0)
}

/** Where a row is looked for. */
export function rangesOf(task: HeadTask): Range[] {
  const length = -Math.min(...task.outline.map((p) => p.x))
  const inRow = task.rows === 'two' ? Math.ceil(task.count / 2) : task.count
  const least = task.housing.width + APART
  const most = Math.max(least + 0.5, (length - 30) / Math.max(1, inRow - 1))
  return [
    { from: 20, to: Math.max(30, Math.min(70, length / 2)), grain: 0.05 },
    { from: least, to: Math.min(most, least + 16), grain: 0.05 },
    { from: task.rows === 'two' ? 10 : -5, to: 35, grain: 0.05 },
    ...(task.rows === 'two' ? [] : [{ from: -12, to: 24, grain: 0.05 }]),
  ]
}
const rowOf = (at: readonly number[]): Row => ({ first: at[0]!, pitch: at[1]!, offset: at[2]!, slant: at[3] ?? 0 })

export interface HeadLayout {
  row: Row
  posts: PostView[]
  cost: number
  /** How bad the row is that stands there now. */
  before: number
}

/** The best straight row for a headstock and its tuners, to a twentieth of a millimetre. */
export function layHead(task: HeadTask): HeadLayout {
  const { at, value } = lowestOver((x) => cost(task, rowOf(x)), rangesOf(task))
  const row = rowOf(at)
  const before = cost(task, task.now)
  // What stands there already is kept unless another is better.
  const best = before <= value ? task.now : row
  return { row: best, posts: viewed(task, postsOf(task, best)), cost: Math.min(value, before), before }
}
