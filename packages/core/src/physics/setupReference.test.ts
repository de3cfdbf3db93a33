import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { clearances, lowestSaddle, worstOf, type Pluck } from './clearance'
import { crownsOf, liftFor, reliefOf, underEdge, type NeckShape } from './neckCurve'
import { actionAt, openGap, saddleFor, sliver, slotForGap, slotForSliver } from './nutAction'
import { LBF, plainMass, tension, woundMass } from './stringTension'

interface Neck {
  L_mm: number
  frets: number
  nut_above_curve_mm: number
  end_lift_mm?: number
  joint_fret?: number
  fall_mm?: number
  fall_from?: number
  bumps?: Record<number, number>
}
interface Known {
  neck: { fret_x_mm: number[]; crown_z_mm: number[]; nut_slot_z_mm: number }
}
/** Each computed from first principles by an independent program: brute force and root finding. */
const read = <C>(name: string) => JSON.parse(readFileSync(new URL(`./reference/${name}.json`, import.meta.url), 'utf8')) as { cases: C[] }
const shapeOf = (n: Neck): NeckShape => ({
  scale: n.L_mm,
  frets: n.frets,
  slot: n.nut_above_curve_mm,
  ...(n.end_lift_mm === undefined ? {} : { lift: n.end_lift_mm }),
  ...(n.joint_fret === undefined ? {} : { joint: n.joint_fret }),
  ...(n.fall_mm === undefined ? {} : { fall: { by: n.fall_mm, from: n.fall_from! } }),
  ...(n.bumps ? { bumps: n.bumps } : {}),
})

interface NutCase {
  id: string
  input: { neck: Neck; action_mm: number; action_at_fret: number; saddle_back_mm?: number; saddle_z_mm: number }
  result: Known & {
    open_gap_fret1_mm: number
    sliver_fret1_held_2_mm: number
    sliver_fret1_held_3_mm: number
    action_mm: Record<string, number>
    relief_gap_mm: Record<string, number>
    relief_most_mm: number
    relief_most_at_fret: number
  }
}
describe.each(read<NutCase>('nutAndAction').cases)('$id', ({ input: i, result: r }) => {
  const neck = crownsOf(shapeOf(i.neck))
  const saddle = saddleFor(neck, i.neck.L_mm, i.action_mm, i.action_at_fret, i.saddle_back_mm)
  const near = (got: number, want: number, what?: string) => expect(Math.abs(got - want), what).toBeLessThanOrEqual(0.001)
  it('crowns and slot lie where they lie', () => {
    near(neck.nut.y, r.neck.nut_slot_z_mm)
    r.neck.crown_z_mm.forEach((z, n) => near(neck.crowns[n]!.y, z))
    near(saddle.y, i.saddle_z_mm)
  })
  it('gap, slivers, action at every place, relief as it is read', () => {
    near(openGap(neck, saddle), r.open_gap_fret1_mm)
    near(sliver(neck, 2), r.sliver_fret1_held_2_mm)
    near(sliver(neck, 3), r.sliver_fret1_held_3_mm)
    for (const [fret, mm] of Object.entries(r.action_mm)) near(actionAt(neck, saddle, Number(fret)), mm, fret)
    for (const [fret, mm] of Object.entries(r.relief_gap_mm)) near(underEdge(neck, Number(fret)), mm, fret)
    near(reliefOf(neck).gap, r.relief_most_mm)
    if (r.relief_most_mm > 0.001) expect(reliefOf(neck).fret).toBe(r.relief_most_at_fret)
  })
  it('a slot filed to what is wanted leaves it', () => {
    const filed = (y: number) => ({ ...neck, nut: { x: 0, y } })
    const bySliver = filed(slotForSliver(neck, 3, 0.12))
    if (sliver(bySliver, 3) > 0) near(sliver(bySliver, 3), 0.12)
    near(openGap(filed(slotForGap(neck, saddle, 0.45)), saddle), 0.45)
  })
})

