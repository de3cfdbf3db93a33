import { describe, expect, it } from 'vitest'
import { wirable } from '../../testing/wirable'
import { harnessOf } from '../schemes/harnessOf'
import { lugOhms } from './readings'

const made = harnessOf(wirable({ places: ['neck', 'bridge'], contacts: 'toggle-3' }))
if (!made.ok) throw new Error('no harness')
const { harness } = made
const at = { switches: { switch: 1 }, knobs: {} }
const idle = { ...harness, wires: harness.wires.filter((w) => ![w.from, w.to].some((l) => l.startsWith('volume.'))) }

describe('a meter between two lugs', () => {
  it('asks for lugs there are, either of them', () => {
    expect(() => lugOhms(harness, at, ['volume.9', 'jack.tip'])).toThrow('The harness has no lug called volume.9.')
    expect(() => lugOhms(harness, at, ['jack.tip', 'nowhere'])).toThrow('The harness has no lug called nowhere.')
  })
  it('on one and the same it reads nothing at all', () => expect(lugOhms(harness, at, ['cap.1', 'cap.1'])).toBe(0))
  it('a pot out of the circuit still has its track: 500 k between its ends, open to the jack from either side', () => {
    expect(lugOhms(idle, at, ['volume.1', 'volume.3'])).toBeCloseTo(500e3, -1)
    expect(lugOhms(idle, at, ['volume.3', 'jack.tip'])).toBe(Infinity)
    expect(lugOhms(idle, at, ['jack.tip', 'volume.3'])).toBe(Infinity)
  })
  it('a capacitor is open to it, whichever end is touched', () => {
    const loose = { ...harness, wires: harness.wires.filter((w) => ![w.from, w.to].some((l) => l === 'cap.1')) }
    expect(lugOhms(loose, at, ['cap.1', 'jack.sleeve'])).toBe(Infinity)
    expect(lugOhms(loose, at, ['jack.sleeve', 'cap.1'])).toBe(Infinity)
  })
})
