import { describe, expect, it } from 'vitest'
import { exitError } from '../drill/stringHoles'
import { blindDepth, pilotBit, tipCone, withdrawal } from './pilot'

describe('pilot holes', () => {
  // [published: Wood Handbook, from memory]: 90 % of the root in hardwood, 70 % in softwood
  it('follow the root diameter and the wood', () => {
    expect(pilotBit(3, true)).toEqual({ exact: 2.7, bit: 2.5 })
    expect(pilotBit(3, false).exact).toBeCloseTo(2.1, 12)
  })
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
