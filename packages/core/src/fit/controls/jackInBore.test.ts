import { describe, expect, it } from 'vitest'
import { changed, fullBuild } from '../../testing/fullBuild'
import { holeCards } from '../../drill/holes'
import { drillable } from '../../testing/drillable'
import { checkIn, judgeRows } from '../../testing/rows'

const held = () =>
  changed(fullBuild(), { 'jack/thread.length': 9, 'jack/washer.thickness': 0.6, 'jack/nut.thickness': 2.2 }, { 'jack/held': 'thread' })

// 9 - 0.6 - 2.2: the thread holds through 6.2 mm of wood. Limits [practice], sums [physics].
describe('a jack held by its own thread', () => {
  judgeRows(
    [
      {
        what: 'a rim of 12 mm',
        joint: 'jack',
        check: 'wall',
        verdict: 'wont-go',
        says: 'The rim is 12 mm thick there and the thread of 9 mm holds through 6.2 mm: its nut finds nothing to turn on.',
        // Half a millimetre of thread to spare, so 5.7 of the 12 stay.
        job: 'Counterbore the rim from outside, 6.3 mm deep: 5.7 mm stay for the nut to bear on.',
        sizes: { 'body/jack.wall': 12 },
      },
      {
        what: 'a wall of 5 mm',
        joint: 'jack',
        check: 'wall',
        verdict: 'snug',
        says: 'Through 5 mm of rim the thread stands 1.2 mm out of its nut.',
        sizes: { 'body/jack.wall': 5 },
      },
      {
        what: 'a rim no counterbore and no thread goes through',
        joint: 'jack',
        check: 'wall',
        verdict: 'wont-go',
        job: /^Hold it in a jack plate or cup/,
        sizes: { 'body/jack.wall': 30 },
      },
    ],
    held,
  )
  it('nobody has said how thick it is there: nothing is judged, nothing asked', () => {
    expect(() => checkIn(held(), 'jack', 'wall')).toThrow()
  })
  it('of a body that is hollow there it is the rim itself, and no job on paper makes that thinner', () => {
    const hollow = changed(held(), { 'body/rim.thickness': 12 }, { 'body/build': 'semi-hollow', 'body/access': 'sound-hole' })
    delete hollow.parts.guard
    const wall = checkIn(hollow, 'jack', 'wall')
    expect(wall.raw.verdict).toBe('wont-go')
    expect(wall.cures.map((c) => [c.id, c.plan !== undefined])).toEqual([
      ['counterbore-jack', false],
      ['long-jack', false],
      ['plate-instead', false],
    ])
    // 12 + 0.6 + 2.2 and a millimetre.
    expect(wall.cures[1]!.job).toBe('Or take a jack with at least 15.8 mm of thread.')
  })
  it('a plate holds it, whatever the rim', () => {
    expect(() => checkIn(changed(held(), { 'body/jack.wall': 40 }, { 'jack/held': 'plate' }), 'jack', 'wall')).toThrow()
  })
  it('its card says how far the thread reaches before the bore is made', () => {
    const card = (how: string) =>
      holeCards(changed(drillable(held()), { 'body/jack.bore': undefined }, { 'jack/held': how, 'body/bored.jack': 'none' })).find(
        (c) => c.id === 'jack-bore',
      )!
    expect(card('thread').mind.join()).toMatch(
      /^(.*)Its thread of 9 mm holds through 6.2 mm of wood and no more: a thicker rim is counterbored from outside first/,
    )
    expect(card('plate').mind.join()).not.toMatch(/holds through/)
  })
})
