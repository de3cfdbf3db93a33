import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { criticalPath, sampledEnds, triangular, type Task } from './network'

/** The worked example of the three-point method as it is commonly printed: means of (a + 4 m + b) / 6, days. [published; numbers from memory] */
const mean = (a: number, m: number, b: number) => (a + 4 * m + b) / 6
const EXAMPLE: Task[] = [
  { id: 'A', time: mean(2, 4, 6), after: [] },
  { id: 'B', time: mean(3, 5, 9), after: [] },
  { id: 'C', time: mean(4, 5, 7), after: ['A'] },
  { id: 'D', time: mean(4, 6, 10), after: ['A'] },
  { id: 'E', time: mean(4, 5, 7), after: ['B', 'C'] },
  { id: 'F', time: mean(3, 4, 8), after: ['D'] },
  { id: 'G', time: mean(3, 5, 8), after: ['E'] },
]

describe('critical path', () => {
  it('the printed example ends after 19.5 days by A C E G; B may slip 3.84, D and F 4.68', () => {
    const { end, critical, of } = criticalPath(EXAMPLE)
    expect(end).toBeCloseTo(19.51, 1)
    expect(critical).toEqual(['A', 'C', 'E', 'G'])
    expect(of.get('B')!.float).toBeCloseTo(3.84, 1)
    expect(of.get('D')!.float).toBeCloseTo(4.68, 1)
    expect(of.get('F')!.float).toBeCloseTo(4.68, 1)
  })
  it('is the longest of all ways through a net, whatever net', () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ time: fc.integer({ min: 0, max: 9 }), after: fc.array(fc.nat(6), { maxLength: 3 }) }), {
          minLength: 1,
          maxLength: 7,
        }),
        (drawn) => {
          const tasks = drawn.map((d, i) => ({ id: String(i), time: d.time, after: d.after.filter((a) => a < i).map(String) }))
          const longest = (i: number): number => tasks[i]!.time + Math.max(0, ...tasks[i]!.after.map((a) => longest(Number(a))))
          const { end, of } = criticalPath(tasks)
          expect(end).toBe(Math.max(...tasks.map((_, i) => longest(i))))
          // A task that is late by its float moves nothing, by more it moves the end by the rest.
          tasks.forEach((t, i) => {
            const slipped = (by: number) => criticalPath(tasks.map((x, j) => (j === i ? { ...x, time: x.time + by } : x))).end
            const { float } = of.get(t.id)!
            expect(slipped(float)).toBe(end)
            expect(slipped(float + 2)).toBe(end + 2)
          })
        },
      ),
    ))
  it('a circle is refused', () =>
    expect(() =>
      criticalPath([
        { id: 'a', time: 1, after: ['b'] },
        { id: 'b', time: 1, after: ['a'] },
      ]),
    ).toThrow(/waits for itself/))
})

describe('times by chance', () => {
  it('a triangle of 1, 2.5, 5 has the mean 2.83 and stays between its ends', () => {
    const drawn = Array.from({ length: 100_000 }, (_, i) => triangular([1, 2.5, 5], (i + 0.5) / 100_000))
    expect(drawn.reduce((s, t) => s + t, 0) / drawn.length).toBeCloseTo(8.5 / 3, 3)
    expect(Math.min(...drawn)).toBeGreaterThanOrEqual(1)
    expect(Math.max(...drawn)).toBeLessThanOrEqual(5)
    expect(triangular([3, 3, 3], 0.7)).toBe(3)
  })
  it('a chain of them: mean and spread add up as the sum of triangles says', () => {
    const times = [
      [1, 2, 4],
      [2, 3, 7],
      [1, 5, 6],
    ] as const
    const ends = sampledEnds(
      times.map((t, i) => ({ id: String(i), times: t, after: i ? [String(i - 1)] : [] })),
      40_000,
      7,
    )
    const average = ends.reduce((s, e) => s + e, 0) / ends.length
    const variance = ends.reduce((s, e) => s + (e - average) ** 2, 0) / ends.length
    const exact = times.reduce((s, [a, m, b]) => s + (a * a + m * m + b * b - a * m - a * b - m * b) / 18, 0)
    expect(average).toBeCloseTo(
      times.reduce((s, [a, m, b]) => s + (a + m + b) / 3, 0),
      1,
    )
    expect(variance / exact).toBeCloseTo(1, 1)
  })
  it('two side by side, then one: as brute enumeration over a fine grid has it', () => {
    const [a, b, c] = [
      [1, 2, 5],
      [2, 2.5, 4],
      [1, 1, 1],
    ] as const
    const n = 300
    let sum = 0
    let late = 0
    for (let i = 0; i < n; i++)
      for (let j = 0; j < n; j++) {
        const end = Math.max(triangular(a, (i + 0.5) / n), triangular(b, (j + 0.5) / n)) + 1
        sum += end
        if (end > 4.5) late++
      }
    const ends = sampledEnds(
      [
        { id: 'a', times: a, after: [] },
        { id: 'b', times: b, after: [] },
        { id: 'c', times: c, after: ['a', 'b'] },
      ],
      40_000,
      11,
    )
    expect(ends.reduce((s, e) => s + e, 0) / ends.length).toBeCloseTo(sum / n ** 2, 1)
    expect(ends.filter((e) => e > 4.5).length / ends.length).toBeCloseTo(late / n ** 2, 1)
  })
})
