import { describe, expect, it } from 'vitest'
import { SWITCHES, tableProblems, type SwitchTable } from './switches'

describe('switch tables', () => {
  it.each(Object.entries(SWITCHES as Record<string, SwitchTable>))(
    '%s: every contact joins two of its own lugs, commons first',
    (_, table) => {
      const lugs = new Set(table.lugs)
      expect(lugs.size).toBe(table.lugs.length)
      for (const position of table.positions)
        for (const [a, b] of position) {
          expect(lugs.has(a) && lugs.has(b)).toBe(true)
          expect(a.endsWith('0')).toBe(true)
          expect(a[0]).toBe(b[0])
        }
    },
  )
  it('in-between positions of two poles bridge neighbours; four poles keep every contact apart', () => {
    const on = (name: string, p: number) =>
      (SWITCHES as Record<string, SwitchTable>)[name]!.positions[p - 1]!.filter(([a]) => a === 'A0').map(([, b]) => b)
    expect([1, 2, 3, 4, 5].map((p) => on('lever-5', p))).toEqual([['A1'], ['A1', 'A2'], ['A2'], ['A2', 'A3'], ['A3']])
    expect([1, 2, 3, 4, 5].map((p) => on('lever-5x4', p))).toEqual([['A1'], ['A2'], ['A3'], ['A4'], ['A5']])
    expect([1, 2, 3].map((p) => on('toggle-3', p))).toEqual([['A1'], ['A1', 'A2'], ['A2']])
  })
})

describe('a table somebody measured', () => {
  const table = (positions: [string, string][][], lugs = ['a', 'b', 'c']): SwitchTable => ({ label: '', lugs, positions })
  it.each([
    [table([[['a', 'b']], [['b', 'c']]]), []],
    [table([[['a', 'd']]]), [/d, which is none of its lugs/]],
    [table([[['a', 'a']]]), [/joins a to itself/]],
    [
      table([
        [
          ['a', 'b'],
          ['b', 'c'],
        ],
      ]),
      [/Every position joins every lug/],
    ],
    [table([]), [/one position at least/]],
    [table([[]], ['a', 'a']), [/same name/]],
    [table([[]], ['a']), [/two lugs/]],
  ] as const)('%#: is refused with what is wrong, or taken', (t, wrong) => {
    const problems = tableProblems(t)
    expect(problems).toHaveLength(wrong.length)
    problems.forEach((p, i) => expect(p).toMatch(wrong[i] as RegExp))
  })
})
