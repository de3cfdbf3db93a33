import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { FINISH_SYSTEMS, newBuild, type Build } from '../../document/build'
import { beginBuild } from '../../evaluate/beginBuild'
import { isThrough } from '../../document/read'
import { chooseSystem } from '../../finish/editing'
import { isChosen } from '../../finish/systems'
import { applyChange } from '../../document/change'
import { finishResult } from '../../finish/finishPlan'
import { zoneGroups } from '../../finish/zones'
import { evaluate } from '../../evaluate/evaluate'
import { CONTRIBUTIONS } from '../list'
import { evaluator } from '../../evaluate/evaluator'
import type { SizeSpec } from '../../parts/kind'
import { KINDS } from '../../parts/kinds/index'
import { JOB_IDS } from '../../parts/starting/jobs'
import { START_IDS, STARTING_SETS } from '../../parts/starting/sets'
import { everyMake } from '../../testing/anyBuild'
import { changed, fullBuild } from '../../testing/fullBuild'
import { holds } from '../../testing/holds'
import { finishSteps } from './steps'

const TODAY = '2026-12-01'
const CAME = ['raw', 'sealed', 'coated', undefined] as const
const SYSTEMS = FINISH_SYSTEMS.filter(isChosen)
const under = (build: Build, system: (typeof SYSTEMS)[number] | undefined): Build =>
  applyChange(
    { ...build, steps: {}, finish: newBuild({ name: '', handedness: 'right', strings: 6, scale: 648 }, TODAY).finish },
    {
      label: '',
      edits: system
        ? chooseSystem({ ...build, finish: newBuild({ name: '', handedness: 'right', strings: 6, scale: 648 }, TODAY).finish }, system)
            .edits
        : [],
    },
  )
const came = (build: Build, body: (typeof CAME)[number], neck: (typeof CAME)[number]): Build =>
  changed(build, {}, { 'body/surface': body, ...(build.parts.neck ? { 'neck/surface': neck } : {}) })
const evaluated = evaluator()
const sandOf = (build: Build) => evaluated(build, TODAY).plan.steps.find((s) => s.id === 'sand')

describe('what is done to the faces before the first coat', () => {
  it('what came with a film on it is never sanded to the wood but where the stack holds on nothing else, and it says so', () => {
    const law = fc.property(
      fc.nat(everyMake().length - 1),
      fc.constantFrom(...CAME),
      fc.constantFrom(...CAME),
      fc.option(fc.constantFrom(...SYSTEMS), { nil: undefined }),
      (m, body, neck, system) => {
        const build = under(came(everyMake()[m]!, body, neck), system)
        const finish = finishResult(build, TODAY)
        const title = finishSteps(build, finish, []).find((s) => s.id === 'sand')?.title ?? ''
        const [grits] = /sand\b[^;]*to P180[^;]*/i.exec(title) ?? ['']
        const all = /^Sand to P180/.test(title)
        for (const [part, surface] of [
          ['body', body],
          ['neck', isThrough(build) ? 'body' : neck],
        ] as const) {
          if (surface !== 'sealed' && surface !== 'coated') continue
          expect(all, `${part} came ${surface}: ${title}`).toBe(false)
          if (!new RegExp(`the ${part}\\b`).test(grits)) continue
          expect(title).toMatch(new RegExp(`sand all that (the body and )?the ${part}( and the neck)? came with off`, 'i'))
          expect(finish.problems.join(' '), title).toMatch(/Sand all of it off to the wood|does not hold|does not go/)
        }
        // Nothing is laid over a part: what it came with stays as it is.
        if (!zoneGroups(build).length && (body === 'sealed' || body === 'coated')) expect(title).not.toMatch(/body/)
      },
    )
    expect(holds(law, 600)).toBeGreaterThan(100)
  })
  it('raw wood is sanded whatever finish is to come, and before one is chosen', () => {
    for (const system of [undefined, ...SYSTEMS])
      expect(sandOf(under(came(fullBuild(), 'raw', 'raw'), system))!.title).toMatch(/^Sand to P180/)
  })
  it.each([
    ['raw', 'coated', 'lacquer', 'Sand the body to P180, P240, P320; ease sharp pocket edges; mask the pocket'],
    ['coated', 'coated', 'lacquer', 'Scuff the body with P400, no deeper; mask the pocket'],
    ['coated', 'coated', undefined, undefined],
    ['coated', 'raw', undefined, 'Sand the neck to P180, P240, P320'],
    [
      'sealed',
      'coated',
      'oil',
      'Sand all that the body came with off, to the wood; sand the body to P180, P240, P320; ease sharp pocket edges; mask the pocket',
    ],
    [undefined, undefined, 'lacquer', 'Sand the body and the neck where it came raw, to P180, P240, P320; mask the pocket'],
    [
      'raw',
      undefined,
      undefined,
      'Sand the body to P180, P240, P320, the neck too where it came raw; ease sharp pocket edges; mask the pocket',
    ],
  ] as const)('body %s, neck %s, %s: %s', (body, neck, system, says) => {
    expect(sandOf(under(came(fullBuild(), body, neck), system))?.title).toBe(says)
  })
  it('untold, it says how to tell; and a coat over what is there is an evening’s scuff', () => {
    expect(sandOf(under(came(fullBuild(), undefined, 'raw'), undefined))!.why).toMatch(/drop of water.*at most scuffed, P400/)
    const [scuff, strip] = (['lacquer', 'oil'] as const).map(
      (system) => sandOf(under(came(fullBuild(), 'coated', 'coated'), system))!.minutes,
    )
    expect([scuff, strip]).toEqual([40, 240])
  })
})

