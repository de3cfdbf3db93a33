import fc from 'fast-check'
import highs from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { problemOf, random, seeded, type Tables } from '../../testing/setProblems'
import { bestSets } from './bestSets'

/** Every set there is, the slow way. */
function exhaustive(t: Tables): number[] {
  const costs: number[] = []
  const walk = (s: number, chosen: number[]): void => {
    if (s < t.sizes.length) {
      for (let c = 0; c < t.sizes[s]!; c++) walk(s + 1, [...chosen, c])
      return
    }
    let cost = chosen.reduce((sum, c, slot) => sum + t.own[slot]![c]!, 0)
    for (let a = 0; a < chosen.length; a++)
      for (let b = a + 1; b < chosen.length; b++) {
        const v = t.pair[a]![b]![chosen[a]!]![chosen[b]!]!
        if (v < 0) return
        cost += v
      }
    for (const seller of new Set(chosen.map((c, slot) => t.seller[slot]![c]!))) cost += t.parcel[seller]!
    costs.push(cost)
  }
  walk(0, [])
  return costs.toSorted((a, b) => a - b)
}

describe('best sets', () => {
  it('a slot is never taken for the one 32 places on, which a number of 32 bits cannot tell from it', () => {
    // Of P's two, the cheaper leaves nothing to Y whatever X is; only the dearer goes, and is missed when X's blame clears P's.
    const [P, X, Y] = [0, 32, 64]
    const out = new Set([`${P}.0 ${Y}.0`, ...[0, 1].flatMap((x) => [1, 2].map((y) => `${X}.${x} ${Y}.${y}`))])
    const found = bestSets({
      sizes: Array.from({ length: 65 }, (_, s) => (s === P || s === X ? 2 : s === Y ? 3 : 1)),
      own: (s, c) => (s === P ? c : 0),
      pair: (a, i, b, j) => (out.has(`${a}.${i} ${b}.${j}`) ? Infinity : 0),
    })
    expect(found.sets[0]).toMatchObject({ cost: 1 })
    expect([P, X, Y].map((s) => found.sets[0]!.chosen[s])).toEqual([1, 0, 0])
  })
  it('are the same as by trying everything, the three best in order', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e9 }), fc.integer({ min: 1, max: 5 }), (seed, slots) => {
        const t = random(seed, slots, 5)
        const mine = bestSets(problemOf(t), 3)
        expect(mine.complete).toBe(true)
        expect(mine.sets.map((s) => s.cost)).toEqual(exhaustive(t).slice(0, 3))
      }),
      { numRuns: 150 },
    )
  })
  it('with more sellers than are tried in turn, too: a parcel is paid once, by whichever part is chosen first', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e9 }), fc.integer({ min: 1, max: 4 }), (seed, slots) => {
        const r = seeded(seed)
        const parcel = Array.from({ length: 15 }, () => Math.floor(r() * 30))
        const t = { ...random(seed, slots, 5), parcel }
        t.seller = t.sizes.map((n) => Array.from({ length: n }, () => Math.floor(r() * (r() < 0.5 ? 3 : 15))))
        expect(bestSets(problemOf(t), 4).sets.map((s) => s.cost)).toEqual(exhaustive(t).slice(0, 4))
      }),
      { numRuns: 120 },
    )
  })
  it('what is not sent needs no parcel', () => {
    const found = bestSets({
      sizes: [2],
      own: (_, c) => c,
      pair: () => 0,
      parcel: (_, c) => (c === 0 ? 0 : undefined),
      parcelCost: [5],
    })
    expect(found.sets.map((s) => [s.chosen[0], s.cost])).toEqual([
      [1, 1],
      [0, 5],
    ])
  })
  it('a set that meets the limit exactly is taken, one a hundredth over is not', () => {
    const within = (atMost: number) =>
      bestSets({ sizes: [2, 2], own: (s, c) => 3 + s + c, pair: () => 0, atMost }, 9).sets.map((s) => s.cost)
    expect(within(8)).toEqual([7, 8, 8])
    expect(within(7.99)).toEqual([7])
    expect(within(6.99)).toEqual([])
  })
  it('asks whether to stop every 256 looks and not at each', () => {
    let asked = 0
    const sizes = Array.from({ length: 6 }, () => 5)
    // Costs that a bound tells nothing of until the last slot.
    const groups = [
      { slots: [0, 1, 2, 3, 4, 5], cost: (chosen: readonly number[]) => (chosen.reduce((a, b) => a + b) === 24 ? 0 : Infinity) },
    ]
    const { nodes } = bestSets({ sizes, own: () => 0, pair: () => 0, groups }, 1, () => {
      asked++
      return false
    })
    expect(nodes).toBeGreaterThan(512)
    expect(asked).toBe(Math.floor(nodes / 256))
  })
  it('joints of three slots count', () => {
    const cost = ([a, b, c]: readonly number[]) => ((a! + b! + c!) % 3 === 0 ? Infinity : (a! * b! + c!) % 5)
    const sizes = [4, 5, 3]
    const best = bestSets({ sizes, own: (s, c) => (s + 2 * c) % 7, pair: () => 0, groups: [{ slots: [0, 1, 2], cost }] }, 1).sets[0]!
    let least = Infinity
    for (let a = 0; a < 4; a++)
      for (let b = 0; b < 5; b++)
        for (let c = 0; c < 3; c++) least = Math.min(least, ((2 * a) % 7) + ((1 + 2 * b) % 7) + ((2 + 2 * c) % 7) + cost([a, b, c]))
    expect(best.cost).toBe(least)
  })
  it('for dates the slowest part decides', () => {
    const days = [
      [3, 9],
      [20, 4],
    ]
    const r = bestSets(
      { sizes: [2, 2], own: (s, c) => days[s]![c]!, pair: (_, i, __, j) => (i === 0 && j === 1 ? Infinity : 0), slowest: true },
      1,
    )
    expect(r.sets[0]).toEqual({ chosen: [1, 1], cost: 9 })
  })
  it('nothing when everything is ruled out or a slot has no candidate', () => {
    expect(bestSets({ sizes: [2, 2], own: () => 1, pair: () => Infinity }).sets).toEqual([])
    expect(bestSets({ sizes: [2, 0], own: () => 1, pair: () => 0 }).sets).toEqual([])
  })
  it('with joints of many: the same as by trying everything, also when nothing fits', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e9 }), fc.double({ min: 0.2, max: 0.9, noNaN: true }), (seed, harsh) => {
        const r = seeded(seed)
        const sizes = [3, 2, 4, 3, 2]
        const own = sizes.map((n) => Array.from({ length: n }, () => 1 + Math.floor(r() * 30)))
        const table = new Map<string, number>()
        const groups = [
          [0, 1, 2],
          [1, 3, 4],
          [0, 2, 4],
        ].map((slots, g) => ({
          slots,
          cost: (chosen: readonly number[]) => {
            const key = `${g}:${chosen.join()}`
            if (!table.has(key)) table.set(key, r() < harsh ? Infinity : Math.floor(r() * 9))
            return table.get(key)!
          },
        }))
        // Drawn once and for all, so that both see the same table.
        const costs: number[] = []
        const walk = (chosen: number[]): void => {
          if (chosen.length < sizes.length) {
            for (let c = 0; c < sizes[chosen.length]!; c++) walk([...chosen, c])
            return
          }
          const cost =
            chosen.reduce((sum, c, s) => sum + own[s]![c]!, 0) + groups.reduce((sum, g) => sum + g.cost(g.slots.map((s) => chosen[s]!)), 0)
          if (cost < Infinity) costs.push(cost)
        }
        walk([])
        const found = bestSets({ sizes, own: (s, c) => own[s]![c]!, pair: () => 0, groups }, 2)
        expect(found.sets.map((s) => s.cost)).toEqual(costs.toSorted((a, b) => a - b).slice(0, 2))
      }),
      { numRuns: 120 },
    )
  })
  it('says no soon: slots that have nothing to do with what is in the way are not gone through', () => {
    const sizes = [8, 8, 8, 30, 30, 30, 30]
    const impossible = { slots: [0, 1, 2], cost: () => Infinity }
    const beside = { slots: [3, 4, 5], cost: () => 0 }
    const r = bestSets({ sizes, own: (_, c) => c, pair: () => 0, groups: [beside, impossible] }, 1)
    expect(r.sets).toEqual([])
    expect(r.complete).toBe(true)
    expect(r.inTheWay[1]).toBeGreaterThan(0)
    expect(r.inTheWay[0]).toBe(0)
    // All of the three slots' own choices at most, not times the others'.
    expect(r.nodes).toBeLessThan(2 * 8 * 8 * 8)
  })
  it('and the same with parcels: one look with every seller allowed settles it', () => {
    const r = bestSets(
      {
        sizes: [5, 5, 5, 5],
        own: () => 1,
        pair: () => 0,
        groups: [{ slots: [0, 1, 2], cost: () => Infinity }],
        parcel: (s, c) => (s + c) % 10,
        parcelCost: Array.from({ length: 10 }, () => 4),
      },
      1,
    )
    expect(r.sets).toEqual([])
    expect(r.nodes).toBeLessThan(1000)
  })
  it('can be stopped', () => {
    const t = random(7, 10, 14, 0)
    expect(bestSets(problemOf(t), 400, () => true).complete).toBe(false)
  })
})

