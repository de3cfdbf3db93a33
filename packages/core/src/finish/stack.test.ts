import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FINISH_ZONES, type Build, type FinishZone, type ZoneLayer } from '../document/build'
import { addDays, daysBetween } from '../quantity/days'
import { planOf } from '../testing/coatPlanOf'
import { changed, fullBuild } from '../testing/fullBuild'
import { areaOfZones, areaToCoat, containersFor, costOf, filmFrom, shoppingFor } from './cover'
import { filmOfLayers, plannedFilm } from './film'
import { finishResult } from './finishPlan'
import { INTO_WOOD, mayFollow, nextOver, type Ground } from './follows'
import { MEDIA, PRODUCT_IDS, PRODUCTS, type Product } from './products'
import { coatPlan, waitBetween } from './schedule'
import { solidsByVolume } from './solids'
import { groundOf, groundsUnder, layersOf, offersOver, resolved, stackFaults } from './stack'
import { zoneGroups } from './zones'

const EVERY = [180, 180, 180, 180, 180, 180, 180]
const made = (finish: Partial<Build['finish']>, surface = 'raw'): Build => {
  const build = changed(fullBuild(), {}, { 'body/surface': surface, 'neck/surface': 'raw' })
  return {
    ...build,
    evenings: EVERY,
    steps: {},
    finish: { ...build.finish, start: '2026-12-01', weather: { air: 20, surface: 20, humidity: 50 }, ...finish },
  }
}
const layer = (product: string, coats = 2, more: Partial<ZoneLayer> = {}): ZoneLayer => ({ product, coats, ...more })
const anyLayers = fc.array(fc.record({ product: fc.constantFrom(...PRODUCT_IDS), coats: fc.integer({ min: 1, max: 6 }) }), {
  minLength: 1,
  maxLength: 5,
})
const anyZone = fc.constantFrom(...FINISH_ZONES)
const anySurface = fc.constantFrom('raw', 'sealed', 'coated')
const GROUNDS: readonly Ground[] = ['raw', 'sealed', 'coated', 'binding', ...MEDIA]

describe('what may follow what', () => {
  it('has an answer for every ground and every product, and a sentence for each but yes', () => {
    for (const g of GROUNDS)
      for (const m of MEDIA) {
        expect(['yes', 'cure', 'test', 'never'], `${m} on ${g}`).toContain(mayFollow(g, m))
        const said = nextOver([g], m)
        if (mayFollow(g, m) !== 'yes') expect(said!.says.length, `${m} on ${g}`).toBeGreaterThan(20)
      }
  })
  it.each([
    ['sealed', 'dye', 'never'],
    ['coated', 'dye', 'never'],
    ['oil', 'waterborne', 'cure'],
    ['sealed', 'lacquer', 'test'],
    ['oil', 'lacquer', 'test'],
    ['metallic', 'acrylic', 'yes'],
    ['shellac', 'lacquer', 'yes'],
    ['wash', 'oil', 'yes'],
    ['lacquer', 'lacquer', 'yes'],
  ] as const)('%s then %s: %s [practice]', (below, above, follow) => expect(mayFollow(below, above)).toBe(follow))
  it('into plastic binding nothing goes, and it may be of wood: tried first; what lies on it lies there as on wood', () => {
    const said = (product: string, zone: FinishZone) =>
      stackFaults(groundOf(made({}), zone), resolved(made({}), [layer(product)])).map((f) => [f.follow, f.says])
    for (const product of ['water-dye', 'acrylic-wash', 'oil-varnish', 'hard-wax'])
      expect([said(product, 'front'), said(product, 'binding')], product).toEqual([
        [],
        [['test', 'Into plastic binding nothing goes, it lies on it and rubs off; into one of wood it does: a test piece first.']],
      ])
    for (const product of ['shellac', 'lacquer-clear', 'acrylic-clear', 'waterborne-clear'])
      expect([said(product, 'front'), said(product, 'binding')], product).toEqual([[], []])
  })
  it('anything on wax: never', () => {
    for (const m of MEDIA) if (m !== 'wax') expect(mayFollow('wax', m), m).toBe('never')
  })
  it('metallic is never keyed: nothing on it asks for a scuff', () => {
    for (const m of MEDIA) expect(mayFollow('metallic', m), m).not.toBe('cure')
  })
  it('what goes into the wood goes through nothing that closes it, wherever that lies', () =>
    fc.assert(
      fc.property(anySurface, anyLayers, (surface, list) => {
        const build = made({ layers: list }, surface)
        const layers = layersOf(build)
        const closing = ['sealed', 'coated', 'shellac', 'lacquer', 'acrylic', 'metallic', 'waterborne', 'poly', 'decal', 'wax']
        const faults = stackFaults(groundOf(build), layers)
        layers.forEach((l, i) => {
          const grounds = groundsUnder(groundOf(build), layers, i)
          if (!INTO_WOOD.includes(l.medium) || !grounds.some((g) => closing.includes(g)) || layers[i - 1]?.product === l.product) return
          expect(faults.some((f) => f.at === i && f.follow === 'never')).toBe(true)
        })
      }),
    ))
  it('what is offered as good is good when it is laid', () =>
    fc.assert(
      fc.property(anySurface, anyLayers, (surface, list) => {
        const build = made({ layers: list }, surface)
        const layers = layersOf(build)
        for (const o of offersOver(build, groundOf(build), layers)) {
          if (o.said) continue
          const then = resolved(build, [...list, layer(o.id)])
          expect(
            stackFaults(groundOf(build), then).some((f) => f.at === then.length - 1 && f.follow === 'never'),
            o.id,
          ).toBe(false)
        }
      }),
      { numRuns: 60 },
    ))
})

