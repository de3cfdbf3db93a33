import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { aBuild, aPart, cured, jointIn, withRest } from '../../testing/bench'
import { neck } from '../../testing/caseParts'
import { fullBuild } from '../../testing/fullBuild'
import { rowShortfall } from './tunerRow'

/** Hard moments of real work, with the numbers a bench meets. [practice], sums [physics]. */

const check = (b: Build, id: string, c: string) => jointIn(b, id).checks.find((x) => x.id === c)!

describe('tuners and nut', () => {
  it('six of 24.65 on 24.5 with 0.1 play: 0.65 too much, 0.07 a face [physics]', () => {
    const r = rowShortfall(6, 24.65, 24.5, 0.1)
    expect(r.total).toBeCloseTo(0.65, 9)
    expect(r.perFace).toBeCloseTo(0.065, 9)
  })
  it('six of 24.6 on 24.5, 0.1 play: 0.4 in all, 0.04 a face; 0.05 with no play [physics]', () => {
    expect(rowShortfall(6, 24.6, 24.5, 0.1).total).toBeCloseTo(0.4, 9)
    expect(rowShortfall(6, 24.6, 24.5, 0.1).perFace).toBeCloseTo(0.04, 9)
    expect(rowShortfall(6, 24.6, 24.5, 0).perFace).toBeCloseTo(0.05, 9)
  })
  it('wider than the pitch: deburr first, then so much off each face', () => {
    const b = aBuild({
      neck: neck({ 'tuner.pitch': [24.5, 'calipers', 0.02], 'tuner.bore': [8.8, 'calipers', 0.02] }),
      tuners: aPart('tuners', {
        count: 6,
        'housing.width': [24.65, 'calipers', 0.02],
        bushing: [8.75, 'calipers', 0.02],
        'screw.length': 9,
        'screw.thread': 2.2,
        'screw.root': 1.6,
      }),
    })
    const j = jointIn(b, 'tuner-row')
    expect(j.verdict).toBe('tight')
    expect(j.cures.map((c) => c.id)).toEqual(['deburr', 'file-flanges'])
    expect(jointIn(cured(b, 'tuner-row', 1), 'tuner-row').verdict).toBe('snug')
  })
  it('a nut blank 1.2 mm too low: shim or new', () => {
    const b = withRest(
      aBuild({
        neck: neck({ 'nut.slotDepth': 3.6 }),
        nut: aPart('nut', { spread: 35, slot: 0.5, height: 2.8 }, { type: 'slotted' }),
      }),
      fullBuild(),
    )
    const j = jointIn(b, 'nut-in-slot')
    expect(j.verdict).toBe('tight')
    expect(j.says).toMatch(/1\.2 mm too low/)
    expect(j.cures.map((c) => c.id)).toEqual(['shim-nut', 'new-nut'])
    expect(jointIn(cured(b, 'nut-in-slot'), 'nut-in-slot').verdict).toBe('snug')
  })
  it('a string that rattles in its slot: lower wraps, or a tree', () => {
    const held = (traits: Record<string, string>) =>
      withRest(
        aBuild({
          neck: neck({ 'head.drop': 8, 'head.angle': 3, 'tuner.first': 33, 'tuner.pitch': 25.4 }),
          nut: aPart('nut', { spread: 35, slot: 0.5 }),
          tuners: aPart('tuners', { count: 6, 'post.height': 6, 'screw.length': 9, 'screw.thread': 2.2, 'screw.root': 1.6 }, traits),
          strings: aPart('strings', { 'gauge.1': 0.254, 'gauge.2': 0.33 }),
        }),
        fullBuild(),
      )
    // String 1, 156.7 mm away, bears by 3 + atan(3.6 / 156.7) = 4.3; it wants 156.7 tan 1.5 = 4.1: 0.5 mm lower, two of 0.254.
    const cures = jointIn(held({ locking: 'wraps' }), 'nut-break').cures
    expect(cures.map((c) => c.id)).toEqual(['lower-wraps', 'string-tree'])
    expect(cures[0]!.job).toBe('Wind string 1 further down its post: 2 turns more.')
    expect(jointIn(held({ locking: 'clamp' }), 'nut-break').cures.map((c) => c.id)).toEqual(['string-tree'])
  })
  it('a tuner screw that comes through the headstock’s face', () => {
    const b = aBuild({
      neck: neck({ 'tuner.bore': 10 }),
      tuners: aPart('tuners', {
        count: 6,
        bushing: 9.9,
        'screw.length': 16,
        'screw.thread': 2.2,
        'screw.root': 1.6,
        'plate.thickness': 1.2,
      }),
    })
    expect(check(b, 'tuner-bore', 'screw').raw.verdict).toBe('wont-go')
  })
})
