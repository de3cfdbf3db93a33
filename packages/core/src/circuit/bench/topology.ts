import type { Element, Netlist } from '../engine/netlist'
import { mergeNodes } from '../engine/nodes'
import { compile } from '../engine/solver'
import type { Coil, Harness } from '../model/harness'
import { SILENT } from '../model/heard'
import { humSense, toNetlist } from '../model/toNetlist'
import type { Setting } from '../model/setting'

/** How coils are joined: a tree whose leaves are coils, by id. Words and drawings are made from it, never the other way. */
export type Joined = { is: 'coil'; coil: string } | { is: 'series' | 'parallel'; parts: Joined[] }

/** What sounds with the switches so, and how it is joined. */
export interface Topology {
  sounding: string[]
  /** One tree between the hot side and ground; several where the coils are joined in no series or parallel way. */
  joined: Joined[]
  /** The same in words, coils joined by + for series and ‖ for parallel. */
  words: string
  /** Hum at the output against the same coils all adding, dB; -Infinity when nothing is left of it. */
  hum: number
  humWords: string
}

const TEST_HERTZ = 100

interface Complex {
  re: number
  im: number
}
const plus = (a: Complex, b: Complex, times: number): Complex => ({ re: a.re + times * b.re, im: a.im + times * b.im })
const decibel = ({ re, im }: Complex): number => 20 * Math.log10(Math.hypot(re, im))

const isCoil = (c: { is: string }): c is Coil => c.is === 'coil'

/** Reads off the circuit itself, knobs at 10, which coils reach the jack, how they are joined, and what is left of the hum. */
export function topology(harness: Harness, switches: Setting['switches']): Topology {
  const setting: Setting = { switches, knobs: {} }
  const voltage = (coil: Coil): Complex => {
    const out = { re: 0, im: 0 }
    compile(toNetlist(harness, setting, { cable: 0, amplifier: 1e6 }, { only: coil.id })).solve(TEST_HERTZ, out)
    return out
  }
  const coils = harness.components.filter(isCoil)
  const nodes = nodesOf(toNetlist(harness, setting))
  const heard = reachedFromTip(nodes)
  const voltages = coils.flatMap((coil) =>
    [`${coil.id}.start`, `${coil.id}.finish`].some((lug) => heard.has(nodes.root(lug))) ? [{ coil, volt: voltage(coil) }] : [],
  )
  const sounding = voltages.filter(({ volt }) => decibel(volt) > SILENT).map(({ coil }) => coil)
  // The circuit is linear: stray fields drive every coil at once, each in the sense it is wound.
  const stray = voltages.reduce((sum, { coil, volt }) => plus(sum, volt, humSense(coil)), { re: 0, im: 0 })
  const adding = voltages.filter(({ coil }) => sounding.includes(coil)).reduce((sum, { volt }) => sum + Math.hypot(volt.re, volt.im), 0)
  const hum = sounding.length ? decibel(stray) - 20 * Math.log10(adding) : -Infinity
  const joined = joinedCoils(nodes, sounding)
  const how = joined.length ? joined.map((tree) => joinedWords(tree, coils)).join(', ') : 'nothing'
  const words = areAgainst(voltages) ? `${how}, out of phase` : how
  return { sounding: sounding.map((c) => c.id), joined, words, hum, humWords: humWords(hum, sounding.length) }
}

/** Less of the loudest coil's signal takes nothing away that is heard. [ours] */
const HEARD_AGAINST = 0.2
/** Does what the strings induce in one coil come out against what they induce in another? Together they are thin then. */
function areAgainst(voltages: readonly { coil: Coil; volt: Complex }[]): boolean {
  const byStrings = voltages.map(({ coil, volt }) => plus({ re: 0, im: 0 }, volt, coil.magnet * coil.winding))
  const loudest = byStrings.reduce((a, b) => (Math.hypot(b.re, b.im) > Math.hypot(a.re, a.im) ? b : a), { re: 0, im: 0 })
  const size = Math.hypot(loudest.re, loudest.im) ** 2
  return size > 0 && byStrings.some((v) => (v.re * loudest.re + v.im * loudest.im) / size < -HEARD_AGAINST)
}

/** The circuit's places with wires and closed contacts drawn together, and what lies between them. */
interface Nodes {
  root: (lug: string) => number
  ends: readonly (readonly [number, number])[]
  tip: number
  ground: number
}

