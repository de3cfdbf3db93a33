import { describe, expect, it } from 'vitest'
import { heardPitch } from './heardPitch'

describe('a pitch heard, beside where it should sound', () => {
  it('a cent is a twelve hundredth of an octave, sharp upwards', () => {
    // 110 Hz by one semitone, 2^(1/12): 116.54.
    expect(heardPitch(116.541, 110)).toEqual({ cents: expect.closeTo(100, 2) })
    expect(heardPitch(110, 116.541)).toEqual({ cents: expect.closeTo(-100, 2) })
  })
  it('a string two semitones low is out of tune; an octave, a twelfth or the next string is not it', () => {
    expect(heardPitch(98, 110)).toHaveProperty('cents')
    for (const [heard, wanted] of [
      [55, 110],
      [220, 110],
      [417, 1250.8],
      [146.8, 110],
      [82.4, 110],
    ] as const)
      expect(heardPitch(heard, wanted)).toEqual({
        why: expect.stringContaining(`${heard.toFixed(1)} Hz was heard where ${wanted.toFixed(1)}`),
      })
  })
})
