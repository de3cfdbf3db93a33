import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build, SandPass } from '../document/build'
import { erfc } from '../quantity/distribution'
import { changed, fullBuild } from '../testing/fullBuild'
import { gritByGrit, strikeThrough, takenAt, takenBy, type Budget, type FilmPlace } from './filmBudget'
import { budgetOf, filmState, moreCoats, spotsOf } from './filmState'
import { finishDrawing } from './filmDrawing'
import { GRAIN, ladder } from './grits'
import { sampleStrike, type Sampled } from './sampling'

const budget = (more: Partial<Budget> = {}): Budget => ({
  coats: { from: 3, to: 3 },
  film: 12,
  doubt: 0.3,
  texture: 'light peel',
  grits: [1200, 2000],
  block: true,
  ...more,
})
const last = (b: Budget, spots: Record<FilmPlace, number>, runs = 20_000): Sampled => [...sampleStrike(b, spots, runs, 7)].at(-1)!
const one = { flat: 1, edge: 1, corner: 1 }
const chance = (b: Budget, place: FilmPlace) => strikeThrough(b).find((r) => r.place === place)!.chance

describe('film budget against sums made otherwise', () => {
  it('one coat on a flat: a normal about its film less what is taken, by the error function [closed form]', () => {
    const b = budget({ coats: { from: 1, to: 1 }, film: 30, grits: [1200], texture: 'glass' })
    // Taken: 3/2 and 15.3/3 = 6.6 um with fingers' bite of 1; sigma: 0.15 x 30, half common, half its own.
    const taken = 1.5 + 15.3 / 3
    const sigma = Math.hypot(0.15 * 30 * 0.5, 0.15 * 30 * 0.5)
    expect(takenAt(b, 'flat')).toBeCloseTo(taken, 9)
    expect(chance(b, 'flat')).toBeCloseTo(erfc((30 - taken) / sigma / Math.SQRT2) / 2, 9)
  })
  it('counted out by throwing it many times, single places come to the same', () => {
    for (const b of [
      budget({ film: 6, coats: { from: 4, to: 4 } }),
      budget({ film: 7, coats: { from: 3, to: 5 } }),
      budget({ texture: 'relief', coats: { from: 7, to: 7 } }),
    ]) {
      const sampled = last(b, one)
      for (const place of ['flat', 'edge', 'corner'] as const) expect(sampled.each[place], place).toBeCloseTo(chance(b, place), 1)
      // Four hundredths of a share are three sigma of twenty thousand throws many times over.
      for (const place of ['flat', 'edge', 'corner'] as const) expect(Math.abs(sampled.each[place] - chance(b, place))).toBeLessThan(0.015)
    }
  })
  it('many stretches of edge give it many chances: somewhere is never less than one', () => {
    const b = budget({ film: 8, coats: { from: 4, to: 4 } })
    const many = last(b, { flat: 4, edge: 40, corner: 6 }, 4000)
    expect(many.somewhere.edge).toBeGreaterThanOrEqual(many.each.edge)
    expect(many.somewhere.edge).toBeGreaterThan(last(b, one, 4000).somewhere.edge)
    expect(many.anywhere).toBeGreaterThanOrEqual(Math.max(...Object.values(many.somewhere)))
    expect(many.thinnest.low).toBeLessThan(many.thinnest.high)
  })
  it('reports on the way, and stops when nobody asks any more', () => {
    const steps = sampleStrike(budget(), one, 10_000)
    expect(steps.next().value).toMatchObject({ done: 0.05 })
    expect(steps.next().value).toMatchObject({ done: 0.1 })
    steps.return()
    expect(steps.next().done).toBe(true)
  })
  it('more coats are never riskier, more passes never safer, a wider count wider', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 4, max: 25 }),
        fc.constantFrom(...Object.keys(GRAIN).map(Number)),
        (n, film, grit) => {
          const b = budget({ coats: { from: n, to: n }, film })
          const taken = { texture: 'glass' as const, grits: [grit], block: false }
          for (const place of ['flat', 'edge', 'corner'] as const) {
            expect(chance({ ...b, done: [taken] }, place)).toBeGreaterThanOrEqual(chance(b, place) - 1e-12)
            const mean = n * film * (place === 'flat' ? 1 : place === 'edge' ? 0.65 : 0.5) - takenAt(b, place)
            // Where it would go through at the mean, one coat more brings it towards the middle only if the mean rises.
            if (mean > 0) expect(chance({ ...b, coats: { from: n + 1, to: n + 1 } }, place)).toBeLessThanOrEqual(chance(b, place) + 1e-9)
          }
        },
      ),
    ))
  it('what was sanded before is gone: a pass and the next take what both take', () => {
    const first = { texture: 'light peel' as const, grits: [1200], block: true }
    const b = budget({ texture: 'glass', grits: [2000], done: [first] })
    for (const p of ['flat', 'edge', 'corner'] as const) expect(takenAt(b, p)).toBeCloseTo(takenBy(first, p) + takenBy(b, p), 12)
  })
  it('grit by grit, what is left only shrinks', () => {
    const steps = gritByGrit(budget({ grits: ladder(800, 2500) }))
    for (let i = 1; i < steps.length; i++) {
      expect(steps[i]!.risks.find((r) => r.place === 'edge')!.left).toBeLessThan(steps[i - 1]!.risks.find((r) => r.place === 'edge')!.left)
      expect(steps[i]!.depth).toBeLessThan(steps[i - 1]!.depth)
    }
  })
})

