import {
  bestSets,
  bundled,
  chooseSets,
  doubtOfBuild,
  measureNext,
  measurer,
  measuringRound,
  newBuild,
  SLOTS,
  USUAL_TOOLS,
  type Build,
  type Slot,
  type StockItem,
} from '@snug/core'
import { heron } from '@snug/demo'
import highs from 'highs'
import { median, row } from './measure'

/** mulberry32: the same stash on every run. */
function seeded(seed: number) {
  let a = seed >>> 0
  return () => {
    a = (a + 0x6d2b79f5) >>> 0
    let t = Math.imul(a ^ (a >>> 15), 1 | a)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

const OPEN: Slot[] = [
  'body',
  'neck',
  'bridge',
  'guard',
  'pickup-neck',
  'pickup-bridge',
  'tuners',
  'nut',
  'pot-volume',
  'pot-tone',
  'jack',
  'neck-screws',
]
const CANDIDATES = 40

/** Forty variants of each of Heron's parts, every length moved a little, prices and sellers drawn. */
function market(build: Build): { slot: Slot; items: StockItem[] }[] {
  const r = seeded(11)
  return OPEN.map((slot) => ({
    slot,
    items: Array.from({ length: CANDIDATES }, (_, i) => {
      const own = build.parts[slot]!
      const sizes = Object.fromEntries(
        Object.entries(own.sizes).map(([k, s]) => [
          k,
          s.known === 'meter' ? s : { ...s, value: s.value + (r() - 0.5) * 0.8, doubt: Math.max(s.doubt, 0.1) },
        ]),
      )
      return {
        id: `${slot}-${i}`,
        part: {
          ...own,
          name: `${slot} ${i}`,
          price: Math.round(own.price! * (0.6 + r()) * 100) / 100,
          seller: `Seller ${Math.floor(r() * 8)}`,
          sizes,
        },
        holding: 'offer' as const,
        quantity: 1,
        reserved: {},
        shipping: 3 + Math.floor(r() * 8),
        lead: { promised: 2 + Math.floor(r() * 20) },
      }
    }),
  }))
}

/** Choosing: 12 slots x 40 candidates with every joint judged, and the same size of pairwise problem beside a general MILP solver. */
export async function benchChoose(): Promise<void> {
  const build = structuredClone(heron('2026-11-24', '2027-02-15', '2026-12-05'))
  // Around a guard that fits, so that there are sets to find.
  build.parts.guard!.sizes['opening.neck.centre']!.value = 31
  const open = market(build)
  const request = { build, open, limits: {}, rank: 'money' as const, keep: 3 }
  let found = 0
  const whole = await median(3, () => (found = chooseSets(request).sets.length))
  row('choose: 12 slots x 40 candidates, joints judged', whole, `${found} sets, proved best`)

  const r = seeded(5)
  const own = OPEN.map(() => Array.from({ length: CANDIDATES }, () => 5 + Math.floor(r() * 60)))
  const clash = OPEN.map(() =>
    OPEN.map(() => Array.from({ length: CANDIDATES }, () => Array.from({ length: CANDIDATES }, () => r() < 0.3))),
  )
  const mine = await median(3, () =>
    bestSets(
      { sizes: OPEN.map(() => CANDIDATES), own: (s, c) => own[s]![c]!, pair: (a, i, b, j) => (clash[a]![b]![i]![j] ? Infinity : 0) },
      1,
    ),
  )
  const best = bestSets(
    { sizes: OPEN.map(() => CANDIDATES), own: (s, c) => own[s]![c]!, pair: (a, i, b, j) => (clash[a]![b]![i]![j] ? Infinity : 0) },
    1,
  ).sets[0]
  const solver = await highs()
  const start = performance.now()
  const theirs = solver.solve(asMilp(own, clash), { time_limit: 60 })
  const took = performance.now() - start
  row('choose: pairwise problem of that size', mine, best ? `cost ${best.cost}` : 'no set')
  row(
    '  the same in a general MILP solver (WASM), at most 60 s',
    took,
    `${theirs.Status}, cost ${'ObjectiveValue' in theirs ? theirs.ObjectiveValue : '?'}; ours is ${(took / mine).toFixed(0)} times as fast`,
  )
}

function asMilp(own: number[][], clash: boolean[][][][]): string {
  const x = (s: number, c: number) => `x_${s}_${c}`
  const all = own.flatMap((row, s) => row.map((_, c) => x(s, c)))
  const rows = own.map((row, s) => `${row.map((_, c) => x(s, c)).join(' + ')} = 1`)
  own.forEach((ra, a) =>
    own.forEach((rb, b) => {
      if (b <= a) return
      // One row for a candidate and all it clashes with in another slot: tighter than pair by pair.
      ra.forEach((_, i) => {
        const out = rb.flatMap((__, j) => (clash[a]![b]![i]![j] ? [x(b, j)] : []))
        if (out.length) rows.push(`${x(a, i)} + ${out.join(' + ')} <= 1`)
      })
    }),
  )
  const goal = own.flatMap((row, s) => row.map((v, c) => `${v} ${x(s, c)}`))
  return `Minimize\n obj: ${goal.join(' + ')}\nSubject To\n${rows.map((r, i) => ` c${i}: ${r}`).join('\n')}\nBinary\n ${all.join(' ')}\nEnd\n`
}

/** What to measure next with some sixty sizes known only by listing. */
export async function benchMeasureNext(): Promise<void> {
  const build = structuredClone(heron('2026-11-24', '2027-02-15', '2026-12-05'))
  let unknown = 0
  for (const { slot } of SLOTS)
    for (const [key, s] of Object.entries(build.parts[slot]?.sizes ?? {}))
      if (unknown < 60 && s.known !== 'listed' && s.known !== 'meter') {
        build.parts[slot]!.sizes[key] = { ...s, known: 'listed', doubt: 0.6 }
        unknown++
      }
  row(
    `measure next with ${unknown} sizes known only by listing`,
    await median(5, () => measureNext(build)),
    `doubt ${doubtOfBuild(build).toFixed(1)}`,
  )
  const guessed = newBuild({ name: 'begun', handedness: 'right', strings: 6, scale: 648, start: 'bolt-guard-vibrato' }, '2026-11-24')
  row(
    'measure next for a build just begun, every size assumed',
    await median(5, () => measureNext(guessed)),
    `${measureNext(guessed).length} readings in ${measuringRound(guessed).length} bundles`,
  )
  await benchReadings(guessed)
}

/** The readings of one evening, each the one asked for next; what it moves is weighed anew, as the worker does. */
async function benchReadings(begun: Build): Promise<void> {
  const next = measurer()
  const times: number[] = []
  let build = begun
  for (let i = 0; i < 12; i++) {
    const start = performance.now()
    const [first] = bundled([...next(structuredClone(build), USUAL_TOOLS)].flat(), USUAL_TOOLS)
    times.push(performance.now() - start)
    const { ref, tool } = first!.readings[0]!
    const part = build.parts[ref.slot]!
    const value = part.sizes[ref.size]?.value ?? 10
    build = {
      ...build,
      parts: { ...build.parts, [ref.slot]: { ...part, sizes: { ...part.sizes, [ref.size]: { value, doubt: 0.05, known: tool } } } },
    }
  }
  const [opened, ...after] = times as [number, ...number[]]
  row('the same as it is opened, and after each of eleven readings', opened, `${after.map((t) => t.toFixed(0)).join(', ')} ms`)
}
