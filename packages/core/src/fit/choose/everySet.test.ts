import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { applyChange } from '../../document/change'
import { choosePart } from '../../document/changes'
import type { JudgedJoint } from '../../judge/joint'
import type { Part } from '../../parts/part'
import type { Slot } from '../../parts/slots'
import type { StockItem } from '../../parts/stock'
import { changed, fullBuild } from '../../testing/fullBuild'
import { seeded } from '../../testing/setProblems'
import { JOINT_KINDS } from '../jointKinds'
import { existsIn } from '../kind'
import { canDo } from './benchTools'
import { chooseSets } from './chooseSets'
import type { ChooseLimits, ChooseRequest } from './request'

/** Choosing against going through every set there is, over drawn markets, limits and ranks. */

const VERDICT_MINUTES = { snug: 0, loose: 10, tight: 30, 'cant-tell': 20, 'wont-go': Infinity }
const PREFERENCE = 15
const TIE = 1e-4

/** What differs between the candidates of a slot, from fitting to what will not go. */
const DIFFERS: Partial<Record<Slot, { size: string; by: number[] }>> = {
  bridge: { size: 'studSpacing', by: [0, 0.9, 1.6, 0] },
  guard: { size: 'opening.neck.centre', by: [0, 3.2, 0.1] },
  nut: { size: 'width', by: [0, 0.15, -0.4, 3] },
  neck: { size: 'heel.widthMouth', by: [0, 0.4, 0.3, 2] },
  'pot-volume': { size: 'bushing.length', by: [0, 3.1, 12] },
  tuners: { size: 'housing.width', by: [0, 0.9, 0.1] },
  'pickup-bridge': { size: 'depth', by: [0, 1.5, 14] },
  jack: { size: 'bore', by: [0, 0.6] },
}
const SLOTS = Object.keys(DIFFERS) as Slot[]
const SELLERS = ['Capstan Hardware', 'Old Ropewalk Parts', 'Low Tide Plastics']

function market(r: () => number): ChooseRequest['open'] {
  const whole = (n: number) => Math.floor(r() * n)
  const slots = SLOTS.map((slot) => ({ slot, at: r() }))
    .toSorted((a, b) => a.at - b.at)
    .slice(0, 3)
    .map((s) => s.slot)
  // What is in the stash or on offer of a kind may go into each of its slots.
  const pots = r() < 0.4 && !slots.includes('pot-volume')
  if (pots) slots.splice(0, 2, 'pot-volume', 'pot-tone')
  const made = new Map<Slot, StockItem[]>()
  return slots.map((slot) => {
    const items = pots && slot === 'pot-tone' ? made.get('pot-volume')! : itemsOf(slot)
    made.set(slot, items)
    return { slot, items, ...(r() < 0.5 ? { preferred: items[whole(items.length)]!.id } : {}) }
  })

  function itemsOf(slot: Slot): StockItem[] {
    const { size, by } = DIFFERS[slot]!
    return Array.from({ length: 2 + whole(2) }, (_none, i): StockItem => {
      const own = fullBuild().parts[slot]!
      const part = changed(fullBuild(), { [`${slot}/${size}`]: own.sizes[size]!.value + by[whole(by.length)]! }).parts[slot]!
      const stash = r() < 0.25
      const { seller: _, price: __, ...rest } = part
      return {
        id: `${slot}-${i}`,
        part: {
          ...rest,
          name: `${slot} ${i}`,
          ...(r() < 0.85 ? { price: 5 + whole(40) } : {}),
          ...(r() < 0.85 ? { seller: SELLERS[whole(3)]! } : {}),
        },
        holding: stash ? 'stash' : 'offer',
        quantity: 1 + whole(2),
        reserved: r() < 0.2 ? { 'another build': 1, mine: 1 } : {},
        ...(r() < 0.9 ? { shipping: whole(9) } : {}),
        ...(stash || r() < 0.15 ? {} : { lead: r() < 0.6 ? { promised: 1 + whole(30) } : { promised: 10, seen: 1 + whole(30) } }),
      }
    })
  }
}

/** In two of three markets what is there may stay, and a job is planned on it; in every other of those the same job is done on another part too. */
function planned(build: Build, open: ChooseRequest['open'], k: number): { build: Build; open: ChooseRequest['open'] } {
  if (k % 3 === 0) return { build, open }
  const [one, other] = open.map(({ slot }) => ({ slot, size: DIFFERS[slot]?.size ?? 'bushing.length', delta: 0.4, doubt: 0.1 }))
  const jobs = { x: { ...one!, text: 'A little more', ...(k % 2 ? { also: [other!] } : {}) } }
  const here = open.map(({ slot, items, ...rest }): ChooseRequest['open'][number] => ({
    slot,
    items: [{ id: `here-${slot}`, part: build.parts[slot]!, holding: 'stash', quantity: 1, reserved: {} }, ...items],
    ...rest,
  }))
  return { build: { ...build, jobs }, open: here }
}

