import { describe, expect, it } from 'vitest'
import { cornerStandOff } from './pocketCorner'
import { shavingAmount, wallToEase, widthSays } from './pocketWidth.words'

describe('pocket', () => {
  // [physics: circle in circle]
  it('radius difference 1.0 with 0.1 to spare a side stands off 0.56 mm', () => expect(cornerStandOff(1, 0.2)).toBeCloseTo(0.56, 2))
  it('goes home when the pocket radius is no larger than heel radius plus half the gap', () => expect(cornerStandOff(0.1, 0.2)).toBe(0))
  it('shaving lands the gap between 0.05 and 0.30', () => {
    const { from, to } = shavingAmount(-0.35)
    expect(from).toBeCloseTo(0.4, 12)
    expect(to).toBeCloseTo(0.65, 12)
  })
  it('says no more than the gap does: 0.37 mm of air is no firm press, and 0.04 mm of room that the year leaves cracks no ear', () => {
    const still = { close: 0, open: 0, known: true }
    expect(widthSays('mouth', 'snug', 0.37, 0.2, { ...still, close: -0.17 })).toBe(
      'Gap of 0.37 mm at the mouth today, which damp air closes to 0.2: right where it matters.',
    )
    expect(widthSays('mouth', 'snug', 0.3, 0.3, still)).toMatch(/^Goes in by a firm hand press, 0\.3 mm to spare/)
    expect(widthSays('mouth', 'tight', 0.04, 0.04, still)).not.toMatch(/crack/)
    expect(widthSays('mouth', 'tight', 0.04, -0.1, { ...still, close: -0.14 })).toMatch(/ear can crack on a damp day/)
  })
  it('which wall: the neck turns about the pocket’s middle, so mouth and end take opposite walls', () => {
    expect(wallToEase('mouth', 0.6)).toBe('bass')
    expect(wallToEase('end', 0.6)).toBe('treble')
    expect(wallToEase('mouth', -0.6)).toBe('treble')
    expect(wallToEase('end', -0.6)).toBe('bass')
  })
  it('turning the neck to ease that wall does bring the axis back', () => {
    // Axis through the pocket's middle (424), passing the bridge (647.7) on the bass side: at the mouth (386) it lies on the
    // treble side, so straightening it moves the mouth towards the bass.
    const slope = 0.6 / (647.7 - 424)
    expect(slope * (386 - 424)).toBeLessThan(0)
  })
})
