import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { untold } from '../../testing/anyBuild'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { checkIn } from '../../testing/rows'

/*
 * Posts 33 mm from the nut and 25.4 apart, the slot 9 + 1.1 + 0.5 = 10.6 mm over the face and the wraps 5: a string to a post at x bears by
 * atan(5.6 / x), which is under 4.5 degrees beyond 71 mm: the third post, at 83.8 or in a slanting row at 82.5, and all further ones.
 */
const head = (traits: Parameters<typeof changed>[2], tree?: number): Build => {
  const b = changed(fullBuild(), { 'neck/tuner.offset': 22, ...(tree ? { 'string-tree/holds': tree } : {}) }, traits)
  return tree ? b : without(b, 'string-tree')
}
const flattest = (b: Build) => checkIn(b, 'nut-break', 'flattest')
const tree = (b: Build) => flattest(b).cures.find((c) => c.id === 'string-tree')!.job

describe('which strings a tree is for', () => {
  it('a row on the bass side: the highest strings have the furthest posts', () => {
    const b = head({ 'neck/row': 'bass' })
    expect(flattest(b).label).toBe('Flattest string, 1')
    expect(tree(b)).toBe('2 string trees for strings 1, 2, 3 and 4.')
  })
  it('a head turned round: the lowest', () => {
    const b = head({ 'neck/row': 'treble' })
    expect(flattest(b).label).toBe('Flattest string, 6')
    expect(tree(b)).toBe('2 string trees for strings 3, 4, 5 and 6.')
  })
  // Wraps 7 mm up: atan(3.6 / 58.4) = 3.5 and atan(3.6 / 83.8) = 2.5 degrees, the nearest posts at 33 mm 6.2.
  it('three a side: the two in the middle first, then those beside them, each with a tree of its own', () => {
    const two = (tree?: number) => changed(head({ 'neck/head': 'two-rows' }, tree), { 'tuners/post.height': 7 })
    expect(tree(two())).toBe('2 string trees for strings 2, 3, 4 and 5.')
    expect(tree(two(2))).toBe('2 string trees for strings 2 and 5.')
  })
  it('the tree there is holds those of the furthest posts; what it leaves flat wants another', () => {
    // It holds two of the four: the others bear by atan(5.6 / 82.5) = 3.9 and atan(5.6 / 107.2) = 3 degrees.
    expect(tree(head({ 'neck/row': 'bass' }, 2))).toBe('A string tree for strings 3 and 4.')
    expect(tree(head({ 'neck/row': 'treble' }, 2))).toBe('A string tree for strings 3 and 4.')
    expect(flattest(head({ 'neck/row': 'bass' }, 4)).raw.verdict).toBe('snug')
    expect(flattest(head({ 'neck/row': 'treble' }, 4)).raw.verdict).toBe('snug')
  })
  // A face 1 mm under the board: 1 + 1.1 + 0.5 = 2.6 over it, wraps at 9: all rise, the nearest by atan(6.4 / 33) = 11 degrees.
  it('strings that rise out of their slots go after the same small job', () => {
    const rises = flattest(changed(head({ 'neck/row': 'bass' }), { 'neck/head.drop': 1, 'tuners/post.height': 9 }))
    expect(rises.says).toMatch(/^String 6 rises from the nut by 11\.0°/)
    expect(rises.raw.verdict).toBe('tight')
    expect(rises.cures.map((c) => c.job)).toEqual(['3 string trees for strings 1, 2, 3, 4, 5 and 6.'])
  })
  it('strings that lie flat under the tree they have want a lower one', () => {
    const high = changed(head({ 'neck/row': 'bass' }, 6), { 'string-tree/height': 8 })
    expect(tree(high)).toMatch(/^A lower string tree for strings /)
  })
})

