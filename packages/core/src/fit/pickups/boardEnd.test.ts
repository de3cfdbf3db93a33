import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { aThrough } from '../../testing/aThrough'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { jointIn } from '../../testing/bench'
import { checkIn } from '../../testing/rows'

const check = (build: Build) => checkIn(build, 'room-neck', 'board')

// Heel 462 less a pocket of 76 is the mouth at 386; a cover of 36 about 107 from there begins at 475.
describe('the board’s end before the neck pickup’s cover', () => {
  it('a board of 470 ends 5 before it', () => {
    expect([check(fullBuild()).raw.verdict, check(fullBuild()).says]).toEqual(['snug', 'The board ends 5 mm before the cover.'])
  })
  it('one fret more, 475.5, lies half a millimetre over it: 1 mm is sanded off, and half is left', () => {
    const over = check(changed(fullBuild(), { 'neck/boardLength': 475.5 }))
    expect([over.raw.verdict, over.says]).toEqual(['tight', 'The board’s end lies 0.5 mm over the neck pickup’s cover.'])
    expect(over.cures.map((c) => [c.id, c.job, c.plan?.delta])).toEqual([
      ['sand-board-end', 'Sand 1 mm off the board’s end, as far as its last fret allows.', -1],
    ])
    expect(check(changed(fullBuild(), { 'neck/boardLength': 474.5 })).raw.verdict).toBe('snug')
  })
  it('478 lies 3 over it and nothing is sanded: another neck', () => {
    const over = check(changed(fullBuild(), { 'neck/boardLength': 478 }))
    expect([over.raw.verdict, over.says]).toEqual(['wont-go', 'The board’s end lies 3 mm over the neck pickup’s cover.'])
    // 0.3 stay between them and a little: 3 + 0.5; a pickup in the middle of its route gives half of what it is shorter, 36 - 7.
    expect(over.cures.map((c) => [c.gives, c.job])).toEqual([['the neck', 'Take a neck whose board ends at least 3.5 mm sooner.']])
    expect(over.cures[0]!.how).toMatch(/^Or a pickup of 29 mm or less along the strings/)
    expect(check(changed(fullBuild(), { 'neck/boardLength': 474.5, 'pickup-neck/length': 29 })).raw.verdict).toBe('snug')
    expect(check(changed(fullBuild(), { 'neck/boardLength': 478, 'pickup-neck/length': 29 })).raw.verdict).toBe('snug')
  })
  it('of one piece no other neck is had: a shorter pickup, or none there', () => {
    // 15 to the middle of 36 lies 3 over it, 7 to the middle 11.
    const at = (centre: number) => check(changed(aThrough(), { 'body/route.neck.centre': centre })).cures.map((c) => c.job)
    expect(at(15)).toEqual(['Take a neck pickup of 29 mm or less along the strings.'])
    expect(at(7)).toEqual(['Do without a pickup there, or cut its route anew behind the old one.'])
  })
  it('of one piece from the board’s end: 18.2 to the middle of a cover of 36 leaves 0.2', () => {
    const near = check(changed(aThrough(), { 'body/route.neck.centre': 18.2 }))
    expect([near.raw.verdict, near.says]).toEqual(['tight', 'Only 0.2 mm stay between the board’s end and the neck pickup’s cover.'])
    // Its places are counted from that end: sanded, they would all be others.
    expect(near.cures.map((c) => c.plan)).toEqual([undefined])
  })
  it('is what is drawn where it is in the way, by the figure that is told', () => {
    const texts = (length: number) =>
      jointIn(changed(fullBuild(), { 'neck/boardLength': length }), 'room-neck')
        .draw()
        .marks.flatMap((m) => (m.mark === 'dimension' ? [m.text] : []))
    expect(texts(478)).toEqual(['3'])
    expect(texts(475.5)).toEqual(['0.5'])
    expect(texts(470)).toContain('36')
  })
  it('without a neck nothing is said', () => {
    expect(jointIn(without(fullBuild(), 'neck'), 'room-neck').checks.map((c) => c.id)).not.toContain('board')
  })
})
