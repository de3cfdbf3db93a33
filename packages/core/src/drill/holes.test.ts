import { describe, expect, it } from 'vitest'
import { tipCone } from '../physics/pilot'
import { aBuild, aPart, type Sizes } from '../testing/bench'
import { holeCards } from './holes'

const BODY: Sizes = { thickness: 44, 'pocket.length': 76, 'pocket.depth': 16, mouthToBridge: 255 }
const NECK: Sizes = {
  scale: 647.7,
  nutToHeelEnd: 462,
  'heel.thickness': 25.4,
  'head.thickness': 14,
  'tuner.pitch': 25.4,
  'tuner.first': 33,
}
const VIBRATO: Sizes = { studSpacing: 74, studDiameter: 10, studLength: 25, 'height.min': 9, 'height.max': 16, spread: 52.5 }
const card = (build: Parameters<typeof holeCards>[0], id: string) => holeCards(build).find((h) => h.id === id)!

describe('hole cards', () => {
  it('stud bores: bushing less 0.1, two places square to the centre line, flag with the tip cone', () => {
    const b = aBuild({
      body: aPart('body', BODY, { wood: 'alder' }),
      neck: aPart('neck', NECK, { wood: 'hard-maple' }),
      bridge: aPart('bridge', { ...VIBRATO, studDiameter: 10.1 }, { mount: 'two-stud' }),
    })
    const c = card(b, 'stud-bores')
    expect(c.bit).toBe(10)
    expect(c.places.map((p) => p.y).toSorted((a, z) => a - z)).toEqual([-37, 37])
    expect(new Set(c.places.map((p) => p.x)).size).toBe(1)
    expect(c.flag! - c.depth!).toBeCloseTo(tipCone(c.bit), 9)
    expect(c.left!).toBeGreaterThanOrEqual(2.5)
  })
  it('a thin body cuts the depth short and says so', () => {
    const b = aBuild({
      body: aPart('body', { ...BODY, thickness: 27 }, { wood: 'alder' }),
      neck: aPart('neck', NECK),
      bridge: aPart('bridge', VIBRATO, { mount: 'two-stud' }),
    })
    const c = card(b, 'stud-bores')
    expect(c.state).toBe('mind')
    expect(c.depth! + tipCone(c.bit) + c.left!).toBeCloseTo(27, 6)
  })
  it('a row of tuner screws in a 14 mm headstock never comes through its face', () => {
    const tuners = (length: number) =>
      aPart('tuners', {
        count: 6,
        'screw.length': length,
        'screw.thread': 2.2,
        'screw.root': 1.6,
        'plate.thickness': 1.2,
        'screw.offset': 11,
      })
    const at = (length: number) =>
      card(aBuild({ neck: aPart('neck', NECK, { wood: 'hard-maple', head: 'one-row' }), tuners: tuners(length) }), 'tuner-screws')
    expect(at(12).places).toHaveLength(6)
    for (const length of [8, 12, 20]) {
      const c = at(length)
      if (c.state !== 'refused') expect(c.depth! + tipCone(c.bit)).toBeLessThanOrEqual(14 - 2.5 + 1e-9)
    }
    expect(at(20).state).toBe('mind')
    expect(at(20).says).toMatch(/shorter screw/)
  })
  it('what is missing is named instead of guessed', () => {
    const c = card(
      aBuild({ body: aPart('body', BODY), neck: aPart('neck', NECK), bridge: aPart('bridge', { spread: 52 }, { mount: 'two-stud' }) }),
      'stud-bores',
    )
    expect(c.state).toBe('waiting')
    expect(c.says).toMatch(/^Not known yet: .*stud/i)
    expect(c.missing.length).toBeGreaterThan(0)
  })
  it('every card that turns a bit carries its cautions', () => {
    const b = aBuild({
      body: aPart('body', BODY, { wood: 'alder' }),
      neck: aPart('neck', NECK),
      bridge: aPart('bridge', VIBRATO, { mount: 'two-stud' }),
    })
    for (const c of holeCards(b)) expect(c.cautions.join(' ')).toMatch(/Eye protection/)
  })
  it('no bridge on studs, no stud bores', () => {
    const b = aBuild({
      body: aPart('body', BODY),
      neck: aPart('neck', NECK),
      bridge: aPart('bridge', { spread: 52, screws: 4, 'screw.length': 25, 'screw.root': 2.4 }, { mount: 'string-through' }),
    })
    expect(card(b, 'stud-bores')).toBeUndefined()
  })
})
