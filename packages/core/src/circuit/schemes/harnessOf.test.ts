import { describe, expect, it } from 'vitest'
import { aBuild, aPart } from '../../testing/bench'
import { untold } from '../../testing/anyBuild'
import { changed, fullBuild } from '../../testing/fullBuild'
import { dcAtJack } from '../bench/readings'
import { topology } from '../bench/topology'
import { wireList } from '../bench/wireList'
import { harnessOf } from './harnessOf'

const coil = (slot: 'pickup-neck' | 'pickup-middle' | 'pickup-bridge', ohm: number, coils = 'single') =>
  aPart(
    slot,
    { length: 36, width: 70, resistance: [ohm, 'meter', ohm / 100], inductance: [4, 'listed', 0.4] },
    { coils, sense: 'plain', circuit: 'passive' },
  )
const pot = (slot: 'pot-volume' | 'pot-tone', ohm = 500e3) => aPart(slot, { resistance: [ohm, 'meter', ohm / 100] }, { taper: 'audio' })
const build = (contacts: string, ohm = 500e3, middle = true) =>
  aBuild({
    'pickup-neck': coil('pickup-neck', 8000),
    'pickup-bridge': coil('pickup-bridge', 8800),
    ...(middle ? { 'pickup-middle': coil('pickup-middle', 6000) } : {}),
    'pot-volume': pot('pot-volume', ohm),
    'pot-tone': pot('pot-tone', ohm),
    switch: aPart('switch', {}, { contacts }),
    capacitor: aPart('capacitor', { capacitance: [22e-9, 'listed', 2e-9] }),
    jack: aPart('jack', {}, { contacts: 'mono' }),
  })
const harness = (b: ReturnType<typeof build>) => {
  const made = harnessOf(b)
  if (!made.ok) throw new Error(made.missing.join(', '))
  return made.harness
}
const at = (position: number, knobs = {}) => ({ switches: { switch: position }, knobs })
const parallel = (...r: number[]) => 1 / r.reduce((s, x) => s + 1 / x, 0)

describe('two pickups on a toggle', () => {
  const h = harness(build('toggle-3', 500e3, false))
  it('bridge, both, neck', () =>
    expect([1, 2, 3].map((p) => topology(h, at(p).switches).words)).toEqual(['bridge', 'neck ‖ bridge', 'neck']))
  it('reads pickup parallel to volume pot at the jack [physics]', () => {
    expect(dcAtJack(h, at(1))).toBeCloseTo(parallel(8800, 500e3), 3)
    expect(dcAtJack(h, at(2))).toBeCloseTo(parallel(8800, 8000, 500e3), 3)
    expect(dcAtJack(h, at(3))).toBeCloseTo(parallel(8000, 500e3), 3)
  })
  it('volume at nothing shorts the jack', () => expect(dcAtJack(h, at(2, { volume: 0 }))).toBe(0))
  it('needs no middle pickup', () => expect(h.components.some((c) => c.is === 'coil' && c.pickup === 'middle')).toBe(false))
})

describe('DC at the jack, all at 10 [physics]', () => {
  it.each([
    [250e3, 8501],
    [500e3, 8648],
    [1e6, 8723],
  ])('8.80 k with a %f ohm volume pot', (ohm, reads) => expect(dcAtJack(harness(build('lever-5', ohm)), at(1))).toBeCloseTo(reads, 0))
})

describe('wire list', () => {
  const rows = wireList(harness(build('lever-5')))
  it('numbers from one, jack last, capacitor and jumpers first', () => {
    expect(rows.map((r) => r.number)).toEqual(rows.map((_, i) => i + 1))
    expect(rows[0]!.stage).toBe('tone capacitor and jumpers')
    expect(rows.at(-1)!.stage).toBe('jack')
  })
  it('every ground is green, and every length between places that are known ends on 5 mm', () => {
    const known = wireList(harness(fullBuild()))
    expect(new Set(known.filter((x) => x.role === 'ground').map((x) => x.colour)).size).toBe(1)
    for (const r of known) {
      expect(r.length! % 5, r.from).toBe(0)
      expect(r.length!).toBeGreaterThanOrEqual(25)
    }
  })
  it('to a place that nobody has said no wire is cut', () => {
    const guessed = changed(fullBuild())
    const size = guessed.parts.body!.sizes['route.neck.centre']!
    guessed.parts.body!.sizes['route.neck.centre'] = { ...size, known: 'assumed' }
    for (const r of wireList(harness(guessed)))
      expect(r.length === undefined, `${r.from} to ${r.to}`).toBe(/^neck/.test(r.from) || /^neck/.test(r.to))
    // Here nobody has said anything: only a bridge between two lugs of one part has a length.
    const nothing = rows.filter((r) => r.length !== undefined)
    for (const r of nothing) expect(r.from.split(',')[0]).toBe(r.to.split(',')[0])
    expect(nothing.length).toBeLessThan(rows.length)
  })
})

describe('what is missing', () => {
  it('is named by slot', () => {
    const b = build('lever-5', 500e3, false)
    delete b.parts.jack
    const made = harnessOf(b)
    expect(!made.ok && made.missing.toSorted()).toEqual(['jack'])
  })
})

describe('what nobody has told of a pickup', () => {
  const full = fullBuild()
  const wired = harnessOf(full)
  it('whether it is passive and whether it has one coil or two is asked before it is wired: a humbucker drawn as a single coil is another circuit', () => {
    expect(wired.ok).toBe(true)
    for (const trait of ['circuit', 'coils']) {
      const unsaid = harnessOf(untold(full, 'traits', 'pickup-bridge', trait))
      expect(unsaid).toEqual({ ok: false, missing: [], untold: [{ slot: 'pickup-bridge', trait }] })
    }
  })
  it('of an active one the jack is asked for, once: with two contacts its battery is never off', () => {
    const active = (['neck', 'middle', 'bridge'] as const).reduce((b, p) => changed(b, {}, { [`pickup-${p}/circuit`]: 'active' }), full)
    const fed = { ...active, parts: { ...active.parts, battery: aPart('battery', { length: 50 }) } }
    const unsaid = harnessOf(untold(fed, 'traits', 'jack', 'contacts'))
    expect(unsaid).toEqual({ ok: false, missing: [], untold: [{ slot: 'jack', trait: 'contacts' }] })
  })
  it('how many leads a humbucker has is said where nobody told it', () => {
    const notes = (build: Parameters<typeof harnessOf>[0]) => {
      const made = harnessOf(build)
      return made.ok ? made.notes.filter((n) => /how many leads/.test(n)) : []
    }
    const two = changed(full, {}, { 'pickup-bridge/coils': 'two', 'pickup-bridge/leads': 'two' })
    expect(notes(two)).toEqual([])
    expect(notes(untold(two, 'traits', 'pickup-bridge', 'leads'))).toEqual([
      expect.stringMatching(/^Nobody has said how many leads the bridge pickup has; it is wired as with two\./),
    ])
  })
  it('which way one of several is wound is said where nobody told it, and of a single pickup never', () => {
    const notes = (build: Parameters<typeof harnessOf>[0]) => {
      const made = harnessOf(build)
      return made.ok ? made.notes.filter((n) => /wound/.test(n)) : []
    }
    expect(notes(full)).toEqual([])
    expect(notes(untold(full, 'traits', 'pickup-middle', 'sense'))).toEqual([
      expect.stringMatching(/^Nobody has said how this pickup is wound: middle\./),
    ])
  })
})
