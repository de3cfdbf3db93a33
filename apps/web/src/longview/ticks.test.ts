import { describe, expect, it } from 'vitest'
import { ticks } from './ticks'

describe('rule', () => {
  it('labels whole steps and never crowds', () => {
    for (const system of ['mm', 'in'] as const)
      for (const scale of [0.2, 0.7, 2, 9]) {
        const all = ticks(-200, 780, scale, system)
        for (let i = 1; i < all.length; i++) expect((all[i]!.at - all[i - 1]!.at) * scale).toBeGreaterThanOrEqual(5.9)
        expect(all.some((t) => t.label === '0' && t.at === 0)).toBe(true)
      }
  })
  it('an inch is 25.4 mm on it', () => {
    const marks = ticks(0, 300, 2, 'in').filter((t) => t.label)
    for (const t of marks)
      expect(t.at / Number(t.label || 1)).toSatisfy((x: number) => Number.isNaN(x) || Math.abs(x - 25.4) < 1e-9 || t.at === 0)
  })
})
