import { assemble } from './assemble'
import { elimination, type Elimination } from './elimination'
import { GROUND, type Element, type Netlist } from './netlist'
import { mergeNodes } from './nodes'
import { SmallSystem } from './smallSystem'
import type { Place } from './stamps'

/**
 * Gains in dB over `hertz` of one circuit with this or that added to it: a pot at eleven turns, say. What is common is eliminated once a
 * frequency down to the few places where something is added, and each variant finishes from there.
 * @param given the variants: resistors, capacitors and wires; each joins names of the circuit
 * @returns one list of gains for each variant
 * @throws Error as `compile` does
 */
export function sweepVariants(common: Netlist, given: readonly (readonly Element[])[], hertz: Float64Array): Float64Array[] {
  const taken = new Set([GROUND, ...common.output, ...endsOf(common.elements)])
  const variants = given.map((added) => withoutLooseEnds(added, taken))
  const names = [...new Set([...endsOf(variants.flat()), ...common.output])]
  const { stamps, size, order, places } = assemble(common.elements, names, names)
  const kept = new Set(places.flatMap((p) => (p.n < 0 ? [] : [p.n]))).size
  const reduced = elimination(stamps, size, order)
  const until = size - kept
  const place = new Map(names.map((name, i) => [name, among(reduced.at(places[i]!), until)]))
  const blocks = blocksOf(reduced, until, kept, hertz)
  return variants.map((added) => finish(blocks, kept, added, place, common.output, hertz))
}

/** 10 log10 x = this times ln x. */
const DECIBEL = 10 / Math.LN10

const endsOf = (elements: readonly Element[]) => elements.flatMap((e) => (e.type === 'K' ? [] : e.nodes))

/** A part with an end nothing else touches carries nothing: the outer lug of a tone pot that stands free. */
function withoutLooseEnds(added: readonly Element[], taken: ReadonlySet<string>): Element[] {
  const own = endsOf(added)
  const loose = (n: string) => !taken.has(n) && own.indexOf(n) === own.lastIndexOf(n)
  return added.filter((e) => e.type === 'K' || !e.nodes.some(loose))
}

/** Numbered among the kept ones alone. */
const among = ({ p, offset }: { p: number; offset: number }, until: number): Place => ({ n: p < 0 ? -1 : p - until, offset })

/** What is left of the circuit between the kept unknowns, one frequency after another: their matrix in full, then the right-hand side. */
interface Blocks {
  re: Float64Array
  im: Float64Array
}

function blocksOf({ cell, re, im, bRe, bIm, forward }: Elimination, until: number, kept: number, hertz: Float64Array): Blocks {
  const each = kept * kept + kept
  const blocks = { re: new Float64Array(each * hertz.length), im: new Float64Array(each * hertz.length) }
  const from = Array.from({ length: kept * kept }, (_, k) => cell(until + Math.floor(k / kept), until + (k % kept)))
  for (let i = 0, at = 0; i < hertz.length; i++) {
    forward(hertz[i]!, until)
    for (const c of from) {
      if (c !== undefined) {
        blocks.re[at] = re[c]!
        blocks.im[at] = im[c]!
      }
      at++
    }
    for (let p = until; p < until + kept; p++, at++) {
      blocks.re[at] = bRe[p]!
      blocks.im[at] = bIm[p]!
    }
  }
  return blocks
}

