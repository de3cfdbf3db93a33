/**
 * The best complete sets: one candidate a slot, least cost first, found by branch and bound and therefore exact.
 *
 * Cost is in one unit (money, minutes or days) and has four sources: a candidate's own, what two candidates ask of each other,
 * what more than two ask together, and what a parcel from a seller costs once however much is in it. Infinity rules out.
 */
export interface SetProblem {
  /** Number of candidates in each slot. */
  sizes: readonly number[]
  /** Own cost of a candidate. */
  own: (slot: number, candidate: number) => number
  /** Cost two candidates of different slots make together, 0 when they get on; slotA < slotB. Asked at most twice for each pair. */
  pair: (slotA: number, a: number, slotB: number, b: number) => number
  /** Do two slots have anything to do with each other at all? */
  meets?: (slotA: number, slotB: number) => boolean
  /** Sets dearer than this are not wanted. */
  atMost?: number
  /** Joints of three and more slots: asked with every member chosen. */
  groups?: readonly { slots: readonly number[]; cost: (chosen: readonly number[]) => number }[]
  /** Seller of a candidate, for the parcel its choice needs; undefined when nothing is sent. */
  parcel?: (slot: number, candidate: number) => number | undefined
  /** What each seller's parcel costs. */
  parcelCost?: readonly number[]
  /** Highest own cost instead of their sum: for dates, where the slowest part decides. */
  slowest?: boolean
}

export interface FoundSet {
  /** Candidate by slot. */
  chosen: number[]
  cost: number
}

export interface SearchResult {
  sets: FoundSet[]
  /** Partial choices looked at. */
  nodes: number
  /** How often each joint of many ruled a choice out, in the order of `groups`: what stands in the way when there is no set. */
  inTheWay: number[]
  /** False when it was stopped before everything was looked at. */
  complete: boolean
}

