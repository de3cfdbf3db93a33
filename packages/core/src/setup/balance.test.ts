import { describe, expect, it } from 'vitest'
import { roundsSay } from './balance'

describe('rounds of tuning until a floating plate keeps its place', () => {
  // 0.7 ^ 6 = 0.118, ^ 7 = 0.082; 0.93 ^ 31 = 0.105, ^ 32 = 0.098; 0.2 ^ 2 = 0.04.
  it.each([
    [0.7, '70 % of what the plate is off: 7 rounds', true],
    [0.93, '93 % of what the plate is off: 32 rounds', true],
    [0.46, '46 % of what the plate is off: 3 rounds', false],
    [0.2, '20 % of what the plate is off: 2 rounds', false],
    [0.05, '5 % of what the plate is off: one round', false],
    [0.003, 'one round of tuning is enough', false],
  ])('of which each leaves %d: %s', (left, says, shimmed) => {
    expect(roundsSay(left, 1.2)).toContain(says)
    expect(roundsSay(left, 1.2).includes('a shim of 1.2 mm under its back edge')).toBe(shimmed)
  })
})
