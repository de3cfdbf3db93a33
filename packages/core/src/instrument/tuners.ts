import type { Build } from '../document/build'
import { asTold, sizeAt, traitAt } from '../document/read'
import { pt, type Point } from '../geometry/point'

/** How a row of posts lies: its first post behind the nut, its pitch, how far it stands from the centre line, mm, and its swing, degrees. */
export interface PostRow {
  first: number
  pitch: number
  offset: number
  slant: number
}

/**
 * Post centres on a headstock in the instrument's frame (x negative beyond the nut), the lowest string's first. One row swings towards the
 * treble side as it leaves the nut, so that strings run straight; two rows lie either side.
 * @param stand in two rows, or on which side of the strings a single one stands
 */
export function postsInRows(count: number, { first, pitch, offset, slant }: PostRow, stand: 'two-rows' | 'bass' | 'treble'): Point[] {
  if (stand === 'two-rows') {
    const half = Math.ceil(count / 2)
    // The outer strings have the nearest posts, those beside the middle the furthest: so no string crosses another.
    return Array.from({ length: count }, (_, i) => pt(-first - (i < half ? i : count - 1 - i) * pitch, i < half ? offset : -offset))
  }
  const a = (slant * Math.PI) / 180
  const row = Array.from({ length: count }, (_, i) => pt(-first - i * pitch * Math.cos(a), offset - i * pitch * Math.sin(a)))
  // A head turned round is the mirror of the other: its highest string has the nearest post.
  return stand === 'treble' ? row.map((p) => pt(p.x, -p.y)).toReversed() : row
}

/**
 * Posts of this instrument, the lowest string's first; usual sizes for what nobody has read.
 * Who needs only how far they stand from the nut asks nobody for the rest, and takes it from the build as told.
 * @param across where their place beside the centre line is read
 * @param side where the side is read on which a single row stands: which string has which post
 */
export function tunerPosts(build: Build, across = build, side = build): Point[] {
  const value = (size: string, otherwise: number, from = build) => sizeAt(from, { slot: 'neck', size })?.value ?? otherwise
  const two = traitAt(build, 'neck', 'head') === 'two-rows'
  return postsInRows(
    sizeAt(build, { slot: 'tuners', size: 'count' })?.value ?? build.strings,
    {
      first: value('tuner.first', 32),
      pitch: value('tuner.pitch', 25.4),
      offset: value('tuner.offset', two ? 22 : 0, across),
      // Two rows run along the head, and nobody need read how they swing.
      slant: two ? 0 : value('tuner.slant', 0),
    },
    two ? 'two-rows' : traitAt(side, 'neck', 'row') === 'treble' ? 'treble' : 'bass',
  )
}

type Told = { slot: 'neck'; trait: 'head' | 'row' }
const HEAD: Told = { slot: 'neck', trait: 'head' }
const ROW: Told = { slot: 'neck', trait: 'row' }

/** What nobody has told of how the posts lie: in one row or in two, and on which side a single one stands. */
export function untoldLay(build: Build): Told[] {
  const head = traitAt(build, 'neck', 'head')
  if (head === undefined) return [HEAD]
  return head === 'one-row' && traitAt(build, 'neck', 'row') === undefined ? [ROW] : []
}

/** A tuner's post, where nobody has measured it: this much of its bushing, and that of its usual one, mm. [practice, from memory] */
const POST = { ofBushing: 0.7, bushing: 10 }

/** A post's diameter, mm, as read or by its bushing. */
export const postDiameter = (build: Build): number =>
  sizeAt(build, { slot: 'tuners', size: 'post.diameter' })?.value ??
  POST.ofBushing * (sizeAt(build, { slot: 'tuners', size: 'bushing' })?.value ?? POST.bushing)

/** How far each post stands beyond the nut, mm, the lowest string's first. */
export const postsBeyondNut = (build: Build): number[] => tunerPosts(build, asTold(build)).map((p) => -p.x)

/** Unit steps at each post, seen from the front: along its row away from the nut, and square to that towards the headstock's middle. */
export function rowDirections(build: Build): { away: Point; inwards: Point }[] {
  const posts = tunerPosts(build)
  if (traitAt(build, 'neck', 'head') === 'two-rows') return posts.map((p) => ({ away: pt(-1, 0), inwards: pt(0, p.y > 0 ? -1 : 1) }))
  const slant = ((sizeAt(build, { slot: 'neck', size: 'tuner.slant' })?.value ?? 0) * Math.PI) / 180
  const [c, s] = [Math.cos(slant), Math.sin(slant)]
  const side = traitAt(build, 'neck', 'row') === 'treble' ? -1 : 1
  return posts.map(() => ({ away: pt(-c, -s * side), inwards: pt(s, -c * side) }))
}

/**
 * How many tuners a head takes on its right side, seen from the front with the head up. The bass side of a right-handed instrument is the left.
 * @param rows how its tuners stand; in a single row, on which side of the strings
 */
export function wantedRight(count: number, hand: Build['handedness'], rows: 'two-rows' | 'bass' | 'treble'): number {
  const bass = rows === 'two-rows' ? Math.ceil(count / 2) : rows === 'bass' ? count : 0
  return hand === 'right' ? count - bass : bass
}
