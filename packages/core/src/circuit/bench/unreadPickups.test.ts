import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { evaluate } from '../../evaluate/evaluate'
import { KINDS } from '../../parts/kinds/index'
import type { Slot } from '../../parts/slots'
import { sheetsOf } from '../../stations/things'
import { fullBuild } from '../../testing/fullBuild'
import { expected } from '../faults/checkList'
import { isVague, readingWords } from './readings'

/** A build to begin with: its pickups read what such pickups usually read, as far as anyone knows. */
function usualPickups(usual: number): Build {
  const b = structuredClone(fullBuild())
  const { min, max } = KINDS.pickup.sizes.resistance!
  for (const slot of ['pickup-neck', 'pickup-middle', 'pickup-bridge'] as Slot[])
    if (b.parts[slot]) b.parts[slot].sizes.resistance = { value: usual, doubt: (max - min) / 2, known: 'assumed' }
  return b
}
const wired = (b: Build) => {
  const { wire } = evaluate(b, '2026-11-28')
  if (!wire.ok) throw new Error('not wired')
  return wire
}

describe('pickups nobody has read', () => {
  it('no figure stands on what is only usual: neither at the jack, nor after a wire, nor on paper', () => {
    const words = [6000, 9000].map((usual) => {
      const b = usualPickups(usual)
      const wire = wired(b)
      for (const p of wire.positions) expect(readingWords(p.reading)).toBe('not known yet')
      const tables = sheetsOf(b, evaluate(b, '2026-11-28'))
        .filter((s) => s.station === 'wire')
        .map((s) => JSON.stringify(s.blocks.map((block) => ('drawing' in block ? '' : block))))
      return JSON.stringify([wire.wires.map((w) => w.check), tables])
    })
    expect(words[0]).toBe(words[1])
    expect(words[0]).toMatch(/a reading to the volume case, no beep/)
    expect(words[0]).not.toMatch(/\d k to the volume case/)
  })
  it('with pickups that were read they are there', () => {
    const wire = wired(fullBuild())
    for (const p of wire.positions) expect(readingWords(p.reading)).toMatch(/^\d\.\d\d k ±\d+ Ω$/)
    expect(wire.wires.map((w) => w.check).join()).toMatch(/\d k to the volume case, no beep/)
  })
  it('a short is no vague reading however little it is; half of it is the most a figure may be off', () => {
    expect(isVague({ ohm: 0.5, doubt: 0.4 })).toBe(false)
    expect(isVague({ ohm: 8000, doubt: 4000 })).toBe(false)
    expect(isVague({ ohm: 8000, doubt: 4100 })).toBe(true)
  })
  it('a test’s figure is left open too, but never that it beeps or not', () => {
    expect(expected({}, 8000, 0.02)).toBe('8.00 k ±320 Ω, no beep')
    expect(expected({}, 8000, 0.3)).toBe('a reading, no beep: how much nobody can say yet')
    expect(expected({}, 12, 0.3)).toMatch(/^a beep/)
  })
})
