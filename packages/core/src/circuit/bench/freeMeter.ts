import { OPEN_LINE, printOhms } from '../../quantity/electrical'
import type { Element } from '../engine/netlist'
import { ohmsBetween } from '../engine/ohmmeter'
import { compile } from '../engine/solver'
import type { Harness } from '../model/harness'
import { toNetlist } from '../model/toNetlist'
import type { Setting } from '../model/setting'

/** A beeper sounds below about so much, ohm. [practice] */
const BEEPS = 30
/** A capacitance range tests at about this, Hz, through about so much, ohm. [practice] */
const TEST_HERTZ = 100
const THROUGH = 10e3
/** What the smallest capacitance range shows, farad. [practice] */
const LEAST_FARAD = 20e-12

/** What a meter shows between two places of a harness in any of its modes. */
export interface MeterShows {
  ohm: number
  beeps: boolean
  /** Farad, where the range shows anything: what lies beside the capacitor is measured with it. */
  farad?: number
  says: string
}

/** Two probes anywhere on a harness with its switches and knobs as they stand; nothing is plugged in. @throws Error for a lug that is not there */
export function meterBetween(harness: Harness, setting: Setting, a: string, b: string): MeterShows {
  const { elements } = toNetlist(harness, setting, undefined, { only: 'none' })
  // A lug nothing is joined to is there all the same.
  const there: Element[] = [a, b].map((n, i) => ({ type: 'R', ref: `probe ${i}`, nodes: [n, `probe ${i}`], value: 1 }))
  const all = [...elements, ...there]
  const found = ohmsBetween(all, a, b)
  const ohm = found >= OPEN_LINE ? Infinity : found
  const farad = capacitance(all, a, b)
  const beeps = ohm < BEEPS
  const shown = ohm === Infinity ? 'OL' : printOhms(ohm)
  const sounds = beeps ? 'beeps' : ohm === Infinity ? 'silent' : 'no beep: the beeper stays silent above some 30 ohm'
  return { ohm, beeps, ...(farad === undefined ? {} : { farad }), says: `${shown}; ${sounds}` }
}

/** By the current a small test tone drives; nothing where resistance or a coil has more say in it than what is stored. */
function capacitance(elements: readonly Element[], a: string, b: string): number | undefined {
  const out = { re: 0, im: 0 }
  const source: Element[] = [
    { type: 'V', ref: 'meter', nodes: ['meter+', b], ac: 1 },
    { type: 'R', ref: 'meter through', nodes: ['meter+', a], value: THROUGH },
  ]
  compile({ elements: [...elements, ...source], output: [a, b] }).solve(TEST_HERTZ, out)
  const size = out.re * out.re + out.im * out.im
  if (size < 1e-12) return undefined
  // Y = (1 - V) / (R V)
  const re = (out.re - size) / size / THROUGH
  const im = -out.im / size / THROUGH
  const farad = im / (2 * Math.PI * TEST_HERTZ)
  return im > Math.abs(re) && farad >= LEAST_FARAD ? farad : undefined
}