describe('zones', () => {
  it('each with a stack of its own; changing one changes no other’s stack, film or what is laid on it', () =>
    fc.assert(
      fc.property(anyZone, anyZone, anyLayers, anyLayers, (zone, other, one, two) => {
        fc.pre(zone !== other)
        const before = made({ system: 'lacquer', zones: { [other]: { layers: one } } })
        const after = { ...before, finish: { ...before.finish, zones: { ...before.finish.zones, [zone]: { layers: two } } } }
        expect(layersOf(after, other)).toEqual(layersOf(before, other))
        expect(plannedFilm(after, other)).toBe(plannedFilm(before, other))
        for (const z of FINISH_ZONES) if (z !== zone) expect(plannedFilm(after, z), z).toBe(plannedFilm(before, z))
        expect(plannedFilm(after, zone)).toBe(filmOfLayers(resolved(after, two)))
      }),
    ))
  it('every coated zone is in one group and its coats are laid once', () =>
    fc.assert(
      fc.property(fc.array(anyZone, { maxLength: 4 }), anyLayers, (own, list) => {
        const build = made({ system: 'lacquer', zones: Object.fromEntries(own.map((z) => [z, { layers: list }])) })
        const groups = zoneGroups(build)
        const all = groups.flatMap((g) => g.zones)
        expect(new Set(all).size).toBe(all.length)
        const plan = planOf(build)
        expect(new Set(plan.coats.map((c) => c.id)).size).toBe(plan.coats.length)
        for (const g of groups) expect(plan.coats.filter((c) => c.group === g.id)).toHaveLength(g.layers.reduce((n, l) => n + l.coats, 0))
      }),
      { numRuns: 60 },
    ))
  it('bare is bare: no coats, no film, nothing to buy', () => {
    const build = made({ system: 'lacquer', zones: Object.fromEntries(FINISH_ZONES.map((z) => [z, { layers: [] }])) })
    expect(zoneGroups(build)).toEqual([])
    expect(plannedFilm(build, 'front')).toBe(0)
    expect(coatPlan(build).ok).toBe(false)
  })
  it('a neck that came coated gets no coat of the body’s', () => {
    const build = changed(made({ system: 'lacquer' }), {}, { 'neck/surface': 'coated' })
    expect(zoneGroups(build)[0]!.zones).toEqual(['front', 'back', 'rim'])
  })
  it('a zone of its own on a neck nobody has looked at is asked about', () => {
    const build = made({ system: 'lacquer', zones: { 'neck-back': { layers: [layer('oil-varnish')] } } })
    delete build.parts.neck!.traits.surface
    expect(finishResult(build, '2026-12-01').problems.join()).toMatch(/whether the neck came raw/)
  })
})