describe('what came coated', () => {
  const count = (build: Build) => CONTRIBUTIONS.finish.count!(build, evaluated(build, TODAY).finish)
  it('needs no finish chosen, and is no open question; raw wood with none is one', () => {
    const [coated, half, raw] = [came(fullBuild(), 'coated', 'coated'), came(fullBuild(), 'coated', 'raw'), came(fullBuild(), 'raw', 'raw')]
    expect(evaluated(under(coated, undefined), TODAY).finish.trouble).toMatch(/came with its coat on/)
    expect([coated, half, raw].map((b) => count(under(b, undefined)))).toEqual([0, 1, 1])
  })
})

describe('an instrument that is here, or parts that came finished', () => {
  const begun = START_IDS.flatMap((start) => JOB_IDS.map((job) => [start, job] as const))
  const { strings, scale } = STARTING_SETS[START_IDS[0]!]
  it.each(begun)('%s, %s: no film it came with is sanded off, and no glued neck is glued in again', (start, job) => {
    const build = beginBuild({ name: 'New', handedness: 'right', strings, scale, start, job }, TODAY)
    const titles = evaluate(build, TODAY).plan.steps.map((s) => s.title)
    expect(titles.filter((t) => /^sand/i.test(t))).toEqual(job === 'kit' ? [expect.stringMatching(/^Sand to P180/)] : [])
    const isHere = job !== 'kit' && job !== 'finished'
    const glued = build.parts.neck?.traits.joint === 'set'
    expect(titles.includes('Glue the neck in')).toBe(glued && !isHere && !isThrough(build))
    // Nothing of a heel in its pocket can be read on it.
    if (isHere && glued) expect(evaluate(build, TODAY).fit.filter((j) => j.id.startsWith('pocket'))).toEqual([])
  })
  it('places along a body read from its pocket’s mouth count from the board’s end once the neck is in it', () => {
    const wanted = { name: 'New', handedness: 'right', strings: 6, scale: 628.65, start: 'post-stop' } as const
    const [kit, here] = [newBuild(wanted, TODAY), beginBuild({ ...wanted, job: 'rescue' }, TODAY)]
    const pocket = kit.parts.body!.sizes['pocket.length']!.value
    const fromNeck = Object.entries<SizeSpec>(KINDS.body.sizes).flatMap(([size, spec]) =>
      spec.fromNeck && kit.parts.body!.sizes[size] ? [size] : [],
    )
    expect(fromNeck.length).toBeGreaterThan(3)
    for (const size of fromNeck)
      expect(here.parts.body!.sizes[size]!.value, size).toBeCloseTo(kit.parts.body!.sizes[size]!.value - pocket, 9)
  })
})
