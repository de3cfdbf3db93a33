import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build, FinishZone } from '../document/build'
import { applyChange as applied } from '../document/change'
import { tickStep } from '../document/changes'
import { planOf } from '../testing/coatPlanOf'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { addLayer, dropLayer, insertLayer, setLayer, setLies, zoneStack, type StackChange } from './editing'
import { coatsOn, sameCoats } from './laid'
import { layCoats, notDone, takeCoatBack } from './laying'
import { lockedLayers, stackFor, type StackOf } from './locked'
import { groundOf, offersOver, resolved, stackFaults } from './stack'
import { stackProblems } from './stackProblems'
import { zonesOf } from './zones'

const AT = '2026-12-01T19:00'
const made = (finish: Partial<Build['finish']> = {}): Build => {
  const build = changed(fullBuild(), {}, { 'body/surface': 'raw', 'neck/surface': 'raw' })
  return { ...build, steps: {}, finish: { ...build.finish, system: 'none', start: '2026-12-01', ...finish } }
}
const LAYERS = ['sanding-sealer', 'lacquer-toner', 'lacquer-clear'].map((product) => ({ product, coats: 2 }))
const then = (build: Build, c: StackChange): Build => {
  if (!c.ok) throw new Error(c.why)
  return applied(build, c.change)
}
/** The first coats of the plan, laid. */
function coated(build: Build, n: number): Build {
  const { coats } = planOf(build)
  return applied(build, layCoats(build, coats, coats.filter((c) => !c.laid).slice(0, n), AT))
}
const lying = (build: Build) => new Map(zonesOf(build).map((z) => [z, coatsOn(build, z)]))
const count = (build: Build, zone: FinishZone) => Object.keys(coatsOn(build, zone)).length

type Act =
  | { zone: FinishZone; is: 'own' | 'bare' | 'whole' }
  | { zone: FinishZone; product: string }
  | { lies: boolean }
  | { of: StackOf; at: number; coats: number }
function done(build: Build, a: Act): StackChange {
  if ('lies' in a) return setLies(build, a.lies)
  if ('coats' in a) return setLayer(build, a.of, a.at, { coats: a.coats }, 'coats')
  return 'is' in a ? zoneStack(build, a.zone, a.is) : addLayer(build, a.zone, a.product)
}

