import { describe, expect, it } from 'vitest'
import { pilotBit, USUAL_BENCH } from './bench'
import { blindDepth, exitError, pilotBand, tipCone, withdrawal } from '../physics/pilot'

const HALVES = USUAL_BENCH.bits

describe('pilot holes', () => {
  // [published: Wood Handbook, from memory]: 90 % of the root in hardwood, 70 % in softwood; told apart by density [ours].
  it('follow the root and how heavy the wood is; what lies between is a band, and so is wood nobody named', () => {
    expect(pilotBand(3, 0.63)).toEqual({ from: 2.7, to: 2.7 })
    expect(pilotBand(3, 0.37).from).toBeCloseTo(2.1, 12)
    expect(pilotBand(3, 0.37).to).toBeCloseTo(2.1, 12)
    for (const density of [0.45, undefined]) {
      expect(pilotBand(3, density).from).toBeCloseTo(2.1, 12)
      expect(pilotBand(3, density).to).toBeCloseTo(2.7, 12)
    }
    expect(pilotBand(3, 0.55).from).toBeCloseTo(2.7, 12)
    expect(pilotBand(3, 0.42).to).toBeCloseTo(2.1, 12)
  })
  // A 4.2 mm screw with a 3 mm root in hard maple: 0.9 x 3 = 2.7. A 2.5 mm bit is 83 % and snaps it; the next owned one is the root itself.
  it('hard wood rounds up but never to the root: no half-millimetre bit will do for a 3 mm root, 2.7 is to get', () => {
    expect(pilotBit(pilotBand(3, 0.63), 3, HALVES)).toEqual({ bit: 2.7, owned: false })
    expect(pilotBit(pilotBand(3, 0.63), 3, [...HALVES, 2.8])).toEqual({ bit: 2.8, owned: true })
    // 0.9 x 1.6 = 1.44: 1.5 is above it and under the root.
    expect(pilotBit(pilotBand(1.6, 0.63), 1.6, HALVES)).toEqual({ bit: 1.5, owned: true })
  })
  // 0.7 x 2.4 = 1.68: 1.5 is 0.18 smaller. 0.7 x 2 = 1.4: 1.5 is 0.1 larger. 0.7 x 3.4 = 2.38: 2 is 0.38 smaller and 2.5 0.12 larger, too far both.
  it('soft wood takes the nearest, no more than 0.3 mm smaller or 0.1 larger', () => {
    expect(pilotBit(pilotBand(2, 0.37), 2, HALVES)).toEqual({ bit: 1.5, owned: true })
    expect(pilotBit(pilotBand(2.4, 0.37), 2.4, HALVES)).toEqual({ bit: 1.5, owned: true })
    expect(pilotBit(pilotBand(3.4, 0.37), 3.4, HALVES)).toEqual({ bit: 2.3, owned: false })
  })
  // 2.1 to 2.7: the smallest owned in the band first.
  it('between hard and soft the smallest in the band comes first', () =>
    expect(pilotBit(pilotBand(3, 0.45), 3, HALVES)).toEqual({ bit: 2.5, owned: true }))
  it('tip cone of a 118 degree point [physics]', () => expect(tipCone(10)).toBeCloseTo(5 / Math.tan((59 * Math.PI) / 180), 12))
})

describe('depth and the face guard', () => {
  it('a 12 mm screw in a 14 mm headstock: the tip never goes below 11.5 mm, and the flag includes the cone', () => {
    const d = blindDepth(12, 1.5, 14)
    expect(d.cutShort).toBe(true)
    expect(d.flag).toBeLessThanOrEqual(11.5 + 1e-9)
    expect(d.flag - d.depth).toBeCloseTo(tipCone(1.5), 12)
    expect(d.left).toBeCloseTo(2.5, 9)
  })
  it('leaves a depth alone that is safe', () => expect(blindDepth(8, 1.5, 14)).toMatchObject({ depth: 8, cutShort: false, refused: false }))
  it('refuses where nothing safe is left', () => expect(blindDepth(8, 4, 5).refused).toBe(true))
})

describe('strength and wander', () => {
  // [published: Wood Handbook wood screw withdrawal, from memory]
  it('withdrawal of a 4.17 mm screw, 20 mm deep, G 0.63', () => expect(withdrawal(0.63, 4.17, 20) / 1000).toBeCloseTo(3.58, 2))
  it('is the handbook’s inch formula in newtons', () => {
    const pounds = 15700 * 0.5 ** 2 * (4.2 / 25.4) * (25 / 25.4)
    expect(withdrawal(0.5, 4.2, 25) / (pounds * 4.4482216)).toBeCloseTo(1, 3)
  })
  // 45 mm: by hand 1.6, guide block 0.55, stand 0.31, press 0.12 [physics]
  it.each([
    [2, 1.57],
    [0.7, 0.55],
    [0.4, 0.31],
    [0.15, 0.12],
  ])('%f degrees over 45 mm', (angle, error) => expect(exitError(45, angle)).toBeCloseTo(error, 2))
})
