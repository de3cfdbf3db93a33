import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { postsInRows } from './tuners'

/** Rows such as heads have; each string from its place at the nut straight to its post. */
const heads = fc.record({
  count: fc.integer({ min: 4, max: 12 }),
  stand: fc.constantFrom('two-rows', 'bass', 'treble'),
  first: fc.double({ min: 25, max: 60, noNaN: true }),
  pitch: fc.double({ min: 20, max: 45, noNaN: true }),
})

describe('posts on a headstock', () => {
  it('no string crosses another on its way from the nut to its post, and each post has one', () =>
    void fc.assert(
      fc.property(heads, ({ count, stand, first, pitch }) => {
        const spread = 6.5 * (count - 1)
        const row = { first, pitch, offset: stand === 'two-rows' ? spread / 2 + 4 : spread / 2, slant: stand === 'two-rows' ? 0 : 12 }
        const posts = postsInRows(count, row, stand)
        expect(new Set(posts.map((p) => `${p.x.toFixed(3)} ${p.y.toFixed(3)}`)).size).toBe(count)
        // The lowest string first, on the bass side, which is positive.
        const nut = posts.map((_, i) => spread / 2 - 6.5 * i)
        const at = (i: number, x: number) => nut[i]! + ((posts[i]!.y - nut[i]!) * x) / posts[i]!.x
        for (let i = 1; i < count; i++) {
          const shared = Math.max(posts[i]!.x, posts[i - 1]!.x)
          expect(at(i, shared), `strings ${count - i} and ${count - i + 1} of ${count}, ${stand}`).toBeLessThan(at(i - 1, shared))
        }
      }),
    ))
  it('three a side: the sixth and the first have the nearest posts, the fourth and the third the furthest', () => {
    const posts = postsInRows(6, { first: 38, pitch: 38, offset: 24, slant: 0 }, 'two-rows')
    expect(posts.map((p) => [-p.x, p.y])).toEqual([
      [38, 24],
      [76, 24],
      [114, 24],
      [114, -24],
      [76, -24],
      [38, -24],
    ])
  })
})