describe('what lies, while zones come together otherwise', () => {
  it('on each zone lies what lay there, whoever it is counted with; what cannot be is refused in a sentence', () => {
    const zones = ['front', 'back', 'rim', 'neck-back', 'head-face', 'board'] as const
    const act = fc.oneof(
      fc.record({ zone: fc.constantFrom(...zones), is: fc.constantFrom('own', 'bare', 'whole') }),
      fc.record({ zone: fc.constantFrom(...zones), product: fc.constantFrom('lacquer-clear', 'wax', 'acrylic-clear') }),
      fc.record({ lay: fc.integer({ min: 1, max: 3 }) }),
      fc.record({ lies: fc.boolean() }),
      fc.record({ of: fc.constantFrom('whole', 'front', 'back'), at: fc.nat(2), coats: fc.integer({ min: 1, max: 4 }) }),
    )
    const seen = { kept: 0, refused: 0 }
    holds(
      fc.property(fc.boolean(), fc.integer({ min: 1, max: 4 }), fc.array(act, { minLength: 2, maxLength: 6 }), (lies, first, acts) => {
        let build = coated(made({ layers: LAYERS, ...(lies ? { lies: true } : {}) }), first)
        for (const a of acts) {
          if ('lay' in a) {
            build = coated(build, a.lay)
            continue
          }
          const made = done(build, a)
          if (!made.ok) {
            seen.refused++
            expect(made.why).toMatch(/ .*\.$/)
            continue
          }
          const after = applied(build, made.change)
          for (const [zone, coats] of lying(build)) {
            if (Object.keys(coats).length) seen.kept++
            expect(sameCoats(coats, coatsOn(after, zone)), zone).toBe(true)
          }
          build = after
        }
      }),
      150,
    )
    expect(seen.kept).toBeGreaterThan(50)
    expect(seen.refused).toBeGreaterThan(3)
  })
  it('a front that gets its own is not sealed twice, and comes back to the whole as it went', () => {
    const build = coated(made({ layers: LAYERS }), 3)
    expect([count(build, 'front'), count(build, 'back')]).toEqual([3, 3])
    const own = then(build, zoneStack(build, 'front', 'own'))
    expect([count(own, 'front'), count(own, 'back'), lockedLayers(own, 'front')]).toEqual([3, 3, 2])
    // Of the front as of all else, the second coat of colour and both of clear are still to come.
    const open = planOf(own).coats.filter((c) => !c.laid)
    expect(open.filter((c) => c.group === 'front').map((c) => `${c.layer} ${c.number}`)).toEqual(['colour 2', 'top 1', 'top 2'])
    expect(open.filter((c) => c.group === 'whole')).toHaveLength(3)
    expect(Object.keys(own.steps).toSorted()).toEqual(['coats-front-sealer', 'coats-sealer'])
    const back = then(own, zoneStack(own, 'front', 'whole'))
    expect(Object.keys(back.steps)).toEqual(['coats-sealer'])
    expect(back.finish.zones).toEqual(build.finish.zones ?? {})
    expect(back.finish.laid).toEqual(build.finish.laid)
    // With one coat more it is no longer as the whole.
    expect(zoneStack(coated(own, 1), 'front', 'whole')).toEqual({ ok: false, why: 'Front has coats of its own that lie already.' })
  })
  it('what was ticked in the plan lies on the zone too', () => {
    const build = made({ layers: LAYERS })
    const ticked = applied(build, tickStep(build, 'coats-sealer', 'sealer', '2026-12-02T10:00:00'))
    expect([lockedLayers(ticked, 'whole'), count(ticked, 'front')]).toEqual([1, 2])
    const own = then(ticked, zoneStack(ticked, 'front', 'own'))
    expect([lockedLayers(own, 'front'), count(own, 'front'), count(own, 'rim')]).toEqual([1, 2, 2])
  })
  it('what is coated is not bare, and what is bare is not coated', () => {
    const build = coated(made({ layers: LAYERS }), 2)
    expect(zoneStack(build, 'front', 'bare')).toEqual({
      ok: false,
      why: 'Front has coats of the whole on it that lie already. Give it its own, and take out what is not to come.',
    })
    // As it is told: its own, and what is not to come taken out.
    let own = then(build, zoneStack(build, 'front', 'own'))
    for (let i = 0; i < 2; i++) own = then(own, dropLayer(own, 'front', 1))
    expect(planOf(own).coats.filter((c) => c.group === 'front' && !c.laid)).toEqual([])
    const start = made({ layers: LAYERS })
    const bare = coated(then(start, zoneStack(start, 'front', 'bare')), 2)
    expect(zoneStack(bare, 'front', 'whole')).toEqual({
      ok: false,
      why: 'Front: coats of the whole that lie already are not on it. Give it its own.',
    })
    expect(zoneStack(bare, 'front', 'own').ok).toBe(true)
  })
  it('laid over to lie, both faces have what they had; hung again only when both have the same', () => {
    const hung = coated(made({ layers: LAYERS }), 2)
    const lies = then(hung, setLies(hung, true))
    expect([count(lies, 'front'), count(lies, 'back')]).toEqual([2, 2])
    const one = coated(lies, 1)
    expect([count(one, 'front'), count(one, 'back')]).toEqual([3, 2])
    expect(setLies(one, false)).toMatchObject({ ok: false, why: expect.stringMatching(/^One face has more coats than the other/) })
    const both = coated(one, 1)
    const again = then(both, setLies(both, false))
    expect([count(again, 'front'), count(again, 'back')]).toEqual([3, 3])
  })
  it('one coat more of what is all laid is still to come; none fewer than lie, and none under what lies', () => {
    const all = coated(made({ layers: LAYERS }), 6)
    expect([planOf(all).coats.filter((c) => !c.laid).length, Object.keys(all.steps).length]).toEqual([0, 3])
    // Sanded through: one clear coat more.
    const more = then(all, setLayer(all, 'whole', 2, { coats: 3 }, 'more'))
    expect(
      planOf(more)
        .coats.filter((c) => !c.laid)
        .map((c) => c.id),
    ).toEqual(['top-3'])
    expect(Object.keys(more.steps).toSorted()).toEqual(['coats-colour', 'coats-sealer'])
    expect(setLayer(all, 'whole', 2, { coats: 1 }, 'fewer')).toEqual({
      ok: false,
      why: 'More coats of it lie already: take those back first if they were not laid.',
    })
    expect(setLayer(all, 'whole', 1, { coats: 3 }, 'under')).toEqual({
      ok: false,
      why: 'Nitrocellulose clear lies on it already: no coat of toner: lacquer with dye in it comes under it any more.',
    })
    // One coat of sealer was left out: what is not laid need not be planned.
    const { 'sealer-2': _, ...laid } = all.finish.laid!
    const out = { ...all, steps: {}, finish: { ...all.finish, laid } }
    expect(planOf(then(out, setLayer(out, 'whole', 0, { coats: 1 }, 'one'))).coats.filter((c) => !c.laid)).toEqual([])
    // Three of four are laid, and three are enough: the plan has it behind it.
    const part = coated(made({ layers: [{ product: 'lacquer-clear', coats: 4 }] }), 3)
    expect(Object.keys(part.steps)).toEqual([])
    expect(Object.keys(then(part, setLayer(part, 'whole', 0, { coats: 3 }, 'enough')).steps)).toEqual(['coats-top'])
  })
  it('what was noted of a coat that nobody plans stays noted', () => {
    const build = coated(made({ layers: LAYERS }), 2)
    const noted = { 'top-9': { product: 'lacquer-clear', at: AT } }
    const known = { ...build, finish: { ...build.finish, laid: { ...build.finish.laid, ...noted } } }
    expect(then(known, zoneStack(known, 'front', 'own')).finish.laid).toMatchObject(noted)
  })
  it('one coat more of what was ticked in the plan is still to come', () => {
    const build = made({ layers: LAYERS })
    const ticked = applied(build, tickStep(build, 'coats-sealer', 'sealer', '2026-12-02T10:00:00'))
    const more = then(ticked, setLayer(ticked, 'whole', 0, { coats: 3 }, 'more'))
    expect([count(more, 'front'), planOf(more).coats.find((c) => !c.laid)?.id]).toEqual([2, 'sealer-3'])
  })
  it('a layer that the plan says is not done after all lies no more, and the others do', () => {
    const all = coated(made({ layers: LAYERS }), 6)
    const back = applied(all, notDone(all, { id: 'coats-top', title: 'Clear' }))
    expect(planOf(back).coats.flatMap((c) => (c.laid ? [] : c.id))).toEqual(['top-1', 'top-2'])
    expect(Object.keys(back.steps).toSorted()).toEqual(['coats-colour', 'coats-sealer'])
    // Of any other step only the tick is taken back.
    const ticked = applied(all, tickStep(all, 'rub-out', 'Rub out', AT))
    expect(applied(ticked, notDone(ticked, { id: 'rub-out', title: 'Rub out' }))).toEqual(all)
  })
  it('of what was ticked in the plan one coat is taken back, and the others lie', () => {
    const build = made({ layers: LAYERS })
    const ticked = applied(build, tickStep(build, 'coats-colour', 'colour', '2026-12-02T10:00:00'))
    const back = applied(ticked, takeCoatBack(ticked, planOf(ticked).coats.find((c) => c.id === 'colour-2')!))
    expect([Object.keys(back.steps), Object.keys(back.finish.laid!)]).toEqual([[], ['colour-1']])
    expect(planOf(back).coats.flatMap((c) => (c.laid ? c.id : []))).toEqual(['colour-1'])
  })
  it('a fretboard that stays as it is takes what is laid on it, and nothing of the whole', () => {
    const build = made({ layers: LAYERS })
    expect(stackFor(build, 'board')).toEqual([])
    const oiled = then(build, addLayer(build, 'board', 'oil-varnish'))
    expect(stackFor(oiled, 'board').map((l) => l.product)).toEqual(['oil-varnish'])
  })
})

