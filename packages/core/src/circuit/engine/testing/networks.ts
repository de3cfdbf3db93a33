import fc from 'fast-check'
import type { Element } from '../netlist'

/** Random networks of what a guitar is made of: resistors, coils with their wire, capacitors, between a few places and ground. */
export const place = fc.integer({ min: 0, max: 6 }).map((n) => (n ? `n${n}` : '0'))
export const log = (from: number, to: number) => fc.double({ min: Math.log(from), max: Math.log(to), noNaN: true }).map(Math.exp)
const part = fc.oneof(
  fc.record({ type: fc.constant('R' as const), a: place, b: place, value: log(100, 2e6) }),
  fc.record({ type: fc.constant('C' as const), a: place, b: place, value: log(20e-12, 100e-9) }),
  fc.record({ type: fc.constant('L' as const), a: place, b: place, value: log(0.5, 8) }),
)
export const network = fc.array(part, { minLength: 3, maxLength: 16 }).map((parts) =>
  parts.flatMap((p, i): Element[] => {
    if (p.a === p.b) return []
    // A coil is never without its wire.
    if (p.type === 'L')
      return [
        { type: 'R', ref: `r${i}`, nodes: [p.a, `w${i}`], value: 5000 },
        { type: 'L', ref: `l${i}`, nodes: [`w${i}`, p.b], value: p.value },
      ]
    return [{ type: p.type, ref: `${p.type}${i}`, nodes: [p.a, p.b], value: p.value }]
  }),
)
