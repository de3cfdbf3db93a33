import { closingOf, mostOf, type Closing } from './closing'
import type { Build } from '../document/build'
import { dryingIn } from '../physics/drying'
import { addDays, weekday } from '../quantity/days'
import { areaOfZones, areaToCoat } from './cover'
import { hourOf, mayCoatAt } from './forecast'
import { nextOver } from './follows'
import type { Layer } from './stack'
import { coatsStep, facesOf, laidOf } from './laid'
import { coatId, isLastWax, zoneGroups, type ZoneGroup } from './zones'

/** One coat on one evening. */
export interface Coat {
  id: string
  /** Zones that are coated with it: "whole", or the one with a stack of its own. */
  group: string
  groupLabel: string
  /** Layer within the group's stack. */
  layer: string
  /** Step of the plan it is ticked with. */
  step: string
  product: string
  label: string
  /** Number within its layer, from 1. */
  number: number
  /** The second side, where it lies and one side waits for the other. */
  face?: 'back'
  date: string
  /** Minutes after the evening's start. */
  starts: number
  hands: number
  /** When it was really laid. */
  laid?: string
  note?: string
}

/** What a group's coats come to. */
export interface GroupPlan {
  id: string
  label: string
  lastCoat: string
  /** First day to rub out, counted from the last coat: as it was laid, or as it is planned. */
  rubOut: string
  closing: Closing
  allLaid: boolean
}

export interface CoatPlan {
  coats: Coat[]
  groups: GroupPlan[]
  /** First day to rub out all of it. */
  rubOut: string
  closing: Closing
  lastCoat: string
  /** Every coat that is rubbed out is laid. */
  allLaid: boolean
  /** Evenings used. */
  evenings: number
}

/** A calendar, or the sentence that says why none can be made. */
export type CoatCalendar = { ok: true; plan: CoatPlan } | { ok: false; why: string }

const MINUTES_A_DAY = 24 * 60
/** Evenings are taken to start at six. [ours] */
export const EVENING = 18 * 60
const LONGEST_SEARCH = 365
/** No coat takes less than this, however small the zone, minutes. [ours] */
const LEAST_HANDS = 5

const minuteOf = (iso: string, m: number) => Math.round(Date.parse(`${iso}T00:00:00Z`) / 60000) + EVENING + m
/** The wall clock as it was written down, in the same count. */
const minuteAt = (at: string) => Math.round(Date.parse(`${at.slice(0, 16)}:00Z`) / 60000)

/** The wait from one layer to the next, minutes at 20 C: what is sanded, or carries a transfer or wax, is hard first. */
export function waitBetween(below: Layer, above: Layer): number {
  if (below === above || below.product === above.product) return below.recoat
  const cure = nextOver([below.medium], above.medium)?.follow === 'cure' ? below.cure.to * MINUTES_A_DAY : 0
  const hard = below.sanding || above.name === 'wax' || above.name === 'decal' ? (below.beforeSanding ?? 0) : 0
  return Math.max(below.recoat, below.handle, hard, cure)
}

/** Minutes of hands already given away, by evening. */
type Taken = Map<string, { from: number; to: number }[]>

/**
 * Lays the coats on the person's evenings: those that are laid stand where they were laid; every other waits from the end of the last one,
 * as long as the label says in the air that was, and comes on the first evening with time that neither bites nor wrinkles. Zones with a
 * stack of their own have waits of their own and share only the hands.
 * @param from no coat before this day: today, or when the wood is ready
 * @returns the plan, or why there can be none
 */
