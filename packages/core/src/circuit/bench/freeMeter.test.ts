import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { wirable } from '../../testing/wirable'
import { lugsOf, type Harness } from '../model/harness'
import { harnessOf } from '../schemes/harnessOf'
import { meterBetween } from './freeMeter'
import { dcAtJack } from './readings'

const wired = (options: Record<string, string> = {}): Harness => {
  const made = harnessOf(wirable({ places: ['neck', 'bridge'], contacts: 'toggle-3', second: true, options }))
  if (!made.ok) throw new Error('no harness')
  return made.harness
}
const harness = wired()
const at = (position: number, knobs: Record<string, number> = {}) => ({ switches: { switch: position }, knobs })

describe('two probes anywhere', () => {
  it('on tip and sleeve it reads what the jack does', () => {
    for (const p of [1, 2, 3]) expect(meterBetween(harness, at(p), 'jack.tip', 'jack.sleeve').ohm).toBeCloseTo(dcAtJack(harness, at(p)), 6)
  })
  it('beeps along a wire, is silent on the far side of an open switch', () => {
    expect(meterBetween(harness, at(1), 'case.1', 'jack.sleeve').beeps).toBe(true)
    const far = meterBetween(harness, at(3), 'switch.A1', 'switch.A2')
    expect(far.beeps).toBe(false)
    expect(far.says).toMatch(/no beep/)
  })
  it('a capacitance range shows the capacitor: 22 n, its pot at 0 and the pickup switched off beside it does not hide it', () => {
    const c = meterBetween(harness, at(1), 'cap.1', 'cap.2')
    expect(c.ohm).toBeGreaterThan(100e3)
    expect(c.farad! / 22e-9).toBeCloseTo(1, 1)
  })
  it('beside a pot’s track, or with nothing between the probes, there is none to show', () => {
    expect(meterBetween(harness, at(1), 'volume.1', 'volume.3').farad).toBeUndefined()
    expect(meterBetween(harness, at(1), 'case.1', 'jack.sleeve').farad).toBeUndefined()
  })
  it('across a coil it shows no capacitance, however it is held', () => {
    expect(meterBetween(harness, at(1), 'bridge.start', 'bridge.finish').farad).toBeUndefined()
    expect(meterBetween(harness, at(1), 'bridge.finish', 'bridge.start').farad).toBeUndefined()
  })
  it('is the same with the probes changed, between any two lugs', () => {
    const lug = fc.constantFrom(...harness.components.flatMap(lugsOf))
    fc.assert(
      fc.property(lug, lug, fc.integer({ min: 1, max: 3 }), fc.double({ min: 0, max: 10, noNaN: true }), (a, b, p, turn) => {
        const [one, other] = [meterBetween(harness, at(p, { volume: turn }), a, b), meterBetween(harness, at(p, { volume: turn }), b, a)]
        if (one.ohm === Infinity) expect(other.ohm).toBe(Infinity)
        else expect(Math.abs(one.ohm - other.ohm)).toBeLessThanOrEqual(1e-6 * one.ohm + 1e-6)
        expect(one.beeps).toBe(other.beeps)
      }),
      { numRuns: 200 },
    )
  })
})
