import type { Build, MeterReading } from '../../document/build'
import { sizeAt } from '../../document/read'
import { COPPER_PER_KELVIN } from '../../physics/wireGauge'
import { OPEN_LINE, printOhms } from '../../quantity/electrical'
import type { Size } from '../../quantity/size'
import { reading, type Reading } from '../engine/ohmmeter'
import { jackProbes, lugsOf, type Coil, type Harness, type PotPart } from '../model/harness'
import { resistorsOf, toNetlist } from '../model/toNetlist'
import type { Setting } from '../model/setting'
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
export const lugOhms = (harness: Harness, setting: Setting, probes: Probes): number => lugReading(harness, setting, probes).ohm

function lugReading(harness: Harness, setting: Setting, [a, b]: Probes): Reading {
  for (const lug of [a, b]) if (!hasLug(harness, lug)) throw new Error(`The harness has no lug called ${lug}.`)
  if (a === b) return { ohm: 0, shares: new Map() }
  const { elements } = toNetlist(harness, setting)
  const joined = (lug: string) => elements.some((e) => e.type !== 'K' && e.nodes.includes(lug))
  return joined(a) && joined(b) ? reading(elements, a, b) : { ohm: Infinity, shares: new Map() }
}

const hasLug = (harness: Harness, lug: string) => harness.components.some((c) => lugsOf(c).includes(lug))

/** Resistance at the jack. */
export const dcAtJack = (harness: Harness, setting: Setting): number => lugOhms(harness, setting, jackProbes(harness))

/** Predicted reading with its band: each part's doubt is carried through by its own slope, in squares. */
export function predictReading(build: Build, harness: Harness, setting: Setting, probes: Probes = jackProbes(harness)): PredictedReading {
  const { ohm, shares } = lugReading(harness, setting, probes)
  if (!Number.isFinite(ohm)) return { ohm, doubt: 0 }
  // What is off together, such as the two coils of a pickup, moves the reading together.
  const slopes = new Map<string, number>()
  for (const c of harness.components) {
    if ((c.is !== 'coil' && c.is !== 'pot') || (c.is === 'coil' && c.active)) continue
    const slope = resistorsOf(c).reduce((sum, ref) => sum + (shares.get(ref) ?? 0), 0) * off(build, c)
    const part = c.slot ?? c.id
    slopes.set(part, (slopes.get(part) ?? 0) + slope)
  }
  return { ohm, doubt: Math.hypot(...slopes.values()) }
}

/** How far off the resistance of a coil or pot may be, as a share of itself. */
function off(build: Build, c: Coil | PotPart): number {
  const size = c.slot && sizeAt(build, { slot: c.slot, size: 'resistance' })
  return c.is === 'coil' ? Math.hypot(relative(size, UNTOLD_COIL), COPPER_PER_KELVIN * ROOM_SWING) : relative(size, UNTOLD_POT)
}

/**
 * Doubt of a resistance nobody gave, as a share: windings vary by a tenth; a pot that nobody read may as well be of twice the usual value,
 * and none is called wrong for that. [practice]
 */
const UNTOLD_COIL = 0.1
const UNTOLD_POT = 1
const relative = (size: Size | undefined, otherwise: number) => (size ? size.doubt / size.value : otherwise)

/** With no better idea than half of it a figure is none: some part was never read. [ours] */
export const NO_IDEA = 0.5

/** Nothing is proved by a reading that could have been nearly anything. */
export const isVague = ({ ohm, doubt }: PredictedReading): boolean => doubt > NO_IDEA * ohm && doubt > FINEST

/** "8.26 k ±330 Ω", or that nobody can know yet. */
export const readingWords = (expected: PredictedReading): string =>
  isVague(expected) ? 'not known yet' : `${printOhms(expected.ohm)} ±${printOhms(expected.doubt, 2)}`

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
export function judgeReading(build: Build, harness: Harness, taken: MeterReading): JudgedReading | undefined {
  if (!taken.probes.every((lug) => hasLug(harness, lug))) return undefined
  const expected = predictReading(build, harness, taken.setting, taken.probes)
  const open = [taken.ohm, expected.ohm].map((ohm) => ohm >= OPEN_LINE)
  if (open[0] || open[1]) return { expected, off: open[0] === open[1] ? 0 : open[0] ? Infinity : -Infinity, inside: open[0] === open[1] }
  const away = taken.ohm - expected.ohm
  return { expected, off: away, inside: Math.abs(away) <= Math.max(expected.doubt, FINEST) }
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
