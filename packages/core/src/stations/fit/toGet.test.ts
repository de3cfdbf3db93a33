import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { applyChange } from '../../document/change'
import { choosePart } from '../../document/changes'
import { evaluate } from '../../evaluate'
import { tonight } from '../../plan/tonight'
import { anyBuild, knownBuild } from '../../testing/anyBuild'
import { aPart } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { holds } from '../../testing/holds'
import { checkIn } from '../../testing/rows'

const TODAY = '2026-12-01'
const planOf = (build: Build) => evaluate(build, TODAY).plan

/** The neck is one for the other hand. */
const wrongNeck = (): Build => changed(fullBuild(), {}, { 'neck/hand': 'left' })
const LOOKED_FOR = /^Find a neck for a right-handed build/

describe('another part that has to be got first', () => {
  it('has no day, whatever comes after it is not before a day, and it waits for no parcel of what will not do', () => {
    const build = wrongNeck()
    build.parts.neck = { ...build.parts.neck!, state: 'ordered', arrives: '2026-12-20' }
    const { steps, undated } = planOf(build)
    const find = steps.find((s) => LOOKED_FOR.test(s.title))!
    expect(find).toMatchObject({ undated: 'not ordered', minutes: 10, state: 'ready', befores: [] })
    expect(find.why).toMatch(/Not here yet: what is chosen under Parts has its day in the plan\.$/)
    // No film is cut through for it.
    expect(find.cautions).toEqual([])
    expect(undated).toEqual([find.id])
    expect(steps.find((s) => s.id === 'neck-on')!.atEarliest).toBe(true)
    expect(planOf(fullBuild()).undated).toEqual([])
  })

  it('is got once it is chosen: its parcel stands in its place', () => {
    const build = wrongNeck()
    const right = { ...fullBuild().parts.neck!, name: 'Another one', state: 'ordered' as const, arrives: '2026-12-12' }
    const { steps, undated } = planOf(applyChange(build, choosePart(build, 'neck', right)))
    expect(steps.filter((s) => LOOKED_FOR.test(s.title))).toEqual([])
    expect(steps.find((s) => s.id === 'arrive-neck')!.notBefore).toBe('2026-12-12')
    expect(undated).toEqual([])
  })

  it('takes as long, and has no day, when it is planned on paper: what was told is what the plan then has', () => {
    let met = 0
    const law = fc.property(knownBuild, (build) => {
      const { fit, plan } = evaluate({ ...build, jobs: {} }, TODAY)
      for (const j of fit) {
        const told = plan.steps.find((s) => s.id === `cure-${j.id}`)
        const cure = j.cures[0]
        if (!told || !cure?.plan) continue
        const jobs = { [`${j.id}/${cure.id}`]: { ...cure.plan, text: cure.job } }
        const then = planOf({ ...build, jobs }).steps.find((s) => s.id === `job-${j.id}/${cure.id}`)
        if (!then) continue
        met++
        expect([then.minutes, then.times, then.undated], cure.job).toEqual([told.minutes, told.times, told.undated])
        break
      }
    })
    const cases = holds(law, 60)
    expect(met).toBeGreaterThan(cases / 6)
    const long = { ...changed(fullBuild(), { 'neck-screws/length': 56 }), jobs: {} }
    const { cures } = evaluate(long, TODAY).fit.find((j) => j.id === 'neck-screws')!
    const planned = planOf({ ...long, jobs: { [`neck-screws/${cures[0]!.id}`]: { ...cures[0]!.plan!, text: cures[0]!.job } } })
    expect(planned.undated).toEqual([`job-neck-screws/${cures[0]!.id}`])
  })

  it('is seen to before anything else that can be done, however little waits for it', () => {
    const long = changed(fullBuild(), { 'neck-screws/length': 56, 'body/pocket.widthMouth': 55.9 })
    const ready = planOf(long).steps.filter((s) => s.state === 'ready')
    expect(ready[0]!.title).toMatch(/^Take neck screws of \d+ mm or less$/)
    expect(ready.length).toBeGreaterThan(2)
    // Of an evening that two other jobs would fill.
    const { steps } = tonight(long, planOf(long).steps, TODAY, 60)
    expect(steps[0]!.title).toBe(ready[0]!.title)
    expect(steps.length).toBeGreaterThan(1)
  })

  it('work on what is here has its days, and a nut run down a thread takes no half hour', () => {
    const long = planOf(changed(fullBuild(), { 'pot-volume/bushing.length': 9, 'pot-tone/bushing.length': 9 }))
    const nuts = long.steps.filter((s) => /^Put 1 inner nut/.test(s.title))
    expect(nuts.map((s) => [s.minutes, s.times, s.undated])).toEqual([
      [5, [2, 15], undefined],
      [5, [2, 15], undefined],
    ])
    expect(long.undated).toEqual([])
  })

  it('is what no part gives way for, too: what is missing of a set, what is of another length, what makes a bore smaller', () => {
    const undatedOf = (build: Build, title: RegExp) =>
      planOf(build)
        .steps.filter((s) => title.test(s.title))
        .map((s) => [s.undated, s.minutes])
    const GET = [['not ordered', 10]]
    // More springs have to be found; where there are too many, some are left out.
    expect(undatedOf(changed(fullBuild(), { 'springs/count': 1 }), /^Fit \d springs$/)).toEqual(GET)
    expect(checkIn(changed(fullBuild(), { 'springs/count': 6 }), 'springs', 'balance').cures[0]).toMatchObject({ toGet: false })
    expect(undatedOf(changed(fullBuild(), { 'tuners/screw.length': 22 }), /^Take tuner screws of/)).toEqual(GET)
    expect(undatedOf(changed(fullBuild(), { 'body/jack.bore': 24 }), /^Take a jack plate or cup/)).toEqual(GET)
    expect(undatedOf(changed(fullBuild(), { 'neck/tuner.bore': 12.9 }), /^Use adapter ferrules/)).toEqual(GET)
    const flat = changed(fullBuild(), { 'tuners/post.height': 8 }, { 'tuners/locking': 'clamp' })
    expect(undatedOf(flat, /^(A string tree|\d string trees) for string/)).toEqual(GET)
    expect(undatedOf(changed(fullBuild(), { 'guard/tone.x': 224, 'knobs/diameter': 36 }), /^Take knobs of 30 mm or less/)).toEqual(GET)
    expect(undatedOf(changed(fullBuild(), { 'guard/tone.x': 216 }), /^Take a new guard with these holes/)).toEqual(GET)
    const five = { count: 5, diameter: [8, 'calipers', 0.02], length: 9, 'string.hole': 2.2 } as const
    const through = changed(fullBuild(), {}, { 'bridge/mount': 'string-through' })
    const lacking = { ...through, parts: { ...through.parts, ferrules: aPart('ferrules', five) } }
    expect(undatedOf(lacking, /^Find 1 more of the same diameter/)).toEqual(GET)
    const why = planOf(changed(fullBuild(), { 'tuners/screw.length': 22 })).steps.find((s) => /^Take tuner screws/.test(s.title))!.why
    expect(why).toMatch(/Not here yet: it has no day before it is ordered\.$/)
  })

  it('of any build: exactly what is another part is undated, unless it is done as the strings go on', () => {
    let got = 0
    const law = fc.property(anyBuild, (build) => {
      const { fit, plan } = evaluate(build, TODAY)
      for (const s of plan.steps.filter((s) => s.id.startsWith('cure-'))) {
        const cure = fit.find((j) => `cure-${j.id}` === s.id)!.cures[0]
        const isAnother = cure?.toGet === true || cure?.gives.startsWith('the ') === true
        if (isAnother) got++
        expect(s.undated, `${s.title} (${cure?.gives})`).toBe(isAnother ? 'not ordered' : undefined)
      }
    })
    const cases = holds(law, 150)
    expect(got).toBeGreaterThan(cases / 20)
  })
})
