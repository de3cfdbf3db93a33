import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { applyChange as applied } from '../document/change'
import { planOf } from '../testing/coatPlanOf'
import { changed, fullBuild } from '../testing/fullBuild'
import { addLayer, chooseSystem, dropLayer, moveLayer, setLayer, zoneStack, type StackChange } from './editing'
import { lockedLayers, stackFor } from './locked'
import { PRODUCT_IDS } from './products'
import { groundOf, layersOf, stackFaults } from './stack'

const made = (finish: Partial<Build['finish']> = {}, surface = 'raw'): Build => {
  const build = changed(fullBuild(), {}, { 'body/surface': surface, 'neck/surface': 'raw' })
  return { ...build, steps: {}, finish: { ...build.finish, system: 'none', start: '2026-12-01', ...finish } }
}
const then = (build: Build, c: StackChange): Build => {
  if (!c.ok) throw new Error(c.why)
  return applied(build, c.change)
}

describe('a stack put together by hand', () => {
  it('from nothing to a calendar, layer by layer', () => {
    let build = made()
    for (const p of ['filler-primer', 'acrylic-colour', 'acrylic-clear']) build = then(build, addLayer(build, 'whole', p))
    expect(layersOf(build).map((l) => l.product)).toEqual(['filler-primer', 'acrylic-colour', 'acrylic-clear'])
    expect(planOf(build).coats).toHaveLength(2 + 3 + 4)
  })
  it('whatever is laid on or moved, no layer comes to lie where it never holds', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('raw', 'sealed', 'coated'),
        fc.array(fc.tuple(fc.constantFrom(...PRODUCT_IDS), fc.nat(6), fc.nat(6)), { maxLength: 8 }),
        (surface, acts) => {
          let build = made({}, surface)
          for (const [product, from, to] of acts) {
            const add = addLayer(build, 'whole', product)
            if (add.ok) build = applied(build, add.change)
            else expect(add.why.length).toBeGreaterThan(15)
            const n = stackFor(build, 'whole').length
            if (!n) continue
            const move = moveLayer(build, 'whole', from % n, to % n)
            if (move.ok) build = applied(build, move.change)
            expect(stackFaults(groundOf(build), layersOf(build)).filter((f) => f.follow === 'never')).toEqual([])
          }
        },
      ),
    ))
  it('what lies already stays where it lies: no move, nothing under it, not taken out', () => {
    const layers = ['sanding-sealer', 'lacquer-clear'].map((product) => ({ product, coats: 2 }))
    const build = made({ layers, laid: { 'sealer-1': { product: 'sanding-sealer', at: '2026-12-01T19:00' } } })
    expect(lockedLayers(build, 'whole')).toBe(1)
    expect(moveLayer(build, 'whole', 0, 1)).toMatchObject({ ok: false, why: expect.stringMatching(/lie already/) })
    expect(dropLayer(build, 'whole', 0)).toMatchObject({ ok: false })
    expect(dropLayer(build, 'whole', 1)).toMatchObject({ ok: true })
    // Coats counted on a zone of its own do not lock the whole.
    expect(lockedLayers(made({ layers, laid: { 'front/sealer-1': { product: 'x', at: '2026-12-01T19:00' } } }), 'whole')).toBe(0)
  })
  it('what is refused names the layer that lies already; what is there against the rules already stands in nobody’s way', () => {
    const layers = ['sanding-sealer', 'lacquer-clear'].map((product) => ({ product, coats: 2 }))
    const laid = { 'sealer-1': { product: 'sanding-sealer', at: '2026-12-01T19:00' } }
    expect(moveLayer(made({ layers, laid }), 'whole', 0, 1)).toEqual({
      ok: false,
      why: 'Lacquer sanding sealer has coats that lie already: what is under them cannot change any more.',
    })
    expect(moveLayer(made({ layers }), 'whole', 5, 0)).toEqual({ ok: false, why: 'There is no such layer.' })
    // Dye over lacquer never holds; it came so from elsewhere, and a clear on top makes nothing worse.
    const wrong = made({ layers: ['lacquer-clear', 'water-dye'].map((product) => ({ product, coats: 1 })) })
    expect(stackFaults(groundOf(wrong), layersOf(wrong)).map((f) => f.follow)).toContain('never')
    expect(addLayer(wrong, 'whole', 'lacquer-clear').ok).toBe(true)
    // A second one is refused by its own sentence.
    const oiled = addLayer(wrong, 'whole', 'oil-varnish')
    expect(oiled).toMatchObject({ ok: false, why: expect.stringMatching(/^Oil does not go into the wood through lacquer/) })
  })
  it('each change says what was done, and nothing else moves', () => {
    const build = made({ layers: ['sanding-sealer', 'lacquer-clear', 'lacquer-mist'].map((product) => ({ product, coats: 2 })) })
    const said = (c: StackChange) => (c.ok ? c.change.label : c.why)
    expect(said(addLayer(build, 'whole', 'lacquer-clear'))).toBe('Nitrocellulose clear laid on the stack')
    expect(said(moveLayer(build, 'whole', 1, 2))).toBe('Nitrocellulose clear moved')
    expect(said(dropLayer(build, 'whole', 0))).toBe('Lacquer sanding sealer taken out')
    expect(said(addLayer(build, 'whole', 'nothing'))).toBe('"nothing" is no product here.')
    expect(stackFor(then(build, moveLayer(build, 'whole', 0, 2)), 'whole').map((l) => l.product)).toEqual([
      'lacquer-clear',
      'lacquer-mist',
      'sanding-sealer',
    ])
    expect(stackFor(then(build, dropLayer(build, 'whole', 1)), 'whole').map((l) => l.product)).toEqual(['sanding-sealer', 'lacquer-mist'])
    // Held there by its label: written down, and only where it was said.
    const [plain, label] = [false, true].map((by) => stackFor(then(build, addLayer(build, 'whole', 'lacquer-clear', by)), 'whole').at(-1)!)
    expect([plain!.byLabel, label!.byLabel]).toEqual([undefined, true])
    // Of a zone: that zone's alone.
    const zoned = then(build, addLayer(build, 'back', 'lacquer-clear'))
    expect([stackFor(zoned, 'back').length, stackFor(zoned, 'front').length, stackFor(zoned, 'whole').length]).toEqual([4, 3, 3])
  })
  it('a sealed body refuses dye with what to do', () =>
    expect(addLayer(made({}, 'sealed'), 'whole', 'water-dye')).toMatchObject({
      ok: false,
      why: expect.stringMatching(/Sand all of it off/),
    }))
  it('a field of one layer is set and cleared again', () => {
    const build = made({ layers: [{ product: 'water-dye', coats: 2 }] })
    const red = then(build, setLayer(build, 'whole', 0, { colour: '#aa2211', burst: 60 }, 'red'))
    expect(stackFor(red, 'whole')[0]).toEqual({ product: 'water-dye', coats: 2, colour: '#aa2211', burst: 60 })
    expect(stackFor(then(red, setLayer(red, 'whole', 0, { burst: undefined }, 'all over')), 'whole')[0]).not.toHaveProperty('burst')
  })
  it('a zone takes its own, goes bare, and follows again; other zones stay', () => {
    const build = made({ system: 'lacquer', zones: { back: { layers: [{ product: 'wax', coats: 1 }] } } })
    const own = then(build, zoneStack(build, 'neck-back', 'own'))
    expect(stackFor(own, 'neck-back').map((l) => l.product)).toEqual(['sanding-sealer', 'lacquer-clear'])
    const bare = then(own, zoneStack(own, 'neck-back', 'bare'))
    expect(stackFor(bare, 'neck-back')).toEqual([])
    const again = then(bare, zoneStack(bare, 'neck-back', 'whole'))
    expect(again.finish.zones).toEqual(build.finish.zones)
  })
  it('a finish chosen again is as it comes', () => {
    const build = made({ layers: [{ product: 'wax', coats: 1 }], under: { dye: true } })
    expect(layersOf(applied(build, chooseSystem(build, 'oil'))).map((l) => l.product)).toEqual(['oil-varnish'])
  })
})
