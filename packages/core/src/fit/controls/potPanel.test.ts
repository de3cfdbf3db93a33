import { describe, expect, it } from 'vitest'
import { packing } from './potPanel'

describe('pots through a guard', () => {
  it('9.5 bushing, 3.0 top, 0.6 washer, 2.2 nut leaves 3.7: one inner nut and two washers', () => {
    const surplus = 9.5 - 3 - 0.6 - 2.2
    expect(surplus).toBeCloseTo(3.7, 9)
    expect(packing(surplus, 2.2, 0.6)).toMatchObject({ nuts: 1, washers: 2 })
  })
})
