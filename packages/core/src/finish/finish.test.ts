import { describe, expect, it } from 'vitest'
import { newBuild } from '../document/build'
import { dewPoint } from '../physics/dewPoint'
import { dryingFactor } from '../physics/drying'
import { filmFrom, productNeeded, spread } from './cover'
import { plannedFilm } from './film'
import { finishResult } from './finishPlan'
import { planOf } from '../testing/coatPlanOf'
import { SYSTEMS, topOf } from './systems'
import { weatherCheck } from './weather'

const bare = newBuild({ name: 'Test', handedness: 'right', strings: 6, scale: 647.7 }, '2026-11-23')
const build = { ...bare, finish: { ...bare.finish, system: 'lacquer' as const } }

// [published: Magnus formula]
describe('dew point', () => {
  it.each([
    [25, 60, 16.7],
    [20, 50, 9.3],
    [15, 80, 11.6],
  ])('%f C at %f %%', (t, h, dew) => expect(dewPoint(t, h)).toBeCloseTo(dew, 1))
  it('forbids a surface nearer than 3 K to it, with the numbers', () => {
    expect(weatherCheck({ air: 20, surface: 20, humidity: 50 }, topOf(SYSTEMS.lacquer)).ok).toBe(true)
    const cold = weatherCheck({ air: 20, surface: 11, humidity: 50 }, topOf(SYSTEMS.lacquer))
    expect(cold.ok).toBe(false)
    expect(cold.says[0]).toMatch(/1\.7 .*9\.3/)
    expect(weatherCheck({ air: 8, surface: 8, humidity: 90 }, topOf(SYSTEMS.lacquer)).says).toHaveLength(3)
  })
})

// [published: coatings-industry formula]
describe('cover', () => {
  it('20 % solids at 25 um spread 8 m2/L', () => expect(spread(20, 25)).toBe(8))
  it('a 400 ml can of 10 % solids at 0.6 on 0.29 m2 leaves 83 um', () => expect(filmFrom(400, 10, 0.6, 0.29)).toBeCloseTo(82.8, 1))
  it('the need turns the same sum round', () => {
    const need = productNeeded(0.29, 82.76, 10, topOf(SYSTEMS.lacquer))
    expect(need.millilitres).toBeCloseTo(400, 0)
  })
  it('takes one more when the last can would be all but empty', () =>
    expect(productNeeded(0.29, 78, 10, topOf(SYSTEMS.lacquer)).containers).toBe(2))
})

describe('calendar', () => {
  it('lays every coat on an evening with time for it, never before the recoat time', () => {
    const { coats } = planOf(build)
    expect(coats).toHaveLength(7)
    const minute = (c: (typeof coats)[number]) => Date.parse(`${c.date}T00:00:00Z`) / 60000 + c.starts
    coats.forEach((c, i) => {
      if (i) expect(minute(c) - minute(coats[i - 1]!) - coats[i - 1]!.hands).toBeGreaterThanOrEqual(45)
    })
  })
  it('never uses an evening off', () => {
    const mondays = { ...build, evenings: [60, 0, 0, 0, 0, 0, 0] }
    expect(new Set(planOf(mondays).coats.map((c) => new Date(c.date).getUTCDay()))).toEqual(new Set([1]))
  })
  it('drying takes twice as long 10 degrees colder [practice], so the cold spreads the coats out', () => {
    expect(dryingFactor(10)).toBe(2)
    const cold = { ...build, finish: { ...build.finish, weather: { ...build.finish.weather, air: 10 } } }
    expect(planOf(cold).rubOut > planOf(build).rubOut).toBe(true)
  })
  it('asks for a key when a wipe-on coat waits too long', () => {
    const weekly = { ...build, evenings: [60, 0, 0, 0, 0, 0, 0], finish: { ...build.finish, system: 'wipe-on' as const } }
    expect(planOf(weekly).coats[1]!.note).toMatch(/scuff/)
  })
  it('says why no calendar can be made', () => {
    expect(finishResult({ ...build, evenings: [5, 5, 5, 5, 5, 5, 5] }, '2026-11-23').trouble).toMatch(/No evening is long enough/)
  })
})

it('the film is the sum of its layers, thinner on edges', () => {
  expect(plannedFilm(build)).toBe(2 * 12 + 5 * 14)
  const { film } = finishResult(build, '2026-11-23')
  expect(film.edge).toBeCloseTo(film.flat * 0.65, 9)
})
