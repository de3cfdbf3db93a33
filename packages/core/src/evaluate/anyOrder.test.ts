import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { unsorted } from '../document/box'
import { notHere } from '../document/changes'
import type { Build } from '../document/build'
import { spending } from '../parts/spending'
import { resume } from '../plan/resume'
import { toOrder } from '../plan/wanted'
import { unpackingSheet } from '../stations/parts/sheets'
import { anyBuild } from '../testing/anyBuild'
import { holds } from '../testing/holds'
import { evaluate } from './evaluate'

const TODAY = '2026-12-02'

/** The same fields with the last one first, as a database may give them back. */
function backwards<T>(of: T): T {
  if (Array.isArray(of)) return of.map(backwards) as T
  if (!of || typeof of !== 'object') return of
  return Object.fromEntries(
    Object.entries(of)
      .toReversed()
      .map(([key, value]) => [key, backwards(value)]),
  ) as T
}

/** All that is said and shown of a build, lists in their order. */
const told = (build: Build): string => {
  const results = evaluate(build, TODAY)
  const lists = [
    unsorted(build),
    notHere(build),
    spending(build),
    toOrder(build, results.plan, () => 3),
    resume(build, results.plan),
    unpackingSheet(build),
  ]
  return JSON.stringify([results, lists], (_, value: unknown) =>
    value && typeof value === 'object' && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).toSorted(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  )
}

describe('the order in which a build’s fields come', () => {
  it('changes nothing: no verdict, no sentence, no list', () => {
    let planned = 0
    holds(
      fc.property(anyBuild, fc.constantFrom('planned', 'ordered', 'in hand'), (any, state) => {
        const parts = Object.fromEntries(Object.entries(any.parts).map(([slot, part]) => [slot, { ...part, state, arrives: TODAY }]))
        const build = { ...any, parts } as Build
        expect(told(backwards(build))).toBe(told(build))
        if (state === 'planned') planned++
      }),
      20,
    )
    expect(planned).toBeGreaterThan(0)
  })
})
