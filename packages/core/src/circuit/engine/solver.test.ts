import fc from 'fast-check'
import { lusolve } from 'mathjs'
import { describe, expect, it } from 'vitest'
import type { Element, Netlist } from './netlist'
import { compile } from './solver'

type Branch = Exclude<Element, { type: 'K' }>

const solved = (netlist: Netlist, hertz: number) => {
  const out = { re: NaN, im: NaN }
  compile(netlist).solve(hertz, out)
  return out
}

/**
 * The same by modified nodal analysis, every source a row of its own, solved by a general library: real and imaginary parts as
 * unknowns of their own.
 */
function direct(elements: readonly Branch[], [tip, sleeve]: readonly [string, string], hertz: number): { re: number; im: number } {
  const names = [...new Set(elements.flatMap((e) => e.nodes))].filter((n) => n !== '0')
  const sources = elements.filter((e) => e.type === 'V' || e.type === 'W')
  const size = names.length + sources.length
  const M = Array.from({ length: 2 * size }, () => new Array<number>(2 * size).fill(0))
  const b = new Array<number>(2 * size).fill(0)
  const w = 2 * Math.PI * hertz
  const at = (n: string) => names.indexOf(n)
  const add = (i: number, j: number, re: number, im: number) => {
    if (i < 0 || j < 0) return
    M[i]![j]! += re
    M[i]![size + j]! -= im
    M[size + i]![j]! += im
    M[size + i]![size + j]! += re
  }
  for (const e of elements) {
    const [i, j] = e.nodes.map(at) as [number, number]
    if (e.type === 'V' || e.type === 'W') {
      const row = names.length + sources.indexOf(e)
      for (const [n, sign] of [
        [i, 1],
        [j, -1],
      ] as const) {
        add(row, n, sign, 0)
        add(n, row, sign, 0)
      }
      b[row] = e.type === 'V' ? e.ac : 0
      continue
    }
    const [re, im] = e.type === 'R' ? [1 / e.value, 0] : e.type === 'C' ? [0, w * e.value] : [0, -1 / (w * e.value)]
    add(i, i, re!, im!)
    add(j, j, re!, im!)
    add(i, j, -re!, -im!)
    add(j, i, -re!, -im!)
  }
  const x = (lusolve(M, b) as number[][]).map((row) => row[0]!)
  const volt = (n: string) => (n === '0' ? [0, 0] : [x[at(n)]!, x[size + at(n)]!]) as [number, number]
  const [t, s] = [volt(tip), volt(sleeve)]
  return { re: t[0] - s[0], im: t[1] - s[1] }
}

const NODES = ['0', 'a', 'b', 'c', 'd', 'e']
const between = fc.constantFrom(...NODES.flatMap((p) => NODES.filter((q) => q !== p).map((q) => [p, q] as const)))
const branch = fc.tuple(fc.constantFrom('R', 'C', 'L', 'R'), between, fc.double({ min: 0.2, max: 5, noNaN: true }))
const SCALE = { R: 1e4, C: 1e-8, L: 1 }

describe('the solver, against a general library', () => {
  it('any network, any two places to read it at, sources anywhere', () => {
    fc.assert(
      fc.property(
        fc.array(branch, { minLength: 3, maxLength: 9 }),
        fc.tuple(between, between),
        between,
        fc.double({ min: 30, max: 9000, noNaN: true }),
        (branches, sources, output, hertz) => {
          const parts: Branch[] = branches.map(
            ([type, nodes, value], i) => ({ type, ref: `${i}`, nodes, value: value * SCALE[type] }) as Branch,
          )
          // Each place has some way to ground, as on an instrument with its leads: else the two would differ by what hangs on nothing.
          const ties: Branch[] = NODES.slice(1).map((n) => ({ type: 'R', ref: `tie ${n}`, nodes: [n, '0'], value: 3e5 }))
          const driven: Branch[] = sources.flatMap(([p, q], i): Branch[] => [
            { type: 'V', ref: `V${i}`, nodes: [`s${i}`, p], ac: i ? -0.7 : 1 },
            { type: 'R', ref: `r${i}`, nodes: [`s${i}`, q], value: 5e3 },
          ])
          const elements = [...parts, ...ties, ...driven]
          const [mine, theirs] = [solved({ elements, output: output as [string, string] }, hertz), direct(elements, output, hertz)]
          const size = Math.max(1e-3, Math.hypot(theirs.re, theirs.im))
          expect(Math.hypot(mine.re - theirs.re, mine.im - theirs.im) / size).toBeLessThan(1e-6)
        },
      ),
      { numRuns: 150 },
    )
  })
})