export function coatPlan(build: Build, from = build.finish.start): CoatCalendar {
  const groups = zoneGroups(build)
  if (!groups.length) return { ok: false, why: 'No finish is chosen yet: each asks for other lungs, rooms, weather and weeks.' }
  const first = from > build.finish.start ? from : build.finish.start
  const area = areaToCoat(build)
  const taken: Taken = new Map()
  const coats: Coat[] = []
  const plans: GroupPlan[] = []
  for (const group of groups) {
    const share = Math.min(1, areaOfZones(area, group.zones) / area.total)
    const laid = layGroup(build, group, share, first, taken)
    if (!laid.ok) return laid
    coats.push(...laid.coats)
    plans.push(laid.plan)
  }
  coats.sort((a, b) => (a.date === b.date ? a.starts - b.starts : a.date < b.date ? -1 : 1))
  const latest = (key: 'lastCoat' | 'rubOut') => plans.map((p) => p[key]).reduce((a, b) => (a > b ? a : b))
  return {
    ok: true,
    plan: {
      coats,
      groups: plans,
      lastCoat: latest('lastCoat'),
      rubOut: latest('rubOut'),
      closing: mostOf(plans.map((p) => p.closing)),
      allLaid: plans.every((p) => p.allLaid),
      evenings: new Set(coats.map((c) => c.date)).size,
    },
  }
}

interface Last {
  end: number
  layer: Layer
  air: { air?: number; humidity?: number }
}

function layGroup(
  build: Build,
  group: ZoneGroup,
  share: number,
  first: string,
  taken: Taken,
): { ok: true; coats: Coat[]; plan: GroupPlan } | { ok: false; why: string } {
  const room = build.finish.drying ?? build.finish.weather
  const longest = Math.max(...build.evenings)
  const faces = facesOf(build, group.zones)
  const handsOf = (l: Layer) => Math.max(LEAST_HANDS, Math.ceil((l.hands * share) / faces.length))
  const hands = Math.max(...group.layers.map(handsOf))
  const slow = (last: Last) => dryingIn({ air: last.air.air ?? room.air, humidity: last.air.humidity ?? room.humidity })
  const coats: Coat[] = []
  let date = first
  let clock = 0
  let last: Last | undefined
  /** The last coat on each face: a face is coated again by its own. */
  const lastOn = new Map<'back' | undefined, Last>()
  for (const layer of group.layers)
    for (let n = 1; n <= layer.coats; n++)
      for (const face of faces) {
        const id = coatId(group.id, layer.key, n, face)
        const base = {
          id,
          group: group.id,
          groupLabel: group.label,
          layer: layer.key,
          step: coatsStep(layer.key, group.id),
          product: layer.product,
          label: layer.label,
          number: n,
          hands: handsOf(layer),
          ...(face ? { face } : {}),
        }
        const done = laidOf(build, id, layer, group.id)
        if (done) {
          const at = minuteAt(done.at)
          const day = done.at.slice(0, 10)
          coats.push({ ...base, date: day, starts: Math.max(0, at - minuteOf(day, 0)), laid: done.at })
          last = { end: Math.max(last?.end ?? -Infinity, at), layer, air: done }
          lastOn.set(face, last)
          continue
        }
        if (longest < hands)
          return {
            ok: false,
            why: `No evening is long enough for one coat: it takes ${hands} minutes and the longest evening has ${longest}.`,
          }
        const own = lastOn.get(face)
        // Turned over, it must not stick to what it lies on.
        const turning = last && last !== own ? last.end + Math.max(last.layer.recoat, last.layer.handle) * slow(last) : -Infinity
        const earliest = Math.max(turning, own ? own.end + waitBetween(own.layer, layer) * slow(own) : -Infinity)
        const bad =
          own?.layer === layer && layer.forbidden ? ([own.end + layer.forbidden[0], own.end + layer.forbidden[1]] as const) : undefined
        const found = findTime(build, layer, base.hands, { date, clock }, earliest, bad, taken)
        if (!found) return { ok: false, why: 'No evening within a year fits the next coat.' }
        date = found.date
        const { starts } = found
        const gap = own ? minuteOf(date, starts) - own.end : 0
        const late = own?.layer === layer && layer.keyAfter !== undefined && gap > layer.keyAfter
        coats.push({
          ...base,
          date,
          starts,
          ...(late ? { note: `Over ${Math.round(layer.keyAfter! / 60)} h since the last: scuff with P400 first.` } : {}),
        })
        taken.set(date, [...(taken.get(date) ?? []), { from: starts, to: starts + base.hands }])
        last = { end: minuteOf(date, starts + base.hands), layer, air: {} }
        lastOn.set(face, last)
        clock = starts + base.hands
      }
  // Wax goes on after the rub-out and takes no part in its wait.
  const rubbed = coats.filter((c) => !isLastWax(group, group.layers.find((l) => l.key === c.layer)!))
  const final = rubbed.at(-1) ?? coats.at(-1)!
  const under = group.layers.find((l) => l.key === final.layer)!
  const air = build.finish.laid?.[final.id]
  const hardens = (under.beforeSanding ?? 0) * dryingIn({ air: air?.air ?? room.air, humidity: air?.humidity ?? room.humidity })
  return {
    ok: true,
    coats,
    plan: {
      id: group.id,
      label: group.label,
      lastCoat: final.date,
      rubOut: addDays(final.date, Math.ceil(hardens / MINUTES_A_DAY)),
      closing: closingOf(under),
      allLaid: rubbed.every((c) => c.laid),
    },
  }
}

