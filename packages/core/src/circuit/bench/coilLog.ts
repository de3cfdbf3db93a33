import type { CoilEntry } from '../../document/build'
import { printOhms } from '../../quantity/electrical'
import { awgOhmPerMetre, COPPER_PER_KELVIN } from '../../physics/wireGauge'

/** A coil as somebody winds it. */
export interface WoundCoil {
  /** American wire gauge. */
  gauge: number
  turns: number
  /** Length of a turn half way up the winding, mm. */
  turn: number
  /** What a meter shows, and at what temperature, degrees C. */
  ohm?: number
  celsius?: number
  winding: 'clockwise' | 'counter-clockwise'
  /** Which end of a compass needle its poles draw. */
  magnet: 'north' | 'south'
}

/** Wire of one gauge differs by so much, and a hand guesses the mean turn by so much: share, 95 %. [practice; ours] */
const OFF = 0.12
/** Resistances are listed at this, degrees C. [published: ASTM B258] */
const LISTED = 20

/** What a coil should read at a temperature, ohm: turns times the mean turn times the wire's ohms a metre. [physics] */
export const coilOhms = ({ gauge, turns, turn }: Pick<WoundCoil, 'gauge' | 'turns' | 'turn'>, celsius = LISTED): number =>
  ((turns * turn) / 1000) * awgOhmPerMetre(gauge, celsius)

/** What the reading of a coil says of it. */
export function coilSays(c: WoundCoil): string {
  const should = coilOhms(c, c.celsius)
  if (c.ohm === undefined) return `It should read ${printOhms(should)}, give or take ${Math.round(OFF * 100)} %.`
  if (c.ohm > should * 20) return 'The wire is broken: look at the eyelets first, then at where it last snagged.'
  const off = c.ohm / should - 1
  if (off < -OFF)
    return `${printOhms(c.ohm)} where ${printOhms(should)} are due: ${Math.round(-off * c.turns)} turns or so are shorted, or were never wound. Scraped enamel at the flatwork’s edge is the usual cause.`
  if (off > OFF)
    return `${printOhms(c.ohm)} where ${printOhms(should)} are due: more turns, a longer mean turn or thinner wire than was written down.`
  return `${printOhms(c.ohm)} is what ${c.turns} turns should read (${printOhms(should)}).`
}

/** Do two coils cancel hum and add strings? Winding and magnet must both differ, as they are measured. */
export function pairSays(a: WoundCoil, b: WoundCoil): string {
  const [wound, drawn] = [a.winding !== b.winding, a.magnet !== b.magnet]
  if (wound && drawn) {
    const [r1, r2] = [a.ohm ?? coilOhms(a), b.ohm ?? coilOhms(b)]
    const residue = Math.abs(r2 - r1) / (r1 + r2)
    return `A pair: strings add and hum cancels, all but ${(100 * residue).toFixed(1)} % of it for their resistances differ by that.`
  }
  if (wound) return 'Wound against each other with the same magnet: hum cancels, and so do the strings. Turn one magnet over.'
  if (drawn) return 'Opposite magnets, wound the same way: joined in phase by hum they are out of phase by strings. Swap the leads of one.'
  return 'Wound alike with the same magnet: strings add, and hum adds too.'
}

/** A coil of the log as it stands: by its last reading. */
export function woundOf({ gauge, turns, turn, winding, magnet, read }: CoilEntry): WoundCoil {
  const last = read.at(-1)
  return { gauge, turns, turn, winding, magnet, ...(last ? { ohm: last.ohm, celsius: last.celsius } : {}) }
}

/** What two readings of one coil differ by without anything having happened, share. [ours] */
const ALIKE = 0.015

/** What happened from one stage to the next, both brought to 20 degrees C. */
export function stagesSay({ read }: Pick<CoilEntry, 'read'>): string[] {
  const at20 = read.map((r) => r.ohm / (1 + COPPER_PER_KELVIN * (r.celsius - 20)))
  return read.map(({ stage, ohm, celsius }, i) => {
    const words = `${stage}: ${printOhms(ohm)} at ${celsius} °C`
    if (!i) return `${words}.`
    const change = at20[i]! / at20[i - 1]! - 1
    if (change > 20) return `${words}: broken since “${read[i - 1]!.stage}”.`
    if (Math.abs(change) <= ALIKE) return `${words}: nothing has happened to it.`
    return change < 0
      ? `${words}: ${(-100 * change).toFixed(1)} % less than before at the same temperature; turns were shorted since “${read[i - 1]!.stage}”.`
      : `${words}: ${(100 * change).toFixed(1)} % more than before at the same temperature; more turns, or a joint that hardly conducts.`
  })
}
