import type { Build, LaidCoat } from '../document/build'
import { dryingIn } from '../physics/drying'
import { addDays, weekday } from '../quantity/days'
import { layersOf } from './stack'
import type { Layer, LayerName } from './systems'

/** One coat on one evening. */
export interface Coat {
  id: string
  layer: LayerName
  label: string
  /** Number within its layer, from 1. */
  number: number
  date: string
  /** Minutes after the evening's start. */
  starts: number
  hands: number
  /** When it was really laid. */
  laid?: string
  note?: string
}

export interface CoatPlan {
  coats: Coat[]
  /** First day to rub out, counted from the last coat: as it was laid, or as it is planned. */
  rubOut: string
  lastCoat: string
  /** Every coat is laid. */
  allLaid: boolean
  /** Evenings used. */
  evenings: number
}

/** A calendar, or the sentence that says why none can be made. */
export type CoatCalendar = { ok: true; plan: CoatPlan } | { ok: false; why: string }

const MINUTES_A_DAY = 24 * 60
/** Evenings are taken to start at six. [ours] */
const EVENING = 18 * 60
const LONGEST_SEARCH = 365

/** Under which id the coats of a layer are ticked off in the plan. */
export const coatsStep = (layer: LayerName): string => `coats-${layer}`

const minuteOf = (iso: string, m: number) => Math.round(Date.parse(`${iso}T00:00:00Z`) / 60000) + EVENING + m
/** The wall clock as it was written down, in the same count. */
const minuteAt = (at: string) => Math.round(Date.parse(`${at.slice(0, 16)}:00Z`) / 60000)

/** What was laid of a layer's coats: one by one, or all at once by a tick in the plan, on that day's evening. */
function laidOf(build: Build, layer: Layer, n: number): LaidCoat | undefined {
  const one = build.finish.laid?.[`${layer.name}-${n}`]
  if (one) return one
  const ticked = build.steps[coatsStep(layer.name)]?.done
  return ticked ? { product: layer.name, at: `${ticked.slice(0, 10)}T20:00` } : undefined
}

/**
 * Lays the coats on the person's evenings: those that are laid stand where they were laid; every other waits from the end of the last one,
 * as long as the label says in the air that was, and comes on the first evening with time that neither bites nor wrinkles.
 * @param from no coat before this day: today, or when the wood is ready
 * @returns the plan, or why there can be none
 */
export function coatPlan(build: Build, from = build.finish.start): CoatCalendar {
  const layers = layersOf(build)
  if (!layers.length) return { ok: false, why: 'No finish is chosen yet: each asks for other lungs, rooms, weather and weeks.' }
  const room = build.finish.weather
  const longest = Math.max(...build.evenings)
  const hands = Math.max(...layers.map((l) => l.hands))
  const coats: Coat[] = []
  let date = from > build.finish.start ? from : build.finish.start
  let clock = 0
  let last: { end: number; layer: Layer; air: Pick<LaidCoat, 'air' | 'humidity'> } | undefined
  for (const layer of layers) {
    for (let n = 1; n <= layer.coats; n++) {
      const base = { id: `${layer.name}-${n}`, layer: layer.name, label: layer.label, number: n, hands: layer.hands }
      const done = laidOf(build, layer, n)
      if (done) {
        const at = minuteAt(done.at)
        coats.push({ ...base, date: done.at.slice(0, 10), starts: Math.max(0, at - minuteOf(done.at.slice(0, 10), 0)), laid: done.at })
        last = { end: Math.max(last?.end ?? -Infinity, at), layer, air: done }
        continue
      }
      if (longest < hands)
        return {
          ok: false,
          why: `No evening is long enough for one coat: it takes ${hands} minutes and the longest evening has ${longest}.`,
        }
      const slow = dryingIn({ air: last?.air.air ?? room.air, humidity: last?.air.humidity ?? room.humidity })
      const wait = !last ? 0 : last.layer === layer ? layer.recoat : Math.max(last.layer.recoat, last.layer.beforeSanding ?? 0)
      const earliest = last ? last.end + wait * slow : -Infinity
      const bad = last?.layer === layer ? layer.forbidden : undefined
      for (let looked = 0; ; looked++) {
        if (looked > LONGEST_SEARCH) return { ok: false, why: 'No evening within a year fits the next coat.' }
        clock = Math.max(clock, earliest - minuteOf(date, 0))
        // Between the two it wrinkles: what falls there waits until after.
        const gap = last ? minuteOf(date, clock) - last.end : 0
        if (bad && gap > bad[0] && gap < bad[1]) clock = Math.max(clock, last!.end + bad[1] - minuteOf(date, 0))
        if (clock + layer.hands <= (build.evenings[weekday(date)] ?? 0)) break
        date = addDays(date, 1)
        clock = 0
      }
      const starts = Math.ceil(clock)
      const gap = last ? minuteOf(date, starts) - last.end : 0
      const late = last?.layer === layer && layer.keyAfter !== undefined && gap > layer.keyAfter
      coats.push({
        ...base,
        date,
        starts,
        ...(late ? { note: `Over ${Math.round(layer.keyAfter! / 60)} h since the last: scuff with P400 first.` } : {}),
      })
      last = { end: minuteOf(date, starts + layer.hands), layer, air: {} }
      clock = starts + layer.hands
    }
  }
  const final = coats.at(-1)!
  const hardens = last!.layer.beforeSanding ?? 0
  const slow = dryingIn({ air: last!.air.air ?? room.air, humidity: last!.air.humidity ?? room.humidity })
  return {
    ok: true,
    plan: {
      coats,
      lastCoat: final.date,
      rubOut: addDays(final.date, Math.ceil((hardens * slow) / MINUTES_A_DAY)),
      allLaid: coats.every((c) => c.laid),
      evenings: new Set(coats.map((c) => c.date)).size,
    },
  }
}
