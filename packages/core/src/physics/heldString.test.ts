import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { plainMass, woundMass } from './stringTension'
import { heldPath, saddleBack, sharpAt, type Crowns, type Finger, type Strung } from './heldString'
import { bending, fundamental, stretching, tensionFor, type Ends } from './stiffString'

interface Case {
  id: string
  input: {
    string: { d_mm: number; core_mm?: number; wrap_density?: number; E_GPa: number }
    finger: { behind: number; depth_mm: number } | null
    f_open_Hz: number
    saddle_z_mm: number
    behind_nut_mm?: number
    behind_saddle_mm?: number
    compliance_mm_per_N?: number
    neck: { L_mm: number; fret_x_mm: number[]; crown_z_mm: number[]; nut_slot_z_mm: number }
  }
  result: Record<Ends, { tension_open_N: number; cents_saddle_at_scale: Record<string, number>; saddle_back_fret12_mm: number }> & {
    EA_N: number
  }
}
/** Computed from first principles by an independent program: path by root finding, the stiff string's fundamental solved exactly. */
const REFERENCE = JSON.parse(readFileSync(new URL('./reference/heldStrings.json', import.meta.url), 'utf8')) as { cases: Case[] }

const strung = ({ input: i }: Case, ends: Ends): Strung => {
  const core = i.string.core_mm ?? i.string.d_mm
  return {
    stretching: stretching(core, i.string.E_GPa),
    bending: bending(core, i.string.E_GPa),
    mass: i.string.core_mm === undefined ? plainMass(i.string.d_mm) : woundMass(i.string.d_mm, i.string.core_mm, i.string.wrap_density!),
    hertz: i.f_open_Hz,
    ends,
    behind: (i.behind_nut_mm ?? 0) + (i.behind_saddle_mm ?? 0),
    gives: i.compliance_mm_per_N ?? 0,
  }
}
const neckOf = ({ input: { neck } }: Case): Crowns => ({
  nut: { x: 0, y: neck.nut_slot_z_mm },
  crowns: neck.fret_x_mm.map((x, n) => ({ x, y: neck.crown_z_mm[n]! })),
})
const fingerOf = ({ input: { finger } }: Case): Finger | undefined =>
  finger ? { behind: finger.behind, depth: finger.depth_mm } : undefined

describe.each(REFERENCE.cases.map((c) => [c.id, c] as const))('held string %s', (_, c) => {
  it.each(['pinned', 'continuous', 'clamped'] as const)('%s: tension, cents at four frets, saddle back', (ends) => {
    const [string, neck, { L_mm: scale }] = [strung(c, ends), neckOf(c), c.input.neck]
    const want = c.result[ends]
    const near = (have: number, wanted: number, within: number) =>
      expect(Math.abs(have - wanted)).toBeLessThan(within + 0.01 * Math.abs(wanted))
    expect(string.stretching / c.result.EA_N).toBeCloseTo(1, 4)
    near(sharpAt(neck, string, { x: scale, y: c.input.saddle_z_mm }, [1], fingerOf(c))[0]!, want.cents_saddle_at_scale['1']!, 0.05)
    const cents = sharpAt(neck, string, { x: scale, y: c.input.saddle_z_mm }, [1, 5, 12, 19], fingerOf(c))
    ;[1, 5, 12, 19].forEach((fret, i) => near(cents[i]!, want.cents_saddle_at_scale[String(fret)]!, 0.05))
    near(saddleBack(neck, string, scale, c.input.saddle_z_mm, fingerOf(c)), want.saddle_back_fret12_mm, 0.02)
  })
})

describe('a stiff string', () => {
  const E2 = { bending: bending(0.4572, 200), mass: woundMass(1.1684, 0.4572, 7870) }
  // Pinned: f0 sqrt(1 + B), B = pi^3 E d^4/(64 T L^2). [published: Fletcher & Rossing, from memory]
  it('pinned ends sharpen it by the root of 1 + B', () => {
    const [T, L] = [78.6, 0.6477]
    const B = (Math.PI ** 3 * 200e9 * 0.0004572 ** 4) / (64 * T * L * L)
    const f0 = Math.sqrt(T / E2.mass) / (2 * L)
    expect(fundamental({ ...E2, tension: T }, 647.7, 'pinned')).toBeCloseTo(f0 * Math.sqrt(1 + B), 9)
  })
  it('held ends sharpen it more, running on lies between', () => {
    const of = (ends: Ends) => fundamental({ ...E2, tension: 78.6 }, 647.7, ends)
    expect(of('continuous')).toBeGreaterThan(of('pinned'))
    expect(of('clamped')).toBeGreaterThan(of('continuous'))
  })
  it('sounds the pitch it was tuned to', () => {
    for (const ends of ['pinned', 'continuous', 'clamped'] as const)
      expect(fundamental({ ...E2, tension: tensionFor(E2, 647.7, 82.41, ends) }, 647.7, ends)).toBeCloseTo(82.41, 8)
  })
})

describe('the way of a held string', () => {
  const neck: Crowns = { nut: { x: 0, y: 0.5 }, crowns: [36, 70, 103].map((x) => ({ x, y: 0 })) }
  it('open it runs straight from slot to saddle', () => expect(heldPath(neck, { x: 648, y: 3 }, 0)).toHaveLength(2))
  it('touching crown 2 it bends there alone', () => {
    expect(heldPath(neck, { x: 648, y: 3 }, 2).map((p) => p.x)).toEqual([0, 70, 648])
  })
  it('pressed deep behind fret 3 it lies on fret 2 too', () => {
    const path = heldPath(neck, { x: 648, y: 3 }, 3, { behind: 0.3, depth: 0.3 })
    expect(path.map((p) => p.x)).toEqual([0, 70, expect.closeTo(93.1, 6), 103, 648])
    expect(path[2]!.y).toBeCloseTo(-0.3, 9)
  })
})
