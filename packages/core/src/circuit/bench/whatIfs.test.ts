import { describe, expect, it } from 'vitest'
import { wirable } from '../../testing/wirable'
import { gainAt } from '../engine/response'
import { compile } from '../engine/solver'
import { toNetlist } from '../model/toNetlist'
import { harnessOf } from '../schemes/harnessOf'
import { whatIfs } from './whatIfs'

const build = wirable({ places: ['neck', 'bridge'], contacts: 'toggle-3', second: true })
const all = whatIfs(build)
const level = (b: typeof build, hertz: number, knobs: Record<string, number> = {}) => {
  const made = harnessOf(b)
  if (!made.ok) throw new Error('no harness')
  const load = { cable: b.circuit.cable * 100e-12, amplifier: 1e6 }
  return gainAt(compile(toNetlist(made.harness, { switches: { switch: 1 }, knobs }, load)), hertz)
}
const variant = (id: string) => all.find((w) => w.id === id)!.build

describe('what if one thing were otherwise', () => {
  it('names each once, and none that is as it is now: 22 n, 500 k, 5 m', () => {
    expect(new Set(all.map((w) => w.id)).size).toBe(all.length)
    expect(all.filter((w) => / 22 n$| 500 k$| 5 m$/.test(w.label))).toEqual([])
  })
  it('each is a circuit', () => {
    for (const w of all) expect(harnessOf(w.build).ok, w.label).toBe(true)
  })
  it('moves the right way: a larger pot peaks higher, a longer cable is duller on top, a larger capacitor darker at 0', () => {
    expect(level(variant('pot-volume 1000000'), 3500)).toBeGreaterThan(level(build, 3500))
    expect(level(variant('pot-volume 250000'), 3500)).toBeLessThan(level(build, 3500))
    expect(level(variant('cable 10'), 8000)).toBeLessThan(level(build, 8000))
    expect(level(variant('capacitor 4.7e-8'), 600, { tone: 0 })).toBeLessThan(level(build, 600, { tone: 0 }))
  })
})
