import { dice } from '../quantity/dice'

/** A piece of work in a net: its time and what it comes after, in any one unit. */
export interface Task {
  id: string
  time: number
  after: readonly string[]
}

export interface Timed {
  earliest: { start: number; end: number }
  latest: { start: number; end: number }
  /** How far it may slip without moving the end. */
  float: number
}

/** Tasks so that each comes after all it waits for. @throws where they wait for each other in a circle */
function chained(tasks: readonly Task[]): Task[] {
  const byId = new Map(tasks.map((t) => [t.id, t]))
  const ordered: Task[] = []
  const state = new Map<string, 'open' | 'done'>()
  const visit = (t: Task) => {
    if (state.get(t.id) === 'done') return
    if (state.get(t.id) === 'open') throw new Error(`${t.id} waits for itself.`)
    state.set(t.id, 'open')
    for (const id of t.after) if (byId.has(id)) visit(byId.get(id)!)
    state.set(t.id, 'done')
    ordered.push(t)
  }
  for (const t of tasks) visit(t)
  return ordered
}

/** Critical path: earliest and latest start and end of every task, its float, and when all is done. [published: usual CPM, Kelley and Walker 1959] */
export function criticalPath(tasks: readonly Task[]): { end: number; of: Map<string, Timed>; critical: string[] } {
  const ordered = chained(tasks)
  const of = new Map<string, Timed>()
  for (const t of ordered) {
    const start = Math.max(0, ...t.after.map((id) => of.get(id)?.earliest.end ?? 0))
    of.set(t.id, { earliest: { start, end: start + t.time }, latest: { start: 0, end: Infinity }, float: 0 })
  }
  const end = Math.max(0, ...[...of.values()].map((t) => t.earliest.end))
  for (const t of ordered.toReversed()) {
    const mine = of.get(t.id)!
    mine.latest.end = Math.min(mine.latest.end, end)
    mine.latest.start = mine.latest.end - t.time
    mine.float = mine.latest.start - mine.earliest.start
    for (const id of t.after) {
      const before = of.get(id)
      if (before) before.latest.end = Math.min(before.latest.end, mine.latest.start)
    }
  }
  return { end, of, critical: ordered.filter((t) => of.get(t.id)!.float < 1e-9).map((t) => t.id) }
}

/** A time somewhere between the least and the most, likeliest at the middle one: a triangle. [published] @param u from 0 to 1 */
export function triangular([low, likely, high]: readonly [number, number, number], u: number): number {
  if (high <= low) return likely
  const share = (likely - low) / (high - low)
  return u < share ? low + Math.sqrt(u * (high - low) * (likely - low)) : high - Math.sqrt((1 - u) * (high - low) * (high - likely))
}

/** Ends of a net whose tasks take what the dice say, sorted. */
export function sampledEnds(
  tasks: readonly (Omit<Task, 'time'> & { times: readonly [number, number, number] })[],
  runs: number,
  seed: number,
): number[] {
  const roll = dice(seed)
  const ordered = chained(tasks.map((t) => ({ ...t, time: 0 }))).map((t) => tasks.find((x) => x.id === t.id)!)
  const ends: number[] = []
  for (let run = 0; run < runs; run++) {
    const end = new Map<string, number>()
    let last = 0
    for (const t of ordered) {
      const at = Math.max(0, ...t.after.map((id) => end.get(id) ?? 0)) + triangular(t.times, roll())
      end.set(t.id, at)
      last = Math.max(last, at)
    }
    ends.push(last)
  }
  return ends.toSorted((a, b) => a - b)
}
