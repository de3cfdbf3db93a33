import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { planOf } from '../testing/coatPlanOf'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { sandingSays } from './filmState'
import { finishResult } from './finishPlan'
import { mayFollow, nextOver, type Ground } from './follows'
import { MEDIA, PRODUCT_IDS, PRODUCTS } from './products'
import { weatherCheck } from './weather'

const on = (layers: { product: string; coats: number }[], weather: Build['finish']['weather']): Build => {
  const build = changed(fullBuild(), {}, { 'body/surface': 'raw', 'neck/surface': 'raw' })
  return { ...build, steps: {}, finish: { ...build.finish, start: '2026-12-01', layers, weather } }
}

describe('may the next coat go on now', () => {
  it('is judged by what comes next on that day, and by nothing once every coat is laid', () =>
    void holds(
      fc.property(
        fc.array(fc.record({ product: fc.constantFrom(...PRODUCT_IDS), coats: fc.integer({ min: 1, max: 3 }) }), {
          minLength: 1,
          maxLength: 4,
        }),
        fc.integer({ min: 0, max: 12 }),
        fc.record({ air: fc.integer({ min: 5, max: 34 }), humidity: fc.integer({ min: 20, max: 95 }) }),
        (layers, many, room) => {
          const weather = { ...room, surface: room.air }
          const fresh = on(layers, weather)
          if (!finishResult(fresh, '2026-12-01').plan) return
          const coats = planOf(fresh).coats
          const laid = coats.slice(0, many).map((c) => [c.id, { product: c.product, at: `${c.date}T19:00` }] as const)
          const build = { ...fresh, finish: { ...fresh.finish, laid: Object.fromEntries(laid) } }
          const next = coats[many]
          const { weather: said } = finishResult(build, '2026-12-01')
          if (!next) expect(said).toBeUndefined()
          else expect(said).toEqual(weatherCheck(weather, PRODUCTS[next.product as keyof typeof PRODUCTS]))
        },
      ),
      80,
    ))
})

describe('what is said of a product over another', () => {
  const grounds: readonly Ground[] = ['raw', 'sealed', 'coated', ...MEDIA]
  it('says what is to be done: a cure and a scuff, a test piece, or nothing that could make it hold', () => {
    for (const ground of grounds)
      for (const above of MEDIA) {
        const said = nextOver([ground], above)
        const at = `${above} on ${ground}`
        expect(said?.follow ?? 'yes', at).toBe(mayFollow(ground, above))
        if (said?.follow === 'cure') expect(said.says, at).toMatch(/ only after its full cure and a scuff\.$/)
        else expect(said?.because ?? '', at).not.toMatch(/full cure/)
        if (said?.follow === 'never') expect(said.because, at).not.toMatch(/test piece/)
      }
    expect(nextOver(['wax'], 'lacquer')!.says).toBe('Lacquer does not hold on wax.')
    expect(nextOver(['oil'], 'shellac')!.says).toBe('Shellac goes on oil only after its full cure and a scuff.')
    expect(nextOver(['oil'], 'lacquer')!.says).toBe('Lacquer on oil: try it on a test piece or a hidden place first.')
    // A pair with a reason of its own.
    expect(nextOver(['poly'], 'lacquer')!.because).toBe('Its solvents lift polyurethane: it wrinkles.')
  })
  it('what came on the wood is to be sanded off for a dye; what was laid on it is not', () => {
    for (const came of ['sealed', 'coated'] as const) expect(nextOver([came], 'dye')!.says, came).toMatch(/Sand all of it off to the wood/)
    expect(nextOver(['raw', 'shellac'], 'dye')!.says).toBe('Dye does not go into the wood through shellac. Lay it before the shellac.')
    // However deep it lies.
    expect(nextOver(['raw', 'lacquer', 'dye'], 'oil')!.because).toBe('Oil does not go into the wood through lacquer.')
    expect(nextOver(['raw', 'dye'], 'oil')).toBeUndefined()
  })
})

describe('a sanding in words', () => {
  const cut = { texture: 'glass', block: true } as const
  it.each([
    [{ ...cut, grits: [] }, 'Not cut'],
    [{ ...cut, grits: [2500] }, 'Cut with P2500 with a block'],
    [{ ...cut, grits: [1200, 1500, 2500] }, 'Cut from P1200 to P2500 with a block'],
    [{ ...cut, grits: [2000], block: false }, 'Cut with P2000 with fingers'],
  ])('%o: %s', (sanding, says) => expect(sandingSays(sanding)).toBe(says))
})
