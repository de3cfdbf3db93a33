import { describe, expect, it } from 'vitest'
import { STATIONS } from '../document/station'
import { evaluate } from '../evaluate/evaluate'
import { changed, fullBuild } from '../testing/fullBuild'
import { CONTRIBUTIONS } from './list'
import { countsOf, drawingOf, placeOf, thingsOf } from './things'

const TODAY = '2026-11-24'
const build = fullBuild()
const results = evaluate(build, TODAY)
const things = thingsOf(build, results)

describe('what stations contribute', () => {
  it('every station of the tool roll is one of them', () => expect(Object.keys(CONTRIBUTIONS).toSorted()).toEqual(STATIONS.toSorted()))
  it('no two things of a station share a name; all have a title, and a place on the instrument if any', () => {
    for (const s of STATIONS) {
      const own = things.filter((t) => t.station === s)
      expect(new Set(own.map((t) => t.id)).size, s).toBe(own.length)
    }
    for (const t of things) {
      expect(t.title.length, t.id).toBeGreaterThan(3)
      if (t.at)
        expect(
          [t.at.x, t.at.y].every((n) => Math.abs(n) < 1200),
          t.id,
        ).toBe(true)
    }
  })
  it('a soft body is padded: said once, at the trial build, and not of a hard one', () => {
    const said = (wood: string) =>
      evaluate(changed(fullBuild(), {}, { 'body/wood': wood }), TODAY)
        .plan.steps.filter((s) => /belt buckle/.test(s.why))
        .map((s) => s.id)
    expect(said('basswood')).toEqual(['trial-build'])
    expect(said('hard-maple')).toEqual([])
  })
  it('joints, holes and parts have drawings of their own', () => {
    for (const t of things.filter((x) => ['parts', 'fit', 'drill'].includes(x.station)))
      expect(drawingOf(build, things, { station: t.station, thing: t.id })?.title.length, `${t.station} ${t.id}`).toBeGreaterThan(2)
  })
  it('each step that names a thing names one its station has', () => {
    const tight = changed(build, { 'body/pocket.widthMouth': 56.2 })
    const now = evaluate(tight, TODAY)
    const all = thingsOf(tight, now)
    const naming = now.plan.steps.filter((s) => s.thing !== undefined)
    expect(naming.length).toBeGreaterThan(8)
    for (const s of naming)
      expect(
        all.some((t) => t.station === s.station && t.id === s.thing),
        s.id,
      ).toBe(true)
  })
  it('one name at two stations is two things: the hole card is not the joint', () => {
    const hole = results.drill.find((h) => h.id === 'neck-screws')!
    expect(placeOf(build, things, { station: 'drill', thing: 'neck-screws' })).toEqual(hole.places[0])
    expect(placeOf(build, things, { station: 'fit', thing: 'neck-screws' })).toEqual(results.fit.find((j) => j.id === 'neck-screws')!.at)
  })
  it('a thing nobody has lies where its part lies; an entry of a station without a thing has the station’s drawing', () => {
    expect(placeOf(build, things, { thing: 'gone', slot: 'nut' })).toEqual({ x: -4, y: 0 })
    expect(drawingOf(build, things, { station: 'setup' })?.title).toMatch(/string over the frets/)
    expect(drawingOf(build, things, { station: 'fit' })).toBeUndefined()
  })
  it('counts are of what needs a person', () => {
    expect(countsOf(build, results).fit).toBe(0)
    const tight = changed(build, { 'body/pocket.widthMouth': 56.2 })
    expect(countsOf(tight, evaluate(tight, TODAY)).fit).toBeGreaterThan(0)
  })
})