function nodesOf({ elements, output }: Netlist): Nodes {
  // A coil's source is a way like any other here, not two places that are one.
  const ways = elements.map((e): Element => (e.type === 'V' ? { type: 'R', ref: e.ref, nodes: e.nodes, value: 1 } : e))
  const nodes = mergeNodes(ways)
  const root = (name: string) => nodes.find(name).root
  const ends = ways.flatMap((e) => (e.type === 'K' ? [] : [[root(e.nodes[0]), root(e.nodes[1])] as const]))
  return { root, ends, tip: root(output[0]), ground: nodes.ground }
}

/** Places joined to the tip by anything at all, on ways that do not pass ground: a coil that ends at none of them cannot be heard. */
function reachedFromTip({ ends, tip, ground }: Nodes): Set<number> {
  const reached = new Set([tip])
  for (let before = 0; before < reached.size; ) {
    before = reached.size
    for (const [p, q] of ends) {
      if (p === ground || q === ground) continue
      if (reached.has(p)) reached.add(q)
      else if (reached.has(q)) reached.add(p)
    }
  }
  return reached
}

function humWords(hum: number, count: number): string {
  if (!count) return 'silent'
  if (hum < -26) return 'hum cancelled'
  return hum < -9 ? 'hum mostly cancelled' : 'picks up hum, as a single coil does'
}

interface Edge {
  a: number
  b: number
  tree: Joined
}

/** Series and parallel reduction of the sounding coils between the jack's tip and ground. */
function joinedCoils({ root, tip, ground }: Nodes, sounding: readonly Coil[]): Joined[] {
  let edges: Edge[] = sounding.map((c) => ({ a: root(`${c.id}.start`), b: root(`${c.id}.finish`), tree: { is: 'coil', coil: c.id } }))
  for (let pair = reducible(edges, tip, ground); pair; pair = reducible(edges, tip, ground)) {
    const { p, q, merged } = pair
    edges = edges.flatMap((e) => (e === p ? [merged] : e === q ? [] : [e]))
  }
  return edges.map((e) => e.tree)
}

/** The first two edges that lie side by side, or one after the other with nothing else between. */
function reducible(edges: readonly Edge[], hot: number, ground: number): { p: Edge; q: Edge; merged: Edge } | undefined {
  for (const [i, p] of edges.entries())
    for (const q of edges.slice(i + 1)) {
      if ((p.a === q.a && p.b === q.b) || (p.a === q.b && p.b === q.a))
        return { p, q, merged: { a: p.a, b: p.b, tree: grouped('parallel', p.tree, q.tree) } }
      const shared = [p.a, p.b].find(
        (n) => (n === q.a || n === q.b) && n !== hot && n !== ground && edges.filter((e) => e.a === n || e.b === n).length === 2,
      )
      if (shared === undefined) continue
      const [a, b] = [p.a === shared ? p.b : p.a, q.a === shared ? q.b : q.a]
      return { p, q, merged: { a, b, tree: grouped('series', p.tree, q.tree) } }
    }
  return undefined
}

/** Three in parallel are one group of three, not a pair and one. */
function grouped(is: 'series' | 'parallel', p: Joined, q: Joined): Joined {
  const parts = [p, q].flatMap((t) => (t.is === is ? t.parts : [t]))
  return { is, parts }
}

/** The tree in words: "neck ‖ middle", "(a ‖ b) + c"; a pickup whose coils are all there in series is named as a whole. */
export function joinedWords(tree: Joined, coils: readonly Coil[]): string {
  if (tree.is === 'coil') return coils.find((c) => c.id === tree.coil)!.label
  if (tree.is === 'parallel') return tree.parts.map((t) => joinedWords(t, coils)).join(' ‖ ')
  return wholePickups(tree.parts, coils)
    .map((t) => (typeof t === 'string' ? t : t.is === 'parallel' ? `(${joinedWords(t, coils)})` : joinedWords(t, coils)))
    .join(' + ')
}

/** Coils of one pickup in a series run, put together under the pickup's name. */
function wholePickups(parts: readonly Joined[], coils: readonly Coil[]): (Joined | string)[] {
  const pickupOf = (t: Joined) => (t.is === 'coil' ? coils.find((c) => c.id === t.coil)!.pickup : undefined)
  const own = (pickup: string) => coils.filter((c) => c.pickup === pickup)
  const whole = new Set(
    coils
      .map((c) => c.pickup)
      .filter((pickup) => own(pickup).length > 1 && own(pickup).every((c) => parts.some((t) => t.is === 'coil' && t.coil === c.id))),
  )
  const said = new Set<string>()
  return parts.flatMap((t): (Joined | string)[] => {
    const pickup = pickupOf(t)
    if (pickup === undefined || !whole.has(pickup)) return [t]
    if (said.has(pickup)) return []
    said.add(pickup)
    return [`${pickup}, both coils in series`]
  })
}
