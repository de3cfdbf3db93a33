import { describe, expect, it } from 'vitest'
import { boxAround } from '../../geometry/box'
import { untold } from '../../testing/anyBuild'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'

describe('poles under strings', () => {
  judgeRows([
    {
      what: '4 mm narrower than the strings there',
      joint: 'poles-bridge',
      check: 'poles',
      verdict: 'tight',
      job: 'Leave it: outer strings sound a little weaker over missed poles.',
      sizes: { 'pickup-bridge/poles.spread': 46 },
      says: /outside the outer poles/,
    },
    {
      what: '9 mm wider',
      joint: 'poles-neck',
      check: 'poles',
      verdict: 'wont-go',
      says: 'The outer strings pass 4.3 mm inside the outer poles.',
      // 57 − 2 × 4.3.
      job: 'Take a pickup with 48.4 mm from first to last pole, or one with a blade.',
      sizes: { 'pickup-neck/poles.spread': 57 },
    },
    {
      what: 'turned round',
      joint: 'poles-neck',
      check: 'bass-side',
      verdict: 'tight',
      says: 'The neck pickup sits turned round: its bass end is under the high strings.',
      traits: { 'pickup-neck/bassSide': 'turned' },
      job: /Turn the neck pickup round/,
    },
    {
      what: 'marked and the right way',
      joint: 'poles-neck',
      check: 'bass-side',
      verdict: 'snug',
      says: 'Its bass end lies under the low strings.',
      traits: { 'pickup-neck/bassSide': 'marked' },
    },
  ])
  it('a blade does not care', () =>
    expect(
      jointIn(changed(fullBuild(), { 'pickup-bridge/poles.spread': 42 }, { 'pickup-bridge/poles': 'blade' }), 'poles-bridge').verdict,
    ).toBe('snug'))
  it('a blade asks for no string’s place, and is drawn from end to end of its cover', () => {
    const blade = changed(fullBuild(), {}, { 'pickup-bridge/poles': 'blade' })
    const joint = jointIn(blade, 'poles-bridge')
    expect(joint.reads).toEqual([])
    const bar = joint.draw().marks.find((m) => m.mark === 'area' && m.role === 'metal')
    expect(bar?.mark === 'area' && boxAround(bar.points)).toMatchObject({ x: -34.7, width: 69.4 })
    expect(joint.draw().numbers.map((n) => n.label)).toEqual(['strings'])
    const nothingRead = untold(untold(blade, 'sizes', 'nut', 'spread'), 'sizes', 'pickup-bridge', 'poles.spread')
    expect(jointIn(nothingRead, 'poles-bridge').verdict).toBe('snug')
  })
  it('a slanted row is narrower across: spread times the cosine [physics]', () => {
    const off = (slant: number) => checkIn(changed(fullBuild(), { 'pickup-bridge/slant': slant }), 'poles-bridge', 'poles').shown![0]!.mean
    expect(off(20) - off(0)).toBeCloseTo((51 * (1 - Math.cos((20 * Math.PI) / 180))) / 2, 9)
    expect(off(-20)).toBeCloseTo(off(20), 12)
  })
  it('the spacing told is the one that brings the outer poles under the outer strings, slanted too', () => {
    for (const slant of [0, 30]) {
      const missing = changed(fullBuild(), { 'pickup-neck/poles.spread': 40, 'pickup-neck/slant': slant })
      const job = checkIn(missing, 'poles-neck', 'poles').cures.find((c) => c.id === 'other-spacing')!.job
      const told = Number(/with ([\d.]+) mm from first/.exec(job)![1])
      const taken = changed(missing, { 'pickup-neck/poles.spread': told })
      expect(Math.abs(checkIn(taken, 'poles-neck', 'poles').shown![0]!.mean), job).toBeLessThan(0.06)
    }
  })
  it('strings that lie to one side are brought over no row by another spacing: a blade is told', () => {
    // Axis 4 mm to the bass at the bridge: 1.81 mm to the treble there; 8 mm: 3.62.
    const jobs = (axis: number) =>
      checkIn(changed(fullBuild(), { 'body/axisAtBridge': axis }), 'poles-neck', 'poles').cures.map((c) => c.job)
    const blade = 'a pickup with a blade, which runs under all strings wherever they lie.'
    expect(jobs(4)).toEqual(['Leave it: outer strings sound a little weaker over missed poles.', `Or take ${blade}`])
    expect(jobs(8)).toEqual([`Take ${blade}`])
  })
})
