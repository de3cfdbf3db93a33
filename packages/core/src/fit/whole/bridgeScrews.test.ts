import { describe, expect, it } from 'vitest'
import { changed, fullBuild } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'

// Limits [practice], sums [physics]; each sum beside its check.

describe('screws of the bridge', () => {
  judgeRows([
    // 44.2 + 2 - 45 = 1.2 under the tip; 12 - 2 = 10 in the wood, and 12 is wanted.
    {
      what: '45 mm screws',
      joint: 'bridge-screws',
      check: 'through',
      verdict: 'tight',
      says: 'A 45 mm screw leaves 1.2 mm of wood and holds about 1293 N.',
      job: 'Take bridge screws of 43 mm or less.',
      sizes: { 'bridge/screw.length': 45, 'bridge/plate.thickness': 2 },
      traits: { 'bridge/mount': 'screws' },
    },
    {
      what: '12 mm screws',
      joint: 'bridge-screws',
      check: 'bite',
      verdict: 'tight',
      says: '10 mm of thread in the wood.',
      job: 'Take bridge screws 3 mm longer.',
      sizes: { 'bridge/screw.length': 12, 'bridge/plate.thickness': 2 },
      traits: { 'bridge/mount': 'screws' },
    },
  ])
  it('the amounts told are those done on paper', () => {
    const first = (length: number, check: string) =>
      checkIn(
        changed(fullBuild(), { 'bridge/screw.length': length, 'bridge/plate.thickness': 2 }, { 'bridge/mount': 'screws' }),
        'bridge-screws',
        check,
      ).cures[0]!.plan!.delta
    expect(first(45, 'through')).toBeCloseTo(43 - 45, 9)
    expect(first(12, 'bite')).toBeCloseTo(3, 9)
  })
})
