import { describe, expect, it } from 'vitest'
import { fullBuild } from '../testing/fullBuild'
import { partProblems, printValue, whyNotValue } from './check'
import { bandOf, usualOf } from './kind'
import { KINDS, KIND_NAMES } from './kinds/index'
import type { Part } from './part'
import { isSlot, SLOTS, slotSpec } from './slots'

const calipers = (value: number) => ({ value, doubt: 0.05, known: 'calipers' as const })
const part = (kind: Part['kind'], sizes: Part['sizes'] = {}, traits: Record<string, string> = {}): Part => ({
  kind,
  name: kind,
  state: 'in hand',
  sizes,
  traits,
})

describe.each(KIND_NAMES.map((k) => [k] as const))('kind %s', (name) => {
  const kind = KINDS[name]
  it('what is drawn where nobody knows is usual, or in the middle of what is found', () => {
    for (const [key, spec] of Object.entries(kind.sizes)) {
      const { low, high } = bandOf(spec)
      expect(usualOf(spec), key).toBeCloseTo(spec.usual ?? low + (high - low) / 2, 9)
      expect(usualOf(spec), key).toBeGreaterThanOrEqual(spec.min)
      expect(usualOf(spec), key).toBeLessThanOrEqual(spec.max)
    }
  })
  it('usual values lie within what is allowed', () => {
    for (const [key, spec] of Object.entries(kind.sizes)) {
      expect(spec.min, key).toBeLessThan(spec.max)
      if (spec.usual !== undefined) expect(whyNotValue(spec, spec.usual), key).toBeUndefined()
    }
  })
  it('no two sizes share a label, no two options a word', () => {
    const labels = Object.values(kind.sizes).map((s) => s.label)
    expect(new Set(labels).size).toBe(labels.length)
    for (const trait of Object.values(kind.traits)) {
      expect(trait.options.length).toBeGreaterThan(1)
      expect(new Set(trait.options.map(([v]) => v)).size).toBe(trait.options.length)
    }
  })
  it('a size out of range says what it is, what was read and what is allowed', () => {
    for (const spec of Object.values(kind.sizes)) {
      const why = whyNotValue(spec, spec.max * 2 + 1)!
      expect(why).toContain(spec.label)
      expect(why).toContain(printValue(spec.max, spec.unit))
      expect(whyNotValue(spec, NaN)).toMatch(/is not a number/)
    }
  })
})

describe('slots', () => {
  it('each takes a kind there is, and is named once', () => {
    for (const s of SLOTS) expect(KINDS[s.kind], s.slot).toBeDefined()
    expect(new Set(SLOTS.map((s) => s.slot)).size).toBe(SLOTS.length)
    expect(new Set(SLOTS.map((s) => s.label)).size).toBe(SLOTS.length)
  })
  it('names are known or not', () => {
    expect(isSlot('body')).toBe(true)
    expect(isSlot('toString')).toBe(false)
    expect(slotSpec('pot-tone').kind).toBe('pot')
  })
})

describe('problems of a part', () => {
  it('a good one has none', () => {
    for (const p of Object.values(fullBuild().parts)) expect(partProblems(p!)).toEqual([])
  })
  it('a kind nobody knows', () => expect(partProblems({ ...part('body'), kind: 'sandwich' as 'body' })[0]!.why).toMatch(/"sandwich"/))
  it('a size or property the kind does not have', () => {
    expect(partProblems(part('nut', { 'pocket.depth': calipers(3) }))[0]).toMatchObject({ path: 'sizes.pocket.depth' })
    expect(partProblems(part('nut', {}, { wood: 'ash' }))[0]!.why).toMatch(/Nut has no property called "wood"/)
    expect(partProblems(part('body', {}, { wood: 'cheese' }))[0]!.why).toMatch(/cannot be "cheese"; choose hard-maple/)
  })
  it('names every object has are no sizes', () => {
    expect(partProblems(part('nut', { constructor: calipers(1) } as Part['sizes']))[0]!.why).toMatch(/no size called "constructor"/)
  })
  it('a doubt as wide as the range is one', () => {
    const { min, max } = KINDS.nut.sizes.width!
    expect(partProblems(part('nut', { width: { value: 3.3, doubt: max - min, known: 'calipers' } }))).toEqual([])
  })
  it('a doubt wider than the range, or below nothing', () => {
    for (const doubt of [-1, 1e4, NaN])
      expect(partProblems(part('nut', { width: { value: 3.3, doubt, known: 'calipers' } }))[0]!.why).toMatch(
        /doubt of width, along the strings must lie/,
      )
  })
  it('outline rows that go backwards, and outlines on what carries none', () => {
    const row = (x: number) => ({ x, bass: 10, treble: 10 })
    expect(partProblems({ ...part('body'), outline: [row(0), row(10), row(5)] })[0]).toMatchObject({ path: 'outline.2.x' })
    expect(partProblems({ ...part('nut'), outline: [row(0), row(1), row(2)] })[0]!.why).toMatch(/carries no outline/)
  })
  it('counts are whole', () => expect(partProblems(part('tuners', { count: calipers(5.5) }))[0]!.why).toMatch(/must be a whole number/))
  it('each unit prints in its own way', () => {
    expect([
      printValue(41.3, 'mm'),
      printValue(250e3, 'ohm'),
      printValue(22e-9, 'farad'),
      printValue(4.2, 'henry'),
      printValue(640.4, 'g'),
      printValue(41, 'newton'),
      printValue(0.249, 'deg'),
      printValue(6, 'count'),
    ]).toEqual(['41.3 mm', '250 k', '22 nF', '4.2 H', '640 g', '41 N', '0.25°', '6'])
  })
})
