import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { eighteenthPlace, fretPlace, nutTooFar } from '../../physics/frets'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { holds } from '../../testing/holds'
import { judgeRows } from '../../testing/rows'
import { JOINT_KINDS } from '../jointKinds'
import { existsIn } from '../kind'

/** Places of frets [physics], the old rule [handbook rule, from memory], limits [ours]. */
const read = (scale: number, first: number, last: number) =>
  changed(fullBuild(), { 'neck/scale': scale, 'neck/frets': 22, 'neck/frets.first': first, 'neck/frets.last': last })

describe('frets read off a board', () => {
  // 647.7: fret 1 at 36.353, 22 at 465.945.
  judgeRows([
    {
      what: 'a board as its scale has it',
      joint: 'fret-places',
      check: 'first-fret',
      verdict: 'snug',
      sizes: { 'neck/frets.first': 36.4 },
      says: 'The nut stands where fret 1 wants it.',
    },
    {
      what: 'the last fret as the scale has it',
      joint: 'fret-places',
      check: 'last-fret',
      verdict: 'snug',
      sizes: { 'neck/frets.last': 466 },
    },
    // A nut 2 mm too far: fret 12 at 325.85, so that the scale reads 651.7; fret 1 at 38.353, 1.775 further than 651.7 has it.
    {
      what: 'a nut 2 mm too far from the frets',
      joint: 'fret-places',
      check: 'first-fret',
      verdict: 'tight',
      sizes: { 'neck/scale': 651.7, 'neck/frets.first': 38.35 },
      says: 'Fret 1 stands 1.8 mm further from the nut than the scale puts it: the nut stands 2 mm too far from the frets. The scale is 647.7 mm then, and the bridge goes by that.',
      job: 'Set the nut 2 mm nearer to fret 1: its slot cut on by so much, and its back filled.',
    },
    // The same by the last fret: 467.945 where 651.7 has 468.823.
    {
      what: 'the same nut by the last fret',
      joint: 'fret-places',
      check: 'last-fret',
      verdict: 'tight',
      sizes: { 'neck/scale': 651.7, 'neck/frets.first': 38.35, 'neck/frets.last': 467.95 },
      says: /^Fret 22 stands 0\.9 mm nearer to the nut .* 8 cents flat there\. The nut stands 2 mm too far from the frets/,
      job: /^Set the nut 2 mm nearer to fret 1/,
    },
    {
      what: 'a nut 1.5 mm too near',
      joint: 'fret-places',
      check: 'first-fret',
      verdict: 'tight',
      sizes: { 'neck/scale': 644.7, 'neck/frets.first': 34.85 },
      job: /^Set the nut 1\.5 mm further from fret 1: a strip/,
    },
    {
      what: 'a first fret that the last one does not bear out',
      joint: 'fret-places',
      check: 'first-fret',
      verdict: 'tight',
      sizes: { 'neck/frets.first': 38.35, 'neck/frets.last': 465.95 },
      says: /^Fret 1 stands 2 mm further from the nut .* would move the last fret too, and that is not so\.$/,
      job: /^Read nut to fret 1, to fret 12/,
    },
    // The old rule on 647.7: fret 12 at 321.50, doubled 643.0; fret 1 at 35.983, fret 22 at 463.47 where 643.0 has 462.56.
    {
      what: 'a board sawn by the old rule',
      joint: 'fret-places',
      check: 'last-fret',
      verdict: 'tight',
      sizes: { 'neck/scale': 643, 'neck/frets.first': 35.98, 'neck/frets.last': 463.47 },
      says: 'Fret 22 stands 0.9 mm further from the nut than the scale puts it: 9 cents sharp there. A board sawn by the old rule of 18 is so; the bridge goes by fret 12.',
      job: /^Leave the frets, set each saddle by fret 12/,
    },
    {
      what: 'the same while nobody has read fret 1',
      joint: 'fret-places',
      check: 'last-fret',
      verdict: 'tight',
      sizes: { 'neck/scale': 643, 'neck/frets.last': 463.47 },
      says: /or a nut is out of its place: nut to fret 1 tells\.$/,
      job: /^Read nut to fret 1, to fret 12 and to fret 22 once more/,
    },
    {
      what: 'a last fret that neither explains',
      joint: 'fret-places',
      check: 'last-fret',
      verdict: 'tight',
      sizes: { 'neck/frets.first': 36.35, 'neck/frets.last': 467.7 },
      says: /Neither a nut out of its place nor the old rule/,
    },
    {
      what: 'a reading that belongs to another scale',
      joint: 'fret-places',
      check: 'last-fret',
      verdict: 'wont-go',
      sizes: { 'neck/frets.last': 452.2 },
      says: 'Fret 22 stands 13.7 mm nearer to the nut than the scale puts it: another scale or a slip of the rule.',
    },
    {
      what: 'a reading beyond the saddles',
      joint: 'fret-places',
      check: 'last-fret',
      verdict: 'wont-go',
      sizes: { 'neck/frets.last': 655.9 },
      // A string of no length has no pitch.
      says: 'Fret 22 stands 190 mm further from the nut than the scale puts it: another scale or a slip of the rule.',
    },
  ])
  it('is asked of nobody who has not read a fret', () => {
    const kind = JOINT_KINDS.find((k) => k.id === 'fret-places')!
    expect(existsIn(kind, fullBuild())).toBe(false)
    expect(existsIn(kind, changed(fullBuild(), { 'neck/frets.last': 466 }))).toBe(true)
  })
  const scale = fc.double({ min: 560, max: 880, noNaN: true })
  it('a nut out of its place is found with its amount and its side, and the scale with it (law)', () => {
    holds(
      fc.property(scale, fc.double({ min: 1.3, max: 3.5, noNaN: true }), fc.boolean(), (L, by, far) => {
        const nut = far ? by : -by
        const s = L + 2 * nut
        const [first, last] = [fretPlace(L, 1) + nut, fretPlace(L, 22) + nut]
        expect(nutTooFar(first - fretPlace(s, 1), 1)).toBeCloseTo(nut, 6)
        expect(nutTooFar(last - fretPlace(s, 22), 22)).toBeCloseTo(nut, 6)
        const joint = jointIn(read(s, first, last), 'fret-places')
        const check = joint.checks.find((c) => c.id === 'first-fret')!
        expect(check.raw.verdict).toBe('tight')
        expect(check.cures[0]!.job).toContain(far ? 'nearer to' : 'further from')
        expect(Number(/the nut ([\d.]+) mm/.exec(check.cures[0]!.job)![1])).toBeCloseTo(by, 0)
        expect(Number(/The scale is ([\d.]+) mm/.exec(check.says)![1])).toBeCloseTo(L, 0)
        expect(joint.checks.find((c) => c.id === 'last-fret')!.says).not.toContain('rule of 18')
      }),
      150,
    )
  })
  it('a board of the old rule is told from a misplaced nut, and no true board is blamed (law)', () => {
    holds(
      fc.property(scale, (L) => {
        const s = 2 * eighteenthPlace(L, 12)
        const old = jointIn(read(s, eighteenthPlace(L, 1), eighteenthPlace(L, 22)), 'fret-places')
        expect(old.checks.find((c) => c.id === 'first-fret')!.raw.verdict).toBe('snug')
        expect(old.checks.find((c) => c.id === 'last-fret')!.says).toContain('rule of 18')
        expect(jointIn(read(L, fretPlace(L, 1), fretPlace(L, 22)), 'fret-places').verdict).toBe('snug')
      }),
      100,
    )
  })
})

it.each([
  [12, 'Read nut to fret 1 and to fret 12 once more, and count the frets.'],
  [22, 'Read nut to fret 1, to fret 12 and to fret 22 once more, and count the frets.'],
])('a board of %d frets is read again at each of its frets once', (frets, job) => {
  const far = changed(fullBuild(), { 'neck/frets': frets, 'neck/frets.last': fretPlace(647.7, frets) + 30 })
  expect(jointIn(far, 'fret-places').cures.map((c) => c.job)).toEqual([job])
})

it('places of the old rule', () => {
  // Handbook value, from memory: fret 12 of 647.7 at 321.50.
  expect(eighteenthPlace(647.7, 12)).toBeCloseTo(321.5, 1)
  expect(eighteenthPlace(648, 1)).toBeCloseTo(36, 9)
})
