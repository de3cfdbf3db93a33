import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import type { JudgedJoint } from '../../judge/joint'
import type { Slot } from '../../parts/slots'
import { leadDays, type StockItem } from '../../parts/stock'
import { changed, fullBuild } from '../../testing/fullBuild'
import { seeded } from '../../testing/setProblems'
import { JOINT_KINDS } from '../findJoints'
import { existsIn } from '../kind'
import { canDo } from './benchTools'
import { chooseSets, type ChooseLimits, type ChooseRequest } from './chooseSets'

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
  return slots.map((slot) => {
    const { size, by } = DIFFERS[slot]!
    const items = Array.from({ length: 2 + whole(2) }, (_none, i): StockItem => {
      const own = fullBuild().parts[slot]!
      const part = changed(fullBuild(), { [`${slot}/${size}`]: own.sizes[size]!.value + by[whole(by.length)]! }).parts[slot]!
      const stash = r() < 0.25
      const { seller: _, ...rest } = part
      return {
        id: `${slot}-${i}`,
        part: { ...rest, name: `${slot} ${i}`, price: 5 + whole(40), ...(r() < 0.85 ? { seller: SELLERS[whole(3)]! } : {}) },
        holding: stash ? 'stash' : 'offer',
        quantity: 1,
        reserved: {},
        ...(r() < 0.9 ? { shipping: whole(9) } : {}),
        ...(stash ? {} : { lead: r() < 0.5 ? { promised: 1 + whole(30) } : { promised: 2, seen: 1 + whole(30) } }),
      }
    })
    return { slot, items, ...(r() < 0.5 ? { preferred: items[whole(items.length)]!.id } : {}) }
  })
}

const costOf = (i: StockItem) => (i.holding === 'stash' ? 0 : i.part.price!)
const sellerOf = (i: StockItem) => (i.holding === 'offer' ? i.part.seller : undefined)

function minutesOf(joint: JudgedJoint, build: Build, limits: ChooseLimits): number {
  const coated = build.parts.body!.traits.surface === 'coated'
  const can = joint.cures.some((c) => !(limits.noCuttingFinished && c.gives === 'body' && coated) && canDo(c.tools, limits.lacking ?? []))
  if (joint.verdict === 'tight' && joint.cures.length && !can) return Infinity
  const bad = joint.checks.some((c) => c.raw.verdict === 'cant-tell' && c.raw.chances.snug + c.raw.chances.loose <= 0.1)
  return joint.verdict === 'cant-tell' && bad ? 40 : VERDICT_MINUTES[joint.verdict]
}

interface Whole {
  ids: string[]
  money: number
  days: number
  minutes: number
  goal: number
}

/** The joints of a set do not hang on limits: they are judged once. */
type Judged = Map<string, JudgedJoint[]>

function everySet({ build, open, limits, rank }: ChooseRequest, known: Judged): Whole[] {
  const postage = new Map<string, number>()
  // A parcel of what is out of the question costs nothing.
  const thinkable = (i: StockItem) =>
    !(limits.days !== undefined && leadDays(i) > limits.days) &&
    !(limits.money !== undefined && costOf(i) + (i.shipping ?? 0) > limits.money + 1e-9)
  for (const i of open.flatMap((o) => o.items).filter(thinkable))
    if (i.part.seller) postage.set(i.part.seller!, Math.max(postage.get(i.part.seller!) ?? 0, i.shipping ?? 0))
  let sets: StockItem[][] = [[]]
  for (const o of open) sets = sets.flatMap((s) => o.items.map((i) => [...s, i]))
  return sets.flatMap((items): Whole[] => {
    if (!items.every(thinkable)) return []
    const parts = { ...build.parts, ...Object.fromEntries(items.map((i, k) => [open[k]!.slot, i.part])) }
    const whole: Build = { ...build, parts }
    const touched = new Set(open.map((o) => o.slot))
    const ids = items.map((i) => i.id)
    const joints =
      known.get(ids.join()) ??
      JOINT_KINDS.filter((k) => existsIn(k, whole) && [...k.needs, ...(k.also ?? [])].some((s) => touched.has(s))).map((k) => k.find(whole))
    known.set(ids.join(), joints)
    const minutes = joints.reduce((sum, j) => sum + minutesOf(j, whole, limits), 0)
    if (minutes === Infinity) return []
    const sent = [...new Set(items.flatMap((i) => sellerOf(i) ?? []))].reduce((sum, s) => sum + postage.get(s)!, 0)
    const cost = items.reduce((sum, i) => sum + costOf(i), 0)
    const money = cost + sent
    if (limits.money !== undefined && money > limits.money + 1e-9) return []
    const liked = items.filter((i, k) => open[k]!.preferred !== undefined && open[k]!.preferred !== i.id).length * PREFERENCE
    const days = Math.max(0, ...items.map(leadDays))
    const goal = { money: money + liked + minutes * TIE, bench: minutes + liked + money * TIE, date: days }[rank]
    return [{ ids, money, days, minutes, goal }]
  })
}

describe('choosing gives what going through every set gives', () => {
  const cases = Array.from({ length: 30 }, (_, k) => k)
  it.each(cases)('market %i', (k) => {
    const r = seeded(1000 + k)
    const rank = (['money', 'bench', 'date'] as const)[k % 3]!
    const open = market(r)
    const raw = r() < 0.4
    const build = raw ? changed(fullBuild(), {}, { 'body/surface': 'raw' }) : fullBuild()
    const known: Judged = new Map()
    const free = everySet({ build, open, limits: {}, rank }, known)
    const limits: ChooseLimits = {
      ...(r() < 0.4 && free.length ? { money: free[Math.floor(r() * free.length)]!.money } : {}),
      ...(r() < 0.3 ? { days: 20 } : {}),
      ...(r() < 0.3 ? { noCuttingFinished: true } : {}),
      ...(r() < 0.3 ? { lacking: ['file', 'router'] as never } : {}),
    }
    const request: ChooseRequest = { build, open, limits, rank, keep: 4 }
    const all = everySet(request, known).toSorted((a, b) => a.goal - b.goal)
    const { sets, complete } = chooseSets(request)
    expect(complete).toBe(true)
    expect(sets).toHaveLength(Math.min(4, all.length))
    for (const [n, set] of sets.entries()) {
      const same = all.find((s) => s.ids.join() === set.items.map((i) => i.item.id).join())!
      expect(same, `set ${n}`).toBeDefined()
      // Sets as good as each other may come in any order.
      expect(same.goal).toBeCloseTo(all[n]!.goal, 9)
      expect([set.money, set.days, set.minutes]).toEqual([expect.closeTo(same.money, 9), same.days, same.minutes])
      expect(set.parcels.reduce((sum, p) => sum + p.cost, 0)).toBeCloseTo(set.money - set.items.reduce((s, i) => s + costOf(i.item), 0), 9)
      for (const j of set.joints) expect(j.job === undefined, j.id).toBe(j.verdict === 'snug' || j.job === undefined)
    }
  })
})