describe('cover', () => {
  it('zones add up to what is coated', () => {
    const area = areaToCoat(fullBuild())
    expect(areaOfZones(area, ['front', 'back', 'rim', 'neck-back', 'head-face'])).toBeCloseTo(area.total, 12)
  })
  it('15 % by weight are 10 % by volume: 15 x 0.80 / 1.2; untold it is a band from six tenths', () => {
    expect(solidsByVolume(15, 'weight').usual).toBeCloseTo(10, 9)
    expect(solidsByVolume(10)).toEqual({ from: 6, usual: 10, to: 10 })
    expect(solidsByVolume(10, 'volume')).toEqual({ from: 10, usual: 10, to: 10 })
  })
  it('a can is shared by the zones that need it, and what is laid leaves the planned film', () =>
    fc.assert(
      fc.property(anyZone, fc.integer({ min: 1, max: 9 }), (zone, coats) => {
        const build = made({ layers: [layer('lacquer-clear', 4)], zones: { [zone]: { layers: [layer('lacquer-clear', coats)] } } })
        const area = areaToCoat(build)
        const groups = zoneGroups(build)
        const [one] = shoppingFor(area, groups)
        const p: Product = PRODUCTS['lacquer-clear']
        const sum = groups.reduce((s, g) => s + areaOfZones(area, g.zones) * g.layers[0]!.coats * 14, 0)
        expect(filmFrom(one!.millilitres, p.solids.usual, p.transfer, 1)).toBeCloseTo(sum, 6)
        expect(one!.band.from).toBeLessThanOrEqual(one!.millilitres)
        expect(one!.band.to).toBeGreaterThanOrEqual(one!.millilitres)
        expect(one!.containers).toBe(containersFor(one!.millilitres, 400))
      }),
    ))
  it('one can is 4 to 5 heavy clears on a body, two cans of white in mist coats [practice]', () => {
    const body: FinishZone[] = ['front', 'back', 'rim']
    const area = areaToCoat(fullBuild())
    const m2 = areaOfZones(area, body)
    const coats = filmFrom(400, 10, 0.6, m2) / 14
    expect(coats).toBeGreaterThan(4)
    expect(coats).toBeLessThan(7)
    const mist = made({ layers: [layer('lacquer-mist', 14)] })
    const [cans] = shoppingFor(area, zoneGroups(mist))
    expect(cans!.containers).toBe(2)
  })
  it('a price makes its cost', () => {
    const build = made({ layers: [layer('lacquer-mist', 14)], labels: { 'lacquer-mist': { price: 12.5 } } })
    expect(costOf(shoppingFor(areaToCoat(build), zoneGroups(build)))).toBe(25)
  })
  it('a label that is thinner wants more of it', () => {
    const of = (solids: number) =>
      shoppingFor(
        areaToCoat(fullBuild()),
        zoneGroups(made({ layers: [layer('lacquer-clear', 4)], labels: { 'lacquer-clear': { solids, basis: 'volume' } } })),
      )[0]!
    expect(of(8).millilitres).toBeCloseTo(of(16).millilitres * 2, 6)
  })
})