/** The first time for one coat: an evening with room for it, outside what is forbidden, taken, quiet or not fit for it. */
function findTime(
  build: Build,
  layer: Layer,
  hands: number,
  from: { date: string; clock: number },
  earliest: number,
  bad: readonly [number, number] | undefined,
  taken: Taken,
): { date: string; starts: number } | undefined {
  let { date, clock } = from
  const off = build.plan?.daysOff ?? []
  for (let looked = 0; looked <= LONGEST_SEARCH; looked++) {
    const evening = off.includes(date) ? 0 : (build.evenings[weekday(date)] ?? 0)
    clock = Math.ceil(Math.max(clock, earliest - minuteOf(date, 0)))
    while (clock + hands <= evening) {
      const next = after(build, layer, date, clock, hands, bad, taken)
      if (next === undefined) return { date, starts: clock }
      clock = next
    }
    date = addDays(date, 1)
    clock = 0
  }
  return undefined
}

/** When to look again, minutes of the evening, where a coat cannot begin now; nothing where it can. */
function after(
  build: Build,
  layer: Layer,
  date: string,
  clock: number,
  hands: number,
  bad: readonly [number, number] | undefined,
  taken: Taken,
): number | undefined {
  const at = minuteOf(date, clock)
  if (bad && at > bad[0] && at < bad[1]) return Math.ceil(bad[1] - minuteOf(date, 0))
  const other = taken.get(date)?.find((t) => clock < t.to && clock + hands > t.from)
  if (other) return other.to
  // The fan that draws the mist off is a machine too.
  const quiet = build.plan?.quiet
  if (quiet && layer.applied === 'spray' && inQuiet(quiet, EVENING + clock, hands)) return untilLoud(quiet, clock)
  if (build.finish.outdoors && layer.applied === 'spray') {
    for (const m of [EVENING + clock, EVENING + clock + hands - 1])
      if (mayCoatAt(build.finish.forecast, hourOf(date, m), layer) === false) return (Math.floor(m / 60) + 1) * 60 - EVENING
  }
  return undefined
}

const inQuiet = ({ from, to }: { from: number; to: number }, starts: number, hands: number): boolean => {
  const quietAt = (m: number) => (from <= to ? m >= from && m < to : m >= from || m < to)
  return Array.from({ length: hands }, (_, i) => (starts + i) % MINUTES_A_DAY).some(quietAt)
}

/** The first minute of the evening that is not quiet any more; after the evening where the quiet runs through the night. */
const untilLoud = ({ to }: { from: number; to: number }, clock: number): number => {
  const end = to - EVENING
  return end > clock ? end : MINUTES_A_DAY
}