interface BuzzCase {
  id: string
  input: {
    neck: Neck
    pluck: { depth_mm?: number; force_N?: number; from_saddle_mm: number; share: number }
    T_N?: number
    stops: number[]
    saddle_z_mm: number
    saddle_back_mm?: number
  }
  result: Known & {
    stops: {
      stop: number
      pluck_depth_mm: number
      frets: [number, number]
      rest_mm: number[]
      pulled_towards_mm: number[]
      pulled_away_mm: number[]
      least_mm: number
    }[]
    lowest_action12_mm?: number
  }
}
const pluckOf = (i: BuzzCase['input']): Pluck => ({
  fromSaddle: i.pluck.from_saddle_mm,
  share: i.pluck.share,
  ...(i.pluck.depth_mm === undefined ? {} : { depth: i.pluck.depth_mm }),
  ...(i.pluck.force_N === undefined ? {} : { force: i.pluck.force_N, tension: i.T_N! }),
})
describe.each(read<BuzzCase>('buzz').cases)('$id', ({ input: i, result: r }) => {
  const neck = crownsOf(shapeOf(i.neck))
  const saddle = { x: i.neck.L_mm + (i.saddle_back_mm ?? 0), y: i.saddle_z_mm }
  it.each(r.stops)('held at $stop: rest and both ways of pulling, fret by fret', (s) => {
    const found = clearances(neck, saddle, s.stop, pluckOf(i))
    expect([found[0]!.fret, found.at(-1)!.fret]).toEqual(s.frets)
    found.forEach((c, n) => {
      expect(Math.abs(c.rest - s.rest_mm[n]!)).toBeLessThanOrEqual(0.001)
      expect(Math.abs(c.towards - s.pulled_towards_mm[n]!)).toBeLessThanOrEqual(0.001)
      expect(Math.abs(c.away - s.pulled_away_mm[n]!)).toBeLessThanOrEqual(0.001)
    })
    expect(Math.abs(worstOf(found)!.margin - s.least_mm)).toBeLessThanOrEqual(0.001)
  })
  it.runIf(r.lowest_action12_mm !== undefined)('the lowest action without a hit', () => {
    const y = lowestSaddle(neck, saddle.x, i.stops, pluckOf(i))
    expect(Math.abs(actionAt(neck, { x: saddle.x, y }, 12) - r.lowest_action12_mm!)).toBeLessThanOrEqual(0.002)
  })
})

interface TensionCase {
  id: string
  input: { scale_mm: number; strings: { d_mm: number; core_mm?: number; wrap_density?: number }[] }
  result: { strings: { f_Hz: number; mu_g_per_m: number; tension_N: number; tension_lbf: number }[] }
}
it.each(read<TensionCase>('tension').cases)('$id: mass and pull of every string', ({ input, result }) => {
  result.strings.forEach((want, n) => {
    const s = input.strings[n]!
    const mass = s.core_mm === undefined ? plainMass(s.d_mm) : woundMass(s.d_mm, s.core_mm, s.wrap_density!)
    expect(Math.abs(mass * 1000 - want.mu_g_per_m) / want.mu_g_per_m).toBeLessThanOrEqual(0.0002)
    const pull = tension(mass, input.scale_mm, want.f_Hz)
    expect(Math.abs(pull - want.tension_N) / want.tension_N).toBeLessThanOrEqual(0.0005)
    expect(Math.abs(pull / LBF - want.tension_lbf)).toBeLessThanOrEqual(0.02)
  })
})