/** The same as a mixed-integer programme in the LP format; pairs that cost something get a variable of their own. */
function asMilp(t: Tables): string {
  const x = (s: number, c: number) => `x_${s}_${c}`
  const goal: string[] = []
  const rows: string[] = []
  const binary: string[] = []
  t.sizes.forEach((n, s) => {
    rows.push(`${Array.from({ length: n }, (_, c) => x(s, c)).join(' + ')} = 1`)
    for (let c = 0; c < n; c++) {
      goal.push(`${t.own[s]![c]} ${x(s, c)}`)
      binary.push(x(s, c))
      rows.push(`z_${t.seller[s]![c]} - ${x(s, c)} >= 0`)
    }
  })
  t.parcel.forEach((p, k) => {
    goal.push(`${p} z_${k}`)
    binary.push(`z_${k}`)
  })
  t.sizes.forEach((na, a) =>
    t.sizes.forEach((nb, b) => {
      if (b <= a) return
      for (let i = 0; i < na; i++)
        for (let j = 0; j < nb; j++) {
          const v = t.pair[a]![b]![i]![j]!
          if (v < 0) rows.push(`${x(a, i)} + ${x(b, j)} <= 1`)
          else if (v > 0) {
            const y = `y_${a}_${i}_${b}_${j}`
            goal.push(`${v} ${y}`)
            rows.push(`${y} - ${x(a, i)} - ${x(b, j)} >= -1`)
          }
        }
    }),
  )
  return `Minimize\n obj: ${goal.join(' + ')}\nSubject To\n${rows.map((r, i) => ` c${i}: ${r}`).join('\n')}\nBinary\n ${binary.join(' ')}\nEnd\n`
}

describe('best sets beside a general mixed-integer solver', () => {
  let solver: Awaited<ReturnType<typeof highs>>
  beforeAll(async () => {
    solver = await highs()
  })
  it.each([11, 12, 13, 14, 15, 16])('random stash %i, 6 slots', (seed) => {
    const t = random(seed, 6, 6)
    const theirs = solver.solve(asMilp(t))
    const [mine] = bestSets(problemOf(t), 1).sets
    if (theirs.Status === 'Infeasible') expect(mine).toBeUndefined()
    else expect(mine!.cost).toBeCloseTo(theirs.ObjectiveValue, 6)
  })
})
