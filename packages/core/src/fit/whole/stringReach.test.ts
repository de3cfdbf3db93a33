import { describe, expect, it } from 'vitest'
import { boxAround } from '../../geometry/box'
import { anyBuild } from '../../testing/anyBuild'
import { aBass } from '../../testing/aBass'
import { aPart, jointIn } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { holds } from '../../testing/holds'
import { judgeRows } from '../../testing/rows'
import fc from 'fast-check'
import { existsIn } from '../kind'
import { JOINT_KINDS } from '../jointKinds'
import { ballToNut, cutPastPost, leftOver, lengthRef, stringRuns, wantedLength } from './stringRun'

/** Runs [physics], what holds a string at either end [practice, from memory]; each with the sum by hand. */
const kind = JOINT_KINDS.find((k) => k.id === 'string-reach')!
const withTail = { ...fullBuild(), parts: { ...fullBuild().parts, tailpiece: aPart('tailpiece', {}) } }

describe('how far a string runs', () => {
  it.each([
    // Saddle 17 over the body, let go 14 behind it and 2.5 up: √(14² + 14.5²) = 20.16; down a block of 36; 8 behind a scale of 647.7.
    ['down a vibrato’s block', {}, {}, 20.16 + 36 + 8 + 647.7],
    ['from the back edge', {}, { 'bridge/mount': 'screws' }, 20.16 + 5 + 8 + 647.7],
    ['through the body', { 'body/thickness': 44 }, { 'bridge/mount': 'string-through' }, 20.16 + 46.5 + 8 + 647.7],
    ['clamped in its saddle', {}, { 'bridge/mount': 'double-locking' }, 24 + 8 + 647.7],
  ] as const)('%s', (_, sizes, traits, mm) => {
    expect(ballToNut(changed(fullBuild(), sizes, traits)).most).toBeCloseTo(mm, 1)
  })
  it('a tailpiece holds it further back than any bridge', () => {
    const b = changed(withTail, { 'tailpiece/height': 12, 'body/tail.toBridge': 47 }, { 'bridge/mount': 'post', 'tailpiece/type': 'stop' })
    expect(ballToNut(b).most).toBeCloseTo(47 + 14 + 8 + 647.7, 1)
    expect(ballToNut(changed(b, {}, { 'tailpiece/type': 'vibrato' })).most).toBeCloseTo(47 + 30 + 8 + 647.7, 1)
  })
  it('each to its own post, from its own place at the nut', () => {
    const [first, ...others] = stringRuns(fullBuild())
    // The furthest of six at 13 degrees: 33 + 5 x 25.4 cos = 156.7 beyond the nut, 18 - 5 x 25.4 sin = -10.6 across, from 17.6 at the nut.
    expect(first!.toPost).toBeCloseTo(Math.hypot(156.7, 7.0), 0)
    expect(others.at(-1)!.toPost).toBeCloseTo(33, 1)
    // A post of 0.7 x 9.9 and a string of 0.25: pi x 7.18.
    expect(first!.turn).toBeCloseTo(22.57, 1)
    expect(stringRuns(changed(fullBuild(), { 'tuners/post.diameter': 6 }))[0]!.turn).toBeCloseTo(Math.PI * 6.254, 1)
  })
  it('is cut past its post so that it can be wound, where that is known', () => {
    // 10 through the post and two turns of 22.6, or of pi x (6.93 + 1.17) = 25.4.
    const cut = cutPastPost(fullBuild())
    expect(cut.map((c) => c.n)).toEqual([1, 2, 3, 4, 5, 6])
    expect(cut[0]!.past).toBeCloseTo(55.1, 1)
    expect(cut[5]!.past).toBeCloseTo(60.9, 1)
    expect(cutPastPost(changed(fullBuild(), {}, { 'tuners/locking': 'clamp' }))).toEqual([])
    expect(cutPastPost(changed(fullBuild(), { 'tuners/bushing': undefined }))).toEqual([])
    // Wound further down, three turns more of pi x (6.93 + 0.91) = 24.6.
    const longer = cutPastPost(fullBuild(), [{ n: 5, turns: 3 }])
    expect(longer[4]).toMatchObject({ n: 5, turns: 5 })
    expect(longer[4]!.past - cut[4]!.past).toBeCloseTo(3 * Math.PI * (6.93 + 0.9144), 3)
    expect(longer[0]).toEqual(cut[0])
  })
  it('a head turned round gives the longest way to the lowest string', () => {
    const runs = stringRuns(changed(fullBuild(), {}, { 'neck/row': 'treble' }))
    expect(runs[0]!.toPost).toBeLessThan(40)
    expect(runs[5]!.toPost).toBeGreaterThan(150)
  })
})

