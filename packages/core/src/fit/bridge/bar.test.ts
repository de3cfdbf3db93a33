import { describe, expect, it } from 'vitest'
import { holeCards } from '../../drill/holes'
import { idleFor } from '../../instrument/idleParts'
import { wantedFor } from '../../instrument/wantedParts'
import { aPart } from '../../testing/bench'
import { drillable } from '../../testing/drillable'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'
import { undrilled } from '../../testing/undrilled'
import { findJoints } from '../findJoints'
import { ballToNut } from '../whole/stringRun'

/** A bar on two studs, its strings round it: 9 to 15 mm over the body. */
const bar = (mount = 'bar') =>
  changed(
    without(fullBuild(), 'springs'),
    { 'bridge/height.min': 9, 'bridge/height.max': 15, 'bridge/exit.distance': 20, 'bridge/exit.height': 3 },
    { 'bridge/mount': mount, 'bridge/saddles': 'arched' },
  )
const joints = (mount: string) => findJoints(bar(mount)).map((j) => j.id)

describe('a bar on two studs that the strings go round', () => {
  judgeRows(
    [
      {
        what: 'a bar pulled at the middle of its height',
        joint: 'bridge-on-body',
        check: 'pull',
        verdict: 'snug',
        // 464 N on two studs; 232 / (10 x 25) x (4 + 6 x 12 / 25) = 6.385 MPa; a third of 54.
        says: 'The strings pull 232 N on each stud, 12 mm above the wood: 6.4 MPa at the rim of a 25 mm bushing. Hard maple is trusted with 18.0.',
      },
      {
        what: 'the same high over short bushings in basswood',
        joint: 'bridge-on-body',
        check: 'pull',
        verdict: 'tight',
        sizes: { 'bridge/studLength': 15, 'bridge/height.min': 14, 'bridge/height.max': 18 },
        traits: { 'body/wood': 'basswood' },
        // 232 / 150 x (4 + 6 x 16 / 15) = 16.1 MPa, over 10.9.
        says: /16 mm above the wood: 16\.1 MPa .* trusted with 10\.9/,
        job: /bushings at least \d+ mm long, or lower the strings/,
      },
    ],
    bar,
  )
  it('a bridge on posts leaves the pull to its tailpiece', () => {
    expect(() => checkIn(bar('post'), 'bridge-on-body', 'pull')).toThrow()
  })
  it('its strings lie round it: no angle over its saddles is judged, where a bridge with holes behind has one', () => {
    expect(joints('string-through')).toContain('saddle-break')
    expect(joints('bar')).not.toContain('saddle-break')
    expect(joints('bar')).not.toContain('bridge-screws')
  })
  it('holds its strings itself: a tailpiece is nothing for it, and none is missed', () => {
    const { parts } = bar()
    expect(wantedFor(parts, 'tailpiece')).toBeUndefined()
    expect(wantedFor(bar('post').parts, 'tailpiece')).toBeDefined()
    const tailpiece = aPart('tailpiece', { height: 12 }, { type: 'stop' })
    expect(idleFor({ ...parts, tailpiece }, 'tailpiece')).toBe('the bridge holds the strings itself')
  })
  it('from ball to nut is the scale, a saddle’s set-back of 8 mm at most and 35 mm round the bar', () =>
    expect(ballToNut(bar()).most).toBeCloseTo(647.7 + 8 + 35, 9))
  it('has bores for two studs, and its ground wire begins in one of them', () => {
    const cards = holeCards(undrilled(drillable(bar())))
    expect(cards.find((c) => c.id === 'stud-bores')?.goesIn).toMatch(/bushing/)
    expect(cards.find((c) => c.id === 'bridge-screws')).toBeUndefined()
    expect(cards.find((c) => c.id === 'ground-wire')?.goesIn).toBe('a bare wire’s end, pinched under a stud’s bushing')
  })
})
