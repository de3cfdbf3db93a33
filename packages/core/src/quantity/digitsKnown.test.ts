import { describe, expect, it } from 'vitest'
import { digitsKnown, plusMinus } from './digitsKnown'

describe('a figure ends where its doubt does', () => {
  it.each([
    [0, 2, '±0.00'],
    [0.003, 2, '±0.00'],
    [0.05, 2, '±0.05'],
    [0.84, 2, '±0.84'],
    [0.994, 2, '±0.99'],
    [0.996, 1, '±1.0'],
    [1.68, 1, '±1.7'],
    [9.94, 1, '±9.9'],
    [9.96, 0, '±10'],
    [21.68, 0, '±22'],
    [104, 0, '±104'],
  ])('of a doubt of %d: %d decimals, %s', (doubt, digits, text) => {
    expect(digitsKnown(doubt)).toBe(digits)
    expect(plusMinus(doubt)).toBe(text)
  })
})
