import { describe, expect, it } from 'vitest'
import { STATIONS } from '../document/station'
import { computed } from '../document/remember'
import type { Drawing } from '../drawing/drawing'
import { drawHole } from '../drill/holes'
import { evaluate } from '../evaluate/evaluate'
import { drillable } from '../testing/drillable'
import { USUAL_BENCH } from '../drill/bench'
import { changed, fullBuild } from '../testing/fullBuild'
import { CONTRIBUTIONS } from './list'
import { countsOf, drawingOf, placeOf, thingsOf } from './things'

const TODAY = '2026-11-24'
const build = fullBuild()
const results = evaluate(build, TODAY)
const things = thingsOf(build, results)

describe('what stations contribute', () => {
  it('a hole is drawn for the tools its card was worked out for, wherever it is looked at', () => {
    const bench = { ...USUAL_BENCH, bits: [2.7, 3.3, 5.2] }
    const bored = drillable(fullBuild())
    const now = evaluate(bored, TODAY, computed, bench)
    const all = thingsOf(bored, now, bench)
    const texts = (d?: Drawing) => JSON.stringify(d?.marks)
    for (const { id } of now.drill)
      expect(texts(drawingOf(bored, all, { station: 'drill', thing: id })), id).toBe(texts(drawHole(bored, id, bench)))
    const otherwise = now.drill.filter(({ id }) => texts(drawHole(bored, id, bench)) !== texts(drawHole(bored, id)))
    expect(otherwise.length).toBeGreaterThan(0)
  })
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
  // A pocket of 56.2 under a heel of 56.35 is tight: no hole is marked through a neck that does not seat.
  it('a hole card waits for the joint it is located by, says so first, and its step comes after that job', () => {
    const tight = changed(drillable(fullBuild()), { 'body/pocket.widthMouth': 56.2 }, { 'neck/pilots': 'none' })
    const bench = { ...USUAL_BENCH, bits: [...USUAL_BENCH.bits, 2.7] }
    const [loose, now] = [drillable(fullBuild()), tight].map((b) => evaluate(b, TODAY, undefined, bench))
    const pilot = (e: typeof now) => e!.drill.find((c) => c.id === 'neck-screws')!
    expect([pilot(loose).stands, pilot(now).stands]).toEqual(['ready', 'mind'])
    expect(pilot(now).first[0]).toMatch(/Shave .* near the mouth/)
    const step = now!.plan.steps.find((s) => s.id === 'drill-neck-screws')!
    expect(step.befores.map((b) => b.id)).toContain('cure-pocket-mouth')
    expect(step.befores.map((b) => b.id)).toContain('drill-neck-clearance')
  })
  it('what is there needs no step; what is refused is not planned', () => {
    const steps = evaluate(drillable(fullBuild()), TODAY).plan.steps.map((s) => s.id)
    expect(steps).not.toContain('drill-stud-bores')
    expect(steps).toContain('drill-guard-screws')
    const long = changed(drillable(fullBuild()), { 'neck-screws/length': 70 })
    expect(evaluate(long, TODAY).plan.steps.map((s) => s.id)).not.toContain('drill-neck-screws')
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
