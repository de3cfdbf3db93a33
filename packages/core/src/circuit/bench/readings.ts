import type { Build, MeterReading } from '../../document/build'
import { sizeAt } from '../../document/read'
import { COPPER_PER_KELVIN } from '../../physics/wireGauge'
import type { Size } from '../../quantity/size'
import { ohmsBetween } from '../engine/ohmmeter'
import { jackProbes, lugsOf, toNetlist, type Harness } from '../model/harness'
import { type Setting } from '../model/setting'
import { sameSwitches } from '../model/switchStates'

export interface PredictedReading {
  /** Ohms between the probes with nothing plugged in; Infinity reads as an open line. */
  ohm: number
  /** 95 % half-width from the doubts of pickups and pots and 10 K of room temperature. */
  doubt: number
}

export type Probes = readonly [string, string]

const ROOM_SWING = 10

/**
 * What a meter shows between two lugs: capacitors, cable and amplifier play no part. A lug that nothing is joined to reads open.
 * @throws Error when the harness has no such lug
 */
export function lugOhms(harness: Harness, setting: Setting, [a, b]: Probes): number {
  const lugs = new Set(harness.components.flatMap(lugsOf))
  for (const lug of [a, b]) if (!lugs.has(lug)) throw new Error(`The harness has no lug called ${lug}.`)
  if (a === b) return 0
  const { elements } = toNetlist(harness, setting)
  const joined = new Set(elements.flatMap((e) => (e.type === 'K' ? [] : e.nodes)))
  return joined.has(a) && joined.has(b) ? ohmsBetween(elements, a, b) : Infinity
}

/** Resistance at the jack. */
export const dcAtJack = (harness: Harness, setting: Setting): number => lugOhms(harness, setting, jackProbes(harness))

/** Predicted reading with its band: each part's doubt is carried through by its own slope, in squares. */
export function predictReading(build: Build, harness: Harness, setting: Setting, probes: Probes = jackProbes(harness)): PredictedReading {
  const ohm = lugOhms(harness, setting, probes)
  if (!Number.isFinite(ohm)) return { ohm, doubt: 0 }
  let squares = 0
  for (const { ids, share } of resistances(build, harness)) {
    const scaled: Harness = {
      ...harness,
      components: harness.components.map((c) =>
        ids.has(c.id) && (c.is === 'coil' || c.is === 'pot') ? { ...c, ohm: c.ohm * (1 + share) } : c,
      ),
    }
    squares += (lugOhms(scaled, setting, probes) - ohm) ** 2
  }
  return { ohm, doubt: Math.sqrt(squares) }
}

/** What is wound or tracked of one piece, and how far off it may be, as a share of itself. */
function resistances(build: Build, harness: Harness): { ids: Set<string>; share: number }[] {
  const parts = new Map<string, { ids: Set<string>; share: number }>()
  for (const c of harness.components) {
    if (c.is !== 'coil' && c.is !== 'pot') continue
    const size = c.slot && sizeAt(build, { slot: c.slot, size: 'resistance' })
    const own = relative(size, c.is === 'coil' ? UNTOLD_COIL : UNTOLD_POT)
    const share = c.is === 'coil' ? Math.hypot(own, COPPER_PER_KELVIN * ROOM_SWING) : own
    // The two coils of a pickup are off together.
    const part = parts.get(c.slot ?? c.id) ?? { ids: new Set(), share }
    part.ids.add(c.id)
    parts.set(c.slot ?? c.id, part)
  }
  return [...parts.values()]
}

/** Doubt of a resistance nobody gave, as a share: windings vary by a tenth, pots by a fifth. [practice] */
const UNTOLD_COIL = 0.1
const UNTOLD_POT = 0.2
const relative = (size: Size | undefined, otherwise: number) => (size ? size.doubt / size.value : otherwise)

/** A reading beside what it should be, with every knob and switch as it was when it was taken. */
export interface JudgedReading {
  expected: PredictedReading
  /** Reading less expected, ohm. */
  off: number
  inside: boolean
}

/** A meter does not tell finer than this, ohm. [ours] */
const FINEST = 1

/**
 * The one rule readings are judged by, wherever a verdict on one is shown or counted. Nothing is said of a reading between lugs that
 * this harness has not: it was taken on another circuit.
 */
export function judgeReading(build: Build, harness: Harness, reading: MeterReading): JudgedReading | undefined {
  const lugs = new Set(harness.components.flatMap(lugsOf))
  if (!reading.probes.every((lug) => lugs.has(lug))) return undefined
  const expected = predictReading(build, harness, reading.setting, reading.probes)
  const off = reading.ohm - expected.ohm
  return { expected, off, inside: Math.abs(off) <= Math.max(expected.doubt, FINEST) }
}

/** The reading taken between two lugs with the switches so, whatever the knobs were at. */
export function readingAt(
  build: Build,
  harness: Harness,
  setting: Setting,
  probes: Probes = jackProbes(harness),
): MeterReading | undefined {
  return Object.values(build.readings).find((r) => sameProbes(r.probes, probes) && sameSwitches(harness, r.setting, setting))
}

const sameProbes = ([a, b]: Probes, [c, d]: Probes) => (a === c && b === d) || (a === d && b === c)

/** Under which key a reading is kept, so that a newer one of the same place takes its place. */
export function readingKey(probes: Probes, switches: Setting['switches']): string {
  const stand = Object.entries(switches).toSorted(([a], [b]) => a.localeCompare(b))
  return [probes.toSorted().join(' '), ...stand.map(([id, position]) => `${id} ${position}`)].join(', ')
}
