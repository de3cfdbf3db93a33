import { parseReading } from '@snug/core'
import Papa from 'papaparse'

/** Readings off a meter's log: ohms in the order they stand, each with the number of the check's line it says it is, if it says. */
export type MeterLog = { ok: true; readings: { line?: number; ohm: number }[]; skipped: number } | { ok: false; why: string }

/** The unit some meters log in a column of its own. */
const UNITS: Record<string, string> = { ohm: '', ohms: '', ω: '', kohm: 'k', kω: 'k', mohm: 'M', mω: 'M' }
const MOST = 5000

/**
 * Reads a meter's log as CSV, whatever its separator: a row's last cell that is a resistance is its reading, a unit may stand in the next
 * cell, and a whole number in its first of several cells is the line of the check list. Rows without a reading are headings and are passed over.
 */
export function readMeterLog(text: string): MeterLog {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true })
  if (!data.length) return { ok: false, why: 'The log is empty. Rows with one resistance each are wanted: 8.20k, 250, OL.' }
  if (data.length > MOST) return { ok: false, why: `The log has ${data.length} rows; at most ${MOST} are read.` }
  const readings = data.flatMap((row) => {
    const cells = row.map((c) => c.trim())
    const at = cells.findLastIndex((c, i) => parseReading(c + unitAfter(cells, i)).ok)
    if (at < 0) return []
    const found = parseReading(cells[at]! + unitAfter(cells, at))
    if (!found.ok) return []
    const line = at > 0 && /^\d{1,3}$/.test(cells[0]!) ? Number(cells[0]) : undefined
    return [{ ohm: found.value, ...(line === undefined ? {} : { line }) }]
  })
  return readings.length
    ? { ok: true, readings, skipped: data.length - readings.length }
    : { ok: false, why: 'No row of the log holds a resistance. Write them like 8.20k, 250 or OL.' }
}

const unitAfter = (cells: readonly string[], i: number): string => {
  const unit = UNITS[(cells[i + 1] ?? '').toLowerCase()]
  return unit !== undefined && /\d$/.test(cells[i]!) ? unit : ''
}
