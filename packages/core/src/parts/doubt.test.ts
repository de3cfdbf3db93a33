import { describe, expect, it } from 'vitest'
import { dice } from '../quantity/dice'
import { startingDoubt, waysToKnow } from './doubt'
import type { Kind } from './kind'
import { KINDS } from './kinds/index'

const everySize = Object.values(KINDS).flatMap((kind: Kind) => Object.entries(kind.sizes).map(([size, spec]) => ({ kind, size, spec })))
const of = (kind: keyof typeof KINDS, size: string, known: Parameters<typeof startingDoubt>[2], value: number) =>
  startingDoubt((KINDS[kind] as Kind).sizes[size]!, KINDS[kind].trade, known, value)

describe('the doubt a size starts from', () => {
  it('nothing that is not counted is known exactly, at any value, however it is known', () => {
    const at = dice(7)
    for (const { kind, size, spec } of everySize.filter(({ spec: s }) => s.unit !== 'count'))
      for (const known of waysToKnow(spec.unit))
        for (const value of [spec.min, spec.max, Math.min(spec.max, Math.max(spec.min, 0)), spec.min + at() * (spec.max - spec.min)])
          if (value !== 0 || spec.unit === 'mm' || spec.unit === 'deg' || spec.unit === 'g')
            expect(startingDoubt(spec, kind.trade, known, value), `${kind.kind}/${size} ${known} ${value}`).toBeGreaterThan(0)
  })
  it('calipers are as good as they are as far as they open; what is longer is known no better than along a rule', () => {
    expect(of('body', 'route.bridge.centre', 'calipers', 150)).toBe(0.05)
    expect(of('body', 'route.bridge.centre', 'calipers', 150.1)).toBe(0.3)
    expect(of('neck', 'scale', 'calipers', 647.7)).toBe(0.3)
    expect(of('bridge', 'travel.back', 'calipers', -16)).toBe(0.05)
  })
  it('a count is a count', () => {
    for (const { kind, spec } of everySize.filter(({ spec: s }) => s.unit === 'count'))
      for (const known of waysToKnow(spec.unit)) expect(startingDoubt(spec, kind.trade, known, spec.max)).toBe(0)
  })
  it('a seller’s word is never better than a reading of the same thing', () => {
    for (const { kind, size, spec } of everySize) {
      const [best] = waysToKnow(spec.unit)
        .slice(0, -2)
        .map((k) => startingDoubt(spec, kind.trade, k, spec.max))
        .toSorted((a, b) => a - b)
      expect(startingDoubt(spec, kind.trade, 'listed', spec.max), `${kind.kind}/${size}`).toBeGreaterThanOrEqual(best!)
    }
  })
  it.each([
    // A pocket said to be flat: 0.8 mm of doubt at either of two heights 75 mm apart, atan(0.8 · √2 / 75).
    ['body', 'pocket.tilt', 'listed', 0, 0.8642],
    ['body', 'pocket.tilt', 'calipers', 0, 0.1],
    ['body', 'pocket.tilt', 'rule', 1.5, 0.3241],
    // Pockets are found between −1 and 1.5°: half of what is further from 0.
    ['body', 'pocket.tilt', 'assumed', 0, 0.75],
    ['body', 'mass', 'scale', 1900, 19],
    ['tuners', 'mass', 'scale', 30, 2],
    ['body', 'mass', 'listed', 1900, 190],
    ['springs', 'pull', 'scale', 60, 3],
    ['pot', 'resistance', 'meter', 250e3, 2500],
    ['neck', 'heel.widthMouth', 'listed', 56, 0.8],
    ['bridge', 'studSpacing', 'calipers', 74, 0.05],
  ] as const)('%s, %s, %s %d: ±%d', (kind, size, known, value, doubt) =>
    expect(of(kind as never, size, known, value)).toBeCloseTo(doubt, 4),
  )
})