describe('what does not hold on top, where it would', () => {
  const layersOf = (build: Build) => resolved(build, stackFor(build, 'whole'))
  it('is offered there only where nothing lies yet, and taken there', () => {
    const seen = { offered: 0, none: 0 }
    holds(
      fc.property(
        fc.array(fc.constantFrom('sanding-sealer', 'lacquer-toner', 'lacquer-clear', 'wax', 'oil-varnish'), { maxLength: 4 }),
        fc.nat(4),
        (products, n) => {
          let build = made()
          for (const p of products) {
            const add = addLayer(build, 'whole', p)
            if (add.ok) build = applied(build, add.change)
          }
          if (stackFor(build, 'whole').length) build = coated(build, n)
          const locked = lockedLayers(build, 'whole')
          for (const o of offersOver(build, groundOf(build), layersOf(build), locked)) {
            if (o.said?.follow !== 'never') continue
            if (o.before === undefined) {
              seen.none++
              continue
            }
            seen.offered++
            expect(o.before).toBeGreaterThanOrEqual(locked)
            const after = then(build, insertLayer(build, 'whole', o.id, o.before))
            expect(stackFor(after, 'whole')[o.before]!.product).toBe(o.id)
            expect(stackFaults(groundOf(after), layersOf(after)).filter((f) => f.follow === 'never')).toEqual([])
          }
        },
      ),
      60,
    )
    expect(seen.offered).toBeGreaterThan(20)
    expect(seen.none).toBeGreaterThan(20)
  })
  it('over what lies already it is left out, or that comes off', () => {
    const build = coated(made({ layers: LAYERS }), 2)
    const dye = offersOver(build, groundOf(build), layersOf(build), lockedLayers(build, 'whole')).find((o) => o.id === 'water-dye')!
    expect(dye.said!.says).toBe('Dye does not go into the wood through lacquer. Leave it out, or sand off what lies there.')
    // Both lie: nothing is laid before the other any more.
    const wrong = made({ layers: ['wax', 'lacquer-clear'].map((product) => ({ product, coats: 1 })) })
    expect(stackProblems(wrong)).toEqual(['Lacquer does not hold on wax. Lay it before the wax.'])
    expect(stackProblems(coated(wrong, 1))).toEqual(['Lacquer does not hold on wax. Leave it out, or sand off what lies there.'])
    expect(stackProblems(coated(wrong, 2))).toEqual([
      'Lacquer does not hold on wax. It lies there: sand it off again before anything goes over it.',
    ])
  })
})
