import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { standardTuning } from '../instrument/tunings'
import { intonationMove, mmPerCent } from '../physics/intonation'
import { noteName, pitch } from '../physics/pitch'
import { LBF, plainMass, tension, woundMass } from '../physics/stringTension'
import { crownsOf } from '../physics/neckCurve'
import { actionAt, openGap, saddleFor, sliver } from '../physics/nutAction'
import { postTurns, printTurns, saddleMoveFor } from './action'

const IN = 25.4

// [physics]; densities [practice]; pitches [published: ISO 16]
describe('string tension at 647.7 mm', () => {
  const hertz = (n: number) => pitch(n)
  it('E4 is 329.628 Hz, E2 82.407', () => {
    expect(hertz(-5)).toBeCloseTo(329.628, 3)
    expect(hertz(-29)).toBeCloseTo(82.407, 3)
  })
  it.each([
    [0.01, -5, 72.5],
    [0.013, -10, 68.8],
    [0.017, -14, 74.1],
  ])('plain %f in', (gauge, note, newton) => expect(tension(plainMass(gauge * IN), 647.7, hertz(note))).toBeCloseTo(newton, 1))
  it('72.5 N is 16.3 lbf', () => expect(72.5 / LBF).toBeCloseTo(16.3, 1))
  it.each([
    ['pure nickel', 8900, 7.64, 87.0],
    ['nickel-plated steel', 7870, 6.9, 78.7],
  ])('wound 0.046 over 0.018, %s', (_, wrap, gram, newton) => {
    const mass = woundMass(0.046 * IN, 0.018 * IN, wrap)
    expect(mass * 1000).toBeCloseTo(gram, 2)
    expect(tension(mass, 647.7, hertz(-29))).toBeCloseTo(newton, 0)
  })
  it('names notes and tunings', () => {
    expect(standardTuning(6).map(noteName)).toEqual(['E4', 'B3', 'G3', 'D3', 'A2', 'E2'])
    expect(standardTuning(4).map(noteName)).toEqual(['G2', 'D2', 'A1', 'E1'])
    expect(standardTuning(12)).toHaveLength(12)
  })
})

const straight = (slot: number) => crownsOf({ scale: 647.7, frets: 22, slot })

describe('action', () => {
  it('1.75 to 1.25 at fret 12 is 1.0 mm at the saddle [physics + practice]', () => expect(saddleMoveFor(1.25 - 1.75)).toBe(-1))
  it('4/64 in over fret 22 with the nut at 0.4 is 1.23 mm at fret 12 [physics]', () => {
    for (const [slot, mm] of [
      [0.4, 1.23],
      [0.3, 1.19],
      [0.5, 1.26],
    ] as const) {
      const neck = straight(slot)
      expect(actionAt(neck, saddleFor(neck, 647.7, (4 / 64) * IN, 22), 12)).toBeCloseTo(mm, 2)
    }
  })
  it('both posts follow from both strings', () => {
    fc.assert(
      fc.property(fc.double({ min: -2, max: 2, noNaN: true }), fc.double({ min: -2, max: 2, noNaN: true }), (bass, treble) => {
        const t = postTurns({ bass, treble }, 52.5, 74, 0.75)
        const at = (y: number) => (t.bassHeight + t.trebleHeight) / 2 + ((t.bassHeight - t.trebleHeight) * y) / 74
        expect(at(52.5 / 2)).toBeCloseTo(bass, 9)
        expect(at(-52.5 / 2)).toBeCloseTo(treble, 9)
        expect(t.bass).toBeCloseTo(-t.bassHeight / 0.75, 12)
      }),
    )
  })
  it('prints turns to the eighth', () => expect([0.02, 0.25, 1.37, -0.5, 2].map(printTurns)).toEqual(['0', '1/4', '1 3/8', '1/2', '2']))
})

// [physics]
describe('nut and intonation', () => {
  it('slot 0.325, action 1.5: open 0.457, sliver 0.21 at 3 and 0.158 at 2', () => {
    const neck = straight(0.325)
    expect(openGap(neck, saddleFor(neck, 647.7, 1.5, 12))).toBeCloseTo(0.457, 3)
    expect(sliver(neck, 3)).toBeCloseTo(0.21, 2)
    expect(sliver(neck, 2)).toBeCloseTo(0.158, 3)
    expect(sliver(neck, 3) / sliver(neck, 2)).toBeCloseTo(1.333, 3)
  })
  it('0.374 mm per cent at 647.7; sharp moves back', () => {
    expect(mmPerCent(647.7)).toBeCloseTo(0.374, 3)
    expect(intonationMove(5, 647.7)).toBeGreaterThan(0)
  })
})