/** @param keep how many sets to return @param stop asked now and then; true ends the search with what it has */
export function bestSets(problem: SetProblem, keep = 3, stop: () => boolean = () => false): SearchResult {
  const n = problem.sizes.length
  const between = pairCosts(problem)
  const found: FoundSet[] = []
  const state = { nodes: 0, complete: true, inTheWay: (problem.groups ?? []).map(() => 0) }
  let probing = false
  // A hair above the limit, so that a set that meets it exactly is still taken.
  const limit = (problem.atMost ?? Infinity) + 1e-9
  const worst = () => (found.length < keep ? limit : Math.min(limit, found[found.length - 1]!.cost))
  const groups = problem.groups ?? []
  const priced = problem.parcelCost?.some((c) => c > 0) ?? false
  // With few sellers every choice of parcels is tried in turn, cheapest outlook first; then a parcel's cost is known before the
  // search begins and the bound stays sharp. With many, a parcel is paid when its first part is chosen.
  const inTurn = priced && problem.parcelCost!.length <= MOST_SELLERS
  const parcels = new Int32Array(problem.parcelCost?.length ?? 0)
  const chosen = new Array<number>(n).fill(-1)
  // How often a slot stood in a joint of many that ruled a choice out: such slots go first. [published: Boussemart et al. 2004, from memory]
  const blame = new Float64Array(n).fill(1)

  const insert = (cost: number) => {
    // The same set may come again under parcels it does not need.
    const twin = found.findIndex((f) => f.chosen.every((c, s) => c === chosen[s]))
    if (twin >= 0) {
      if (found[twin]!.cost <= cost) return
      found.splice(twin, 1)
    }
    const at = found.findIndex((f) => cost < f.cost)
    found.splice(at < 0 ? found.length : at, 0, { chosen: [...chosen], cost })
    if (found.length > keep) found.pop()
  }

  /**
   * `least[s][c]`: a candidate's own cost and what it makes with everyone chosen so far; Infinity once ruled out. For the bound each
   * open slot is taken at its cheapest. `by[s]`: the chosen slots that ruled out candidates of s.
   *
   * Returns the chosen slots that are to blame for finding nothing here, as a bit each, or ANY when something was found or a bound cut the
   * search. A slot that is not to blame need not try its other candidates. [published: Prosser 1993, conflict-directed backjumping, from memory]
   */
  function descend(least: readonly Float64Array[], by: readonly bigint[], base: number, open: readonly number[]): bigint {
    if (!state.complete) return ANY
    if (++state.nodes % 256 === 0 && stop()) {
      state.complete = false
      return ANY
    }
    if (!open.length) {
      if (base < worst()) insert(base)
      return ANY
    }
    let bound = base
    let pick = -1
    let fewest = Infinity
    // Each open slot at its cheapest: below this no set costs with it.
    const cheapest = new Float64Array(n)
    for (const s of open) {
      let lowest = Infinity
      let alive = 0
      const row = least[s]!
      for (let c = 0; c < row.length; c++) {
        const v = row[c]!
        if (v === Infinity) continue
        alive++
        if (v < lowest) lowest = v
      }
      if (!alive) return by[s]!
      cheapest[s] = lowest
      bound = problem.slowest ? Math.max(bound, lowest) : bound + lowest
      if (bound >= worst()) return ANY
      if (alive / blame[s]! < fewest) {
        fewest = alive / blame[s]!
        pick = s
      }
    }
    const me = bit(pick)
    const rest = open.filter((s) => s !== pick)
    const order = [...least[pick]!.keys()].filter((c) => least[pick]![c]! < Infinity).sort((a, b) => least[pick]![a]! - least[pick]![b]!)
    let conflict = by[pick]!
    for (const c of order) {
      chosen[pick] = c
      const fault = tryOne(c)
      chosen[pick] = -1
      if (probing && found.length) return ANY
      if (fault !== ANY && !(fault & me)) return fault
      conflict = fault === ANY || conflict === ANY ? ANY : conflict | (fault & ~me)
    }
    return conflict

    /** Goes on with one candidate chosen; its own bit is among the blamed when another candidate might do. */
    function tryOne(c: number): bigint {
      const seller = problem.parcel?.(pick, c)
      const sent = !inTurn && seller !== undefined && parcels[seller] === 0 ? (problem.parcelCost?.[seller] ?? 0) : 0
      let cost = problem.slowest ? Math.max(base, least[pick]![c]!) : base + least[pick]![c]! + sent
      for (const [k, g] of groups.entries()) {
        if (!g.slots.includes(pick) || !g.slots.every((s) => chosen[s]! >= 0)) continue
        const more = g.cost(g.slots.map((s) => chosen[s]!))
        if (more === Infinity) {
          state.inTheWay[k]!++
          for (const s of g.slots) blame[s]!++
          return g.slots.reduce((bits, s) => bits | bit(s), 0n)
        }
        cost = problem.slowest ? cost : cost + more
      }
      // What the open slots cost at their cheapest, with this one chosen.
      let others = 0
      for (const s of rest) others = problem.slowest ? Math.max(others, cheapest[s]!) : others + cheapest[s]!
      const atLeast = (more: number) => (problem.slowest ? Math.max(cost, more) : cost + more)
      if (atLeast(others) >= worst()) return ANY
      const next = [...least]
      const ruledBy = [...by]
      for (const s of rest) {
        const costs = between(pick, c, s)
        if (!costs) continue
        const row = Float64Array.from(least[s]!)
        // Dearer than this, a candidate is in no set that is wanted: what it makes with the one chosen need not be known.
        const room = problem.slowest ? worst() : worst() - cost - (others - cheapest[s]!)
        let lowest = Infinity
        let ruled = false
        for (let k = 0; k < row.length; k++) {
          const was = row[k]!
          if (was === Infinity) continue
          const more = was >= room ? 0 : costs(k)
          if (more === Infinity) ruled = true
          row[k] = problem.slowest && more < Infinity ? was : was + more
          if (row[k]! < lowest) lowest = row[k]!
        }
        if (ruled) ruledBy[s]! |= me
        if (lowest === Infinity) return ruledBy[s]!
        next[s] = row
        if (!problem.slowest) others += lowest - cheapest[s]!
        if (atLeast(problem.slowest ? lowest : others) >= worst()) return ANY
      }
      if (seller !== undefined) parcels[seller]!++
      const fault = descend(next, ruledBy, cost, rest)
      if (seller !== undefined) parcels[seller]!--
      return fault
    }
  }

  /**
   * A quick look for sets that are good, if not the best: slot by slot the cheapest that goes with those before. What they cost spares the
   * search all that is dearer; nothing is concluded from finding none.
   */
  function dive(rows: readonly Float64Array[], base: number): void {
    const alive = rows.map((row) => [...row.keys()].filter((c) => row[c]! < Infinity).sort((a, b) => row[a]! - row[b]!))
    const slots = [...rows.keys()].sort((a, b) => alive[a]!.length - alive[b]!.length)
    let tries = DIVE
    /** @returns whether that is enough */
    const go = (depth: number, cost: number): boolean => {
      if (depth === n) {
        if (cost < worst()) insert(cost)
        return found.length >= keep
      }
      const s = slots[depth]!
      for (const c of alive[s]!) {
        if (--tries < 0) return true
        chosen[s] = c
        const more = asked(rows, s, c, cost)
        if (more < worst()) {
          const seller = problem.parcel?.(s, c)
          if (seller !== undefined) parcels[seller]!++
          const enough = go(depth + 1, more)
          if (seller !== undefined) parcels[seller]!--
          if (enough) return true
        }
      }
      chosen[s] = -1
      return false
    }
    go(0, base)
    chosen.fill(-1)
    parcels.fill(0)
  }

  /** What it costs once a candidate stands beside those chosen before it. */
  function asked(rows: readonly Float64Array[], s: number, c: number, cost: number): number {
    const seller = problem.parcel?.(s, c)
    const sent = !inTurn && seller !== undefined && parcels[seller] === 0 ? (problem.parcelCost?.[seller] ?? 0) : 0
    let total = problem.slowest ? Math.max(cost, rows[s]![c]!) : cost + rows[s]![c]! + sent
    const add = (more: number) => (total = problem.slowest && more < Infinity ? total : total + more)
    for (let t = 0; t < n && total < Infinity; t++) if (t !== s && chosen[t]! >= 0) add(between(t, chosen[t]!, s)?.(c) ?? 0)
    for (const g of groups)
      if (total < Infinity && g.slots.includes(s) && g.slots.every((t) => chosen[t]! >= 0)) add(g.cost(g.slots.map((t) => chosen[t]!)))
    return total
  }

  const first = problem.sizes.map((size, s) => Float64Array.from({ length: size }, (_, c) => problem.own(s, c)))
  const all = [...first.keys()]
  const none = () => new Array<bigint>(n).fill(0n)
  if (!first.every((row) => row.length)) return { sets: found, ...state }
  if (!inTurn) {
    dive(first, 0)
    descend(first, none(), 0, all)
  } else {
    const choices = parcelChoices(problem, first)
    for (const { rows, cost } of choices.slice(0, DIVES)) if (found.length < keep) dive(rows, cost)
    if (!found.length) {
      // With every seller allowed: is there any set at all? Otherwise no choice of parcels has one either.
      probing = true
      descend(first, none(), 0, all)
      probing = false
      if (!found.length) return { sets: found, ...state }
      found.length = 0
    }
    for (const { rows, cost } of choices) descend(rows, none(), cost, all)
  }
  return { sets: found, ...state }
}

