import { describe, expect, it } from 'vitest'
import { parsePlain } from './plain'

const said = (text: string) => {
  const parsed = parsePlain(text)
  return parsed.ok ? parsed.value : parsed.why
}

describe('a number without a unit', () => {
  it.each([
    ['12.50', 12.5],
    [' 12,5 ', 12.5],
    ['.5', 0.5],
    [',5', 0.5],
    ['7.', 7],
    ['-3', -3],
    ['−3', -3],
    ['1.200', 1.2],
    ['0,125', 0.125],
    ['1200,50', 1200.5],
  ])('%s is %d', (text, wanted) => expect(said(text)).toBe(wanted))
  it('a thousand with its comma is asked again', () => {
    expect(said('1,200')).toBe('"1,200" can be read in two ways; write 1200, or a fraction with a point.')
    expect(said('12,500.75')).toBe('"12,500.75" can be read in two ways; write 12500.75, or a fraction with a point.')
  })
  it.each(['', 'many', '1e3', '0x10', '1 2', '1.2.3'])('%j is none', (text) => expect(said(text)).toBe(`"${text}" is not a number.`))
})