describe('posts of several heights', () => {
  const heights = (of: readonly number[], b = head({ 'neck/row': 'bass' })) =>
    changed(changed(b, { 'neck/head.drop': 18 }), Object.fromEntries(of.map((mm, i) => [`tuners/post.height.${6 - i}`, mm])))
  // 18 + 1.1 + 0.5 = 19.6 over the face: atan(6.6 / 33) = 11.3, atan(6.6 / 57.7) = 6.5, atan(8.6 / 82.5) = 6.0, atan(8.6 / 107.2) = 4.6, atan(10.6 / 132) = 4.6, atan(12.5 / 156.7) = 4.6.
  const right = [13, 13, 11, 11, 9, 7.1]
  it('each string bears on its own: the shortest furthest', () => {
    const b = heights(right)
    expect(flattest(b).raw.verdict).toBe('snug')
    expect(flattest(b).label).toBe('Flattest string, 1')
  })
  it('put in the other way about they are changed, and on paper that cures it', () => {
    const b = heights(right.toReversed())
    const check = flattest(b)
    expect(check.raw.verdict).toBe('tight')
    const cure = check.cures[0]!
    expect(cure.job).toBe(
      'Change the tuners about: the taller posts nearest the nut, the shorter furthest; those of strings 1, 2, 5 and 6 move.',
    )
    // String 1 lies 13 high, 156.7 mm away: it would have to lie 5.7 lower, 23 of its turns.
    expect(check.cures[1]!.job).toBe('A string tree for strings 1 and 2.')
    expect(flattest({ ...b, jobs: { sort: { ...cure.plan!, text: cure.job } } }).raw.verdict).toBe('snug')
  })
  it('where changing them is not enough, or all are alike, it is not offered', () => {
    const ids = (b: Build) => flattest(b).cures.map((c) => c.id)
    expect(ids(heights([18, 18, 18, 18, 16, 16].toReversed()))).not.toContain('sort-posts')
    expect(ids(heights([16, 16, 16, 16, 16, 16]))).not.toContain('sort-posts')
  })
})

/*
 * Nut 10.6 over the face, wraps 8: string 5, 57.7 mm away, wants 57.7 tan 4.5 = 4.54, so that its lowest wrap lies at 6.06: 1.94 mm lower, three
 * turns of 0.914. String 6, 33 mm away, wants 2.60 and has 2.6. The tree holds the others.
 */
describe('winding further down', () => {
  const ways = (sizes: Parameters<typeof changed>[1], locking = 'wraps', b = fullBuild()) =>
    flattest(changed(b, { 'tuners/post.height': 8, ...sizes }, { 'tuners/locking': locking })).cures.map((c) => c.job)
  const TREE = 'A string tree for string 5.'
  it('by as many turns of its own thickness as it lies too high', () => {
    expect(ways({})).toEqual(['Wind string 5 further down its post: 3 turns more.', TREE])
    expect(ways({ 'strings/gauge.5': 1.1 })).toEqual(['Wind string 5 further down its post: 2 turns more.', TREE])
    expect(ways({ 'neck/head.drop': 9.9 })).toEqual(['Wind string 5 further down its post: 2 turns more.', TREE])
  })
  it('is no way where it takes more than three, or the post clamps the string', () => {
    expect(ways({ 'strings/gauge.5': 0.62 })).toEqual([TREE])
    expect(ways({}, 'clamp')).toEqual([TREE])
  })
  it('is not spoken of before it is known how posts hold their strings and how thick the string is: the tree does either way', () => {
    const b = changed(fullBuild(), { 'tuners/post.height': 8 })
    for (const open of [untold(b, 'traits', 'tuners', 'locking'), untold(b, 'sizes', 'strings', 'gauge.5')])
      expect(flattest(open).cures.map((c) => c.job)).toEqual([TREE])
    expect(flattest(untold(b, 'sizes', 'strings', 'gauge.5')).says).toMatch(/hangs on .*string 5, gauge/)
  })
  // A face 5 below: nut 6.6 over it, wraps at 3.5 bear by 3.1; string 5 wants 4.54: after two turns it would lie at 1.7.
  it('nor where the post has no room for them', () => {
    const low = { 'neck/head.drop': 5, 'tuners/post.height': 3.5, 'string-tree/height': 1.5 }
    expect(ways(low)).toEqual([TREE])
    expect(ways({ ...low, 'tuners/post.height': 3.85 })).toEqual(['Wind string 5 further down its post: 2 turns more.', TREE])
  })
  it('where it saves a tree the others are held by one', () => {
    // Heights of their own, two strings held: 5 wants its wraps at 6.06, 4 at 4.1 and 3 at 2.2; of three in a row two have a tree in common.
    const each = { 'tuners/post.height.6': 8, 'tuners/post.height.5': 6.5, 'tuners/post.height.4': 6.9, 'tuners/post.height.3': 5.5 }
    expect(ways({ ...each, 'string-tree/holds': 2 })).toEqual([
      'A string tree for strings 3 and 4; wind string 5 further down: 1 turn more.',
      '2 string trees for strings 3, 4 and 5.',
    ])
    // Two that have one in common anyway save none.
    expect(ways({ ...each, 'tuners/post.height.5': 6, 'tuners/post.height.4': 4.5, 'string-tree/holds': 2 })).toEqual([
      'A string tree for strings 3 and 4.',
    ])
  })
})
