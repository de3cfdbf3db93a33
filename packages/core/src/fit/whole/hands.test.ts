import { describe, expect, it } from 'vitest'
import { wantedRight } from '../../instrument/tuners'
import { changed, fullBuild } from '../../testing/fullBuild'
import { checkIn } from '../../testing/rows'

/** Limits [practice], sums [physics]; each with the sum by hand. */

describe('tuners by the side of the head', () => {
  it.each([
    [6, 'right', 'bass', 0],
    [6, 'right', 'treble', 6],
    [6, 'left', 'bass', 6],
    [6, 'left', 'treble', 0],
    [6, 'right', 'two-rows', 3],
    [7, 'right', 'two-rows', 3],
    [7, 'left', 'two-rows', 4],
  ] as const)('%i for a %s-handed head, %s: %i on the right', (count, hand, rows, right) =>
    expect(wantedRight(count, hand, rows)).toBe(right),
  )
  const tuners = (hand: string, neck: Record<string, string>, right?: number) =>
    checkIn(
      changed(fullBuild(), right === undefined ? {} : { 'tuners/count.right': right }, { 'tuners/hand': hand, ...neck }),
      'hands',
      'hand-tuners',
    )
  it('a set for a right hand goes on a right-handed head, and not on one that is turned round', () => {
    expect(tuners('right', { 'neck/row': 'bass' }).raw.verdict).toBe('snug')
    const wrong = tuners('right', { 'neck/row': 'treble' })
    expect([wrong.raw.verdict, wrong.says]).toEqual([
      'wont-go',
      'This head takes 6 for the right side of the head, seen from the front; these tuners are 6 for the left side of the head.',
    ])
    expect(tuners('left', { 'neck/row': 'treble' }).raw.verdict).toBe('snug')
  })
  it('a set counted by sides goes where those sides are', () => {
    expect(tuners('either', { 'neck/head': 'two-rows' }, 3).raw.verdict).toBe('snug')
    expect(tuners('either', { 'neck/head': 'two-rows' }, 6).raw.verdict).toBe('wont-go')
    expect(tuners('right', { 'neck/head': 'two-rows' }).raw.verdict).toBe('wont-go')
    expect(tuners('either', { 'neck/row': 'treble' }).raw.verdict).toBe('snug')
  })
  it('nobody has said on which side they stand: that is asked', () => {
    const b = fullBuild()
    delete b.parts.neck!.traits.row
    const c = checkIn(changed(b, {}, { 'tuners/hand': 'right' }), 'hands', 'hand-tuners')
    expect([c.raw.verdict, c.untold.map((t) => t.trait)]).toEqual(['cant-tell', ['row']])
  })
})
