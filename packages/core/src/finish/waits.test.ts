import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newBuild, type Build, type FinishSystem, type LaidCoat } from '../document/build'
import { evaluate } from '../evaluate/evaluate'
import { daysBetween } from '../quantity/days'
import { planOf } from '../testing/coatPlanOf'
import { changed, fullBuild } from '../testing/fullBuild'
import { triedFinishes } from '../evaluate/finishes'
import { withSystem } from './offers'
import { coatPlan } from './schedule'
import { groundOf, layersOf, offersOver } from './stack'
import { stackProblems } from './stackProblems'
import { PRODUCTS } from './products'
import { isChosen, systemCautions, SYSTEMS } from './systems'

const EVERY = [180, 180, 180, 180, 180, 180, 180]
const base = (more: Partial<Build['finish']> = {}): Build => {
  const build = fullBuild()
  return {
    ...build,
    evenings: EVERY,
    steps: {},
    finish: { ...build.finish, start: '2026-11-24', weather: { air: 20, surface: 20, humidity: 50 }, ...more },
  }
}
const coat = (at: string, air = 20, humidity = 50): LaidCoat => ({ product: 'x', at, air, humidity })
/** All coats of lacquer laid on one evening, the last at the time given. */
const allLaid = (at: string, air = 20, humidity = 50): Record<string, LaidCoat> =>
  Object.fromEntries(
    [...[1, 2].map((n) => `sealer-${n}`), ...[1, 2, 3, 4, 5].map((n) => `top-${n}`)].map((id) => [id, coat(at, air, humidity)]),
  )

describe('waits count from what was laid', () => {
  it('the rub-out stands where the last coat put it, whatever day it is today: lacquer 7 days', () => {
    const build = base({ laid: allLaid('2026-11-24T20:00') })
    for (const today of ['2026-11-24', '2026-11-30', '2026-12-20']) expect(coatPlanFrom(build, today).rubOut, today).toBe('2026-12-01')
    const rub = (today: string) => evaluate(build, today).plan.steps.find((s) => s.id === 'rub-out')!
    expect(rub('2026-11-26').notBefore).toBe('2026-12-01')
    expect(rub('2026-11-26').state).not.toBe('ready')
  })
  it('ticking the coats in the plan counts from that day, and does not make the rub-out ready', () => {
    const done = { done: '2026-11-24T20:00:00Z' }
    const build = { ...base(), steps: { sand: done, 'coats-sealer': done, 'coats-top': done, 'seal-holes': done } }
    const on = (today: string) => evaluate(build, today).plan.steps.find((s) => s.id === 'rub-out')!
    expect(on('2026-11-25').state).toBe('waiting')
    expect(on('2026-11-25').date! >= '2026-12-01').toBe(true)
    expect(on('2026-11-28').date! >= '2026-12-01').toBe(true)
    expect(on('2026-12-01').state).toBe('ready')
  })
  it('is not ready to be sanded wet while its holes are open, and says what is risked', () => {
    const done = { done: '2026-11-24T20:00:00Z' }
    const build = { ...base(), steps: { sand: done, 'coats-sealer': done, 'coats-top': done } }
    const rub = evaluate(build, '2026-12-05').plan.steps.find((s) => s.id === 'rub-out')!
    expect(rub.state).toBe('blocked')
    expect(rub.open.map((b) => b.risk).join()).toMatch(/film cracks/)
  })
  it('laid in the cold it waits longer, by the air it was laid in and not by the air now: 10 degrees is twice', () => {
    const cold = base({ laid: allLaid('2026-11-24T20:00', 10), weather: { air: 25, surface: 25, humidity: 40 } })
    expect(coatPlanFrom(cold, '2026-11-24').rubOut).toBe('2026-12-08')
    const damp = base({ laid: allLaid('2026-11-24T20:00', 20, 75) })
    // 7 x 1.5 = 10.5 days, to the next whole one.
    expect(coatPlanFrom(damp, '2026-11-24').rubOut).toBe('2026-12-05')
  })
  it('warmth never makes it shorter than the label', () => {
    const warm = base({ laid: allLaid('2026-11-24T20:00', 30) })
    expect(coatPlanFrom(warm, '2026-11-24').rubOut).toBe('2026-12-01')
  })
  it('a coat moved by a month takes the rub-out with it', () => {
    const then = base({ laid: allLaid('2026-12-24T20:00') })
    expect(coatPlanFrom(then, '2026-12-24').rubOut).toBe('2026-12-31')
  })
  it('one coat more starts the wait again', () => {
    const seven = base({ laid: allLaid('2026-11-24T20:00') })
    const eight = { ...seven, finish: { ...seven.finish, coats: 6, laid: { ...seven.finish.laid, 'top-6': coat('2026-11-30T19:00') } } }
    expect(coatPlanFrom(eight, '2026-11-30').rubOut).toBe('2026-12-07')
  })
  it('a coat counted early does not push the plan: the end is where the coats still to come put it', () => {
    const ends = (laid: Record<string, LaidCoat>) => evaluate(base({ laid, start: '2026-12-11' }), '2026-11-26').plan.ends!
    expect(daysBetween(ends({}), ends({ 'sealer-1': coat('2026-11-26T19:00') }))).toBeLessThanOrEqual(0)
  })
  it('what is laid stays where it was laid, the rest comes after it', () => {
    const build = base({ laid: { 'sealer-1': coat('2026-11-24T19:00') } })
    const { coats } = coatPlanFrom(build, '2026-11-27')
    expect(coats[0]).toMatchObject({ id: 'sealer-1', date: '2026-11-24', laid: '2026-11-24T19:00' })
    expect(coats.slice(1).every((c) => c.date >= '2026-11-27' && !c.laid)).toBe(true)
  })
})
const coatPlanFrom = (build: Build, today: string) => {
  const found = coatPlan(build, today)
  if (!found.ok) throw new Error(found.why)
  return found.plan
}

