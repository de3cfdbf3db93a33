import { describe, expect, it } from 'vitest'
import { OPEN_READING, parseFarads, parseOhms, parseReading, printFarads, printOhms, TOLERANCE_LETTER } from './electrical'

const value = (p: { ok: true; value: number } | { ok: false; why: string }) => (p.ok ? p.value : p.why)

describe('resistances', () => {
  it.each([
    ['250k', 250e3],
    ['8.80k', 8800],
    ['1M', 1e6],
    ['470', 470],
    ['4k7', 4700],
    ['500 kohm', 500e3],
    ['8,26 k', 8260],
  ])('%s', (text, ohm) => expect(value(parseOhms(text))).toBeCloseTo(ohm, 6))
  it.each(['', 'loud', '5q', '-3k'])('refuses "%s" with a sentence', (text) => expect(value(parseOhms(text))).toMatch(/250k/))
  it('prints as a meter does', () =>
    expect([8261, 250e3, 1e6, 470].map((r) => printOhms(r))).toEqual(['8.26 k', '250 k', '1.00 M', '470 Ω']))
})

describe('what a meter shows', () => {
  it.each(['OL', 'O.L', '0L', 'ol.', 'open', 'Open', 'inf', '∞', '1.'])('%s is an open line', (text) =>
    expect(value(parseReading(text))).toBe(OPEN_READING),
  )
  it.each([
    ['1', 1],
    ['0', 0],
    ['8.26k', 8260],
    ['0.3', 0.3],
  ])('%s is a resistance', (text, ohm) => expect(value(parseReading(text))).toBeCloseTo(ohm, 9))
  it('refuses anything else, and says how an open line is written', () => expect(value(parseReading('beep'))).toMatch(/OL or open/))
  it('to two digits it is rounded to them, and no power of ten is printed', () =>
    expect([500e3, 123_456, 7964, 99_600].map((r) => printOhms(r, 2))).toEqual(['500 k', '120 k', '8.0 k', '100 k']))
  it('is printed as open', () => expect(printOhms(OPEN_READING)).toBe('open'))
})

describe('capacitances', () => {
  it.each([
    ['22n', 22e-9],
    ['.022u', 22e-9],
    ['0.022 uF', 22e-9],
    ['500p', 500e-12],
    ['4n7', 4.7e-9],
  ])('%s', (text, farad) => expect(value(parseFarads(text))).toBeCloseTo(farad, 15))
  // [published: IEC 60062]
  it.each([
    ['223', 22e-9],
    ['473', 47e-9],
    ['104', 100e-9],
    ['473J', 47e-9],
  ])('the mark %s', (text, farad) => expect(value(parseFarads(text))).toBeCloseTo(farad, 15))
  it('tolerance letters', () => expect(TOLERANCE_LETTER).toEqual({ J: 0.05, K: 0.1, M: 0.2 }))
  it.each(['', '22', 'cap'])('refuses "%s" with a sentence', (text) => expect(value(parseFarads(text))).toMatch(/22n/))
  it('at a thousand the letter changes', () => {
    expect([999, 999.9, 1000, 999_000, 999_999, 1e6].map((x) => printOhms(x))).toEqual([
      '999 Ω',
      '1.00 k',
      '1.00 k',
      '999 k',
      '1.00 M',
      '1.00 M',
    ])
    expect([999e-12, 999.9e-12, 1e-9, 999e-9, 999.9e-9, 4.7e-6].map(printFarads)).toEqual(['999 p', '1 n', '1 n', '999 n', '1 u', '4.7 u'])
  })
  it('prints', () => expect([22e-9, 500e-12, 1e-7].map(printFarads)).toEqual(['22 n', '500 p', '100 n']))
})