/** @returns gains in dB of one variant */
function finish(
  blocks: Blocks,
  kept: number,
  added: readonly Element[],
  place: ReadonlyMap<string, Place>,
  output: readonly [string, string],
  hertz: Float64Array,
): Float64Array {
  const groups = grouped(kept, added, place)
  const at = (name: string): Place => {
    const { n, offset } = place.get(name)!
    return n < 0 ? { n, offset } : { n: groups[n]!.n, offset: offset + groups[n]!.offset }
  }
  const size = 1 + Math.max(-1, ...groups.map((g) => g.n))
  const [tip, sleeve] = output.map(at) as [Place, Place]
  const first = Math.min(size, ...[tip.n, sleeve.n].filter((n) => n >= 0))
  const small = new SmallSystem(size)
  const { re, im, bRe, bIm } = small
  const { re: blockRe, im: blockIm } = blocks
  // Where each number of a block goes, the upper half only, and what a row owes to the rise of its column's place above the group.
  const cells = Int32Array.from(
    groups.flatMap((row, i) =>
      groups.flatMap((column, j) => (row.n < 0 || column.n < row.n ? [] : [i * kept + j, row.n * size + column.n])),
    ),
  )
  const rights = Int32Array.from(groups.flatMap((g, i) => (g.n < 0 ? [] : [kept * kept + i, g.n])))
  const owed = groups.flatMap((row, i) =>
    groups.flatMap((column, j) => (row.n < 0 || column.offset === 0 ? [] : [{ from: i * kept + j, row: row.n, rise: column.offset }])),
  )
  const parts = added.flatMap((e) => {
    if (e.type !== 'R' && e.type !== 'C') return []
    const [a, b] = [at(e.nodes[0]), at(e.nodes[1])]
    const [siemens, farad] = e.type === 'R' ? [1 / e.value, 0] : [0, e.value]
    // Between two ends of one source it changes nothing.
    return a.n === b.n ? [] : [{ a: a.n, b: b.n, rise: a.offset - b.offset, siemens, farad }]
  })
  // Most settings join nothing: their numbers are taken over where they stand.
  const asItIs = groups.every((g, n) => g.n === n && g.offset === 0)
  const gains = new Float64Array(hertz.length)
  const each = kept * kept + kept
  for (let i = 0; i < hertz.length; i++) {
    const start = i * each
    if (asItIs) {
      for (let k = 0; k < kept * kept; k++) {
        re[k] = blockRe[start + k]!
        im[k] = blockIm[start + k]!
      }
      for (let k = 0; k < kept; k++) {
        bRe[k] = blockRe[start + kept * kept + k]!
        bIm[k] = blockIm[start + kept * kept + k]!
      }
    } else {
      small.clear()
      for (let k = 0; k < rights.length; k += 2) {
        const from = start + rights[k]!
        const to = rights[k + 1]!
        bRe[to]! += blockRe[from]!
        bIm[to]! += blockIm[from]!
      }
      for (let k = 0; k < cells.length; k += 2) {
        const from = start + cells[k]!
        const to = cells[k + 1]!
        re[to]! += blockRe[from]!
        im[to]! += blockIm[from]!
      }
      for (const { from, row, rise } of owed) {
        bRe[row]! -= blockRe[start + from]! * rise
        bIm[row]! -= blockIm[start + from]! * rise
      }
    }
    const w = 2 * Math.PI * hertz[i]!
    for (let k = 0; k < parts.length; k++) {
      const p = parts[k]!
      small.add(p.a, p.b, p.siemens, w * p.farad, p.rise)
    }
    small.solve(first)
    const outRe = (tip.n < 0 ? 0 : bRe[tip.n]!) + tip.offset - (sleeve.n < 0 ? 0 : bRe[sleeve.n]!) - sleeve.offset
    const outIm = (tip.n < 0 ? 0 : bIm[tip.n]!) - (sleeve.n < 0 ? 0 : bIm[sleeve.n]!)
    gains[i] = DECIBEL * Math.log(outRe * outRe + outIm * outIm)
  }
  return gains
}

/** What the added wires join: for each kept unknown the group it is in and how far it stands above that; ground is -1. */
function grouped(kept: number, added: readonly Element[], place: ReadonlyMap<string, Place>): Place[] {
  if (!added.some((e) => e.type === 'W')) return Array.from({ length: kept }, (_, n) => ({ n, offset: 0 }))
  const name = (n: number) => (n < 0 ? GROUND : `kept ${n}`)
  const joins = added.flatMap((e): Element[] => {
    if (e.type !== 'W') return []
    const [a, b] = e.nodes.map((n) => place.get(n)!) as [Place, Place]
    return [{ type: 'V', ref: e.ref, nodes: [name(a.n), name(b.n)], ac: b.offset - a.offset }]
  })
  const names = Array.from({ length: kept }, (_, i) => name(i))
  const nodes = mergeNodes(joins, true, names)
  const number = new Map<number, number>()
  return names.map((n) => {
    const { root, offset } = nodes.find(n)
    if (root === nodes.ground) return { n: -1, offset }
    if (!number.has(root)) number.set(root, number.size)
    return { n: number.get(root)!, offset }
  })
}
