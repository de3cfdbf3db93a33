import {
  buildBook,
  evaluate,
  finishCards,
  measureNext,
  mockupSheet,
  partDrawing,
  sheetsOf,
  spending,
  type Build,
  type Slot,
} from '@snug/core'
import { describe, expect, it } from 'vitest'
import { dunlin } from './dunlin'
import { heron } from './heron'
import { plover } from './plover'

const TODAY = '2026-11-24'
const BUILDS: readonly Build[] = [
  heron(TODAY, '2027-02-15', '2026-12-05'),
  plover(TODAY, '2027-02-15'),
  dunlin(TODAY, '2027-02-15', '2026-12-13'),
]

/** The same fields in the order in which a database gives them back: the shortest names first. */
function stored<T>(of: T): T {
  if (Array.isArray(of)) return of.map(stored) as T
  if (!of || typeof of !== 'object') return of
  const entries = Object.entries(of).toSorted(([a], [b]) => a.length - b.length || (a < b ? -1 : 1))
  return Object.fromEntries(entries.map(([key, value]) => [key, stored(value)])) as T
}

/** What is said, drawn and printed of a build besides what it is found to be. */
function told(build: Build): Record<string, unknown> {
  const results = evaluate(build, TODAY)
  return {
    sheets: sheetsOf(build, results),
    book: buildBook(build, results, []),
    measure: measureNext(build),
    cards: finishCards(build),
    mockup: mockupSheet(build),
    money: spending(build),
    parts: (Object.keys(build.parts) as Slot[]).toSorted().map((slot) => partDrawing(build, slot)),
  }
}

describe('a demo build that was put away and fetched again', () => {
  it.each(BUILDS.map((b) => [b.name, b] as const))('%s: its sheets, its book, its pictures and lists are as before', (_, build) => {
    const [before, after] = [told(build), told(stored(build))]
    for (const what of Object.keys(before)) expect(after[what], what).toEqual(before[what])
  })
})
