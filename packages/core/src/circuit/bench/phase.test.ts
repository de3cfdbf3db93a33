import { describe, expect, it } from 'vitest'
import { wirable, type Wanted } from '../../testing/wirable'
import { PAIR } from '../../testing/wirings'
import type { Harness } from '../model/harness'
import { harnessOf } from '../schemes/harnessOf'
import { topology } from './topology'

const harness = (w: Wanted): Harness => {
  const made = harnessOf(wirable(w))
  if (!made.ok) throw new Error('no harness')
  return made.harness
}
/** With some coils otherwise. */
const changed = (h: Harness, coil: string, to: Partial<{ magnet: 1 | -1; winding: 1 | -1; ohm: number }>): Harness => ({
  ...h,
  components: h.components.map((c) => (c.is === 'coil' && c.id === coil ? { ...c, ...to } : c)),
})
const words = (h: Harness, position: number) => topology(h, { switch: position }).words

describe('which coils take away from each other', () => {
  const pair = harness(PAIR)
  it('wound the other way over the same magnet it does; with both turned it adds again', () => {
    expect(words(pair, 2)).toBe('neck ‖ bridge')
    expect(words(changed(pair, 'neck', { winding: -1 }), 2)).toBe('neck ‖ bridge, out of phase')
    expect(words(changed(pair, 'neck', { magnet: -1 }), 2)).toBe('neck ‖ bridge, out of phase')
    expect(words(changed(pair, 'neck', { magnet: -1, winding: -1 }), 2)).toBe('neck ‖ bridge')
    expect(words(changed(pair, 'bridge', { winding: -1 }), 2)).toBe('neck ‖ bridge, out of phase')
  })
  it('alone it sounds as it should', () => {
    expect(words(changed(pair, 'neck', { winding: -1 }), 3)).toBe('neck')
    expect(words(changed(pair, 'neck', { winding: -1 }), 1)).toBe('bridge')
  })
  it('a fifth of the loudest takes nothing away that is heard: in parallel each gives by what the other loads it with', () => {
    // Neck of R beside 8.8 k: it gives 8.8 for the bridge's R. 40 k leave 0.22 of it, 50 k 0.176.
    const turned = (ohm: number) => words(changed(pair, 'neck', { winding: -1, ohm }), 2)
    expect(turned(40e3)).toBe('neck ‖ bridge, out of phase')
    expect(turned(50e3)).toBe('neck ‖ bridge')
  })
  it('one coil of a humbucker turned over is out of phase with its other', () => {
    const hum = harness({ ...PAIR, two: ['neck', 'bridge'], leads: 'four' })
    expect(words(hum, 1)).toBe('bridge, both coils in series')
    expect(words(changed(hum, 'bridge-a', { magnet: 1 }), 1)).toBe('bridge, both coils in series, out of phase')
  })
})
