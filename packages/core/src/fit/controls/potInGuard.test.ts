import { describe, expect, it } from 'vitest'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'
import { packing } from './potPanel'

// Limits [practice], sums [physics].
describe('pots through the guard', () => {
  judgeRows([
    {
      what: '9.5 mm bushing through 2.5 mm',
      joint: 'pot-volume',
      check: 'thread',
      verdict: 'tight',
      says: 'A 9.5 mm bushing through 2.5 mm of guard leaves 4.3 mm of thread over the nut: the pot is too long and the knob would ride that high.',
      sizes: { 'pot-volume/bushing.length': 9.5 },
      job: /1 inner nut and 3 washers/,
    },
    {
      what: '19 mm bushing through 2.5 mm',
      joint: 'pot-volume',
      check: 'thread',
      verdict: 'wont-go',
      says: 'A 19 mm bushing through 2.5 mm of guard leaves 13.8 mm of thread over the nut: the pot is too long and the knob would ride that high.',
      job: 'Take a pot with a 6.5 mm bushing.',
      sizes: { 'pot-volume/bushing.length': 19 },
    },
    {
      what: '4 mm bushing through 2.5 mm',
      joint: 'pot-tone',
      check: 'thread',
      verdict: 'wont-go',
      job: 'Take a pot with a bushing at least 1.2 mm longer.',
      sizes: { 'pot-tone/bushing.length': 4 },
      says: /too short/,
    },
    {
      what: '8 mm hole for a 9.4 bushing',
      joint: 'pot-volume',
      check: 'hole',
      verdict: 'tight',
      says: 'The hole is 8 mm and the bushing 9.4 mm.',
      sizes: { 'guard/pot.hole': 8 },
      job: /^Ream the hole from 8 to 9\.6 mm/,
    },
    {
      what: '12 mm hole',
      joint: 'pot-tone',
      check: 'hole',
      verdict: 'loose',
      says: 'The hole is 12 mm and the bushing 9.4 mm.',
      job: 'Put a flat washer wider than the hole on either face.',
      sizes: { 'guard/pot.hole': 12 },
    },
    {
      what: 'cavity 1 mm too shallow',
      joint: 'pot-volume',
      check: 'depth',
      verdict: 'wont-go',
      says: 'The pot hangs 16 mm deep in 14 mm of room.',
      job: 'Deepen the control route by 4.5 mm, to 18.5 mm.',
      sizes: { 'body/control.depth': 14 },
    },
    {
      what: 'a millimetre under the lugs',
      joint: 'pot-volume',
      check: 'depth',
      verdict: 'tight',
      says: 'The pot hangs 16 mm deep in 17.5 mm of room.',
      job: 'Deepen the control route by 1 mm, to 18.5 mm.',
      sizes: { 'body/control.depth': 17.5 },
    },
  ])
  it('packing: whole nuts first, then washers, never more than the surplus, 0.3 mm of thread kept', () => {
    for (let surplus = 0.5; surplus < 14; surplus += 0.3) {
      const p = packing(surplus, 2.1, 0.6)
      expect(p.nuts * 2.1 + p.washers * 0.6).toBeLessThanOrEqual(surplus + 1e-9)
      expect(surplus - p.nuts * 2.1 - p.washers * 0.6).toBeLessThan(0.6 + 0.3 + 1e-9)
    }
  })
  it('without a guard the pots sit in the wood: its thickness over the route counts', () => {
    const wood = changed(without(fullBuild(), 'guard', 'shielding'), {
      'body/control.top': 3.2,
      'body/pot.hole': 9.6,
      'body/control.depth': 36,
    })
    expect(checkIn(wood, 'pot-volume', 'thread').raw.verdict).toBe('snug')
    const thick = changed(wood, { 'body/control.top': 16 })
    expect(checkIn(thick, 'pot-volume', 'thread').raw.verdict).toBe('wont-go')
    expect(checkIn(thick, 'pot-volume', 'thread').cures.map((c) => c.id)).toContain('thin-top')
  })
})
