import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build, ForecastHour } from '../document/build'
import { planOf } from '../testing/coatPlanOf'
import { changed, fullBuild } from '../testing/fullBuild'
import { dewPoint } from '../physics/dewPoint'
import { forecastDays, hourOf, hourVerdict, mayCoatAt, simulatedWeather } from './forecast'
import { PRODUCTS } from './products'
import { EVENING } from './schedule'

const lacquer = PRODUCTS['lacquer-clear']
const hours = (date: string, air: (h: number) => number, humidity: (h: number) => number): ForecastHour[] =>
  Array.from({ length: 24 }, (_, h) => ({ at: `${date}T${String(h).padStart(2, '0')}`, air: air(h), humidity: humidity(h) }))

describe('forecast', () => {
  it('an hour is named by its day, past midnight by the next', () => {
    expect(hourOf('2026-12-01', 18 * 60 + 59)).toBe('2026-12-01T18')
    expect(hourOf('2026-12-31', 24 * 60 + 5)).toBe('2027-01-01T00')
  })
  it('no hour is allowed that the same weather at the bench would forbid', () =>
    fc.assert(
      fc.property(fc.double({ min: -5, max: 35, noNaN: true }), fc.integer({ min: 5, max: 100 }), (air, humidity) => {
        const verdict = hourVerdict({ at: 'x', air, humidity }, lacquer)
        const fits = air >= 10 && air <= 30 && humidity <= 75 && air - dewPoint(air, humidity) >= 3
        expect(verdict.ok).toBe(fits)
      }),
    ))
  it('a cold surface told with it is reckoned with', () => {
    expect(hourVerdict({ at: 'x', air: 20, humidity: 60 }, lacquer).ok).toBe(true)
    expect(hourVerdict({ at: 'x', air: 20, humidity: 60, surface: 13 }, lacquer).says[0]).toMatch(/above the dew point/)
  })
  it('the longest run of hours of a day is its window', () => {
    const [day] = forecastDays(
      hours(
        '2026-12-01',
        (h) => (h >= 11 && h < 17 ? 15 : 6),
        () => 60,
      ),
      lacquer,
    )
    expect(day!.best).toEqual({ from: 11, to: 17 })
    expect(
      forecastDays(
        hours(
          '2026-12-01',
          () => 4,
          () => 60,
        ),
        lacquer,
      )[0]!.best,
    ).toBeUndefined()
  })
  it('beyond the forecast nothing is known', () => expect(mayCoatAt(undefined, '2026-12-01T18', lacquer)).toBeUndefined())
})

describe('the calendar out of doors', () => {
  const build = (forecast: ForecastHour[], outdoors = true): Build => {
    const b = changed(fullBuild(), {}, { 'body/surface': 'raw' })
    return {
      ...b,
      evenings: [180, 180, 180, 180, 180, 180, 180],
      steps: {},
      finish: {
        ...b.finish,
        start: '2026-12-01',
        weather: { air: 20, surface: 20, humidity: 50 },
        layers: [{ product: 'lacquer-clear', coats: 2 }],
        ...(outdoors ? { outdoors: true as const } : {}),
        forecast,
      },
    }
  }
  const week = (cold: number) =>
    Array.from({ length: 7 }, (_, i) =>
      hours(
        `2026-12-0${i + 1}`,
        () => (i < cold ? 4 : 15),
        () => 60,
      ),
    ).flat()
  it('a cold week moves the coats to the first evening that is not', () => {
    expect(planOf(build(week(0))).coats[0]!.date).toBe('2026-12-01')
    expect(planOf(build(week(4))).coats[0]!.date).toBe('2026-12-05')
    expect(planOf(build(week(4), false)).coats[0]!.date).toBe('2026-12-01')
  })
  it('an evening that turns damp ends at that hour', () => {
    const damp = hours(
      '2026-12-01',
      () => 15,
      (h) => (h >= 19 ? 90 : 60),
    )
    const [one, two] = planOf(build(damp)).coats
    expect([one!.date, one!.starts]).toEqual(['2026-12-01', 0])
    expect(two!.date > '2026-12-01').toBe(true)
  })
  it('an evening that clears up begins at that hour, on the hour', () => {
    const clears = hours(
      '2026-12-01',
      () => 15,
      (h) => (h < 19 ? 90 : 60),
    )
    expect([planOf(build(clears)).coats[0]!.date, planOf(build(clears)).coats[0]!.starts]).toEqual(['2026-12-01', 60])
  })
  it('no coat is sprayed in an hour the forecast forbids, and one hour later it could not have begun sooner', () =>
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: 3 * 24, maxLength: 3 * 24 }), (fit) => {
        const drawn = fit.map((ok, i): ForecastHour => {
          const at = `2026-12-0${1 + Math.floor(i / 24)}T${String(i % 24).padStart(2, '0')}`
          return { at, air: 15, humidity: ok ? 60 : 90 }
        })
        const { coats } = planOf(build(drawn))
        const allowed = (date: string, m: number) => drawn.find((h) => h.at === hourOf(date, m))?.humidity !== 90
        for (const c of coats) {
          const from = EVENING + c.starts
          for (const m of [from, from + c.hands - 1]) expect(allowed(c.date, m), `${c.id} on ${c.date} at ${m}`).toBe(true)
        }
        // The first one waits for nothing but the weather.
        const [first] = coats
        const soonest = Array.from({ length: 180 }, (_, m) => m).find((m) =>
          [m, m + first!.hands - 1].every((at) => allowed('2026-12-01', EVENING + at)),
        )
        if (first!.date === '2026-12-01') expect(first!.starts).toBe(soonest)
      }),
      { numRuns: 60 },
    ))
  it('a cloth asks no forecast', () => {
    const b = build(week(7))
    expect(planOf({ ...b, finish: { ...b.finish, layers: [{ product: 'oil-varnish', coats: 1 }] } }).coats[0]!.date).toBe('2026-12-01')
  })
})

describe('the simulated station', () => {
  it('is the same for the same seed, warmest in the afternoon, dampest in the cold, within what a document holds', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500 }), fc.constantFrom('2026-01-10', '2026-07-10', '2026-11-26'), (seed, from) => {
        const made = simulatedWeather(seed, from)
        expect(made).toEqual(simulatedWeather(seed, from))
        expect(made).toHaveLength(7 * 24)
        for (let d = 0; d < 7; d++) {
          const day = made.slice(d * 24, d * 24 + 24)
          expect(day[15]!.air).toBeGreaterThan(day[3]!.air)
          expect(day[3]!.humidity).toBeGreaterThanOrEqual(day[15]!.humidity)
        }
        for (const h of made) expect(h.humidity >= 1 && h.humidity <= 100 && h.air > -40 && h.air < 60).toBe(true)
      }),
      { numRuns: 40 },
    ))
  it('July is warmer than January', () => {
    const mean = (from: string) => simulatedWeather(3, from).reduce((s, h) => s + h.air, 0) / 168
    expect(mean('2026-07-10')).toBeGreaterThan(mean('2026-01-10') + 8)
  })
})
