import type { Build } from '../document/build'
import { sizeAt, traitAt } from '../document/read'
import { pt, type Point } from '../geometry/point'

/**
 * Post centres on the headstock in the instrument's frame (x negative beyond the nut), the lowest string's first.
 * One row swings towards the treble side as it leaves the nut, so that strings run straight; two rows lie either side.
 */
export function tunerPosts(build: Build): Point[] {
  const value = (size: string, otherwise: number) => sizeAt(build, { slot: 'neck', size })?.value ?? otherwise
  const count = sizeAt(build, { slot: 'tuners', size: 'count' })?.value ?? build.strings
  const pitch = value('tuner.pitch', 25.4)
  const first = value('tuner.first', 32)
  if (traitAt(build, 'neck', 'head') === 'two-rows') {
    const half = Math.ceil(count / 2)
    const side = value('tuner.offset', 22)
    return Array.from({ length: count }, (_, i) => pt(-first - (i % half) * pitch, i < half ? side : -side))
  }
  const slant = (value('tuner.slant', 0) * Math.PI) / 180
  const offset = value('tuner.offset', 0)
  const row = Array.from({ length: count }, (_, i) => pt(-first - i * pitch * Math.cos(slant), offset - i * pitch * Math.sin(slant)))
  // A head turned round is the mirror of the other: its highest string has the nearest post.
  return traitAt(build, 'neck', 'row') === 'treble' ? row.map((p) => pt(p.x, -p.y)).toReversed() : row
}

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
