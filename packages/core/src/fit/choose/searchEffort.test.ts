import { describe, expect, it } from 'vitest'
import { problemOf, random } from '../../testing/setProblems'
import { bestSets, type SetProblem, type SearchResult } from './bestSets'

/**
 * How many places the search looks at: a bound that is weaker, an order that is worse or a jump back that is missed finds the same sets
 * and looks at more. The counts are what it looks at today; fewer is better and changes them here.
 */
interface Effort {
  what: string
  problem: SetProblem
  keep: number
  nodes: number
}

const plain = (seed: number, slots: number, most: number, ruledOut: number) => problemOf(random(seed, slots, most, ruledOut), false)
const parcels = (seed: number, slots: number, most: number) => problemOf(random(seed, slots, most), true)
/** Every candidate from a seller of its own: too many for every choice of parcels to be tried in turn. */
const manySellers = (seed: number, slots: number, most: number): SetProblem => ({
  ...plain(seed, slots, most, 0.05),
  parcel: (s, c) => s * most + c,
  parcelCost: Array.from({ length: slots * most }, (_, k) => 3 + ((k * 7) % 11)),
})
const grouped = (seed: number): SetProblem => ({
  ...plain(seed, 6, 8, 0.02),
  groups: [
    { slots: [0, 2, 4], cost: (c) => (c.reduce((a, b) => a + b, 0) % 3 ? 2 : Infinity) },
    { slots: [1, 3, 5], cost: (c) => (c.reduce((a, b) => a * 2 + b, 0) % 4 ? 0 : Infinity) },
  ],
})

const EFFORTS: readonly Effort[] = [
  { what: 'few rule each other out', problem: plain(3, 9, 7, 0.04), keep: 3, nodes: 38 },
  { what: 'many rule each other out', problem: plain(11, 9, 9, 0.14), keep: 3, nodes: 79 },
  { what: 'nothing goes with anything', problem: plain(5, 8, 9, 0.3), keep: 3, nodes: 4 },
  { what: 'one set is wanted', problem: plain(8, 9, 9, 0.1), keep: 1, nodes: 68 },
  { what: 'parcels of three sellers', problem: parcels(21, 6, 8), keep: 3, nodes: 51 },
  { what: 'a seller each', problem: manySellers(4, 7, 6), keep: 3, nodes: 18 },
  { what: 'joints of three slots', problem: grouped(2), keep: 3, nodes: 52 },
  { what: 'the slowest parcel counts', problem: { ...plain(17, 8, 8, 0.1), slowest: true }, keep: 3, nodes: 10 },
  { what: 'no dearer than so much', problem: { ...plain(19, 8, 8, 0.06), atMost: 262 }, keep: 3, nodes: 30 },
]

const effortOf = ({ problem, keep }: Effort): SearchResult => bestSets(problem, keep)

describe('what a search takes', () => {
  it.each(EFFORTS.map((e) => [e.what, e] as const))('%s', (_, e) => expect(effortOf(e).nodes).toBe(e.nodes))
})