describe('a string as it is drawn', () => {
  const reach = (length: number) => jointIn(changed(fullBuild(), { 'strings/length': length }), 'string-reach').draw()
  it.each([
    // 711.9 to the nut, 156.9 to the post, 10 through it: 940 leaves 61.2 past it, 860 ends 18.8 before it is through.
    ['past its post', 940, 166.9 + 61.2, '61'],
    ['short of it', 860, 166.9 - 18.8, '19'],
  ] as const)('%s', (_, length, end, text) => {
    const { title, marks, numbers } = reach(length)
    expect(title).toBe('String 1 laid past its post')
    const string = marks.find((m) => m.mark === 'line')!
    expect(string.mark === 'line' && string.points[1]!.x).toBeCloseTo(end, 0)
    const [wood, nut] = marks.flatMap((m) => (m.mark === 'area' ? [boxAround(m.points)] : []))
    // From 30 before the nut to 20 past where it comes through the post; the nut's face at the middle of the count.
    expect([wood!.x, Math.round(wood!.x + wood!.width), wood!.height]).toEqual([-30, 187, 52])
    expect([nut!.x, nut!.width]).toEqual([-4, 4])
    const post = marks.find((m) => m.mark === 'circle')!
    expect(post.mark === 'circle' && [Math.round(post.at.x * 10) / 10, Math.round(post.r * 200) / 100]).toEqual([156.9, 6.93])
    expect(marks.find((m) => m.mark === 'dimension')).toMatchObject({ text })
    expect(numbers[0]).toEqual({ label: 'Ball to post', value: '869 mm' })
  })
  it('that nobody has measured is not drawn', () => {
    const bass = changed(aBass(), { 'strings/length': undefined, 'strings/winding': undefined })
    expect(jointIn(bass, 'string-reach').draw().note).toBe('sizes missing')
  })
})

