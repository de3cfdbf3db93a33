import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FINISH_SYSTEMS, type Build } from '../document/build'
import { DEW_MARGIN, dewPoint } from '../physics/dewPoint'
import { changed, fullBuild } from '../testing/fullBuild'
import { areaToCoat, filmFrom, productNeeded, spread } from './cover'
import { plannedFilm } from './film'
import { finishDrawing } from './filmDrawing'
import { planOf } from '../testing/coatPlanOf'
import { layersOf, systemOf } from './stack'
import { PRODUCT_IDS, PRODUCTS, type Product } from './products'
import { familyOf, isChosen, systemCautions, SYSTEMS, topOf } from './systems'
import { weatherCheck } from './weather'

const withFinish = (more: Partial<Build['finish']>, b = fullBuild()): Build => ({ ...b, finish: { ...b.finish, ...more } })

describe('area to coat', () => {
  it('both faces and the edge: a thicker body has more edge [physics]', () => {
    const thin = areaToCoat(fullBuild())
    const thick = areaToCoat(changed(fullBuild(), { 'body/thickness': 54.2 }))
    expect(thick.body).toBeGreaterThan(thin.body)
    expect(thin.total).toBeCloseTo(thin.body + thin.head + thin.neckBack, 12)
    expect(thin.known).toBe(true)
  })
  it('without an outline a usual area stands in, and says so', () => {
    const b = structuredClone(fullBuild())
    delete b.parts.body!.outline
    expect(areaToCoat(b).known).toBe(false)
    expect(areaToCoat(b).body).toBeCloseTo(0.29, 9)
  })
})

describe('how much to buy', () => {
  it('film from a volume and volume for a film are each other’s way back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 300, noNaN: true }),
        fc.double({ min: 0.1, max: 0.6, noNaN: true }),
        fc.integer({ min: 5, max: 45 }),
        (film, area, solids) => {
          const need = productNeeded(area, film, solids, topOf(SYSTEMS.lacquer))
          expect(filmFrom(need.millilitres, solids, topOf(SYSTEMS.lacquer).transfer, area)).toBeCloseTo(film, 6)
        },
      ),
    )
  })
  it('always enough: the containers hold what is needed', () => {
    fc.assert(
      fc.property(fc.double({ min: 10, max: 400, noNaN: true }), (film) => {
        const need = productNeeded(0.3, film, 10, topOf(SYSTEMS.lacquer))
        expect(need.containers * topOf(SYSTEMS.lacquer).container).toBeGreaterThanOrEqual(need.millilitres)
      }),
    )
  })
  it('twice the solids spread twice as far [published: coatings-industry formula]', () => expect(spread(40, 25)).toBe(2 * spread(20, 25)))
})

describe.each(FINISH_SYSTEMS.filter(isChosen).map((s) => [s] as const))('system %s', (system) => {
  const build = withFinish({ system })
  const plan = planOf(build)
  it('lays every coat there is, in order, each on an evening with time for it', () => {
    expect(plan.coats.filter((c) => c.layer === 'top')).toHaveLength(build.finish.coats)
    for (let i = 1; i < plan.coats.length; i++) expect(plan.coats[i]!.date >= plan.coats[i - 1]!.date).toBe(true)
    for (const c of plan.coats) expect(c.starts + c.hands).toBeLessThanOrEqual(build.evenings[(new Date(c.date).getUTCDay() + 6) % 7]!)
  })
  it('rubs out only after the wait', () => expect(plan.rubOut > plan.lastCoat).toBe(true))
  it('says what damp air does to it, and of blushing only where a solvent leaves', () => {
    const damp = weatherCheck({ air: 20, surface: 30, humidity: 90 }, topOf(SYSTEMS[system])).says.join(' ')
    expect(/blush/.test(damp)).toBe(familyOf(SYSTEMS[system]) === 'solvent')
  })
  it('one coat more is never done sooner, and leaves more film', () => {
    const more = withFinish({ system, coats: build.finish.coats + 1 })
    expect(planOf(more).lastCoat >= plan.lastCoat).toBe(true)
    expect(plannedFilm(more)).toBeGreaterThan(plannedFilm(build))
  })
  it('says its limits, its cautions and where the label wins', () => {
    const s = systemOf(build)!
    const cautions = systemCautions(s)
    expect(cautions.length).toBeGreaterThan(1)
    expect(cautions.join(' ')).toMatch(/data sheet|label/i)
  })
  it('draws a band for every coat', () => {
    const bands = finishDrawing(build).marks.filter((m) => m.mark === 'area' && (m.role === 'film' || m.role === 'film-light'))
    expect(bands).toHaveLength(layersOf(build).reduce((n, l) => n + (l.film ? l.coats : 0), 0))
  })
})

