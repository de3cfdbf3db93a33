import { describe, expect, it } from 'vitest'
import { taperFraction } from './taper'

describe('tapers [practice]', () => {
  it.each(['audio', 'linear', 'reverse-audio'] as const)('%s runs from nothing to all, and never back', (taper) => {
    expect(taperFraction(taper, 0)).toBe(0)
    expect(taperFraction(taper, 10)).toBe(1)
    for (let k = 0; k < 10; k += 0.25) expect(taperFraction(taper, k + 0.25)).toBeGreaterThan(taperFraction(taper, k))
  })
  it('audio gives a tenth at half turn, reverse the mirror of it', () => {
    expect(taperFraction('audio', 5)).toBeCloseTo(0.1, 12)
    expect(taperFraction('reverse-audio', 5)).toBeCloseTo(0.9, 12)
    for (let k = 0; k <= 10; k++) expect(taperFraction('reverse-audio', k)).toBeCloseTo(1 - taperFraction('audio', 10 - k), 12)
  })
  it('beyond its ends it stays at its ends', () => expect([taperFraction('linear', -3), taperFraction('linear', 14)]).toEqual([0, 1]))
})
