import { describe, expect, it } from 'vitest'
import { fretPlace, fretPlaces } from './frets'
import { intonationMove, mmPerCent } from './intonation'
import { noteName, pitch } from './pitch'
import { LBF, plainMass, tension, woundMass } from './stringTension'

describe('frets', () => {
  it('an octave halves the string, two leave a quarter, a fifth leaves two thirds all but two cents [physics]', () => {
    expect(fretPlace(648, 0)).toBe(0)
    expect(fretPlace(648, 12)).toBeCloseTo(324, 9)
    expect(fretPlace(648, 24)).toBeCloseTo(486, 9)
    expect(1200 * Math.log2((648 - fretPlace(648, 7)) / (648 * (2 / 3)))).toBeCloseTo(1.955, 3)
  })
  it('each fret shortens the rest of the string by the same share', () => {
    const places = [0, ...fretPlaces(647.7, 22)]
    expect(places).toHaveLength(23)
    for (let n = 1; n < places.length; n++) expect((647.7 - places[n]!) / (647.7 - places[n - 1]!)).toBeCloseTo(2 ** (-1 / 12), 12)
  })
})

describe('intonation', () => {
  it('a cent on 648 mm is 0.374 mm of saddle: the string that much longer is a cent lower [physics]', () => {
    expect(mmPerCent(648)).toBeCloseTo(648 * (2 ** (1 / 1200) - 1), 3)
    expect(mmPerCent(324)).toBeCloseTo(mmPerCent(648) / 2, 12)
  })
  it('sharp goes back, flat goes forward', () => {
    expect(intonationMove(5, 648)).toBeCloseTo(5 * 0.3743, 3)
    expect(intonationMove(-5, 648)).toBeCloseTo(-5 * 0.3743, 3)
  })
})

describe('pitch', () => {
  it.each([
    [0, 'A4', 440],
    [-5, 'E4', 329.6276],
    [-10, 'B3', 246.9417],
    [-9, 'C4', 261.6256],
    [-14, 'G3', 195.9977],
    [-19, 'D3', 146.8324],
    [-24, 'A2', 110],
    [-29, 'E2', 82.4069],
    [-34, 'B1', 61.7354],
    [3, 'C5', 523.2511],
    [2, 'B4', 493.8833],
  ] as const)('%i semitones from A4 is %s at %f Hz [published: equal temperament on ISO 16]', (n, name, hertz) => {
    expect(noteName(n)).toBe(name)
    expect(pitch(n)).toBeCloseTo(hertz, 3)
  })
})

describe('string tension', () => {
  it('a 0.254 mm plain E4 on 648 mm pulls 72 N, by hand: 7850 x pi/4 x 0.000254² x (2 x 0.648 x 329.63)²', () => {
    const mass = plainMass(0.254)
    expect(mass).toBeCloseTo(3.9777e-4, 7)
    expect(tension(mass, 648, 329.6276)).toBeCloseTo(72.59, 1)
    expect(tension(mass, 648, 329.6276) / LBF).toBeCloseTo(16.32, 1)
  })
  it('twice the pitch or the length is four times the pull, twice the gauge too', () => {
    expect(tension(1e-3, 648, 220) / tension(1e-3, 648, 110)).toBeCloseTo(4, 12)
    expect(tension(1e-3, 1296, 110) / tension(1e-3, 648, 110)).toBeCloseTo(4, 12)
    expect(plainMass(0.5) / plainMass(0.25)).toBeCloseTo(4, 12)
  })
  it('wound, by hand: core 0.4, outside 1.0, wrap of 8800 kg/m³ 0.3 thick', () => {
    // 7850 x pi/4 x 0.0004² + 8800 x pi² x 0.0003 x (0.0004 + 0.0003) / 4
    expect(woundMass(1, 0.4, 8800)).toBeCloseTo(9.865e-4 + 4.5598e-3, 6)
  })
  it('a wrap of nothing is the core alone, and a wound string weighs less than a rod of its gauge in steel', () => {
    expect(woundMass(0.4, 0.4, 8800)).toBeCloseTo(plainMass(0.4), 12)
    expect(woundMass(1.2, 0.45, 7850)).toBeLessThan(plainMass(1.2))
  })
})
