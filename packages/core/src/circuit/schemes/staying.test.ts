import { describe, expect, it } from 'vitest'
import { wirable, type Wanted } from '../../testing/wirable'
import { topology } from '../bench/topology'
import { cabinetOf } from '../faults/rank'
import { ohmTable } from '../engine/ohmTable'
import { toNetlist } from '../model/toNetlist'
import { harnessOf } from './harnessOf'

const PAIR: Wanted = { places: ['neck', 'bridge'], contacts: 'toggle-3', two: ['neck', 'bridge'], leads: 'four', pull: true }
const TRIO: Wanted = { places: ['neck', 'middle', 'bridge'], contacts: 'lever-5x4', two: ['neck', 'bridge'], leads: 'four' }
const made = (w: Wanted, options: Record<string, string>) => {
  const found = harnessOf(wirable({ ...w, options }))
  if (!found.ok) throw new Error('it has all it needs')
  return found
}
const split = (stays: string) => made(PAIR, { pull: 'split', stays }).harness
const at = (switches: Record<string, number>, stays: string) => topology(split(stays), switches)
const ohms = (harness: ReturnType<typeof split>, switches: Record<string, number>) =>
  ohmTable(toNetlist(harness, { switches, knobs: {} }).elements)('jack.tip', 'jack.sleeve')

describe('which coil of a parted humbucker stays', () => {
  it('is the one that was chosen, of either', () => {
    const words = (stays: string) => [1, 3].map((position) => at({ switch: position, 'tone-pull': 2 }, stays).words)
    expect(words('neck')).toEqual(['bridge, coil nearer the neck', 'neck, coil nearer the neck'])
    expect(words('bridge')).toEqual(['bridge, coil nearer the bridge', 'neck, coil nearer the bridge'])
    expect(words('apart')).toEqual(['bridge, coil nearer the bridge', 'neck, coil nearer the neck'])
  })
  it('whole they are what they were: in step, quiet, of the same resistance', () => {
    for (const position of [1, 2, 3]) {
      const switches = { switch: position, 'tone-pull': 1 }
      for (const stays of ['bridge', 'apart']) {
        const whole = at(switches, stays)
        // Read from the other end, its coils are named the other way round.
        expect(whole.sounding.toSorted()).toEqual(at(switches, 'neck').sounding.toSorted())
        expect(whole.words).not.toMatch(/against/)
        expect(whole.hum).toBeLessThan(-40)
        expect(ohms(split(stays), switches)).toBeCloseTo(ohms(split('neck'), switches), 6)
      }
    }
  })
  it('two alike hum together, one of each is quiet: 8800 and 7400 leave (8800 - 7400)/16200, -21 dB', () => {
    const both = { switch: 2, 'tone-pull': 2 }
    expect(at(both, 'neck').hum).toBeGreaterThan(-1)
    expect(at(both, 'bridge').hum).toBeGreaterThan(-1)
    expect(at(both, 'apart').hum).toBeCloseTo(20 * Math.log10(1400 / 16200), 0)
    for (const stays of ['neck', 'bridge', 'apart']) expect(at(both, stays).words).not.toMatch(/against/)
  })
  it('beside a middle pickup wound the other way the coil nearer the bridge is the quiet one', () => {
    const hum = (stays: string) => [2, 4].map((position) => topology(made(TRIO, { tap: 'tap', stays }).harness, { switch: position }).hum)
    for (const each of hum('neck')) expect(each).toBeGreaterThan(-1)
    for (const each of hum('bridge')) expect(each).toBeLessThan(-10)
  })
  it('is asked only where a coil is parted, and said why where it cannot be chosen', () => {
    const notes = (w: Wanted, options: Record<string, string>) => made(w, options).notes.join(' ')
    expect(notes(PAIR, { stays: 'bridge' })).toMatch(/The coil that stays: no coil is put to ground here\./)
    expect(notes({ ...PAIR, leads: 'three' }, { pull: 'split', stays: 'bridge' })).toMatch(/fewer than four leads/)
    expect(notes({ ...PAIR, two: ['bridge'] }, { pull: 'split', stays: 'apart' })).toMatch(/not two humbuckers with four leads/)
    expect(notes(PAIR, { pull: 'split', stays: 'apart' })).not.toMatch(/The coil that stays/)
  })
  it('their joint touching ground is a fault whichever stays', () => {
    for (const stays of ['neck', 'bridge', 'apart']) {
      const c = cabinetOf(split(stays))
      const i = c.faults.findIndex((f) => f?.id === 'link-grounded bridge')
      const k = c.tests.findIndex((t) => t.id === 'ohms jack.tip jack.sleeve 1')
      // One coil of 4.4 k beside 500 k, where both are 8.8.
      expect(c.shown[i]![k], stays).toBeCloseTo(1 / (1 / 4400 + 1 / 500e3), -1)
    }
  })
})
