import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { rectangle } from '../../geometry/box'
import { tunerPosts } from '../../instrument/tuners'
import { changed, fullBuild } from '../../testing/fullBuild'
import { POST_EDGE } from '../../fit/head/tunerRow'
import { cost, headTask, layHead, postsOf, viewed, type HeadTask, type Row } from './layout'
import { lowestOver } from './lowest'

const taskOf = (build = fullBuild()): HeadTask => {
  const found = headTask(build)
  if (!('task' in found)) throw new Error('nothing to lay out')
  return found.task
}
/** A plain board of a headstock, symmetric about the centre line. */
const plain = (more: Partial<HeadTask>): HeadTask => ({
  rows: 'two',
  side: 'bass',
  count: 6,
  strings: [17.5, 10.5, 3.5, -3.5, -10.5, -17.5],
  outline: rectangle(-170, -38, 0, 38),
  housing: { width: 16, length: 16 },
  marks: [],
  now: { first: 30, pitch: 40, offset: 20, slant: 0 },
  ...more,
})

describe('the lowest place of a function', () => {
  it('is found where it is known, through corners too', () => {
    const { at } = lowestOver(
      ([x, y]) => Math.abs(x! - 3.2) + (y! + 1) ** 2,
      [
        { from: -10, to: 10, grain: 0.001 },
        { from: -10, to: 10, grain: 0.001 },
      ],
    )
    expect(at[0]).toBeCloseTo(3.2, 2)
    expect(at[1]).toBeCloseTo(-1, 2)
  })
})

describe('laying out a headstock', () => {
  it('its rows are the very posts the rest of the instrument takes from the four sizes', () => {
    for (const traits of [{}, { 'neck/row': 'treble' }, { 'neck/head': 'two-rows' }]) {
      const build = changed(fullBuild(), {}, traits)
      const task = taskOf(build)
      expect(postsOf(task, task.now)).toEqual(tunerPosts(build))
    }
  })
  // A string from 17.5 at the nut to a post at 20 less its radius of 3, 30 behind: atan(0.5 / 30) = 0.95 degrees, towards the treble.
  it('says of each post its edge and its string’s bend', () => {
    const [first] = viewed(plain({}), postsOf(plain({}), plain({}).now))
    expect(first!.edge).toBeCloseTo(18, 9)
    expect(first!.bend).toBeCloseTo((-Math.atan(0.5 / 30) * 180) / Math.PI, 6)
  })
  it('finds what going through every row of a fine grid finds, or better', () => {
    for (const task of [plain({ count: 2, strings: [5, -5] }), plain({ count: 4, strings: [14, 5, -5, -14] }), plain({})]) {
      const found = layHead(task)
      let least = Infinity
      for (let first = 20; first <= 70; first += 1)
        for (let pitch = 16.3; pitch <= 32; pitch += 1)
          for (let offset = 10; offset <= 35; offset += 0.5) least = Math.min(least, cost(task, { first, pitch, offset, slant: 0 }))
      expect(found.cost).toBeLessThanOrEqual(least + 1e-6)
    }
  })
  it('six in line inside the outline: posts 9 mm from the edge, housings apart, no string on a post it passes', () => {
    const task = taskOf()
    const { posts, row, cost: now, before } = layHead(task)
    expect(now).toBeLessThanOrEqual(before)
    for (const p of posts) {
      expect(p.edge).toBeGreaterThan(POST_EDGE - 0.3)
      expect(p.passes ?? 9).toBeGreaterThan(4)
    }
    expect(row.pitch).toBeGreaterThanOrEqual(task.housing.width)
  })
  // Marks stand 3 mm nearer to the edge than may be: the moves are inwards, and said from the person's own marks.
  it('a crowded headstock: moves are said from the marks, inwards positive', () => {
    const build = changed(fullBuild(), { 'neck/tuner.offset': 30 })
    const task = taskOf(build)
    expect(Math.min(...viewed(task, task.marks).map((p) => p.edge))).toBeLessThan(POST_EDGE)
    const { posts } = layHead(task)
    expect(Math.max(...posts.map((p) => p.move!.inwards))).toBeGreaterThan(1)
    posts.forEach((p, i) => {
      expect(p.move!.along).toBeCloseTo(task.marks[i]!.x - p.at.x, 9)
      expect(p.move!.inwards).toBeCloseTo(task.marks[i]!.y - p.at.y, 9)
    })
  })
  // Strings 10 mm either side to posts 60 mm off, 30 from the middle and 3 thick from it: each bends by atan((27 - 10) / 60).
  it('what a row costs, by hand', () => {
    const task = plain({ count: 2, strings: [10, -10], outline: rectangle(-170, -60, 0, 60) })
    const row = { first: 60, pitch: 40, offset: 30, slant: 0 }
    const posts = postsOf(task, row)
    const views = viewed(task, posts)
    const bend = views[0]!.bend
    expect(views.map((v) => Math.abs(v.bend))).toEqual([1, 1].map(() => expect.closeTo((Math.atan(17 / 60) * 180) / Math.PI, 9)))
    // Far from every edge and no housing near another: only the bends count.
    expect(cost(task, row)).toBeCloseTo(bend ** 2, 9)
    // A housing wider than the pitch by so much costs sixty times its square; APART more is wanted between them.
    const wide = (width: number) => cost({ ...task, housing: { width, length: 16 } }, row) - bend ** 2
    expect(Math.sqrt(wide(44) / 60) - Math.sqrt(wide(43) / 60)).toBeCloseTo(1, 6)
    expect(wide(38)).toBeCloseTo(0, 9)
    // Nearer to one edge than to the other by 4: 0.02 times its square.
    const shifted = plain({ count: 2, strings: [10, -10], outline: rectangle(-170, -58, 0, 62) })
    expect(cost(shifted, row) - bend ** 2).toBeCloseTo(0.02 * 16, 6)
  })
  it('a head turned round is the mirror of the other', () =>
    fc.assert(
      fc.property(
        fc.record({
          first: fc.double({ min: 25, max: 50, noNaN: true }),
          pitch: fc.double({ min: 24, max: 30, noNaN: true }),
          offset: fc.double({ min: 0, max: 25, noNaN: true }),
          slant: fc.double({ min: -5, max: 18, noNaN: true }),
        }),
        (row: Row) => {
          const bass = plain({ rows: 'one', side: 'bass' })
          const treble = plain({ rows: 'one', side: 'treble' })
          expect(cost(treble, row)).toBeCloseTo(cost(bass, row), 6)
        },
      ),
      { numRuns: 100 },
    ))
  it('twelve strings, six a side, and what it waits for', () => {
    const twelve = layHead(
      plain({ count: 12, strings: Array.from({ length: 12 }, (_, i) => 22 - 4 * i), outline: rectangle(-230, -42, 0, 42) }),
    )
    expect(twelve.posts).toHaveLength(12)
    for (const p of twelve.posts) expect(p.edge).toBeGreaterThan(POST_EDGE - 0.3)
    expect(headTask(changed(fullBuild(), { 'tuners/housing.width': undefined }))).toMatchObject({
      missing: [{ slot: 'tuners', size: 'housing.width' }],
    })
  })
})