const costOf = (i: StockItem) => (i.holding === 'stash' ? 0 : i.part.price)
const freeTo = (i: StockItem) => (i.holding === 'stash' ? i.quantity - (i.reserved['another build'] ?? 0) : Infinity)
/** What was seen, or what was promised times what the seller's others took over what was promised of them. */
function daysOf(i: StockItem, all: readonly StockItem[]): number | undefined {
  if (i.holding === 'stash') return 0
  if (i.lead?.seen !== undefined || !i.lead) return i.lead?.seen
  const others = [...new Set(all)].filter(
    (o) => o.part.seller !== undefined && o.part.seller === i.part.seller && o.lead?.seen !== undefined,
  )
  const promised = others.reduce((s, o) => s + o.lead!.promised, 0)
  const took = others.reduce((s, o) => s + o.lead!.seen!, 0)
  // Two more of the usual length, 1.3 times as long on the way.
  const two = others.length ? (2 * promised) / others.length : 1
  const slip = (took + 1.3 * two) / (promised + two)
  return Math.ceil(i.lead.promised * slip - 1e-9)
}
const sellerOf = (i: StockItem) => (i.holding === 'offer' ? i.part.seller : undefined)

/** The build once these parts are taken, as a person takes them. */
const taken = (build: Build, parts: readonly (readonly [Slot, Part])[]): Build =>
  parts.reduce((b, [slot, part]) => (b.parts[slot] === part ? b : applyChange(b, choosePart(b, slot, part))), build)

function minutesOf(joint: JudgedJoint, build: Build, limits: ChooseLimits, replanned: boolean): number {
  const coated = build.parts.body!.traits.surface === 'coated'
  if (joint.verdict === 'wont-go' && replanned) {
    const inTheWay = joint.checks.filter((c) => c.raw.verdict === 'wont-go')
    const goes = inTheWay.every(({ cures }) =>
      cures.some(({ plan, gives, tools }) => {
        const cutsBody = coated && (gives === 'body' || plan?.slot === 'body' || plan?.also?.some((e) => e.slot === 'body'))
        return plan && !gives.startsWith('the ') && !(limits.noCuttingFinished && cutsBody) && canDo(tools, limits.lacking ?? [])
      }),
    )
    return goes ? 60 * inTheWay.length : Infinity
  }
  const can = joint.cures.some((c) => !(limits.noCuttingFinished && c.gives === 'body' && coated) && canDo(c.tools, limits.lacking ?? []))
  if (joint.verdict === 'tight' && joint.cures.length && !can) return Infinity
  const bad = joint.checks.some((c) => c.raw.verdict === 'cant-tell' && c.raw.chances.snug + c.raw.chances.loose <= 0.1)
  return joint.verdict === 'cant-tell' && bad ? 40 : VERDICT_MINUTES[joint.verdict]
}

interface Whole {
  ids: string[]
  money: number
  unpriced: number
  days: number
  undated: number
  minutes: number
  goal: number
  /** Kinds of joints that go only after a larger job. */
  larger: string[]
}

/** The joints of a set do not hang on limits: they are judged once. */
type Judged = Map<string, JudgedJoint[]>

function everySet({ build, open, limits, rank }: ChooseRequest, known: Judged, replanned = false): Whole[] {
  const postage = new Map<string, number>()
  // A parcel of what is out of the question costs nothing.
  const all = open.flatMap((o) => o.items)
  const thinkable = (i: StockItem) =>
    freeTo(i) >= 1 &&
    !(limits.days !== undefined && (daysOf(i, all) ?? Infinity) > limits.days) &&
    !(limits.money !== undefined && (costOf(i) ?? Infinity) + (i.holding === 'stash' ? 0 : (i.shipping ?? 0)) > limits.money + 1e-9)
  for (const i of all.filter(thinkable))
    if (i.part.seller) postage.set(i.part.seller!, Math.max(postage.get(i.part.seller!) ?? 0, i.shipping ?? 0))
  let sets: StockItem[][] = [[]]
  for (const o of open) sets = sets.flatMap((s) => o.items.map((i) => [...s, i]))
  return sets.flatMap((items): Whole[] => {
    if (!items.every((i) => thinkable(i) && items.filter((x) => x.id === i.id).length <= freeTo(i))) return []
    const whole = taken(
      build,
      items.map((i, k) => [open[k]!.slot, i.part] as const),
    )
    const touched = new Set(open.map((o) => o.slot))
    const ids = items.map((i) => i.id)
    const joints =
      known.get(ids.join()) ??
      JOINT_KINDS.filter((k) => existsIn(k, whole) && [...k.needs, ...(k.also ?? [])].some((s) => touched.has(s))).map((k) => k.find(whole))
    known.set(ids.join(), joints)
    const minutes = joints.reduce((sum, j) => sum + minutesOf(j, whole, limits, replanned), 0)
    if (minutes === Infinity) return []
    const sent = [...new Set(items.flatMap((i) => sellerOf(i) ?? []))].reduce((sum, s) => sum + postage.get(s)!, 0)
    const money = items.reduce((sum, i) => sum + (costOf(i) ?? 0), 0) + sent
    // A price nobody named weighs as much as the dearest there is for that slot.
    const reckoned = items.reduce((sum, i, k) => {
      const named = open[k]!.items.filter(thinkable).map((x) => costOf(x) ?? 0)
      return sum + (costOf(i) ?? Math.max(0, ...named))
    }, sent)
    if (limits.money !== undefined && money > limits.money + 1e-9) return []
    const liked = items.filter((i, k) => open[k]!.preferred !== undefined && open[k]!.preferred !== i.id).length * PREFERENCE
    const came = items.map((i) => daysOf(i, all))
    const days = Math.max(0, ...came.map((d) => d ?? 0))
    const undated = came.filter((d) => d === undefined).length
    const unpriced = items.filter((i) => costOf(i) === undefined).length
    const goal = { money: reckoned + liked + minutes * TIE, bench: minutes + liked + reckoned * TIE, date: undated ? 10_000 : days }[rank]
    const larger = joints.filter((j) => j.verdict === 'wont-go').map((j) => j.id)
    return [{ ids, money, unpriced, days, undated, minutes, goal, larger }]
  })
}