describe('laws of clearance', () => {
  const anyNeck = fc.record({
    scale: fc.double({ min: 560, max: 865, noNaN: true }),
    frets: fc.integer({ min: 19, max: 24 }),
    slot: fc.double({ min: 0.2, max: 0.9, noNaN: true }),
    lift: fc.double({ min: -0.2, max: 1, noNaN: true }),
  })
  const pluck: Pluck = { depth: 1.4, fromSaddle: 110, share: 0.6 }
  it('raising a fret never gives any string more room over it, nor lowering one less', () =>
    fc.assert(
      fc.property(
        anyNeck,
        fc.integer({ min: 1, max: 19 }),
        fc.double({ min: 0.01, max: 0.3, noNaN: true }),
        fc.integer({ min: 0, max: 12 }),
        (shape, fret, up, stop) => {
          const flat = crownsOf(shape)
          const high = crownsOf({ ...shape, bumps: { [fret]: up } })
          const saddle = saddleFor(flat, shape.scale, 1.6, 12)
          const worst = (n: typeof flat) => worstOf(clearances(n, saddle, stop, pluck))!.margin
          // Held on the raised fret itself, the string is lifted off the others.
          if (fret !== stop) expect(worst(high)).toBeLessThanOrEqual(worst(flat) + 1e-12)
        },
      ),
    ))
  it('a higher saddle is never nearer; a harder pluck never clearer', () =>
    fc.assert(
      fc.property(anyNeck, fc.double({ min: 0.01, max: 1, noNaN: true }), fc.integer({ min: 0, max: 15 }), (shape, more, stop) => {
        const neck = crownsOf(shape)
        const saddle = saddleFor(neck, shape.scale, 1.4, 12)
        const worst = (y: number, depth: number) => worstOf(clearances(neck, { ...saddle, y }, stop, { ...pluck, depth }))!.margin
        expect(worst(saddle.y + more, 1)).toBeGreaterThanOrEqual(worst(saddle.y, 1))
        expect(worst(saddle.y, 1 + more)).toBeLessThanOrEqual(worst(saddle.y, 1))
      }),
    ))
  it('at the lowest saddle something just touches, and nothing is below', () =>
    fc.assert(
      fc.property(anyNeck, (shape) => {
        const neck = crownsOf(shape)
        const stops = [0, 1, 3, 5, 7, 9, 12, 15]
        const y = lowestSaddle(neck, shape.scale, stops, pluck)
        const margins = stops.map((s) => worstOf(clearances(neck, { x: shape.scale, y }, s, pluck))!.margin)
        expect(Math.min(...margins)).toBeCloseTo(0, 9)
      }),
    ))
  it('the envelope is the one of its modes summed: one thousand of them', () => {
    // y(x, t) = sum of b_n sin(n pi x/l) cos(n pi c t/l), b_n = 2 A l^2 sin(n pi p/l) / (n^2 pi^2 p (l - p)).
    const [l, p, A] = [611.3, 130, 1]
    const neck = crownsOf({ scale: 647.7, frets: 22, slot: 0.4 })
    const from = neck.crowns[0]!
    const found = clearances(neck, { x: from.x + l, y: from.y }, 1, { depth: A, fromSaddle: p, share: 1 })
    for (const fret of [5, 9, 14, 20]) {
      const x = neck.crowns[fret - 1]!.x - from.x
      let [low, high] = [0, 0]
      for (let k = 0; k < 720; k++) {
        const phase = (2 * Math.PI * k) / 720
        let y = 0
        for (let n = 1; n <= 1000; n++) {
          const b = (2 * A * l * l * Math.sin((n * Math.PI * (l - p)) / l)) / (n * n * Math.PI ** 2 * p * (l - p))
          y += b * Math.sin((n * Math.PI * x) / l) * Math.cos(n * phase)
        }
        low = Math.min(low, y)
        high = Math.max(high, y)
      }
      const c = found.find((f) => f.fret === fret)!
      // Pulled towards the frets the motion there is the greatest of y; pulled away it is the other way round.
      expect(c.rest - c.towards).toBeCloseTo(high, 2)
      expect(c.rest - c.away).toBeCloseTo(-low, 2)
    }
  })
  it('relief and the lift that reads as it are each other’s way back', () =>
    fc.assert(
      fc.property(anyNeck, fc.double({ min: 0, max: 0.4, noNaN: true }), (shape, relief) => {
        const lift = liftFor(shape, relief, 8)
        expect(underEdge(crownsOf({ ...shape, lift }), 8)).toBeCloseTo(relief, 9)
      }),
    ))
})