/** Candidates a quick look tries at most, and choices of parcels it is taken under. [ours] */
const DIVE = 300
const DIVES = 4

/** Not to be blamed on particular slots. */
const ANY = -1n
/** A slot among others in a set of them; there may be more slots than a number has bits. */
const bit = (slot: number): bigint => 1n << BigInt(slot)

/** Up to this many sellers every choice of parcels is tried: 4096 outlooks. */
const MOST_SELLERS = 12

/** Every choice of sellers with what can be had from them alone, what their parcels cost, and the cheapest outlook first. */
function parcelChoices({ parcel, parcelCost = [] }: SetProblem, first: readonly Float64Array[]): { rows: Float64Array[]; cost: number }[] {
  const choices: { rows: Float64Array[]; cost: number; outlook: number }[] = []
  for (let mask = 0; mask < 1 << parcelCost.length; mask++) {
    const cost = parcelCost.reduce((sum, c, k) => sum + (mask & (1 << k) ? c : 0), 0)
    const rows = first.map((row, s) =>
      row.map((v, c) => {
        const seller = parcel?.(s, c)
        return seller === undefined || mask & (1 << seller) ? v : Infinity
      }),
    )
    const outlook = cost + rows.reduce((sum, row) => sum + Math.min(...row), 0)
    if (outlook < Infinity) choices.push({ rows, cost, outlook })
  }
  return choices.toSorted((a, b) => a.outlook - b.outlook)
}

/** What a candidate costs with each of another slot, each reckoned when first asked for; nothing where the two slots never meet. */
function pairCosts({ sizes, pair, meets }: SetProblem): (a: number, i: number, b: number) => ((j: number) => number) | undefined {
  const rows = new Map<number, (j: number) => number>()
  const n = sizes.length
  const widest = Math.max(1, ...sizes)
  return (a, i, b) => {
    if (meets && !meets(a, b)) return undefined
    const key = (a * n + b) * widest + i
    const there = rows.get(key)
    if (there) return there
    const known = new Float64Array(sizes[b]!).fill(NaN)
    const cost = (j: number) => {
      const it = known[j]!
      if (!Number.isNaN(it)) return it
      return (known[j] = a < b ? pair(a, i, b, j) : pair(b, j, a, i))
    }
    rows.set(key, cost)
    return cost
  }
}