describe('strings to their posts', () => {
  // String 1: 711.9 to the nut, 156.9 to its post, 10 through it: 878.8. Two turns of 22.6 make 923.9, three quarters 895.7.
  judgeRows([
    {
      what: 'a set of 940',
      joint: 'string-reach',
      check: 'ends',
      verdict: 'snug',
      sizes: { 'strings/length': 940 },
      says: 'String 1 leaves 61 mm behind its post: 2.7 turns round it.',
    },
    {
      what: 'a set of 900',
      joint: 'string-reach',
      check: 'ends',
      verdict: 'tight',
      sizes: { 'strings/length': 905 },
      says: 'String 1 leaves 26 mm behind its post: 1.2 turns round it.',
      job: /^Lock strings? 1(, 2)?.* under/,
    },
    {
      what: 'a set of 890',
      joint: 'string-reach',
      check: 'ends',
      verdict: 'tight',
      sizes: { 'strings/length': 890 },
      says: /^On the longest way it may have, string 1 leaves 11 mm behind its post: 0\.5 turns round it; on the shortest, it leaves 19 mm behind its post: 0\.9 turns/,
      // 10 through the post and three quarters of a turn of 22.6 or of a thicker string.
      job: 'Hold string 1 to its post first: with 27 mm past the middle of the post it holds, locked under its own first turn; with less, it is too short.',
    },
    {
      what: 'a set of 880',
      joint: 'string-reach',
      check: 'ends',
      verdict: 'wont-go',
      sizes: { 'strings/length': 880 },
      says: /; on the shortest, it leaves 9 mm behind its post: 0\.4 turns round it\.$/,
      job: /^Take longer strings: 1 at least 924 mm, 2 at least/,
    },
    {
      what: 'a set of 870',
      joint: 'string-reach',
      check: 'ends',
      verdict: 'wont-go',
      sizes: { 'strings/length': 870 },
      says: 'On the longest way it may have, string 1 ends 9 mm before it could be held; on the shortest, it ends 1 mm before it could be held.',
    },
    {
      what: 'a clamp in the post',
      joint: 'string-reach',
      check: 'ends',
      verdict: 'snug',
      sizes: { 'strings/length': 890 },
      traits: { 'tuners/locking': 'clamp' },
      says: 'String 1 goes through its post with 11 mm left for the clamp to hold.',
    },
    {
      what: 'a clamp that may be out of reach',
      joint: 'string-reach',
      check: 'ends',
      verdict: 'tight',
      sizes: { 'strings/length': 874 },
      traits: { 'tuners/locking': 'clamp' },
      says: /ends 5 mm before it could be held; on the shortest, it goes through its post with 3 mm left/,
      job: /^Hold string 1 to its post first: with 10 mm past the middle of the post the clamp holds it/,
    },
    {
      what: 'a clamp out of reach',
      joint: 'string-reach',
      check: 'ends',
      verdict: 'wont-go',
      sizes: { 'strings/length': 870 },
      traits: { 'tuners/locking': 'clamp' },
    },
    // String 6, cut 40 past its near post: 711.9 + 33 + 10 = 754.9; of 782 there are 27 left, of a turn of 25.4.
    {
      what: 'one cut before',
      joint: 'string-reach',
      check: 'cut-ends',
      verdict: 'tight',
      sizes: { 'strings/length.6': 782 },
      says: 'String 6 leaves 27 mm behind its post: 1.1 turns round it.',
      job: 'Lock string 6 under its own first turn, and wind what there is.',
    },
    // The head turned round: the same string has 124 more to go.
    {
      what: 'the same on a head turned round',
      joint: 'string-reach',
      check: 'cut-ends',
      verdict: 'wont-go',
      sizes: { 'strings/length.6': 782 },
      traits: { 'neck/row': 'treble' },
      says: /string 6 ends 9\d mm before/,
    },
    {
      what: 'a winding past the nut',
      joint: 'string-reach',
      check: 'winding',
      verdict: 'snug',
      sizes: { 'strings/length': 980, 'strings/winding': 730 },
      says: 'The thick winding runs 18 mm past the nut.',
    },
    {
      what: 'a winding that may end before it',
      joint: 'string-reach',
      check: 'winding',
      verdict: 'tight',
      sizes: { 'strings/length': 980, 'strings/winding': 708 },
      says: 'The thick winding may end 4 mm before the nut or run 4 mm past it, as the string is held behind.',
      job: /^Lay the string in its place before it is cut/,
    },
    {
      what: 'a winding that ends before it',
      joint: 'string-reach',
      check: 'winding',
      verdict: 'wont-go',
      sizes: { 'strings/length': 980, 'strings/winding': 700 },
      says: /ends 4 mm or more before the nut/,
      job: 'Take strings for a longer scale: wound for at least 712 mm from the ball.',
    },
  ])
  // A stop tail 47 behind holds string 1 at 716.7 of its nut: 883.6 through its post.
  judgeRows(
    [
      // Behind a stop tail 4 to 14 of it is held: 18 in all with the saddle's 8, so that three quarters of a turn may yet be there.
      {
        what: 'a set of 884 behind a stop tail',
        joint: 'string-reach',
        check: 'ends',
        verdict: 'tight',
        sizes: { 'strings/length': 884 },
        says: /^On the longest way it may have, string 1 leaves 0 mm behind its post: 0\.0 turns round it; on the shortest, it leaves 18 mm/,
      },
    ],
    () => changed(withTail, { 'tailpiece/height': 12, 'body/tail.toBridge': 47 }, { 'bridge/mount': 'post', 'tailpiece/type': 'stop' }),
  )
  it('is asked where somebody measured, and of a long scale; of no other', () => {
    expect(existsIn(kind, changed(fullBuild(), { 'strings/length': undefined }))).toBe(false)
    expect(existsIn(kind, changed(fullBuild(), { 'strings/length.3': 900 }))).toBe(true)
    const bass = changed(aBass(), { 'strings/length': undefined, 'strings/winding': undefined })
    expect(existsIn(kind, bass)).toBe(true)
    const asked = jointIn(bass, 'string-reach')
    expect(asked.verdict).toBe('cant-tell')
    expect(asked.missing).toContainEqual({ slot: 'strings', size: 'length' })
    expect(asked.tables()[0]!.rows.map((r) => r[3])).toEqual(['?', '?', '?', '?'])
    expect(jointIn(aBass(), 'string-reach').verdict).toBe('snug')
    // A short-scale set on a long neck.
    expect(jointIn(changed(aBass(), { 'strings/length': 1010, 'strings/winding': 830 }), 'string-reach').verdict).toBe('wont-go')
  })
  it('what is wanted is what leaves the turns wanted, and a longer string never holds worse (law)', () => {
    holds(
      fc.property(anyBuild, fc.double({ min: 0, max: 300, noNaN: true }), (build, more) => {
        if (!kind.needs.every((s) => build.parts[s])) return
        for (const run of stringRuns(build)) {
          expect(leftOver(run, wantedLength(run))).toBeCloseTo(run.clamped ? 0 : 2 * run.turn, 6)
          expect(leftOver(run, wantedLength(run) + more)).toBeGreaterThanOrEqual(leftOver(run, wantedLength(run)))
        }
        expect(lengthRef(changed(build, { 'strings/length.2': 800 }), 2).size).toBe('length.2')
      }),
      200,
    )
  })
})
