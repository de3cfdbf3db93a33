import { parseReading } from '@snug/core'
import Papa from 'papaparse'

/** Readings off a meter's log: ohms in the order they stand, each with the number of the check's line it says it is, if it says. */
export type MeterLog = { ok: true; readings: { line?: number; ohm: number }[]; skipped: number } | { ok: false; why: string }

/** The unit some meters log in a column of its own, as a factor: a small m is a thousandth, a big M a million. */
const UNITS: readonly (readonly [RegExp, number])[] = [
  [/^(?:ohms?|Ω)$/i, 1],
  [/^k(?:ohms?|Ω)?$/i, 1e3],
  [/^M(?:[oO][hH][mM]s?|Ω)?$/, 1e6],
  [/^m(?:[oO]hms?|Ω)$/, 1e-3],
]
const MOST = 5000

/**
 * Reads a meter's log as CSV, whatever its separator: a row's last cell that says it is a resistance is its reading, by its own letter or the
 * unit in the next cell; where none says so, its last bare number that has no other unit behind it. A whole number in its first of several
 * cells is the line of the check list. Rows without a reading are headings and are passed over.
 */
export function readMeterLog(text: string): MeterLog {
  const { data } = Papa.parse<string[]>(text.normalize().trim(), { skipEmptyLines: true })
  if (!data.length) return { ok: false, why: 'The log is empty. Rows with one resistance each are wanted: 8.20k, 250, OL.' }
  if (data.length > MOST) return { ok: false, why: `The log has ${data.length} rows; at most ${MOST} are read.` }
  const readings = data.flatMap((row) => {
    const cells = row.map((c) => c.trim())
    const found = cells.map((_, i) => readingAt(cells, i))
    const at = found.some((f) => f?.said) ? found.findLastIndex((f) => f?.said) : found.findLastIndex((f) => f !== undefined)
    if (at < 0) return []
    const line = at > 0 && /^\d{1,3}$/.test(cells[0]!) ? Number(cells[0]) : undefined
    return [{ ohm: found[at]!.ohm, ...(line === undefined ? {} : { line }) }]
  })
  return readings.length
    ? { ok: true, readings, skipped: data.length - readings.length }
    : { ok: false, why: 'No row of the log holds a resistance. Write them like 8.20k, 250 or OL.' }
}

/** What a cell reads as a resistance, and whether it says that it is one. */
function readingAt(cells: readonly string[], i: number): { ohm: number; said: boolean } | undefined {
  const read = parseReading(cells[i]!)
  if (!read.ok) return undefined
  if (!/\d$/.test(cells[i]!)) return { ohm: read.value, said: true }
  const next = cells[i + 1] ?? ''
  const factor = UNITS.find(([unit]) => unit.test(next))?.[1]
  if (factor !== undefined) return { ohm: Number((read.value * factor).toPrecision(12)), said: true }
  // "0.35, V" is no resistance; "12, bridge pickup" may be.
  return /^(?:[mkµu]?[VAFHW]|°?[CF]|Hz|s|%)(?:AC|DC)?$/.test(next) ? undefined : { ohm: read.value, said: false }
}
