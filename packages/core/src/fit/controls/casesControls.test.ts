import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { likelyOf } from '../../quantity/distribution'
import { aBuild, aPart, jointIn } from '../../testing/bench'
import { body } from '../../testing/caseParts'

/** Hard moments of real work, with the numbers a bench meets. [practice], sums [physics]. */

const check = (b: Build, id: string, c: string) => jointIn(b, id).checks.find((x) => x.id === c)!

describe('pots and holes', () => {
  const through = (length: number, thickness: number, where: 'guard' | 'body', hole = 9.6) =>
    aBuild({
      body: body({ 'control.depth': 38, 'pot.hole': hole, 'control.top': thickness }, where === 'guard' ? { access: 'front' } : {}),
      ...(where === 'guard' ? { guard: aPart('guard', { thickness, 'pot.hole': hole }) } : {}),
      'pot-volume': aPart(
        'pot-volume',
        {
          resistance: [500e3, 'meter', 5e3],
          'bushing.diameter': 9.5,
          'bushing.length': length,
          'nut.thickness': 2.2,
          'washer.thickness': 0.6,
        },
        { taper: 'audio' },
      ),
    })
  it('19 mm through a 2.5 mm guard: a shorter pot before a tower of six nuts', () => {
    const j = jointIn(through(19, 2.5, 'guard'), 'pot-volume')
    expect(j.verdict).toBe('wont-go')
    // 6.5 - 2.5 - 2.7 = 1.3 over; the other way 13.8 over, less 6 x 2.2.
    expect(check(through(19, 2.5, 'guard'), 'pot-volume', 'thread').cures.map((x) => x.job)).toEqual([
      'Take a pot with a 6.5 mm bushing.',
      'Or put 6 inner nuts on the volume pot under the guard: takes up 13.2 mm.',
    ])
  })
  it('9.5 mm through a 16 mm top: wrong the other way, the depth to rout', () => {
    const c = check(through(9.5, 16, 'body'), 'pot-volume', 'thread')
    expect(c.raw.verdict).toBe('wont-go')
    expect(likelyOf(c.clearance)).toBeCloseTo(-9.3, 6)
    expect(c.cures.find((x) => x.id === 'thin-top')!.job).toMatch(/from inside to 5\.7 mm/)
  })
  it('8.0 for 9.5 bushings: ream from both faces', () => {
    const c = check(through(9.5, 3, 'guard', 8), 'pot-volume', 'hole')
    expect(c.raw.verdict).toBe('tight')
    expect(c.cures[0]!.job).toMatch(/from 8 to 9\.7 mm/)
    expect(c.cures[0]!.how).toMatch(/both faces.*cone/)
  })
  it('a jack wider than the passage: thread first, solder after', () => {
    const b = aBuild({ body: body({ 'jack.bore': 9.8, 'passage.diameter': 9 }), jack: aPart('jack', { bore: 9.5, width: 21 }) })
    expect(jointIn(b, 'jack').cures[0]!.job).toMatch(/Thread the wires first/)
  })
})
