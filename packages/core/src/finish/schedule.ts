import type { Build } from '../document/build'
import { dryingFactor } from '../physics/drying'
import { addDays, weekday } from '../quantity/days'
import { SYSTEMS, type Layer } from './systems'

/** One coat on one evening. */
export interface Coat {
  id: string
  layer: Layer['name']
  label: string
  /** Number within its layer, from 1. */
  number: number
  date: string
  /** Minutes after the evening's start. */
  starts: number
  hands: number
  note?: string
}

export interface CoatPlan {
  coats: Coat[]
  /** First day to rub out, and what the waits add up to. */
  rubOut: string
  lastCoat: string
  /** Evenings used. */
  evenings: number
}

/** A calendar, or the sentence that says why none can be made. */
export type CoatCalendar = { ok: true; plan: CoatPlan } | { ok: false; why: string }

const MINUTES_A_DAY = 24 * 60
/** Evenings are taken to start at six. [ours] */
const EVENING = 18 * 60
const LONGEST_SEARCH = 365

const coatsOf = (build: Build): Layer[] =>
  SYSTEMS[build.finish.system].layers.map((l) => (l.name === 'top' ? { ...l, coats: build.finish.coats } : l))

/**
 * Lays the coats on the person's evenings: as many in one evening as the recoat time at this temperature allows, the
 * next evening with time otherwise; a scuff is asked for where the product wants a key after too long a wait.
 * @returns the plan, or why there can be none: no evening of the week is long enough for a coat, or none within a year fits
 */
export function coatPlan(build: Build): CoatCalendar {
  const slow = dryingFactor(build.finish.weather.air)
  const layers = coatsOf(build)
  const longest = Math.max(...build.evenings)
  const hands = Math.max(...layers.map((l) => l.hands))
  if (longest < hands)
    return { ok: false, why: `No evening is long enough for one coat: it takes ${hands} minutes and the longest evening has ${longest}.` }
  const coats: Coat[] = []
  let date = build.finish.start
  let clock = 0
  let lastEnd: number | undefined
  let previous: Layer | undefined
  const minuteOf = (iso: string, m: number) => Math.round(Date.parse(`${iso}T00:00:00Z`) / 60000) + EVENING + m
  for (const layer of layers) {
    for (let n = 1; n <= layer.coats; n++) {
      const wait = previous === undefined ? 0 : previous === layer ? layer.recoat * slow : Math.max(previous.recoat, layer.recoat) * slow
      const earliest = lastEnd === undefined ? -Infinity : lastEnd + wait
      for (let looked = 0; ; looked++) {
        if (looked > LONGEST_SEARCH) return { ok: false, why: 'No evening within a year fits the next coat.' }
        clock = Math.max(clock, earliest - minuteOf(date, 0))
        if (clock + layer.hands <= (build.evenings[weekday(date)] ?? 0)) break
        date = addDays(date, 1)
        clock = 0
      }
      const starts = Math.ceil(clock)
      const gap = lastEnd === undefined ? 0 : minuteOf(date, starts) - lastEnd
      const late = layer.keyAfter !== undefined && gap > layer.keyAfter
      coats.push({
        id: `${layer.name}-${n}`,
        layer: layer.name,
        label: layer.label,
        number: n,
        date,
        starts,
        hands: layer.hands,
        ...(late ? { note: `Over ${Math.round(layer.keyAfter! / 60)} h since the last: scuff with P400 first.` } : {}),
      })
      lastEnd = minuteOf(date, starts + layer.hands)
      clock = starts + layer.hands
      previous = layer
    }
  }
  const last = coats.at(-1)!
  const top = layers.at(-1)!
  const waitDays = Math.ceil((top.beforeSanding * slow) / MINUTES_A_DAY)
  const evenings = new Set(coats.map((c) => c.date)).size
  return { ok: true, plan: { coats, lastCoat: last.date, rubOut: addDays(last.date, waitDays), evenings } }
}