describe('laws of the calendar, over systems, evenings and air', () => {
  const any = fc.record({
    system: fc.constantFrom(...(Object.keys(SYSTEMS) as Exclude<FinishSystem, 'none'>[])),
    evenings: fc.array(fc.constantFrom(0, 60, 90, 180), { minLength: 7, maxLength: 7 }).filter((e) => Math.max(...e) >= 60),
    air: fc.integer({ min: 2, max: 32 }),
    humidity: fc.integer({ min: 30, max: 80 }),
    laid: fc.nat(5),
  })
  const made = ({
    system,
    evenings,
    air,
    humidity,
    laid,
  }: {
    system: Exclude<FinishSystem, 'none'>
    evenings: number[]
    air: number
    humidity: number
    laid: number
  }) => {
    const build = withSystem({ ...base(), evenings }, system)
    const fresh = { ...build, finish: { ...build.finish, weather: { air, surface: air, humidity } } }
    const order = planOf(fresh).coats
    const done = Object.fromEntries(order.slice(0, laid).map((c, i) => [c.id, coat(`2026-11-2${Math.min(9, 4 + i)}T19:00`, air, humidity)]))
    return { ...fresh, finish: { ...fresh.finish, laid: done } }
  }
  it('no coat waits less than its label, nothing is rubbed out before its wait, no coat before the wood is ready', () =>
    fc.assert(
      fc.property(any, (w) => {
        const build = made(w)
        const plan = coatPlanFrom(build, '2026-12-01')
        const layer = (name: string) => layersOf(build).find((l) => l.name === name)!
        const at = (c: (typeof plan.coats)[number]) =>
          c.laid ? Date.parse(`${c.laid}:00Z`) / 60000 : Date.parse(`${c.date}T18:00:00Z`) / 60000 + c.starts
        plan.coats.forEach((c, i) => {
          if (!i || c.laid) return
          const before = plan.coats[i - 1]!
          const end = at(before) + (before.laid ? 0 : before.hands)
          const least = before.layer === c.layer ? layer(c.layer).recoat : layer(before.layer).recoat
          expect(at(c) - end).toBeGreaterThanOrEqual(least - 1e-6)
          const bad = before.layer === c.layer ? layer(c.layer).forbidden : undefined
          if (bad) expect(at(c) - end <= bad[0] || at(c) - end >= bad[1]).toBe(true)
        })
        for (const c of plan.coats) if (!c.laid) expect(c.date >= '2026-12-01').toBe(true)
        const last = layer(plan.coats.at(-1)!.layer)
        expect(daysBetween(plan.lastCoat, plan.rubOut)).toBeGreaterThanOrEqual(Math.floor((last.beforeSanding ?? 0) / 1440))
      }),
      { numRuns: 200 },
    ))
  it('colder is never sooner', () =>
    fc.assert(
      fc.property(any, (w) => {
        const colder = { ...w, air: w.air - 8, laid: 0 }
        expect(planOf(made(colder)).rubOut >= planOf(made({ ...w, laid: 0 })).rubOut).toBe(true)
      }),
      { numRuns: 100 },
    ))
})

