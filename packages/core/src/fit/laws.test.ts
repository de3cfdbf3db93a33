import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { judge, type Class } from '../judge/verdict'
import { linear, normal, probabilityBetween } from '../quantity/distribution'
import { INCH, parseLength } from '../quantity/length'
import { aBuild, aPart, jointIn } from '../testing/bench'
import { fallOf, radiusAtSaddle } from '../instrument/boardArc'
import { bundle } from './controls/wirePassage'
import { insideBy } from './guard/guardRooms'
import { rowShortfall } from './head/tunerRow'
import { WIDTH_BANDS } from './neck/pocketWidth.limits'
import { spreadAt } from './pickups/polesUnder'
import { centroidOf } from '../geometry/polygon'
import { centreOfMass } from './whole/balance'

const width = (pocket: number, heel: number, doubt = 0.05) =>
  aBuild({
    body: aPart('body', {
      thickness: 44,
      'pocket.widthMouth': [pocket, 'calipers', doubt],
      'pocket.widthEnd': 56,
      'pocket.length': 76,
      'pocket.depth': 16,
      'pocket.radius': 5,
    }),
    neck: aPart('neck', { 'heel.widthMouth': [heel, 'calipers', doubt], 'heel.widthEnd': 56, 'heel.thickness': 25.4, 'heel.radius': 6 }),
  })

const TIGHTER: Class[] = ['loose', 'snug', 'tight', 'wont-go']

describe('laws of joints', () => {
  it('a wider pocket never makes the heel tighter', () => {
    fc.assert(
      fc.property(fc.double({ min: 54.5, max: 57.5, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }), (pocket, more) => {
        const rank = (p: number) => {
          const j = jointIn(width(p, 56, 0), 'pocket-mouth')
          return TIGHTER.indexOf(j.verdict as Class)
        }
        expect(rank(pocket + more)).toBeLessThanOrEqual(rank(pocket))
      }),
      { numRuns: 60 },
    )
  })
  it('with no doubt left every class is certain or impossible', () => {
    fc.assert(
      fc.property(fc.double({ min: -2, max: 2, noNaN: true }), (gap) => {
        for (const p of Object.values(judge(normal(gap, 0), WIDTH_BANDS).chances)) expect(p === 0 || p === 1).toBe(true)
      }),
    )
  })
  it('a verdict does not know which unit it was entered in', () => {
    fc.assert(
      fc.property(fc.integer({ min: 55_000, max: 57_000 }), fc.integer({ min: 55_000, max: 57_000 }), (p, h) => {
        const typed = (mm: number) => {
          const read = parseLength((mm / INCH).toFixed(9), 'in')
          if (!read.ok) throw new Error(read.why)
          return read.value
        }
        const [mm, viaInches] = [width(p / 1000, h / 1000), width(typed(p / 1000), typed(h / 1000))]
        expect(jointIn(viaInches, 'pocket-mouth').verdict).toBe(jointIn(mm, 'pocket-mouth').verdict)
      }),
      { numRuns: 80 },
    )
  })
  it('interference by closed form agrees with sampling', () => {
    // bushing 10.00 ±0.03 in a bore of 9.92 ±0.04: chance that it lies between +0.03 and +0.17.
    const d = linear([
      [1, normal(10, 0.015)],
      [-1, normal(9.92, 0.02)],
    ])
    let seed = 5
    const uniform = () => (seed = (seed * 16807) % 2147483647) / 2147483647
    const gauss = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform())
    let inside = 0
    const runs = 40_000
    for (let i = 0; i < runs; i++) {
      const v = 10 + 0.015 * gauss() - (9.92 + 0.02 * gauss())
      if (v > 0.03 && v <= 0.17) inside++
    }
    expect(inside / runs).toBeCloseTo(probabilityBetween(d, 0.03, 0.17), 2)
  })
  it('more play never asks for more filing of a row', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 8 }),
        fc.double({ min: -0.5, max: 0.5, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (n, over, play) => {
          expect(rowShortfall(n, 24.5 + over, 24.5, play + 0.1).total).toBeLessThanOrEqual(rowShortfall(n, 24.5 + over, 24.5, play).total)
        },
      ),
    )
  })
})

// [physics]
describe('small geometry', () => {
  const square = [
    { x: 0, y: 0 },
    { x: 10, y: 0 },
    { x: 10, y: 10 },
    { x: 0, y: 10 },
  ]
  it('distance inside a square, negative outside', () => {
    expect(insideBy(square, { x: 3, y: 5 })).toBeCloseTo(3, 9)
    expect(insideBy(square, { x: -2, y: 5 })).toBeCloseTo(-2, 9)
  })
  it('centroid and centre of mass', () => {
    expect(centroidOf(square)).toEqual({ x: 5, y: 5 })
    const c = centreOfMass([
      { label: 'a', gram: 100, at: { x: 0, y: 0 }, doubt: 0 },
      { label: 'b', gram: 300, at: { x: 40, y: 8 }, doubt: 0 },
    ])
    expect(c.at).toEqual({ x: 30, y: 6 })
    expect(c.gram).toBe(400)
  })
  it('fall of an arc: 305 mm radius over 26 mm is 1.11 mm; a compound board carries on to the saddle', () => {
    expect(fallOf(305, 26)).toBeCloseTo(305 - Math.sqrt(305 ** 2 - 26 ** 2), 12)
    expect(fallOf(305, 26)).toBeCloseTo(1.11, 2)
    expect(radiusAtSaddle(254, 406, 466, 647.7)).toBeCloseTo(254 + (152 * 647.7) / 466, 9)
    // Carried on it would be 1000 - 900 x 1.39 = -251: no arc at all.
    expect(radiusAtSaddle(1000, 100, 466, 647.7)).toBe(100)
  })
  it('string spacing runs straight from nut to bridge', () => {
    expect(spreadAt(0, 648, 35, 52)).toBe(35)
    expect(spreadAt(648, 648, 35, 52)).toBe(52)
    expect(spreadAt(324, 648, 35, 52)).toBe(43.5)
  })
  it('one wire is its own bundle; more never take less room', () => {
    expect(bundle(1, 1.4)).toBe(1.4)
    for (let n = 1; n < 9; n++) expect(bundle(n + 1, 1)).toBeGreaterThan(bundle(n, 1))
  })
})
