import { describe, expect, it } from 'vitest'
import { shimFor } from '../../instrument/neckAngle'
import { aBuild, aPart, cured, jointIn, type Sizes, withRest } from '../../testing/bench'
import { body, neck } from '../../testing/caseParts'
import { changed, fullBuild } from '../../testing/fullBuild'

/** Hard moments of real work at the bridge and of the whole, with the numbers a bench meets. [practice], sums [physics]. */

describe('bridge and neck angle', () => {
  const set = (low: number, high: number, more: Sizes = {}, held: 'bolt' | 'set' = 'bolt') =>
    withRest(
      aBuild(
        {
          body: body(more),
          neck: neck({}, { joint: held }),
          nut: aPart('nut', { spread: 35, slot: 0.4 }),
          bridge: aPart(
            'bridge',
            { spread: 52.5, 'height.min': low, 'height.max': high, studDiameter: 10, 'travel.front': 2, 'travel.back': 16 },
            { mount: 'two-stud' },
          ),
        },
        { setup: { school: 'low', readings: {} } },
      ),
      fullBuild(),
    )
  it('lowest action stays at 1.75 where 1.25 is wanted: tilt and shim', () => {
    // The fret plane must come up 1.0 mm at the saddle: 0.249 degrees over 230 mm, 0.33 mm under 76 mm of heel. [physics + practice]
    const s = shimFor(1.0, 230, 76)
    expect(s.tilt).toBeCloseTo(0.249, 3)
    expect(s.shim).toBeCloseTo(0.33, 2)
    const b = set(13.6, 20, { 'pocket.tilt': [0, 'rule', 0.03] })
    const j = jointIn(b, 'bridge-height')
    expect(['tight', 'wont-go']).toContain(j.verdict)
    expect(j.cures.map((c) => c.id)).toEqual(expect.arrayContaining(['taper-shim', 'strip-shim', 'shim-to-middle']))
    expect(jointIn(cured(b, 'bridge-height'), 'bridge-height').checks[0]!.raw.chances['wont-go']).toBeLessThan(0.01)
    expect(
      jointIn(b, 'bridge-height')
        .tables()[0]!
        .rows.map((r) => r[0]),
    ).toEqual(['0°', '0.25°', '0.5°', '0.62° card', '1°'])
  })
  it('a neck that is glued in stands on no card, no strip and no screw: a taper that touches everywhere, of the same height', () => {
    const flat = (held: 'bolt' | 'set') => jointIn(set(13.6, 20, { 'pocket.tilt': [0, 'rule', 0.03] }, held), 'bridge-height')
    const [bolted, glued] = [flat('bolt'), flat('set')]
    expect(glued.cures.map((c) => c.id)).toEqual(['taper-shim', 'shim-to-middle'])
    expect(glued.cures.map((c) => `${c.job} ${c.how} ${c.tools.join(' ')}`).join(' ')).not.toMatch(/tapered shim|plastic card|screw/)
    expect(glued.cures[0]!.job).toContain('glued under the heel')
    expect(glued.cures[0]!.plan).toEqual(bolted.cures[0]!.plan)
    expect(bolted.cures[0]!.job).toContain('a tapered shim')
    // Screws left over among the parts make no card of it.
    const left = set(13.6, 20, { 'pocket.tilt': [0, 'rule', 0.03] }, 'set')
    const over = { ...left, parts: { ...left.parts, 'neck-screws': fullBuild().parts['neck-screws']! } }
    expect(jointIn(over, 'bridge-height').cures.map((c) => c.job)).toEqual(glued.cures.map((c) => c.job))
    const tried = (j: typeof bolted) => [j.tables()[0]!.columns[1], ...j.tables()[0]!.rows.map((r) => r[0])]
    expect(tried(glued)).toEqual(['taper at the end', '0°', '0.25°', '0.5°', '1°'])
    expect(tried(bolted)).toContain('0.62° card')
  })
  it('strings too low on a long-scale conversion: a plate, and its thickness', () => {
    const low = (mount: string) => jointIn(changed(set(6, 10.5), {}, { 'bridge/mount': mount }), 'bridge-height')
    expect(low('screws').verdict).toBe('wont-go')
    expect(low('screws').cures[0]!.job).toMatch(/plate \d(\.\d)? mm thick under the bridge/)
    // One on studs stands in its own threads: a plate under it lifts nothing.
    expect(low('two-stud').cures.map((c) => c.id)).toEqual(['less-tilt', 'deepen-pocket', 'taller-bridge'])
  })
  it('loose studs: wrap first, plug, glue as the quick one that is hard to undo', () => {
    const b = set(9, 16, { studBore: 10.15 })
    const j = jointIn(b, 'bridge-on-body')
    expect(j.verdict).toBe('loose')
    expect(j.cures.map((c) => c.id)).toEqual(['wrap-stud', 'plug-stud', 'glue-stud'])
    expect(j.cures[2]!.how).toMatch(/hard to undo/)
    expect(jointIn(cured(b, 'bridge-on-body'), 'bridge-on-body').verdict).toBe('snug')
  })
  it('a narrow pattern rules a wide bridge out, with the number', () => {
    const b = aBuild({
      body: body({ studSpacing: 52.4 }),
      bridge: aPart('bridge', { spread: 54, 'screw.spread': 56, 'height.min': 8, 'height.max': 15 }, { mount: 'six-screw' }),
    })
    expect(jointIn(b, 'bridge-on-body').verdict).toBe('wont-go')
    expect(jointIn(b, 'bridge-on-body').says).toMatch(/56 mm and the body’s 52\.4 mm: 3\.6 mm apart/)
  })
  it('sitar at a string: break angle over the saddle too flat', () => {
    const b = changed(set(9, 16, { 'tail.toBridge': 46 }), {}, { 'bridge/mount': 'post' })
    b.parts = { ...b.parts, tailpiece: aPart('tailpiece', { height: 11 }, { type: 'stop' }) }
    expect(jointIn(b, 'saddle-break').says).toMatch(/only \d(\.\d)?°|hop or buzz/)
  })
})
