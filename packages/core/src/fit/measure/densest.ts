/**
 * Of things that cost and gains that each want several of them, the set with the most gain for its cost. A gain counts only when all it
 * wants is in the set; things may share a cost that is paid once, such as taking a part in hand.
 * Exact: Dinkelbach's steps for the ratio, each a closure of greatest weight found as a least cut.
 * [published: W. Dinkelbach, Management Science 13 (1967); J.-C. Picard, Management Science 22 (1976), both from memory]
 */
export interface Bundling {
  /** Cost of each thing, above zero, and the index of the cost it shares. */
  things: readonly { cost: number; shares: number }[]
  shared: readonly number[]
  gains: readonly { wants: readonly number[]; gain: number }[]
}

const EPS = 1e-9

/** @returns indices of the things, empty when nothing is to be gained */
export function densest(problem: Bundling): number[] {
  let best = problem.things.map((_, i) => i)
  let ratio = ratioOf(problem, best)
  if (!(ratio > EPS)) return []
  // All of them is the first guess; each step finds what pays better still.
  for (;;) {
    const set = closure(problem, ratio)
    const next = set.length ? ratioOf(problem, set) : 0
    if (next <= ratio * (1 + EPS)) return best
    best = set
    ratio = next
  }
}

export function gainOf({ gains }: Bundling, set: ReadonlySet<number>): number {
  return gains.reduce((s, g) => s + (g.wants.every((w) => set.has(w)) ? g.gain : 0), 0)
}
export function costOf({ things, shared }: Bundling, set: ReadonlySet<number>): number {
  const paid = new Set([...set].map((i) => things[i]!.shares))
  return [...set].reduce((s, i) => s + things[i]!.cost, 0) + [...paid].reduce((s, i) => s + shared[i]!, 0)
}
const ratioOf = (p: Bundling, set: readonly number[]) => {
  const own = new Set(set)
  return gainOf(p, own) / costOf(p, own)
}

interface Edge {
  to: number
  room: number
  back: number
}

/** The set with the most gain left after paying `price` times its cost: what the source still reaches across a least cut. */
function closure({ things, shared, gains }: Bundling, price: number): number[] {
  const [source, sink, firstGain] = [0, 1, 2]
  const firstThing = firstGain + gains.length
  const firstShared = firstThing + things.length
  const edges: Edge[][] = Array.from({ length: firstShared + shared.length }, () => [])
  const join = (a: number, b: number, room: number) => {
    edges[a]!.push({ to: b, room, back: edges[b]!.length })
    edges[b]!.push({ to: a, room: 0, back: edges[a]!.length - 1 })
  }
  gains.forEach((g, i) => {
    join(source, firstGain + i, g.gain)
    for (const w of g.wants) join(firstGain + i, firstThing + w, Infinity)
  })
  things.forEach((t, i) => {
    join(firstThing + i, sink, price * t.cost)
    join(firstThing + i, firstShared + t.shares, Infinity)
  })
  shared.forEach((cost, i) => join(firstShared + i, sink, price * cost))
  const levels = fill(edges, source, sink)
  return things.flatMap((_, i) => (levels[firstThing + i]! >= 0 ? [i] : []))
}

/** Fills the network as far as it goes (Dinic); afterwards each node's distance from the source, -1 where nothing more gets. */
function fill(edges: Edge[][], source: number, sink: number): number[] {
  for (;;) {
    const levels = distances(edges, source)
    if (levels[sink]! < 0) return levels
    const next = edges.map(() => 0)
    while (push(edges, levels, next, source, sink, Infinity) > EPS);
  }
}

function distances(edges: readonly Edge[][], source: number): number[] {
  const levels = edges.map(() => -1)
  levels[source] = 0
  const queue = [source]
  for (const at of queue)
    for (const e of edges[at]!)
      if (e.room > EPS && levels[e.to]! < 0) {
        levels[e.to] = levels[at]! + 1
        queue.push(e.to)
      }
  return levels
}

function push(edges: Edge[][], levels: readonly number[], next: number[], at: number, sink: number, most: number): number {
  if (at === sink) return most
  for (; next[at]! < edges[at]!.length; next[at]!++) {
    const e = edges[at]![next[at]!]!
    if (e.room <= EPS || levels[e.to] !== levels[at]! + 1) continue
    const went = push(edges, levels, next, e.to, sink, Math.min(most, e.room))
    if (went <= EPS) continue
    e.room -= went
    edges[e.to]![e.back]!.room += went
    return went
  }
  return 0
}