describe('nothing is chosen until somebody chooses', () => {
  const bare = newBuild({ name: 'Test', handedness: 'right', strings: 6, scale: 648 }, '2026-11-24')
  it('a new build has no finish, no coats, and says why there is no calendar', () => {
    expect(isChosen(bare.finish.system)).toBe(false)
    expect(layersOf(bare)).toEqual([])
    const found = coatPlan(bare)
    expect(!found.ok && found.why).toMatch(/No finish is chosen/)
    expect(evaluate({ ...fullBuild(), finish: bare.finish }, '2026-11-24').plan.steps.some((s) => s.id === 'rub-out')).toBe(false)
  })
  it('all systems stand side by side with days and cans of this build, and none without its asks', () => {
    const { offers } = [...triedFinishes(base(), '2026-12-01')].at(-1)!
    expect(offers).toHaveLength(Object.keys(SYSTEMS).length)
    for (const o of offers) {
      expect(o.lastCoat! >= '2026-12-01', o.id).toBe(true)
      for (const x of o.shopping) expect(x.containers, o.id).toBeGreaterThan(0)
      for (const asks of [o.system.asks.lungs, o.system.asks.room, ...systemCautions(o.system)]) expect(asks.length).toBeGreaterThan(3)
    }
  })
})

describe('layers in their order', () => {
  const sealed = (surface: string, more: Partial<Build['finish']> = {}) => changed(base(more), {}, { 'body/surface': surface })
  it('a colour under lacquer brings its primer and takes the sealer’s place', () => {
    expect(layersOf(base()).map((l) => l.name)).toEqual(['sealer', 'top'])
    expect(layersOf(sealed('raw', { under: { colour: true, filler: true } })).map((l) => l.name)).toEqual([
      'filler',
      'primer',
      'colour',
      'top',
    ])
    expect(layersOf(sealed('raw', { under: { dye: true } })).map((l) => l.name)).toEqual(['dye', 'sealer', 'top'])
  })
  it('a sealed body is never dyed: the dye is left out of the stack and said', () => {
    for (const surface of ['sealed', 'coated']) {
      const build = sealed(surface, { under: { dye: true } })
      expect(layersOf(build).some((l) => l.name === 'dye')).toBe(false)
      expect(offersOver(build, groundOf(build), []).find((u) => u.id === 'water-dye')!.said).toMatchObject({
        follow: 'never',
        says: expect.stringMatching(/Sand all of it off/),
      })
      expect(stackProblems(build).join()).toMatch(/dye does not go into the wood/)
    }
    expect(stackProblems(sealed('raw', { under: { dye: true } }))).toEqual([])
  })
  it('not told is never read as raw', () => {
    const build = base()
    delete build.parts.body!.traits.surface
    expect(stackProblems(build).join()).toMatch(/A drop of water/)
  })
  it('oil on a sealed body is said too', () =>
    expect(stackProblems(sealed('sealed', { system: 'oil' })).join()).toMatch(/Oil does not go into the wood/))
  it('metallic is never sanded', () => {
    const metal = layersOf(base({ system: 'metallic' })).find((l) => l.medium === 'metallic')!
    expect(metal.beforeSanding).toBeUndefined()
    expect(metal.sanding).toBeUndefined()
    expect(PRODUCTS['metallic-base'].how).toMatch(/Never sanded/)
  })
  it('twelve coats of oil on evenings of two hours: twelve evenings, for each waits twelve hours', () => {
    const build = { ...withSystem(sealed('raw'), 'oil'), evenings: [120, 120, 120, 120, 120, 120, 120] }
    const plan = planOf({ ...build, finish: { ...build.finish, coats: 12 } })
    expect(plan.coats).toHaveLength(12)
    expect(plan.evenings).toBe(12)
    expect(plan.lastCoat).toBe('2026-12-05')
  })
})

describe('zones with stacks of their own', () => {
  const two = (): Build =>
    base({ layers: [{ product: 'lacquer-clear', coats: 3 }], zones: { 'head-face': { layers: [{ product: 'lacquer-clear', coats: 2 }] } } })
  it('share the evenings: the list runs by day and hour, and no two coats are in the hands at once', () => {
    const { coats, groups, lastCoat } = planOf(two())
    expect(groups).toHaveLength(2)
    const time = coats.map((c) => `${c.date} ${String(c.starts).padStart(4, '0')}`)
    expect(time).toEqual(time.toSorted())
    for (const [i, c] of coats.entries()) {
      const next = coats[i + 1]
      if (next?.date === c.date) expect(next.starts).toBeGreaterThanOrEqual(c.starts + c.hands)
    }
    expect(lastCoat).toBe(
      groups
        .map((g) => g.lastCoat)
        .toSorted()
        .at(-1),
    )
    expect(new Set(coats.map((c) => c.group)).size).toBe(2)
  })
  it('all is laid only when every zone is', () => {
    const every = planOf(two()).coats
    const laid = (ids: readonly string[]) =>
      planOf(
        base({
          ...two().finish,
          laid: Object.fromEntries(ids.map((id) => [id, { product: 'lacquer-clear', at: '2026-11-24T18:00:00Z' }])),
        }),
      ).allLaid
    const whole = every.filter((c) => c.group === 'whole').map((c) => c.id)
    expect(laid(every.map((c) => c.id))).toBe(true)
    expect(laid(whole)).toBe(false)
  })
})
