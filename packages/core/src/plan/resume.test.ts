import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { evaluate } from '../evaluate/evaluate'
import { addDays } from '../quantity/days'
import { fullBuild } from '../testing/fullBuild'
import { resume } from './resume'

const TODAY = '2026-11-24'
const done = (daysAgo: number) => ({ done: `${addDays(TODAY, -daysAgo)}T19:00:00Z` })
const of = (more: Partial<Build>) => {
  const b = { ...fullBuild(), ...more }
  return resume(b, evaluate(b, TODAY).plan)
}
const lines = (more: Partial<Build>) => of(more)!.left.join(' ')

describe('after weeks without the bench', () => {
  it('while it is fresh nothing is said, nor of a build nobody has touched', () => {
    expect(of({ steps: { place: done(13) } })).toBeUndefined()
    expect(of({ steps: {}, setup: { school: 'ordinary', readings: {} }, readings: {} })).toBeUndefined()
  })
  it('says how long ago it was and what can be begun with', () => {
    const r = of({ steps: { place: done(30) } })!
    expect([r.days, r.last]).toEqual([30, addDays(TODAY, -30)])
    expect(evaluate({ ...fullBuild(), steps: { place: done(30) } }, TODAY).plan.ready).toContain(r.next!.id)
  })
  it('how it was left: soldered and unchecked, strung and not set up, hardware on', () => {
    expect(lines({ steps: { solder: done(20) } })).toMatch(/not yet checked at the jack/)
    expect(lines({ steps: { solder: done(20), 'meter-check': done(20) } })).not.toMatch(/not yet checked/)
    expect(lines({ steps: { hardware: done(20), 'neck-on': done(20) } })).toMatch(/finger-tight: .*screw the neck on/)
    expect(lines({ steps: { hardware: done(20), 'string-up': done(20) } })).toMatch(/strung and not set up/)
    expect(lines({ steps: { hardware: done(20), 'string-up': done(20) } })).not.toMatch(/finger-tight/)
  })
  it('half wired: how many wires are on', () => {
    const b = fullBuild()
    const circuit = { ...b.circuit, soldered: { 'a-b': '2026-11-01', 'c-d': '2026-11-01' } }
    expect(lines({ circuit, steps: { place: done(20) } })).toMatch(/Half wired: 2 wires are soldered/)
    expect(lines({ circuit, steps: { solder: done(20) } })).not.toMatch(/Half wired/)
  })
  it('coats that lie: the wait between them may be past', () => {
    const b = fullBuild()
    const laid = { a: { product: 'clear', at: `${addDays(TODAY, -20)}T19:00:00Z` } }
    expect(lines({ finish: { ...b.finish, maskPocket: true, laid } })).toMatch(/1 coat lies.*scuff first.*still masked/)
  })
  it('a parcel whose day has passed is asked for', () => {
    const b = structuredClone(fullBuild())
    Object.assign(b.parts.tuners!, { state: 'ordered', arrives: addDays(TODAY, -3) })
    expect(lines({ parts: b.parts, steps: { place: done(20) } })).toMatch(/Tuners, promised for 21 Nov: here by now\?/)
  })
})
