import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { WIDTH_BANDS } from '../fit/neck/pocketWidth.limits'
import { normal } from '../quantity/distribution'
import { judge, worst, type Class } from './verdict'

const RANK: Class[] = ['wont-go', 'tight', 'snug', 'loose']

describe('verdicts', () => {
  it('need nine tenths of the chances', () => {
    expect(judge(normal(0.2, 0.01), WIDTH_BANDS).verdict).toBe('snug')
    expect(judge(normal(0.06, 0.1), WIDTH_BANDS).verdict).toBe('cant-tell')
  })
  it('a limit met exactly belongs to the better side, in either unit', () => {
    for (const gap of [0.05, 0.35]) {
      expect(judge(normal(gap, 0), WIDTH_BANDS).verdict).toBe('snug')
      expect(judge(normal((gap / 25.4) * 25.4, 0), WIDTH_BANDS).verdict).toBe('snug')
    }
  })
  it('chances add up to one whatever the clearance and doubt', () => {
    fc.assert(
      fc.property(fc.double({ min: -3, max: 3, noNaN: true }), fc.double({ min: 0, max: 2, noNaN: true }), (mean, sigma) => {
        const { chances } = judge(normal(mean, sigma), WIDTH_BANDS)
        expect(Object.values(chances).reduce((a, b) => a + b)).toBeCloseTo(1, 9)
      }),
    )
  })
  it('more clearance never makes a joint tighter', () => {
    fc.assert(
      fc.property(fc.double({ min: -2, max: 2, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (gap, more) => {
        const of = (g: number) => RANK.indexOf(judge(normal(g, 0), WIDTH_BANDS).verdict as Class)
        expect(of(gap + more)).toBeGreaterThanOrEqual(of(gap))
      }),
    )
  })
  it('a sure fault is not hidden by what is not known, and what is not known not by what goes', () => {
    expect(worst(['tight', 'cant-tell'])).toBe('tight')
    expect(worst(['cant-tell', 'wont-go', 'snug'])).toBe('wont-go')
    expect(worst(['loose', 'cant-tell', 'snug'])).toBe('cant-tell')
    expect(worst([])).toBe('snug')
  })
})