describe('the film as it is', () => {
  const build = (finish: Partial<Build['finish']>): Build => {
    const b = changed(fullBuild(), {}, { 'body/surface': 'raw' })
    return {
      ...b,
      finish: {
        ...b.finish,
        start: '2026-12-01',
        layers: [
          { product: 'filler-primer', coats: 2 },
          { product: 'acrylic-colour', coats: 3 },
          { product: 'acrylic-clear', coats: 4 },
        ],
        ...finish,
      },
    }
  }
  const pass = (more: Partial<SandPass> = {}): SandPass => ({
    at: '2026-12-10T19:00',
    texture: 'light peel',
    grits: [1200, 2000],
    block: true,
    ...more,
  })
  it('only the clear may be cut, and colour shows under it', () => {
    const s = filmState(build({}), 'front')!
    expect(s).toMatchObject({ film: 11, under: 'acrylic colour', coats: { from: 4, to: 4, laid: 0, planned: 4 } })
    expect(s.clear.map((l) => l.product)).toEqual(['acrylic-clear'])
  })
  it('counts what is laid; nobody counted is a range and widens the odds', () => {
    const laid = Object.fromEntries([1, 2, 3].map((n) => [`top-${n}`, { product: 'acrylic-clear', at: '2026-12-02T19:00' }]))
    expect(filmState(build({ laid }), 'front')!.coats).toMatchObject({ from: 3, to: 3, laid: 3 })
    const wide = filmState(build({ laid, uncounted: { from: 2, to: 6 } }), 'front')!
    expect(wide.coats).toMatchObject({ from: 2, to: 6 })
    const planned = { texture: 'light peel' as const, grits: [1200], block: true }
    const at = (s: typeof wide) => strikeThrough(budgetOf(s, planned)).find((r) => r.place === 'flat')!.chance
    expect(at(wide)).toBeGreaterThan(at({ ...wide, coats: { ...wide.coats, from: 4, to: 4 } }))
  })
  it('a pass on one zone is not one on another', () => {
    const b = build({ passes: { a: pass({ zone: 'back' }) } })
    expect(filmState(b, 'front')!.passes).toHaveLength(0)
    expect(filmState(b, 'back')!.passes).toHaveLength(1)
    expect(filmState(build({ passes: { a: pass({ through: 'edge' }) } }), 'front')!.through).toHaveLength(1)
  })
  it('each more coat makes it likelier to hold', () => {
    const worst = moreCoats(budgetOf(filmState(build({}), 'front')!, { texture: 'light peel', grits: [1200, 2000], block: true }))
    expect(worst.map((w) => w.more)).toEqual([0, 1, 2, 3, 4, 5, 6])
    for (let i = 1; i < worst.length; i++) expect(worst[i]!.worst.chance).toBeLessThanOrEqual(worst[i - 1]!.worst.chance)
  })
  it('is drawn with what the sanding takes, and says where it goes through', () => {
    const b = build({})
    const state = filmState(b, 'front')!
    const words = (texture: Budget['texture']) =>
      finishDrawing(b, 'front', budgetOf(state, { texture, grits: [1200, 2000], block: true }))
        .marks.flatMap((m) => (m.mark === 'label' ? [m.text] : []))
        .join()
    expect(words('relief')).toMatch(/through at the edge/)
    expect(words('glass')).toMatch(/µm left at the edge/)
  })
  it('an oil on bare wood has nothing to go through but itself', () => {
    const s = filmState(build({ layers: [{ product: 'oil-varnish', coats: 6 }] }), 'front')!
    expect(s.under).toBe('bare wood')
    expect(filmState(build({ layers: [{ product: 'water-dye', coats: 2 }] }), 'front')).toBeUndefined()
  })
  it('a bigger body has more edge to go through', () => {
    const small = spotsOf(fullBuild())
    expect(small.edge).toBeGreaterThan(15)
    expect(small.corner).toBeGreaterThan(0)
  })
})
