import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { aPart } from '../../testing/bench'
import { wirable } from '../../testing/wirable'
import { candidates } from '../faults/candidates'
import { harnessOf } from '../schemes/harnessOf'
import { wireList } from './wireList'
import { benchTests } from '../faults/benchTests'
import { wiringNotes, type WiringNote } from './wiringNotes'

const harness = (build: Build) => {
  const made = harnessOf(build)
  if (!made.ok) throw new Error('no harness')
  return made.harness
}
const note = (build: Build, id: WiringNote['id']) => wiringNotes(build, harness(build)).find((n) => n.id === id)
const withPart = (build: Build, slot: 'shielding' | 'harness', traits: Record<string, string>): Build => ({
  ...build,
  parts: { ...build.parts, [slot]: aPart(slot, {}, traits) },
})
const trio = wirable({ places: ['neck', 'middle', 'bridge'], contacts: 'lever-5' })
const hums = wirable({ places: ['neck', 'bridge'], contacts: 'toggle-3', two: ['neck', 'bridge'] })

describe('what the bench asks for beside the wires', () => {
  it('shielding is worth it where a position hums, and no difference where none does', () => {
    // The singles 1, 3 and 5; between them a reverse-wound middle leaves the difference of two unlike coils.
    expect(note(trio, 'shield')!.says[0]).toMatch(/^Worth it: every position picks up/)
    // Three alike: in 2 and 4 the middle one takes away what the other picks up.
    const { sizes } = trio.parts['pickup-neck']!
    const alike = { ...trio, parts: { ...trio.parts } }
    for (const slot of ['pickup-middle', 'pickup-bridge'] as const) alike.parts[slot] = { ...trio.parts[slot]!, sizes }
    expect(note(alike, 'shield')!.says[0]).toMatch(/^Worth it: positions 1, 3 and 5 pick up/)
    expect(note(hums, 'shield')!.says[0]).toMatch(/^No difference/)
  })
  it('a battery is off its clip while ohms are read, in the notes and in every such test; without one nothing is said of it', () => {
    const active = wirable({ places: ['neck', 'bridge'], contacts: 'toggle-3', active: ['neck', 'bridge'] })
    expect(note(active, 'battery')!.says[0]).toMatch(/^Off its clip for every reading in ohms/)
    const read = (build: Build) => benchTests(harness(build)).filter((t) => t.kind === 'ohms' || t.kind === 'farad')
    expect(read(active).length).toBeGreaterThan(10)
    for (const t of read(active)) expect(t.says).toMatch(/^Battery off its clip\. /)
    for (const t of benchTests(harness(active)).filter((t) => t.kind === 'strum')) expect(t.says).not.toMatch(/Battery/)
    expect(note(hums, 'battery')).toBeUndefined()
    for (const t of benchTests(harness(hums))) expect(t.says).not.toMatch(/Battery/)
  })
  it('of shielding that nobody said is foil or paint it says neither’s work', () => {
    const says = (traits: Record<string, string>) => note(withPart(trio, 'shielding', traits), 'shield')!.says.join(' ')
    expect(says({})).toMatch(/say which under Parts/)
    expect(says({})).not.toMatch(/overlap|coats/)
    expect(says({ type: 'foil' })).toMatch(/overlap/)
    expect(says({ type: 'paint' })).toMatch(/coats/)
  })
  it('paint and foil are told apart, and both name the live lugs to tape and no grounded one', () => {
    const paint = note(withPart(trio, 'shielding', { type: 'paint' }), 'shield')!
    const foil = note(withPart(trio, 'shielding', { type: 'foil' }), 'shield')!
    expect(paint.says.join(' ')).toMatch(/before anything is wired.*corner to corner/)
    expect(foil.says.join(' ')).toMatch(/they scrape it open/)
    for (const n of [paint, foil]) {
      const tape = n.says.find((s) => s.startsWith('Foil and paint conduct'))!
      expect(tape).toMatch(/volume, lug 3/)
      expect(tape).not.toMatch(/volume, lug 1|case/)
      // A switch's and the jack's live lugs too, each once; a pickup's leads have their own skin.
      expect(tape).toMatch(/selector/)
      expect(tape).toMatch(/jack, tip/)
      expect(tape).not.toMatch(/start|finish|capacitor/)
      const named = tape
        .replace(/^.*near it: /, '')
        .replace(/\.$/, '')
        .split('; ')
      expect(new Set(named).size).toBe(named.length)
    }
  })
  it('without shielding a switch’s long run is wrapped; where there is no switch nothing is said of it', () => {
    expect(note(trio, 'shield')!.says.join(' ')).toMatch(/long run to a far switch/)
    const one = note(wirable({ places: ['bridge'] }), 'shield')!
    expect(one.says).toHaveLength(1)
    expect(one.says[0]).toMatch(/^Worth it: this circuit picks up/)
  })
  it('counts the joints on pots’ cases: they want the big iron', () => {
    const onCases = harness(trio).wires.filter((w) => /case\.1$/.test(w.from) || /case\.1$/.test(w.to)).length
    expect(note(trio, 'iron')!.says[0]).toMatch(new RegExp(`^${onCases} joints are`))
  })
  it('three pickups on three positions: which sound where is said', () => {
    expect(note(wirable({ places: ['neck', 'middle', 'bridge'], contacts: 'lever-3' }), 'which-where')!.says).toEqual([
      'Position 1: bridge.',
      'Position 2: middle.',
      'Position 3: neck.',
    ])
    expect(note(hums, 'which-where')).toBeUndefined()
  })
})

describe('a harness with plugs', () => {
  const plugged = withPart(trio, 'harness', { joined: 'plugs' })
  it('has nothing to solder at the pickups, and a plug half home is a fault of its own', () => {
    const rows = wireList(harness(plugged))
    expect(rows.filter((r) => r.plug).every((r) => r.stage === 'pickups')).toBe(true)
    expect(rows.filter((r) => r.plug).length).toBe(rows.filter((r) => r.stage === 'pickups').length)
    const says = candidates(harness(plugged)).map((f) => f.says)
    expect(says.some((s) => /half home.*neck, finish/.test(s))).toBe(true)
    expect(says.some((s) => /never soldered: neck, finish/.test(s))).toBe(false)
    expect(note(plugged, 'plugs')).toBeDefined()
    expect(note(trio, 'plugs')).toBeUndefined()
  })
})
