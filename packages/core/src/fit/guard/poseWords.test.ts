import { describe, expect, it } from 'vitest'
import type { GuardFit } from '../../instrument/guardPlace'
import { checkIn } from '../../testing/rows'
import { changed, fullBuild } from '../../testing/fullBuild'
import { openingsSays, poseWords } from './guardOpenings.words'

const lying = (along: number, across: number, turn: number, worst = 0): GuardFit => ({
  pose: { along, across, turn },
  worst,
  worstAt: 'bridge',
  file: [],
})

describe('how a guard lies, said from where the hand is', () => {
  it.each([
    [lying(0, 0, 0), 'against the heel'],
    [lying(0.04, 0.04, 0), 'against the heel'],
    [lying(0.05, 0.05, 0), '0.1 mm off the heel, 0.1 mm to the bass side'],
    [lying(0.4, 0.2, 0.3), '0.4 mm off the heel, 0.2 mm to the bass side, turned 0.30° with its tail to the bass side'],
    [lying(0.4, -0.2, -0.3), '0.4 mm off the heel, 0.2 mm to the treble side, turned 0.30° with its tail to the treble side'],
  ])('%o: %s', (fit, words) => expect(poseWords(fit)).toBe(words))
  it('goes, or says which opening lacks how much', () => {
    expect(openingsSays(lying(0, 0, 0))).toBe('All pickups pass with the guard against the heel.')
    expect(openingsSays(lying(0, 0, 0, 1.2))).toBe(
      'No shift cures it: with the guard in its best place the bridge opening still lacks 1.2 mm.',
    )
  })
  it('a block beside a screw brings it 6 mm of wood, on paper too', () => {
    // 6 - 1.
    expect(checkIn(changed(fullBuild(), { 'guard/screw.edge': 1 }), 'guard-cover', 'screws').cures[0]!.plan!.delta).toBeCloseTo(5, 9)
  })
})
