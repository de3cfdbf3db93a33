import { describe, expect, it } from 'vitest'
import { aBuild, aPart, cured, jointIn, withRest } from '../../testing/bench'
import { body, neck } from '../../testing/caseParts'
import { changed, fullBuild } from '../../testing/fullBuild'
import { findJoints } from '../findJoints'

describe('pocket', () => {
  it('about 0.8 mm small: tight, an amount, no hammer', () => {
    const b = aBuild({ body: body({ 'pocket.widthMouth': 55.2 }), neck: neck() })
    const j = jointIn(b, 'pocket-mouth')
    expect(j.verdict).toBe('tight')
    expect(j.cures[0]!.job).toMatch(/^Shave 0\.\d\d mm off each wall near the mouth, then try; not more than 1\.\d\d mm in all/)
    expect(jointIn(cured(b, 'pocket-mouth'), 'pocket-mouth').verdict).toBe('snug')
  })
  it('a dip and chips: record the tilt, scrape, the shim that restores it', () => {
    const j = jointIn(aBuild({ body: body({ 'pocket.dip': 0.5 }), neck: neck() }), 'pocket-depth')
    expect(j.verdict).toBe('tight')
    expect(j.says).toMatch(/shim of 0\.5 mm can bring it back/)
  })
  it('an overhanging board that meets the guard before the heel is down', () => {
    const b = withRest(
      aBuild({
        body: body({ 'pocket.depth': 17.6 }),
        neck: neck({ boardLength: 498, 'board.thickness': 6 }),
        guard: aPart('guard', { thickness: 2.5, 'pot.hole': 9.5 }),
      }),
      fullBuild(),
    )
    expect(jointIn(b, 'pocket-depth').says).toMatch(/meets the guard 0\.9 mm before the heel is down/)
    expect(jointIn(cured(b, 'pocket-depth'), 'pocket-depth').verdict).toBe('snug')
  })
  it('a heel-end adjuster without a notch won’t go until there is one', () => {
    const b = (notch: string) => aBuild({ body: body({}, { notch }), neck: neck({}, { truss: 'heel' }) })
    expect(jointIn(b('no'), 'truss-access').verdict).toBe('wont-go')
    expect(jointIn(b('yes'), 'truss-access').verdict).toBe('snug')
  })
  it('of a neck that nothing turns no tool is asked, and no notch', () => {
    const still = changed(fullBuild(), {}, { 'neck/truss': 'fixed', 'body/notch': 'no' })
    expect(findJoints(still).map((j) => j.id)).not.toContain('truss-access')
    expect(findJoints(fullBuild()).map((j) => j.id)).toContain('truss-access')
  })
  it('neck screws that would come through the board', () => {
    const b = aBuild({
      body: body(),
      neck: neck(),
      'neck-screws': aPart('neck-screws', { count: 4, length: 56, thread: 4.2, root: 3, 'plate.thickness': 1.5 }),
    })
    expect(jointIn(b, 'neck-screws').verdict).toBe('wont-go')
    expect(jointIn(b, 'neck-screws').says).toMatch(/1\.1 mm too long: they would come through/)
    expect(jointIn(cured(b, 'neck-screws'), 'neck-screws').verdict).toBe('snug')
  })
})
