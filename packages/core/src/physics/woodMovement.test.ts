import { describe, expect, it } from 'vitest'
import { WOODS } from '../parts/woods'
import { equilibriumMoisture, gapChange, movementPerPercent } from './woodMovement'

// [published: Wood Handbook (US Forest Products Laboratory), table and equation from memory]
describe('wood and the weather', () => {
  it.each([
    [0.3, 6.2],
    [0.5, 9.2],
    [0.7, 13.1],
  ])('equilibrium moisture at 21.1 C and %f', (h, m) => expect(equilibriumMoisture(21.1, h)).toBeCloseTo(m, 1))

  const maple = { perPercent: movementPerPercent(WOODS['hard-maple'], 'flat') }
  it.each([
    ['alder', 0.38],
    ['poplar', 0.25],
    ['mahogany', 0.45],
  ] as const)('56 mm flat-sawn maple in flat-sawn %s closes by %f from 30 to 70 %%', (wood, closes) => {
    const pocket = { perPercent: movementPerPercent(WOODS[wood], 'flat') }
    expect(-gapChange(56, maple, pocket, 30, 70)).toBeCloseTo(closes, 1)
  })
  it('a quarter-sawn heel in the same body opens instead', () => {
    const quarter = { perPercent: movementPerPercent(WOODS['hard-maple'], 'quarter') }
    const alder = { perPercent: movementPerPercent(WOODS.alder, 'flat') }
    expect(gapChange(56, quarter, alder, 30, 70)).toBeGreaterThan(0)
  })
  it('comes back when the year does', () => {
    const alder = { perPercent: movementPerPercent(WOODS.alder, 'flat') }
    expect(gapChange(56, maple, alder, 35, 65)).toBeCloseTo(-gapChange(56, maple, alder, 65, 35), 12)
  })
})
