import { describe, expect, it } from 'vitest'
import { aBuild, aPart, jointIn, withRest } from '../../testing/bench'
import { body, neck } from '../../testing/caseParts'
import { fullBuild } from '../../testing/fullBuild'

describe('the whole', () => {
  it('twelve tuners on a light body: neck-heavy, by how many mm', () => {
    const b = (tunerMass: number) =>
      aBuild(
        {
          body: body({ mass: [900, 'scale', 10], 'button.upper.x': 40 }, { build: 'chambered' }),
          neck: neck({ mass: [900, 'scale', 10], 'tuner.first': 38, 'tuner.pitch': 26, 'tuner.offset': 27 }, { head: 'two-rows' }),
          tuners: aPart('tuners', { count: 12, mass: [tunerMass, 'scale', 1], 'screw.length': 9, 'screw.thread': 2, 'screw.root': 1.5 }),
          bridge: aPart('bridge', { spread: 52, 'height.min': 9, 'height.max': 16, mass: [150, 'scale', 5] }, { mount: 'post' }),
        },
        { strings: 12 },
      )
    const heavy = jointIn(b(45), 'balance')
    expect(heavy.verdict).toBe('tight')
    expect(heavy.says).toMatch(/\d+ mm on the headstock’s side of the upper button: neck-heavy/)
    expect(heavy.figure!.value).toBeLessThan(jointIn(b(15), 'balance').figure!.value)
  })
  it('a left-handed part in a right-handed build', () => {
    const b = aBuild({ body: body({}, { hand: 'either' }), neck: neck({}, { hand: 'left' }) })
    expect(jointIn(b, 'hands').verdict).toBe('wont-go')
    expect(jointIn({ ...b, handedness: 'left' }, 'hands').verdict).toBe('snug')
  })
  it('a thick set on short hardware: drill the hole out', () => {
    const b = withRest(
      aBuild({
        strings: aPart('strings', { 'gauge.1': [0.28, 'listed', 0.01], 'gauge.6': [1.65, 'listed', 0.01] }),
        bridge: aPart('bridge', { spread: 52, 'height.min': 9, 'height.max': 16, 'string.hole': 1.4 }, { mount: 'screws' }),
        tuners: aPart('tuners', { count: 6, 'string.hole': 2, 'screw.length': 9, 'screw.thread': 2, 'screw.root': 1.5 }),
      }),
      fullBuild(),
    )
    expect(jointIn(b, 'strings-through').cures[0]!.job).toMatch(/bridge out to 1\.85 mm/)
  })
})
