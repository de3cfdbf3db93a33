import { describe, expect, it } from 'vitest'
import { OPEN_LINE } from '../quantity/electrical'
import { printValue } from './check'
import type { Kind, SizeUnit } from './kind'
import { KINDS } from './kinds/index'
import { parseSize } from './parseSize'

const value = (unit: SizeUnit, text: string) => {
  const parsed = parseSize({ unit }, text, 'mm')
  return parsed.ok ? parsed.value : parsed.why
}

describe('reading a value of a size', () => {
  it.each([
    ['mm', '56.1', 56.1],
    ['deg', '−1.5°', -1.5],
    ['deg', '14 degrees', 14],
    ['deg', '0', 0],
    ['henry', '2.4 H', 2.4],
    ['newton', '60N', 60],
    ['count', '22', 22],
    ['g', '1.9 kg', 1900],
    ['ohm', '8.80k', 8800],
    ['farad', '22n', 22e-9],
  ] as const)('%s: %s', (unit, text, is) => expect(value(unit, text)).toBeCloseTo(is, 12))
  it.each([
    ['deg', '14 mm', '"14 mm" is not a number of °.'],
    ['count', '4°', '"4°" is not a number.'],
    ['henry', 'two', '"two" is not a number of H.'],
  ] as const)('%s: %s is refused', (unit, text, why) => expect(value(unit, text)).toBe(why))
  it('reads back what is printed of every size', () => {
    for (const kind of Object.values(KINDS) as Kind[])
      for (const [size, spec] of Object.entries(kind.sizes))
        for (const v of [spec.min, spec.max, spec.usual ?? spec.max].filter((x) => spec.unit !== 'ohm' || x < OPEN_LINE)) {
          const back = parseSize(spec, printValue(v, spec.unit), 'mm')
          expect(back.ok && Math.abs(back.value - v) <= Math.max(0.005, Math.abs(v) * 0.005), `${kind.kind}/${size} ${v}`).toBe(true)
        }
  })
})