describe('the label wins', () => {
  it('over film, waits and limits, and a product of one’s own is like one that ships', () => {
    const build = made({
      layers: [layer('mine', 3)],
      labels: {
        mine: {
          name: 'Shop clear',
          like: 'acrylic-clear',
          film: 17,
          recoat: 45,
          beforeSanding: 2880,
          coldest: 12,
          dampest: 60,
          container: 300,
        },
      },
    })
    const [l] = layersOf(build)
    expect(l).toMatchObject({
      label: 'Shop clear',
      medium: 'acrylic',
      film: 17,
      recoat: 45,
      beforeSanding: 2880,
      container: 300,
      from: 'label',
    })
    expect(l!.limits).toEqual({ air: [12, 30], humidity: [0, 60] })
    expect(offersOver(build, 'raw', []).some((o) => o.id === 'mine')).toBe(true)
  })
  it('no label makes metallic fit to be sanded', () =>
    expect(
      layersOf(made({ layers: [layer('metallic-base')], labels: { 'metallic-base': { beforeSanding: 60 } } }))[0]!.beforeSanding,
    ).toBeUndefined())
  it('what names no product that is known is left out, and nothing breaks', () => {
    const build = made({ layers: [layer('from another time'), layer('lacquer-clear')] })
    expect(layersOf(build).map((l) => l.product)).toEqual(['lacquer-clear'])
    expect(planOf(build).coats).toHaveLength(2)
  })
})

describe('calendar over stacks', () => {
  const minute = (c: { date: string; starts: number }) => Date.parse(`${c.date}T18:00:00Z`) / 60000 + c.starts
  it('every wait between coats is kept, hands are given once, evenings are long enough', () =>
    fc.assert(
      fc.property(anyLayers, anyZone, anyLayers, fc.boolean(), (whole, zone, own, lies) => {
        const build = made({ layers: whole, zones: { [zone]: { layers: own } }, ...(lies ? { lies: true as const } : {}) })
        const plan = planOf(build)
        const groups = zoneGroups(build)
        for (const g of groups) {
          const coats = plan.coats.filter((c) => c.group === g.id)
          for (const face of [undefined, 'back'] as const) {
            const mine = coats.filter((c) => c.face === face)
            mine.slice(1).forEach((c, i) => {
              const last = mine[i]!
              const of = (k: string) => g.layers.find((l) => l.key === k)!
              expect(minute(c) - minute(last) - last.hands).toBeGreaterThanOrEqual(waitBetween(of(last.layer), of(c.layer)) - 1e-6)
            })
          }
        }
        const sorted = plan.coats.toSorted((a, b) => minute(a) - minute(b))
        sorted.slice(1).forEach((c, i) => expect(minute(c)).toBeGreaterThanOrEqual(minute(sorted[i]!) + sorted[i]!.hands))
        for (const c of plan.coats) expect(c.starts + c.hands).toBeLessThanOrEqual(180)
      }),
      { numRuns: 80 },
    ))
  it('colder is never sooner, one coat more is never sooner and never thinner', () =>
    fc.assert(
      fc.property(anyLayers, fc.integer({ min: 5, max: 25 }), (list, air) => {
        const at = (celsius: number, layers: ZoneLayer[]) => made({ layers, weather: { air: celsius, surface: celsius, humidity: 50 } })
        const more = list.map((l, i) => (i === list.length - 1 ? { ...l, coats: l.coats + 1 } : l))
        expect(planOf(at(air - 6, list)).rubOut >= planOf(at(air, list)).rubOut).toBe(true)
        expect(planOf(at(air, more)).lastCoat >= planOf(at(air, list)).lastCoat).toBe(true)
        expect(plannedFilm(at(air, more))).toBeGreaterThanOrEqual(plannedFilm(at(air, list)))
      }),
      { numRuns: 80 },
    ))
  it('lying, n coats on two faces wait 2n - 1 times against n - 1 hung [practice]', () => {
    const list = [layer('lacquer-clear', 3)]
    const long = (finish: Partial<Build['finish']>) => ({ ...made(finish), evenings: EVERY.map(() => 600) })
    const [hung, lying] = [planOf(long({ layers: list })), planOf(long({ layers: list, lies: true }))]
    expect(hung.coats).toHaveLength(3)
    expect(lying.coats).toHaveLength(6)
    // Waits of an hour: 2 of them, or 5.
    const waits = (p: typeof hung) => minute(p.coats.at(-1)!) - minute(p.coats[0]!) - p.coats.slice(0, -1).reduce((s, c) => s + c.hands, 0)
    expect(waits(hung)).toBe(2 * 60)
    expect(waits(lying)).toBe(5 * 60)
  })
  it('no coat on a day off, none sprayed in quiet hours; a cloth makes no noise', () => {
    const off = { ...made({ layers: [layer('lacquer-clear', 3)] }), plan: { daysOff: ['2026-12-01'] } }
    expect(planOf(off).coats.every((c) => c.date > '2026-12-01')).toBe(true)
    const quiet = { from: 19 * 60, to: 7 * 60 }
    const sprayed = { ...made({ layers: [layer('lacquer-clear', 3)] }), plan: { quiet } }
    for (const c of planOf(sprayed).coats) expect(c.starts + c.hands).toBeLessThanOrEqual(60)
    const wiped = { ...made({ layers: [layer('oil-thin', 2)] }), plan: { quiet } }
    expect(planOf(wiped).coats.map((c) => c.starts)).toEqual([0, 140])
  })
  it('wax waits until after the rub-out and takes no part in its wait', () => {
    const plan = planOf(made({ layers: [layer('lacquer-clear', 2), layer('wax', 1)] }))
    const wax = plan.coats.at(-1)!
    expect(wax.label).toMatch(/wax/i)
    expect(plan.rubOut).toBe(addDays(plan.coats[1]!.date, 7))
    expect(wax.date >= plan.rubOut).toBe(true)
  })
  it('waterborne over oil waits for the full cure: 21 days', () => {
    const { coats } = planOf(made({ layers: [layer('oil-varnish', 1), layer('waterborne-clear', 1)] }))
    expect(daysBetween(coats[0]!.date, coats[1]!.date)).toBeGreaterThanOrEqual(21)
  })
  it('its own air while it dries: a cold cellar doubles the wait, whatever the bench says', () => {
    const build = made({ layers: [layer('lacquer-clear', 1)], drying: { air: 10, humidity: 50 } })
    expect(daysBetween('2026-12-01', planOf(build).rubOut)).toBe(14)
  })
})

