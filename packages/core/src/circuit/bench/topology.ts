import { GROUND } from '../engine/netlist'
import { mergeNodes } from '../engine/nodes'
import { gainAt } from '../engine/response'
import { compile } from '../engine/solver'
import { toNetlist, type Coil, type Harness, type Setting } from '../model/harness'

/** What sounds in one switch position and how it is joined. */
export interface Topology {
  sounding: string[]
  /** Coils that sound, joined by + for series and ‖ for parallel. */
  words: string
  /** Hum at the output against the same coils all adding, dB; -Infinity when nothing is left of it. */
  hum: number
  humWords: string
}

/** Signal of one coil below this against 1 V counts as silent, dB. */
const SILENT = -60
const TEST_HERTZ = 100

const isCoil = (c: { is: string }): c is Coil => c.is === 'coil'

/** Reads off the circuit itself which coils reach the jack, how they are joined, and what is left of the hum. */
export function topology(harness: Harness, position: number): Topology {
  const setting: Setting = { position, volume: 10, tone: 10 }
  const level = (source: Parameters<typeof toNetlist>[3]) =>
    gainAt(compile(toNetlist(harness, setting, { cable: 0, amplifier: 1e6 }, source)), TEST_HERTZ)
  const coils = harness.components.filter(isCoil)
  const levels = new Map(coils.map((c) => [c.id, level({ only: c.id })]))
  const sounding = coils.filter((c) => levels.get(c.id)! > SILENT)
  const adding = sounding.reduce((sum, c) => sum + 10 ** (levels.get(c.id)! / 20), 0)
  const hum = sounding.length ? level('hum') - 20 * Math.log10(adding) : -Infinity
  return { sounding: sounding.map((c) => c.id), words: joined(harness, setting, sounding), hum, humWords: humWords(hum, sounding.length) }
}

function humWords(hum: number, count: number): string {
  if (!count) return 'silent'
  if (hum < -26) return 'hum cancelled'
  return hum < -9 ? 'hum mostly cancelled' : 'picks up hum, as a single coil does'
}

interface Edge {
  a: number
  b: number
  words: string
  parallel: boolean
}

/** Series and parallel reduction of the sounding coils between the hot side and ground. */
function joined(harness: Harness, setting: Setting, sounding: readonly Coil[]): string {
  if (!sounding.length) return 'nothing'
  const { elements } = toNetlist(harness, setting)
  const nodes = mergeNodes(elements.filter((e) => e.type === 'W'))
  const root = (name: string) => nodes.find(name).root
  let edges: Edge[] = sounding.map((c) => ({ a: root(`${c.id}.start`), b: root(`${c.id}.finish`), words: c.label, parallel: false }))
  const hot = root('volume.3')
  const ground = root(GROUND)
  for (let changed = true; changed && edges.length > 1;) {
    changed = false
    outer: for (let i = 0; i < edges.length; i++)
      for (let j = i + 1; j < edges.length; j++) {
        const p = edges[i]!
        const q = edges[j]!
        const same = (p.a === q.a && p.b === q.b) || (p.a === q.b && p.b === q.a)
        const shared = [p.a, p.b].find(
          (n) => (n === q.a || n === q.b) && n !== hot && n !== ground && edges.filter((e) => e.a === n || e.b === n).length === 2,
        )
        if (!same && shared === undefined) continue
        const merged: Edge = same
          ? { a: p.a, b: p.b, words: `${p.words} ‖ ${q.words}`, parallel: true }
          : { a: p.a === shared ? p.b : p.a, b: q.a === shared ? q.b : q.a, words: seriesWords(p, q), parallel: false }
        edges = [...edges.filter((e) => e !== p && e !== q), merged]
        changed = true
        break outer
      }
  }
  return edges.map((e) => e.words).join(', ')
}

const seriesWords = (p: Edge, q: Edge): string => {
  const [whole] = p.words.split(',')
  if (!p.parallel && !q.parallel && whole === q.words.split(',')[0]) return `${whole}, both coils in series`
  return [p, q].map((e) => (e.parallel ? `(${e.words})` : e.words)).join(' + ')
}
