import fc from 'fast-check'
import { expect, it } from 'vitest'
import { evaluate } from '../evaluate/evaluate'
import type { Step } from '../plan/step'
import { anyBuild, knownBuild } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { anAct } from '../testing/edits'
import { undrilled } from '../testing/undrilled'
import { holds } from '../testing/holds'

/** The first way from a step round to itself, by their names; nothing where there is none. */
function circle(steps: readonly Step[]): string | undefined {
  const byId = new Map(steps.map((s) => [s.id, s]))
  const done = new Set<string>()
  const way: string[] = []
  const visit = (id: string): string | undefined => {
    if (way.includes(id)) return [...way.slice(way.indexOf(id)), id].join(' waits for ')
    if (done.has(id)) return undefined
    way.push(id)
    for (const b of byId.get(id)!.befores) {
      const found = byId.has(b.id) ? visit(b.id) : undefined
      if (found) return found
    }
    way.pop()
    done.add(id)
    return undefined
  }
  for (const s of steps) {
    const found = visit(s.id)
    if (found) return found
  }
  return undefined
}

const worked = fc
  .tuple(
    fc.oneof(anyBuild, knownBuild).chain((b) => fc.constantFrom(b, drillable(b), undrilled(drillable(b)))),
    fc.array(anAct, { maxLength: 20 }),
  )
  .map(([build, acts]) => acts.reduce((b, act) => act(b), build))

it('no step of any build waits for itself, however far round', () => {
  holds(
    fc.property(worked, (build) => {
      expect(circle(evaluate(build, '2026-11-24').plan.steps)).toBeUndefined()
    }),
    300,
  )
})
