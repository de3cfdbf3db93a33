import type { Step } from './step'

/** What stands directly after each step, among those that are there. */
export function followers(steps: readonly Step[]): Map<string, string[]> {
  const known = new Set(steps.map((s) => s.id))
  const after = new Map<string, string[]>(steps.map((s) => [s.id, []]))
  for (const s of steps) for (const b of s.befores) if (known.has(b.id)) after.get(b.id)!.push(s.id)
  return after
}

const A_DAY = 24 * 60
/** What is not ordered yet comes so many days after it is, for all anybody knows: it is seen to while other work goes on. [practice, from memory] */
const COMES_AFTER = 10

/** The longest way from a step to the end, days: its own wait, its rest, its parcel, and all that stands after it. Hands count as evenings of `evening` minutes. */
export function tails(steps: readonly Step[], evening: number): Map<string, number> {
  const byId = new Map(steps.map((s) => [s.id, s]))
  const after = followers(steps)
  const known = new Map<string, number>()
  const way = (id: string, on: ReadonlySet<string>): number => {
    const have = known.get(id)
    if (have !== undefined) return have
    // A circle would never end; the laws keep it out, and here it is only not followed.
    if (on.has(id)) return 0
    const s = byId.get(id)!
    const comes = s.undated === 'not ordered' ? COMES_AFTER : 0
    const own = s.minutes / evening + s.wait / A_DAY + (s.rest ?? 0) + (s.calendar ? span(s.calendar) : 0) + comes
    const further = Math.max(0, ...after.get(id)!.map((next) => way(next, new Set(on).add(id))))
    known.set(id, own + further)
    return own + further
  }
  for (const s of steps) way(s.id, new Set())
  return known
}

const span = ({ from, to }: { from: string; to: string }) => (Date.parse(to) - Date.parse(from)) / 86_400_000

/** Is there a way along what comes after from the one to the other? */
function leadsTo(after: ReadonlyMap<string, readonly string[]>, from: string, to: string): boolean {
  const seen = new Set<string>()
  const open = [from]
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    if (id === to) return true
    if (seen.has(id)) continue
    seen.add(id)
    open.push(...(after.get(id) ?? []))
  }
  return false
}

/** Cuts whose ways to the end differ by less than so many days are done by what they put at stake. [ours] */
const ALIKE = 0.5

/** The first of them; of cuts that are as urgent, the one that puts most at stake, while what it is cut in is cheap. */
function riskiest(open: readonly string[], byId: ReadonlyMap<string, Step>, weight: ReadonlyMap<string, number>): string {
  const [first] = open
  const risk = (id: string) => byId.get(id)!.risk ?? 0
  if (!risk(first!)) return first!
  return open.filter((id) => weight.get(first!)! - weight.get(id)! < ALIKE).reduce((a, b) => (risk(b) > risk(a) ? b : a), first!)
}

/**
 * The steps so that each comes after all it waits for; of those that could come next, the one that starts the longest way to the end.
 * @param weight the longer the sooner
 */
export function inOrder(steps: readonly Step[], weight: ReadonlyMap<string, number>): Step[] {
  const known = new Set(steps.map((s) => s.id))
  const waits = new Map(steps.map((s) => [s.id, new Set(s.befores.map((b) => b.id).filter((id) => known.has(id) && id !== s.id))]))
  const after = followers(steps)
  // What is only better before goes before where that makes no circle.
  for (const s of steps)
    for (const b of s.better ?? [])
      if (known.has(b.id) && !waits.get(s.id)!.has(b.id) && !leadsTo(after, s.id, b.id)) {
        waits.get(s.id)!.add(b.id)
        after.get(b.id)!.push(s.id)
      }
  const place = new Map(steps.map((s, i) => [s.id, i]))
  const byId = new Map(steps.map((s) => [s.id, s]))
  const first = (a: string, b: string) => weight.get(b)! - weight.get(a)! || place.get(a)! - place.get(b)!
  const open = steps.filter((s) => !waits.get(s.id)!.size).map((s) => s.id)
  const ordered: Step[] = []
  while (open.length) {
    open.sort(first)
    const id = riskiest(open, byId, weight)
    open.splice(open.indexOf(id), 1)
    ordered.push(byId.get(id)!)
    for (const next of after.get(id)!) {
      const left = waits.get(next)!
      if (left.delete(id) && !left.size) open.push(next)
    }
  }
  // What waits for itself is put last rather than lost.
  return ordered.length === steps.length ? ordered : [...ordered, ...steps.filter((s) => !ordered.includes(s))]
}