describe('choosing gives what going through every set gives', () => {
  const cases = Array.from({ length: 60 }, (_, k) => k)
  it.each(cases)('market %i', (k) => {
    const r = seeded(1000 + k)
    const rank = (['money', 'bench', 'date'] as const)[k % 3]!
    const bought = market(r)
    const raw = r() < 0.4
    const { build, open } = planned(raw ? changed(fullBuild(), {}, { 'body/surface': 'raw' }) : fullBuild(), bought, k)
    const known: Judged = new Map()
    const free = everySet({ build, open, limits: {}, rank }, known)
    const limits: ChooseLimits = {
      ...(r() < 0.4 && free.length ? { money: free[Math.floor(r() * free.length)]!.money } : {}),
      ...(r() < 0.3 ? { days: 20 } : {}),
      ...(r() < 0.3 ? { noCuttingFinished: true } : {}),
      ...(r() < 0.3 ? { lacking: ['file', 'router'] as never } : {}),
    }
    const request: ChooseRequest = { build, buildId: 'mine', open, limits, rank, keep: 4 }
    const asTheyAre = everySet(request, known)
    const every = asTheyAre.length ? asTheyAre : everySet(request, known, true)
    const choice = chooseSets(request)
    expect(choice.complete).toBe(true)
    const sets = asTheyAre.length ? choice.sets : (choice.replanned ?? [])
    expect(choice.sets).toHaveLength(Math.min(4, asTheyAre.length))
    if (asTheyAre.length) expect(choice.replanned).toBeUndefined()
    if (every.length) expect(sets.length).toBeGreaterThan(0)
    // The larger jobs that were let in, and no others: of the sets that ask for no more than those these are the best.
    const larger = new Set(sets.flatMap((s) => s.joints.filter((j) => j.verdict === 'wont-go').map((j) => j.id)))
    const all = every.filter((s) => s.larger.every((id) => larger.has(id))).toSorted((a, b) => a.goal - b.goal)
    expect(sets).toHaveLength(Math.min(4, all.length))
    for (const [n, set] of sets.entries()) {
      const same = all.find((s) => s.ids.join() === set.items.map((i) => i.item.id).join())!
      expect(same, `set ${n}`).toBeDefined()
      // Sets as good as each other may come in any order.
      expect(same.goal).toBeCloseTo(all[n]!.goal, 9)
      expect([set.money, set.unpriced, set.days, set.undated, set.minutes]).toEqual([
        expect.closeTo(same.money, 9),
        same.unpriced,
        same.days,
        same.undated,
        same.minutes,
      ])
      // As it is told, so it is once it is taken.
      const whole = taken(
        build,
        set.items.map(({ slot, item }) => [slot, item.part] as const),
      )
      for (const told of set.joints) {
        const joint = JOINT_KINDS.find((kind) => kind.id === told.id)!.find(whole)
        expect([told.id, told.verdict, told.says]).toEqual([joint.id, joint.verdict, joint.says])
      }
      const parts = set.items.reduce((s, i) => s + (costOf(i.item) ?? 0), 0)
      expect(set.parcels.reduce((sum, p) => sum + (p.cost ?? 0), 0)).toBeCloseTo(set.money - parts, 9)
      for (const j of set.joints) expect(j.job === undefined, j.id).toBe(j.verdict === 'snug' || j.job === undefined)
    }
  })
})
