import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { aBuild, aPart, jointIn, withRest } from '../../testing/bench'
import { body } from '../../testing/caseParts'
import { fullBuild } from '../../testing/fullBuild'
import { cornerNeeds, cornerOverlap } from './pickupRoom'

/** Hard moments of real work, with the numbers a bench meets. [practice], sums [physics]. */

const check = (b: Build, id: string, c: string) => jointIn(b, id).checks.find((x) => x.id === c)!

describe('pickups', () => {
  const b = (over: number, rc = 0.5) =>
    aBuild({
      body: body({
        'route.neck.centre': 104,
        'route.neck.length': 40,
        'route.neck.width': 90,
        'route.neck.depth': 22,
        'route.neck.radius': 3,
      }),
      guard: aPart('guard', {
        thickness: 2.5,
        'pot.hole': 9.5,
        'opening.neck.centre': 28,
        'opening.neck.length': 36.6,
        'opening.neck.width': 70,
        'opening.neck.radius': 3,
      }),
      'pickup-neck': aPart(
        'pickup-neck',
        { length: 36, width: 70 + over, depth: 18, radius: rc, resistance: [8000, 'meter', 80] },
        { coils: 'two' },
      ),
    })
  it('0.6 mm wider than its opening: tight, amount a side', () => {
    const j = jointIn(b(0.6), 'room-neck')
    expect(j.verdict).toBe('tight')
    expect(j.cures.find((c) => c.id === 'file-width')!.job).toMatch(/0\.35 to 0\.45 mm off each side/)
  })
  it('square corners in a 3 mm radius: 0.73 a side with rc 0.5, 0.59 with rc 1 [physics]', () => {
    expect(cornerNeeds(3, 1)).toBeCloseTo(0.586, 3)
    expect(cornerOverlap(3, 1)).toBeCloseTo(0.828, 3)
    expect(check(b(-0.4), 'room-neck', 'corner').raw.verdict).toBe('tight')
    expect(check(b(-0.4, 3), 'room-neck', 'corner').raw.verdict).toBe('snug')
  })
  it('in a body route film counts: 0.30 raw with 0.12 a wall leaves 0.06', () => {
    const p = aPart(
      'pickup-neck',
      { length: 36, width: 70, depth: 18, resistance: [8000, 'meter', 80] },
      { coils: 'single', mount: 'ring' },
    )
    const wood = aBuild({
      body: body({
        'route.neck.centre': 104,
        'route.neck.length': 36.3,
        'route.neck.width': 70.3,
        'route.neck.depth': 22,
        'route.neck.radius': 1,
      }),
      'pickup-neck': p,
    })
    const film = { ...wood, finish: { ...wood.finish, coats: 5 } }
    const c = check(film, 'room-neck', 'width')
    expect(c.coated!.chances.tight).toBeGreaterThan(c.raw.chances.tight)
  })
  it('screws that reach the wood by only 1 mm', () => {
    const j = jointIn(
      aBuild({
        body: body({
          'route.neck.centre': 104,
          'route.neck.length': 36.8,
          'route.neck.width': 86.8,
          'route.neck.depth': 20,
          'route.neck.radius': 1,
        }),
        'pickup-neck': aPart(
          'pickup-neck',
          { length: 36, width: 86, depth: 13, 'screw.length': 14, 'screw.diameter': 3, travel: 6, resistance: [7600, 'meter', 76] },
          { coils: 'single', mount: 'body' },
        ),
      }),
      'room-neck',
    )
    expect(j.verdict).toBe('tight')
    expect(j.says).toMatch(/only 1 mm; they want 4\.5/)
    expect(j.cures.find((c) => c.id === 'longer-screws')!.job).toMatch(/at least 18 mm long/)
  })
})

describe('rings and neighbours', () => {
  const ringed = (foot: string, top: string, low: number, high: number) =>
    withRest(
      aBuild({
        body: body({ 'route.neck.centre': 104 }, { top }),
        'pickup-neck': aPart('pickup-neck', { length: 38, width: 69.5, resistance: [8000, 'meter', 80] }, { coils: 'two', mount: 'ring' }),
        'ring-neck': aPart(
          'ring-neck',
          { length: 38.9, width: 70.2, radius: 1.5, 'height.neckSide': low, 'height.bridgeSide': high },
          { foot },
        ),
      }),
      fullBuild(),
    )
  it('a flat foot on an arched top, or a ring the wrong way round', () => {
    expect(jointIn(ringed('flat', 'arched', 4, 5), 'room-neck').says).toMatch(/A flat foot on an arched top/)
    expect(jointIn(ringed('curved', 'arched', 6, 4), 'room-neck').cures[0]!.job).toBe('Turn the ring round.')
    expect(jointIn(ringed('curved', 'arched', 4, 6), 'room-neck').verdict).toBe('snug')
  })
  it('pots whose bodies meet', () => {
    const at = (x: number) =>
      aBuild({
        body: body({}, { access: 'front' }),
        guard: aPart('guard', { thickness: 2.5, 'pot.hole': 9.5, 'volume.x': 190, 'volume.y': -66, 'tone.x': 190 + x, 'tone.y': -66 }),
        bridge: aPart('bridge', { spread: 52, 'height.min': 9, 'height.max': 16 }, { mount: 'two-stud' }),
        'pot-volume': aPart('pot-volume', { resistance: [500e3, 'meter', 5e3], 'body.diameter': 24 }, { taper: 'audio' }),
        'pot-tone': aPart('pot-tone', { resistance: [500e3, 'meter', 5e3], 'body.diameter': 24 }, { taper: 'audio' }),
      })
    const says = (x: number) => jointIn(at(x), 'control-reach').checks.find((c) => c.id === 'bodies')!.says
    // Bodies 24 mm across: 22 apart they lie 2 over each other, 26 apart 2 are left.
    expect(says(22)).toBe('The pots’ bodies lie 2 mm over each other.')
    expect(says(26)).toBe('The pots’ bodies pass each other with 2 mm between them.')
    expect(jointIn(at(22), 'control-reach').verdict).toBe('wont-go')
    expect(jointIn(at(40), 'control-reach').verdict).toBe('snug')
  })
})
