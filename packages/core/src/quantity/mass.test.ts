import { describe, expect, it } from 'vitest'
import { parseMass } from './mass'

const grams = (text: string) => {
  const parsed = parseMass(text)
  return parsed.ok ? parsed.value : parsed.why
}

describe('a mass as scales show it', () => {
  it.each([
    ['1900', 1900],
    ['1900 g', 1900],
    ['1.9kg', 1900],
    ['1,9 kg', 1900],
    // 4 · 453.59237 + 6 / 16 · 453.59237 = 1814.36948 + 170.09714.
    ['4 lb 6 oz', 1984.46662],
    ['4lbs 6.5oz', 1998.64138],
    ['4.4 lbs', 1995.80643],
    ['14 oz', 396.89332],
  ])('%s is %d g', (text, wanted) => expect(grams(text)).toBeCloseTo(wanted, 4))
  it('what is no mass is refused with what is allowed', () => {
    expect(grams('')).toBe('No mass was entered. Write it like 1900, 1.9 kg, 4 lb 6 oz or 14 oz.')
    expect(grams('heavy')).toBe('"heavy" is not a mass. Write it like 1900, 1.9 kg, 4 lb 6 oz or 14 oz.')
    expect(grams('3 stone')).toBe('"stone" is not a unit of mass known here. Use g, kg, lb or oz.')
    expect(grams('-3 g')).toMatch(/is not a mass/)
  })
})
