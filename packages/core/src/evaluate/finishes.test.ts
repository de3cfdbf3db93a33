import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { applyChange } from '../document/change'
import { chooseSystem } from '../finish/editing'
import { lateSays, SYSTEM_IDS } from '../finish/offers'
import { addDays, daysBetween } from '../quantity/days'
import { everyMake } from '../testing/anyBuild'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { evaluate } from './evaluate'
import { triedFinishes } from './finishes'

const TODAY = '2026-12-01'
const tried = (build: Build) => [...triedFinishes(build, TODAY)].at(-1)!
/** Raw wood, evenings of an hour and a half, nothing laid. */
const raw = (build = fullBuild(), finish: Partial<Build['finish']> = {}): Build => ({
  ...changed(build, {}, { 'body/surface': 'raw', ...(build.parts.neck ? { 'neck/surface': 'raw' } : {}) }),
  steps: {},
  finish: { ...build.finish, system: 'lacquer', start: TODAY, ...finish },
})

describe('finishes side by side', () => {
  it('each is told as the build is once it is chosen, and the chosen one as it stands', () => {
    const zones: Partial<Build['finish']>[] = [
      {},
      {
        layers: [
          { product: 'acrylic-colour', coats: 2 },
          { product: 'acrylic-clear', coats: 6 },
        ],
      },
      { zones: { 'neck-back': { layers: [{ product: 'oil-varnish', coats: 4 }] } } },
      { under: { dye: true } },
    ]
    const law = fc.property(
      fc.nat(everyMake().length - 1),
      fc.constantFrom(...SYSTEM_IDS),
      fc.constantFrom(...SYSTEM_IDS),
      fc.constantFrom(...zones),
      fc.integer({ min: 0, max: 60 }),
      (m, system, other, finish, days) => {
        const build = { ...raw(everyMake()[m]!, { system, ...finish }), due: addDays(TODAY, days) }
        const offer = tried(build).offers.find((o) => o.id === other)!
        const then = evaluate(other === system ? build : applyChange(build, chooseSystem(build, other)), TODAY)
        expect({
          ends: offer.ends,
          lastCoat: offer.lastCoat,
          rubOut: offer.rubOut,
          shopping: offer.shopping,
          problems: offer.problems,
        }).toEqual({
          ends: then.plan.ends,
          lastCoat: then.finish.plan?.lastCoat,
          rubOut: then.finish.plan?.rubOut,
          shopping: then.finish.shopping,
          problems: then.finish.problems,
        })
        expect(offer.late ?? 0).toBe(Math.max(0, daysBetween(build.due, then.plan.ends!)))
        expect(offer.atEarliest).toBe(then.plan.undated.length > 0)
      },
    )
    expect(holds(law, 40)).toBeGreaterThan(9)
  })
  it('a body that is rubbed out on the due day is late by all that comes after it', () => {
    const { finish, plan } = evaluate(raw(), TODAY)
    const due = { ...raw(), due: finish.plan!.rubOut }
    const after = daysBetween(finish.plan!.rubOut, plan.ends!)
    // Wiring, hardware, strings and setup: more than one evening.
    expect(after).toBeGreaterThan(2)
    const says = lateSays(due, tried(due))!
    expect(says).toContain(`${after} days after the due date`)
    expect(says).not.toMatch(/soft film/)
    const sooner = { ...raw(), due: addDays(finish.plan!.rubOut, -1) }
    expect(lateSays(sooner, tried(sooner))).toMatch(/It is not even ready to rub out by then; soft film takes every print\./)
    const whole = { ...raw(), due: plan.ends! }
    expect(lateSays(whole, tried(whole))).toBeUndefined()
  })
  it('names as in time exactly those with which all is done by then', () => {
    const { plan } = evaluate(raw(), TODAY)
    const build = { ...raw(), due: addDays(plan.ends!, -4) }
    const { offers } = tried(build)
    const [said] = /In time would be: ([^.]*)\./.exec(lateSays(build, { offers })!)!.slice(1)
    expect(said!.split('; ')).toEqual(offers.filter((o) => o.ends! <= build.due).map((o) => o.system.label.toLowerCase()))
    expect(said).not.toMatch(/nitrocellulose/)
  })
  it('where none is in time the bare body is offered only if that is', () => {
    const bare = evaluate({ ...raw(), finish: { ...raw().finish, system: 'none' } }, TODAY).plan.ends!
    const says = (due: string) => lateSays({ ...raw(), due }, tried({ ...raw(), due }))
    expect(says(bare)).toMatch(/No finish is in time: move the date, or leave it as it is until after\.$/)
    expect(says(addDays(bare, -1))).toMatch(/No finish is in time, nor is it without one: move the date\.$/)
  })
  it('with a part of no day every end is only a bound; with coats laid no other finish is offered', () => {
    const waits: Build = { ...raw(), parts: { ...raw().parts, strings: { ...raw().parts.strings!, state: 'ordered', arrives: undefined } } }
    const due = { ...waits, due: addDays(evaluate(waits, TODAY).plan.ends!, -4) }
    expect(lateSays(due, tried(due))).toMatch(/at the earliest, some parts having no day\..*In time would be, if those parts come in time:/)
    const begun = { ...raw(), due: addDays(TODAY, 5), steps: { 'coats-sealer': { done: `${TODAY}T20:00:00Z` } } }
    expect(lateSays(begun, tried(begun))).toMatch(/Coats of it are laid: move the date\.$/)
  })
})
