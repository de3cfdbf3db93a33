import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { INCH, INCH_64TH, parseLength, printInch, printLength, printMm, gaugeName } from './length'

const mm = (text: string, system: 'mm' | 'in' = 'mm') => {
  const parsed = parseLength(text, system)
  return parsed.ok ? parsed.value : parsed.why
}

describe('reading lengths as benches write them', () => {
  it.each([
    ['41.3', 41.3],
    ['41.3mm', 41.3],
    ['41,3 mm', 41.3],
    ['1-5/8 in', 41.275],
    ['1-5/8', 41.275],
    ['1 5/8 in', 41.275],
    ['5/64"', 1.984375],
    ['18 thou', 0.4572],
    ['.018in', 0.4572],
    ['25.5in', 647.7],
    ['2 cm', 20],
    ['-0.6', -0.6],
  ])('%s is %f mm', (text, value) => expect(mm(text)).toBeCloseTo(value, 9))

  it('takes a bare decimal in the system shown, a bare fraction always as inches', () => {
    expect(mm('2', 'in')).toBeCloseTo(50.8, 9)
    expect(mm('2', 'mm')).toBe(2)
    expect(mm('1/2', 'mm')).toBeCloseTo(12.7, 9)
  })

  it.each(['', '  ', 'abc', '12 parsec', '1/0', '5..2', '3 feet', '4-', '1e400'])('says what is allowed for "%s"', (text) => {
    const parsed = parseLength(text)
    expect(parsed.ok).toBe(false)
    if (!parsed.ok) expect(parsed.why).toMatch(/mm/)
  })

  // [published: international inch]
  it('knows the inch exactly', () => {
    expect(INCH).toBe(25.4)
    expect(INCH_64TH).toBe(0.396875)
  })
})

describe('printing lengths', () => {
  it('a gauge in thousandths, halves too, however thick', () => {
    expect([0.2413, 0.254, 0.3, 1.98].map(gaugeName)).toEqual(['9.5', '10', '12', '78'])
  })
  it('prints 64ths reduced, and the error where there is one', () => {
    expect(printInch(41.275)).toEqual({ text: '1-5/8 in', error: 0 })
    expect(printInch(25.4).text).toBe('1 in')
    expect(printInch(3.18).text).toBe('1/8 in')
    expect(printInch(3.18).error).toBeCloseTo(-0.005, 3)
  })
  it('prints small gaps in thou and what no 64th meets as a decimal', () => {
    expect(printInch(0.4572).text).toBe('18 thou')
    expect(printInch(56.1).text).toBe('2.209 in')
  })
  it('round-trips: what is printed reads back as the same size', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 1000, noNaN: true }), fc.constantFrom('mm' as const, 'in' as const), (value, system) => {
        const back = mm(printLength(value, system, 3), system)
        expect(Math.abs((back as number) - value)).toBeLessThan(system === 'mm' ? 0.0006 : 0.07)
      }),
    )
  })
  it('a sixteenth is a fraction, a hair less is thou; below nothing both keep their sign and the sign of what is off', () => {
    expect(printInch(25.4 / 16).text).toBe('1/16 in')
    expect(printInch(25.4 / 16 - 0.001).text).toBe('62.5 thou')
    expect(printInch(-0.5).text).toBe('-19.7 thou')
    expect(printInch(-41.3)).toEqual({ text: '-1-5/8 in', error: expect.closeTo(0.025, 6) as number })
    expect(printInch(41.3).error).toBeCloseTo(-0.025, 6)
  })
  it('whole inches are whole; what is 0.06 mm off a 64th is a fraction, a little more is a decimal', () => {
    expect(printInch(50.8).text).toBe('2 in')
    expect(printInch(50.8 + 0.0599).text).toBe('2 in')
    expect(printInch(50.8 + 0.0601).text).toBe('2.002 in')
  })
  it('never prints a minus before nothing', () => expect(printMm(-0.001)).toBe('0'))
})