describe('the solver by hand [physics]', () => {
  const V: Element = { type: 'V', ref: 'V', nodes: ['e', '0'], ac: 1 }
  const R = (a: string, b: string, value: number): Element => ({ type: 'R', ref: `${a}${b}`, nodes: [a, b], value })
  it('reads between two places off the ground, in the sense they are named', () => {
    const elements = [V, R('e', 'b', 1000), R('b', 'c', 1000), R('c', '0', 2000)]
    expect(solved({ elements, output: ['b', 'c'] }, 100).re).toBeCloseTo(0.25, 9)
    expect(solved({ elements, output: ['c', 'b'] }, 100).re).toBeCloseTo(-0.25, 9)
    expect(solved({ elements, output: ['0', 'b'] }, 100).re).toBeCloseTo(-0.75, 9)
    expect(solved({ elements, output: ['e', 'e'] }, 100)).toEqual({ re: 0, im: 0 })
  })
  it('a source between two places leaves them a volt apart, shared by what ties them', () => {
    const elements: Element[] = [{ type: 'V', ref: 'V', nodes: ['a', 'b'], ac: 1 }, R('a', '0', 1000), R('b', '0', 3000)]
    expect(solved({ elements, output: ['a', '0'] }, 100).re).toBeCloseTo(0.25, 9)
    expect(solved({ elements, output: ['b', '0'] }, 100).re).toBeCloseTo(-0.75, 9)
  })
  it('a source straight on a coil lags, straight on a capacitor leads: 45 degrees at the corner', () => {
    const hertz = 1000
    const w = 2 * Math.PI * hertz
    const coil = solved(
      { elements: [V, { type: 'L', ref: 'L', nodes: ['e', 'm'], value: 1000 / w }, R('m', '0', 1000)], output: ['m', '0'] },
      hertz,
    )
    expect([coil.re, coil.im]).toEqual([expect.closeTo(0.5, 9), expect.closeTo(-0.5, 9)])
    const cap = solved(
      { elements: [V, { type: 'C', ref: 'C', nodes: ['e', 'm'], value: 1 / (1000 * w) }, R('m', '0', 1000)], output: ['m', '0'] },
      hertz,
    )
    expect([cap.re, cap.im]).toEqual([expect.closeTo(0.5, 9), expect.closeTo(0.5, 9)])
  })
  it('coupled coils: an open secondary has k times the root of the inductances, by the sense of its ends', () => {
    const elements = (k: number, flipped = false): Element[] => [
      V,
      { type: 'L', ref: 'L1', nodes: ['e', '0'], value: 1 },
      { type: 'L', ref: 'L2', nodes: flipped ? ['0', 's'] : ['s', '0'], value: 4 },
      R('s', '0', 1e9),
      { type: 'K', ref: 'K', inductors: ['L1', 'L2'], k },
    ]
    expect(solved({ elements: elements(0.5), output: ['s', '0'] }, 200).re).toBeCloseTo(1, 4)
    expect(solved({ elements: elements(0.25), output: ['s', '0'] }, 200).re).toBeCloseTo(0.5, 4)
    expect(solved({ elements: elements(0.5, true), output: ['s', '0'] }, 200).re).toBeCloseTo(-1, 4)
    expect(() =>
      compile({ elements: [...elements(0.5), { type: 'K', ref: 'K2', inductors: ['L1', 'gone'], k: 0.1 }], output: ['s', '0'] }),
    ).toThrow(/K2 couples an inductor/)
  })
  it('names what hangs on nothing, one place a group, and reads nothing there', () => {
    const solver = compile({ elements: [V, R('e', '0', 1000), R('x', 'y', 100), R('p', 'q', 100)], output: ['y', '0'] })
    expect(solver.floating.map((n) => ['x', 'y'].includes(n))).toEqual(expect.arrayContaining([true, false]))
    expect(solver.floating).toHaveLength(2)
    const out = { re: NaN, im: NaN }
    solver.solve(100, out)
    expect(out.re).toBeCloseTo(0, 12)
    expect(compile({ elements: [V, R('e', '0', 1000)], output: ['e', '0'] }).floating).toEqual([])
  })
})