describe('the shortest calendar', () => {
  /** Every way to lay n coats on a grid of 5 minutes: the earliest day the last one can lie. */
  const shortest = (evenings: number[], n: number, hands: number, recoat: number, bad: readonly [number, number]): number => {
    let ends = new Set<number>()
    const starts = Array.from({ length: 30 }, (_, day) => day).flatMap((day) =>
      Array.from({ length: Math.max(0, Math.floor((evenings[day % 7]! - hands) / 5) + 1) }, (_, i) => day * 1440 + i * 5),
    )
    for (const s of starts) ends.add(s + hands)
    for (let k = 1; k < n; k++) {
      const next = new Set<number>()
      for (const s of starts)
        for (const e of ends) {
          const gap = s - e
          if (gap >= recoat && !(gap > bad[0] && gap < bad[1])) {
            next.add(s + hands)
            break
          }
        }
      ends = next
    }
    return Math.floor(Math.min(...ends) / 1440)
  }
  it('between forbidden hours is as short as any: acrylic clear, 20 min, not from 1 to 24 h', () =>
    fc.assert(
      fc.property(
        fc
          .array(fc.constantFrom(0, 15, 30, 45, 60, 90, 120), { minLength: 7, maxLength: 7 })
          .filter((e) => e.filter((m) => m > 0).length >= 3),
        fc.integer({ min: 2, max: 5 }),
        (evenings, n) => {
          // 2026-11-30 is a Monday, as evenings begin.
          const build = { ...made({ start: '2026-11-30', layers: [layer('acrylic-clear', n)] }), evenings }
          const days = daysBetween('2026-11-30', planOf(build).lastCoat)
          expect(days).toBe(shortest(evenings, n, 15, 20, [60, 1440]))
        },
      ),
      { numRuns: 60 },
    ))
})