describe('weather', () => {
  it('dew point never lies over the air, and meets it at full damp [published: Magnus formula]', () => {
    fc.assert(
      fc.property(fc.double({ min: -5, max: 35, noNaN: true }), fc.double({ min: 5, max: 100, noNaN: true }), (t, h) => {
        expect(dewPoint(t, h)).toBeLessThanOrEqual(t + 1e-9)
      }),
    )
    expect(dewPoint(18, 100)).toBeCloseTo(18, 9)
  })
  it('each limit has its own sentence', () => {
    expect(weatherCheck({ air: 5, surface: 20, humidity: 50 }, topOf(SYSTEMS.lacquer)).says).toHaveLength(1)
    expect(weatherCheck({ air: 20, surface: 20, humidity: 95 }, topOf(SYSTEMS.lacquer)).says.length).toBeGreaterThan(0)
    expect(weatherCheck({ air: 20, surface: 20, humidity: 50 }, topOf(SYSTEMS.lacquer))).toMatchObject({ ok: true })
  })
  it('what a label allows to its last degree and percent is allowed, a hair beyond is not', () => {
    for (const id of PRODUCT_IDS) {
      const { limits, family } = PRODUCTS[id]
      const [[cold, warm], [dry, damp]] = [limits.air, limits.humidity]
      // Warm wood, so that no dew falls on it.
      const says = (air: number, humidity: number) => weatherCheck({ air, surface: air + 30, humidity }, { limits, family }).says
      const [air, humidity] = [(cold + warm) / 2, (dry + damp) / 2]
      for (const [t, h] of [
        [cold, humidity],
        [warm, humidity],
        [air, dry],
        [air, damp],
      ] as const)
        expect(says(t, h), id).toEqual([])
      expect(says(cold - 0.1, humidity).join('|'), id).toMatch(/^[^|]* is too cold;/)
      expect(says(warm + 0.1, humidity).join('|'), id).toMatch(/^[^|]* is too warm;/)
      expect(says(air, damp + 0.1).join('|'), id).toMatch(/^[^|]*% humidity is above /)
      if (dry > 0) expect(says(air, dry - 0.1).join('|'), id).toMatch(/^[^|]*% humidity is below /)
    }
  })
  it('the surface stands the margin over the dew point, or a word is said', () => {
    const at = (over: number) => weatherCheck({ air: 20, surface: dewPoint(20, 50) + over, humidity: 50 }, topOf(SYSTEMS.lacquer))
    expect(at(DEW_MARGIN + 1e-6).says).toEqual([])
    expect(at(DEW_MARGIN - 0.1).says.join('|')).toMatch(/^The surface is 2\.9 °C above the dew point of 9\.3 °C/)
  })
})

describe.each(PRODUCT_IDS.map((id) => [id] as const))('product %s', (id) => {
  const p: Product = PRODUCTS[id]
  it('has ranges in their order, limits, an amount and cautions that defer to the sheet or the label', () => {
    for (const r of [p.solids, p.film]) expect(r.from <= r.usual && r.usual <= r.to, id).toBe(true)
    expect(p.limits.air[0]).toBeLessThan(p.limits.air[1])
    expect(p.limits.humidity[0]).toBeLessThan(p.limits.humidity[1])
    expect(p.cure.from).toBeLessThanOrEqual(p.cure.to)
    expect(p.cautions.length).toBeGreaterThan(0)
    expect(p.transfer > 0 && p.transfer <= 1).toBe(true)
  })
  it('metallic is never sanded; a sprayed one asks for a respirator', () => {
    if (p.medium === 'metallic') expect([p.beforeSanding, p.sanding]).toEqual([undefined, undefined])
    if (p.applied === 'spray') expect(p.cautions.join(' ')).toMatch(/respirator/)
    if (p.medium === 'oil' || p.medium === 'hard-wax') expect(p.cautions.join(' ')).toMatch(/heat up by themselves/)
  })
})
