import { describe, expect, it } from 'vitest'
import { changed, fullBuild } from '../../testing/fullBuild'
import { frequencies, sweep } from '../engine/response'
import { compile } from '../engine/solver'
import { toNetlist } from '../model/toNetlist'
import { harnessOf } from '../schemes/harnessOf'
import { toleranceBand } from './toleranceBand'

const LOAD = { cable: 5e-10, amplifier: 1e6 }
const HERTZ = frequencies(60)
const band = (build = fullBuild(), setting = { switches: { switch: 1 }, knobs: {} }) => {
  const made = harnessOf(build)
  if (!made.ok) throw new Error('missing')
  return {
    ...toleranceBand(build, made.harness, setting, LOAD, HERTZ, 150),
    nominal: sweep(compile(toNetlist(made.harness, setting, LOAD)), HERTZ),
  }
}
const width = (b: { low: Float64Array; high: Float64Array }) => Math.max(...b.low.map((l, i) => b.high[i]! - l))

describe('the band of a response', () => {
  it('holds the curve of the parts as listed, and is the same for the same seed', () => {
    const b = band()
    b.nominal.forEach((n, i) => {
      expect(n).toBeGreaterThan(b.low[i]! - 0.05)
      expect(n).toBeLessThan(b.high[i]! + 0.05)
    })
    expect([...band().low]).toEqual([...b.low])
  })
  /** Every electric size of the parts as surely known as that share of it. */
  const known = (share: number) => {
    const build = changed(fullBuild())
    for (const slot of ['pot-volume', 'pot-tone', 'pickup-bridge'] as const)
      for (const [size, s] of Object.entries(build.parts[slot]!.sizes))
        if (/resist|induct|capac/.test(size)) build.parts[slot]!.sizes[size] = { ...s, doubt: s.value * share }
    return build
  }
  it('of parts a fifth off it is narrow at the low end and widest about the peak', () => {
    const b = band(known(0.2))
    expect(b.high[0]! - b.low[0]!).toBeLessThan(0.6)
    expect(width(b)).toBeGreaterThan(1.5)
  })
  it('parts that were measured make it narrower', () => expect(width(band(known(0.001)))).toBeLessThan(width(band(known(0.2))) / 2))
})
