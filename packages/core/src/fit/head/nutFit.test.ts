import { describe, expect, it } from 'vitest'
import { changed, fullBuild } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'

/** Limits [practice], sums [physics]; each with the sum by hand. */

describe('the nut at each of its ends', () => {
  judgeRows([
    // Slot 3.4: 3.4 - 3.5 = -0.1 at the treble end; the bass end is as it was.
    {
      what: 'treble end 0.1 too thick',
      joint: 'nut-in-slot',
      check: 'width.treble',
      verdict: 'tight',
      says: 'The slot is 3.4 mm wide and the nut 3.5 mm at the treble end.',
      sizes: { 'nut/width.treble': 3.5 },
      job: /0\.15 mm at the treble end/,
    },
    // x1 = 36.35, x3 = 103.04: the slot moves 103.04/66.69 = 1.545 times what the gap wants: (0.5 - 0.1) x 1.545 = 0.62.
    {
      what: '0.5 on the treble side',
      joint: 'nut-in-slot',
      check: 'fret1-treble',
      verdict: 'loose',
      says: 'On the treble side the string stands 0.5 mm over fret 1 held at fret 3; 0.03 to 0.2 is wanted.',
      sizes: { 'nut/fret1.treble': 0.5 },
      job: /treble side 0\.62 mm deeper/,
    },
    {
      what: '0.1 on the bass side',
      joint: 'nut-in-slot',
      check: 'fret1-bass',
      verdict: 'snug',
      says: 'On the bass side the string stands 0.1 mm over fret 1 held at fret 3; 0.03 to 0.2 is wanted.',
      sizes: { 'nut/fret1.bass': 0.1 },
    },
  ])
  it('a feeler that says nothing at all asks for a shim tapering from that end', () => {
    // (0.1 - 0.01) x 1.545 = 0.14.
    const b = changed(fullBuild(), { 'nut/fret1.bass': 0.01 })
    b.parts.nut!.sizes['fret1.bass']!.doubt = 0.01
    const c = checkIn(b, 'nut-in-slot', 'fret1-bass')
    expect(c.raw.verdict).toBe('tight')
    expect(c.cures[0]!.job).toMatch(/by 0\.14 mm at its bass end/)
  })
  it('each end is filed by half of what stands out', () => {
    // 42.8 - 42 = 0.8: 0.40 each.
    const c = checkIn(changed(fullBuild(), { 'nut/length': 42.8 }), 'nut-in-slot', 'length')
    expect(c.cures[0]!.job).toMatch(/0\.4 mm off each .* 0\.8 in all/)
  })
})
