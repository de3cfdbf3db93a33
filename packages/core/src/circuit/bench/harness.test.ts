import { describe, expect, it } from 'vitest'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { dcAtJack, predictReading } from './readings'
import { topology } from './topology'
import { wireList } from './wireList'
import type { Harness } from '../model/harness'
import { toNetlist } from '../model/toNetlist'
import { harnessOf as wired } from '../schemes/harnessOf'

const harnessOf = (b = fullBuild()): Harness => {
  const made = wired(b)
  if (!made.ok) throw new Error(made.missing.join())
  return made.harness
}

const at = (position: number, knobs = {}) => ({ switches: { switch: position }, knobs })

describe('harness of the full build', () => {
  const harness = harnessOf()
  it('every wire ends on a lug of a component there is', () => {
    const ids = new Set(harness.components.map((c) => c.id))
    for (const w of harness.wires) for (const lug of [w.from, w.to]) expect(ids.has(lug.slice(0, lug.lastIndexOf('.'))), lug).toBe(true)
  })
  it('every position sounds something and reads on a meter', () => {
    for (const position of [1, 2, 3, 4, 5]) {
      expect(topology(harness, at(position).switches).sounding.length).toBeGreaterThan(0)
      expect(dcAtJack(harness, at(position))).toBeGreaterThan(1000)
    }
  })
  it('the predicted band holds what a part off by its own doubt would read', () => {
    const b = fullBuild()
    const { ohm, doubt } = predictReading(b, harness, at(1))
    const more = changed(b, { 'pickup-bridge/resistance': 8080 })
    const off = dcAtJack(harnessOf(more), at(1))
    expect(Math.abs(off - ohm)).toBeLessThanOrEqual(doubt)
    expect(doubt).toBeLessThan(ohm * 0.1)
  })
  it('volume down reads less and less, and nothing at zero', () => {
    const read = (volume: number) => dcAtJack(harness, at(3, { volume }))
    expect(read(0)).toBe(0)
    expect(read(10)).toBeGreaterThan(0)
  })
  it('tone does not show on a meter: its capacitor is open', () => {
    const read = (tone: number) => dcAtJack(harness, at(1, { tone }))
    expect(read(0)).toBeCloseTo(read(10), 6)
  })
  it('a meter load is the jack alone; a cable and an amplifier come with a load', () => {
    const bare = toNetlist(harness, at(1)).elements.map((e) => e.ref)
    const loaded = toNetlist(harness, at(1), { cable: 5e-10, amplifier: 1e6 }).elements.map((e) => e.ref)
    expect(bare).not.toContain('cable')
    expect(loaded).toEqual(expect.arrayContaining(['cable', 'amplifier']))
  })
  it('the wire list holds every wire once, in stages that only go forward', () => {
    const rows = wireList(harness)
    expect(rows).toHaveLength(harness.wires.length)
    const order = ['tone capacitor and jumpers', 'controls', 'grounds', 'pickups', 'jack']
    for (let i = 1; i < rows.length; i++) expect(order.indexOf(rows[i]!.stage)).toBeGreaterThanOrEqual(order.indexOf(rows[i - 1]!.stage))
  })
  it('says what is missing', () => {
    const made = wired(without(fullBuild(), 'switch', 'jack'))
    expect(!made.ok && made.missing.toSorted()).toEqual(['jack', 'switch'])
  })
})
