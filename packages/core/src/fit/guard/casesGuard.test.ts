import { describe, expect, it } from 'vitest'
import { aBuild, aPart, jointIn, type Sizes, withRest } from '../../testing/bench'
import { BODY } from '../../testing/caseParts'
import { fullBuild } from '../../testing/fullBuild'

describe('guard', () => {
  const fit = (guard: Sizes, seller = 'b') =>
    withRest(
      aBuild({
        body: aPart(
          'body',
          {
            ...BODY,
            'route.neck.centre': 104,
            'route.neck.length': 37,
            'route.neck.width': 90,
            'route.bridge.centre': 216,
            'route.bridge.length': 37,
            'route.bridge.width': 90,
          },
          { wood: 'alder' },
          { seller: 'a' },
        ),
        guard: aPart(
          'guard',
          { thickness: 2.5, 'pot.hole': 9.5, 'opening.neck.length': 36.5, 'opening.bridge.length': 36.5, ...guard },
          {},
          { seller },
        ),
        'pickup-neck': aPart('pickup-neck', { length: 36, width: 70, resistance: [8000, 'meter', 80] }, { coils: 'two' }),
        'pickup-bridge': aPart('pickup-bridge', { length: 36, width: 70, resistance: [8000, 'meter', 80] }, { coils: 'two' }),
      }),
      fullBuild(),
    )
  it.each([5, 5.8, 8])(
    'openings %f mm closer together than the routes: no shift cures it, which edge and how much, or another guard',
    (off) => {
      const j = jointIn(fit({ 'opening.neck.centre': 28 + off, 'opening.bridge.centre': 140 }), 'guard-openings')
      expect(j.verdict).toBe('wont-go')
      expect(j.says).toMatch(/No shift cures it/)
      expect(j.cures[0]!.job).toMatch(/neck opening, neck side: \d(\.\d)? mm/)
      expect(j.cures.map((c) => c.id)).toContain('other-guard')
    },
  )
  it('the same known only from listings of two sellers: can’t tell, never snug', () => {
    const j = jointIn(fit({ 'opening.neck.centre': [28, 'listed', 0.1], 'opening.bridge.centre': [140, 'listed', 0.1] }), 'guard-openings')
    expect(j.verdict).toBe('cant-tell')
    expect(j.says).toMatch(/Measure opening to opening/)
    expect(j.settles).toBeDefined()
  })
})
